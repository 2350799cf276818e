// A practice flight, stepped as the server steps it (core/Practice/PracticeFlight.php): the air moves the craft, the ground carries it,
// what stands there stops it. Every number comes with the world; a test flies the same recordings through both.
import type { Schemas } from '~/api/client';
import { asked, type Fingers, type State, step as stepSheet } from './sheet';

export type World = Schemas['World'];

/** Degrees and metres; lean ahead is nose down, lean right is right side down. */
export type Pose = State & { leanAhead: number; leanRight: number; thrust: number };

type Ending = { reason: 'touched' | 'ground' | 'battery'; step: number; speed: number; what: string };

/** What a flight is at a step. Immutable: a page can keep any of them and go back to it. */
export type Moment = { step: number; pose: Pose; air: readonly [number, number]; ending: Ending | null };

const RAD = Math.PI / 180;

export function begin(world: World): Moment {
  const { start } = world;
  return {
    step: 0,
    pose: {
      climb: start.climb_mps,
      turn: start.turn_dps,
      east: start.east_mps,
      north: start.north_mps,
      tilt: start.tilt_dps,
      heading: start.heading_deg,
      look: start.tilt_deg,
      x: start.east_m,
      y: start.north_m,
      z: start.up_m,
      leanAhead: 0,
      leanRight: 0,
      thrust: 1,
    },
    air: airAt(world, 0, start.east_m, start.north_m),
    ending: null,
  };
}

/** One step on; nothing moves any more once it has ended. */
export function step(world: World, moment: Moment, fingers: Fingers): Moment {
  if (moment.ending !== null) return moment;
  const { pose } = moment;
  const at = moment.step + 1;
  const [east, north] = airAt(world, at, pose.x, pose.y);
  const flown =
    world.craft.camera_deg !== null && (world.model === 'levelling' || world.model === 'rates')
      ? ducted(world, pose, fingers, east, north, world.craft.camera_deg)
      : leaning(
          world,
          pose,
          stepSheet(world.response, pose, fingers, {
            east,
            north,
            gustEast: east - moment.air[0],
            gustNorth: north - moment.air[1],
            airspeed: world.craft.airspeed_mps,
            coupling: world.craft.gust_coupling,
            holds: world.model === 'positioning',
          }),
          east,
          north,
        );
  const [carried, landed] = carry(world, flown, at);
  const what = touched(world, flown.x, flown.y, flown.z);
  const ended = (reason: Ending['reason'], name = ''): Ending => ({
    reason,
    step: at,
    speed: Math.hypot(flown.east, flown.north, flown.climb),
    what: name,
  });
  const ending =
    landed ??
    (what !== null
      ? ended('touched', what)
      : at * world.response.step_s >= world.battery_s
        ? ended('battery')
        : null);
  return { step: at, pose: carried, air: [east, north], ending };
}

/** Where the lens looks, deg: a gimbal follows no farther than its own stop, seen from the leaning craft. */
export function lensTilt(world: World, pose: Pose): number {
  return world.craft.camera_deg !== null && (world.model === 'levelling' || world.model === 'rates')
    ? pose.look
    : Math.min(pose.look, world.craft.gimbal_stop_deg - pose.leanAhead);
}

/** By how much the picture leans to the right, deg: with the craft where its camera does, and as it hangs. */
export function lensRoll(world: World, pose: Pose): number {
  return (world.craft.picture_rolls ? pose.leanRight : 0) + world.craft.level_offset_deg;
}

export function groundAt(world: World, east: number, north: number): number {
  const { rows, least_m: least, cell_m: cell } = world.ground;
  const last = rows.length - 1;
  if (last === 0) return rows[0]?.[0] ?? 0;
  const x = Math.max(0, Math.min(last, (east - least) / cell));
  const y = Math.max(0, Math.min(last, (north - least) / cell));
  const c = Math.min(last - 1, Math.floor(x));
  const r = Math.min(last - 1, Math.floor(y));
  const at = (row: number, column: number) => rows[row]?.[column] ?? 0;
  const low = at(r, c) + (x - c) * (at(r, c + 1) - at(r, c));
  const high = at(r + 1, c) + (x - c) * (at(r + 1, c + 1) - at(r + 1, c));
  return low + (y - r) * (high - low);
}

