import { fireEvent, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw, giveSize } from '~/testing/page';
import { SiteSheet } from './SiteSheet';

beforeAll(() => giveSize(600, 400));

const solid = (change: Partial<Schemas['Solid']>): Schemas['Solid'] => ({
  id: 'barn',
  name: 'barn',
  role: 'obstacle',
  shape: 'box',
  east_m: 20,
  north_m: 10,
  base_m: 0,
  width_m: 4,
  length_m: 6,
  height_m: 5.2,
  heading_deg: 0,
  ...change,
});
const site: Schemas['SiteDocument'] = {
  home: { lat: 57.6, lon: -0.4, alt_m: 4 },
  ceiling_m: 120,
  sight_line_m: 260,
  solids: [solid({}), solid({ id: 'kiln', name: 'kiln', role: 'subject', east_m: 0, north_m: 30 })],
};
const circle = Array.from({ length: 41 }, (_, i) => (Math.PI * i) / 40);
const planned = {
  t: circle.map((_, i) => i / 2),
  east_m: circle.map((a) => 20 * Math.sin(a)),
  north_m: circle.map((a) => 30 + 20 * Math.cos(a)),
  heading_deg: circle.map((a) => (a * 180) / Math.PI + 180),
};
const sheet = (change: Partial<Parameters<typeof SiteSheet>[0]> = {}) =>
  draw(
    <SiteSheet
      site={site}
      subject={{ east_m: 0, north_m: 30 }}
      planned={planned}
      hfov={70}
      units="metric"
      label="The site"
      {...change}
    />,
  ).container;
const numbers = (path: string | null | undefined) =>
  [...(path ?? '').matchAll(/[ML](-?[\d.]+) (-?[\d.]+)/g)].map((m) => [Number(m[1]), Number(m[2])] as const);

describe('the site sheet', () => {
  it('has north at the top and one scale both ways', () => {
    const path = numbers(sheet().querySelector('[data-role=planned-path]')?.getAttribute('d'));
    const [first, middle, last] = [path[0], path[20], path[40]];
    expect(first?.[1]).toBeLessThan(last?.[1] ?? 0);
    expect(middle?.[0]).toBeGreaterThan(first?.[0] ?? 0);
    const across = (middle?.[0] ?? 0) - (first?.[0] ?? 0);
    const down = (last?.[1] ?? 0) - (first?.[1] ?? 0);
    expect(down / across).toBeCloseTo(2, 1);
  });

  it('keeps everything of the path inside', () => {
    for (const [x, y] of numbers(sheet().querySelector('[data-role=planned-path]')?.getAttribute('d'))) {
      expect(x).toBeGreaterThan(0);
      expect(x).toBeLessThan(600);
      expect(y).toBeGreaterThan(0);
      expect(y).toBeLessThan(400);
    }
  });

  it('names what stands in the way with its height, in the operator’s units', () => {
    expect(sheet().textContent).toMatch(/barn, 5\.2\sm/);
    document.body.innerHTML = '';
    expect(sheet({ units: 'feet' }).textContent).toMatch(/barn, 17\.1\sft/);
  });

  it('shows the wind with where it comes from, and none in still air', () => {
    expect(sheet({ wind: { from_deg: 90, mean_mps: 4, gust_mps: 6 } }).innerHTML).toContain('rotate(90)');
    document.body.innerHTML = '';
    expect(sheet({ wind: { from_deg: 90, mean_mps: 0, gust_mps: 0 } }).innerHTML).not.toContain('rotate(90)');
  });

  it('lays what was flown over what was planned', () => {
    const container = sheet({ flown: { ...planned, east_m: planned.east_m.map((e) => e + 1) }, time: 4 });
    expect(container.querySelector('[data-role=flown-path]')).not.toBeNull();
    expect(container.querySelector('[data-role=planned-path]')?.getAttribute('stroke-dasharray')).toBe('5 4');
  });

  it('reshapes by arrow keys, five times as far with shift', () => {
    const onStep = vi.fn();
    const handle = { id: 'start', label: 'Start', east: 0, north: 50, onMove: vi.fn(), onStep };
    sheet({ handles: [handle] });
    const slider = screen.getByRole('slider');
    expect(slider.getAttribute('aria-valuetext')).toContain('50');
    fireEvent.keyDown(slider, { key: 'ArrowUp' });
    fireEvent.keyDown(slider, { key: 'ArrowLeft', shiftKey: true });
    fireEvent.keyDown(slider, { key: 'a' });
    expect(onStep.mock.calls).toEqual([
      [0, 1],
      [-5, 0],
    ]);
  });

  it('tells a dragged handle where it is, in metres', () => {
    const onMove = vi.fn();
    const handle = { id: 'start', label: 'Start', east: 0, north: 50, onMove, onStep: vi.fn() };
    const container = sheet({ handles: [handle] });
    const grip = screen.getByRole('slider');
    fireEvent.pointerMove(grip, { pointerId: 1, buttons: 1, clientX: 8, clientY: 4 });
    expect(onMove).not.toHaveBeenCalled();
    fireEvent.pointerDown(grip, { pointerId: 1, buttons: 1, clientX: 300, clientY: 200 });
    expect(onMove, 'to be touched is not to be pulled').not.toHaveBeenCalled();
    fireEvent.pointerMove(grip, { pointerId: 1, buttons: 1, clientX: 300, clientY: 200 });
    fireEvent.pointerMove(grip, { pointerId: 1, buttons: 1, clientX: 320, clientY: 200 });
    const [east, north] = onMove.mock.lastCall ?? [];
    expect(east).toBeGreaterThan(1);
    expect(north, 'from where it stood, wherever on it the finger lies').toBeCloseTo(50, 3);
    fireEvent.pointerUp(grip, { pointerId: 1, clientX: 320, clientY: 200 });
    fireEvent.pointerMove(grip, { pointerId: 1, clientX: 500, clientY: 200 });
    expect(onMove.mock.lastCall?.[0]).toBe(east);
    expect(container.querySelector('svg')?.getAttribute('aria-label')).toBe('The site');
  });

  it('is moved about by a drag, and shows all of it again', () => {
    const container = sheet({});
    const path = () => container.querySelector('[data-role=planned-path]')?.getAttribute('d');
    const before = path();
    const board = container.querySelector('svg') as SVGElement;
    fireEvent.pointerDown(board, { pointerId: 1, buttons: 1, clientX: 100, clientY: 100 });
    fireEvent.pointerMove(board, { pointerId: 1, buttons: 1, clientX: 120, clientY: 130 });
    fireEvent.pointerMove(board, { pointerId: 1, buttons: 1, clientX: 160, clientY: 130 });
    fireEvent.pointerUp(board, { pointerId: 1, clientX: 160, clientY: 130 });
    expect(path()).not.toBe(before);
    fireEvent.click(screen.getByRole('button', { name: 'All of it' }));
    expect(path()).toBe(before);
    fireEvent.click(screen.getByRole('button', { name: 'Nearer' }));
    expect(path()).not.toBe(before);
  });

  it('draws an empty site', () => {
    const container = sheet({ site: { ...site, solids: [] }, planned: null, subject: null });
    expect(container.innerHTML).not.toContain('NaN');
    expect(container.querySelector('[data-role=planned-path]')).toBeNull();
  });
});
