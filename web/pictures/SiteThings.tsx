// What a site holds, from above: everything that stands there, areas that limit a flight, and who watches. One drawing for the site
// sheet and for the drawing board, so that a thing looks the same wherever it is seen.

import type { Schemas } from '~/api/client';
import { type Scale, through } from './scale';

type Props = { site: Schemas['SiteDocument']; x: Scale; y: Scale; chosen?: string | null };

export function SiteThings({ site, x, y, chosen = null }: Props) {
  return (
    <g>
      {(site.areas ?? []).map((area) => (
        <AreaFromAbove key={`area ${area.id}`} area={area} x={x} y={y} chosen={area.id === chosen} />
      ))}
      {site.solids.map((solid, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: ids come from files and may repeat
        <SolidFromAbove key={`${solid.id} ${index}`} solid={solid} x={x} y={y} chosen={solid.id === chosen} />
      ))}
      {(site.observers ?? []).map((observer) => (
        <g
          key={`observer ${observer.id}`}
          transform={`translate(${x(observer.east_m)} ${y(observer.north_m)})`}
          data-thing={observer.id}
        >
          <path d="M-7 4C-4 -3 4 -3 7 4Z" fill="var(--card)" stroke="var(--leaf)" strokeWidth={1.6} />
          <circle cy={-3} r={3} fill="var(--leaf)" />
        </g>
      ))}
    </g>
  );
}

type SolidProps = { solid: Schemas['Solid']; x: Scale; y: Scale; chosen: boolean };

function SolidFromAbove({ solid, x, y, chosen }: SolidProps) {
  const fill = solid.role === 'subject' ? 'var(--ink)' : 'var(--ground)';
  const stroke = chosen ? 'var(--larkspur)' : solid.role === 'subject' ? 'var(--ink)' : 'var(--solid)';
  const common = { fill, stroke, strokeWidth: chosen ? 2.5 : 1, 'data-thing': solid.id };
  if (solid.points !== undefined) {
    const path = through(solid.points.map(([e, n]) => [x(e ?? 0), y(n ?? 0)]));
    if (solid.shape === 'wire') {
      return (
        <path
          d={path}
          {...common}
          fill="none"
          stroke={chosen ? 'var(--larkspur)' : 'var(--brick)'}
          strokeWidth={chosen ? 3 : 1.6}
          strokeDasharray="9 3 2 3"
        />
      );
    }
    return (
      <path
        d={`${path}Z`}
        {...common}
        strokeDasharray={solid.shape === 'canopy' ? '2 3' : undefined}
        fillOpacity={solid.shape === 'canopy' ? 0.65 : 1}
      />
    );
  }
  const cx = x(solid.east_m);
  const cy = y(solid.north_m);
  const w = Math.max(2.5, solid.width_m * x.perUnit);
  const l = Math.max(2.5, solid.length_m * x.perUnit);
  return solid.shape === 'cylinder' || solid.shape === 'canopy' ? (
    <circle cx={cx} cy={cy} r={w / 2} {...common} />
  ) : (
    <rect
      x={cx - w / 2}
      y={cy - l / 2}
      width={w}
      height={l}
      {...common}
      transform={`rotate(${solid.heading_deg} ${cx} ${cy})`}
    />
  );
}

const AREA = {
  people: { fill: 'var(--brick)', stroke: 'var(--brick)', dash: '3 3' },
  water: { fill: 'var(--climb)', stroke: 'var(--climb)', dash: undefined },
  boundary: { fill: 'none', stroke: 'var(--ink-soft)', dash: '12 4' },
} as const;

type AreaProps = { area: Schemas['Area']; x: Scale; y: Scale; chosen: boolean };

function AreaFromAbove({ area, x, y, chosen }: AreaProps) {
  const look = AREA[area.kind];
  const closed = area.kind !== 'boundary' || area.closed === true;
  const path = `${through(area.points.map(([e, n]) => [x(e ?? 0), y(n ?? 0)]))}${closed ? 'Z' : ''}`;
  return (
    <path
      d={path}
      fill={closed ? look.fill : 'none'}
      fillOpacity={area.kind === 'boundary' ? 0 : 0.13}
      stroke={chosen ? 'var(--larkspur)' : look.stroke}
      strokeWidth={chosen ? 2.5 : 1.3}
      strokeDasharray={look.dash}
      data-thing={area.id}
    />
  );
}
