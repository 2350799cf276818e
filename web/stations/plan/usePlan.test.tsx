import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { type Draft, usePlan } from './usePlan';

type Asked = { path: string; draft: Draft; answer: (status: number, body: unknown) => void };

let asked: Asked[];
const first: Draft = { site_id: 1, rig_id: 1, mode: 'standard', move: 'orbit', parameters: { radius_m: 20 } };
const radius = (draft: Draft | undefined) =>
  (draft?.parameters as Record<string, number> | undefined)?.radius_m;
const to = (radius_m: number) => (now: Draft) => ({ ...now, parameters: { radius_m } });

beforeEach(() => {
  asked = [];
  // biome-ignore lint/suspicious/noDocumentCookie: the token that a served page would have
  document.cookie = 'XSRF-TOKEN=token';
  vi.stubGlobal(
    'fetch',
    (path: string, options: { body: string }) =>
      new Promise((resolve) => {
        asked.push({
          path,
          draft: JSON.parse(options.body),
          answer: (status, body) => resolve(new Response(JSON.stringify(body), { status })),
        });
      }),
  );
});
afterEach(() => vi.unstubAllGlobals());

describe('usePlan', () => {
  it('asks for the first plan, then for what it would score', async () => {
    const { result } = renderHook(() => usePlan(first));
    expect(asked.map((item) => item.path)).toEqual(['/api/v1/plans']);
    await act(async () => asked[0]?.answer(200, { summary: 'first' }));
    await waitFor(() => expect(result.current.plan?.summary).toBe('first'));
    expect(result.current.busy).toBe(false);
    expect(result.current.expectation).toBeNull();
    await waitFor(() => expect(asked[1]?.path).toBe('/api/v1/expectations'));
    const shown = result.current.plan;
    await act(async () => asked[1]?.answer(200, { sentence: 'It would score 98.' }));
    await waitFor(() => expect(result.current.expectation?.sentence).toBe('It would score 98.'));
    expect(result.current.plan, 'pictures are not drawn again for it').toBe(shown);
  });

  it('asks once at a time, skips what was overtaken, and ends with the newest', async () => {
    const { result } = renderHook(() => usePlan(first));
    await act(async () => asked[0]?.answer(200, { summary: '20' }));
    act(() => {
      for (const value of [21, 22, 23, 24]) result.current.change(to(value));
    });
    expect(asked.map((item) => radius(item.draft))).toEqual([20, 21]);
    expect(radius(result.current.draft)).toBe(24);
    await act(async () => asked[1]?.answer(200, { summary: '21' }));
    await waitFor(() => expect(asked.map((item) => radius(item.draft))).toEqual([20, 21, 24]));
    await act(async () => asked[2]?.answer(200, { summary: '24' }));
    await waitFor(() => expect(result.current.plan?.summary).toBe('24'));
  });

  it('leaves the expected score until the hand rests', async () => {
    const { result } = renderHook(() => usePlan(first));
    await act(async () => asked[0]?.answer(200, { summary: '20' }));
    act(() => result.current.change(to(30)));
    await act(async () => asked[1]?.answer(200, { summary: 'quick' }));
    await waitFor(() => expect(asked).toHaveLength(3));
    expect(asked.map((item) => item.path.split('/').pop())).toEqual(['plans', 'plans', 'expectations']);
    expect(radius(asked[2]?.draft)).toBe(30);
  });

  it('does not wait for the expected score when the hand moves on, and never shows a late one', async () => {
    const { result } = renderHook(() => usePlan(first));
    await act(async () => asked[0]?.answer(200, { summary: '20' }));
    act(() => result.current.change(to(30)));
    await act(async () => asked[1]?.answer(200, { summary: '30' }));
    await waitFor(() => expect(asked).toHaveLength(3));
    act(() => result.current.change(to(31)));
    expect(radius(asked[3]?.draft)).toBe(31);
    await act(async () => asked[3]?.answer(200, { summary: '31' }));
    await act(async () => asked[2]?.answer(200, { sentence: 'score of 30' }));
    await waitFor(() => expect(result.current.plan?.summary).toBe('31'));
    expect(result.current.expectation).toBeNull();
  });

  it('asks for the reading once the hand has let go, and keeps the last one until there is another', async () => {
    const { result } = renderHook(() => usePlan(first));
    await act(async () => asked[0]?.answer(200, { summary: '20' }));
    await waitFor(() => expect(asked.at(-1)?.path).toContain('/readings'), { timeout: 2000 });
    await act(async () => asked.at(-1)?.answer(200, { depth: 'first' }));
    await waitFor(() => expect(result.current.reading).toEqual({ depth: 'first' }));
    act(() => result.current.change(to(30)));
    await act(async () => asked.at(-1)?.answer(200, { summary: '30' }));
    await waitFor(() => expect(result.current.plan?.summary).toBe('30'));
    expect(result.current.reading).toEqual({ depth: 'first' });
  });

  it('keeps the last picture beside a refusal', async () => {
    const { result } = renderHook(() => usePlan(first));
    await act(async () => asked[0]?.answer(200, { summary: 'good' }));
    act(() => result.current.change(to(0)));
    const problem = {
      type: 'urn:larkspur:problem:refused',
      title: 'No',
      status: 422,
      detail: 'Too small.',
      errors: [{ place: 'intent.parameters.radius_m', message: 'Too small.', expected: '' }],
    };
    await act(async () => asked[1]?.answer(422, problem));
    await waitFor(() => expect(result.current.problem?.details.errors[0]?.place).toContain('radius_m'));
    expect(result.current.plan?.summary).toBe('good');
  });
});
