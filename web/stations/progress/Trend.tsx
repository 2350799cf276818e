// Scores over time: each take a dot with its uncertainty, and the median of five as a line.
import type { Schemas } from '~/api/client';
import { useSize } from '~/kit/useSize';
import { linear, through } from '~/pictures/scale';
import { day } from '~/units';

export function Trend({ takes }: { takes: Schemas['Take'][] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const height = 150;
  const inOrder = [...takes].reverse();
  const times = inOrder.map((take) => Date.parse(take.flown_at));
  const x = linear(
    times[0] ?? 0,
    Math.max((times.at(-1) ?? 1) as number, (times[0] ?? 0) + 1),
    34,
    width - 14,
  );
  const y = linear(0, 100, height - 22, 10);
  const operators = [...new Set(inOrder.map((take) => take.operator.id))];
  const lines = operators.map((id): { id: number; points: [number, number][] } => {
    const own = inOrder.filter((take) => take.operator.id === id);
    const points = own.flatMap((take, i): [number, number][] => {
      if (i < 4) return [];
      const five = own
        .slice(i - 4, i + 1)
        .map((item) => item.score)
        .sort((a, b) => a - b);
      return [[x(Date.parse(take.flown_at)), y(five[2] ?? 0)]];
    });
    return { id, points };
  });
  return (
    <div ref={ref} className="w-full" data-picture="trend">
      <svg
        width={width}
        height={height}
        role="img"
        aria-label={`Scores of ${inOrder.length} takes over time`}
        className="block text-ink-soft"
      >
        {[0, 20, 40, 60, 80, 100].map((score) => (
          <g key={score}>
            <path
              d={`M34 ${y(score)}H${width - 14}`}
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
        {inOrder.map((take) => {
          const cx = x(Date.parse(take.flown_at));
          return (
            <g key={take.id}>
              <path
                d={`M${cx} ${y(Math.min(100, take.score + take.uncertainty))}V${y(Math.max(0, take.score - take.uncertainty))}`}
                stroke="var(--petal)"
              />
              <circle cx={cx} cy={y(take.score)} r={3.2} fill="var(--petal)" />
            </g>
          );
        })}
        {lines.map((line) => (
          <path
            key={line.id}
            d={through(line.points)}
            fill="none"
            stroke="var(--larkspur)"
            strokeWidth={operators.length > 1 ? 1.4 : 2.4}
          />
        ))}
        <text x={34} y={height - 6} fontSize={11}>
          {inOrder[0] ? day(inOrder[0].flown_at) : ''}
        </text>
        <text x={width - 14} y={height - 6} fontSize={11} textAnchor="end">
          {inOrder.at(-1) ? day(inOrder.at(-1)?.flown_at ?? '') : ''}
        </text>
      </svg>
    </div>
  );
}
