// The sun's day: its height over the hours, golden and blue hours, and under it where the light falls on a shot and when the wanted light
// holds. Hours are those of the site's clock; every figure is the server's.
import type { KeyboardEvent, PointerEvent } from 'react';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { hour } from '~/units';
import { linear, through, ticks } from './scale';

type Props = {
  light: Schemas['LightDay'];
  /** The clock that its hours are those of. */
  zone: string;
  time: number;
  onTime: (time: number) => void;
};

const SIDES = [
  { id: 'front', name: 'front' },
  { id: 'side', name: 'side' },
  { id: 'back', name: 'back' },
] as const;

const seconds = (iso: string) => Date.parse(iso) / 1000;

export function SunDayChart({ light, zone, time, onTime }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const { day, shot } = light;
  const path = day.path.map(([at, azimuth, altitude]) => ({
    t: seconds(String(at)),
    azimuth: Number(azimuth),
    altitude: Number(altitude),
  }));
  const from = path[0]?.t ?? 0;
  const to = path.at(-1)?.t ?? 1;
  const left = 58;
  const rows = shot ? 4 * 18 + 10 : 0;
  const x = linear(from, to, left, Math.max(left + 1, width - 24));
  const low = Math.min(-12, Math.max(-22, day.lowest_deg));
  const y = linear(low, Math.max(20, day.highest_deg + 6), Math.max(1, height - 24 - rows), 12);
  const set = (at: number) => onTime(Math.max(from, Math.min(to, at)));
  const press = (event: PointerEvent<SVGSVGElement>) => {
    const box = ref.current?.getBoundingClientRect();
    if (box && event.buttons === 1) set(x.invert(event.clientX - box.left));
  };
  const keys = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -900, ArrowRight: 900 }[event.key];
    if (by) {
      event.preventDefault();
      set(time + by * (event.shiftKey ? 4 : 1));
    }
  };
  const band = (stretches: Schemas['TimeStretch'][], fill: string, opacity: number) =>
    stretches.map((one) => (
      <rect
        key={one.from}
        x={x(seconds(one.from))}
        width={Math.max(1, x(seconds(one.to)) - x(seconds(one.from)))}
        y={0}
        height={Math.max(1, height - 24 - rows)}
        fill={fill}
        opacity={opacity}
      />
    ));
  const foot = height - 24 - rows;
  return (
    <div ref={ref} className="size-full min-h-56 overflow-hidden" data-picture="sun-day">
      <svg
        width={width}
        height={height}
        className="block touch-none"
        tabIndex={0}
        // biome-ignore lint/a11y/noNoninteractiveElementToInteractiveRole: the whole picture is the slider
        role="slider"
        aria-label="Time of day. Arrow keys move it by a quarter of an hour."
        aria-valuenow={Math.round(time)}
        aria-valuetext={hour(1000 * time, zone)}
        onPointerDown={press}
        onPointerMove={press}
        onKeyDown={keys}
      >
        {band(day.stretches.night, 'var(--ink)', 0.16)}
        {band(day.stretches.blue, 'var(--climb)', 0.28)}
        {band(day.stretches.golden, 'var(--pollen)', 0.28)}
        <path d={`M${left} ${y(0)}H${width - 10}`} stroke="var(--ink)" strokeWidth={1.2} />
        {ticks(low, day.highest_deg + 6, 10).map((deg) => (
          <g key={deg}>
            <path d={`M${left} ${y(deg)}H${width - 10}`} stroke="var(--mesh)" />
            <text x={left - 6} y={y(deg) + 4} fontSize={11} textAnchor="end" fill="var(--ink-soft)">
              {deg}°
            </text>
          </g>
        ))}
        {ticks(from, to, 3 * 3600).map((t) => (
          <g key={t}>
            <path d={`M${x(t)} ${foot}v5`} stroke="var(--ink-soft)" />
            <text
              x={x(t)}
              y={foot + 18}
              fontSize={11}
              textAnchor="middle"
              className="figure"
              fill="var(--ink-soft)"
            >
              {hour(1000 * Math.round(t / 3600) * 3600, zone)}
            </text>
          </g>
        ))}
        <path
          d={through(path.filter((one) => one.altitude > low).map((one) => [x(one.t), y(one.altitude)]))}
          fill="none"
          stroke="var(--pollen)"
          strokeWidth={2.5}
        />
        {shot &&
          SIDES.map((side, row) => (
            <g key={side.id}>
              <text
                x={left - 6}
                y={foot + 38 + 18 * row}
                fontSize={11}
                textAnchor="end"
                fill="var(--ink-soft)"
              >
                {side.name}
              </text>
              {shot.sides
                .filter((one) => one.sides.includes(side.id))
                .map((one) => (
                  <rect
                    key={one.at}
                    x={x(seconds(one.at))}
                    width={Math.max(2, x(900) - x(0) + 0.5)}
                    y={foot + 28 + 18 * row}
                    height={12}
                    fill="var(--petal)"
                    opacity={one.sides.length === 1 ? 1 : 0.45}
                  />
                ))}
            </g>
          ))}
        {shot && (
          <>
            <text x={left - 6} y={foot + 38 + 54} fontSize={11} textAnchor="end" fill="var(--ink-soft)">
              wanted
            </text>
            {shot.windows.map((one) => (
              <rect
                key={one.from}
                data-window={one.from}
                x={x(seconds(one.from))}
                width={Math.max(2, x(seconds(one.to)) - x(seconds(one.from)))}
                y={foot + 28 + 54}
                height={12}
                fill="var(--leaf)"
              />
            ))}
          </>
        )}
        <path d={`M${x(time)} 0V${height - 4}`} stroke="var(--larkspur)" strokeWidth={2} />
        <circle
          cx={x(time)}
          cy={y(altitudeAt(light, time))}
          r={6}
          fill="var(--card)"
          stroke="var(--larkspur)"
          strokeWidth={2.5}
        />
      </svg>
    </div>
  );
}

/** The sun as the server's path has it at a time, between two of its points. */
export function sunAt(light: Schemas['LightDay'], time: number): { azimuth: number; altitude: number } {
  const path = light.day.path;
  for (let i = 1; i < path.length; i++) {
    const [t1, a1, h1] = path[i] ?? [];
    const at = seconds(String(t1));
    if (at >= time) {
      const [t0, a0, h0] = path[i - 1] ?? [];
      const share = Math.max(
        0,
        Math.min(1, (time - seconds(String(t0))) / Math.max(1, at - seconds(String(t0)))),
      );
      const turn = ((((Number(a1) - Number(a0)) % 360) + 540) % 360) - 180;
      return {
        azimuth: (Number(a0) + share * turn + 360) % 360,
        altitude: Number(h0) + share * (Number(h1) - Number(h0)),
      };
    }
  }
  return { azimuth: 0, altitude: 0 };
}

const altitudeAt = (light: Schemas['LightDay'], time: number) => sunAt(light, time).altitude;
