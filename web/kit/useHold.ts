// A hand that holds something on a picture: pressed with a finger, a pen or a mouse, captured until it is let go or interrupted.
import { useDrag } from '@use-gesture/react';

export type Hold = {
  /** Where the pointer is, px from the upper left of the picture. */
  x: number;
  y: number;
  /** How far it has moved since it was pressed, px. */
  dx: number;
  dy: number;
  first: boolean;
  /** Let go, or taken away by the system. */
  last: boolean;
};

/** Props of what is held; its picture is the svg around it. Arrow keys are for whoever holds it to say. */
export function useHold(onHold: (hold: Hold) => void) {
  return useDrag(
    ({ xy: [px, py], movement: [dx, dy], first, last, event }) => {
      // What it stands on is not dragged with it.
      event.stopPropagation();
      const held = event.currentTarget as Element | null;
      const box = (
        held instanceof SVGElement ? (held.ownerSVGElement ?? held) : held
      )?.getBoundingClientRect();
      onHold({ x: px - (box?.left ?? 0), y: py - (box?.top ?? 0), dx, dy, first, last });
    },
    { pointer: { keys: false } },
  );
}
