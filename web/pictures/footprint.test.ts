import { describe, expect, it } from 'vitest';
import { coverOf, extentAlong, groundAt } from './footprint';
import { linear } from './scale';

const box = {
  shape: 'box' as const,
  east_m: 10,
  north_m: -4,
  width_m: 2,
  length_m: 20,
  heading_deg: 0,
};
const close = (found: [number, number], wanted: [number, number]) => {
  expect(found[0]).toBeCloseTo(wanted[0], 9);
  expect(found[1]).toBeCloseTo(wanted[1], 9);
};

describe('how far a foot reaches', () => {
  it('is its width to the east and its length to the north, until it is turned', () => {
    close(extentAlong(box, 1, 0), [9, 11]);
    close(extentAlong(box, 0, 1), [-14, 6]);
    close(extentAlong({ ...box, heading_deg: 90 }, 1, 0), [0, 20]);
    close(extentAlong({ ...box, heading_deg: 90 }, 0, 1), [-5, -3]);
  });

  it('is that of its farthest corner along any direction', () => {
    // A wall that runs to the northeast, seen along itself and square to it.
    const wall = { ...box, east_m: 0, north_m: 0, heading_deg: 45 };
    const [d] = [Math.SQRT1_2];
    close(extentAlong(wall, d, d), [-10, 10]);
    close(extentAlong(wall, d, -d), [-1, 1]);
    close(extentAlong(wall, 1, 0), [-11 * d, 11 * d]);
  });

  it('is the same to every side for what is round, and that of its points for what has some', () => {
    const mast = { ...box, shape: 'cylinder' as const, width_m: 6, length_m: 6 };
    close(extentAlong(mast, Math.SQRT1_2, Math.SQRT1_2), [6 * Math.SQRT1_2 - 3, 6 * Math.SQRT1_2 + 3]);
    const yard = {
      ...box,
      shape: 'polygon' as const,
      points: [
        [0, 0],
        [8, 2],
        [3, 9],
      ],
    };
    close(extentAlong(yard, 1, 0), [0, 8]);
    close(extentAlong(yard, 0, -1), [-9, 0]);
  });
});

describe('what a thing covers on a sheet', () => {
  // A sheet of 200 by 100 pixels, two to the metre, north up, its middle at 0, 0.
  const [x, y] = [linear(0, 1, 100, 102), linear(0, 1, 50, 48)];
  const sheet = { left: 0, top: 0, right: 200, bottom: 100 };

  it('is its upright box', () => {
    expect(coverOf({ ...box, east_m: 0, north_m: 0, length_m: 4 }, x, y, sheet)).toEqual({
      left: 98,
      right: 102,
      top: 46,
      bottom: 54,
    });
  });

  it('is the middle of what is seen of a wall or a wire', () => {
    // Forty metres northward from the middle: the sheet shows 25 of them.
    const wall = { ...box, east_m: 0, north_m: 20, width_m: 1, length_m: 40 };
    const seen = coverOf(wall, x, y, sheet);
    expect((seen.left + seen.right) / 2).toBeCloseTo(100, 6);
    expect((seen.top + seen.bottom) / 2).toBeGreaterThan(20);
    expect((seen.top + seen.bottom) / 2).toBeLessThan(30);
    const points = [
      [0, 0],
      [20, 20],
    ];
    const wire = coverOf({ ...box, shape: 'wire', points }, x, y, sheet);
    expect(Math.abs(wire.left + wire.right - 2 * 120)).toBeLessThan(4);
    expect(Math.abs(wire.top + wire.bottom - 2 * 30)).toBeLessThan(4);
  });
});

describe('the height of the ground', () => {
  it('is that of the nearest place that is known', () => {
    const spots = [
      [0, 0, 1],
      [10, 0, 4],
      [0, 30, -2],
    ];
    expect(groundAt(spots, [6, 1])).toBe(4);
    expect(groundAt(spots, [4, 1])).toBe(1);
    expect(groundAt(spots, [-3, 18])).toBe(-2);
    expect(groundAt([], [3, 4])).toBe(0);
  });
});