/** East, north and height of every place of a grid; none where the ground is level. */
export function gridPoints(ground: Schemas['WorldGround']): number[][] {
  if (ground.rows.length < 2) return [];
  return ground.rows.flatMap((row, r) =>
    row.map((up, c) => [ground.least_m + c * ground.cell_m, ground.least_m + r * ground.cell_m, up]),
  );
}

function airAt(world: World, at: number, east: number, north: number): [number, number] {
  const { east_mps: easts, north_mps: norths, knot_steps: every, draught } = world.air;
  const last = easts.length - 1;
  const folded = (knot: number) => {
    const place = knot % (2 * last);
    return place <= last ? place : 2 * last - place;
  };
  const between = (values: number[]) => {
    if (last === 0) return values[0] ?? 0;
    const knot = Math.floor(at / every);
    const from = values[folded(knot)] ?? 0;
    return from + ((at % every) / every) * ((values[folded(knot + 1)] ?? 0) - from);
  };
  const wind: [number, number] = [between(easts), between(norths)];
  if (draught === null) return wind;
  const blows = Math.max(
    0,
    1 - Math.hypot(east - draught.east_m, north - draught.north_m) / draught.radius_m,
  );
  return [wind[0] + blows * draught.east_mps, wind[1] + blows * draught.north_mps];
}

/** A small ducted craft: thrust along its own upright axis, lean by the right stick, no hold of place or height. */
function ducted(
  world: World,
  pose: Pose,
  fingers: Fingers,
  windEast: number,
  windNorth: number,
  camera: number,
): Pose {
  const { axes, step_s: dt } = world.response;
  const { coast_s: coast, gravity_mps2: gravity, most_lean_deg: most } = world.craft;
  const thrust = pose.thrust + axes.climb.share * (asked(axes.climb, fingers.climb) - pose.thrust);
  const leaned = (lean: number, wanted: number, share: number) =>
    Math.max(
      -most,
      Math.min(most, world.model === 'levelling' ? lean + share * (wanted - lean) : lean + wanted * dt),
    );
  const ahead = leaned(pose.leanAhead, asked(axes.run, fingers.run), axes.run.share);
  const right = leaned(pose.leanRight, asked(axes.slide, fingers.slide), axes.slide.share);
  const limit = axes.turn.most_per_step ?? Number.POSITIVE_INFINITY;
  const turn =
    pose.turn +
    Math.max(-limit, Math.min(limit, axes.turn.share * (asked(axes.turn, fingers.turn) - pose.turn)));
  const pull = gravity * thrust;
  const sin = Math.sin(pose.heading * RAD);
  const cos = Math.cos(pose.heading * RAD);
  const forward = pull * Math.sin(ahead * RAD);
  const aside = pull * Math.cos(ahead * RAD) * Math.sin(right * RAD);
  const east = pose.east + dt * (forward * sin + aside * cos - (pose.east - windEast) / coast);
  const north = pose.north + dt * (forward * cos - aside * sin - (pose.north - windNorth) / coast);
  const climb =
    pose.climb + dt * (pull * Math.cos(ahead * RAD) * Math.cos(right * RAD) - gravity - pose.climb / coast);
  return {
    climb,
    turn,
    east,
    north,
    tilt: 0,
    heading: pose.heading + turn * dt,
    look: camera - ahead,
    x: pose.x + east * dt,
    y: pose.y + north * dt,
    z: pose.z + climb * dt,
    leanAhead: ahead,
    leanRight: right,
    thrust,
  };
}

