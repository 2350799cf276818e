// Site sheet: the plan view in metres, north up. What stands there with its height, take-off and sight-line ring, wind,
// the planned path with a tick each second and the camera's wedge, and what was flown over it. Handles reshape a shot.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { type Units, withUnit } from '~/units';
import { BoardButtons } from './BoardButtons';
import { FigureMarks } from './FigureMarks';
import { Handle } from './Handle';
import { around, placeLabels } from './labels';
import { Mesh } from './Mesh';
import { SiteThings } from './SiteThings';
import { indexAt, roundUp, through } from './scale';
import {
  type Bounds,
  boundsOf,
  type Edge,
  labelsOn,
  marksOn,
  type Path,
  poseOn,
  secondsOn,
  signsOn,
  solidsOn,
  sunsOn,
  takeOffOn,
  wedgeOf,
} from './siteMarks';
import { useBoard } from './useBoard';

export type SheetHandle = {
  id: string;
  label: string;
  east: number;
  north: number;
  /** Called while it is pulled; east and north are metres from take-off. */
  onMove: (east: number, north: number) => void;
  /** Told arrow keys: steps to the east and to the north. */
  onStep: (right: number, up: number) => void;
};

type Props = {
  site: Schemas['SiteDocument'];
  subject: { east_m: number; north_m: number } | null;
  /** Where a subject that moves is, at the times of the path that is shown. */
  subjectWay?: { east_m: number[]; north_m: number[] } | null;
  planned?: Path | null;
  flown?: Path | null;
  /** Of a figure: where its marks were planned and flown. */
  marks?: Schemas['ReplayMark'][];
  wind?: Schemas['Wind'] | null;
  hfov: number;
  time?: number | null;
  /** Where the sun stands, at what time. */
  sun?: { azimuth_deg: number; label: string }[] | null;
  handles?: SheetHandle[];
  units: Units;
  label: string;
};

const NONE: SheetHandle[] = [];
const NO_MARKS: Schemas['ReplayMark'][] = [];

/** Keeps the view while its content still fits well, so that a drag does not make the sheet swim. */
function useSettledBounds(bounds: Bounds, frozen: boolean): Bounds {
  const [kept, setKept] = useState(bounds);
  const outside = (k: 'east' | 'north') => bounds[k][0] < kept[k][0] || bounds[k][1] > kept[k][1];
  const span = (b: Bounds, k: 'east' | 'north') => b[k][1] - b[k][0];
  const widest = (b: Bounds) => Math.max(span(b, 'east'), span(b, 'north'));
  if (frozen || !(outside('east') || outside('north') || widest(bounds) < 0.6 * widest(kept))) return kept;
  // Drawn anew with the wider view, before anybody sees the narrow one.
  if (bounds.east.join() !== kept.east.join() || bounds.north.join() !== kept.north.join()) setKept(bounds);
  return bounds;
}

export function SiteSheet(props: Props) {
  const {
    site,
    subjectWay = null,
    planned,
    flown,
    marks = NO_MARKS,
    wind,
    hfov,
    time,
    sun = null,
    handles = NONE,
    units,
    label,
  } = props;
  const [ref, size] = useSize<HTMLDivElement>();
  const { width, height } = size;
  const [dragging, setDragging] = useState(false);
  const bounds = useSettledBounds(boundsOf(props.subject, subjectWay, [planned, flown]), dragging);

  // A subject that moves is drawn where it is now.
  const timed = planned && planned.t.length === subjectWay?.east_m.length ? planned : flown;
  const now = subjectWay && timed ? indexAt(timed.t, time ?? timed.t[0] ?? 0) : 0;
  const subject =
    subjectWay && props.subject
      ? { east_m: subjectWay.east_m[now] ?? 0, north_m: subjectWay.north_m[now] ?? 0 }
      : props.subject;

  const pad = 26;
  const per = Math.max(
    0.05,
    Math.min(
      (width - 2 * pad) / Math.max(24, bounds.east[1] - bounds.east[0] + 8),
      (height - 2 * pad) / Math.max(24, bounds.north[1] - bounds.north[0] + 8),
    ),
  );
  const board = useBoard(
    {
      east: (bounds.east[0] + bounds.east[1]) / 2,
      north: (bounds.north[0] + bounds.north[1]) / 2,
      per,
    },
    size,
  );
  const { x, y } = board;
  const grid = roundUp(48 / x.perUnit);

  const seconds = planned ? secondsOn(planned, x, y) : [];
  const line = (path: Path) => through(path.east_m.map((e, i) => [x(e), y(path.north_m[i] ?? 0)]));
  const craft = poseOn(flown ?? planned, time ?? planned?.t[0] ?? 0, x, y);
  const end = planned ? { x: x(planned.east_m.at(-1) ?? 0), y: y(planned.north_m.at(-1) ?? 0) } : null;

  const you = takeOffOn(x, y, size);
  const solids = solidsOn(site, x, y, size);
  const signs = signsOn(solids, wind ?? null, size);
  const suns = sunsOn(sun ?? [], size);
  const fixed = [
    // What is written beside an arrow at the edge goes inward.
    around(you.x + (you.far === 0 ? 16 : you.x > width / 2 ? -36 : 36), you.y, you.far > 0 ? 34 : 22),
    signs,
    { left: 0, top: height - 36, right: 120, bottom: height },
    ...suns.map((one) => around((one.x + one.fromX) / 2, (one.y + one.fromY) / 2, 14)),
  ];
  const sunLabels = placeLabels(
    suns.map((one) => ({ text: one.label, of: around(one.x, one.y, 6) })),
    fixed,
    width,
    height,
  );
  const taken = [
    ...marksOn([planned, flown], x, y),
    ...handles.map((handle) => around(x(handle.east), y(handle.north), 12)),
    ...(subject ? [around(x(subject.east_m), y(subject.north_m), 10)] : []),
    ...fixed,
    ...sunLabels.map((one) => ({ left: one.x, top: one.y - 11, right: one.x + 70, bottom: one.y + 3 })),
  ];
  const labels = labelsOn(solids, taken, units, size);

  const bar = roundUp(60 / x.perUnit);
  const windAngle = wind ? wind.from_deg : 0;

  return (
    <div
      ref={ref}
      className="relative size-full min-h-40 overflow-hidden touch-none"
      data-picture="site-sheet"
    >
      <svg
        {...board.bind()}
        width={width}
        height={height}
        role="group"
        aria-label={label}
        className="block text-ink"
      >
        <Mesh x={x} y={y} width={width} height={height} step={grid} sightLine={site.sight_line_m} />
        {craft?.heading != null && (
          <path d={wedgeOf(craft, subject, hfov, x, y)} fill="var(--haze)" fillOpacity={0.85} />
        )}
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
        {marks.length > 0 && <FigureMarks marks={marks} x={x} y={y} units={units} />}
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
          <Handle
            key={handle.id}
            id={handle.id}
            label={handle.label}
            value={Math.round(Math.hypot(handle.east, handle.north))}
            text={`${withUnit(handle.east, 'm', units)} east, ${withUnit(handle.north, 'm', units)} north`}
            x={x(handle.east)}
            y={y(handle.north)}
            onPull={(px, py) => handle.onMove(x.invert(px), y.invert(py))}
            onStep={handle.onStep}
            onHeld={setDragging}
          >
            <circle r={2.5} fill="var(--larkspur)" />
          </Handle>
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
      <BoardButtons board={board} shy />
    </div>
  );
}

function TakeOff({ at, width, units }: { at: Edge; width: number; units: Units }) {
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
