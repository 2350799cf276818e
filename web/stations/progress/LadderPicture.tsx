// The ladder as it grows: steps in rows, those that need nothing at the foot, each with its state as a petal that fills, a word, and the
// lines to what has to be passed before it.
import { useMemo } from 'react';
import { useSize } from '~/kit/useSize';
import { StepPetal, type StepState } from '~/pictures/StepPetal';

export type Rung = {
  id: string;
  name: string;
  rank: number;
  needs: string[];
  state: StepState;
  stateName: string;
  share: number;
};

type Props = { steps: Rung[]; chosen: string | undefined; onChoose: (id: string) => void };

const WIDE = 142;
const HIGH = 62;
const GAP = { across: 8, up: 30 };

/** Rows from the foot up, a rank that is too wide in several. */
function rowsOf(steps: Rung[], across: number): Rung[][] {
  const rows: Rung[][] = [];
  const top = Math.max(0, ...steps.map((step) => step.rank));
  for (let rank = 0; rank <= top; rank++) {
    const rung = steps.filter((step) => step.rank === rank);
    const parts = Math.ceil(rung.length / across);
    const each = Math.ceil(rung.length / Math.max(1, parts));
    for (let k = 0; k < rung.length; k += each) rows.push(rung.slice(k, k + each));
  }
  return rows;
}

export function LadderPicture({ steps, chosen, onChoose }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const across = Math.max(1, Math.floor((width + GAP.across) / (WIDE + GAP.across)));
  const { places, height } = useMemo(() => {
    const rows = rowsOf(steps, across);
    const tall = rows.length * (HIGH + GAP.up) - GAP.up;
    const at = new Map<string, { x: number; y: number }>();
    rows.forEach((row, k) => {
      const used = row.length * (WIDE + GAP.across) - GAP.across;
      row.forEach((step, i) => {
        at.set(step.id, {
          x: (width - used) / 2 + i * (WIDE + GAP.across),
          y: tall - HIGH - k * (HIGH + GAP.up),
        });
      });
    });
    return { places: at, height: tall };
  }, [steps, across, width]);
  return (
    <div ref={ref} className="relative" style={{ height }} data-picture="ladder">
      {width > 0 && (
        <svg width={width} height={height} className="absolute inset-0" aria-hidden>
          {steps.flatMap((step) =>
            step.needs.map((need) => {
              const [from, to] = [places.get(need), places.get(step.id)];
              if (!from || !to) return null;
              const [x0, y0, x1, y1] = [from.x + WIDE / 2, from.y, to.x + WIDE / 2, to.y + HIGH];
              const bend = Math.max(14, (y0 - y1) / 2);
              const near = step.id === chosen || need === chosen;
              return (
                <path
                  key={`${need} ${step.id}`}
                  d={`M${x0} ${y0}C${x0} ${y0 - bend} ${x1} ${y1 + bend} ${x1} ${y1}`}
                  fill="none"
                  stroke={near ? 'var(--larkspur)' : 'var(--mesh)'}
                  strokeWidth={near ? 2.5 : 1.2}
                />
              );
            }),
          )}
        </svg>
      )}
      <ul className="m-0 p-0 list-none" aria-label="Steps of the ladder">
        {steps.map((step) => {
          const at = places.get(step.id);
          return (
            at && (
              <li key={step.id} className="absolute" style={{ left: at.x, top: at.y }}>
                <button
                  type="button"
                  onClick={() => onChoose(step.id)}
                  aria-pressed={step.id === chosen}
                  data-step={step.id}
                  data-state={step.state}
                  title={step.name}
                  style={{ width: WIDE, height: HIGH }}
                  className={`grid grid-cols-[22px_1fr] gap-1 items-center px-1.5 text-left rounded-md border cursor-pointer ${
                    step.id === chosen ? 'border-larkspur border-2 bg-haze' : 'border-line bg-card'
                  } ${step.state === 'closed' ? 'border-dashed text-ink-soft' : ''}`}
                >
                  <StepPetal state={step.state} share={step.share} />
                  <span className="min-w-0">
                    <span className="text-[13px] leading-tight line-clamp-2 font-semibold">{step.name}</span>
                    <span className="block text-[13px] leading-tight text-ink-soft truncate">
                      {step.stateName}
                    </span>
                  </span>
                </button>
              </li>
            )
          );
        })}
      </ul>
    </div>
  );
}
