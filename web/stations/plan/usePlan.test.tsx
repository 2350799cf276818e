// One question at a time, the newest last; a pull is sent as a pull; what takes longer waits until the hand rests.
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { json, refusal, serve } from '~/testing/server';
import type { Draft } from './draft';
import { type Pull, usePlan } from './usePlan';

type Body = Draft & { pull?: Pull };
type Question = { path: string; body: Body; answer: (response: Response) => void };

let asked: Question[];
const first: Draft = { site_id: 1, rig_id: 1, mode: 'standard', move: 'orbit', parameters: { radius_m: 20 } };
const radius = (question: Question | undefined) =>
  (question?.body.parameters as Record<string, number> | undefined)?.radius_m;
const plan = (summary: string, pulled: Record<string, number> | null = null, parameters = {}) =>
  json({ summary, pulled, intent: { parameters } });

beforeEach(() => {
  vi.useFakeTimers({ shouldAdvanceTime: true });
  asked = [];
  serve(({ path, body }) => new Promise((answer) => asked.push({ path, body: body as Body, answer })));
});
afterEach(() => {
  vi.useRealTimers();
  vi.unstubAllGlobals();
});

/** The n-th question, once it is asked, answered. */
async function answer(n: number, response: Response): Promise<void> {
  await waitFor(() => expect(asked.length).toBeGreaterThan(n));
  await act(async () => asked[n]?.answer(response));
}

const begun = async () => {
  const hook = renderHook(() => usePlan(first));
  await answer(0, plan('first'));
  await waitFor(() => expect(hook.result.current.plan?.summary).toBe('first'));
  const { change, pull } = hook.result.current;
  const to = (radius_m: number) => act(() => change({ kind: 'values', values: { radius_m } }));
  return { result: hook.result, pull, to };
};

const hold = (ms: number) => act(() => vi.advanceTimersByTimeAsync(ms));

describe('usePlan', () => {
  it('asks for the first plan, then for what it would score', async () => {
    const { result } = await begun();
    expect(result.current.busy).toBe(false);
    expect(result.current.expectation).toBeNull();
    const shown = result.current.plan;
    await hold(200);
    expect(asked[1]?.path).toBe('/expectations');
    await answer(1, json({ sentence: 'It would score 98.' }));
    await waitFor(() => expect(result.current.expectation?.sentence).toBe('It would score 98.'));
    expect(result.current.plan, 'pictures are not drawn again for it').toBe(shown);
  });

  it('asks once at a time, skips what was overtaken, and ends with the newest', async () => {
    const { result, to } = await begun();
    for (const value of [21, 22, 23, 24]) to(value);
    await waitFor(() => expect(asked).toHaveLength(2));
    expect(result.current.draft.parameters).toEqual({ radius_m: 24 });
    await answer(1, plan('between'));
    await answer(2, plan('24'));
    await waitFor(() => expect(result.current.plan?.summary).toBe('24'));
    expect(asked).toHaveLength(3);
    expect(radius(asked[2])).toBe(24);
  });

  it('leaves the expected score until the hand rests', async () => {
    const { to } = await begun();
    to(30);
    await answer(1, plan('quick'));
    await hold(100);
    expect(asked.map((one) => one.path)).toEqual(['/plans', '/plans']);
    await hold(100);
    expect(asked.map((one) => one.path)).toEqual(['/plans', '/plans', '/expectations']);
    expect(radius(asked[2])).toBe(30);
  });

  it('does not wait for the expected score when the hand moves on, and never shows a late one', async () => {
    const { result, to } = await begun();
    await hold(200);
    expect(asked).toHaveLength(2);
    to(31);
    await waitFor(() => expect(asked).toHaveLength(3));
    expect(radius(asked[2])).toBe(31);
    await answer(2, plan('31'));
    await answer(1, json({ sentence: 'score of 20' }));
    await waitFor(() => expect(result.current.plan?.summary).toBe('31'));
    expect(result.current.expectation).toBeNull();
  });

  it('asks for the reading once the hand has let go, and keeps the last one until there is another', async () => {
    const { result, to } = await begun();
    await hold(700);
    expect(asked.at(-1)?.path).toBe('/readings');
    await answer(asked.length - 1, json({ depth: 'first' }));
    await waitFor(() => expect(result.current.reading).toEqual({ depth: 'first' }));
    to(30);
    await answer(asked.length, plan('30'));
    await waitFor(() => expect(result.current.plan?.summary).toBe('30'));
    expect(result.current.reading).toEqual({ depth: 'first' });
  });

  it('takes steps back and forth; what a hand does without a rest is one', async () => {
    const { result, to } = await begun();
    const now = () => (result.current.draft.parameters as Record<string, number>).radius_m;
    expect([result.current.undo, result.current.redo]).toEqual([null, null]);
    for (const value of [21, 22, 23]) to(value);
    await hold(700);
    act(() => result.current.change({ kind: 'values', values: { height_m: 9 } }));
    await hold(700);
    act(() => result.current.undo?.());
    expect(result.current.draft.parameters).toEqual({ radius_m: 23 });
    act(() => result.current.undo?.());
    expect([now(), result.current.undo]).toEqual([20, null]);
    act(() => result.current.redo?.());
    expect(now()).toBe(23);
    to(30);
    expect(result.current.redo).toBeNull();
    await answer(1, plan('back'));
    await waitFor(() => expect(radius(asked.filter((one) => one.path === '/plans').at(-1))).toBe(30));
  });

  it('keeps the last picture beside a refusal', async () => {
    const { result, to } = await begun();
    to(0);
    await answer(1, refusal('Too small.', 422, 'intent.parameters.radius_m'));
    await answer(2, refusal('Left open it does not go either.', 422, 'intent.parameters.arc_deg'));
    await waitFor(() => expect(result.current.problem?.details.errors[0]?.place).toContain('radius_m'));
    expect(result.current.plan?.summary).toBe('first');
  });

  it('goes on with the other dials while one is refused, with the last value of that one that was taken', async () => {
    const { result, to } = await begun();
    const too = () => refusal('Too small.', 422, 'intent.parameters.radius_m');
    to(30);
    await answer(1, plan('thirty', null, { radius_m: 30 }));
    to(0);
    await answer(2, too());
    await answer(3, plan('thirty still', null, { radius_m: 30 }));
    expect(radius(asked[3])).toBe(30);
    await waitFor(() => expect(result.current.problem).not.toBeNull());
    act(() => result.current.change({ kind: 'values', values: { height_m: 9 } }));
    await answer(4, too());
    await answer(5, plan('higher'));
    expect(asked[5]?.body.parameters).toEqual({ radius_m: 30, height_m: 9 });
    await waitFor(() => expect(result.current.plan?.summary).toBe('higher'));
    expect(result.current.problem, 'and it says why that one is not').not.toBeNull();
    expect(result.current.draft.parameters, 'what was typed stays typed').toEqual({
      radius_m: 0,
      height_m: 9,
    });
    await hold(900);
    expect(
      asked.filter((one) => one.path !== '/plans'),
      'nothing is read off it',
    ).toHaveLength(0);
  });
});

