// The return home as a craft does it: up to its height, home, down, in sticks like any hand's, so that what it flies is in the recording.
// It stands for the automation of a craft (simulated); a push of any stick or a tap cancels it.
import { groundAt, type Pose, type World } from './flight';
import { asked, type Fingers, REST } from './sheet';

/** How near is there: m over the ground, and m of height. */
const THERE = { ground: 0.6, up: 0.4 };

/** How hard it corrects: 1/s. */
const GAIN = 0.6;

/** The last metres are taken at this, m/s; it is slow enough to land. */
const LAST = { below: 4, sink: 0.6 };

export type Leg = 'up' | 'home' | 'down' | 'landed';

/** Which part of the way it is on. */
export function legOf(world: World, pose: Pose, height: number, before: Leg): Leg {
  const away = Math.hypot(pose.x, pose.y);
  if (pose.z <= groundAt(world, pose.x, pose.y) + 0.02 && before === 'down') return 'landed';
  if (before === 'down' || away < THERE.ground) return 'down';
  return before === 'home' || pose.z >= height - THERE.up ? 'home' : 'up';
}

export function returning(world: World, pose: Pose, height: number, leg: Leg): Fingers {
  if (leg === 'landed') return REST;
  const { climb, run, slide } = world.response.axes;
  const rad = (pose.heading * Math.PI) / 180;
  const [sin, cos] = [Math.sin(rad), Math.cos(rad)];
  const hold = (value: number, most: number) => Math.max(-most, Math.min(most, value));
  const [east, north] = leg === 'up' ? [0, 0] : [-GAIN * pose.x, -GAIN * pose.y];
  const ahead = hold(east * sin + north * cos, 0.6 * run.top);
  const right = hold(east * cos - north * sin, 0.6 * slide.top);
  const above = pose.z - groundAt(world, pose.x, pose.y);
  const sink = above < LAST.below ? LAST.sink : 1.6;
  const up = leg === 'down' ? -sink : hold(2 * GAIN * (height - pose.z), 2.5);
  return {
    ...REST,
    climb: travelFor(climb, up),
    run: travelFor(run, ahead),
    slide: travelFor(slide, right),
  };
}

/** The travel that asks for a rate: the table is searched, since it rises from one end to the other. */
function travelFor(axis: World['response']['axes']['climb'], rate: number): number {
  let [low, high] = [-1, 1];
  for (let k = 0; k < 20; k++) {
    const middle = (low + high) / 2;
    if (asked(axis, middle) < rate) low = middle;
    else high = middle;
  }
  return Math.abs(rate) < 1e-3 ? 0 : (low + high) / 2;
}
