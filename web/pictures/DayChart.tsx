// A day of flying against the light: one lane a battery, each stretch of flying where it stands in time, golden and blue hours behind.
import { memo } from 'react';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { hour } from '~/units';
import { linear, ticks } from './scale';

type Props = { day: Schemas['DayDetail']; chosen: number | null; onChoose: (shot: number) => void };

const seconds = (iso: string) => Date.parse(iso) / 1000;

/** Narrower than this a block holds no words, px. */
const READABLE = 54;

export const DayChart = memo(function DayChart({ day, chosen, onChoose }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const slots = day.timetable?.slots ?? [];
  const start = `${day.date}T00:00:00Z`;
  const at = (hours: string) =>
    seconds(start) + 3600 * Number(hours.slice(0, 2)) + 60 * Number(hours.slice(3, 5));
  const from = at(day.document.from);
  const to = Math.max(at(day.document.to), from + 600);
  const left = 74;
  const x = linear(from, to, left, Math.max(left + 1, width - 12));
  const batteries = Math.max(1, day.timetable?.batteries_used ?? 1);
  const foot = 24;
  const lane = Math.max(26, Math.min(64, (height - foot - 6) / batteries));
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
          height={Math.max(1, height - foot)}
          fill={fill}
          opacity={opacity}
        />
      );
    });
  const step = [900, 1800, 3600, 7200, 10800].find((one) => x(one) - x(0) > 58) ?? 21600;
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
        {ticks(Math.ceil(from / step) * step, to, step).map((t) => (
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
              {hour(new Date(1000 * t).toISOString())}
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
              aria-label={`${slot.title}, ${hour(slot.from)} to ${hour(slot.to)}, battery ${slot.battery}, ${slot.passes} passes`}
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
              {wide > READABLE && (
                <text
                  x={x(seconds(slot.from)) + 6}
                  y={top + (lane - 8) / 2 + 4}
                  fontSize={12}
                  fill="var(--card)"
                  clipPath={`inset(0 0 0 0)`}
                >
                  {slot.title.length * 6.4 > wide
                    ? `${slot.title.slice(0, Math.max(1, Math.floor(wide / 7)))}…`
                    : slot.title}
                </text>
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
});
