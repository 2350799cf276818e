// Where a plan is at a time: between its samples on straight lines. For ghosts, subjects that move, and fingers as planned.
import type { Schemas } from '~/api/client';

type Plan = Pick<Schemas['Plan'], 'samples' | 'subject_way' | 'subject'>;

export type Place = { x: number; y: number; z: number; heading: number };

const at = (values: readonly number[], place: number): number => {
  const below = Math.max(0, Math.min(values.length - 1, Math.floor(place)));
  const above = Math.min(values.length - 1, below + 1);
  const from = values[below] ?? 0;
  return from + Math.max(0, Math.min(1, place - below)) * ((values[above] ?? from) - from);
};

/** Seconds between the samples of a plan. */
export const everyOf = (plan: Plan): number => (plan.samples.t[1] ?? 0.1) - (plan.samples.t[0] ?? 0);

export function craftAt(plan: Plan, seconds: number): Place {
  const { samples } = plan;
  const place = seconds / everyOf(plan);
  return {
    x: at(samples.east_m, place),
    y: at(samples.north_m, place),
    z: at(samples.up_m, place),
    heading: at(samples.heading_deg, place),
  };
}

/** Where the subject is, where it goes its own way; null where it stands still or there is none. */
export function subjectAt(plan: Plan, seconds: number): Place | null {
  const way = plan.subject_way;
  if (way === null || way.east_m.length < 2) return null;
  const last = way.east_m.length - 1;
  const span = (plan.samples.t[plan.samples.t.length - 1] ?? 1) / last;
  const place = seconds / span;
  const next = Math.min(last, place + 0.5);
  const before = Math.max(0, place - 0.5);
  const [east, north] = [
    at(way.east_m, next) - at(way.east_m, before),
    at(way.north_m, next) - at(way.north_m, before),
  ];
  return {
    x: at(way.east_m, place),
    y: at(way.north_m, place),
    z: plan.subject?.ground_m ?? 0,
    heading: (Math.atan2(east, north) * 180) / Math.PI,
  };
}

/**
 * Where a point is in the frame, as fractions from the left and from the top; null behind the lens. The same as core/Camera's projection:
 * a test holds them together.
 */
export function inFrame(
  camera: Schemas['FullCamera'],
  eye: { x: number; y: number; z: number; heading: number },
  tilt: number,
  point: { x: number; y: number; z: number },
): { u: number; v: number } | null {
  const rad = Math.PI / 180;
  const [sin, cos] = [Math.sin(eye.heading * rad), Math.cos(eye.heading * rad)];
  const [e, n, up] = [point.x - eye.x, point.y - eye.y, point.z - eye.z];
  const right = e * cos - n * sin;
  const ahead = e * sin + n * cos;
  const depth = ahead * Math.cos(tilt * rad) + up * Math.sin(tilt * rad);
  const high = -ahead * Math.sin(tilt * rad) + up * Math.cos(tilt * rad);
  if (depth <= 0.01) return null;
  const half = Math.tan((camera.hfov_deg * rad) / 2);
  return { u: 0.5 + right / depth / (2 * half), v: 0.5 - (high / depth / (2 * half)) * camera.aspect };
}
