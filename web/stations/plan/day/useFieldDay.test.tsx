// A device that keeps nothing (storage full, or private): what is entered is said to be at risk, and goes to the server all the same.
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { serve } from '~/testing/server';

const failing = () => Promise.reject(new DOMException('full', 'QuotaExceededError'));
vi.mock('./fieldStore', async (original) => ({
  ...(await original<typeof import('./fieldStore')>()),
  keepDay: failing,
  keepPerson: failing,
  keptDay: failing,
  keptPerson: failing,
  wait: failing,
  waiting: failing,
  sent: failing,
}));
// Another file may have read it with the store as it is.
vi.resetModules();
const { useFieldDay } = await import('./useFieldDay');

const log = { ticks: {}, passes: {}, batteries: {}, conflicts: [] };
let reachable: boolean;
let entered: string[];

beforeEach(() => {
  reachable = true;
  entered = [];
  serve(({ path, body }) => {
    if (!reachable) throw new TypeError('no network');
    if (path.endsWith('/me')) return new Response('{"id":2,"name":"Ines","units":"metric"}');
    if (path.endsWith('/entries')) {
      entered.push(...(body as { entries: { item: string }[] }).entries.map((one) => one.item));
      return new Response(JSON.stringify(log));
    }
    return new Response(JSON.stringify({ id: 4, log, title: 'A day' }));
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('a day in the field on a device that keeps nothing', () => {
  it('says what is at risk, and sends it once the server is reached', async () => {
    const { result } = renderHook(() => useFieldDay(4));
    await waitFor(() => expect(result.current.state).toBe('ok'));
    reachable = false;
    act(() => result.current.enter('tick', 'bag-cards', { on: true }));
    await waitFor(() => expect(result.current.atRisk).toBe(1));
    expect(result.current.pending.map((one) => one.item)).toEqual(['bag-cards']);
    reachable = true;
    act(() => result.current.sendNow());
    await waitFor(() => expect(entered).toEqual(['bag-cards']));
    await waitFor(() => expect(result.current.atRisk).toBe(0));
    expect(result.current.pending).toEqual([]);
  });
});
