import { fireEvent, render, screen } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import { RateTrace } from '~/stations/rig/RateTrace';
import { giveSize } from '~/testing/page';
import { CurveCard } from './CurveCard';
import { HoldStrip } from './HoldStrip';

const comfort = { least: 0.25, most: 0.65 };
const points = [
  [0, 0],
  [0.5, 4],
  [1, 10],
];

beforeEach(() => giveSize(316, 200));

describe('a hold strip', () => {
  it('draws where each shot holds, now and as advised, and marks what stays uneasy', () => {
    const { container } = render(
      <HoldStrip
        holds={[
          { shot: 'Round the stones', now: 0.2, advised: 0.5, trouble: false },
          { shot: 'Past the mill', now: null, advised: 0.7, trouble: true },
        ]}
        comfort={comfort}
        color="red"
        label="Holds of turn"
      />,
    );
    const circles = [...container.querySelectorAll('circle')];
    expect(circles).toHaveLength(3);
    // 8 px at either edge, 300 px of travel between them.
    expect(circles.map((circle) => Number(circle.getAttribute('cx')))).toEqual([68, 158, 218]);
    expect(circles[2]?.getAttribute('fill')).toBe('var(--brick)');
    expect(screen.getByRole('img', { name: 'Holds of turn' })).toBeTruthy();
  });
});

describe('a curve card', () => {
  it('draws another curve beside its own, dashed', () => {
    const { container } = render(
      <CurveCard
        points={points}
        beside={[
          [0, 0],
          [1, 8],
        ]}
        unit="m/s"
        color="red"
        label="run"
        top={10}
        comfort={comfort}
      />,
    );
    expect(container.querySelector('path[stroke="var(--pollen)"]')?.getAttribute('stroke-dasharray')).toBe(
      '6 4',
    );
    expect(screen.getByRole('img', { name: 'run' })).toBeTruthy();
  });

  it('stays between rest and full, however far it is pulled', () => {
    const pulled: number[] = [];
    render(
      <CurveCard
        points={points}
        unit="m/s"
        color="red"
        label="run"
        top={10}
        comfort={comfort}
        onPull={(_, output) => pulled.push(output)}
      />,
    );
    const handle = screen.getByRole('slider', { name: 'run' });
    for (let i = 0; i < 20; i++) fireEvent.keyDown(handle, { key: 'ArrowUp', shiftKey: true });
    expect(pulled.at(-1)).toBeCloseTo(0.97, 9);
    for (let i = 0; i < 40; i++) fireEvent.keyDown(handle, { key: 'ArrowDown', shiftKey: true });
    expect(pulled.at(-1)).toBeCloseTo(0.03, 9);
    expect(handle.getAttribute('aria-valuetext')).toBe('4.0 m/s at half stick');
  });
});

describe('a rate trace', () => {
  it('scales to what was flown, both ways, and marks where the finger let go', () => {
    const { container } = render(
      <RateTrace
        traces={[{ name: 'this set', rates: [0, 12, -6, 0], color: 'red' }]}
        step={0.1}
        seconds={1}
        unit="m/s"
        letGo={0.2}
        reach={3}
        label="Rate of run"
      />,
    );
    expect(screen.getByText('let go')).toBeTruthy();
    expect(screen.getByText('20')).toBeTruthy();
    const ys = [
      ...(container.querySelector('path[stroke="red"]')?.getAttribute('d') ?? '').matchAll(/ ([\d.]+)/g),
    ].map((match) => Number(match[1]));
    expect(ys).toHaveLength(4);
    expect(ys[1]).toBeLessThan(ys[0] ?? 0);
    expect(ys[2]).toBeGreaterThan(ys[0] ?? 0);
  });
});
