// Curve card: finger travel against what the craft or the camera does, in its own unit.
import { useSize } from '~/kit/useSize';
import { figure } from '~/units';
import { through } from './scale';

type Props = {
  points: number[][];
  unit: string;
  color: string;
  label: string;
  top: number;
  comfort: { least: number; most: number };
};

export function CurveCard({ points, unit, color, label, top, comfort }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const height = 132;
  const left = 34;
  const x = (travel: number) => left + travel * (width - left - 10);
  const y = (rate: number) => height - 22 - (rate / Math.max(1e-6, top)) * (height - 38);
  if (width === 0) return <div ref={ref} style={{ height }} />;
  return (
    <div ref={ref} className="overflow-hidden" data-picture="curve-card">
      <svg width={width} height={height} role="img" aria-label={label} className="block text-ink-soft">
        <rect
          x={x(comfort.least)}
          y={10}
          width={x(comfort.most) - x(comfort.least)}
          height={height - 32}
          fill="var(--leaf)"
          opacity={0.12}
        />
        <path d={`M${left} 10V${height - 22}H${width - 10}`} stroke="var(--line)" fill="none" />
        <path d={`M${x(0)} ${y(0)}L${x(1)} ${y(top)}`} stroke="var(--line)" strokeDasharray="3 4" />
        <path d={`M${x(0.5)} ${y(0)}V10`} stroke="var(--line)" />
        <path
          d={through(points.map(([a, b]) => [x(a ?? 0), y(b ?? 0)]))}
          stroke={color}
          strokeWidth={2.5}
          fill="none"
        />
        <text x={left - 5} y={16} fontSize={11} textAnchor="end" className="figure">
          {figure(top, top < 10 ? 1 : 0)}
        </text>
        <text x={left - 5} y={height - 20} fontSize={11} textAnchor="end" className="figure">
          0
        </text>
        <text x={left} y={height - 6} fontSize={11}>
          rest
        </text>
        <text x={x(0.5)} y={height - 6} fontSize={11} textAnchor="middle">
          half stick
        </text>
        <text x={width - 10} y={height - 6} fontSize={11} textAnchor="end">
          full, {unit}
        </text>
      </svg>
    </div>
  );
}
