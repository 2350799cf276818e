// Side sheet: the same move in elevation, seen square to the line from the start to the subject; one that goes round it or past it is
// unrolled along its own length. Ground, what stands there, the path's height, the rays of the frame's upper and lower edge.
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { type Units, withUnit } from '~/units';
import { BoardButtons } from './BoardButtons';
import { extentAlong } from './footprint';
import { Handle } from './Handle';
import { indexAt, roundUp, through, ticks } from './scale';
import { useBoard } from './useBoard';

type SideHandle = {
  id: string;
  label: string;
  /** The place that it is at or drawn from, m. */
  east: number;
  north: number;
  up: number;
  /** Of a tilt: the direction in which it stands, degrees. */
  tilt: number | null;
  text: string;
  /** Told where it was pulled to: a height, m, or a tilt, degrees. */
  onMove: (value: number) => void;
  onStep: (up: number) => void;
};

const NONE: SideHandle[] = [];

/** How far from the craft a tilt is pulled, px. */
const ARM = 64;

type Props = {
  plan: Schemas['Plan'];
  site: Schemas['SiteDocument'];
  time?: number | null;
  units: Units;
  /** The same move as it was flown, drawn over the plan. */
  flown?: Schemas['Samples'];
  handles?: SideHandle[];
};

export function SideSheet({ plan, site, time, units, flown, handles = NONE }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const samples = plan.samples;
  const filmed = plan.subject;
  const subject = filmed ?? {
    east_m: samples.east_m[0] ?? 0,
    north_m: samples.north_m[0] ?? 0,
    up_m: 0,
    ground_m: 0,
  };
  const at = indexAt(samples.t, time ?? samples.t[0] ?? 0);

  const view = plan.unrolled ? unrolled(samples, site, subject) : viewOf(samples, site, subject);

  const pad = 22;
  const per = Math.max(
    0.05,
    Math.min((width - 2 * pad) / (view.right - view.left), (height - 2 * pad) / (view.top - view.bottom)),
  );
  const middle = (view.left + view.right) / 2;
  const board = useBoard(
    { east: middle, north: view.bottom + (height / 2 - pad) / per, per },
    { width, height },
  );
  const { x, y } = board;
  const grid = roundUp(48 / x.perUnit);
  const up = samples.up_m[at] ?? 0;
  const here = view.xs[at] ?? 0;
  // A few dozen points: made anew with each drawing, like the rest of the picture.
  const groundLine = through(
    (plan.ground_m ?? [])
      .map(([e = 0, n = 0, level = 0]): [number, number] => [x(view.along(e, n)), y(level)])
      .sort((a, b) => a[0] - b[0]),
  );
  const lookingTo = (way: number) => (plan.unrolled || way <= 0 ? 1 : -1);
  const facing = lookingTo(here);
  const ray = (offset: number) => {
    const angle = ((samples.tilt_deg[at] ?? 0) + offset) * (Math.PI / 180);
    const far = Math.max(20, Math.abs(here) * 1.5);
    return `M${x(here)} ${y(up)}L${x(here + facing * far * Math.cos(angle))} ${y(up + far * Math.sin(angle))}`;
  };
  return (
    <div ref={ref} className="relative size-full min-h-40 overflow-hidden" data-picture="side-sheet">
      <svg
        {...board.bind()}
        width={width}
        height={height}
        role="group"
        aria-label={`From the side: ${withUnit(up - subject.ground_m, 'm', units)} above the subject's foot`}
        className="block text-ink touch-none"
      >
        <g stroke="var(--mesh)">
          {ticks(x.invert(0), x.invert(width), grid).map((v) => (
            <path key={v} d={`M${x(v)} 0V${height}`} />
          ))}
          {ticks(y.invert(height), y.invert(0), grid).map((v) => (
            <path key={v} d={`M0 ${y(v)}H${width}`} />
          ))}
        </g>
        {!plan.unrolled && (
          <path
            d={`${ray(plan.camera.vfov_deg / 2)}${ray(-plan.camera.vfov_deg / 2)}`}
            stroke="var(--petal)"
            strokeDasharray="3 3"
            fill="none"
          />
        )}
        {plan.ground_m == null ? (
          <path d={`M0 ${y(subject.ground_m)}H${width}`} stroke="var(--ink)" strokeWidth={1.2} />
        ) : (
          <path d={groundLine} stroke="var(--ink)" strokeWidth={1.2} fill="none" data-role="ground" />
        )}
        {view.near.map(({ solid, from, to }, index) => (
          <rect
            // biome-ignore lint/suspicious/noArrayIndexKey: ids come from files and may repeat; what is near changes with every drag
            key={index}
            x={x(from)}
            y={y(solid.base_m + solid.height_m)}
            width={Math.max(2, (to - from) * x.perUnit)}
            height={
              solid.shape === 'wire' ? 2 : Math.max(2, (solid.height_m - (solid.clear_m ?? 0)) * x.perUnit)
            }
            fill={solid.role === 'subject' ? 'var(--ink)' : 'var(--ground)'}
            stroke={solid.role === 'subject' ? 'var(--ink)' : 'var(--solid)'}
            fillOpacity={solid.role === 'subject' ? 0.9 : 0.75}
          />
        ))}
        <path
          d={through(view.xs.map((v, i) => [x(v), y(samples.up_m[i] ?? 0)]))}
          stroke="var(--larkspur)"
          strokeWidth={2.5}
          fill="none"
        />
        {flown && (
          <path
            d={through(
              flown.east_m.map((e, i) => [x(view.along(e, flown.north_m[i] ?? 0)), y(flown.up_m[i] ?? 0)]),
            )}
            stroke="var(--pollen)"
            strokeWidth={2.2}
            fill="none"
            data-role="flown-path"
          />
        )}
        {filmed && plan.unrolled && (
          <g data-role="aimed-height">
            <path
              d={`M0 ${y(subject.up_m)}H${width}`}
              stroke="var(--pollen)"
              strokeWidth={1.5}
              strokeDasharray="5 4"
            />
            <text
              x={width - 6}
              y={y(subject.up_m) - 4}
              textAnchor="end"
              className="halo"
              fontSize={11}
              fill="var(--ink-soft)"
            >
              aimed at
            </text>
          </g>
        )}
        {filmed && plan.subject_way === null && !plan.unrolled && (
          <>
            <path
              d={`M${x(here)} ${y(up)}L${x(0)} ${y(subject.up_m)}`}
              stroke="var(--leaf)"
              strokeDasharray="5 4"
            />
            <g transform={`translate(${x(0)} ${y(subject.up_m)})`} strokeWidth={1.5} fill="none">
              <circle r={4} stroke="var(--pollen)" strokeWidth={2} />
            </g>
          </>
        )}
        <path
          d={`M${x(here)} ${y(up)}V${y(subject.ground_m)}`}
          stroke="var(--ink-soft)"
          strokeDasharray="1 3"
        />
        <text
          x={x(here) + (facing > 0 ? -6 : 6)}
          y={(y(up) + y(subject.ground_m)) / 2}
          fontSize={12}
          textAnchor={facing > 0 ? 'end' : 'start'}
          fill="var(--ink-soft)"
        >
          {withUnit(up - subject.ground_m, 'm', units)}
        </text>
        <circle cx={x(here)} cy={y(up)} r={5} fill="var(--card)" stroke="var(--larkspur)" strokeWidth={2} />
        {handles.map((handle) => {
          const [px, py] = [x(view.along(handle.east, handle.north)), y(handle.up)];
          const way = lookingTo(view.along(handle.east, handle.north));
          const angle = ((handle.tilt ?? 0) * Math.PI) / 180;
          const arm = handle.tilt === null ? 0 : ARM;
          const [toX, toY] = [px + way * arm * Math.cos(angle), py - arm * Math.sin(angle)];
          return (
            <g key={handle.id}>
              {arm > 0 && (
                <path
                  d={`M${px} ${py}L${toX} ${toY}`}
                  stroke="var(--larkspur)"
                  strokeDasharray="2 3"
                  pointerEvents="none"
                />
              )}
              <Handle
                id={handle.id}
                label={handle.label}
                ways="upright"
                small={handle.id !== 'height'}
                value={Math.round(handle.tilt ?? handle.up)}
                text={handle.text}
                x={toX}
                y={toY}
                onPull={(atX, atY) =>
                  handle.onMove(
                    handle.tilt === null
                      ? y.invert(atY)
                      : (Math.atan2(py - atY, Math.max(0.5, way * (atX - px))) * 180) / Math.PI,
                  )
                }
                onStep={(_, by) => handle.onStep(by)}
              >
                {handle.id === 'height' && (
                  <path d="M-3 -1.5L0 -4.5L3 -1.5M-3 1.5L0 4.5L3 1.5" stroke="var(--larkspur)" fill="none" />
                )}
              </Handle>
            </g>
          );
        })}
      </svg>
      <BoardButtons board={board} shy />
    </div>
  );
}

