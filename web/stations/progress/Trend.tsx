// Scores over time: each take a dot with its uncertainty, and for each operator the line of their medians.
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { around, placeLabels } from '~/pictures/labels';
import { linear, through } from '~/pictures/scale';
import { day } from '~/units';

const EDGE = { left: 34, right: 64 };

export function Trend({ trends }: { trends: Schemas['Trend'][] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const height = 150;
  const all = trends.flatMap((trend) => trend.points);
  const times = all.map((point) => Date.parse(point.flown_at));
  const [first, last] = [Math.min(...times), Math.max(...times)];
  const right = width - (trends.length > 1 ? EDGE.right : 14);
  const x = linear(first, Math.max(last, first + 1), EDGE.left, right);
  const y = linear(0, 100, height - 22, 10);
  const at = (point: { flown_at: string }) => x(Date.parse(point.flown_at));
  const lines = trends.map((trend) => ({
    name: trend.operator.split(' ')[0] ?? '',
    points: trend.points.flatMap((point): [number, number][] =>
      point.median === null ? [] : [[at(point), y(point.median)]],
    ),
  }));
  const names = placeLabels(
    lines.flatMap(({ name, points }) => {
      const end = points.at(-1);
      return end && trends.length > 1 ? [{ text: name, of: around(end[0], end[1], 2) }] : [];
    }),
    all.map((point) => around(at(point), y(point.score), 3)),
    width,
    height,
    6.2,
  );
  return (
    <div ref={ref} className="w-full overflow-hidden" data-picture="trend">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Scores of ${all.length} takes over time`}
        className="block text-ink-soft"
      >
        {[0, 20, 40, 60, 80, 100].map((score) => (
          <g key={score}>
            <path
              d={`M${EDGE.left} ${y(score)}H${right}`}
              stroke={score === 80 ? 'var(--leaf)' : 'var(--mesh)'}
              strokeDasharray={score === 80 ? '4 4' : undefined}
            />
            <text x={28} y={y(score) + 4} fontSize={11} textAnchor="end" className="figure">
              {score}
            </text>
          </g>
        ))}
        <text className="halo" x={40} y={y(80) - 4} fontSize={11} fill="var(--leaf)">
          keep
        </text>
        {all.map((point) => (
          <g key={point.take} fill="var(--petal)" stroke="var(--petal)">
            <path
              d={`M${at(point)} ${y(Math.min(100, point.score + point.uncertainty))}V${y(Math.max(0, point.score - point.uncertainty))}`}
            />
            <circle cx={at(point)} cy={y(point.score)} r={3} stroke="none" />
          </g>
        ))}
        {lines.map((line) => (
          <path
            key={line.name}
            d={through(line.points)}
            fill="none"
            stroke="var(--larkspur)"
            strokeWidth={trends.length > 1 ? 1.6 : 2.4}
          />
        ))}
        {names.map((name) => (
          <text key={name.text} className="halo" x={name.x} y={name.y} fontSize={12} fill="var(--ink)">
            {name.text}
          </text>
        ))}
        <text x={EDGE.left} y={height - 6} fontSize={11}>
          {all.length > 0 ? day(new Date(first).toISOString()) : ''}
        </text>
        <text x={right} y={height - 6} fontSize={11} textAnchor="end">
          {all.length > 0 ? day(new Date(last).toISOString()) : ''}
        </text>
      </svg>
    </div>
  );
}
