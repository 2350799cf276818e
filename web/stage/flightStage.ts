// The world of a practice flight in two views on one canvas: what the lens sees, and what the pilot's own eyes see from where they stand.
// It is given poses to draw and knows no rule of flying.
import * as THREE from 'three';
import type { Schemas } from '~/api/client';
import { gridPoints, groundAt } from '~/flight/flight';
import { disposeScene, siteScene, upright } from './siteScene';

export type Eye = 'lens' | 'eyes' | 'both';

export type Drawn = {
  /** Of the craft: place, heading and leans, deg; and where its lens looks. */
  pose: { x: number; y: number; z: number; heading: number; leanAhead: number; leanRight: number };
  lensTilt: number;
  /** Of the picture, deg: to the right. */
  roll: number;
  ghost: { x: number; y: number; z: number; heading: number } | null;
  subject: { x: number; y: number; z: number; heading: number } | null;
  magnified: boolean;
};

/** Upright angle that the pilot's eyes take in, deg: about what one attends to without turning the head. */
const EYES_ANGLE = 42;

/** How many times a magnifier brings the craft nearer. */
const MAGNIFIES = 4;

/** A craft smaller than this on the screen is a dot: which way it points can't be read, px. */
const READABLE = 14;

/** Nearer than this a ghost is not drawn in the lens picture, m. */
const CLEAR_OF_GHOST = 5;

/** A picture that takes longer than this is drawn coarser, ms; never coarser than this share. */
const SLOW = 40;
const COARSEST = 0.4;

const RAD = Math.PI / 180;

export class FlightStage {
  private ratio = Math.min(2, devicePixelRatio);
  private drawnMs: number[] = [];
  private size = { width: 1, height: 1 };
  private readonly renderer: THREE.WebGLRenderer;
  private readonly scene: THREE.Scene;
  private readonly lens = new THREE.PerspectiveCamera();
  private readonly eyes = new THREE.PerspectiveCamera();
  private readonly craft: THREE.Group;
  private readonly ghost: THREE.Group;
  private readonly blob: THREE.Mesh;
  private readonly subject: THREE.Mesh;

  constructor(
    canvas: HTMLCanvasElement,
    private readonly exercise: Schemas['Exercise'],
    plain: boolean,
  ) {
    this.renderer = new THREE.WebGLRenderer({ canvas, antialias: true, powerPreference: 'high-performance' });
    this.renderer.shadowMap.enabled = !plain;
    this.renderer.shadowMap.autoUpdate = false;
    this.renderer.autoClear = false;
    const { world, plan, site, sun } = exercise;
    const grid = gridPoints(world.ground);
    this.scene = siteScene(
      site,
      grid,
      plan.subject,
      { azimuth: sun.azimuth_deg, altitude: sun.altitude_deg, shadows: true },
      plain,
    );
    this.layOut();
    const radius = world.craft.radius_m;
    this.craft = craftModel(radius, 1);
    this.ghost = craftModel(radius, 0.35);
    this.blob = new THREE.Mesh(
      new THREE.CircleGeometry(radius * 1.2, 20),
      new THREE.MeshBasicMaterial({ color: 0x1e1b3a, transparent: true, opacity: 0.3, depthWrite: false }),
    );
    this.blob.rotation.x = -Math.PI / 2;
    this.subject = new THREE.Mesh(
      new THREE.BoxGeometry(1.7, 1.6, 3.4),
      new THREE.MeshLambertMaterial({ color: 0x8f3a2e }),
    );
    this.subject.castShadow = true;
    this.scene.add(this.craft, this.ghost, this.blob, this.subject);
    this.renderer.shadowMap.needsUpdate = true;
  }