type Ground = { east_m: number; north_m: number };
type Foot = Ground & { ground_m: number; up_m: number };

/** What is seen square to the way: along it, m from the subject, with what stands near enough to have something to say of it. */
function viewOf(samples: Schemas['Samples'], site: Schemas['SiteDocument'], subject: Foot) {
  const [ue, un, reach] = axisOf(samples, subject);
  const [along0, beside0] = [
    subject.east_m * ue + subject.north_m * un,
    subject.east_m * un - subject.north_m * ue,
  ];
  const along = (e: number, n: number) => e * ue + n * un - along0;
  const xs = samples.east_m.map((e, i) => along(e, samples.north_m[i] ?? 0));
  // What stands far to the side of the way has nothing to say of it: it would only hide what does.
  const ys = samples.east_m.map((e, i) => e * un - (samples.north_m[i] ?? 0) * ue - beside0);
  const spare = Math.max(10, 0.5 * reach);
  const [least, most] = [Math.min(0, ...ys) - spare, Math.max(0, ...ys) + spare];
  const near = site.solids
    .map((solid) => {
      const [from, to] = extentAlong(solid, ue, un);
      const [left, right] = extentAlong(solid, un, -ue);
      return { solid, from: from - along0, to: to - along0, left: left - beside0, right: right - beside0 };
    })
    .filter((one) => one.to > -2.4 * reach && one.from < 2.4 * reach && one.right > least && one.left < most);
  const left = Math.min(-reach, ...xs) - 4;
  const right =
    Math.max(...xs, ...near.filter((item) => item.solid.role === 'subject').map((item) => item.to), 4) + 4;
  const top =
    Math.max(
      ...samples.up_m,
      ...near.filter((i) => i.solid.role === 'subject').map((i) => i.solid.base_m + i.solid.height_m),
    ) + 3;
  const bottom = Math.min(0, subject.ground_m, ...samples.up_m) - 3;
  return { xs, near, left, right, top, bottom, along };
}

