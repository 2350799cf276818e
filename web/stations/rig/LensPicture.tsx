// A small picture of a plain moor with posts, as the lens would see it where the stepped craft is: so that a rate is seen and not
// only read.
import { useEffect, useRef } from 'react';
import type { State } from '~/flight/sheet';

type Props = { state: State; hfov: number; aspect: number; label: string };

/** Posts of the moor: a wide grid, and one tall stone ahead to fix the eye on. */
const POSTS: [number, number, number][] = [];
for (let x = -95; x <= 95; x += 10) for (let y = -90; y <= 90; y += 10) POSTS.push([x, y, 1.4]);
const STONE: [number, number, number] = [0, 22, 5];
const EYE = 7;

export function LensPicture({ state, hfov, aspect, label }: Props) {
  const ref = useRef<HTMLCanvasElement>(null);
  useEffect(() => {
    const canvas = ref.current;
    const context = canvas?.getContext('2d');
    if (canvas === null || context == null) return;
    const width = canvas.clientWidth * devicePixelRatio;
    const height = width / aspect;
    if (canvas.width !== width) {
      canvas.width = width;
      canvas.height = height;
    }
    const style = getComputedStyle(canvas);
    const colour = (name: string) => style.getPropertyValue(name);
    const half = Math.tan((hfov * Math.PI) / 360);
    const heading = (state.heading * Math.PI) / 180;
    const tilt = (state.look * Math.PI) / 180;
    // Pinhole: into the lens's own axes, then divided by the depth.
    const project = (x: number, y: number, z: number): [number, number, number] => {
      const dx = x - state.x;
      const dy = y - state.y;
      const dz = z - state.z - EYE;
      const ahead = dx * Math.sin(heading) + dy * Math.cos(heading);
      const right = dx * Math.cos(heading) - dy * Math.sin(heading);
      const depth = ahead * Math.cos(tilt) + dz * Math.sin(tilt);
      const up = dz * Math.cos(tilt) - ahead * Math.sin(tilt);
      return [(0.5 + right / depth / half / 2) * width, height / 2 - (up / depth / half / 2) * width, depth];
    };
    const horizon = height / 2 + (Math.tan(tilt) / half / 2) * width;
    context.fillStyle = colour('--sky');
    context.fillRect(0, 0, width, height);
    context.fillStyle = colour('--ground');
    context.fillRect(0, Math.max(0, Math.min(height, horizon)), width, height);
    for (const [x, y, tall] of [...POSTS, STONE]) {
      const [u, foot, depth] = project(x, y, 0);
      const [, top, upper] = project(x, y, tall);
      if (depth < 1 || upper < 1 || u < -60 || u > width + 60) continue;
      context.fillStyle = tall > 2 ? colour('--larkspur') : colour('--solid');
      const wide = Math.max(1.5, ((tall > 2 ? 1.6 : 0.35) / depth / half / 2) * width);
      context.fillRect(u - wide / 2, top, wide, foot - top);
    }
  }, [state, hfov, aspect]);
  return (
    <canvas
      ref={ref}
      role="img"
      aria-label={label}
      className="w-full rounded-md border border-line block"
      style={{ aspectRatio: aspect }}
    />
  );
}
