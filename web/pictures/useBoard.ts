// A sheet that a hand moves about, from above or from the side: dragged, pinched, wheeled nearer and farther. Until it is touched it
// shows what fits.
import { useGesture } from '@use-gesture/react';
import { useState } from 'react';
import { linear, type Scale } from './scale';

/** What lies in the middle, m east and north (along and up from the side), and px a metre. */
export type View = { east: number; north: number; per: number };

type Size = { width: number; height: number };

/**
 * A press on the board: where it began and where it is, m. A tap is told once; a drag when it sets out, as it goes, and when it is over.
 */
export type Press = {
  start: [number, number];
  place: [number, number];
  /** Px a metre. */
  per: number;
  tap: boolean;
  first: boolean;
  last: boolean;
  target: Element;
};

type Board = {
  x: Scale;
  y: Scale;
  /** Whether a hand has moved it. */
  own: boolean;
  nearer: () => void;
  farther: () => void;
  /** Back to what fits. */
  whole: () => void;
  /** Props of the svg. */
  bind: () => object;
};

/** Px a metre at the least and at the most. */
const LEAST = 0.02;
const MOST = 400;

const STEP = 1.25;
const WHEELED = 1.12;

/**
 * @param fitted what is shown until a hand moves the board
 * @param all what “All” shows, where that is more than is shown at first
 * @param onPress is told every press; a drag that it takes when it sets out (true) does not move the board
 */
export function useBoard(
  fitted: View,
  { width, height }: Size,
  onPress?: (press: Press) => boolean,
  all?: View,
): Board {
  const [moved, setMoved] = useState<View | null>(null);
  const view = moved ?? fitted;
  const zoomed = (from: View, times: number, px: number, py: number): View => {
    const per = Math.max(LEAST, Math.min(MOST, from.per * times));
    // What lies under the fingers stays there.
    const k = 1 / from.per - 1 / per;
    return { per, east: from.east + (px - width / 2) * k, north: from.north - (py - height / 2) * k };
  };
  const nearer = (times: number, px: number, py: number) =>
    setMoved((now) => zoomed(now ?? fitted, times, px, py));
  const placeAt = ([px, py]: [number, number], box: DOMRect | undefined): [number, number] => [
    view.east + (px - (box?.left ?? 0) - width / 2) / view.per,
    view.north - (py - (box?.top ?? 0) - height / 2) / view.per,
  ];
  const boxOf = (event: Event) => (event.currentTarget as Element | null)?.getBoundingClientRect();
  const bind = useGesture(
    {
      onDrag: ({ xy, initial, first, last, tap, pinching, cancel, event, memo }) => {
        // A drag that became a pinch is told to be over all the same: what was in the hand is let go, once.
        if (memo?.over || (!first && !tap && memo === undefined)) return memo;
        const box = boxOf(event);
        const press = {
          start: placeAt(initial, box),
          place: placeAt(xy, box),
          per: view.per,
          tap,
          first,
          last,
        };
        const target = event.target as Element;
        if (pinching) {
          if (memo?.held) onPress?.({ ...press, last: true, target });
          cancel();
          return { held: false, from: view, over: true };
        }
        const taken = onPress?.({ ...press, target }) ?? false;
        if (tap) return memo;
        // Where it was when the hand set out: several moves may come before it is drawn again.
        const { held, from }: { held: boolean; from: View } = first ? { held: taken, from: view } : memo;
        if (!held) {
          const [dx, dy] = [xy[0] - initial[0], xy[1] - initial[1]];
          setMoved({ ...from, east: from.east - dx / from.per, north: from.north + dy / from.per });
        }
        return { held, from, over: false };
      },
      onPinch: ({ origin: [ox, oy], movement: [times], first, memo, event }) => {
        const from: View = first ? view : memo;
        const box = boxOf(event);
        setMoved(zoomed(from, times, ox - (box?.left ?? 0), oy - (box?.top ?? 0)));
        return from;
      },
      onWheel: ({ delta: [, dy], event }) => {
        const box = boxOf(event);
        const { clientX, clientY } = event as globalThis.WheelEvent;
        if (dy !== 0)
          nearer(dy > 0 ? 1 / WHEELED : WHEELED, clientX - (box?.left ?? 0), clientY - (box?.top ?? 0));
      },
    },
    { drag: { pointer: { keys: false }, filterTaps: true } },
  );
  return {
    x: linear(view.east, view.east + 1, width / 2, width / 2 + view.per),
    y: linear(view.north, view.north + 1, height / 2, height / 2 - view.per),
    own: moved !== null,
    nearer: () => nearer(STEP, width / 2, height / 2),
    farther: () => nearer(1 / STEP, width / 2, height / 2),
    whole: () => setMoved(all ?? null),
    bind,
  };
}
