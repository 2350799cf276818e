// A site as it is being drawn: what can be put on it, moved, changed and taken off again, with every step undone and done again. Pure: no
// rule of the job, only places in metres.
import type { Schemas } from '~/api/client';

export type Drawing = Schemas['SiteForm'];

/** Whatever can stand on a site: at a place, or along several. */
export type Thing =
  | Schemas['Solid']
  | Schemas['Area']
  | Schemas['Observer']
  | Schemas['SiteSubject']
  | Schemas['Spot'];

export type List = 'solids' | 'areas' | 'observers' | 'subjects' | 'spots';

const LISTS: List[] = ['solids', 'areas', 'observers', 'subjects', 'spots'];

export type Chosen = { list: List; index: number };

export type Tool =
  | 'choose'
  | 'subject'
  | 'box'
  | 'cylinder'
  | 'polygon'
  | 'canopy'
  | 'wire'
  | 'people'
  | 'water'
  | 'boundary'
  | 'observer'
  | 'spot'
  | 'take-off';

/** Tools that take several places, and how many at least. */
export const LEAST: Partial<Record<Tool, number>> = {
  polygon: 3,
  canopy: 3,
  wire: 2,
  people: 3,
  water: 3,
  boundary: 2,
};

export type Place = [number, number];

export const spotsOf = (drawing: Drawing) => drawing.document.ground?.spots ?? [];

function listOf(drawing: Drawing, list: List): Thing[] {
  if (list === 'subjects') return drawing.subjects;
  if (list === 'spots') return spotsOf(drawing);
  return drawing.document[list] ?? [];
}

function withList(drawing: Drawing, list: List, items: Thing[]): Drawing {
  if (list === 'subjects') return { ...drawing, subjects: items as Drawing['subjects'] };
  if (list === 'spots') {
    const { ground: _, ...rest } = drawing.document;
    const spots = items as Schemas['Spot'][];
    return {
      ...drawing,
      document: spots.length === 0 ? rest : { ...rest, ground: { ...simulatedOf(drawing), spots } },
    };
  }
  return { ...drawing, document: { ...drawing.document, [list]: items } };
}

const simulatedOf = (drawing: Drawing) =>
  drawing.document.ground?.simulated === true ? { simulated: true } : {};

export function thingAt(drawing: Drawing, { list, index }: Chosen): Thing | undefined {
  return listOf(drawing, list)[index];
}

/** The corners of a thing that has several places; of a subject that goes a way those after its own place. */
export const pointsOf = (thing: Thing | undefined): number[][] | undefined => {
  if (thing === undefined) return undefined;
  if ('route' in thing) return thing.route?.points;
  return 'points' in thing ? thing.points : undefined;
};

/** A thing with other corners. A stop at a corner that is gone is gone too. */
const withPoints = (thing: Thing, points: number[][]): Thing =>
  'route' in thing && thing.route
    ? {
        ...thing,
        route: {
          ...thing.route,
          points: points as Place[],
          stops: thing.route.stops.filter((stop) => stop.corner <= points.length),
        },
      }
    : ({ ...thing, points } as Thing);

/** How wide and how long a thing is, where it has a size. */
export const sizeOf = (thing: Thing): [number, number] | null =>
  'shape' in thing ? [thing.width_m, thing.length_m] : null;

/** One thing exchanged for what it becomes. */
function become(drawing: Drawing, { list, index }: Chosen, step: (thing: Thing) => Thing): Drawing {
  return withList(
    drawing,
    list,
    listOf(drawing, list).map((thing, k) => (k === index ? step(thing) : thing)),
  );
}

/** Every thing of a drawing exchanged for what it becomes. */
const everyThing = (drawing: Drawing, step: (thing: Thing) => Thing): Drawing =>
  LISTS.reduce((now, list) => withList(now, list, listOf(now, list).map(step)), drawing);

/** A thing with all of its places somewhere else. */
function placed(thing: Thing, to: (east: number, north: number) => Place): Thing {
  const next = { ...thing };
  if ('east_m' in next) [next.east_m, next.north_m] = to(next.east_m, next.north_m);
  const points = pointsOf(next);
  return points
    ? withPoints(
        next,
        points.map(([e = 0, n = 0]) => to(e, n)),
      )
    : next;
}

export function changed(drawing: Drawing, chosen: Chosen, change: Record<string, unknown>): Drawing {
  return become(drawing, chosen, (thing) => ({ ...thing, ...change }) as Thing);
}

