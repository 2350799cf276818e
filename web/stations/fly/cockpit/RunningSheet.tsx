// The thumb sheet running past a now-line: the fingers as they are over the fingers as planned. Drawn on a canvas at every frame.
import { type Ref, useEffect, useImperativeHandle, useRef } from 'react';
import type { Travel } from '~/flight/recording';
import { useSize } from '~/kit/useSize';

const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'] as const;

/** Seconds that are shown before and after now. */
const BACK = 3;
const AHEAD = 5;

export type Sheet = {
  /** @param planAt  second of the plan that is now; null while it waits for the press of record */
  draw: (travel: Travel, steps: number, step: number, planAt: number | null) => void;
};

type Props = {
  ref: Ref<Sheet>;
  planned: Record<string, number[]>;
  /** Seconds between the samples of the plan. */
  every: number;
  /** Whether what is planned is shown. */
  shown: boolean;
};

export function RunningSheet({ ref, planned, every, shown }: Props) {
  const [box, size] = useSize<HTMLDivElement>();
  const canvas = useRef<HTMLCanvasElement>(null);
  const colours = useRef<Record<string, string>>({});
  useEffect(() => {
    const style = getComputedStyle(document.documentElement);
    for (const name of [...FINGERS, 'line', 'ink', 'ink-soft', 'card', 'brick'])
      colours.current[name] = style.getPropertyValue(`--${name}`).trim();
  }, []);
  useEffect(() => {
    if (canvas.current === null) return;
    canvas.current.width = size.width * devicePixelRatio;
    canvas.current.height = size.height * devicePixelRatio;
  }, [size.width, size.height]);

  useImperativeHandle(ref, () => ({
    draw: (travel, steps, step, planAt) => {
      const context = canvas.current?.getContext('2d');
      if (context == null || size.width === 0) return;
      const ratio = devicePixelRatio;
      context.setTransform(ratio, 0, 0, ratio, 0, 0);
      context.clearRect(0, 0, size.width, size.height);
      const lane = size.height / FINGERS.length;
      const left = 52;
      const x = (seconds: number) => left + ((seconds + BACK) / (BACK + AHEAD)) * (size.width - left);
      FINGERS.forEach((finger, k) => {
        const colour = colours.current[finger] ?? '#000';
        const middle = lane * (k + 0.5);
        const y = (value: number) => middle - value * lane * 0.42;
        context.strokeStyle = colours.current.line ?? '#ccc';
        context.lineWidth = 1;
        context.beginPath();
        context.moveTo(left, middle);
        context.lineTo(size.width, middle);
        context.stroke();
        context.fillStyle = colour;
        context.font = '13px "Schibsted Grotesk Variable", sans-serif';
        context.fillText(finger, 6, middle + 4);
        if (shown) {
          const values = planned[finger] ?? [];
          const from = planAt ?? 0;
          context.strokeStyle = colour;
          context.setLineDash([5, 3]);
          context.lineWidth = 1.5;
          context.beginPath();
          let drawn = false;
          for (let i = Math.max(0, Math.floor((from - BACK) / every)); i < values.length; i++) {
            const at = i * every - from;
            if (at > AHEAD) break;
            if (drawn) context.lineTo(x(at), y(values[i] ?? 0));
            else context.moveTo(x(at), y(values[i] ?? 0));
            drawn = true;
          }
          context.stroke();
          context.setLineDash([]);
        }
        context.strokeStyle = colour;
        context.lineWidth = 2.5;
        context.beginPath();
        const most = Math.round(BACK / step);
        for (let i = Math.max(0, steps - most); i < steps; i += 3) {
          const at = (i - steps + 1) * step;
          const value = (travel[finger][i] ?? 0) / 1000;
          if (i === Math.max(0, steps - most)) context.moveTo(x(at), y(value));
          else context.lineTo(x(at), y(value));
        }
        context.stroke();
        const now = (travel[finger][steps - 1] ?? 0) / 1000;
        context.fillStyle = colour;
        context.beginPath();
        context.arc(x(0), y(now), 4, 0, 2 * Math.PI);
        context.fill();
      });
      context.strokeStyle = colours.current.ink ?? '#000';
      context.lineWidth = 1;
      context.beginPath();
      context.moveTo(x(0), 0);
      context.lineTo(x(0), size.height);
      context.stroke();
    },
  }));

  return (
    <div ref={box} className="size-full min-h-0" data-picture="running-sheet">
      <canvas
        ref={canvas}
        className="block"
        style={{ width: size.width, height: size.height }}
        role="img"
        aria-label="The thumb sheet as it runs: dashed as planned, drawn out as you press it"
      />
    </div>
  );
}
