import { describe, expect, it } from 'vitest';
import { indexAt, linear, roundUp, through, ticks } from './scale';

describe('scales', () => {
  it('leads there and back', () => {
    const x = linear(-20, 60, 30, 510);
    expect(x(-20)).toBe(30);
    expect(x(60)).toBe(510);
    expect(x.invert(x(13.7))).toBeCloseTo(13.7, 12);
    expect(x.perUnit).toBe(6);
  });

  it('stands still where there is nothing to spread', () => {
    const x = linear(5, 5, 0, 100);
    expect(x(5)).toBe(0);
    expect(x.invert(40)).toBe(5);
  });

  it.each([
    [0.03, 0.05],
    [1, 1],
    [1.2, 2],
    [2.1, 5],
    [6, 10],
    [48, 50],
    [501, 1000],
  ])('rounds %d up to %d for a grid', (value, round) => {
    expect(roundUp(value)).toBeCloseTo(round, 12);
  });

  it('ticks from edge to edge', () => {
    expect(ticks(-7, 11, 5)).toEqual([-5, 0, 5, 10]);
    expect(ticks(0, 0.3, 0.1)).toHaveLength(4);
  });

  it('finds the sample at or before a moment', () => {
    const times = [0, 0.2, 0.4, 0.6];
    expect(indexAt(times, 0.39)).toBe(1);
    expect(indexAt(times, 0.4)).toBe(2);
    expect(indexAt(times, -1)).toBe(0);
    expect(indexAt(times, 9)).toBe(3);
  });

  it('draws through its points in order', () => {
    expect(
      through([
        [0, 1.26],
        [2, 3],
      ]),
    ).toBe('M0.0 1.3L2.0 3.0');
    expect(through([])).toBe('');
  });
});
