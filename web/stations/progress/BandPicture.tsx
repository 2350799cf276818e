// A standing over time: the band that it lies within, and the takes that it was learnt from as dots.
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { linear } from '~/pictures/scale';
import { day } from '~/units';

const EDGE = { left: 34, right: 14, top: 10, foot: 24 };
const HIGH = 320;

type Props = { standing: Schemas['Standing']; takes: Schemas['ProgressTake'][] };

export function BandPicture({ standing, takes }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const dots = takes.flatMap((take) => {
    const mark = (take.marks as Record<string, number>)[standing.id];
    return mark === undefined ? [] : [{ ...take, mark, time: Date.parse(take.at) }];
  });
  const band = standing.band.map((one) => ({ ...one, time: Date.parse(one.at) }));
  const [first, last] = [band[0]?.time ?? 0, band[band.length - 1]?.time ?? 1];
  const lowest = Math.min(40, ...dots.map((dot) => dot.mark));
  const foot = Math.max(-20, Math.floor(lowest / 20) * 20);
  const x = linear(first, Math.max(last, first + 1), EDGE.left, Math.max(EDGE.left + 1, width - EDGE.right));
  const y = linear(foot, 105, HIGH - EDGE.foot, EDGE.top);
  const rim = (sign: 1 | -1) => band.map((one) => [x(one.time), y(one.mean + sign * one.sure)] as const);
  const outline = [...rim(1), ...rim(-1).reverse()];
  const lines = [];
  for (let score = foot; score <= 100; score += 20) lines.push(score);
  return (
    <div ref={ref} className="w-full overflow-hidden" data-picture="standing">
      <svg
        width={width}
        height={HIGH}
        role="img"
        aria-label={`${standing.name} over ${dots.length} takes: now ${Math.round(standing.mean)}, give or take ${Math.round(standing.sure)}, ${standing.going}`}
        className="block text-ink-soft"
      >
        {lines.map((score) => (
          <g key={score}>
            <path d={`M${EDGE.left} ${y(score)}H${width - EDGE.right}`} stroke="var(--mesh)" />
            <text x={28} y={y(score) + 4} fontSize={12} textAnchor="end" className="figure">
              {score}
            </text>
          </g>
        ))}
        {band.length > 1 && (
          <>
            <path
              d={`M${outline.map((point) => point.join(' ')).join('L')}Z`}
              fill="var(--haze)"
              stroke="var(--petal)"
            />
            <path
              d={`M${band.map((one) => `${x(one.time)} ${y(one.mean)}`).join('L')}`}
              fill="none"
              stroke="var(--larkspur)"
              strokeWidth={2.5}
            />
          </>
        )}
        {dots.map((dot) => (
          <g key={dot.id} stroke="var(--pollen)" fill="var(--pollen)">
            <path d={`M${x(dot.time)} ${y(dot.mark - dot.uncertainty)}V${y(dot.mark + dot.uncertainty)}`} />
            <circle cx={x(dot.time)} cy={y(dot.mark)} r={3.2} stroke="none" />
          </g>
        ))}
        {band.length > 0 && (
          <>
            <text x={EDGE.left} y={HIGH - 6} fontSize={12}>
              {day(new Date(first).toISOString())}
            </text>
            {band.length > 1 && (
              <text x={width - EDGE.right} y={HIGH - 6} fontSize={12} textAnchor="end">
                {day(new Date(last).toISOString())}
              </text>
            )}
          </>
        )}
      </svg>
    </div>
  );
}
