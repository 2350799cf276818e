// Asks the server for the plan of a draft: one request at a time, the newest draft next, the last answer wins. While one
// is on its way the picture before it stays. Each answer is timed from the input it belongs to until it has been painted.
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { call, Problem, type Schemas } from '~/api/client';

export type Draft = Schemas['PlanDraft'];

type Answer = { plan: Schemas['Plan'] | null; problem: Problem | null; asked: number; draft: Draft | null };

const EMPTY: Answer = { plan: null, problem: null, asked: 0, draft: null };

export function usePlan(draft: Draft | null): Answer & { busy: boolean } {
  const [answer, setAnswer] = useState<Answer>(EMPTY);
  const [busy, setBusy] = useState(false);
  const flying = useRef(false);
  const next = useRef<{ draft: Draft; asked: number } | null>(null);
  const alive = useRef(true);

  const ask = useCallback(async () => {
    if (flying.current) return;
    flying.current = true;
    setBusy(true);
    while (next.current !== null) {
      const { draft: wanted, asked } = next.current;
      next.current = null;
      try {
        const plan = await call<Schemas['Plan']>('POST', '/plans', wanted);
        if (alive.current) setAnswer({ plan, problem: null, asked, draft: wanted });
      } catch (error) {
        if (!(error instanceof Problem)) throw error;
        if (alive.current) setAnswer((last) => ({ ...last, problem: error, asked, draft: wanted }));
      }
    }
    flying.current = false;
    if (alive.current) setBusy(false);
  }, []);

  useEffect(() => {
    if (draft === null) return;
    next.current = { draft, asked: performance.now() };
    void ask();
  }, [draft, ask]);

  useEffect(() => {
    alive.current = true;
    return () => {
      alive.current = false;
    };
  }, []);

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

  return { ...answer, busy };
}
