// Holds the draft of a shot and has the server work it out, one request at a time (kit/useLatest). A pulled handle is sent as such: its
// parameters come back with the plan. What the plan would score, and what there is to read off it, take longer: they are asked for when the
// hand rests, and dropped when it moves on.
import { replaceEqualDeep } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { began, done, redone, undone } from '~/kit/history';
import { useLatest } from '~/kit/useLatest';
import { type Change, changed, type Draft } from './draft';

/** A hand that has not moved for so long rests, ms; for so long it has let go. */
const REST = 150;
const LONG_REST = 600;

export type Pull = Schemas['Pull'];

/** A plan; where a dial was refused, that of all others, and why that one was. */
type Answer = { plan: Schemas['Plan']; draft: Draft; refused: Problem | null };

export type Planning = {
  draft: Draft;
  /** Changes the draft and asks for its plan at once, before the page is drawn again. */
  change: (change: Change) => void;
  /** Pulls a handle of the plan. */
  pull: (pull: Pull) => void;
  /** A step back, and forth again; null where there is none. */
  undo: (() => void) | null;
  redo: (() => void) | null;
  plan: Schemas['Plan'] | null;
  /** What the plan on show would score; null until that is known. */
  expectation: Schemas['Expectation'] | null;
  /** The last reading stays until there is a newer one: what is read changes little from pull to pull. */
  reading: Schemas['Reading'] | null;
  problem: Problem | null;
  busy: boolean;
};

export function usePlan(first: Draft): Planning {
  const [history, setHistory] = useState(() => began(first));
  const draft = history.now;
  const latest = useRef(history);
  /** What the hand was at when it last moved, and when: what follows at once is the same step. */
  const hand = useRef({ at: 0, of: '' });
  /** The parameters of the last plan that was worked out, and its move. */
  const good = useRef<{ move: string; values: Record<string, unknown> } | null>(null);
  /** The last plan: what of it a new one does not change stays the same object, and what shows that is not drawn again. */
  const shown = useRef<Schemas['Plan'] | null>(null);
  /** What a hand did since the last question was sent. */
  const pulled = useRef<Pull | null>(null);
  const go = (next: typeof history) => {
    latest.current = next;
    setHistory(next);
  };
  /** What one hand does without a rest is one step. */
  const step = (by: Change, of: string) => {
    const now = performance.now();
    const joins = hand.current.of === of && now - hand.current.at < LONG_REST;
    hand.current = { at: now, of };
    go(done(latest.current, changed(latest.current.now, by), joins));
  };
  const { value, problem, busy, ask } = useLatest(async (_: undefined): Promise<Answer> => {
    const pull = pulled.current;
    pulled.current = null;
    const sent = latest.current.now;
    const body = pull === null ? sent : { ...sent, pull };
    const { plan: told, refused } = await withoutRefused(
      body,
      good.current?.move === sent.move ? good.current.values : {},
    );
    const plan = replaceEqualDeep(shown.current, told);
    shown.current = plan;
    if (refused === null) good.current = { move: sent.move, values: plan.intent.parameters };
    // Whatever else was changed meanwhile stays; another move has other parameters.
    if (pull !== null && plan.pulled && latest.current.now.move === sent.move)
      step({ kind: 'values', values: plan.pulled }, `handle ${pull.handle}`);
    return { plan, draft: latest.current.now, refused };
  }, 'larkspur:redraw');
  const refused = problem ?? value?.refused ?? null;
  const rested = busy || refused !== null ? null : value;
  const expected = useRested(expect, rested, REST);
  const read = useRested(readOff, rested, LONG_REST);

  useEffect(() => ask(undefined), [ask]);

  const change = (by: Change) => {
    step(by, by.kind === 'values' ? Object.keys(by.values).join() : by.kind);
    ask(undefined);
  };
  const turn = (to: typeof undone) => () => {
    hand.current = { at: 0, of: '' };
    go(to(latest.current));
    ask(undefined);
  };
  const pull = (next: Pull) => {
    pulled.current = addedTo(pulled.current, next);
    ask(undefined);
  };

  return {
    draft,
    change,
    pull,
    undo: history.past.length > 0 ? turn(undone) : null,
    redo: history.future.length > 0 ? turn(redone) : null,
    plan: value?.plan ?? null,
    expectation: expected !== null && expected.of === value ? expected.said : null,
    reading: read?.said ?? null,
    problem: refused,
    busy: busy || (value === null && problem === null),
  };
}

/** Steps of one handle add up while they wait; a handle that is put somewhere is there. */
function addedTo(waiting: Pull | null, next: Pull): Pull {
  return waiting?.by && next.by && waiting.handle === next.handle
    ? { ...next, by: { right: waiting.by.right + next.by.right, up: waiting.by.up + next.by.up } }
    : next;
}

/**
 * The plan that was asked for; where a dial is refused, that with its last value that was not, or as it is left open: the other dials
 * and the pictures go on.
 */
async function withoutRefused(
  body: Draft & { pull?: Pull },
  good: Record<string, unknown>,
): Promise<{ plan: Schemas['Plan']; refused: Problem | null }> {
  try {
    return { plan: await answered(api.POST('/plans', { body })), refused: null };
  } catch (error) {
    const own = { ...body.parameters } as Record<string, unknown>;
    const refused =
      error instanceof Problem
        ? error.details.errors.flatMap(({ place }) => place.match(/^intent\.parameters\.(\w+)$/)?.[1] ?? [])
        : [];
    // A pull that is refused changes nothing: its shot is on show.
    if (body.pull !== undefined || refused.every((id) => own[id] === undefined)) throw error;
    for (const id of refused) {
      if (good[id] !== undefined && good[id] !== own[id]) own[id] = good[id];
      else delete own[id];
    }
    try {
      const plan = await answered(api.POST('/plans', { body: { ...body, parameters: own } as Draft }));
      return { plan, refused: error as Problem };
    } catch {
      throw error;
    }
  }
}

const expect = (body: Draft, signal: AbortSignal) => answered(api.POST('/expectations', { body, signal }));
const readOff = (body: Draft, signal: AbortSignal) => answered(api.POST('/readings', { body, signal }));

/** What the server says of a plan that has stood for so long, ms, and of which plan; nobody waits for it. */
function useRested<S>(
  askFor: (draft: Draft, signal: AbortSignal) => Promise<S>,
  of: Answer | null,
  rest: number,
): { said: S; of: Answer } | null {
  const [answer, setAnswer] = useState<{ said: S; of: Answer } | null>(null);
  useEffect(() => {
    if (of === null) return;
    const controller = new AbortController();
    const wait = window.setTimeout(async () => {
      try {
        const said = await askFor(of.draft, controller.signal);
        if (!controller.signal.aborted) setAnswer({ said, of });
      } catch (error) {
        // The plan stands without it; a hand that moves on asks anew.
        if (!(error instanceof Problem) && !controller.signal.aborted) throw error;
      }
    }, rest);
    return () => {
      window.clearTimeout(wait);
      controller.abort();
    };
  }, [askFor, of, rest]);
  return answer;
}