describe('a pull', () => {
  const start = (east_m: number): Pull => ({ handle: 'start', to: { east_m, north_m: 0 } });

  it('is sent as such, and its parameters come back', async () => {
    const { result, pull } = await begun();
    act(() => pull(start(30)));
    await answer(1, plan('pulled', { radius_m: 30 }));
    await waitFor(() => expect(result.current.draft.parameters).toEqual({ radius_m: 30 }));
    expect(asked[1]?.body.pull).toEqual(start(30));
    expect(radius(asked[1]), 'from the draft that was on show').toBe(20);
    await hold(200);
    expect(radius(asked[2]), 'what it would score is asked of the pulled shot').toBe(30);
    expect(asked[2]?.body.pull).toBeUndefined();
  });

  it('goes on from where the last one has led', async () => {
    const { result, pull } = await begun();
    act(() => pull(start(30)));
    await waitFor(() => expect(asked).toHaveLength(2));
    act(() => pull(start(31)));
    act(() => pull(start(32)));
    await answer(1, plan('30', { radius_m: 30 }));
    await answer(2, plan('32', { radius_m: 32 }));
    await waitFor(() => expect(result.current.draft.parameters).toEqual({ radius_m: 32 }));
    expect([radius(asked[2]), asked[2]?.body.pull]).toEqual([30, start(32)]);
    expect(asked).toHaveLength(3);
  });

  it('by arrow keys adds up while it waits', async () => {
    const { pull } = await begun();
    const by = (right: number): Pull => ({ handle: 'end', by: { right, up: 1 } });
    act(() => pull(by(1)));
    await waitFor(() => expect(asked).toHaveLength(2));
    act(() => pull(by(1)));
    act(() => pull(by(5)));
    await answer(1, plan('one', { arc_deg: 95 }));
    await waitFor(() => expect(asked).toHaveLength(3));
    expect(asked[2]?.body.pull).toEqual({ handle: 'end', by: { right: 6, up: 2 } });
  });

  it('that is refused changes nothing', async () => {
    const { result, pull } = await begun();
    act(() => pull(start(0)));
    await answer(1, refusal('The way would end beyond the subject.'));
    await waitFor(() => expect(result.current.problem).not.toBeNull());
    expect(result.current.draft.parameters).toEqual({ radius_m: 20 });
  });

  it('that comes back to another move is forgotten', async () => {
    const { result, pull } = await begun();
    act(() => pull(start(30)));
    await waitFor(() => expect(asked).toHaveLength(2));
    act(() => result.current.change({ kind: 'move', move: 'rise', own: ['climb_m'] }));
    await answer(1, plan('late', { radius_m: 30 }));
    await waitFor(() => expect(asked).toHaveLength(3));
    expect(asked[2]?.body).toMatchObject({ move: 'rise', parameters: {} });
  });
});
