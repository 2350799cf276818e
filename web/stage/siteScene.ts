// A site as a three.js scene: east is x, up is y, north is minus z, all in metres about take-off.
import * as THREE from 'three';
import type { Schemas } from '~/api/client';
import { groundAt } from '~/pictures/footprint';

const token = (name: string, otherwise: string) => {
  const value =
    typeof document === 'undefined'
      ? ''
      : getComputedStyle(document.documentElement).getPropertyValue(name).trim();
  return new THREE.Color(value === '' ? otherwise : value);
};

export function siteScene(
  site: Schemas['SiteDocument'],
  ground: number[][],
  subject: Schemas['Plan']['subject'],
): THREE.Scene {
  const scene = new THREE.Scene();
  scene.background = token('--sky', '#dde8f2');
  scene.add(new THREE.HemisphereLight(0xffffff, 0x8a8470, 2.2));
  const sun = new THREE.DirectionalLight(0xffffff, 1.6);
  sun.position.set(-60, 120, 80);
  scene.add(sun);
  const level =
    ground.length === 0 ? Math.min(0, subject?.ground_m ?? 0) : Math.min(...ground.map((p) => p[2] ?? 0));
  scene.add(plane(level - (ground.length === 0 ? 0.01 : 0.6)));
  if (ground.length > 0) scene.add(terrain(ground));
  for (const area of site.areas ?? []) {
    if (area.kind !== 'boundary') scene.add(flat(area, groundAt(ground, area.points[0] ?? [0, 0]) + 0.06));
  }
  for (const solid of site.solids) {
    const mesh = solid.shape === 'wire' ? wire(solid) : standing(solid);
    if (mesh !== null) scene.add(mesh);
  }
  return scene;
}

function plane(level: number): THREE.Mesh {
  const mesh = new THREE.Mesh(
    new THREE.PlaneGeometry(12000, 12000),
    new THREE.MeshLambertMaterial({ color: token('--ground', '#efe9da') }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = level;
  return mesh;
}

/** The grid of heights as a surface. */
function terrain(ground: number[][]): THREE.Mesh {
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
  geometry.setIndex(faces);
  geometry.computeVertexNormals();
  return new THREE.Mesh(
    geometry,
    new THREE.MeshLambertMaterial({ color: token('--ground', '#efe9da'), side: THREE.DoubleSide }),
  );
}

function outline(points: number[][]): THREE.Shape {
  return new THREE.Shape(points.map(([e = 0, n = 0]) => new THREE.Vector2(e, n)));
}

function flat(area: Schemas['Area'], up: number): THREE.Mesh {
  const mesh = new THREE.Mesh(
    new THREE.ShapeGeometry(outline(area.points)),
    new THREE.MeshBasicMaterial({
      color: token(area.kind === 'water' ? '--climb' : '--brick', '#2f6fb0'),
      transparent: true,
      opacity: area.kind === 'water' ? 0.55 : 0.25,
      side: THREE.DoubleSide,
    }),
  );
  mesh.rotation.x = -Math.PI / 2;
  mesh.position.y = up;
  return mesh;
}

function standing(solid: Schemas['Solid']): THREE.Mesh | null {
  const clear = solid.clear_m ?? 0;
  const height = solid.height_m - clear;
  const material = new THREE.MeshLambertMaterial({
    color: token(
      solid.role === 'subject' ? '--ink' : solid.shape === 'canopy' ? '--leaf' : '--solid',
      '#b79b6b',
    ),
  });
  if (solid.points !== undefined) {
    const mesh = new THREE.Mesh(
      new THREE.ExtrudeGeometry(outline(solid.points), { depth: height, bevelEnabled: false }),
      material,
    );
    mesh.rotation.x = -Math.PI / 2;
    mesh.position.y = solid.base_m + clear;
    return mesh;
  }
  const mesh = new THREE.Mesh(
    solid.shape === 'cylinder'
      ? new THREE.CylinderGeometry(solid.width_m / 2, solid.width_m / 2, height, 24)
      : new THREE.BoxGeometry(solid.width_m, height, solid.length_m),
    material,
  );
  mesh.position.set(solid.east_m, solid.base_m + clear + height / 2, -solid.north_m);
  mesh.rotation.y = (-solid.heading_deg * Math.PI) / 180;
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
