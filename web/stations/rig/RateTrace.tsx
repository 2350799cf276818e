// The rate of one axis over time, of one or two settings from the same input, and where the finger let go.
import { useSize } from '~/kit/useSize';
import { linear, roundUp, through, ticks } from '~/pictures/scale';
import { figure } from '~/units';

export type Trace = { name: string; rates: number[]; color: string; dashed?: boolean };

type Props = {
  traces: Trace[];
  step: number;
  seconds: number;
  unit: string;
  letGo?: number | null;
  label: string;
  /** The scale reaches at least so far. */
  reach: number;
};

export function RateTrace({ traces, step, seconds, unit, letGo = null, label, reach }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const height = 190;
  const most = roundUp(Math.max(reach, ...traces.flatMap((trace) => trace.rates.map(Math.abs))));
  const low = traces.some((trace) => trace.rates.some((rate) => rate < -0.02 * most)) ? -most : 0;
  const x = linear(0, seconds, 44, Math.max(60, width - 12));
  const y = linear(low, most, height - 24, 12);
  const stride = Math.max(1, Math.floor(0.04 / step));
  if (width === 0) return <div ref={ref} style={{ height }} />;
  return (
    <div ref={ref} data-picture="rate-trace">
      <svg width={width} height={height} role="img" aria-label={label} className="block text-ink-soft">
        <path d={`M${x(0)} ${y(0)}H${x(seconds)}`} stroke="var(--line)" />
        <path d={`M${x(0)} ${y(low)}V${y(most)}`} stroke="var(--line)" />
        {letGo !== null && (
          <g>
            <path d={`M${x(letGo)} ${y(low)}V${y(most)}`} stroke="var(--ink-soft)" strokeDasharray="3 3" />
            <text x={x(letGo) + 4} y={20} fontSize={12} fill="currentColor">
              let go
            </text>
          </g>
        )}
        {traces.map((trace) => (
          <path
            key={trace.name}
            d={through(
              trace.rates.flatMap((rate, i): [number, number][] =>
                i % stride === 0 ? [[x(i * step), y(rate)]] : [],
              ),
            )}
            stroke={trace.color}
            strokeWidth={2.5}
            strokeDasharray={trace.dashed ? '6 4' : undefined}
            fill="none"
          />
        ))}
        <text x={38} y={y(most) + 8} fontSize={12} textAnchor="end" className="figure" fill="currentColor">
          {figure(most, most < 2 ? 1 : 0)}
        </text>
        <text x={38} y={y(0) + 4} fontSize={12} textAnchor="end" className="figure" fill="currentColor">
          0
        </text>
        {ticks(0, seconds, seconds > 12 ? 4 : 1).map((t) => (
          <text
            key={t}
            x={x(t)}
            y={height - 6}
            fontSize={12}
            textAnchor="middle"
            className="figure"
            fill="currentColor"
          >
            {t === 0 ? unit : `${t} s`}
          </text>
        ))}
      </svg>
    </div>
  );
}
