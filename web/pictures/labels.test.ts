import { describe, expect, it } from 'vitest';
import { around, placeLabels } from './labels';

describe('placeLabels', () => {
  it('puts a name to the right of what it names', () => {
    const [label] = placeLabels([{ text: 'mast', of: around(50, 50, 4) }], [], 200, 100);
    expect(label?.x).toBeGreaterThan(54);
    expect(label?.y).toBeCloseTo(54, 0);
  });

  it('goes to the left at the right edge, and below where both sides are taken', () => {
    const [left] = placeLabels([{ text: 'mast', of: around(190, 50, 4) }], [], 200, 100);
    expect(left?.x).toBeLessThan(190 - 4);
    const [below] = placeLabels(
      [{ text: 'mast', of: around(100, 50, 4) }],
      [around(140, 50, 26), around(60, 50, 26)],
      200,
      100,
    );
    expect(below?.y).toBeGreaterThan(54);
  });

  it('moves a long name below its thing inwards, rather than lose it', () => {
    const [label] = placeLabels([{ text: 'a long barn by the sea', of: around(20, 40, 8) }], [], 160, 100);
    expect(label?.x).toBe(2);
    expect(label?.y).toBeGreaterThan(48);
  });

  it('never lays two names over each other, and leaves out what has no room', () => {
    const labels = placeLabels(
      Array.from({ length: 12 }, (_, i) => ({ text: `post ${i}`, of: around(60, 40, 3) })),
      [],
      160,
      80,
    );
    expect(labels).toHaveLength(2);
    const places = labels.map((label) => `${label.x} ${label.y}`);
    expect(new Set(places).size).toBe(2);
  });
});
