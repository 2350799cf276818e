// Site sheet: the plan view in metres, north up. What stands there with its height, take-off and sight-line ring, wind,
// the planned path with a tick each second and the camera's wedge, and what was flown over it. Handles reshape a shot.
import { memo, type PointerEvent, useMemo, useRef, useState } from 'react';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { type Units, withUnit } from '~/units';
import { coverOf } from './footprint';
import { around, meet, placeLabels } from './labels';
import { Mesh } from './Mesh';
import { SiteThings } from './SiteThings';
import { indexAt, linear, roundUp, type Scale, through } from './scale';

type Path = { t: number[]; east_m: number[]; north_m: number[]; heading_deg?: number[] };

export type Handle = {
  id: string;
  label: string;
  east: number;
  north: number;
  /** Told where it was dragged to, in metres. */
  onMove: (east: number, north: number) => void;
  /** Told arrow keys: along and across, in steps. */
  onNudge: (dx: number, dy: number) => void;
};

type Props = {
  site: Schemas['SiteDocument'];
  subject: { east_m: number; north_m: number } | null;
  /** Where a subject that moves is, at the times of the path that is shown. */
  subjectWay?: { east_m: number[]; north_m: number[] } | null;
  planned?: Path | null;
  flown?: Path | null;
  wind?: Schemas['Wind'] | null;
  hfov: number;
  time?: number | null;
  /** Where the sun stands, at what time. */
  sun?: { azimuth_deg: number; label: string }[] | null;
  handles?: Handle[];
  units: Units;
  label: string;
};

const NONE: Handle[] = [];

/** So many things are named, the tallest first: more would cover the sheet. */
const MOST_LABELS = 24;

type Bounds = { east: [number, number]; north: [number, number] };

/** What is flown and filmed fills the sheet; whoever stands far off is pointed to at its edge. */
function boundsOf(props: Props): Bounds {
  const alone = !props.planned && !props.flown;
  const east = [...(props.subject ? [props.subject.east_m] : []), ...(props.subjectWay?.east_m ?? [])];
  const north = [...(props.subject ? [props.subject.north_m] : []), ...(props.subjectWay?.north_m ?? [])];
  if (alone) {
    east.push(0);
    north.push(0);
  }
  for (const path of [props.planned, props.flown]) {
    if (path) {
      for (let i = 0; i < path.east_m.length; i += 4) {
        east.push(path.east_m[i] ?? 0);
        north.push(path.north_m[i] ?? 0);
      }
    }
  }
  const span = (values: number[]): [number, number] => [Math.min(...values), Math.max(...values)];
  return { east: span(east), north: span(north) };
}

/** Keeps the view while its content still fits well, so that a drag does not make the sheet swim. */
function useSettledBounds(bounds: Bounds, frozen: boolean): Bounds {
  const kept = useRef(bounds);
  const outside = (k: 'east' | 'north') =>
    bounds[k][0] < kept.current[k][0] || bounds[k][1] > kept.current[k][1];
  const span = (b: Bounds, k: 'east' | 'north') => b[k][1] - b[k][0];
  const loose =
    Math.max(span(bounds, 'east'), span(bounds, 'north')) <
    0.6 * Math.max(span(kept.current, 'east'), span(kept.current, 'north'));
  if (!frozen && (outside('east') || outside('north') || loose)) {
    kept.current = bounds;
  }
  return kept.current;
}