/** A thing with its foot at a height; what is aimed at goes up with it. */
export const standing = (drawing: Drawing, chosen: Chosen, up: number): Drawing =>
  become(drawing, chosen, (thing) => {
    if (!('base_m' in thing)) return thing;
    const more = up - thing.base_m;
    return { ...thing, base_m: tidy(up), ...('up_m' in thing ? { up_m: tidy(thing.up_m + more) } : {}) };
  });

export function removed(drawing: Drawing, { list, index }: Chosen): Drawing {
  return withList(
    drawing,
    list,
    listOf(drawing, list).filter((_, k) => k !== index),
  );
}

export function added(drawing: Drawing, list: List, item: Thing): { drawing: Drawing; chosen: Chosen } {
  const items = listOf(drawing, list);
  return { drawing: withList(drawing, list, [...items, item]), chosen: { list, index: items.length } };
}

const tidy = (value: number) => Math.round(value * 100) / 100;

/** A thing moved over the ground, all of its places with it. */
export const moved = (drawing: Drawing, chosen: Chosen, east: number, north: number): Drawing =>
  become(drawing, chosen, (thing) => placed(thing, (e, n) => [tidy(e + east), tidy(n + north)]));

/** One corner of a thing moved to a place. */
export function cornerMoved(drawing: Drawing, chosen: Chosen, corner: number, to: Place): Drawing {
  const points = pointsOf(thingAt(drawing, chosen));
  return points === undefined
    ? drawing
    : become(drawing, chosen, (thing) =>
        withPoints(
          thing,
          points.map((p, k) => (k === corner ? to.map(tidy) : p)),
        ),
      );
}

/** A corner put in after another, or taken out where enough are left. */
export function cornerAdded(drawing: Drawing, chosen: Chosen, after: number): Drawing {
  const points = pointsOf(thingAt(drawing, chosen));
  if (points === undefined) return drawing;
  const a = points[after] ?? [0, 0];
  const b = points[(after + 1) % points.length] ?? [0, 0];
  const middle = [tidy(((a[0] ?? 0) + (b[0] ?? 0)) / 2), tidy(((a[1] ?? 0) + (b[1] ?? 0)) / 2)];
  return become(drawing, chosen, (thing) =>
    withPoints(thing, [...points.slice(0, after + 1), middle, ...points.slice(after + 1)]),
  );
}

/** A subject’s way led on, as far and the same way as its last piece; or one piece shorter. */
export function wayLed(drawing: Drawing, chosen: Chosen, on: boolean): Drawing {
  return become(drawing, chosen, (thing) => {
    if (!('route' in thing) || !thing.route) return thing;
    const points = thing.route.points;
    const line = [[thing.east_m, thing.north_m], ...points];
    const [last, before] = [line.at(-1) ?? [0, 0], line.at(-2) ?? [0, 0]];
    const next = [0, 1].map((k) => tidy(2 * (last[k] ?? 0) - (before[k] ?? 0)));
    return withPoints(thing, on ? [...points, next] : points.slice(0, -1));
  });
}

/** How a subject begins to go where it stood: some metres to the east, at a walk. */
export const firstWay = (subject: Schemas['SiteSubject']): Schemas['SubjectRoute'] => ({
  points: [[tidy(subject.east_m + 15), subject.north_m]],
  pace_mps: 1.4,
  stops: [],
  cue: '',
});

const bearing = (degrees: number) => ((degrees % 360) + 360) % 360;

/** The whole drawing turned about take-off: one that was paced out by compass, or along a wall. */
export function turned(drawing: Drawing, degrees: number): Drawing {
  const [sin, cos] = [Math.sin((degrees * Math.PI) / 180), Math.cos((degrees * Math.PI) / 180)];
  const turn = (e: number, n: number): Place => [tidy(e * cos + n * sin), tidy(-e * sin + n * cos)];
  const next = everyThing(drawing, (thing) => {
    const there = placed(thing, turn);
    return 'heading_deg' in there ? { ...there, heading_deg: bearing(there.heading_deg + degrees) } : there;
  });
  const { ground } = next.document;
  if (!ground?.profile) return next;
  const bearing_deg = bearing((ground.bearing_deg ?? 0) + degrees);
  return { ...next, document: { ...next.document, ground: { ...ground, bearing_deg } } };
}

