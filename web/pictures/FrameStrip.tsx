// Frame strip: six small pictures along the move, each with horizon, thirds, the wanted mark and every solid as the lens
// sees it. Every corner is the server's projection; here fractions of the frame only become pixels.
import { memo } from 'react';
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { clock } from '~/units';

type Props = {
  frames: Schemas['Frame'][];
  aspect: number;
  time?: number | null;
  onTime?: (time: number) => void;
};

export const FrameStrip = memo(function FrameStrip({ frames, aspect, onTime }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const gap = 9;
  const w = Math.max(60, (width - gap * (frames.length - 1)) / frames.length);
  return (
    <div ref={ref} className="flex gap-[9px] min-w-0" data-picture="frame-strip">
      {frames.map((frame, index) => (
        <button
          key={frame.t}
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
});

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
      {frame.solids.map((solid, index) => (
        <polygon
          // biome-ignore lint/suspicious/noArrayIndexKey: one thing may have several outlines
          key={`${solid.id} ${index}`}
          data-solid={solid.id}
          points={solid.outline
            .map(([u, v]) => `${px(u ?? 0).toFixed(2)},${py(v ?? 0).toFixed(2)}`)
            .join(' ')}
          fill={solid.subject ? 'var(--ink)' : 'var(--solid)'}
          stroke={solid.outline.length < 3 ? 'var(--brick)' : solid.subject ? 'var(--card)' : 'var(--ground)'}
          strokeWidth={solid.outline.length < 3 ? 1.2 : 0.5}
        />
      ))}
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
