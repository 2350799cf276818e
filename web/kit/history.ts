// What is worked on, with every step undone and done again. Pure.

export type History<T> = { past: T[]; now: T; future: T[] };

const DEEP = 200;

export const began = <T>(now: T): History<T> => ({ past: [], now, future: [] });

/** @param joins whether it belongs to the step before, as one pull of a hand does: both are undone at once */
export function done<T>(history: History<T>, next: T, joins = false): History<T> {
  if (next === history.now) return history;
  const past = joins && history.past.length > 0 ? history.past : [...history.past, history.now].slice(-DEEP);
  return { past, now: next, future: [] };
}

export function undone<T>({ past, now, future }: History<T>): History<T> {
  const before = past.at(-1);
  return before === undefined
    ? { past, now, future }
    : { past: past.slice(0, -1), now: before, future: [now, ...future] };
}

export function redone<T>({ past, now, future }: History<T>): History<T> {
  const [next, ...rest] = future;
  return next === undefined ? { past, now, future } : { past: [...past, now], now: next, future: rest };
}
