// The drawing board: the site from above, to scale, with one tool in hand. Places snap to corners and to the grid; what is chosen shows its
// size while it is dragged and is nudged with the arrow keys.
import { type KeyboardEvent, useEffect, useRef, useState } from 'react';
import { useSize } from '~/kit/useSize';
import { BoardButtons } from '~/pictures/BoardButtons';
import { coverOf } from '~/pictures/footprint';
import { around, placeLabels } from '~/pictures/labels';
import { Mesh } from '~/pictures/Mesh';
import { SiteThings } from '~/pictures/SiteThings';
import { roundUp, type Scale, through } from '~/pictures/scale';
import { type Press, useBoard, type View } from '~/pictures/useBoard';
import { type Units, withUnit } from '~/units';
import {
  type Chosen,
  cornerMoved,
  corners,
  type Drawing,
  LEAST,
  made,
  moved,
  type Place,
  pointsOf,
  sizeOf,
  snapped,
  spotsOf,
  type Thing,
  type Tool,
  thingAt,
} from './drawing';

type Props = {
  drawing: Drawing;
  chosen: Chosen | null;
  tool: Tool;
  snap: boolean;
  units: Units;
  onChoose: (chosen: Chosen | null) => void;
  /** A change that is still under the hand: not a step of its own yet. */
  onDrag: (next: Drawing) => void;
  /** The hand lets go: one step to be undone. */
  onDone: (next: Drawing) => void;
  onMade: (list: { list: Chosen['list']; item: Thing }) => void;
  /** Take-off is put here. */
  onTakeOff: (place: Place) => void;
};

const GRID = 0.5;

/** So many things are named at a time, the tallest first. */
const MOST_LABELS = 30;

/** How near a corner draws a place to it, px. */
const REACH = 11;

type Drag = { of: Chosen; from: Place; start: Drawing; corner: number | null };

