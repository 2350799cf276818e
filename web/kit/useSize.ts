// The size of an element, kept up to date: pictures are drawn in real pixels, so that text and strokes stay true.
import { type RefObject, useLayoutEffect, useRef, useState } from 'react';

export function useSize<T extends HTMLElement>(): [RefObject<T | null>, { width: number; height: number }] {
  const ref = useRef<T>(null);
  const [size, setSize] = useState({ width: 0, height: 0 });
  useLayoutEffect(() => {
    const element = ref.current;
    if (element === null) return;
    // What is drawn for a size never holds its place at that size: a tablet is turned.
    element.style.contain = 'inline-size';
    const measure = () => setSize({ width: element.clientWidth, height: element.clientHeight });
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(element);
    return () => observer.disconnect();
  }, []);
  return [ref, size];
}
