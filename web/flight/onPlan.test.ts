import { PerspectiveCamera, Vector3 } from 'three';
import { describe, expect, it } from 'vitest';
import { craftAt, inFrame, subjectAt } from './onPlan';

const plan = {
  samples: {
    t: [0, 0.1, 0.2],
    east_m: [0, 1, 2],
    north_m: [0, 0, 0],
    up_m: [5, 5, 6],
    heading_deg: [0, 10, 20],
    tilt_deg: [0, 0, 0],
  },
  subject_way: { east_m: [0, 0, 0], north_m: [10, 12, 14], up_m: [1, 1, 1] },
  subject: { east_m: 0, north_m: 10, up_m: 1, ground_m: 0.5 },
} as unknown as Parameters<typeof craftAt>[0];

describe('a plan at a time', () => {
  it('lies between its samples, and rests at its ends', () => {
    expect(craftAt(plan, 0.05)).toMatchObject({ x: 0.5, heading: 5 });
    expect(craftAt(plan, 9)).toMatchObject({ x: 2, z: 6 });
    expect(craftAt(plan, -1)).toMatchObject({ x: 0 });
  });

  it('has its subject where it goes, facing the way it goes', () => {
    expect(subjectAt(plan, 0.1)).toMatchObject({ x: 0, y: 12, z: 0.5, heading: 0 });
  });

  it('sees a point where the 3D world draws it, to a pixel of 1920', () => {
    const camera = { hfov_deg: 71.6, vfov_deg: 0, aspect: 16 / 9 };
    const half = Math.tan((71.6 * Math.PI) / 360);
    const three = new PerspectiveCamera(
      (2 * Math.atan(half / camera.aspect) * 180) / Math.PI,
      camera.aspect,
      0.05,
      6000,
    );
    for (const [heading, tilt, x, y, z] of [
      [0, 0, 3, 20, 9],
      [137, -31, 12, -9, 1.5],
      [-60, 15, -30, 22, 14],
    ] as const) {
      const eye = { x: 1, y: -2, z: 8, heading };
      three.position.set(eye.x, eye.z, -eye.y);
      three.rotation.set((tilt * Math.PI) / 180, (-heading * Math.PI) / 180, 0, 'YXZ');
      three.updateMatrixWorld(true);
      const drawn = new Vector3(x, z, -y).project(three);
      const seen = inFrame(camera, eye, tilt, { x, y, z });
      expect(seen).not.toBeNull();
      if (seen === null) continue;
      expect(Math.abs(seen.u - (drawn.x + 1) / 2) * 1920).toBeLessThan(0.5);
      expect(Math.abs(seen.v - (1 - drawn.y) / 2) * 1080).toBeLessThan(0.5);
    }
    expect(inFrame(camera, { x: 0, y: 0, z: 5, heading: 0 }, 0, { x: 0, y: -10, z: 5 })).toBeNull();
  });
});
