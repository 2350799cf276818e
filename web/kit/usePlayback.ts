// A clock that plays from one time to another and begins again; whoever drags it sets it.
import { useEffect, useLayoutEffect, useRef, useState } from 'react';

export function usePlayback(from: number, to: number, start: () => number, autoplay = false) {
  const [time, setTime] = useState(start);
  const [playing, setPlaying] = useState(autoplay);
  const shownAt = useRef(time);
  useLayoutEffect(() => {
    shownAt.current = time;
  }, [time]);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last = performance.now();
    const tick = (now: number) => {
      const next = shownAt.current + (now - last) / 1000;
      last = now;
      setTime(next >= to ? from : next);
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, from, to]);
  return { time, setTime, playing, setPlaying, shownAt };
}

/** Whether the reader asked for little motion: then nothing plays by itself. */
export const prefersStill = () => window.matchMedia?.('(prefers-reduced-motion: reduce)').matches ?? false;
