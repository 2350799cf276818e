// What is entered while the day is still on its way is there when it has come; a thumb that presses twice enters one pass.
import { act, fireEvent, renderHook, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw } from '~/testing/page';
import { serve } from '~/testing/server';
import type { Waiting } from './fieldStore';

let stored: Waiting[] = [];
const log = { ticks: {}, passes: {}, batteries: {}, conflicts: [] };
const day = (more: object) => ({ id: 4, title: 'A day', zone: 'UTC', cards: [], lists: [], log, ...more });
vi.mock('./fieldStore', async (original) => ({
  ...(await original<typeof import('./fieldStore')>()),
  keepDay: () => Promise.resolve(),
  keepPerson: () => Promise.resolve(),
  keptDay: () => Promise.resolve({ day: day({ ...TIMETABLE }), seen: '2026-11-29T10:00:00Z' }),
  keptPerson: () => Promise.resolve({ id: 2, name: 'Tobias', units: 'metric' }),
  wait: (entry: Waiting) => {
    stored.push(entry);
    return Promise.resolve();
  },
  waiting: () => Promise.resolve([...stored]),
  sent: (done: Waiting[]) => {
    stored = stored.filter((one) => !done.includes(one));
    return Promise.resolve();
  },
}));
const slot = (shot_id: number, title: string) => ({
  shot_id,
  title,
  battery: 1,
  passes: 1,
  must: false,
  from: '2026-11-29T10:00:00Z',
  to: '2026-11-29T10:10:00Z',
});
const TIMETABLE = {
  timetable: { usable_min: 15, slots: [slot(1, 'First shot'), slot(2, 'Second shot')] },
  batteries: null,
  problem: null,
};
// Another file may have read it with the store as it is.
vi.resetModules();
const { useFieldDay } = await import('./useFieldDay');
const { default: FieldDay } = await import('./FieldDay');

let giveDay: () => void;
let kept: { item: string }[];
let theirs: object;
let planned: object;
beforeEach(() => {
  stored = [];
  kept = [];
  theirs = log;
  planned = TIMETABLE;
  const asked = new Promise<void>((resolve) => {
    giveDay = resolve;
  });
  serve(async ({ path, body }) => {
    if (path.endsWith('/me')) return new Response('{"id":2,"name":"Tobias","units":"metric"}');
    if (path.endsWith('/entries')) {
      kept.push(...(body as { entries: { item: string }[] }).entries);
      const pass = { number: 1, verdict: 'kept', note: '', by: 'Tobias', at: '2026-11-29T10:05:00Z' };
      return new Response(JSON.stringify({ ...log, passes: { 'shot-1': [pass] } }));
    }
    if (path.endsWith('/log')) return new Response(JSON.stringify(theirs));
    // The day as the server had it before anything was entered, on a slow network.
    await asked;
    return new Response(JSON.stringify(day(planned)));
  });
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

it('a pass that was logged while the day was loading is still there when it has come', async () => {
  const { result } = renderHook(() => useFieldDay(4));
  await waitFor(() => expect(result.current.day).not.toBeNull());
  act(() => result.current.enter('pass', 'shot-1', { number: 1, verdict: 'kept', note: '' }));
  await waitFor(() => expect(kept).toHaveLength(1));
  await act(async () => giveDay());
  await waitFor(() => expect(result.current.seen).not.toBe('2026-11-29T10:00:00Z'));
  expect((result.current.day as Schemas['DayDetail']).log.passes['shot-1']).toHaveLength(1);
});

it('a double tap logs one pass, and none for the shot that comes next under the thumb', async () => {
  giveDay();
  draw(<FieldDay />);
  const button = await screen.findByRole('button', { name: 'Kept' });
  fireEvent.click(button);
  await screen.findByRole('heading', { name: 'Second shot' });
  fireEvent.click(screen.getByRole('button', { name: 'Kept' }));
  await waitFor(() => expect(kept.map((one) => one.item)).toEqual(['shot-1']));
  expect(stored).toEqual([]);
});

it('what another tablet enters is seen within three seconds', async () => {
  vi.useFakeTimers({ toFake: ['setInterval', 'clearInterval'] });
  giveDay();
  const { result } = renderHook(() => useFieldDay(4));
  // `waitFor` waits by an interval, and this clock stands still until it is told.
  const settled = async (seen: () => boolean) => {
    for (let k = 0; k < 1000 && !seen(); k++) await act(() => new Promise((next) => setTimeout(next, 10)));
  };
  await settled(() => result.current.state === 'ok');
  const pass = { number: 1, verdict: 'kept', note: '', by: 'Ines', at: '2026-11-29T10:05:00Z' };
  theirs = { ...log, passes: { 'shot-1': [pass] } };
  const passes = () => result.current.day?.log.passes['shot-1'] ?? [];
  await act(() => new Promise((next) => setTimeout(next, 50)));
  expect(passes()).toEqual([]);
  act(() => vi.advanceTimersByTime(3000));
  await settled(() => passes().length > 0);
  expect(passes()).toEqual([pass]);
});

it('keeps the clock of what is in the air when nothing fits any more, and counts nothing down that nobody said', async () => {
  const flying = { running: true, since: '2026-11-29T10:00:00Z', flown_s: 0 };
  theirs = { ...log, batteries: { 'battery-1': flying } };
  planned = { timetable: null, batteries: null, problem: null, log: theirs };
  giveDay();
  draw(<FieldDay />);
  await screen.findByText(/How long it may fly is not known here/);
  expect(screen.queryByText(/come home|does not last/)).toBeNull();
  expect(screen.getByRole('button', { name: 'Landed' })).toBeTruthy();
});
