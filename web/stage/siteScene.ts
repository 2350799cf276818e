// A site as a three.js scene: east is x, up is y, north is minus z, all in metres about take-off. Surfaces have a grain fine enough that
// pace and height can be felt; the sun stands where it stands over the site.
import * as THREE from 'three';
import { mergeGeometries } from 'three/addons/utils/BufferGeometryUtils.js';
import type { Schemas } from '~/api/client';
import { groundAt } from '~/pictures/footprint';
import { grain } from './grain';

const token = (name: string, otherwise: string) => {
  const value =
    typeof document === 'undefined'
      ? ''
      : getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  return new THREE.Color(value === '' ? otherwise : value);
};

export type Light = {
  /** Where the sun stands, deg. */
  azimuth: number;
  altitude: number;
  /** Whether things throw shadows. */
  shadows: boolean;
};

/** Without a said sun: from the south-west, high enough that every side is seen. */
const ANY_SUN: Light = { azimuth: 217, altitude: 50, shadows: false };

/** A sun that is lower than this gives no light to see by, deg. */
export const LOWEST_SUN = 6;

/** There it stands then, deg, and the page says so. */
const DAYLIGHT = 38;

/** Shadows reach so far about take-off, m. */
const SHADOWED = 90;

type Surfaces = Record<'ground' | 'water' | 'leaves' | 'wall', THREE.Texture | null>;

const surfaces = (plain: boolean): Surfaces =>
  plain
    ? { ground: null, water: null, leaves: null, wall: null }
    : {
        ground: grain(14, { seed: 3 }),
        water: grain(9, { seed: 5, rough: [3, 6, 12, 24], dark: 0.72, stretch: 3 }),
        leaves: grain(3, { seed: 7, rough: [8, 16, 32], dark: 0.45 }),
        wall: grain(2.4, { seed: 11, rough: [6, 12, 24, 48], dark: 0.68, stretch: 2 }),
      };

/** @param plain  no grain and no shadows: a world for whom moving texture is too much */
export function siteScene(
  site: Schemas['SiteDocument'],
  ground: number[][],
  subject: Schemas['Plan']['subject'],
  light: Light = ANY_SUN,
  plain = false,
): THREE.Scene {
  const scene = new THREE.Scene();
  const looks = surfaces(plain);
  scene.background = token('--sky', '#dde8f2');
  if (!plain) scene.fog = new THREE.Fog(token('--sky', '#dde8f2'), 250, 2600);
  scene.add(new THREE.HemisphereLight(0xffffff, 0x8a8470, 1.7));
  scene.add(sunlight(light, plain));
  const level =
    ground.length === 0 ? Math.min(0, subject?.ground_m ?? 0) : Math.min(...ground.map((p) => p[2] ?? 0));
  scene.add(plane(level - (ground.length === 0 ? 0.01 : 0.6), looks));
  if (ground.length > 0) scene.add(terrain(ground, looks));
  for (const area of site.areas ?? []) {
    if (area.kind !== 'boundary')
      scene.add(flat(area, groundAt(ground, area.points[0] ?? [0, 0]) + 0.06, looks));
  }
  const stands: THREE.Mesh[] = [];
  for (const solid of site.solids) {
    if (solid.shape !== 'wire') stands.push(standing(solid, looks));
    else {
      const line = wire(solid);
      if (line !== null) scene.add(line);
    }
  }
  for (const mesh of inFewPieces(stands)) scene.add(mesh);
  return scene;
}

/** Things of one look as one mesh: a site of a hundred things is drawn in a handful of calls. */
function inFewPieces(meshes: THREE.Mesh[]): THREE.Mesh[] {
  const alike = new Map<string, THREE.Mesh[]>();
  for (const mesh of meshes) {
    const look = mesh.material as THREE.MeshLambertMaterial;
    const key = `${look.color.getHexString()} ${look.map?.id ?? 'plain'}`;
    alike.set(key, [...(alike.get(key) ?? []), mesh]);
  }
  return [...alike.values()].map((group) => {
    for (const mesh of group) {
      mesh.updateMatrix();
      mesh.geometry.applyMatrix4(mesh.matrix);
    }
    const merged = new THREE.Mesh(mergeGeometries(group.map((mesh) => mesh.geometry)), group[0]?.material);
    for (const mesh of group) mesh.geometry.dispose();
    merged.castShadow = true;
    merged.receiveShadow = true;
    return merged;
  });
}

