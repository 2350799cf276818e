// Surfaces that a pace and a height can be felt on: grey grain of several sizes, made here, the same each time.
import * as THREE from 'three';

const SIDE = 256;

/** Repeats without a seam; a small generator of its own, so that every picture of a site is alike. */
function noise(seed: number): () => number {
  let state = seed;
  return () => {
    state = (state * 1664525 + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

/** Octaves of smooth noise between dark and 1, as a texture that repeats over so many metres. */
export function grain(
  metres: number,
  { seed = 1, rough = [4, 8, 16, 32, 64], dark = 0.62, stretch = 1 } = {},
): THREE.DataTexture {
  const values = new Float32Array(SIDE * SIDE);
  rough.forEach((cells, octave) => {
    const random = noise(seed * 97 + octave * 7919);
    const down = Math.max(2, Math.round(cells / stretch));
    const knots = Float32Array.from({ length: cells * down }, random);
    const weight = 1 / (1 + 0.45 * octave);
    for (let y = 0; y < SIDE; y++) {
      const v = (y / SIDE) * down;
      const [r, fy] = [Math.floor(v), smooth(v % 1)];
      for (let x = 0; x < SIDE; x++) {
        const u = (x / SIDE) * cells;
        const [c, fx] = [Math.floor(u), smooth(u % 1)];
        const at = (row: number, column: number) => knots[(row % down) * cells + (column % cells)] ?? 0;
        const low = at(r, c) + fx * (at(r, c + 1) - at(r, c));
        const high = at(r + 1, c) + fx * (at(r + 1, c + 1) - at(r + 1, c));
        values[y * SIDE + x] = (values[y * SIDE + x] ?? 0) + weight * (low + fy * (high - low) - 0.5);
      }
    }
  });
  const spread = Math.max(...[0.001, ...sampled(values)].map(Math.abs));
  const bytes = new Uint8Array(SIDE * SIDE * 4);
  values.forEach((value, i) => {
    const grey = 255 * (dark + (1 - dark) * (0.5 + Math.max(-0.5, Math.min(0.5, value / (2 * spread)))));
    bytes.set([grey, grey, grey, 255], 4 * i);
  });
  const texture = new THREE.DataTexture(bytes, SIDE, SIDE);
  texture.wrapS = THREE.RepeatWrapping;
  texture.wrapT = THREE.RepeatWrapping;
  texture.magFilter = THREE.LinearFilter;
  texture.minFilter = THREE.LinearMipmapLinearFilter;
  texture.generateMipmaps = true;
  texture.anisotropy = 2;
  texture.colorSpace = THREE.SRGBColorSpace;
  texture.repeat.set(1 / metres, 1 / metres);
  texture.needsUpdate = true;
  return texture;
}

const smooth = (x: number) => x * x * (3 - 2 * x);

function sampled(values: Float32Array): number[] {
  const some: number[] = [];
  for (let i = 0; i < values.length; i += 61) some.push(values[i] ?? 0);
  return some;
}