/** Everything where it is on earth, seen from a take-off point that was put elsewhere on the drawing. */
export function seenFrom(
  drawing: Drawing,
  home: Drawing['document']['home'],
  [east, north]: Place,
  up: number,
): Drawing {
  const next = everyThing(drawing, (thing) => {
    const there = placed(thing, (e, n) => [tidy(e - east), tidy(n - north)]);
    if ('base_m' in there) there.base_m = tidy(there.base_m - up);
    if ('up_m' in there) there.up_m = tidy(there.up_m - up);
    return there;
  });
  const spots = spotsOf(next);
  const seen = { ...next, document: { ...next.document, home } };
  if (spots.length === 0) return seen;
  // The old take-off was a known height too.
  return withList(seen, 'spots', [...spots, { east_m: tidy(-east), north_m: tidy(-north), up_m: tidy(-up) }]);
}

/** Every place that another can snap to. */
export function corners(drawing: Drawing, except: Chosen | null): Place[] {
  const out: Place[] = [[0, 0]];
  for (const list of ['solids', 'areas', 'observers', 'subjects'] as const) {
    listOf(drawing, list).forEach((thing, index) => {
      if (except?.list === list && except.index === index) return;
      const points = pointsOf(thing);
      if (points) for (const [e = 0, n = 0] of points) out.push([e, n]);
      else if ('east_m' in thing) out.push([thing.east_m, thing.north_m]);
    });
  }
  return out;
}

/** The nearest corner within reach, else the nearest place of the grid. */
export function snapped(place: Place, to: Place[], reach: number, grid: number): Place {
  let best: Place | null = null;
  let least = reach;
  for (const corner of to) {
    const away = Math.hypot(corner[0] - place[0], corner[1] - place[1]);
    if (away < least) [least, best] = [away, corner];
  }
  return best ?? [Math.round(place[0] / grid) * grid, Math.round(place[1] / grid) * grid];
}

let counter = 0;
const newId = (kind: string) => `${kind}-${Date.now().toString(36)}${(counter++).toString(36)}`;

/** What a tool makes of the places that it was given. */
export function made(tool: Tool, places: Place[]): { list: List; item: Thing } | null {
  const [east, north] = places[0] ?? [0, 0];
  const solid = { id: newId(tool), role: 'obstacle' as const, base_m: 0, heading_deg: 0 };
  const at = { east_m: tidy(east), north_m: tidy(north) };
  const points = places.map((place) => place.map(tidy));
  const spread = {
    ...at,
    width_m: 1,
    length_m: 1,
    points,
  };
  switch (tool) {
    case 'subject':
      return {
        list: 'subjects',
        item: { id: newId('subject'), name: 'subject', ...at, up_m: 2, base_m: 0, route: null },
      };
    case 'box':
      return {
        list: 'solids',
        item: { ...solid, name: 'building', shape: 'box', ...at, width_m: 6, length_m: 8, height_m: 4 },
      };
    case 'cylinder':
      return {
        list: 'solids',
        item: { ...solid, name: 'mast', shape: 'cylinder', ...at, width_m: 1, length_m: 1, height_m: 8 },
      };
    case 'polygon':
      return { list: 'solids', item: { ...solid, name: 'yard', shape: 'polygon', ...spread, height_m: 3 } };
    case 'canopy':
      return {
        list: 'solids',
        item: { ...solid, name: 'trees', shape: 'canopy', ...spread, height_m: 8, clear_m: 2 },
      };
    case 'wire':
      return {
        list: 'solids',
        item: { ...solid, name: 'wire', shape: 'wire', ...spread, height_m: 7, sag_m: 0.5 },
      };
    case 'people':
    case 'water':
      return {
        list: 'areas',
        item: { id: newId(tool), name: tool === 'water' ? 'water' : 'people', kind: tool, points },
      };
    case 'boundary':
      return {
        list: 'areas',
        item: { id: newId(tool), name: 'boundary', kind: tool, points, closed: false },
      };
    case 'observer':
      return { list: 'observers', item: { id: newId('observer'), name: 'observer', ...at } };
    case 'spot':
      return { list: 'spots', item: { ...at, up_m: 0 } };
    default:
      return null;
  }
}

export const EMPTY: Drawing = {
  name: 'A new site',
  about: '',
  document: {
    home: { lat: 57.6, lon: -0.4, alt_m: 0 },
    ceiling_m: 120,
    sight_line_m: 300,
    people_m: 30,
    solids: [],
    areas: [],
    observers: [],
  },
  subjects: [],
};

export function drawingOf(site: Schemas['Site']): Drawing {
  return {
    name: site.name,
    about: site.about,
    document: {
      ...site.document,
      areas: site.document.areas ?? [],
      observers: site.document.observers ?? [],
    },
    subjects: site.subjects,
  };
}
