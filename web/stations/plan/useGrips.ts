// What can be pulled on the thumb sheet: from when it is held (the ease), when it is over (the pace), and when tilt or lift set out. Each
// starts from what the plan on show has, so a hand that is ahead of its plan does not run away.
import { useMemo } from 'react';
import type { Schemas } from '~/api/client';
import type { Grip, Stave } from '~/pictures/StaveLanes';
import { rounded, type Values } from './draft';

/** How fast a move goes, whatever it goes by. */
const PACES = ['pace_mps', 'climb_mps', 'spin_dps'];

/** What sets out later than the rest, and on which stave. */
const LATE = [
  { id: 'tilt_after_s', stave: 'tilt', label: 'When the tilt sets out' },
  { id: 'lift_after_s', stave: 'climb', label: 'When the lift sets out' },
] as const;

export function useGrips(
  plan: Schemas['Plan'] | null,
  parameters: Schemas['Parameter'][],
  set: (values: Values) => void,
): Grip[] {
  return useMemo(() => (plan === null ? [] : gripsOf(plan, parameters, set)), [plan, parameters, set]);
}

export function gripsOf(
  plan: Schemas['Plan'],
  parameters: Schemas['Parameter'][],
  set: (values: Values) => void,
): Grip[] {
  const has = plan.intent.parameters as Values;
  const { onset_s, hold_from_s, stop_s } = plan.phases;
  const grips: Grip[] = [];
  /** A parameter that follows the time of its grip: what it becomes when the grip is put at t. */
  const grip = (
    id: string,
    label: string,
    t: number | null | undefined,
    stave: Stave | null,
    becomes: (now: number, t: number) => number,
  ) => {
    const parameter = parameters.find((one) => one.id === id);
    const now = has[id];
    if (parameter === undefined || typeof now !== 'number' || t === null || t === undefined) return;
    const put = (at: number) => {
      const next = rounded(becomes(now, at), parameter.step ?? 0.1);
      const within = Math.min(parameter.most ?? next, Math.max(parameter.least ?? next, next));
      if (Number.isFinite(within)) set({ [id]: Number(within.toFixed(3)) });
    };
    grips.push({ id, label, t, stave, onMove: put, onNudge: (by) => put(t + by) });
  };
  grip('ease_s', 'When it is held: the ease', hold_from_s, null, (now, t) => now + t - hold_from_s);
  const pace = PACES.find((id) => typeof has[id] === 'number');
  if (pace === undefined) {
    grip('duration_s', 'When it is over: the time', stop_s, null, (now, t) => now + t - stop_s);
  } else {
    grip(
      pace,
      'When it is over: the pace',
      stop_s,
      null,
      (now, t) => (now * (stop_s - onset_s)) / Math.max(0.5, t - onset_s),
    );
  }
  for (const { id, stave, label } of LATE) {
    const press = plan.presses.find((one) => one.finger === stave);
    grip(id, label, press?.onset_s, stave, (now, t) => Math.max(0, now + t - (press?.onset_s ?? t)));
  }
  return grips;
}
