// What was planned and not kept yet, on this device: a page that breaks, closes or is left gives it back. One for each shot and person.
import { useEffect, useState } from 'react';
import type { Draft } from './draft';

export type Unkept = { draft: Draft; title: string; at: string };

/** A hand that rests so long has something worth keeping, ms. */
const REST = 400;

/** Older ones are forgotten, days. */
const FORGOTTEN = 30;

const keyOf = (user: number, shot: number | null) => `larkspur:plan:${user}:${shot ?? 'new'}`;

export function unkept(user: number, shot: number | null): Unkept | null {
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(keyOf(user, shot)) ?? 'null');
    if (typeof kept !== 'object' || kept === null) return null;
    const { draft, title, at } = kept as Partial<Unkept>;
    const whole = typeof draft?.move === 'string' && typeof title === 'string' && typeof at === 'string';
    return whole && Date.now() - Date.parse(at) < FORGOTTEN * 86_400_000 ? { draft, title, at } : null;
  } catch {
    return null;
  }
}

export function forget(user: number, shot: number | null): void {
  try {
    localStorage.removeItem(keyOf(user, shot));
  } catch {
    // A device that keeps nothing has nothing to forget.
  }
}

/**
 * Keeps what is being planned while it differs from what is kept.
 *
 * @returns what an earlier page left, until it is taken up or let go
 */
export function useUnkept(
  user: number,
  shot: number | null,
  now: { draft: Draft; title: string },
  dirty: boolean,
): { left: Unkept | null; letGo: () => void } {
  const [left, setLeft] = useState(() => unkept(user, shot));
  const text = JSON.stringify(now);
  useEffect(() => {
    if (!dirty) return;
    const wait = window.setTimeout(() => {
      try {
        localStorage.setItem(
          keyOf(user, shot),
          JSON.stringify({ ...JSON.parse(text), at: new Date().toISOString() }),
        );
      } catch {
        // A device that keeps nothing: the page asks before it is left all the same.
      }
    }, REST);
    return () => window.clearTimeout(wait);
  }, [user, shot, text, dirty]);
  const letGo = () => {
    forget(user, shot);
    setLeft(null);
  };
  return { left, letGo };
}