export function DrawBoard(props: Props) {
  const { drawing, chosen, tool, snap, units, onChoose, onDrag, onDone, onMade, onTakeOff } = props;
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [places, setPlaces] = useState<Place[]>([]);
  const [hover, setHover] = useState<Place | null>(null);
  const drag = useRef<Drag | null>(null);
  const [dragging, setDragging] = useState(false);

  /** A place as it is drawn: at a corner near by, or on the grid. */
  const placeOf = (raw: Place, near: number, except: Chosen | null = null): Place =>
    snap ? snapped(raw, corners(drawing, except), near, GRID) : raw;

  const finish = (all: Place[]) => {
    if (tool === 'take-off') return onTakeOff(all[0] ?? [0, 0]);
    const thing = made(tool, all);
    setPlaces([]);
    if (thing !== null) onMade(thing);
  };
  // biome-ignore lint/correctness/useExhaustiveDependencies: places begun with one tool are not for another
  useEffect(() => setPlaces([]), [tool]);

  /** One more place of the thing that is being drawn. */
  const putPlace = (place: Place, near: number) => {
    const least = LEAST[tool];
    if (least === undefined) return finish([place]);
    const [start] = places;
    const back = start && Math.hypot(start[0] - place[0], start[1] - place[1]) < near;
    if (back && places.length >= least) return finish(places);
    setPlaces([...places, place]);
  };

  /** With a tool in hand a tap puts a place and a drag moves the board; without one a thing is chosen and dragged. */
  const pressed = (press: Press): boolean => {
    const near = REACH / press.per;
    if (press.tap || press.first) press.target.closest('svg')?.focus();
    if (tool !== 'choose') {
      if (press.tap) putPlace(placeOf(press.place, near), near);
      return false;
    }
    const target = press.target as SVGElement;
    if (press.tap) {
      if (target.dataset.corner === undefined) onChoose(chosenOf(drawing, target));
      return true;
    }
    if (press.first) {
      const corner = target.dataset.corner;
      const found = corner !== undefined && chosen ? chosen : chosenOf(drawing, target);
      onChoose(found);
      drag.current = found && {
        of: found,
        from: placeOf(press.start, near, found),
        start: drawing,
        corner: corner === undefined ? null : Number(corner),
      };
      setDragging(found !== null);
      return found !== null;
    }
    const now = drag.current;
    if (now === null) return false;
    if (press.last) {
      onDone(drawing);
      drag.current = null;
      setDragging(false);
      return true;
    }
    const to = placeOf(press.place, near, now.of);
    onDrag(
      now.corner === null
        ? moved(now.start, now.of, to[0] - now.from[0], to[1] - now.from[1])
        : cornerMoved(now.start, now.of, now.corner, to),
    );
    return true;
  };

  // The first look shows all; after that the view is the hand's.
  const [first] = useState(() => shownWhole(drawing));
  const fitted: View = { ...first, per: Math.max(0.02, Math.min(width, height) / first.span) };
  const board = useBoard(fitted, { width, height }, pressed, wholeOf(drawing, { width, height }));
  const { x, y } = board;
  const per = x.perUnit;
  const step = roundUp(56 / Math.max(0.02, per));

  const keys = (event: KeyboardEvent) => {
    const far = event.shiftKey ? 5 : GRID;
    const way = { ArrowLeft: [-far, 0], ArrowRight: [far, 0], ArrowUp: [0, far], ArrowDown: [0, -far] }[
      event.key
    ];
    if (way && chosen) {
      event.preventDefault();
      onDone(moved(drawing, chosen, way[0] ?? 0, way[1] ?? 0));
    } else if (event.key === 'Enter' && tool !== 'choose') {
      event.preventDefault();
      const least = LEAST[tool];
      const [e, n] = [x.invert(width / 2), y.invert(height / 2)];
      if (least === undefined) finish([[Math.round(e), Math.round(n)]]);
      else if (places.length >= least) finish(places);
      else
        finish(
          least === 2
            ? [
                [e - 10, n],
                [e + 10, n],
              ]
            : [
                [e - 5, n - 5],
                [e + 5, n - 5],
                [e + 5, n + 5],
                [e - 5, n + 5],
              ],
        );
    } else if (event.key === 'Escape') {
      setPlaces([]);
      onChoose(null);
    } else if (event.key === '+') board.nearer();
    else if (event.key === '-') board.farther();
  };

  const thing = chosen ? thingAt(drawing, chosen) : undefined;
  const points = pointsOf(thing) ?? null;
  const labels = labelsOn(drawing, points ?? [], units, x, y, { width, height });
  const size = thing ? sizeOf(thing) : null;
  const chosenId =
    chosen && (chosen.list === 'solids' || chosen.list === 'areas') && thing && 'id' in thing
      ? thing.id
      : null;
  const bar = roundUp(70 / Math.max(0.02, per));
  const growing = hover && places.length > 0 ? [...places, hover] : places;
  return (
    <div ref={ref} className="relative size-full min-h-80 overflow-hidden" data-picture="draw-board">
      <svg
        width={width}
        height={height}
        // biome-ignore lint/a11y/noNoninteractiveTabindex: the board takes the arrow keys of what is chosen
        tabIndex={0}
        role="application"
        aria-label={`Drawing board of ${drawing.name}. Arrow keys move what is chosen, Enter puts the tool’s thing in the middle.`}
        className={`block text-ink touch-none ${tool === 'choose' ? '' : 'cursor-crosshair'}`}
        {...board.bind()}
        onPointerMoveCapture={(event) => {
          if (tool === 'choose') return;
          const box = event.currentTarget.getBoundingClientRect();
          setHover(
            placeOf([x.invert(event.clientX - box.left), y.invert(event.clientY - box.top)], REACH / per),
          );
        }}
        onPointerLeave={() => setHover(null)}
        onDoubleClick={() => places.length >= (LEAST[tool] ?? 99) && finish(places)}
        onKeyDown={keys}
      >
        <Mesh
          x={x}
          y={y}
          width={width}
          height={height}
          step={step}
          sightLine={drawing.document.sight_line_m}
        />
        <SiteThings site={drawing.document} x={x} y={y} chosen={chosenId} />
        {spotsOf(drawing).map((spot, index) => (
          <g
            // biome-ignore lint/suspicious/noArrayIndexKey: a spot is its place in the list
            key={index}
            data-list="spots"
            data-index={index}
            transform={`translate(${x(spot.east_m)} ${y(spot.north_m)})`}
          >
            <circle r={9} fill="transparent" data-list="spots" data-index={index} />
            <path
              d="M-4 -4L4 4M-4 4L4 -4"
              stroke={
                chosen?.list === 'spots' && chosen.index === index ? 'var(--larkspur)' : 'var(--ink-soft)'
              }
              strokeWidth={1.6}
            />
            <text className="halo" x={7} y={4} fontSize={11} fill="var(--ink-soft)">
              {spot.up_m >= 0 ? '+' : ''}
              {withUnit(spot.up_m, 'm', units)}
            </text>
          </g>
        ))}
        {drawing.subjects.map(
          (subject) =>
            subject.route && (
              <path
                key={`${subject.id} goes`}
                data-role="subject-way"
                d={through(
                  [[subject.east_m, subject.north_m], ...subject.route.points].map(([e = 0, n = 0]) => [
                    x(e),
                    y(n),
                  ]),
                )}
                fill="none"
                stroke="var(--pollen)"
                strokeWidth={2}
                strokeDasharray="7 4"
                pointerEvents="none"
              />
            ),
        )}
        {drawing.subjects.map((subject, index) => (
          <g key={subject.id} transform={`translate(${x(subject.east_m)} ${y(subject.north_m)})`}>
            <circle
              r={11}
              data-list="subjects"
              data-index={index}
              fill="transparent"
              stroke={
                chosen?.list === 'subjects' && chosen.index === index ? 'var(--larkspur)' : 'transparent'
              }
              strokeWidth={2}
            />
            <circle r={5} fill="none" stroke="var(--pollen)" strokeWidth={2} pointerEvents="none" />
          </g>
        ))}
        <g pointerEvents="none">
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
        </g>
        <g transform={`translate(${x(0)} ${y(0)})`} pointerEvents="none">
          <circle r={6} fill="var(--card)" stroke="var(--leaf)" strokeWidth={2.5} />
          <text className="halo" x={10} y={4} fontSize={12} fill="var(--leaf)">
            take-off
          </text>
        </g>
        {points?.map(([e = 0, n = 0], index) => (
          <g key={`${e} ${n}`}>
            <circle
              cx={x(e)}
              cy={y(n)}
              r={13}
              fill="transparent"
              data-corner={index}
              className="cursor-move"
            />
            <circle
              cx={x(e)}
              cy={y(n)}
              r={5}
              fill="var(--card)"
              stroke="var(--larkspur)"
              strokeWidth={2}
              pointerEvents="none"
            />
            {dragging && points.length > 1 && (
              <Length a={[e, n]} b={points[(index + 1) % points.length] ?? []} x={x} y={y} units={units} />
            )}
          </g>
        ))}
        {dragging && thing && points === null && 'east_m' in thing && (
          <g pointerEvents="none">
            <path
              d={`M${x(0)} ${y(0)}L${x(thing.east_m)} ${y(thing.north_m)}`}
              stroke="var(--larkspur)"
              strokeDasharray="3 3"
            />
            <text
              className="halo"
              x={x(thing.east_m) + 12}
              y={y(thing.north_m) + 22}
              fontSize={12}
              fill="var(--larkspur)"
            >
              {withUnit(thing.east_m, 'm', units)} east, {withUnit(thing.north_m, 'm', units)} north
              {size && `, ${withUnit(size[0], 'm', units)} × ${withUnit(size[1], 'm', units)}`}
            </text>
          </g>
        )}
        {growing.length > 0 && (
          <g pointerEvents="none">
            <path
              d={through(growing.map(([e, n]) => [x(e), y(n)]))}
              fill="none"
              stroke="var(--larkspur)"
              strokeWidth={2}
              strokeDasharray="4 3"
            />
            {places.map(([e, n]) => (
              <circle key={`${e} ${n}`} cx={x(e)} cy={y(n)} r={5} fill="var(--larkspur)" />
            ))}
            {growing.length > 1 && (
              <Length a={growing.at(-2) ?? [0, 0]} b={growing.at(-1) ?? [0, 0]} x={x} y={y} units={units} />
            )}
          </g>
        )}
        <g transform={`translate(14 ${height - 14})`} className="text-ink-soft" pointerEvents="none">
          <path d={`M0 0H${bar * per}M0 -4V4M${bar * per} -4V4`} stroke="currentcolor" strokeWidth={1.5} />
          <text x={4} y={-7} fontSize={12}>
            {withUnit(bar, 'm', units, 0)}
          </text>
        </g>
        <g transform={`translate(${width - 24} 30)`} className="text-ink-soft" pointerEvents="none">
          <path d="M0 12V-10M-4 -4L0 -11L4 -4" stroke="currentcolor" strokeWidth={1.5} fill="none" />
          <text y={25} fontSize={12} textAnchor="middle">
            N
          </text>
        </g>
      </svg>
      <BoardButtons board={board} />
      {places.length > 0 && (
        <p className="absolute left-2 top-2 m-0 pointer-events-none px-2 py-1 bg-card border border-line rounded-md text-sm">
          Press the first corner again, or Enter, to close it. Escape drops it.
        </p>
      )}
    </div>
  );
}