  /** Pads at the marks of a drill, its walls, the painted line of its course, the pilot's own spot. */
  private layOut(): void {
    const { world, pads, plan, pilot } = this.exercise;
    const stands = new Set(this.exercise.site.solids.map((solid) => solid.id));
    for (const one of world.uprights) {
      if (stands.has(one.id)) continue;
      this.scene.add(upright(one.ring, one.base_m, one.top_m - one.base_m, new THREE.Color(0x9aa0b5), null));
    }
    const ground = (east: number, north: number) => groundAt(world, east, north);
    for (const pad of pads) {
      const ring = new THREE.Mesh(
        new THREE.RingGeometry(0.34, 0.5, 28),
        new THREE.MeshBasicMaterial({ color: 0x4a3fb5, side: THREE.DoubleSide }),
      );
      ring.rotation.x = -Math.PI / 2;
      ring.position.set(pad.east_m, ground(pad.east_m, pad.north_m) + 0.03, -pad.north_m);
      this.scene.add(ring);
    }
    if (pads.length > 0) {
      const { east_m: east, north_m: north } = plan.samples;
      const line = new THREE.Line(
        new THREE.BufferGeometry().setFromPoints(
          east.map((e, k) => new THREE.Vector3(e, ground(e, north[k] ?? 0) + 0.04, -(north[k] ?? 0))),
        ),
        new THREE.LineBasicMaterial({ color: 0x8f86e0 }),
      );
      this.scene.add(line);
    }
    const spot = new THREE.Mesh(
      new THREE.CircleGeometry(0.45, 24),
      new THREE.MeshBasicMaterial({ color: 0x2c7a57 }),
    );
    spot.rotation.x = -Math.PI / 2;
    spot.position.set(pilot.east_m, pilot.up_m - 1.57, -pilot.north_m);
    this.scene.add(spot);
  }

  resize(width: number, height: number): void {
    this.size = { width, height };
    this.renderer.setPixelRatio(this.ratio);
    this.renderer.setSize(width, height, false);
  }

  /** A device that draws slowly gets a coarser picture before it gets a late one. @param ms  since the picture before */
  keepPace(ms: number): void {
    this.drawnMs.push(ms);
    if (this.drawnMs.length < 12) return;
    const sorted = this.drawnMs.sort((a, b) => a - b);
    const usual = sorted[6] ?? 0;
    this.drawnMs = [];
    if (usual <= SLOW || this.ratio <= COARSEST) return;
    this.ratio = Math.max(COARSEST, this.ratio * Math.max(0.6, Math.sqrt(SLOW / usual)));
    this.resize(this.size.width, this.size.height);
  }

  /** @returns what a person has to know of what was drawn: px that the craft is wide to the eyes */
  draw(eye: Eye, drawn: Drawn, width: number, height: number): { wide: number } {
    const { pose } = drawn;
    this.craft.position.set(pose.x, pose.z, -pose.y);
    this.craft.rotation.set(-pose.leanAhead * RAD, -pose.heading * RAD, -pose.leanRight * RAD, 'YXZ');
    const ground = groundAt(this.exercise.world, pose.x, pose.y);
    this.blob.position.set(pose.x, ground + 0.05, -pose.y);
    this.ghost.visible = drawn.ghost !== null;
    if (drawn.ghost !== null) {
      this.ghost.position.set(drawn.ghost.x, drawn.ghost.z, -drawn.ghost.y);
      this.ghost.rotation.set(0, -drawn.ghost.heading * RAD, 0, 'YXZ');
    }
    this.subject.visible = drawn.subject !== null;
    if (drawn.subject !== null) {
      this.subject.position.set(drawn.subject.x, drawn.subject.z + 0.8, -drawn.subject.y);
      this.subject.rotation.y = -drawn.subject.heading * RAD;
    }
    this.renderer.setScissorTest(true);
    const [lensBox, eyesBox] = boxes(eye, width, height, this.exercise.plan.camera.aspect);
    this.renderer.setViewport(0, 0, width, height);
    this.renderer.setScissor(0, 0, width, height);
    this.renderer.setClearColor(0x14122a);
    this.renderer.clear();
    if (lensBox !== null) this.drawLens(drawn, lensBox, height);
    return { wide: eyesBox === null ? Number.POSITIVE_INFINITY : this.drawEyes(drawn, eyesBox, height) };
  }

  private drawLens(drawn: Drawn, box: Box, height: number): void {
    const { camera } = this.exercise.plan;
    this.lens.fov = camera.vfov_deg;
    this.lens.aspect = camera.aspect;
    this.lens.near = 0.05;
    this.lens.far = 6000;
    this.lens.position.set(drawn.pose.x, drawn.pose.z, -drawn.pose.y);
    this.lens.rotation.set(drawn.lensTilt * RAD, -drawn.pose.heading * RAD, -drawn.roll * RAD, 'YXZ');
    this.lens.updateProjectionMatrix();
    const ghost = this.ghost.visible;
    this.craft.visible = false;
    // One's own ghost right before the lens hides the picture that it is to help with.
    this.ghost.visible = ghost && this.ghost.position.distanceTo(this.lens.position) > CLEAR_OF_GHOST;
    this.render(this.lens, box, height);
    this.craft.visible = true;
    this.ghost.visible = ghost;
  }

