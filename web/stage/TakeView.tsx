// A flight, planned or flown, seen through its lens at a moment; what is drawn over the picture is given to it.
import { type ReactNode, useEffect, useRef, useState } from 'react';
import * as THREE from 'three';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { indexAt } from '~/pictures/scale';
import { disposeScene, siteScene } from './siteScene';

type Props = {
  plan: Pick<Schemas['Plan'], 'camera' | 'subject'>;
  site: Schemas['SiteDocument'];
  /** East, north and height of a grid, where the ground was described; none where it is level. */
  ground: number[][];
  samples: Schemas['Samples'];
  time: number;
  label?: string;
  children?: ReactNode;
};

export default function TakeView({
  plan,
  site,
  ground,
  samples,
  time,
  label = 'What the lens saw',
  children,
}: Props) {
  const [box, size] = useSize<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const renderer = useRef<THREE.WebGLRenderer>(null);
  const scene = useRef<THREE.Scene>(null);
  const [blind, setBlind] = useState(false);
  const { camera, subject } = plan;
  const { aspect, vfov_deg } = camera;
  const width = Math.max(1, Math.min(size.width, size.height * aspect));
  const height = width / aspect;

  useEffect(() => {
    if (canvas.current === null) return;
    try {
      renderer.current = new THREE.WebGLRenderer({ canvas: canvas.current, antialias: true });
    } catch {
      setBlind(true);
    }
    return () => {
      renderer.current?.dispose();
      renderer.current = null;
    };
  }, []);

  useEffect(() => {
    const made = siteScene(site, ground, subject);
    scene.current = made;
    return () => disposeScene(made);
  }, [site, ground, subject]);

  // Drawn once for each flight, moment and size; nothing runs while nothing changes.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new scene has to be drawn too
  useEffect(() => {
    if (renderer.current === null || scene.current === null) return;
    const at = indexAt(samples.t, time);
    const lens = new THREE.PerspectiveCamera(vfov_deg, aspect, 0.05, 6000);
    lens.position.set(samples.east_m[at] ?? 0, samples.up_m[at] ?? 0, -(samples.north_m[at] ?? 0));
    lens.rotation.set(
      ((samples.tilt_deg[at] ?? 0) * Math.PI) / 180,
      (-(samples.heading_deg[at] ?? 0) * Math.PI) / 180,
      0,
      'YXZ',
    );
    renderer.current.setSize(width, height, false);
    renderer.current.render(scene.current, lens);
  }, [samples, site, ground, subject, time, width, height, aspect, vfov_deg]);

  return (
    <div ref={box} className="size-full min-h-0 min-w-0 grid place-items-center overflow-hidden">
      {blind ? (
        <p>This browser draws no 3D; the sheets tell it too.</p>
      ) : (
        <div className="relative" style={{ width, height }}>
          <canvas ref={canvas} className="absolute inset-0 size-full" role="img" aria-label={label} />
          {children}
        </div>
      )}
    </div>
  );
}