type LengthProps = {
  a: number[];
  b: number[];
  x: (v: number) => number;
  y: (v: number) => number;
  units: Units;
};

/** How long a side is, written beside its middle. */
function Length({ a, b, x, y, units }: LengthProps) {
  const [ae = 0, an = 0] = a;
  const [be = 0, bn = 0] = b;
  return (
    <text
      className="halo figure"
      x={(x(ae) + x(be)) / 2 + 6}
      y={(y(an) + y(bn)) / 2 - 4}
      fontSize={12}
      fill="var(--larkspur)"
      pointerEvents="none"
    >
      {withUnit(Math.hypot(be - ae, bn - an), 'm', units)}
    </text>
  );
}

/** Names of what can be seen, the tallest first, where nothing else stands. */
function labelsOn(
  drawing: Drawing,
  handles: number[][],
  units: Units,
  x: Scale,
  y: Scale,
  { width, height }: { width: number; height: number },
) {
  const at = (e: number, n: number, half = 7) => around(x(e), y(n), half);
  const named = [
    ...drawing.document.solids.map((solid) => ({
      text: `${solid.name}, ${withUnit(solid.height_m, 'm', units)}`,
      of: coverOf(solid, x, y, { left: 0, top: 0, right: width, bottom: height }),
      tall: solid.height_m,
    })),
    ...(drawing.document.areas ?? []).map((area) => ({
      text: area.name,
      of: at(area.points[0]?.[0] ?? 0, area.points[0]?.[1] ?? 0),
      tall: 0,
    })),
    ...(drawing.document.observers ?? []).map((one) => ({
      text: one.name,
      of: at(one.east_m, one.north_m),
      tall: 0,
    })),
  ]
    .filter(({ of }) => of.right > 0 && of.left < width && of.bottom > 0 && of.top < height)
    .sort((a, b) => b.tall - a.tall)
    .slice(0, MOST_LABELS);
  return placeLabels(
    named,
    [
      ...named.map(({ of }) => of),
      ...spotsOf(drawing).map((spot) => ({ ...at(spot.east_m, spot.north_m), right: x(spot.east_m) + 48 })),
      ...handles.map(([e = 0, n = 0]) => at(e, n, 11)),
      ...drawing.subjects.map((subject) => at(subject.east_m, subject.north_m, 6)),
      { ...at(0, 0, 9), right: x(0) + 62 },
      { left: 0, top: height - 36, right: 130, bottom: height },
    ],
    width,
    height,
  );
}

