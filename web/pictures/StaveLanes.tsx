// Stave lanes: the five fingers over time, like parts of a score. Planned in outline, flown filled, faults and comments
// pinned to their moment, usable seconds along the foot. Dragging along them moves the clock.
import type { KeyboardEvent } from 'react';
import type { Schemas } from '~/api/client';
import { useHold } from '~/kit/useHold';
import { useSize } from '~/kit/useSize';
import { clock } from '~/units';
import { Handle } from './Handle';
import { linear, roundUp, ticks } from './scale';

export const STAVES = ['climb', 'turn', 'run', 'slide', 'tilt'] as const;
export type Stave = (typeof STAVES)[number];

const DASH: Record<Stave, string | undefined> = {
  climb: undefined,
  turn: '7 3',
  run: '2 3',
  slide: '10 3 2 3',
  tilt: '1 3',
};

export type Lane = { finger: Stave; thumb: string; ends: string[]; value: string; band?: boolean };
export type Trace = { t: number[]; fingers: Record<string, number[]> };
export type Pin = {
  t: number;
  stave: Stave | null;
  kind: 'fault' | 'comment';
  severity?: string;
  label: string;
  key: string;
};

/** A time that can be pulled: on a stave, or over all of them. */
type Grip = {
  id: string;
  label: string;
  t: number;
  stave: Stave | null;
  /** Told to which time it was pulled, s. */
  onMove: (t: number) => void;
  /** Told arrow keys: steps on in time. */
  onStep: (right: number) => void;
};

type Props = {
  lanes: Lane[];
  planned: Trace | null;
  flown: Trace | null;
  from: number;
  to: number;
  hold?: [number, number] | null;
  usable?: { from_s: number; to_s: number; seconds: number }[];
  pins?: Pin[];
  grips?: Grip[];
  time: number | null;
  onTime?: (time: number) => void;
  onPin?: (pin: Pin) => void;
};

const NO_GRIPS: Grip[] = [];

