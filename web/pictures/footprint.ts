// Where things stand and how far they reach over the ground: for sheets seen from a side, for what a thing covers, for what stands on a
// slope.
import type { Schemas } from '~/api/client';
import { around, type Box, meet } from './labels';
import { type Scale, ticks } from './scale';

type Foot = Pick<
  Schemas['Solid'],
  'shape' | 'east_m' | 'north_m' | 'width_m' | 'length_m' | 'heading_deg' | 'points'
>;

/** Least and greatest of east · e + north · n over the foot, metres; (east, north) is a direction of length 1. */
export function extentAlong(solid: Foot, east: number, north: number): [number, number] {
  if (solid.points !== undefined) {
    const along = solid.points.map(([e = 0, n = 0]) => e * east + n * north);
    return [Math.min(...along), Math.max(...along)];
  }
  const middle = solid.east_m * east + solid.north_m * north;
  const half =
    solid.shape === 'box'
      ? halfOfBox(solid, east, north)
      : // A mast or a round crown reaches as far to every side.
        solid.width_m / 2;
  return [middle - half, middle + half];
}

/** A box is turned by its heading: its length lies along it, its width across. */
function halfOfBox(solid: Foot, east: number, north: number): number {
  const turned = (solid.heading_deg * Math.PI) / 180;
  const across = Math.cos(turned) * east - Math.sin(turned) * north;
  const along = Math.sin(turned) * east + Math.cos(turned) * north;
  return (solid.width_m / 2) * Math.abs(across) + (solid.length_m / 2) * Math.abs(along);
}

/**
 * What a solid covers on the sheet, as an upright box; of a wall or a wire, whose box would be mostly open ground, the middle of what is
 * seen of it.
 */
export function coverOf(solid: Foot, x: Scale, y: Scale, sheet: Box): Box {
  const line = solid.shape === 'wire' ? solid.points : lengthOf(solid);
  if (line !== undefined) {
    const seen = along(line, 0.05)
      .map(([e, n]) => around(x(e), y(n), 1))
      .filter((dot) => meet(dot, sheet));
    const middle = seen[seen.length >> 1];
    const half = Math.min(solid.width_m, solid.length_m) / 2;
    const wide = solid.shape === 'wire' ? 0 : half * x.perUnit;
    if (middle) return around(middle.left + 1, middle.top + 1, wide + 4);
  }
  const [west, east] = extentAlong(solid, 1, 0);
  const [south, north] = extentAlong(solid, 0, 1);
  return { left: x(west), right: x(east), top: y(north), bottom: y(south) };
}

/** The long middle line of a box that is much longer than wide; undefined for anything stouter. */
function lengthOf(solid: Foot): number[][] | undefined {
  const longer = Math.max(solid.width_m, solid.length_m);
  if (solid.points !== undefined || longer <= 4 * Math.min(solid.width_m, solid.length_m)) return undefined;
  const turned = ((solid.heading_deg + (solid.length_m === longer ? 0 : 90)) * Math.PI) / 180;
  const [e, n] = [(longer / 2) * Math.sin(turned), (longer / 2) * Math.cos(turned)];
  return [
    [solid.east_m - e, solid.north_m - n],
    [solid.east_m + e, solid.north_m + n],
  ];
}

/** Places along a line through points, a share of each stretch apart. */
function along(line: number[][], share: number): [number, number][] {
  return line.slice(1).flatMap(([e1 = 0, n1 = 0], i) => {
    const [e0 = 0, n0 = 0] = line[i] ?? [];
    return ticks(0, 1, share).map((s): [number, number] => [e0 + s * (e1 - e0), n0 + s * (n1 - n0)]);
  });
}

/** Height of the nearest place whose height is known, of [east, north, height] in metres; 0 where none is. */
export function groundAt(ground: number[][], [east = 0, north = 0]: number[]): number {
  let best = 0;
  let least = Number.POSITIVE_INFINITY;
  for (const [e = 0, n = 0, up = 0] of ground) {
    const away = (e - east) ** 2 + (n - north) ** 2;
    if (away < least) [least, best] = [away, up];
  }
  return best;
}
