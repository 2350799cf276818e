// What lies under everything on a sheet seen from above: the mesh of metres, and how far the pilot sees.
import { type Scale, ticks } from './scale';

type Props = { x: Scale; y: Scale; width: number; height: number; step: number; sightLine: number };

export function Mesh({ x, y, width, height, step, sightLine }: Props) {
  return (
    <>
      <g stroke="var(--mesh)">
        {ticks(x.invert(0), x.invert(width), step).map((e) => (
          <path key={e} d={`M${x(e)} 0V${height}`} />
        ))}
        {ticks(y.invert(height), y.invert(0), step).map((n) => (
          <path key={n} d={`M0 ${y(n)}H${width}`} />
        ))}
      </g>
      <circle
        cx={x(0)}
        cy={y(0)}
        r={sightLine * x.perUnit}
        fill="none"
        stroke="var(--leaf)"
        strokeDasharray="2 6"
        opacity={0.7}
      />
    </>
  );
}
