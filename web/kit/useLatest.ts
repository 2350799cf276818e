// Asks the server one thing at a time: while an answer is on its way the newest wish waits, older ones are dropped, and the
// last answer wins. Each answer is timed from the input it belongs to until it has been painted.
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { Problem } from '~/api/client';

type Answer<A> = { value: A | null; problem: Problem | null; asked: number };

export type Latest<W, A> = Answer<A> & { busy: boolean; ask: (wish: W) => void };

/**
 * @param request sends a wish; a Problem is told beside the answer before it, which stays
 * @param name of the performance measure from input to painted answer
 */
export function useLatest<W, A>(request: (wish: W) => Promise<A>, name: string): Latest<W, A> {
  const [answer, setAnswer] = useState<Answer<A>>({ value: null, problem: null, asked: 0 });
  const [busy, setBusy] = useState(false);
  const next = useRef<{ wish: W; asked: number } | null>(null);
  const asking = useRef(false);
  const alive = useRef(true);
  const send = useRef(request);
  useLayoutEffect(() => {
    send.current = request;
  }, [request]);

  const ask = useCallback((wish: W) => {
    next.current = { wish, asked: window.event?.timeStamp ?? performance.now() };
    if (asking.current) return;
    asking.current = true;
    setBusy(true);
    void (async () => {
      try {
        while (next.current !== null) {
          const { wish: now, asked } = next.current;
          next.current = null;
          try {
            const value = await send.current(now);
            if (alive.current) setAnswer({ value, problem: null, asked });
          } catch (error) {
            // What nobody foresaw is told as well, and goes to the console of whoever mends it.
            const problem = error instanceof Problem ? error : Problem.unforeseen();
            if (problem !== error) reportError(error);
            if (alive.current) setAnswer((last) => ({ ...last, problem, asked }));
          }
        }
      } finally {
        // Whatever happened, the next wish is asked for.
        asking.current = false;
        if (alive.current) setBusy(false);
      }
    })();
  }, []);

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
        performance.measure(name, { start: answer.asked, end: performance.now() });
      };
      channel.port2.postMessage(null);
    });
  }, [answer, name]);

  return { ...answer, busy, ask };
}
