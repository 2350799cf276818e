// Two people at one day: what was changed here is put into what the other one saved.
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { serve } from '~/testing/server';
import { useDayForm } from './useDayForm';

type Day = Schemas['DayDetail'];
type Sent = { method: string; body: { title: string; version: number } | null };

const day = (version: number, title: string): Day =>
  ({
    id: 4,
    version,
    title,
    date: '2026-06-03',
    site_id: 1,
    document: { from: '09:00', to: '17:00', batteries: { count: 3, minutes: 20 }, shots: [] },
  }) as unknown as Day;

let sent: Sent[];
let kept: Day;

beforeEach(() => {
  sent = [];
  kept = day(1, 'A day');
  // A server that takes a change only from whoever saw the latest version.
  serve(({ method, body: given }) => {
    const body = given as Sent['body'] & { version: number };
    sent.push({ method, body });
    if (method === 'PUT') {
      if (body.version !== kept.version) {
        const problem = { type: '', title: '', status: 409, detail: 'Somebody saved first.', errors: [] };
        return new Response(JSON.stringify(problem), { status: 409 });
      }
      kept = { ...kept, ...body, version: kept.version + 1 };
    }
    return new Response(JSON.stringify(kept), { status: 200 });
  });
});
afterEach(() => vi.unstubAllGlobals());

describe('the form of a day', () => {
  it('puts a change into what somebody else has saved, and goes on from there', async () => {
    const { result } = renderHook(() => useDayForm(day(1, 'A day')));
    kept = { ...day(5, 'Renamed by the trainer') };
    act(() => result.current.put({ from: '08:00' }));
    await waitFor(() => expect(kept.version).toBe(6));
    expect([kept.title, kept.document.from]).toEqual(['Renamed by the trainer', '08:00']);
    await waitFor(() => expect(result.current.form.title).toBe('Renamed by the trainer'));
    expect(result.current.merged).toBe(true);
    expect(result.current.problem).toBeNull();
    // The next change is saved at once.
    act(() => result.current.put({ to: '18:00' }));
    await waitFor(() => expect(kept.version).toBe(7));
    expect(sent.map((one) => one.method)).toEqual(['PUT', 'GET', 'PUT', 'PUT']);
    expect([kept.document.from, kept.document.to]).toEqual(['08:00', '18:00']);
  });
});