/** Gives back what a scene holds on the device: shapes, looks, and the grain of their surfaces. */
export function disposeScene(scene: THREE.Scene): void {
  scene.traverse((node) => {
    if (!(node instanceof THREE.Mesh || node instanceof THREE.Line)) return;
    node.geometry.dispose();
    for (const material of [node.material].flat()) {
      (material as THREE.MeshLambertMaterial).map?.dispose();
      material.dispose();
    }
  });
}

function sunlight(light: Light, plain: boolean): THREE.DirectionalLight {
  const sun = new THREE.DirectionalLight(0xfff4e2, 2.1);
  const high = ((light.altitude < LOWEST_SUN ? DAYLIGHT : light.altitude) * Math.PI) / 180;
  const round = (light.azimuth * Math.PI) / 180;
  sun.position
    .set(Math.sin(round) * Math.cos(high), Math.sin(high), -Math.cos(round) * Math.cos(high))
    .multiplyScalar(200);
  if (light.shadows && !plain) {
    sun.castShadow = true;
    sun.shadow.mapSize.set(2048, 2048);
    const box = sun.shadow.camera;
    [box.left, box.right, box.top, box.bottom] = [-SHADOWED, SHADOWED, SHADOWED, -SHADOWED];
    [box.near, box.far] = [20, 420];
    sun.shadow.bias = -0.002;
  }
  return sun;
}

const WIDE = 12000;
const PIECES = 60;

