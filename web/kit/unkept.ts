// What was worked on and not kept yet, on this device: a page that breaks, closes or is left gives it back. One for each key, which names
// the person and the thing.
import { useEffect, useState } from 'react';

export type Unkept<Work extends object> = Work & { at: string };

/** A hand that rests so long has something worth keeping, ms. */
const REST = 400;

/** Older ones are forgotten, days. */
const FORGOTTEN = 30;

/** What was left under a key; null where there is nothing, or nothing that is whole. */
export function unkept<Work extends object>(
  key: string,
  isWhole: (work: Partial<Work>) => boolean,
): Unkept<Work> | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return null;
    const { at } = kept as { at?: unknown };
    const fresh = typeof at === 'string' && Date.now() - Date.parse(at) < FORGOTTEN * 86_400_000;
    return fresh && isWhole(kept as Partial<Work>) ? (kept as Unkept<Work>) : null;
  } catch {
    return null;
  }
}

export function forget(key: string): void {
  try {
    localStorage.removeItem(key);
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
}

/**
 * Keeps what is being worked on while it differs from what is kept.
 *
 * @returns what an earlier page left, until it is taken up or let go
 */
export function useUnkept<Work extends object>(
  key: string,
  now: Work,
  dirty: boolean,
  isWhole: (work: Partial<Work>) => boolean,
): { left: Unkept<Work> | null; letGo: () => void } {
  const [left, setLeft] = useState(() => unkept(key, isWhole));
  const text = JSON.stringify(now);
  useEffect(() => {
    if (!dirty) return;
    const wait = window.setTimeout(() => {
      try {
        localStorage.setItem(key, JSON.stringify({ ...JSON.parse(text), at: new Date().toISOString() }));
      } catch {
        // A device that keeps nothing, or not so much: the page asks before it is left all the same.
      }
    }, REST);
    return () => window.clearTimeout(wait);
  }, [key, text, dirty]);
  const letGo = () => {
    forget(key);
    setLeft(null);
  };
  return { left, letGo };
}
