// Holds the draft of a shot and has the server work it out, one request at a time (kit/useLatest). What it would score, and what there
// is to read off it, take longer: they are asked for when the hand rests, and dropped when it moves on.
import { useCallback, useEffect, useRef, useState } from 'react';
import { call, Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

export type Draft = Schemas['PlanDraft'];

/** A hand that has not moved for so long rests, ms; for so long it has let go. */
const REST = 150;
const LONG_REST = 600;

type Answer = { plan: Schemas['Plan']; draft: Draft };

export type Planning = {
  draft: Draft;
  /** Changes the draft and asks for its plan at once, before the page is drawn again. */
  change: (change: (now: Draft) => Draft) => void;
  plan: Schemas['Plan'] | null;
  /** What the plan on show would score; null until that is known. */
  expectation: Schemas['Expectation'] | null;
  /** The last reading stays until there is a newer one: what is read changes little from pull to pull. */
  reading: Schemas['Reading'] | null;
  problem: Problem | null;
  busy: boolean;
};

export function usePlan(first: Draft): Planning {
  const [draft, setDraft] = useState(first);
  const latest = useRef(first);
  const { value, problem, busy, ask } = useLatest(
    async (now: Draft): Promise<Answer> => ({
      plan: await call<Schemas['Plan']>('POST', '/plans', now),
      draft: now,
    }),
    'larkspur:redraw',
  );
  const rested = busy || problem !== null ? null : value;
  const expected = useRested<Schemas['Expectation']>('/expectations', rested, REST);
  const read = useRested<Schemas['Reading']>('/readings', rested, LONG_REST);

  useEffect(() => ask(latest.current), [ask]);

  const change = useCallback(
    (step: (now: Draft) => Draft) => {
      latest.current = step(latest.current);
      ask(latest.current);
      setDraft(latest.current);
    },
    [ask],
  );

  return {
    draft,
    change,
    plan: value?.plan ?? null,
    expectation: expected !== null && expected.of === value ? expected.said : null,
    reading: read?.said ?? null,
    problem,
    busy: busy || (value === null && problem === null),
  };
}

/** What the server says of a plan that has stood for so long, ms, and of which plan; nobody waits for it. */
function useRested<S>(path: string, of: Answer | null, rest: number): { said: S; of: Answer } | null {
  const [answer, setAnswer] = useState<{ said: S; of: Answer } | null>(null);
  useEffect(() => {
    if (of === null) return;
    const controller = new AbortController();
    const wait = window.setTimeout(async () => {
      try {
        const said = await call<S>('POST', path, of.draft, controller.signal);
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
  }, [path, of, rest]);
  return answer;
}