/** How a craft that holds itself up has to lean, so that its thrust gives what the motion and the drag ask for. */
function leaning(world: World, pose: Pose, next: State, windEast: number, windNorth: number): Pose {
  const dt = world.response.step_s;
  const { coast_s: coast, gravity_mps2: gravity, lean_share: share } = world.craft;
  const up = Math.max(1, gravity + (next.climb - pose.climb) / dt);
  const east = ((next.east - pose.east) / dt + (next.east - windEast) / coast) / up;
  const north = ((next.north - pose.north) / dt + (next.north - windNorth) / coast) / up;
  const sin = Math.sin(next.heading * RAD);
  const cos = Math.cos(next.heading * RAD);
  const ahead = Math.atan(east * sin + north * cos) / RAD;
  const right = Math.atan(east * cos - north * sin) / RAD;
  return {
    ...next,
    leanAhead: pose.leanAhead + share * (ahead - pose.leanAhead),
    leanRight: pose.leanRight + share * (right - pose.leanRight),
    thrust: pose.thrust,
  };
}

/** The ground carries what comes down gently, and ends what does not. */
function carry(world: World, next: Pose, at: number): [Pose, Ending | null] {
  const ground = groundAt(world, next.x, next.y);
  if (next.z > ground) return [next, null];
  const speed = Math.hypot(next.east, next.north);
  const hard =
    next.climb < -world.craft.landing_sink_mps || speed > world.craft.landing_speed_mps
      ? { reason: 'ground' as const, step: at, speed: Math.hypot(speed, next.climb), what: '' }
      : null;
  const standing: Pose = {
    ...next,
    climb: 0,
    turn: 0,
    east: 0,
    north: 0,
    tilt: 0,
    z: ground,
    leanAhead: 0,
    leanRight: 0,
  };
  return [standing, hard];
}

/** The name of what a craft there runs into; null where it is clear. The ground is not among it. */
function touched(world: World, east: number, north: number, up: number): string | null {
  const { radius_m: radius } = world.craft;
  for (const one of world.uprights) {
    const beyond = Math.max(one.base_m - up, up - one.top_m);
    if (beyond >= radius) continue;
    if (Math.hypot(fromRing(one.ring, east, north), Math.max(0, beyond)) < radius) return one.name;
  }
  for (const one of world.lines) if (fromLine(one.points, east, north, up) < radius) return one.name;
  return null;
}

/** How far a place lies outside an outline, m; 0 within it. */
function fromRing(ring: number[][], east: number, north: number): number {
  let inside = false;
  let least = Number.POSITIVE_INFINITY;
  let [be = 0, bn = 0] = ring[ring.length - 1] ?? [];
  for (const [ae = 0, an = 0] of ring) {
    if (an > north !== bn > north && east < ((be - ae) * (north - an)) / (bn - an) + ae) inside = !inside;
    const [we, wn] = [ae - be, an - bn];
    const share = Math.max(
      0,
      Math.min(1, ((east - be) * we + (north - bn) * wn) / Math.max(1e-12, we * we + wn * wn)),
    );
    least = Math.min(least, Math.hypot(east - be - share * we, north - bn - share * wn));
    [be, bn] = [ae, an];
  }
  return inside ? 0 : least;
}

function fromLine(points: number[][], east: number, north: number, up: number): number {
  let least = Number.POSITIVE_INFINITY;
  for (let i = 1; i < points.length; i++) {
    const [ae = 0, an = 0, au = 0] = points[i - 1] ?? [];
    const [be = 0, bn = 0, bu = 0] = points[i] ?? [];
    const [we, wn, wu] = [be - ae, bn - an, bu - au];
    const share =
      ((east - ae) * we + (north - an) * wn + (up - au) * wu) / Math.max(1e-12, we * we + wn * wn + wu * wu);
    const s = Math.max(0, Math.min(1, share));
    least = Math.min(least, Math.hypot(east - ae - s * we, north - an - s * wn, up - au - s * wu));
  }
  return least;
}
