// Holds the draft of a shot and asks the server to work it out: one request at a time, the newest draft next, the last
// answer wins. While one is on its way the picture before it stays. The score to expect takes longer to work out, so it
// is asked for when the hand rests, and dropped when it moves on. Each answer is timed from the input it belongs to until it has been painted.
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { call, Problem, type Schemas } from '~/api/client';

export type Draft = Schemas['PlanDraft'];

/** A hand that has not moved for so long rests, ms. */
const REST = 150;

type Wanted = { draft: Draft; asked: number };
type Answer = { plan: Schemas['Plan'] | null; problem: Problem | null; asked: number };

export type Planning = {
  draft: Draft;
  /** Changes the draft and asks for its plan at once, before the page is drawn again. */
  change: (change: (now: Draft) => Draft) => void;
  plan: Schemas['Plan'] | null;
  problem: Problem | null;
  busy: boolean;
};

export function usePlan(first: Draft): Planning {
  const [draft, setDraft] = useState(first);
  const [answer, setAnswer] = useState<Answer>({ plan: null, problem: null, asked: 0 });
  const [busy, setBusy] = useState(true);
  const latest = useRef(first);
  const next = useRef<Wanted | null>(null);
  const asking = useRef(false);
  const rest = useRef<number | undefined>(undefined);
  const resting = useRef<AbortController | null>(null);
  const alive = useRef(true);

  /** What the plan would score; nobody waits for it. */
  const expectScore = useCallback(async (settled: Draft) => {
    const controller = new AbortController();
    resting.current = controller;
    try {
      const plan = await call<Schemas['Plan']>(
        'POST',
        '/plans',
        { ...settled, expect: true },
        controller.signal,
      );
      if (alive.current && !controller.signal.aborted) setAnswer({ plan, problem: null, asked: 0 });
    } catch (error) {
      // The plan without its score stands already; a hand that moves on asks anew.
      if (!(error instanceof Problem) && !controller.signal.aborted) throw error;
    }
  }, []);

  const ask = useCallback(
    async (wanted: Wanted) => {
      window.clearTimeout(rest.current);
      resting.current?.abort();
      next.current = wanted;
      if (asking.current) return;
      asking.current = true;
      setBusy(true);
      while (next.current !== null) {
        const { draft: now, asked } = next.current;
        next.current = null;
        try {
          const plan = await call<Schemas['Plan']>('POST', '/plans', now);
          if (alive.current) setAnswer({ plan, problem: null, asked });
          if (alive.current && now.expect === false) {
            rest.current = window.setTimeout(() => void expectScore(now), REST);
          }
        } catch (error) {
          if (!(error instanceof Problem)) throw error;
          if (alive.current) setAnswer((last) => ({ ...last, problem: error, asked }));
        }
        // What came meanwhile is asked at once; resting can wait for it.
        if (next.current !== null) window.clearTimeout(rest.current);
      }
      asking.current = false;
      if (alive.current) setBusy(false);
    },
    [expectScore],
  );

  const change = useCallback(
    (step: (now: Draft) => Draft) => {
      latest.current = step(latest.current);
      void ask({
        draft: { ...latest.current, expect: false },
        asked: window.event?.timeStamp ?? performance.now(),
      });
      setDraft(latest.current);
    },
    [ask],
  );

  useEffect(() => {
    alive.current = true;
    void ask({ draft: latest.current, asked: performance.now() });
    return () => {
      alive.current = false;
      window.clearTimeout(rest.current);
      resting.current?.abort();
    };
  }, [ask]);

  useLayoutEffect(() => {
    if (answer.asked === 0) return;
    requestAnimationFrame(() => {
      // A message posted in a frame is handled right after that frame has been painted.
      const channel = new MessageChannel();
      channel.port1.onmessage = () => {
        performance.measure('larkspur:redraw', { start: answer.asked, end: performance.now() });
      };
      channel.port2.postMessage(null);
    });
  }, [answer]);

  return { draft, change, plan: answer.plan, problem: answer.problem, busy };
}
