// What the fingers did, step by step: kept in thousandths of travel, as the server reads it, and stepped as it is kept.
import { begin, type Moment, step, type World } from './flight';
import type { Fingers } from './sheet';

export type Travel = Record<keyof Fingers, number[]>;

const FULL = 1000;

/** A finger as it is kept and flown: rounded to a thousandth of its travel, within its stops. */
export const kept = (travel: number): number =>
  Math.round(FULL * Math.max(-1, Math.min(1, Number.isFinite(travel) ? travel : 0)));

export const emptyTravel = (): Travel => ({ climb: [], turn: [], run: [], slide: [], tilt: [] });

export const fingersAt = (travel: Travel, at: number): Fingers => ({
  climb: (travel.climb[at] ?? 0) / FULL,
  turn: (travel.turn[at] ?? 0) / FULL,
  run: (travel.run[at] ?? 0) / FULL,
  slide: (travel.slide[at] ?? 0) / FULL,
  tilt: (travel.tilt[at] ?? 0) / FULL,
});

/** A whole recording flown: what the flight is at its end. */
export function fly(world: World, travel: Travel): Moment {
  let moment = begin(world);
  for (let k = 0; k < travel.climb.length && moment.ending === null; k++)
    moment = step(world, moment, fingersAt(travel, k));
  return moment;
}
