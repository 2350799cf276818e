// What stands where on the site sheet, in px: the ticks of the path, the wedge of the lens, things and their names, sun and signs.
import type { Schemas } from '~/api/client';
import { type Units, withUnit } from '~/units';
import { coverOf } from './footprint';
import { around, type Box, meet, placeLabels } from './labels';
import { indexAt, type Scale } from './scale';

export type Path = { t: number[]; east_m: number[]; north_m: number[]; heading_deg?: number[] };
export type Ground = { east_m: number; north_m: number };
type Way = { east_m: number[]; north_m: number[] };
type Size = { width: number; height: number };
export type Bounds = { east: [number, number]; north: [number, number] };
export type Pose = { x: number; y: number; heading: number | null };
type Standing = { solid: Schemas['SiteDocument']['solids'][number]; of: Box };

/** So many things are named, the tallest first: more would cover the sheet. */
const MOST_LABELS = 24;

/** What is flown and filmed fills the sheet; whoever stands far off is pointed to at its edge. */
export function boundsOf(
  subject: Ground | null,
  way: Way | null,
  paths: (Path | null | undefined)[],
): Bounds {
  const shown = paths.filter((path) => path != null);
  const east = [...(subject ? [subject.east_m] : []), ...(way?.east_m ?? [])];
  const north = [...(subject ? [subject.north_m] : []), ...(way?.north_m ?? [])];
  if (shown.length === 0) {
    east.push(0);
    north.push(0);
  }
  for (const path of shown) {
    for (let i = 0; i < path.east_m.length; i += 4) {
      east.push(path.east_m[i] ?? 0);
      north.push(path.north_m[i] ?? 0);
    }
  }
  const span = (values: number[]): [number, number] => [Math.min(...values), Math.max(...values)];
  return { east: span(east), north: span(north) };
}

/** A tick for each second in which the craft moves on. */
export function secondsOn(path: Path, x: Scale, y: Scale) {
  const out: { s: number; x: number; y: number; angle: number }[] = [];
  const first = path.t[0] ?? 0;
  for (let s = Math.ceil(first); s <= (path.t.at(-1) ?? 0); s++) {
    const i = indexAt(path.t, s);
    const j = Math.min(path.t.length - 1, i + 1);
    const dx = x(path.east_m[j] ?? 0) - x(path.east_m[i] ?? 0);
    const dy = y(path.north_m[j] ?? 0) - y(path.north_m[i] ?? 0);
    if (Math.hypot(dx, dy) > 0.15) {
      out.push({
        s,
        x: x(path.east_m[i] ?? 0),
        y: y(path.north_m[i] ?? 0),
        angle: (Math.atan2(dy, dx) * 180) / Math.PI,
      });
    }
  }
  return out;
}

/** Where the craft is at a time; null where there is no path. */
export function poseOn(path: Path | null | undefined, time: number, x: Scale, y: Scale): Pose | null {
  if (!path) return null;
  const i = indexAt(path.t, time);
  return { x: x(path.east_m[i] ?? 0), y: y(path.north_m[i] ?? 0), heading: path.heading_deg?.[i] ?? null };
}

/** What the lens takes in, a little farther than the subject; empty where the heading is not known. */
export function wedgeOf(pose: Pose, subject: Ground | null, hfov: number, x: Scale, y: Scale): string {
  const { heading } = pose;
  if (heading === null) return '';
  const reach = subject ? Math.hypot(x(subject.east_m) - pose.x, y(subject.north_m) - pose.y) * 1.15 : 90;
  const at = (degrees: number) => {
    const a = (heading + degrees) * (Math.PI / 180);
    return `${(pose.x + reach * Math.sin(a)).toFixed(1)} ${(pose.y - reach * Math.cos(a)).toFixed(1)}`;
  };
  return `M${pose.x.toFixed(1)} ${pose.y.toFixed(1)}L${at(-hfov / 2)}L${at(hfov / 2)}Z`;
}

/** The things that can be seen on the sheet. */
export function solidsOn(site: Schemas['SiteDocument'], x: Scale, y: Scale, size: Size): Standing[] {
  const sheet = { left: 0, top: 0, right: size.width, bottom: size.height };
  return site.solids
    .map((solid) => ({ solid, of: coverOf(solid, x, y, sheet) }))
    .filter(({ of }) => meet(of, sheet));
}

/** Where north and wind stand: at the upper right, or below it where something stands there. */
export function signsOn(solids: Standing[], wind: Schemas['Wind'] | null, { width, height }: Size): Box {
  const upper = { left: width - (wind && wind.mean_mps > 0 ? 92 : 40), top: 0, right: width, bottom: 56 };
  return solids.some(({ of }) => meet(of, upper)) ? { ...upper, top: height - 56, bottom: height } : upper;
}

/** Where the bearings of the sun meet the edge of the sheet, with room for what they are called, above the scale. */
export function sunsOn(suns: { azimuth_deg: number; label: string }[], { width, height }: Size) {
  return suns.map((one) => {
    const a = (one.azimuth_deg * Math.PI) / 180;
    const down = Math.cos(a) < 0 ? 48 : 30;
    const reach = Math.min(
      (width / 2 - 24) / Math.max(1e-6, Math.abs(Math.sin(a))),
      (height / 2 - down) / Math.max(1e-6, Math.abs(Math.cos(a))),
    );
    const at = (r: number) => [width / 2 + r * Math.sin(a), height / 2 - r * Math.cos(a)] as const;
    const [x, y] = at(reach);
    const [fromX, fromY] = at(reach - 26);
    return { label: one.label, x, y, fromX, fromY };
  });
}

/** Boxes along paths, which names keep clear of. */
export const marksOn = (paths: (Path | null | undefined)[], x: Scale, y: Scale): Box[] =>
  paths.flatMap((path) =>
    path
      ? path.east_m
          .map((east, i) => around(x(east), y(path.north_m[i] ?? 0), 5))
          .filter((_, i) => i % 5 === 0)
      : [],
  );

/** The names of what could be flown into, each with its height, where nothing else stands. */
export function labelsOn(solids: Standing[], taken: Box[], units: Units, { width, height }: Size) {
  const named = solids
    .filter(({ solid }) => solid.role === 'obstacle')
    .sort((a, b) => b.solid.height_m - a.solid.height_m)
    .slice(0, MOST_LABELS)
    .map(({ solid, of }) => ({ text: `${solid.name}, ${withUnit(solid.height_m, 'm', units, 1)}`, of }));
  return placeLabels(named, [...taken, ...solids.map(({ of }) => of)], width, height);
}

export type Edge = { x: number; y: number; far: number; angle: number };

/** Take-off on the sheet, or where its edge is met on the way there, and then how far it is, m. */
export function takeOffOn(x: Scale, y: Scale, { width, height }: Size): Edge {
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