export const SiteSheet = memo(function SiteSheet(props: Props) {
  const {
    site,
    subjectWay = null,
    planned,
    flown,
    wind,
    hfov,
    time,
    sun = null,
    handles = NONE,
    units,
    label,
  } = props;
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [dragging, setDragging] = useState<string | null>(null);
  const bounds = useSettledBounds(boundsOf(props), dragging !== null);

  // A subject that moves is drawn where it is now.
  const timed = planned && planned.t.length === subjectWay?.east_m.length ? planned : flown;
  const now = subjectWay && timed ? indexAt(timed.t, time ?? timed.t[0] ?? 0) : 0;
  const subject = useMemo(
    () =>
      subjectWay && props.subject
        ? { east_m: subjectWay.east_m[now] ?? 0, north_m: subjectWay.north_m[now] ?? 0 }
        : props.subject,
    [subjectWay, props.subject, now],
  );

  const { x, y, grid } = useMemo(() => {
    const pad = 26;
    const w = Math.max(24, bounds.east[1] - bounds.east[0] + 8);
    const h = Math.max(24, bounds.north[1] - bounds.north[0] + 8);
    const per = Math.max(0.05, Math.min((width - 2 * pad) / w, (height - 2 * pad) / h));
    const ce = (bounds.east[0] + bounds.east[1]) / 2;
    const cn = (bounds.north[0] + bounds.north[1]) / 2;
    return {
      x: linear(ce, ce + 1, width / 2, width / 2 + per),
      y: linear(cn, cn + 1, height / 2, height / 2 - per),
      grid: roundUp(48 / per),
    };
  }, [bounds, width, height]);

  const seconds = useMemo(() => {
    if (!planned) return [];
    const out: { s: number; x: number; y: number; angle: number }[] = [];
    const first = planned.t[0] ?? 0;
    for (let s = Math.ceil(first); s <= (planned.t.at(-1) ?? 0); s++) {
      const i = indexAt(planned.t, s);
      const j = Math.min(planned.t.length - 1, i + 1);
      const dx = x(planned.east_m[j] ?? 0) - x(planned.east_m[i] ?? 0);
      const dy = y(planned.north_m[j] ?? 0) - y(planned.north_m[i] ?? 0);
      if (Math.hypot(dx, dy) > 0.15) {
        out.push({
          s,
          x: x(planned.east_m[i] ?? 0),
          y: y(planned.north_m[i] ?? 0),
          angle: (Math.atan2(dy, dx) * 180) / Math.PI,
        });
      }
    }
    return out;
  }, [planned, x, y]);

  const line = (path: Path) => through(path.east_m.map((e, i) => [x(e), y(path.north_m[i] ?? 0)]));
  const poseAt = (path: Path | null | undefined, at: number) => {
    if (!path) return null;
    const i = indexAt(path.t, at);
    return { x: x(path.east_m[i] ?? 0), y: y(path.north_m[i] ?? 0), heading: path.heading_deg?.[i] ?? null };
  };
  const shownTime = time ?? planned?.t[0] ?? 0;
  const craft = poseAt(flown ?? planned, shownTime);
  const wedge = (pose: { x: number; y: number; heading: number | null }) => {
    if (pose.heading === null) return '';
    const reach = subject ? Math.hypot(x(subject.east_m) - pose.x, y(subject.north_m) - pose.y) * 1.15 : 90;
    const at = (degrees: number) => {
      const a = ((pose.heading ?? 0) + degrees) * (Math.PI / 180);
      return `${(pose.x + reach * Math.sin(a)).toFixed(1)} ${(pose.y - reach * Math.cos(a)).toFixed(1)}`;
    };
    return `M${pose.x.toFixed(1)} ${pose.y.toFixed(1)}L${at(-hfov / 2)}L${at(hfov / 2)}Z`;
  };
  const end = planned ? { x: x(planned.east_m.at(-1) ?? 0), y: y(planned.north_m.at(-1) ?? 0) } : null;

  const you = useMemo(() => takeOffOn(x, y, width, height), [x, y, width, height]);
  const solids = useMemo(() => {
    const sheet = { left: 0, top: 0, right: width, bottom: height };
    return site.solids
      .map((solid) => ({ solid, of: coverOf(solid, x, y, sheet) }))
      .filter(({ of }) => meet(of, sheet));
  }, [site, x, y, width, height]);
  // North and wind stand at the upper right, or below it where something stands there.
  const signs = useMemo(() => {
    const upper = { left: width - (wind && wind.mean_mps > 0 ? 92 : 40), top: 0, right: width, bottom: 56 };
    return solids.some(({ of }) => meet(of, upper)) ? { ...upper, top: height - 56, bottom: height } : upper;
  }, [solids, wind, width, height]);
  const suns = useMemo(
    () =>
      (sun ?? []).map((one) => {
        const a = (one.azimuth_deg * Math.PI) / 180;
        // Where that bearing meets the edge of the sheet, with room for what it is called, above the scale.
        const down = Math.cos(a) < 0 ? 48 : 30;
        const reach = Math.min(
          (width / 2 - 24) / Math.max(1e-6, Math.abs(Math.sin(a))),
          (height / 2 - down) / Math.max(1e-6, Math.abs(Math.cos(a))),
        );
        const at = (r: number) => [width / 2 + r * Math.sin(a), height / 2 - r * Math.cos(a)] as const;
        const [x, y] = at(reach);
        const [fromX, fromY] = at(reach - 26);
        return { label: one.label, x, y, fromX, fromY };
      }),
    [sun, width, height],
  );
  const fixed = useMemo(
    () => [
      around(you.x + (you.far > 0 ? -24 : 16), you.y, you.far > 0 ? 34 : 22),
      signs,
      { left: 0, top: height - 36, right: 120, bottom: height },
      ...suns.map((one) => around((one.x + one.fromX) / 2, (one.y + one.fromY) / 2, 14)),
    ],
    [signs, suns, you, height],
  );
  const sunLabels = useMemo(
    () =>
      placeLabels(
        suns.map((one) => ({ text: one.label, of: around(one.x, one.y, 6) })),
        fixed,
        width,
        height,
      ),
    [suns, fixed, width, height],
  );
  const labels = useMemo(() => {
    const named = solids
      .filter(({ solid }) => solid.role === 'obstacle')
      .sort((a, b) => b.solid.height_m - a.solid.height_m)
      .slice(0, MOST_LABELS)
      .map(({ solid, of }) => ({
        text: `${solid.name}, ${withUnit(solid.height_m, 'm', units, 1)}`,
        of,
      }));
    const marks = [planned, flown].flatMap((path) =>
      path
        ? path.east_m
            .map((east, i) => around(x(east), y(path.north_m[i] ?? 0), 5))
            .filter((_, i) => i % 5 === 0)
        : [],
    );
    return placeLabels(
      named,
      [
        ...marks,
        ...solids.map(({ of }) => of),
        ...handles.map((handle) => around(x(handle.east), y(handle.north), 12)),
        ...(subject ? [around(x(subject.east_m), y(subject.north_m), 10)] : []),
        ...fixed,
        ...sunLabels.map((one) => ({ left: one.x, top: one.y - 11, right: one.x + 70, bottom: one.y + 3 })),
      ],
      width,
      height,
    );
  }, [solids, fixed, sunLabels, planned, flown, handles, subject, units, x, y, width, height]);

  const drag = (handle: Handle) => ({
    onPointerDown: (event: PointerEvent<SVGGElement>) => {
      event.currentTarget.setPointerCapture(event.pointerId);
      setDragging(handle.id);
    },
    onPointerMove: (event: PointerEvent<SVGGElement>) => {
      if (dragging !== handle.id) return;
      const box = ref.current?.getBoundingClientRect();
      if (box) handle.onMove(x.invert(event.clientX - box.left), y.invert(event.clientY - box.top));
    },
    onPointerUp: () => setDragging(null),
    onPointerCancel: () => setDragging(null),
  });
  const bar = roundUp(60 / x.perUnit);
  const windAngle = wind ? wind.from_deg : 0;

  return (
    <div ref={ref} className="size-full min-h-40 overflow-hidden touch-none" data-picture="site-sheet">
      <svg width={width} height={height} role="group" aria-label={label} className="block text-ink">
        <Mesh x={x} y={y} width={width} height={height} step={grid} sightLine={site.sight_line_m} />
        {craft?.heading != null && <path d={wedge(craft)} fill="var(--haze)" fillOpacity={0.85} />}
        <SiteThings site={site} x={x} y={y} />
        {suns.length > 0 && (
          <g data-role="sun" className="text-pollen-ink">
            {suns.map((one) => (
              <g key={one.label}>
                <path
                  d={`M${one.fromX} ${one.fromY}L${one.x} ${one.y}`}
                  stroke="currentcolor"
                  strokeWidth={1.5}
                />
                <circle cx={one.x} cy={one.y} r={5} fill="var(--pollen)" />
              </g>
            ))}
            {sunLabels.map((one) => (
              <text key={one.text} className="halo" x={one.x} y={one.y} fontSize={11} fill="currentcolor">
                {one.text}
              </text>
            ))}
          </g>
        )}
        {subjectWay && (
          <path
            d={through(subjectWay.east_m.map((e, i) => [x(e), y(subjectWay.north_m[i] ?? 0)]))}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.2}
            strokeDasharray="1 4"
            data-role="subject-way"
          />
        )}
        {planned && (
          <path
            d={line(planned)}
            fill="none"
            stroke="var(--larkspur)"
            strokeWidth={flown ? 1.8 : 2.5}
            strokeDasharray={flown ? '5 4' : undefined}
            data-role="planned-path"
          />
        )}
        {!flown &&
          seconds.map((tick) => (
            <path
              key={tick.s}
              d="M0 -4V4"
              stroke="var(--larkspur)"
              transform={`translate(${tick.x} ${tick.y}) rotate(${tick.angle})`}
            />
          ))}
        {flown && (
          <path d={line(flown)} fill="none" stroke="var(--pollen)" strokeWidth={2.5} data-role="flown-path" />
        )}
        {end && !flown && <circle cx={end.x} cy={end.y} r={4} fill="var(--larkspur)" />}
        {subject && (
          <g
            transform={`translate(${x(subject.east_m)} ${y(subject.north_m)})`}
            stroke="var(--ink)"
            strokeWidth={1.5}
            fill="none"
          >
            <circle r={4} />
            <path d="M-8 0H-4M4 0H8M0 -8V-4M0 4V8" />
          </g>
        )}
        <TakeOff at={you} width={width} units={units} />
        {craft && (
          <circle
            cx={craft.x}
            cy={craft.y}
            r={6}
            fill="var(--card)"
            stroke={flown ? 'var(--pollen)' : 'var(--larkspur)'}
            strokeWidth={2.5}
            data-role="craft"
          />
        )}
        {labels.map((label) => (
          <text
            key={`${label.text} ${label.x} ${label.y}`}
            className="halo"
            x={label.x}
            y={label.y}
            fontSize={11}
            fill="var(--ink-soft)"
          >
            {label.text}
          </text>
        ))}
        {handles.map((handle) => (
          <g
            key={handle.id}
            data-handle={handle.id}
            role="slider"
            tabIndex={0}
            aria-label={`${handle.label}. Arrow keys move it.`}
            aria-valuenow={Math.round(Math.hypot(handle.east, handle.north))}
            aria-valuetext={`${withUnit(handle.east, 'm', units)} east, ${withUnit(handle.north, 'm', units)} north`}
            transform={`translate(${x(handle.east)} ${y(handle.north)})`}
            className="cursor-grab"
            onKeyDown={(event) => {
              const step = event.shiftKey ? 5 : 1;
              const move = {
                ArrowLeft: [-step, 0],
                ArrowRight: [step, 0],
                ArrowUp: [0, step],
                ArrowDown: [0, -step],
              }[event.key];
              if (move) {
                event.preventDefault();
                handle.onNudge(move[0] ?? 0, move[1] ?? 0);
              }
            }}
            {...drag(handle)}
          >
            <circle r={22} fill="transparent" />
            <circle r={9} fill="var(--card)" stroke="var(--larkspur)" strokeWidth={3} />
            <circle r={2.5} fill="var(--larkspur)" />
          </g>
        ))}
        <g transform={`translate(12 ${height - 14})`} className="text-ink-soft">
          <path
            d={`M0 0H${bar * x.perUnit}M0 -4V4M${bar * x.perUnit} -4V4`}
            stroke="currentcolor"
            strokeWidth={1.5}
          />
          <text x={4} y={-7} fontSize={12}>
            {withUnit(bar, 'm', units, bar < 1 ? 1 : 0)}
          </text>
        </g>
        <g transform={`translate(${width - 22} ${signs.top + 26})`} className="text-ink-soft">
          <path d="M0 12V-10M-4 -4L0 -11L4 -4" stroke="currentcolor" strokeWidth={1.5} fill="none" />
          <text y={25} fontSize={12} textAnchor="middle">
            N
          </text>
        </g>
        {wind && wind.mean_mps > 0 && (
          <g transform={`translate(${width - 64} ${signs.top + 24})`} className="text-pollen-ink">
            <path
              d="M0 -12V11M-4 5L0 12L4 5"
              stroke="currentcolor"
              strokeWidth={2}
              fill="none"
              transform={`rotate(${windAngle})`}
            />
            <text y={27} fontSize={12} textAnchor="middle">
              {withUnit(wind.mean_mps, 'm/s', units)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
});

type Place = { x: number; y: number; far: number; angle: number };

/** Take-off on the sheet, or where its edge is met on the way there, and then how far it is, m. */
function takeOffOn(x: Scale, y: Scale, width: number, height: number): Place {
  const [left, top, right, bottom] = [14, 14, width - 14, height - 14];
  const [dx, dy] = [x(0) - width / 2, y(0) - height / 2];
  if (width === 0 || (x(0) >= left && x(0) <= right && y(0) >= top && y(0) <= bottom))
    return { x: x(0), y: y(0), far: 0, angle: 0 };
  const share = Math.min(
    (right - left) / 2 / Math.max(1e-6, Math.abs(dx)),
    (bottom - top) / 2 / Math.max(1e-6, Math.abs(dy)),
  );
  return {
    x: width / 2 + share * dx,
    y: height / 2 + share * dy,
    far: Math.hypot(x.invert(width / 2), y.invert(height / 2)),
    angle: (Math.atan2(dy, dx) * 180) / Math.PI,
  };
}

function TakeOff({ at, width, units }: { at: Place; width: number; units: Units }) {
  const right = at.x > width / 2;
  return (
    <g transform={`translate(${at.x} ${at.y})`} className="text-leaf" data-role="take-off">
      {at.far > 0 ? (
        <path d="M-8 -5L2 0L-8 5Z" fill="var(--leaf)" transform={`rotate(${at.angle})`} />
      ) : (
        <circle r={5} fill="var(--card)" stroke="var(--leaf)" strokeWidth={2} />
      )}
      <text
        className={at.far > 0 ? 'halo' : undefined}
        x={at.far > 0 && right ? -13 : at.far > 0 ? 11 : 9}
        y={4}
        fontSize={12}
        textAnchor={at.far > 0 && right ? 'end' : 'start'}
      >
        {at.far > 0 ? `you, ${withUnit(at.far, 'm', units, 0)}` : 'you'}
      </text>
    </g>
  );
}
