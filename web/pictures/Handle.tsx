// What can be pulled on a picture: by pointer, by touch and by arrow keys. Large where it is the first thing to pull, small beside it.
import { type KeyboardEvent, type ReactNode, useRef, useState } from 'react';
import { useHold } from '~/kit/useHold';

type Props = {
  id: string;
  label: string;
  /** Where it stands, px. */
  x: number;
  y: number;
  /** What it says: as a number, and in words. */
  value: number;
  text: string;
  small?: boolean;
  /** Along which ways it goes. */
  ways?: 'both' | 'across' | 'upright';
  /** Told where it is pulled to, px. */
  onPull: (x: number, y: number) => void;
  /** Told arrow keys: steps to the right and up; five at once with the shift key. */
  onStep: (right: number, up: number) => void;
  onHeld?: (held: boolean) => void;
  /** What is drawn in it. */
  children?: ReactNode;
};

const CURSOR = { both: 'cursor-grab', across: 'cursor-ew-resize', upright: 'cursor-ns-resize' };

const KEYS: Record<string, [number, number]> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, 1],
  ArrowDown: [0, -1],
};

const MANY = 5;

export function Handle(props: Props) {
  const { id, label, x, y, value, text, small = false, ways = 'both', onPull, onStep, onHeld } = props;
  const [held, setHeld] = useState(false);
  // It follows the pointer from where it stood, wherever on it the finger lies.
  const from = useRef([x, y] as const);
  const hold = useHold(({ dx, dy, first, last }) => {
    if (first) from.current = [x, y];
    if (first || last) {
      setHeld(!last);
      onHeld?.(!last);
    }
    if (!first && !(last && dx === 0 && dy === 0)) onPull(from.current[0] + dx, from.current[1] + dy);
  });
  const keys = (event: KeyboardEvent) => {
    const [right, up] = KEYS[event.key] ?? [0, 0];
    if ((right === 0 || ways === 'upright') && (up === 0 || ways === 'across')) return;
    event.preventDefault();
    const times = event.shiftKey ? MANY : 1;
    onStep(times * right, times * up);
  };
  return (
    <g
      {...hold()}
      data-handle={id}
      role="slider"
      tabIndex={0}
      aria-label={`${label}. Arrow keys move it.`}
      aria-orientation={ways === 'upright' ? 'vertical' : 'horizontal'}
      aria-valuenow={value}
      aria-valuetext={text}
      transform={`translate(${x} ${y})`}
      className={`${CURSOR[ways]} touch-none`}
      onKeyDown={keys}
    >
      <circle r={22} fill="transparent" />
      <circle r={small ? 6 : 9} fill="var(--card)" stroke="var(--larkspur)" strokeWidth={small ? 2.2 : 3} />
      {props.children}
      {held && (
        <text
          className="halo"
          x={small ? 0 : 13}
          y={-12}
          textAnchor={small ? 'middle' : 'start'}
          fontSize={12}
          fill="var(--larkspur)"
        >
          {text}
        </text>
      )}
    </g>
  );
}