export function StaveLanes({
  lanes,
  planned,
  flown,
  from,
  to,
  hold,
  usable = [],
  pins = [],
  grips = NO_GRIPS,
  time,
  onTime,
  onPin,
}: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const narrow = width < 560;
  const left = narrow ? 86 : 166;
  const right = narrow ? 8 : 96;
  const foot = usable.length > 0 ? 44 : 26;
  const lane = Math.max(24, (height - foot - 8) / lanes.length);
  const x = linear(from, to, left, Math.max(left + 10, width - right));
  const half = lane * 0.42;
  const reach = reachOf(planned, flown);
  const middle = (index: number) => 8 + lane * (index + 0.5);

  /** What a finger does, as a line about its lane's middle; and the same, closed along the middle. */
  const playedOf = (trace: Trace | null, finger: string, base: number) => {
    if (trace === null) return null;
    const { t, fingers } = trace;
    const values = fingers[finger] ?? [];
    const within = (i: number) => (t[i] ?? -Infinity) >= from - 1e-6 && (t[i] ?? Infinity) <= to + 1e-6;
    let line = '';
    for (let i = 0; i < values.length; i++) {
      // A press that is held is a straight line: only its ends are drawn.
      const held = values[i] === values[i - 1] && values[i] === values[i + 1];
      if (!within(i) || (held && within(i - 1) && within(i + 1))) continue;
      line += `${line === '' ? 'M' : 'L'}${x(t[i] ?? 0).toFixed(1)} ${(base - ((values[i] ?? 0) / reach) * half).toFixed(1)}`;
    }
    const last = Math.min(to, t.at(-1) ?? to);
    const first = Math.max(from, t[0] ?? from);
    return {
      line,
      area: line === '' ? '' : `${line}L${x(last).toFixed(1)} ${base}L${x(first).toFixed(1)} ${base}Z`,
    };
  };
  const scrub = useHold((hold) => {
    if (!hold.last) onTime?.(Math.max(from, Math.min(to, x.invert(hold.x))));
  });
  const onKey = (event: KeyboardEvent<SVGRectElement>) => {
    const step = { ArrowLeft: -0.2, ArrowRight: 0.2, PageDown: -2, PageUp: 2 }[event.key];
    if (step !== undefined && onTime) {
      event.preventDefault();
      onTime(Math.max(from, Math.min(to, (time ?? from) + step)));
    }
  };
  const tick = roundUp((to - from) / Math.max(2, (width - left - right) / 90));
  return (
    <div ref={ref} className="size-full min-h-60 overflow-hidden" data-picture="stave-lanes">
      <svg width={width} height={height} className="block text-ink">
        <title>Thumb sheet over time</title>
        {/* The clock's own surface: everything drawn over it lets presses through, but for the pins. */}
        <rect
          {...scrub()}
          width={width}
          height={height}
          fill="transparent"
          className={`touch-none ${onTime ? 'cursor-col-resize' : ''}`}
          role="slider"
          tabIndex={onTime ? 0 : -1}
          aria-label="Clock of the thumb sheet. Arrow keys move it."
          aria-valuemin={from}
          aria-valuemax={to}
          aria-valuenow={time ?? from}
          aria-valuetext={clock(time ?? from)}
          onKeyDown={onKey}
          data-handle="clock"
        />
        <g pointerEvents="none">
          {hold && (
            <rect
              x={x(hold[0])}
              y={4}
              width={Math.max(0, x(hold[1]) - x(hold[0]))}
              height={lane * lanes.length + 6}
              fill="var(--haze)"
              fillOpacity={0.45}
            />
          )}
          {lanes.map((part, index) => {
            const base = middle(index);
            const color = `var(--${part.finger})`;
            const asked = playedOf(planned, part.finger, base);
            const done = playedOf(flown, part.finger, base);
            return (
              <g key={part.finger}>
                <path d={`M${left} ${base}H${width - right}`} stroke="var(--line)" />
                <text x={12} y={base - 3} fontSize={13} fontWeight={650} fill={color}>
                  {part.finger}
                </text>
                <text x={12} y={base + 12} fontSize={11.5} fill="var(--ink-soft)">
                  {narrow ? part.thumb.split(',')[0] : part.thumb}
                </text>
                {!narrow && lane > 34 && (
                  <>
                    <text
                      x={left - 6}
                      y={base - half * 0.6}
                      fontSize={10}
                      textAnchor="end"
                      fill="var(--ink-soft)"
                    >
                      {part.ends[1]}
                    </text>
                    <text
                      x={left - 6}
                      y={base + half * 0.6 + 8}
                      fontSize={10}
                      textAnchor="end"
                      fill="var(--ink-soft)"
                    >
                      {part.ends[0]}
                    </text>
                  </>
                )}
                {done && <path d={done.area} fill={color} fillOpacity={0.3} data-flown={part.finger} />}
                {done && <path d={done.line} fill="none" stroke={color} strokeOpacity={0.9} />}
                {asked && !done && <path d={asked.area} fill={color} fillOpacity={0.16} />}
                {asked && (
                  <path
                    d={asked.line}
                    fill="none"
                    stroke={color}
                    strokeWidth={2}
                    strokeDasharray={DASH[part.finger]}
                    data-planned={part.finger}
                  />
                )}
                {!narrow && (
                  <text
                    x={width - right + 8}
                    y={base + 4}
                    fontSize={12.5}
                    fill={part.value === 'rests' ? 'var(--ink-soft)' : color}
                    className="figure"
                  >
                    {part.value}
                  </text>
                )}
              </g>
            );
          })}
          <text x={12} y={height - foot + 17} fontSize={11} fill="var(--ink-soft)">
            {narrow ? '' : `lane: ${Math.round(100 * reach)} % travel`}
          </text>
          {ticks(from, to, tick).map((t) => (
            <g key={t} className="text-ink-soft">
              <path d={`M${x(t)} ${height - foot + 2}v4`} stroke="currentcolor" />
              <text x={x(t)} y={height - foot + 17} fontSize={11} textAnchor="middle" className="figure">
                {clock(t)}
              </text>
            </g>
          ))}
          {usable.map((stretch, index) => (
            <g key={stretch.from_s} className="text-leaf">
              <rect
                x={x(stretch.from_s)}
                y={height - 20}
                width={Math.max(2, x(stretch.to_s) - x(stretch.from_s))}
                height={5}
                rx={2.5}
                fill="currentcolor"
                opacity={index === 0 ? 1 : 0.45}
              />
              {index === 0 && (
                <text x={x(stretch.from_s)} y={height - 3} fontSize={11.5}>
                  {`${stretch.seconds.toFixed(1)} s you can use`}
                </text>
              )}
            </g>
          ))}
        </g>
        {pins.map((pin) => {
          const index = pin.stave === null ? 0 : STAVES.indexOf(pin.stave);
          const base = pin.stave === null ? 8 : middle(index) - half - 2;
          const reach = pin.stave === null ? lane * lanes.length : 2 * half + 4;
          const color =
            pin.kind === 'comment'
              ? 'var(--larkspur)'
              : pin.severity === 'slight'
                ? 'var(--pollen)'
                : 'var(--brick)';
          return (
            <g
              key={pin.key}
              data-pin={pin.kind}
              role="button"
              tabIndex={0}
              aria-label={`${clock(pin.t)}: ${pin.label}`}
              className="cursor-pointer"
              onClick={() => onPin?.(pin)}
              onKeyDown={(event) => event.key === 'Enter' && onPin?.(pin)}
              transform={`translate(${x(pin.t)} ${base})`}
            >
              <rect x={-11} y={-8} width={22} height={reach + 10} fill="transparent" />
              <path d={`M0 0V${reach}`} stroke={color} strokeWidth={1.5} />
              {pin.kind === 'comment' ? (
                <path d="M-6 -8H6V1H2L0 5L-2 1H-6Z" fill={color} />
              ) : pin.severity === 'slight' ? (
                <circle cy={-1} r={4} fill="var(--card)" stroke={color} strokeWidth={2} />
              ) : (
                <path d="M0 5L-5.5 -5H5.5Z" fill={color} />
              )}
            </g>
          );
        })}
        {grips.map((grip) => (
          <Handle
            key={grip.id}
            id={grip.id}
            label={grip.label}
            small
            ways="across"
            value={Math.round(10 * grip.t) / 10}
            text={clock(grip.t)}
            x={x(grip.t)}
            y={
              grip.stave === null
                ? lane * lanes.length
                : middle(lanes.findIndex((part) => part.finger === grip.stave))
            }
            onPull={(px) => grip.onMove(x.invert(px))}
            onStep={grip.onStep}
          />
        ))}
        {time !== null && (
          <path
            pointerEvents="none"
            d={`M${x(time)} 2V${height - foot}`}
            stroke="var(--ink)"
            strokeWidth={1.6}
            data-role="clock"
          />
        )}
      </svg>
    </div>
  );
}

