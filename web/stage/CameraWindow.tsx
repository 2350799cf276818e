// Camera window: what the lens sees at a moment, in 3D, from the plan's own place, heading and tilt. Simple solids, ground, water, wires
// and sky; over it thirds or diagonals, and the part of the frame that is left after a crop. Loaded only where it is opened.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { Choice } from '~/kit/Choice';
import { clock } from '~/units';
import TakeView from './TakeView';

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
  const [grid, setGrid] = useState<Grid>('thirds');
  const line = { stroke: 'var(--card)', strokeOpacity: 0.75, strokeWidth: 1 };
  return (
    <div className="grid grid-rows-[1fr_auto] gap-2 size-full min-h-0 p-3" data-picture="camera-window">
      <TakeView
        plan={plan}
        site={site}
        ground={ground}
        samples={plan.samples}
        time={time ?? plan.phases.onset_s}
        label="What the lens sees"
      >
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
      </TakeView>
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