function shownWhole(drawing: Drawing): { east: number; north: number; span: number } {
  // Water and boundaries reach far beyond what is filmed: the first look is at what stands.
  const places = corners({ ...drawing, document: { ...drawing.document, areas: [] } }, null);
  const east = places.map((p) => p[0]);
  const north = places.map((p) => p[1]);
  const [e0, e1] = [Math.min(-20, ...east), Math.max(20, ...east)];
  const [n0, n1] = [Math.min(-20, ...north), Math.max(20, ...north)];
  return { east: (e0 + e1) / 2, north: (n0 + n1) / 2, span: 1.15 * Math.max(e1 - e0, n1 - n0) };
}

/** All of it, water, boundaries and ways included. */
function wholeOf(drawing: Drawing, { width, height }: { width: number; height: number }): View {
  const places = [
    ...corners(drawing, null),
    ...drawing.subjects.map((subject): Place => [subject.east_m, subject.north_m]),
    ...drawing.document.solids.map((solid): Place => [solid.east_m, solid.north_m]),
  ];
  const [east, north] = [places.map((p) => p[0]), places.map((p) => p[1])];
  const [e0, e1] = [Math.min(-20, ...east), Math.max(20, ...east)];
  const [n0, n1] = [Math.min(-20, ...north), Math.max(20, ...north)];
  const per = 0.9 * Math.min(width / (e1 - e0), height / (n1 - n0));
  return { east: (e0 + e1) / 2, north: (n0 + n1) / 2, per: Math.max(0.02, per) };
}

/** What was pressed: things of the site carry their id, spots and subjects their list. */
function chosenOf(drawing: Drawing, target: SVGElement): Chosen | null {
  const list = target.dataset.list;
  if (list === 'spots' || list === 'subjects') return { list, index: Number(target.dataset.index) };
  const id = (target.closest('[data-thing]') as SVGElement | null)?.dataset.thing;
  if (id === undefined) return null;
  for (const list of ['solids', 'observers', 'areas'] as const) {
    const index = (drawing.document[list] ?? []).findIndex((one) => one.id === id);
    if (index >= 0) return { list, index };
  }
  return null;
}
