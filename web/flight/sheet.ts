// Steps a response sheet: finger travel in, rates out, one fixed time step at a time. Every number in it comes with the sheet
// from the server, whose own simulated craft a test holds this against.
import type { Schemas } from '~/api/client';

export type Sheet = Schemas['ResponseSheet'];
export type Fingers = Record<keyof Schemas['SheetAxes'], number>;

/** Rates in m/s and deg/s; east and north over the ground; heading and tilt in degrees; places in metres. */
export type State = {
  climb: number;
  turn: number;
  east: number;
  north: number;
  tilt: number;
  heading: number;
  look: number;
  x: number;
  y: number;
  z: number;
};

export const REST: Fingers = { climb: 0, turn: 0, run: 0, slide: 0, tilt: 0 };

export const still = (look = 0): State => ({
  climb: 0,
  turn: 0,
  east: 0,
  north: 0,
  tilt: 0,
  heading: 0,
  look,
  x: 0,
  y: 0,
  z: 0,
});

/** What a finger asks for: the table at its travel, on the straight line between two places. */
export function asked(axis: Schemas['SheetAxis'], travel: number): number {
  const last = axis.rates.length - 1;
  const place = ((Math.max(-1, Math.min(1, travel)) + 1) / 2) * last;
  const below = Math.min(last - 1, Math.floor(place));
  const from = axis.rates[below] ?? 0;
  return from + (place - below) * ((axis.rates[below + 1] ?? 0) - from);
}

const within = (value: number, most: number | null) =>
  most === null ? value : Math.max(-most, Math.min(most, value));

/** The air about a craft during one step: its motion over the ground, by how much that changed, and what the craft has against it. */
export type Air = {
  east: number;
  north: number;
  gustEast: number;
  gustNorth: number;
  airspeed: number;
  coupling: number;
  /** Whether the craft holds its place over the ground; else the air takes it along. */
  holds: boolean;
};

/** The asked ground velocity, held back where it would need more airspeed than there is. */
function withinAirspeed(east: number, north: number, air: Air): [number, number] {
  const size = Math.hypot(east - air.east, north - air.north);
  if (size <= air.airspeed) return [east, north];
  const share = air.airspeed / size;
  return [air.east + (east - air.east) * share, air.north + (north - air.north) * share];
}

export function step(sheet: Sheet, state: State, fingers: Fingers, air?: Air): State {
  const { axes, travel, step_s: dt } = sheet;
  const radians = (state.heading * Math.PI) / 180;
  const sin = Math.sin(radians);
  const cos = Math.cos(radians);
  const run = asked(axes.run, fingers.run);
  const slide = asked(axes.slide, fingers.slide);
  let wanted: [number, number] = [run * sin + slide * cos, run * cos - slide * sin];
  if (air?.holds === true) wanted = withinAirspeed(...wanted, air);
  else if (air !== undefined) wanted = [wanted[0] + air.east, wanted[1] + air.north];
  // The ground velocity is held as a vector; speed is lost where the change points against what it leaves behind.
  let east = axes.run.share * (wanted[0] - state.east);
  let north = axes.run.share * (wanted[1] - state.north);
  const braking = east * (2 * state.east + east) + north * (2 * state.north + north) < 0;
  const most = braking ? travel.brake_per_step : travel.accelerate_per_step;
  const size = Math.hypot(east, north);
  if (size > most) {
    east *= most / size;
    north *= most / size;
  }
  const shove = air?.holds === true ? air.coupling : 0;
  const next = {
    east: state.east + east + shove * (air?.gustEast ?? 0),
    north: state.north + north + shove * (air?.gustNorth ?? 0),
    climb:
      state.climb +
      within(axes.climb.share * (asked(axes.climb, fingers.climb) - state.climb), axes.climb.most_per_step),
    turn:
      state.turn +
      within(axes.turn.share * (asked(axes.turn, fingers.turn) - state.turn), axes.turn.most_per_step),
    tilt: state.tilt + axes.tilt.share * (asked(axes.tilt, fingers.tilt) - state.tilt),
  };
  const look = state.look + next.tilt * dt;
  const stopped = look < sheet.tilt.low_deg || look > sheet.tilt.high_deg;
  return {
    ...next,
    tilt: stopped ? 0 : next.tilt,
    look: Math.max(sheet.tilt.low_deg, Math.min(sheet.tilt.high_deg, look)),
    heading: state.heading + next.turn * dt,
    x: state.x + next.east * dt,
    y: state.y + next.north * dt,
    z: state.z + next.climb * dt,
  };
}

/** The rate of each finger's axis, in the craft's own directions. */
export function rates(state: State): Fingers {
  const radians = (state.heading * Math.PI) / 180;
  const sin = Math.sin(radians);
  const cos = Math.cos(radians);
  return {
    climb: state.climb,
    turn: state.turn,
    run: state.east * sin + state.north * cos,
    slide: state.east * cos - state.north * sin,
    tilt: state.tilt,
  };
}

/** A whole recording of inputs flown through a sheet: the states after each step. */
export function fly(sheet: Sheet, inputs: Fingers[], from: State): State[] {
  const states: State[] = [];
  let state = from;
  for (const input of inputs) {
    state = step(sheet, state, input);
    states.push(state);
  }
  return states;
}

/** A finger pressed to a travel, held, and let go to the spring. */
export function flick(
  sheet: Sheet,
  finger: keyof Fingers,
  travel: number,
  held: number,
  rest: number,
): Fingers[] {
  const inputs: Fingers[] = [];
  for (let k = 0; k < Math.round((held + rest) / sheet.step_s); k++) {
    inputs.push({ ...REST, [finger]: k * sheet.step_s < held ? travel : 0 });
  }
  return inputs;
}