/** A finger's lane on a planned sheet, with what it holds. */
export function laneOf(press: Schemas['Press']): Lane {
  const share = Math.round(100 * Math.abs(press.hold));
  return {
    finger: press.finger as Stave,
    thumb: press.thumb,
    ends: press.ends,
    value: press.kind === 'rests' ? 'rests' : `${share} % ${press.ends[press.hold >= 0 ? 1 : 0]}`,
  };
}

/** Travel that fills half a lane: the largest that is pressed, up to the next quarter, so that small presses are seen too. */
export function reachOf(planned: Trace | null, flown: Trace | null): number {
  let most = 0;
  for (const trace of [planned, flown]) {
    for (const values of Object.values(trace?.fingers ?? {})) {
      for (const value of values) most = Math.max(most, Math.abs(value));
    }
  }
  return Math.min(1, Math.max(0.25, Math.ceil(most * 4 - 0.001) / 4));
}

/** The staves on which an axis of the judgement is pinned. */
export function staveOf(axis: string, flown: Trace | null): Stave | null {
  if ((STAVES as readonly string[]).includes(axis)) return axis as Stave;
  if (axis === 'travel') {
    const size = (finger: string) => (flown?.fingers[finger] ?? []).reduce((sum, v) => sum + Math.abs(v), 0);
    return size('run') > size('slide') ? 'run' : 'slide';
  }
  return null;
}