function plane(level: number, looks: Surfaces): THREE.Mesh {
  // In many pieces: the depth of one piece so wide is not exact enough for what is painted on it.
  const geometry = new THREE.PlaneGeometry(WIDE, WIDE, PIECES, PIECES);
  inMetres(geometry, WIDE, WIDE);
  const mesh = new THREE.Mesh(
    geometry,
    new THREE.MeshLambertMaterial({
      color: token('--moor', '#b4b183'),
      map: looks.ground,
      polygonOffset: true,
      polygonOffsetFactor: 1,
      polygonOffsetUnits: 4,
    }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = level;
  mesh.receiveShadow = true;
  return mesh;
}

/** Places on a surface in metres rather than in shares of it: a grain is as coarse everywhere. */
function inMetres(geometry: THREE.BufferGeometry, width: number, height: number): void {
  const uv = geometry.getAttribute('uv');
  for (let i = 0; i < uv.count; i++) uv.setXY(i, uv.getX(i) * width, uv.getY(i) * height);
}

/** The grid of heights as a surface. */
function terrain(ground: number[][], looks: Surfaces): THREE.Mesh {
  const easts = [...new Set(ground.map((p) => p[0] ?? 0))].sort((a, b) => a - b);
  const norths = [...new Set(ground.map((p) => p[1] ?? 0))].sort((a, b) => a - b);
  const height = new Map(ground.map((p) => [`${p[0]} ${p[1]}`, p[2] ?? 0]));
  const points: number[] = [];
  const faces: number[] = [];
  for (const north of norths) {
    for (const east of easts) points.push(east, height.get(`${east} ${north}`) ?? 0, -north);
  }
  for (let r = 0; r + 1 < norths.length; r++) {
    for (let c = 0; c + 1 < easts.length; c++) {
      const i = r * easts.length + c;
      faces.push(i, i + 1, i + easts.length, i + 1, i + easts.length + 1, i + easts.length);
    }
  }
  const geometry = new THREE.BufferGeometry();
  geometry.setAttribute('position', new THREE.Float32BufferAttribute(points, 3));
  geometry.setAttribute(
    'uv',
    new THREE.Float32BufferAttribute(
      points.flatMap((_, i) => (i % 3 === 0 ? [points[i] ?? 0, points[i + 2] ?? 0] : [])),
      2,
    ),
  );
  geometry.setIndex(faces);
  geometry.computeVertexNormals();
  const mesh = new THREE.Mesh(
    geometry,
    new THREE.MeshLambertMaterial({
      color: token('--moor', '#b4b183'),
      map: looks.ground,
      side: THREE.DoubleSide,
    }),
  );
  mesh.receiveShadow = true;
  return mesh;
}

function outline(points: number[][]): THREE.Shape {
  return new THREE.Shape(points.map(([e = 0, n = 0]) => new THREE.Vector2(e, n)));
}

function flat(area: Schemas['Area'], up: number, looks: Surfaces): THREE.Mesh {
  const mesh = new THREE.Mesh(
    new THREE.ShapeGeometry(outline(area.points)),
    new THREE.MeshBasicMaterial({
      color: token(area.kind === 'water' ? '--climb' : '--brick', '#2f6fb0'),
      map: area.kind === 'water' ? looks.water : null,
      transparent: true,
      opacity: area.kind === 'water' ? 0.7 : 0.25,
      side: THREE.DoubleSide,
    }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = up;
  return mesh;
}

/** Corners of what a solid stands on. */
function ring(solid: Schemas['Solid']): number[][] {
  if (solid.points !== undefined) return solid.points;
  const turned = (solid.heading_deg * Math.PI) / 180;
  const [right, ahead] = [solid.width_m / 2, (solid.shape === 'box' ? solid.length_m : solid.width_m) / 2];
  const corners =
    solid.shape === 'box'
      ? [
          [-right, -ahead],
          [right, -ahead],
          [right, ahead],
          [-right, ahead],
        ]
      : Array.from({ length: 24 }, (_, k) => [
          right * Math.sin((k * Math.PI) / 12),
          right * Math.cos((k * Math.PI) / 12),
        ]);
  return corners.map(([r = 0, a = 0]) => [
    solid.east_m + r * Math.cos(turned) + a * Math.sin(turned),
    solid.north_m - r * Math.sin(turned) + a * Math.cos(turned),
  ]);
}

function standing(solid: Schemas['Solid'], looks: Surfaces): THREE.Mesh {
  const clear = solid.clear_m ?? 0;
  const canopy = solid.shape === 'canopy';
  return upright(
    ring(solid),
    solid.base_m + clear,
    solid.height_m - clear,
    token(solid.role === 'subject' ? '--filmed' : canopy ? '--leaf' : '--solid', '#b79b6b'),
    canopy ? looks.leaves : looks.wall,
  );
}

/** Something upright over an outline. */
export function upright(
  outlined: number[][],
  base: number,
  height: number,
  color: THREE.Color,
  map: THREE.Texture | null,
): THREE.Mesh {
  const mesh = new THREE.Mesh(
    new THREE.ExtrudeGeometry(outline(outlined), { depth: height, bevelEnabled: false }),
    new THREE.MeshLambertMaterial({ color, map }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = base;
  mesh.castShadow = true;
  mesh.receiveShadow = true;
  return mesh;
}

function wire(solid: Schemas['Solid']): THREE.Line | null {
  const supports = solid.points ?? [];
  const points: THREE.Vector3[] = [];
  for (let i = 0; i + 1 < supports.length; i++) {
    const [e0 = 0, n0 = 0] = supports[i] ?? [];
    const [e1 = 0, n1 = 0] = supports[i + 1] ?? [];
    for (let k = 0; k <= 8; k++) {
      const s = k / 8;
      points.push(
        new THREE.Vector3(
          e0 + s * (e1 - e0),
          solid.base_m + solid.height_m - 4 * (solid.sag_m ?? 0) * s * (1 - s),
          -(n0 + s * (n1 - n0)),
        ),
      );
    }
  }
  return new THREE.Line(
    new THREE.BufferGeometry().setFromPoints(points),
    new THREE.LineBasicMaterial({ color: token('--brick', '#b33a26') }),
  );
}
