// Camera window: what the lens sees at a moment, in 3D, from the plan's own place, heading and tilt. Simple solids, ground, water, wires
// and sky; over it thirds or diagonals, and the part of the frame that is left after a crop. Loaded only where it is opened.
import { useEffect, useRef, useState } from 'react';
import * as THREE from 'three';
import type { Schemas } from '~/api/client';
import { Choice } from '~/kit/Choice';
import { useSize } from '~/kit/useSize';
import { indexAt } from '~/pictures/scale';
import { clock } from '~/units';
import { siteScene } from './siteScene';

type Props = {
  plan: Schemas['Plan'];
  site: Schemas['SiteDocument'];
  /** East, north and height of a grid, where the ground was described. */
  ground: number[][];
  time: number | null;
  onTime: (time: number) => void;
  /** Share of the frame that is delivered where nothing is rescued. */
  safe: number | null;
};

type Grid = 'thirds' | 'diagonals' | 'none';

export default function CameraWindow({ plan, site, ground, time, onTime, safe }: Props) {
  const [box, size] = useSize<HTMLDivElement>();
  const [grid, setGrid] = useState<Grid>('thirds');
  const stage = useRef<{ renderer: THREE.WebGLRenderer; camera: THREE.PerspectiveCamera } | null>(null);
  const scene = useRef<THREE.Scene | null>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { aspect, vfov_deg } = plan.camera;
  const width = Math.max(1, Math.min(size.width, size.height * aspect));
  const height = width / aspect;

  useEffect(() => {
    if (canvas.current === null) return;
    const renderer = new THREE.WebGLRenderer({ canvas: canvas.current, antialias: true });
    stage.current = { renderer, camera: new THREE.PerspectiveCamera() };
    return () => {
      stage.current = null;
      renderer.dispose();
    };
  }, []);

  useEffect(() => {
    const made = siteScene(site, ground, plan.subject);
    scene.current = made;
    return () => {
      made.traverse((node) => {
        if (node instanceof THREE.Mesh || node instanceof THREE.Line) {
          node.geometry.dispose();
          for (const material of [node.material].flat()) material.dispose();
        }
      });
    };
  }, [site, ground, plan.subject]);

  // Drawn once for each plan, moment and size; nothing runs while nothing changes.
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new scene has to be drawn too
  useEffect(() => {
    if (stage.current === null || scene.current === null) return;
    const { renderer, camera } = stage.current;
    const at = indexAt(plan.samples.t, time ?? plan.phases.onset_s);
    camera.fov = vfov_deg;
    camera.aspect = aspect;
    camera.near = 0.05;
    camera.far = 6000;
    camera.rotation.order = 'YXZ';
    camera.position.set(
      plan.samples.east_m[at] ?? 0,
      plan.samples.up_m[at] ?? 0,
      -(plan.samples.north_m[at] ?? 0),
    );
    camera.rotation.set(
      ((plan.samples.tilt_deg[at] ?? 0) * Math.PI) / 180,
      (-(plan.samples.heading_deg[at] ?? 0) * Math.PI) / 180,
      0,
    );
    camera.updateProjectionMatrix();
    renderer.setSize(width, height, false);
    renderer.render(scene.current, camera);
  }, [plan, site, ground, time, width, height, aspect, vfov_deg]);

  const line = { stroke: 'var(--card)', strokeOpacity: 0.75, strokeWidth: 1 };
  return (
    <div className="grid grid-rows-[1fr_auto] gap-2 size-full min-h-0 p-3" data-picture="camera-window">
      <div ref={box} className="grid place-items-center min-h-0 min-w-0 overflow-hidden">
        <div className="relative" style={{ width, height }}>
          <canvas ref={canvas} className="absolute inset-0 size-full" aria-label="What the lens sees" />
          <svg
            viewBox="0 0 1 1"
            preserveAspectRatio="none"
            className="absolute inset-0 size-full"
            aria-hidden="true"
          >
            <g vectorEffect="non-scaling-stroke">
              {grid === 'thirds' && (
                <path
                  d="M.3333 0V1M.6667 0V1M0 .3333H1M0 .6667H1"
                  {...line}
                  vectorEffect="non-scaling-stroke"
                />
              )}
              {grid === 'diagonals' && (
                <path d="M0 0L1 1M0 1L1 0" {...line} vectorEffect="non-scaling-stroke" />
              )}
              {safe !== null && safe < 1 && (
                <rect
                  x={(1 - safe) / 2}
                  y={(1 - safe) / 2}
                  width={safe}
                  height={safe}
                  fill="none"
                  stroke="var(--pollen)"
                  strokeWidth={1.5}
                  strokeDasharray="6 4"
                  vectorEffect="non-scaling-stroke"
                />
              )}
            </g>
          </svg>
        </div>
      </div>
      <div className="flex flex-wrap gap-3 items-end">
        <label className="grow grid gap-1 text-sm">
          <span>
            Moment <span className="figure">{clock(time ?? plan.phases.onset_s)}</span>
          </span>
          <input
            type="range"
            className="w-full h-6 accent-larkspur"
            min={0}
            max={plan.phases.duration_s}
            step={0.1}
            value={time ?? plan.phases.onset_s}
            onChange={(event) => onTime(Number(event.target.value))}
          />
        </label>
        {safe !== null && safe < 1 && (
          <span className="text-sm text-ink-soft min-h-11 content-center">dashed: what is delivered</span>
        )}
        <div className="w-64">
          <Choice
            label="Lines over the picture"
            hideLabel
            value={grid}
            onChange={setGrid}
            options={[
              { value: 'thirds', label: 'Thirds' },
              { value: 'diagonals', label: 'Diagonals' },
              { value: 'none', label: 'None' },
            ]}
          />
        </div>
      </div>
    </div>
  );
}
