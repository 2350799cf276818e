// Over the lens picture: the grid that was chosen, the edge of what is recorded, and whether it records.
import type { Box } from '~/stage/flightStage';
import { clock } from '~/units';
import type { Grid } from './wanted';

const LINES: Record<Grid, string> = {
  thirds: 'M.3333 0V1M.6667 0V1M0 .3333H1M0 .6667H1',
  diagonals: 'M0 0L1 1M0 1L1 0',
  middle: 'M.5 .44V.56M.46 .5H.54',
  none: '',
};

export function FrameLines({ box, grid, recording }: { box: Box; grid: Grid; recording: number | null }) {
  return (
    <div
      className="absolute pointer-events-none"
      style={{ left: box.left, top: box.top, width: box.width, height: box.height }}
    >
      <svg viewBox="0 0 1 1" preserveAspectRatio="none" className="size-full" aria-hidden="true">
        <path
          d={LINES[grid]}
          stroke="#fff"
          strokeOpacity={0.6}
          strokeWidth={1}
          fill="none"
          vectorEffect="non-scaling-stroke"
        />
        <rect
          x={0}
          y={0}
          width={1}
          height={1}
          fill="none"
          stroke={recording === null ? '#ffffff66' : '#f08a78'}
          strokeWidth={recording === null ? 1 : 6}
          vectorEffect="non-scaling-stroke"
        />
      </svg>
      <span className="absolute left-2 top-2 text-sm text-[#fff] bg-[#1e1b3acc] rounded-md px-2 py-1">
        Lens{recording === null ? ', not recording' : `, records ${clock(recording)}`}
      </span>
    </div>
  );
}
