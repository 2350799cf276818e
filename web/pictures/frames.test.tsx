import { fireEvent, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw, giveSize } from '~/testing/page';
import { CurveCard } from './CurveCard';
import { FrameStrip, SmallFrame } from './FrameStrip';
import { FrameTrace } from './FrameTrace';

beforeAll(() => giveSize(654, 200));

const frame = (change: Partial<Schemas['Frame']> = {}): Schemas['Frame'] => ({
  t: 5,
  horizon: 0.1,
  mark: [0, 0],
  solids: [
    {
      id: 'stones',
      subject: true,
      outline: [
        [-2500, -2500],
        [2500, -2500],
        [2500, 2500],
      ],
    },
  ],
  ...change,
});

describe('a frame of the strip', () => {
  it('puts fractions of the frame at their pixels: right is right, up is up', () => {
    const { container } = draw(<SmallFrame frame={frame()} width={160} height={90} />);
    expect(container.querySelector('[data-solid=stones]')?.getAttribute('points')).toBe(
      '40,67.5 120,67.5 120,22.5',
    );
    const mark = container.querySelector('[data-role=mark]');
    expect([mark?.getAttribute('cx'), mark?.getAttribute('cy')]).toEqual(['80', '45']);
  });

  it('draws sky down to the horizon, wherever that lies', () => {
    const sky = (horizon: number) => {
      document.body.innerHTML = '';
      const { container } = draw(<SmallFrame frame={frame({ horizon })} width={160} height={90} />);
      return Number(container.querySelector('[fill="var(--sky)"]')?.getAttribute('height'));
    };
    expect(sky(0.1)).toBeCloseTo(36, 6);
    expect(sky(0)).toBeCloseTo(45, 6);
    expect(sky(3)).toBe(0);
    expect(sky(-3)).toBe(90);
  });

  it('draws no mark for a subject behind the lens', () => {
    const { container } = draw(<SmallFrame frame={frame({ mark: null })} width={160} height={90} />);
    expect(container.querySelector('[data-role=mark]')).toBeNull();
  });
});

describe('the strip', () => {
  it('takes every picture to the time of the frame that is chosen', () => {
    const moved = vi.fn();
    draw(<FrameStrip frames={[frame(), frame({ t: 9.5 })]} aspect={16 / 9} onTime={moved} />);
    fireEvent.click(screen.getByRole('button', { name: 'Picture 2 of 2, at 0:09.5' }));
    expect(moved).toHaveBeenCalledWith(9.5);
  });
});

describe('the trace of the subject', () => {
  const trace = (change: Partial<Parameters<typeof FrameTrace>[0]> = {}) =>
    draw(
      <FrameTrace
        t={[0, 1, 2, 3]}
        u={[0, 0.1, null, -0.1]}
        v={[0, 0.1, null, 0]}
        aim={{ u: 0, v: 0 }}
        aspect={1.6}
        crop={20}
        time={1}
        {...change}
      />,
    ).container;

  it('lifts the pen where the subject was not judged', () => {
    const path = trace().querySelector('[data-role=trace]')?.getAttribute('d') ?? '';
    expect(path.match(/M/g)).toHaveLength(2);
    expect(path.match(/L/g)).toHaveLength(1);
  });

  it('draws the crop about the wanted place, as large as what it leaves', () => {
    const crop = trace().querySelector('[data-role=crop]');
    expect(Number(crop?.getAttribute('width'))).toBeCloseTo(0.8 * 320, 6);
    expect(Number(crop?.getAttribute('x'))).toBeCloseTo(0.1 * 320, 6);
    document.body.innerHTML = '';
    expect(trace({ crop: 0.2 }).querySelector('[data-role=crop]')).toBeNull();
    document.body.innerHTML = '';
    expect(trace({ crop: 100 }).querySelector('[data-role=crop]')).toBeNull();
  });

  it('shows the subject of the moment, and none where there is none', () => {
    expect(trace().querySelector('[data-role=now]')?.getAttribute('cx')).toBe(String(0.6 * 320));
    document.body.innerHTML = '';
    expect(trace({ time: 2 }).querySelector('[data-role=now]')).toBeNull();
  });

  it('tells a screen reader the crop', () => {
    trace({ crop: 12.4 });
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain('12 percent');
  });
});

describe('a curve card', () => {
  it('draws travel against rate, with the comfortable stretch behind', () => {
    const points = [
      [0, 0],
      [0.5, 4],
      [1, 10],
    ];
    const { container } = draw(
      <CurveCard
        points={points}
        unit="m/s"
        color="red"
        label="run"
        top={10}
        comfort={{ least: 0.25, most: 0.65 }}
      />,
    );
    const line = container.querySelector('path[stroke="red"]')?.getAttribute('d') ?? '';
    const ys = [...line.matchAll(/[ML][\d.]+ ([\d.]+)/g)].map((match) => Number(match[1]));
    expect(ys).toHaveLength(3);
    expect(ys[0]).toBeGreaterThan(ys[1] ?? 0);
    expect(ys[1]).toBeGreaterThan(ys[2] ?? 0);
    const band = container.querySelector('rect');
    expect(Number(band?.getAttribute('width'))).toBeCloseTo(0.4 * (654 - 38 - 10), 6);
  });
});
