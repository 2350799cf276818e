import { render } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import type { Schemas } from '~/api/client';
import { FigureMarks, tagsOf } from './FigureMarks';
import type { Scale } from './scale';

const scale = Object.assign((metres: number) => 10 * metres, { perUnit: 10 }) as unknown as Scale;
const mark = (t: number, east: number, north: number, off = 0): Schemas['ReplayMark'] => ({
  kind: 'corner',
  t_s: t,
  planned_east_m: east,
  planned_north_m: north,
  east_m: east + off,
  north_m: north,
});

describe('the marks of a figure', () => {
  it('are numbered in the order of the plan, those at one place together', () => {
    const tags = tagsOf([mark(1, 4, 0), mark(2, 0, 0), mark(3, 0, 4), mark(4, 0, 0.1)], scale, scale);
    expect(tags.map((tag) => tag.text)).toEqual(['1', '2, 4', '3']);
  });

  it('say how far each lies off its place, in the units chosen', () => {
    const said = (units: 'metric' | 'feet') =>
      render(
        <svg>
          <title>Sheet</title>
          <FigureMarks marks={[mark(1, 4, 0, 1.5)]} x={scale} y={scale} units={units} />
        </svg>,
      ).container.querySelector('[data-mark="1"] title')?.textContent;
    expect(said('metric')).toBe('1: corner, 1.5\u00a0m from where it was planned');
    expect(said('feet')).toContain('4.9\u00a0ft');
  });
});
