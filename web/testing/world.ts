// A world for unit tests of practice: a craft that answers at once, ten metres over an empty field.
import type { World } from '~/flight/flight';

const axis = (top: number, share: number) => ({
  unit: 'm/s',
  rates: [-top, 0, top],
  top,
  share,
  most_per_step: null,
});

export const aWorld = (more: Partial<World> = {}): World => ({
  hash: 'h',
  model: 'positioning',
  response: {
    step_s: 0.02,
    axes: { climb: axis(2, 1), turn: axis(60, 1), run: axis(8, 1), slide: axis(8, 1), tilt: axis(20, 1) },
    travel: { accelerate_per_step: 99, brake_per_step: 99 },
    tilt: { low_deg: -90, high_deg: 20 },
    hfov_deg: 70,
    aspect: 1.78,
  },
  craft: {
    radius_m: 0.2,
    airspeed_mps: 15,
    coast_s: 2.2,
    gust_coupling: 0,
    gimbal_stop_deg: 50,
    picture_rolls: false,
    level_offset_deg: 0,
    lean_share: 0.1,
    gravity_mps2: 9.8,
    landing_sink_mps: 1.5,
    landing_speed_mps: 1,
    most_lean_deg: 85,
    camera_deg: null,
  },
  air: { knot_steps: 5, east_mps: [0], north_mps: [0], draught: null },
  ground: { least_m: 0, cell_m: 1, rows: [[0]] },
  start: {
    east_m: 0,
    north_m: 0,
    up_m: 10,
    heading_deg: 0,
    tilt_deg: 0,
    east_mps: 0,
    north_mps: 0,
    climb_mps: 0,
    turn_dps: 0,
    tilt_dps: 0,
  },
  uprights: [],
  lines: [],
  battery_s: 600,
  reserve_s: 100,
  ...more,
});
