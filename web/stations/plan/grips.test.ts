import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { gripsOf } from './useGrips';

const parameter = (id: string, least: number, most: number) =>
  ({ id, label: id, unit: '', least, most, step: 0.1 }) as Schemas['Parameter'];
const PARAMETERS = [
  parameter('ease_s', 0.3, 10),
  parameter('pace_mps', 0.1, 40),
  parameter('tilt_after_s', 0, 60),
  parameter('duration_s', 0.5, 600),
];
const plan = (parameters: Record<string, number>) =>
  ({
    intent: { move: 'dolly', parameters },
    phases: { onset_s: 3, hold_from_s: 5.5, hold_to_s: 21, stop_s: 23, duration_s: 26, lead_s: 0 },
    presses: [
      { finger: 'tilt', onset_s: 6 },
      { finger: 'climb', onset_s: null },
    ],
  }) as unknown as Schemas['Plan'];
const pulled = (id: string, to: number, parameters: Record<string, number>) => {
  const set = vi.fn();
  gripsOf(plan(parameters), PARAMETERS, set)
    .find((one) => one.id === id)
    ?.onMove(to);
  return set.mock.calls[0]?.[0];
};

describe('what is pulled on the thumb sheet', () => {
  it('stands where the plan has it', () => {
    const grips = gripsOf(plan({ ease_s: 2.5, pace_mps: 2, tilt_after_s: 3 }), PARAMETERS, vi.fn());
    expect(grips.map((one) => [one.id, one.t, one.stave])).toEqual([
      ['ease_s', 5.5, null],
      ['pace_mps', 23, null],
      ['tilt_after_s', 6, 'tilt'],
    ]);
  });

  it('makes the ease as much longer as it is pulled later', () => {
    expect(pulled('ease_s', 6.5, { ease_s: 2.5 })).toEqual({ ease_s: 3.5 });
    expect(pulled('ease_s', 1, { ease_s: 2.5 })).toEqual({ ease_s: 0.3 });
  });

  it('goes the same way in the time that is left: half the time is twice the pace', () => {
    expect(pulled('pace_mps', 13, { pace_mps: 2 })).toEqual({ pace_mps: 4 });
    expect(pulled('pace_mps', 43, { pace_mps: 2 })).toEqual({ pace_mps: 1 });
    // Before it begins nothing can end.
    expect(pulled('pace_mps', 1, { pace_mps: 2 })).toEqual({ pace_mps: 40 });
  });

  it('is the time itself where a move is stated by its time', () => {
    expect(pulled('duration_s', 25, { duration_s: 20 })).toEqual({ duration_s: 22 });
  });

  it('moves the tilt with its press, and never before the start', () => {
    expect(pulled('tilt_after_s', 7.2, { tilt_after_s: 3 })).toEqual({ tilt_after_s: 4.2 });
    expect(pulled('tilt_after_s', 0, { tilt_after_s: 3 })).toEqual({ tilt_after_s: 0 });
  });

  it('offers nothing that the move does not have, or that does not play', () => {
    expect(gripsOf(plan({ radius_m: 20, lift_after_s: 4 }), PARAMETERS, vi.fn())).toEqual([]);
  });

  it('is nudged in time by arrow keys', () => {
    const set = vi.fn();
    gripsOf(plan({ ease_s: 2.5 }), PARAMETERS, set)[0]?.onNudge(0.2);
    expect(set).toHaveBeenCalledWith({ ease_s: 2.7 });
  });
});
