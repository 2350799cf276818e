// Curve card: finger travel against what the craft or the camera does, in its own unit. Where it may be changed, the curve is
// pulled through the pointer, or up and down at half stick with the arrow keys.
import { type KeyboardEvent, useEffect, useEffectEvent, useRef } from 'react';
import { useHold } from '~/kit/useHold';
import { useSize } from '~/kit/useSize';
import { figure } from '~/units';
import { through } from './scale';

type Props = {
  points: number[][];
  unit: string;
  color: string;
  label: string;
  top: number;
  comfort: { least: number; most: number };
  /** Another curve in the same unit, to be compared with. */
  beside?: number[][] | undefined;
  height?: number;
  /** Travel and share of the full rate that the curve is pulled through, both between 0 and 1. */
  onPull?: ((travel: number, output: number) => void) | undefined;
};

/** Where a browser has no raw updates of the pointer, its frame-aligned ones serve. */
const RAW = 'onpointerrawupdate' in globalThis;

/** Presses nearer than this belong together, ms. */
const KEYS_APART = 500;

const within = (value: number) => Math.min(0.97, Math.max(0.03, value));

export function CurveCard({ points, unit, color, label, top, comfort, beside, height = 132, onPull }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const pulling = useRef(false);
  const wanted = useRef({ output: 0, until: 0 });
  const left = 38;
  const foot = 22;
  const x = (travel: number) => left + travel * (width - left - 10);
  const y = (rate: number) => height - foot - (rate / Math.max(1e-6, top)) * (height - foot - 16);
  const drawing = useRef<SVGSVGElement>(null);
  const pull = (px: number, py: number) =>
    onPull?.(within((px - left) / (width - left - 10)), within((height - foot - py) / (height - foot - 16)));
  const hold = useHold((held) => {
    pulling.current = !held.last;
    if (held.first || (!RAW && !held.last)) pull(held.x, held.y);
  });
  // Raw updates come with the pointer and not with the next frame, which would cost up to a frame before the request leaves.
  const drawn = width > 0;
  const move = useEffectEvent((event: Event) => {
    const box = drawing.current?.getBoundingClientRect();
    const { clientX, clientY } = event as globalThis.PointerEvent;
    if (pulling.current && box) pull(clientX - box.left, clientY - box.top);
  });
  useEffect(() => {
    const element = drawing.current;
    if (!drawn || !RAW || element === null) return;
    const listen = (event: Event) => move(event);
    element.addEventListener('pointerrawupdate', listen);
    return () => element.removeEventListener('pointerrawupdate', listen);
  }, [drawn]);
  if (!drawn) return <div ref={ref} style={{ height }} />;
  const half = points[Math.round((points.length - 1) / 2)]?.[1] ?? 0;
  const onKey = (event: KeyboardEvent) => {
    const step = { ArrowUp: 0.01, ArrowDown: -0.01 }[event.key];
    if (step === undefined || onPull === undefined) return;
    event.preventDefault();
    // Presses follow each other faster than answers come: each goes on from where the last one wanted to be.
    const { output, until } = wanted.current;
    const from = event.timeStamp < until ? output : half / Math.max(1e-6, top);
    const next = within(from + step * (event.shiftKey ? 5 : 1));
    wanted.current = { output: next, until: event.timeStamp + KEYS_APART };
    onPull(0.5, next);
  };
  return (
    <div ref={ref} className="overflow-hidden" data-picture="curve-card">
      <svg
        ref={drawing}
        width={width}
        height={height}
        role={onPull === undefined ? 'img' : 'slider'}
        aria-label={label}
        {...(onPull === undefined
          ? {}
          : {
              tabIndex: 0,
              'aria-valuemin': 0,
              'aria-valuemax': Math.round(top * 100) / 100,
              'aria-valuenow': Math.round(half * 100) / 100,
              'aria-valuetext': `${figure(half, 1)} ${unit} at half stick`,
              'data-handle': 'curve',
              ...hold(),
            })}
        className={`block text-ink-soft ${onPull === undefined ? '' : 'cursor-grab touch-none'}`}
        onKeyDown={onKey}
      >
        <rect
          x={x(comfort.least)}
          y={10}
          width={x(comfort.most) - x(comfort.least)}
          height={height - foot - 10}
          fill="var(--leaf)"
          opacity={0.12}
        />
        <path d={`M${left} 10V${height - foot}H${width - 10}`} stroke="var(--line)" fill="none" />
        <path d={`M${x(0)} ${y(0)}L${x(1)} ${y(top)}`} stroke="var(--line)" strokeDasharray="3 4" />
        <path d={`M${x(0.5)} ${y(0)}V10`} stroke="var(--line)" />
        {beside !== undefined && (
          <path
            d={through(beside.map(([a, b]) => [x(a ?? 0), y(b ?? 0)]))}
            stroke="var(--pollen)"
            strokeWidth={2.5}
            strokeDasharray="6 4"
            fill="none"
          />
        )}
        <path
          d={through(points.map(([a, b]) => [x(a ?? 0), y(b ?? 0)]))}
          stroke={color}
          strokeWidth={2.5}
          fill="none"
        />
        {onPull !== undefined && (
          <circle cx={x(0.5)} cy={y(half)} r={6} fill="var(--card)" stroke={color} strokeWidth={2.5} />
        )}
        <text x={left - 5} y={20} fontSize={11} textAnchor="end" className="figure" fill="currentColor">
          {figure(top, top < 10 ? 1 : 0)}
        </text>
        <text
          x={left - 5}
          y={height - foot + 2}
          fontSize={11}
          textAnchor="end"
          className="figure"
          fill="currentColor"
        >
          0
        </text>
        <text x={left} y={height - 6} fontSize={11} fill="currentColor">
          rest
        </text>
        <text x={x(0.5)} y={height - 6} fontSize={11} textAnchor="middle" fill="currentColor">
          half stick
        </text>
        <text x={width - 10} y={height - 6} fontSize={11} textAnchor="end" fill="currentColor">
          full, {unit}
        </text>
      </svg>
    </div>
  );
}
