// What was not kept is given back on the same device, to the same person, for the same shot; and titles tell shots apart.
import { act, renderHook } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import type { Draft } from './draft';
import { forget, unkept, useUnkept } from './keptDraft';
import { untaken } from './Worksheet';

const draft: Draft = { site_id: 1, rig_id: 1, mode: 'standard', move: 'orbit', parameters: { radius_m: 20 } };

beforeEach(() => {
  localStorage.clear();
  vi.useFakeTimers();
});
afterEach(() => vi.useRealTimers());

const work = (user: number, shot: number | null, dirty: boolean, title = 'Mine') =>
  renderHook(() => useUnkept(user, shot, { draft, title }, dirty));

describe('what was not kept', () => {
  it('is there again after the page broke, and nowhere else', () => {
    work(1, 7, true);
    act(() => vi.advanceTimersByTime(500));
    expect(work(1, 7, false).result.current.left).toMatchObject({ draft, title: 'Mine' });
    for (const [user, shot] of [
      [2, 7],
      [1, 8],
      [1, null],
    ] as const)
      expect(work(user, shot, false).result.current.left).toBeNull();
  });

  it('is not written where there is nothing to lose, and goes when it is let go', () => {
    work(1, 7, false);
    act(() => vi.advanceTimersByTime(500));
    expect(unkept(1, 7)).toBeNull();
    work(1, 7, true);
    act(() => vi.advanceTimersByTime(500));
    const { result } = work(1, 7, false);
    act(() => result.current.letGo());
    expect([result.current.left, unkept(1, 7)]).toEqual([null, null]);
    forget(1, 7);
  });

  it.each([
    '',
    'null',
    '3',
    '{"draft":{}}',
    '{"draft":{"move":"orbit"},"title":"x","at":"2020-01-01T00:00:00Z"}',
  ])('is nothing where %s is written', (text) => {
    localStorage.setItem('larkspur:plan:1:7', text);
    expect(unkept(1, 7)).toBeNull();
  });
});

describe('a title', () => {
  const shots = ['Kiln, orbit', 'Kiln, orbit 2', 'Mill'].map((title, k) => ({
    id: k + 1,
    title,
  })) as Schemas['Shot'][];

  it('is one that no other shot has', () => {
    expect(untaken('Moor', shots, undefined)).toBe('Moor');
    expect(untaken('Kiln, orbit', shots, undefined)).toBe('Kiln, orbit 3');
    expect(untaken('Kiln, orbit 2', shots, undefined)).toBe('Kiln, orbit 3');
    expect(untaken('Mill', shots, 3), 'its own is its own').toBe('Mill');
  });
});
