// Frame strip: six small pictures along the move, each with horizon, thirds, the wanted mark and every solid as the lens
// sees it. Every corner is the server's projection; here fractions of the frame only become pixels.

import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { clock } from '~/units';

type Props = {
  frames: Schemas['Frame'][];
  aspect: number;
  time?: number | null;
  onTime?: (time: number) => void;
};

export function FrameStrip({ frames, aspect, onTime }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const gap = 9;
  const w = Math.max(60, (width - gap * (frames.length - 1)) / frames.length);
  return (
    <div ref={ref} className="flex gap-[9px] min-w-0" data-picture="frame-strip">
      {frames.map((frame, index) => (
        <button
          // biome-ignore lint/suspicious/noArrayIndexKey: the first picture stays the first, whatever its time
          key={index}
          type="button"
          className="block text-left cursor-pointer p-0 bg-transparent border-0"
          style={{ width: w }}
          onClick={() => onTime?.(frame.t)}
          aria-label={`Picture ${index + 1} of ${frames.length}, at ${clock(frame.t)}`}
        >
          <SmallFrame frame={frame} width={w} height={w / aspect} />
          <span className="figure text-sm text-ink-soft">{clock(frame.t)}</span>
        </button>
      ))}
    </div>
  );
}

const SUBJECT = { fill: 'var(--ink)', stroke: 'var(--card)' };

/** A wire. */
const LINE = { stroke: 'var(--brick)', strokeWidth: 1.2 };

/** Corners of outlines are told in so many parts of the frame. */
const GRAIN = 10_000;

/** An outline as an SVG list of points, in tenths of a pixel. */
function pointsOf(outline: number[][], width: number, height: number): string {
  const tenth = (pixels: number) => Math.round(10 * pixels) / 10;
  return outline
    .map(([u = 0, v = 0]) => `${tenth((u / GRAIN + 0.5) * width)},${tenth((0.5 - v / GRAIN) * height)}`)
    .join(' ');
}

export function SmallFrame({
  frame,
  width,
  height,
}: {
  frame: Schemas['Frame'];
  width: number;
  height: number;
}) {
  const px = (u: number) => (u + 0.5) * width;
  const py = (v: number) => (0.5 - v) * height;
  const horizon = Math.max(0, Math.min(height, py(frame.horizon)));
  return (
    <svg
      width={width}
      height={height}
      className="block overflow-hidden rounded-[2px]"
      data-frame={frame.t}
      aria-hidden="true"
    >
      <rect width={width} height={height} fill="var(--ground)" />
      <rect width={width} height={horizon} fill="var(--sky)" />
      <g fill="var(--solid)" stroke="var(--ground)" strokeWidth={0.5}>
        {frame.solids.map((solid, index) => (
          <polygon
            // By place, far to near: with every drag things change places, and an element kept costs less than one made anew.
            // biome-ignore lint/suspicious/noArrayIndexKey: one thing may have several outlines
            key={index}
            data-solid={solid.id}
            points={pointsOf(solid.outline, width, height)}
            {...(solid.subject ? SUBJECT : solid.outline.length < 3 ? LINE : undefined)}
          />
        ))}
      </g>
      <g stroke="var(--card)" strokeOpacity={0.65}>
        <path
          d={`M${width / 3} 0V${height}M${(2 * width) / 3} 0V${height}M0 ${height / 3}H${width}M0 ${(2 * height) / 3}H${width}`}
        />
      </g>
      {frame.mark && (
        <circle
          data-role="mark"
          cx={px(frame.mark[0] ?? 0)}
          cy={py(frame.mark[1] ?? 0)}
          r={4}
          fill="none"
          stroke="var(--pollen)"
          strokeWidth={1.6}
        />
      )}
      <rect x={0.5} y={0.5} width={width - 1} height={height - 1} fill="none" stroke="var(--ink)" />
    </svg>
  );
}
