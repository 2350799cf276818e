import { describe, expect, it } from 'vitest';
import { extentAlong } from './footprint';

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
