// Plain linear scales from metres or seconds to pixels, and round numbers for grids and scale bars.
export type Scale = { (value: number): number; invert: (pixel: number) => number; perUnit: number };

export function linear(from: number, to: number, start: number, end: number): Scale {
  const perUnit = to === from ? 0 : (end - start) / (to - from);
  const scale = ((value: number) => start + (value - from) * perUnit) as Scale;
  scale.invert = (pixel) => (perUnit === 0 ? from : from + (pixel - start) / perUnit);
  scale.perUnit = perUnit;
  return scale;
}

/** 1, 2 or 5 times a power of ten, at least as large as asked. */
export function roundUp(value: number): number {
  const power = 10 ** Math.floor(Math.log10(Math.max(1e-9, value)));
  for (const step of [1, 2, 5, 10]) {
    if (step * power >= value - 1e-9) return step * power;
  }
  return 10 * power;
}

export function ticks(from: number, to: number, step: number): number[] {
  const out: number[] = [];
  for (let k = Math.ceil(from / step - 1e-9); k * step <= to + 1e-9; k++) out.push(k * step);
  return out;
}

/** Index of the sample at or before a time, in a rising list. */
export function indexAt(times: number[], time: number): number {
  let low = 0;
  let high = times.length - 1;
  while (low < high) {
    const middle = (low + high + 1) >> 1;
    if ((times[middle] ?? 0) <= time) low = middle;
    else high = middle - 1;
  }
  return low;
}

/** SVG path through points, skipping holes. */
export function through(points: [number, number][]): string {
  let path = '';
  for (const [x, y] of points) path += `${path === '' ? 'M' : 'L'}${x.toFixed(1)} ${y.toFixed(1)}`;
  return path;
}
