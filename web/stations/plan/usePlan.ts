// Holds the draft of a shot and has the server work it out, one request at a time (kit/useLatest). The score to expect takes
// longer to work out, so it is asked for when the hand rests, and dropped when it moves on; what there is to read off the plan
// takes longer still, and is asked for when the hand has rested a while.
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import { call, Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

export type Draft = Schemas['PlanDraft'];

/** A hand that has not moved for so long rests, ms; for so long it has let go. */
const REST = 150;
const LONG_REST = 600;

/** A plan, and once the hand has let go what is read off it. */
export type Planned = Schemas['Plan'] & { reading?: Schemas['Reading'] };

type Answer = { plan: Schemas['Plan']; draft: Draft };

export type Planning = {
  draft: Draft;
  /** Changes the draft and asks for its plan at once, before the page is drawn again. */
  change: (change: (now: Draft) => Draft) => void;
  plan: Planned | null;
  problem: Problem | null;
  busy: boolean;
};

export function usePlan(first: Draft): Planning {
  const [draft, setDraft] = useState(first);
  const [scored, setScored] = useState<{ plan: Schemas['Plan']; of: Answer } | null>(null);
  const latest = useRef(first);
  const { value, problem, busy, ask } = useLatest(
    async (now: Draft): Promise<Answer> => ({
      plan: await call<Schemas['Plan']>('POST', '/plans', now),
      draft: now,
    }),
    'larkspur:redraw',
  );

  useEffect(() => ask(latest.current), [ask]);

  // What the plan would score; nobody waits for it.
  useEffect(() => {
    if (value === null || problem !== null || busy || value.draft.expect !== false) return;
    const controller = new AbortController();
    const rest = window.setTimeout(async () => {
      try {
        const wanted = { ...value.draft, expect: true };
        const plan = await call<Schemas['Plan']>('POST', '/plans', wanted, controller.signal);
        if (!controller.signal.aborted) setScored({ plan, of: value });
      } catch (error) {
        // The plan without its score stands already; a hand that moves on asks anew.
        if (!(error instanceof Problem) && !controller.signal.aborted) throw error;
      }
    }, REST);
    return () => {
      window.clearTimeout(rest);
      controller.abort();
    };
  }, [value, problem, busy]);

  const [read, setRead] = useState<{ reading: Schemas['Reading']; of: Answer } | null>(null);
  useEffect(() => {
    if (value === null || problem !== null || busy) return;
    const controller = new AbortController();
    const rest = window.setTimeout(async () => {
      try {
        const reading = await call<Schemas['Reading']>('POST', '/readings', value.draft, controller.signal);
        if (!controller.signal.aborted) setRead({ reading, of: value });
      } catch (error) {
        if (!(error instanceof Problem) && !controller.signal.aborted) throw error;
      }
    }, LONG_REST);
    return () => {
      window.clearTimeout(rest);
      controller.abort();
    };
  }, [value, problem, busy]);

  const change = useCallback(
    (step: (now: Draft) => Draft) => {
      latest.current = step(latest.current);
      ask({ ...latest.current, expect: false });
      setDraft(latest.current);
    },
    [ask],
  );

  const whole = scored !== null && scored.of === value ? scored.plan : (value?.plan ?? null);
  // The last reading stays in sight until there is a newer one: what is read changes little from pull to pull.
  const reading = read?.reading;
  const plan = useMemo<Planned | null>(
    () => (whole === null || reading === undefined ? whole : { ...whole, reading }),
    [whole, reading],
  );
  return { draft, change, plan, problem, busy: busy || (value === null && problem === null) };
}
