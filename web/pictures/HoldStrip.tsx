// Hold strip: the travel of one finger from rest to full, the comfortable stretch on it, and where each planned shot holds: as it
// is set now (ring) and as advised (filled).
import { useSize } from '~/kit/useSize';

type Hold = { shot: string; now: number | null; advised: number | null; trouble: boolean };

type Props = { holds: Hold[]; comfort: { least: number; most: number }; color: string; label: string };

export function HoldStrip({ holds, comfort, color, label }: Props) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const lane = 16;
  const height = 22 + lane * Math.max(1, holds.length);
  const x = (travel: number) => 8 + travel * (width - 16);
  if (width === 0) return <div ref={ref} style={{ height }} />;
  return (
    <div ref={ref} data-picture="hold-strip">
      <svg width={width} height={height} role="img" aria-label={label} className="block text-ink-soft">
        <rect
          x={x(comfort.least)}
          y={2}
          width={x(comfort.most) - x(comfort.least)}
          height={height - 20}
          fill="var(--leaf)"
          opacity={0.12}
        />
        <path d={`M${x(0)} ${height - 18}H${x(1)}`} stroke="var(--line)" />
        {[0, 0.25, 0.5, 0.75, 1].map((travel) => (
          <text
            key={travel}
            x={x(travel)}
            y={height - 4}
            fontSize={11}
            textAnchor={travel === 0 ? 'start' : travel === 1 ? 'end' : 'middle'}
            className="figure"
            fill="currentColor"
          >
            {Math.round(100 * travel)}
            {travel === 1 ? ' %' : ''}
          </text>
        ))}
        {holds.map((hold, i) => {
          const y = 4 + lane * (i + 0.5);
          return (
            <g key={hold.shot}>
              {hold.now !== null && hold.advised !== null && (
                <path
                  d={`M${x(hold.now)} ${y}H${x(hold.advised)}`}
                  stroke={color}
                  strokeWidth={1.5}
                  opacity={0.5}
                />
              )}
              {hold.now !== null && (
                <circle cx={x(hold.now)} cy={y} r={5} fill="var(--card)" stroke={color} strokeWidth={2} />
              )}
              {hold.advised !== null && (
                <circle
                  cx={x(hold.advised)}
                  cy={y}
                  r={5.5}
                  fill={hold.trouble ? 'var(--brick)' : color}
                  stroke="var(--card)"
                  strokeWidth={1}
                />
              )}
            </g>
          );
        })}
      </svg>
    </div>
  );
}
