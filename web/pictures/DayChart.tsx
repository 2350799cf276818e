// A day of flying against the light: one lane a battery, each stretch of flying where it stands in time, golden and blue hours behind.

import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { hour } from '~/units';
import { ticks } from './scale';

type Props = { day: Schemas['DayDetail']; chosen: number | null; onChoose: (shot: number) => void };

const seconds = (iso: string) => Date.parse(iso) / 1000;

/** Narrower than this a block holds no words, px. */
const READABLE = 54;

export function DayChart({ day, chosen, onChoose }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const slots = day.timetable?.slots ?? [];
  const start = `${day.date}T00:00:00Z`;
  const at = (hours: string) =>
    seconds(start) + 3600 * Number(hours.slice(0, 2)) + 60 * Number(hours.slice(3, 5));
  const from = at(day.document.from);
  const to = Math.max(at(day.document.to), from + 600);
  const left = 74;
  const { x, breaks } = flightScale(slots, from, to, left, Math.max(left + 1, width - 12));
  const batteries = Math.max(1, day.timetable?.batteries_used ?? 1);
  const foot = 28;
  const lane = Math.max(26, Math.min(96, (height - foot - 6) / batteries));
  const windows = day.cards.find((card) => card.shot_id === chosen)?.windows ?? null;
  const bands = (stretches: Schemas['TimeStretch'][], fill: string, opacity: number) =>
    stretches.map((one) => {
      const [a, b] = [Math.max(from, seconds(one.from)), Math.min(to, seconds(one.to))];
      return b <= a ? null : (
        <rect
          key={one.from}
          x={x(a)}
          width={x(b) - x(a)}
          y={0}
          height={batteries * lane + 4}
          fill={fill}
          opacity={opacity}
        />
      );
    });
  const hours: number[] = [];
  for (const t of ticks(Math.ceil(from / 300) * 300, to, 300)) {
    const last = hours.at(-1);
    const free = !breaks.some((gap) => t > gap.from && t < gap.to);
    if (free && x(t) < width - 24 && (last === undefined || x(t) - x(last) > 48)) hours.push(t);
  }
  return (
    <div ref={ref} className="size-full min-h-40 overflow-auto" data-picture="day-chart">
      <svg
        width={width}
        height={Math.max(height, batteries * lane + foot + 6)}
        className="block"
        role="group"
        aria-label="Timetable"
      >
        {bands(day.light.stretches.night, 'var(--ink)', 0.16)}
        {bands(day.light.stretches.blue, 'var(--climb)', 0.28)}
        {bands(day.light.stretches.golden, 'var(--pollen)', 0.25)}
        {windows?.map((one) => {
          const [a, b] = [Math.max(from, seconds(one.from)), Math.min(to, seconds(one.to))];
          return b <= a ? null : (
            <rect
              key={one.from}
              x={x(a)}
              width={x(b) - x(a)}
              y={batteries * lane + 2}
              height={5}
              fill="var(--leaf)"
              data-role="window"
            />
          );
        })}
        {hours.map((t) => (
          <g key={t}>
            <path d={`M${x(t)} 0V${batteries * lane + 4}`} stroke="var(--mesh)" />
            <text
              x={x(t)}
              y={batteries * lane + 22}
              fontSize={11}
              textAnchor="middle"
              className="figure"
              fill="var(--ink-soft)"
            >
              {hour(1000 * t, day.zone)}
            </text>
          </g>
        ))}
        {breaks.map((gap) => (
          <g key={gap.from} data-role="gap">
            <rect
              x={x(gap.from)}
              width={x(gap.to) - x(gap.from)}
              y={0}
              height={batteries * lane + 4}
              fill="var(--paper)"
              opacity={0.7}
            />
            <text
              x={(x(gap.from) + x(gap.to)) / 2}
              y={lane / 2 + 4}
              fontSize={11}
              textAnchor="middle"
              fill="var(--ink-soft)"
            >
              {lasting(gap.to - gap.from)}
            </text>
          </g>
        ))}
        {Array.from({ length: batteries }, (_, index) => (
          // biome-ignore lint/suspicious/noArrayIndexKey: a battery is its number
          <g key={index}>
            <text x={6} y={index * lane + lane / 2 + 4} fontSize={12} fill="var(--ink-soft)">
              Battery {index + 1}
            </text>
            <path d={`M${left} ${(index + 1) * lane}H${width - 12}`} stroke="var(--line)" />
          </g>
        ))}
        {slots.map((slot) => {
          const wide = Math.max(4, x(seconds(slot.to)) - x(seconds(slot.from)));
          const top = (slot.battery - 1) * lane + 4;
          const isChosen = slot.shot_id === chosen;
          return (
            <g
              key={`${slot.shot_id} ${slot.from}`}
              role="button"
              tabIndex={0}
              aria-label={`${slot.title}, ${hour(slot.from, day.zone)} to ${hour(slot.to, day.zone)}, battery ${slot.battery}, ${slot.passes} passes`}
              className="cursor-pointer"
              onClick={() => onChoose(slot.shot_id)}
              onKeyDown={(event) => event.key === 'Enter' && onChoose(slot.shot_id)}
              data-slot={slot.shot_id}
            >
              <rect
                x={x(seconds(slot.from))}
                width={wide}
                y={top}
                height={lane - 8}
                rx={4}
                fill={slot.must ? 'var(--larkspur)' : 'var(--petal)'}
                stroke={isChosen ? 'var(--ink)' : 'none'}
                strokeWidth={2.5}
              />
            </g>
          );
        })}
        {slots.map((slot) => {
          const wide = x(seconds(slot.to)) - x(seconds(slot.from));
          return wide <= READABLE ? null : (
            <text
              key={`${slot.shot_id} ${slot.from}`}
              x={x(seconds(slot.from)) + 6}
              y={(slot.battery - 1) * lane + lane / 2 + 4}
              fontSize={12}
              fill={slot.must ? 'var(--on-larkspur)' : 'var(--on-petal)'}
              pointerEvents="none"
              aria-hidden
            >
              {slot.title.length * 6.4 > wide - 10
                ? `${slot.title.slice(0, Math.max(1, Math.floor((wide - 14) / 6.6)))}…`
                : slot.title}
            </text>
          );
        })}
      </svg>
    </div>
  );
}

