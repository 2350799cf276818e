import { fireEvent, render, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { type Lane, laneOf, reachOf, StaveLanes, staveOf } from './StaveLanes';

beforeAll(() => {
  // jsdom lays nothing out.
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      disconnect() {}
    },
  );
  Object.defineProperty(HTMLElement.prototype, 'clientWidth', { value: 900, configurable: true });
  Object.defineProperty(HTMLElement.prototype, 'clientHeight', { value: 300, configurable: true });
});

const lanes: Lane[] = [
  { finger: 'turn', thumb: 'Left thumb, side', ends: ['left', 'right'], value: '23 % right' },
];
const planned = { t: [0, 1, 2, 3], fingers: { turn: [0, 0.2, 0.2, 0] } };

describe('stave lanes', () => {
  it('spreads small presses and never clips large ones', () => {
    expect(reachOf({ t: [0], fingers: { turn: [0.04] } }, null)).toBe(0.25);
    expect(reachOf({ t: [0], fingers: { turn: [0.26] } }, null)).toBe(0.5);
    expect(reachOf(planned, { t: [0], fingers: { slide: [-0.81] } })).toBe(1);
  });

  it('pins a fault to the finger that made it', () => {
    const flown = { t: [0, 1], fingers: { run: [0.1, 0.1], slide: [-0.6, -0.5] } };
    expect(staveOf('turn', flown)).toBe('turn');
    expect(staveOf('travel', flown)).toBe('slide');
    expect(staveOf('frame', flown)).toBeNull();
  });

  it('names what a finger holds', () => {
    const press = {
      finger: 'slide',
      thumb: 'Right thumb, side',
      ends: ['left', 'right'],
      hold: -0.384,
      peak: -0.4,
      kind: 'plays',
      onset_s: 3,
      off_s: 20,
    } as const;
    expect(laneOf({ ...press, ends: [...press.ends] }).value).toBe('38 % left');
    expect(laneOf({ ...press, ends: [...press.ends], kind: 'rests', hold: 0 }).value).toBe('rests');
  });

  it('lets the clock go when a touch is interrupted', () => {
    const onTime = vi.fn();
    render(
      <StaveLanes lanes={lanes} planned={planned} flown={null} from={0} to={3} time={1} onTime={onTime} />,
    );
    const slider = screen.getByRole('slider', { name: /Clock/ });
    fireEvent.pointerDown(slider, { pointerId: 1, buttons: 1, clientX: 300 });
    fireEvent.pointerMove(slider, { pointerId: 1, buttons: 1, clientX: 320 });
    expect(onTime).toHaveBeenCalledTimes(2);
    fireEvent.pointerCancel(slider, { pointerId: 1 });
    fireEvent.pointerMove(slider, { pointerId: 1, buttons: 1, clientX: 500 });
    expect(onTime).toHaveBeenCalledTimes(2);
  });

  it('moves the clock from the keyboard, within the take', () => {
    const onTime = vi.fn();
    render(
      <StaveLanes lanes={lanes} planned={planned} flown={null} from={0} to={3} time={2.9} onTime={onTime} />,
    );
    const slider = screen.getByRole('slider', { name: /Clock/ });
    fireEvent.keyDown(slider, { key: 'ArrowRight' });
    fireEvent.keyDown(slider, { key: 'PageDown' });
    expect(onTime.mock.calls.map(([time]) => time)).toEqual([3, expect.closeTo(0.9, 9)]);
  });

  it('opens a pin by press and by key', () => {
    const onPin = vi.fn();
    const pin = {
      t: 1.5,
      stave: 'turn' as const,
      kind: 'fault' as const,
      severity: 'severe',
      label: 'kick, severe',
      key: 'a',
    };
    render(
      <StaveLanes
        lanes={lanes}
        planned={planned}
        flown={null}
        from={0}
        to={3}
        time={null}
        pins={[pin]}
        onPin={onPin}
      />,
    );
    const mark = screen.getByRole('button', { name: '0:01.5: kick, severe' });
    fireEvent.click(mark);
    fireEvent.keyDown(mark, { key: 'Enter' });
    expect(onPin).toHaveBeenCalledTimes(2);
  });
});
