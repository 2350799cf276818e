// The site sheet, small: what stands there, the way as planned, where the craft is and which way it looks. North is up.
import { type Ref, useEffect, useImperativeHandle, useRef } from 'react';
import type { Place } from '~/flight/onPlan';
import { useSize } from '~/kit/useSize';
import type { Exercise } from './practiceStore';

export type SmallSite = {
  draw: (craft: Place, ghost: Place | null, subject: Place | null) => void;
};

const NAMES = ['line', 'ink', 'larkspur', 'pollen', 'solid', 'brick', 'leaf', 'petal', 'paper'];

export function SmallSiteSheet({ ref, exercise }: { ref: Ref<SmallSite>; exercise: Exercise }) {
  const [box, size] = useSize<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const colours = useRef<Record<string, string>>({});
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    for (const name of NAMES) colours.current[name] = style.getPropertyValue(`--${name}`).trim();
  }, []);
  useEffect(() => {
    if (canvas.current === null) return;
    canvas.current.width = size.width * devicePixelRatio;
    canvas.current.height = size.height * devicePixelRatio;
  }, [size.width, size.height]);

  useImperativeHandle(ref, () => ({
    draw: (craft, ghost, subject) => {
      const context = canvas.current?.getContext('2d');
      if (context == null || size.width === 0) return;
      const { samples } = exercise.plan;
      const { pilot, world } = exercise;
      const easts = [...samples.east_m, pilot.east_m, craft.x];
      const norths = [...samples.north_m, pilot.north_m, craft.y];
      const [w, e, s, n] = [Math.min(...easts), Math.max(...easts), Math.min(...norths), Math.max(...norths)];
      const reach = 1.25 * Math.max((e - w) / size.width, (n - s) / size.height, 6 / size.height);
      const x = (east: number) => size.width / 2 + (east - (w + e) / 2) / reach;
      const y = (north: number) => size.height / 2 - (north - (s + n) / 2) / reach;
      const colour = (name: string) => colours.current[name] ?? '#000';
      context.setTransform(devicePixelRatio, 0, 0, devicePixelRatio, 0, 0);
      context.clearRect(0, 0, size.width, size.height);
      context.fillStyle = colour('solid');
      context.strokeStyle = colour('solid');
      context.lineWidth = 3;
      for (const one of world.uprights) {
        context.beginPath();
        for (const [east = 0, north = 0] of one.ring) context.lineTo(x(east), y(north));
        context.closePath();
        context.fill();
        // A pole is thinner than a pixel here and no less hard.
        context.stroke();
      }
      context.strokeStyle = colour('brick');
      context.lineWidth = 1;
      for (const one of world.lines) {
        context.beginPath();
        for (const [east = 0, north = 0] of one.points) context.lineTo(x(east), y(north));
        context.stroke();
      }
      if (exercise.judged) {
        context.strokeStyle = colour('larkspur');
        context.lineWidth = 1.5;
        context.beginPath();
        samples.east_m.forEach((east, k) => {
          context.lineTo(x(east), y(samples.north_m[k] ?? 0));
        });
        context.stroke();
      }
      dot(context, x(pilot.east_m), y(pilot.north_m), 4, colour('leaf'));
      if (subject !== null) dot(context, x(subject.x), y(subject.y), 4, colour('brick'));
      if (ghost !== null) dot(context, x(ghost.x), y(ghost.y), 4, colour('petal'));
      const rad = (craft.heading * Math.PI) / 180;
      context.save();
      context.translate(x(craft.x), y(craft.y));
      context.rotate(rad);
      context.fillStyle = colour('pollen');
      context.beginPath();
      context.moveTo(0, -9);
      context.lineTo(6, 6);
      context.lineTo(0, 3);
      context.lineTo(-6, 6);
      context.fill();
      context.restore();
    },
  }));

  return (
    <div ref={box} className="size-full min-h-0">
      <canvas
        ref={canvas}
        className="block"
        style={{ width: size.width, height: size.height }}
        role="img"
        aria-label="Where the craft is on the site"
      />
    </div>
  );
}

function dot(context: CanvasRenderingContext2D, x: number, y: number, r: number, colour: string): void {
  context.fillStyle = colour;
  context.beginPath();
  context.arc(x, y, r, 0, 2 * Math.PI);
  context.fill();
}