/** A gap without a flight longer than this is drawn short, s. */
const GAP = 900;

/** What it is then drawn as long as: a share of the width. */
const SHORT = 0.07;

/**
 * Time against width, with long waits drawn short: a day is minutes of flying with hours between, and the minutes are what is looked at.
 */
export function flightScale(
  slots: Schemas['Slot'][],
  from: number,
  to: number,
  left: number,
  right: number,
): { x: (t: number) => number; breaks: { from: number; to: number }[] } {
  const flying: [number, number][] = [];
  for (const slot of slots) {
    const last = flying.at(-1);
    // Who waits long for the light does so on the ground.
    const begins = slot.waits_s > 60 ? slot.from : slot.ready;
    const [a, b] = [Math.max(from, seconds(begins) - 60), Math.min(to, seconds(slot.to) + 60)];
    if (last && a - last[1] < GAP) last[1] = Math.max(last[1], b);
    else flying.push([a, b]);
  }
  const breaks: { from: number; to: number }[] = [];
  let at = from;
  for (const [a, b] of [...flying, [to, to] as [number, number]]) {
    if (a - at > GAP) breaks.push({ from: at, to: a });
    at = Math.max(at, b);
  }
  const short = flying.length === 0 ? 0 : SHORT * (right - left);
  const long = to - from - breaks.reduce((sum, gap) => sum + (short > 0 ? gap.to - gap.from : 0), 0);
  const per = (right - left - (short > 0 ? breaks.length * short : 0)) / Math.max(1, long);
  const x = (t: number) => {
    let px = left;
    let now = from;
    for (const gap of short > 0 ? breaks : []) {
      if (t <= gap.from) break;
      px += (gap.from - now) * per;
      if (t < gap.to) return px + ((t - gap.from) / (gap.to - gap.from)) * short;
      px += short;
      now = gap.to;
    }
    return px + (t - now) * per;
  };
  return { x, breaks: short > 0 ? breaks : [] };
}

function lasting(gap: number): string {
  const minutes = Math.round(gap / 60);
  return minutes < 60 ? `${minutes} min` : `${Math.floor(minutes / 60)} h ${minutes % 60}`;
}