  private drawEyes(drawn: Drawn, box: Box, height: number): number {
    const { pilot, world } = this.exercise;
    const at = new THREE.Vector3(pilot.east_m, pilot.up_m, -pilot.north_m);
    const craft = this.craft.position;
    this.eyes.fov = drawn.magnified ? EYES_ANGLE / MAGNIFIES : EYES_ANGLE;
    this.eyes.aspect = box.width / box.height;
    this.eyes.near = 0.1;
    this.eyes.far = 6000;
    this.eyes.position.copy(at);
    // The head follows the craft; right over the pilot it looks straight up.
    this.eyes.up.set(0, 1, 0);
    this.eyes.lookAt(craft.distanceTo(at) < 0.01 ? new THREE.Vector3(at.x, at.y, at.z - 1) : craft);
    this.eyes.updateProjectionMatrix();
    this.render(this.eyes, box, height);
    const angle = Math.atan((2 * world.craft.radius_m) / Math.max(0.1, craft.distanceTo(at))) / RAD;
    return (angle / this.eyes.fov) * box.height;
  }

  private render(camera: THREE.PerspectiveCamera, box: Box, height: number): void {
    this.renderer.setViewport(box.left, height - box.top - box.height, box.width, box.height);
    this.renderer.setScissor(box.left, height - box.top - box.height, box.width, box.height);
    this.renderer.render(this.scene, camera);
  }

  /** From this distance on the craft is a dot to the pilot's eyes, in a view so high, m. */
  readableTo(height: number): number {
    return (2 * this.exercise.world.craft.radius_m) / Math.tan(((READABLE * EYES_ANGLE) / height) * RAD);
  }

  dispose(): void {
    disposeScene(this.scene);
    this.renderer.dispose();
  }
}

export type Box = { left: number; top: number; width: number; height: number };

/** Where the two views lie on the canvas: side by side where it is wide, one above the other where it is tall. */
export function boxes(eye: Eye, width: number, height: number, aspect: number): [Box | null, Box | null] {
  const whole = { left: 0, top: 0, width, height };
  if (eye === 'eyes') return [null, whole];
  const framed = (box: Box): Box => {
    const wide = Math.min(box.width, box.height * aspect);
    const high = wide / aspect;
    return {
      left: box.left + (box.width - wide) / 2,
      top: box.top + (box.height - high) / 2,
      width: wide,
      height: high,
    };
  };
  if (eye === 'lens') return [framed(whole), null];
  const wide = width >= height * 1.2;
  const half = wide ? { ...whole, width: width / 2 } : { ...whole, height: height / 2 };
  const other = wide
    ? { left: width / 2 + 2, top: 0, width: width / 2 - 2, height }
    : { left: 0, top: height / 2 + 2, width, height: height / 2 - 2 };
  return [framed(half), other];
}

/** A small craft with four arms: dark aft, bright at the nose, so that its heading can be read while it can be read at all. */
function craftModel(radius: number, opacity: number): THREE.Group {
  const group = new THREE.Group();
  const look = (color: number) => new THREE.MeshLambertMaterial({ color, transparent: opacity < 1, opacity });
  const body = new THREE.Mesh(
    new THREE.BoxGeometry(radius * 0.7, radius * 0.4, radius * 1.3),
    look(0x2a2748),
  );
  const nose = new THREE.Mesh(
    new THREE.BoxGeometry(radius * 0.5, radius * 0.34, radius * 0.3),
    look(0xf0a020),
  );
  nose.position.set(0, -radius * 0.05, -radius * 0.75);
  group.add(body, nose);
  for (const [x, z] of [
    [-1, -1],
    [1, -1],
    [-1, 1],
    [1, 1],
  ] as const) {
    const arm = new THREE.Mesh(
      new THREE.BoxGeometry(radius * 1.1, radius * 0.12, radius * 0.14),
      look(0x2a2748),
    );
    arm.position.set(x * radius * 0.42, 0, z * radius * 0.42);
    arm.rotation.y = x * z > 0 ? -Math.PI / 4 : Math.PI / 4;
    const disc = new THREE.Mesh(
      new THREE.CylinderGeometry(radius * 0.36, radius * 0.36, radius * 0.04, 20),
      look(z < 0 ? 0x8f86e0 : 0x5c5878),
    );
    disc.position.set(x * radius * 0.72, radius * 0.14, z * radius * 0.72);
    group.add(arm, disc);
  }
  return group;
}
