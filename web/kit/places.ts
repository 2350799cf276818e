// A number of a nested document by its place ("stock.tilt_range_deg.low"): the same names that the server uses where it refuses one.

type Tree = { [name: string]: Tree | number | undefined };

export function valueAt(document: object, place: string): number {
  let now: Tree | number | undefined = document as Tree;
  for (const name of place.split('.')) now = typeof now === 'object' ? now[name] : undefined;
  return typeof now === 'number' ? now : 0;
}

/** The same document with another number there; all that does not lie on the way stays the same object. */
export function withValue<D extends object>(document: D, place: string, value: number): D {
  const [name = '', ...rest] = place.split('.');
  const inner = (document as Tree)[name];
  return {
    ...document,
    [name]:
      rest.length === 0 ? value : withValue(typeof inner === 'object' ? inner : {}, rest.join('.'), value),
  };
}