/** So near to its way, m, a thing has something to say of an unrolled one. */
const BESIDE = 15;

/** A way unrolled along its own length, m from its start, with what stands beside it where it passes nearest. */
function unrolled(samples: Schemas['Samples'], site: Schemas['SiteDocument'], subject: Foot) {
  const places = samples.east_m.map((e, i): [number, number] => [e, samples.north_m[i] ?? 0]);
  const xs: number[] = [];
  for (const [i, [e, n]] of places.entries()) {
    const [be, bn] = places[i - 1] ?? [e, n];
    xs.push((xs[i - 1] ?? 0) + Math.hypot(e - be, n - bn));
  }
  const passed = (e: number, n: number) => {
    let [best, least] = [0, Number.POSITIVE_INFINITY];
    for (const [i, [pe, pn]] of places.entries()) {
      const away = Math.hypot(pe - e, pn - n);
      if (away < least) [best, least] = [i, away];
    }
    return { way: xs[best] ?? 0, least };
  };
  const near = site.solids.flatMap((solid) => {
    const { way, least } = passed(solid.east_m, solid.north_m);
    const half = Math.max(solid.width_m, solid.length_m) / 2;
    return least - half > BESIDE ? [] : [{ solid, from: way - half, to: way + half }];
  });
  const whole = xs.at(-1) ?? 0;
  const top = Math.max(...samples.up_m, subject.up_m) + 3;
  const bottom = Math.min(0, subject.ground_m, ...samples.up_m) - 3;
  const along = (e: number, n: number) => passed(e, n).way;
  return { xs, near, left: -4, right: whole + 4, top, bottom, along };
}

/** The way along which the sheet is seen, and how far the subject lies on it; over the subject, the way that is flown. */
function axisOf(samples: Schemas['Samples'], subject: Ground): [number, number, number] {
  const e0 = samples.east_m[0] ?? 0;
  const n0 = samples.north_m[0] ?? 0;
  const away = Math.hypot(e0 - subject.east_m, n0 - subject.north_m);
  if (away >= 1) return [(subject.east_m - e0) / away, (subject.north_m - n0) / away, away];
  let far: [number, number, number] = [0, 1, 1];
  for (let i = 0; i < samples.east_m.length; i += 5) {
    const e = (samples.east_m[i] ?? 0) - e0;
    const n = (samples.north_m[i] ?? 0) - n0;
    const length = Math.hypot(e, n);
    if (length > far[2]) far = [e / length, n / length, length];
  }
  return far;
}
