// How far a thing's foot reaches along a direction over the ground: for sheets that are seen from a side, and for what a thing covers.
import type { Schemas } from '~/api/client';

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
