// The site from the south: east runs to the right, heights upward. In step with the board: what is chosen there is chosen here, and its
// height is pulled with a handle.
import { type PointerEvent, useState } from 'react';
import { useSize } from '~/kit/useSize';
import { extentAlong } from '~/pictures/footprint';
import { linear, roundUp, through, ticks } from '~/pictures/scale';
import { type Units, withUnit } from '~/units';
import { type Chosen, changed, corners, type Drawing } from './drawing';

type Props = {
  drawing: Drawing;
  chosen: Chosen | null;
  ground: number[][];
  units: Units;
  onChoose: (chosen: Chosen) => void;
  onDrag: (next: Drawing) => void;
  onDone: (next: Drawing) => void;
};

export function SideView({ drawing, chosen, ground, units, onChoose, onDrag, onDone }: Props) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [pulling, setPulling] = useState(false);
  const { solids } = drawing.document;
  const places = corners(drawing, null).map((p) => p[0]);
  const [left, right] = [Math.min(-20, ...places) - 6, Math.max(20, ...places) + 6];
  const low = Math.min(-2, ...ground.map((p) => p[2] ?? 0), ...solids.map((one) => one.base_m));
  const high = Math.max(10, ...solids.map((one) => one.base_m + one.height_m)) * 1.15;
  const x = linear(left, right, 8, Math.max(9, width - 8));
  const y = linear(low, high, Math.max(1, height - 20), 14);
  // Of the ground, its height along the line through take-off.
  const line = ground.filter((p) => p[1] === 0).sort((a, b) => (a[0] ?? 0) - (b[0] ?? 0));
  const chosenSolid = chosen?.list === 'solids' ? solids[chosen.index] : undefined;
  const grip = chosenSolid === undefined ? ([0, 0] as const) : extentAlong(chosenSolid, 1, 0);
  const pull = (event: PointerEvent<SVGGElement>) => {
    const box = ref.current?.getBoundingClientRect();
    if (!pulling || !box || !chosen || !chosenSolid) return;
    const top = y.invert(event.clientY - box.top);
    onDrag(
      changed(drawing, chosen, { height_m: Math.max(0.1, Math.round(2 * (top - chosenSolid.base_m)) / 2) }),
    );
  };
  return (
    <div ref={ref} className="size-full min-h-28 overflow-hidden touch-none" data-picture="site-side">
      <svg width={width} height={height} className="block" role="group" aria-label="The site from the south">
        {ticks(low, high, roundUp((34 * (high - low)) / Math.max(60, height))).map((up) => (
          <g key={up}>
            <path d={`M0 ${y(up)}H${width}`} stroke="var(--mesh)" />
            <text x={4} y={y(up) - 2} fontSize={10} fill="var(--ink-soft)">
              {withUnit(up, 'm', units, 0)}
            </text>
          </g>
        ))}
        <path
          d={
            line.length === 0 ? `M0 ${y(0)}H${width}` : through(line.map((p) => [x(p[0] ?? 0), y(p[2] ?? 0)]))
          }
          stroke="var(--ink)"
          fill="none"
          strokeWidth={1.3}
        />
        {solids.map((solid, index) => {
          const [from, to] = extentAlong(solid, 1, 0);
          const isChosen = chosen?.list === 'solids' && chosen.index === index;
          const clear = solid.clear_m ?? 0;
          return (
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: ids come from files and may repeat
              key={`${solid.id} ${index}`}
              x={x(from)}
              width={Math.max(3, x(to) - x(from))}
              y={y(solid.base_m + solid.height_m)}
              height={
                solid.shape === 'wire'
                  ? 3
                  : Math.max(2, y(solid.base_m + clear) - y(solid.base_m + solid.height_m))
              }
              fill={solid.role === 'subject' ? 'var(--ink)' : 'var(--ground)'}
              fillOpacity={0.8}
              stroke={isChosen ? 'var(--larkspur)' : solid.shape === 'wire' ? 'var(--brick)' : 'var(--solid)'}
              strokeWidth={isChosen ? 2.5 : 1}
              onPointerDown={() => onChoose({ list: 'solids', index })}
            />
          );
        })}
        {drawing.subjects.map((subject) => (
          <circle
            key={subject.id}
            cx={x(subject.east_m)}
            cy={y(subject.up_m)}
            r={4}
            fill="none"
            stroke="var(--pollen)"
            strokeWidth={2}
          />
        ))}
        <circle cx={x(0)} cy={y(0)} r={5} fill="var(--card)" stroke="var(--leaf)" strokeWidth={2} />
        {chosen && chosenSolid && (
          <g
            role="slider"
            tabIndex={0}
            aria-label={`Height of ${chosenSolid.name}. Arrow keys change it.`}
            aria-valuenow={chosenSolid.height_m}
            aria-valuetext={withUnit(chosenSolid.height_m, 'm', units)}
            className="cursor-ns-resize"
            transform={`translate(${(x(grip[0]) + x(grip[1])) / 2} ${y(chosenSolid.base_m + chosenSolid.height_m)})`}
            onPointerDown={(event) => {
              event.currentTarget.setPointerCapture(event.pointerId);
              setPulling(true);
            }}
            onPointerMove={pull}
            onPointerUp={() => {
              setPulling(false);
              onDone(drawing);
            }}
            onKeyDown={(event) => {
              const by = { ArrowUp: 0.5, ArrowDown: -0.5 }[event.key];
              if (by) {
                event.preventDefault();
                onDone(changed(drawing, chosen, { height_m: Math.max(0.1, chosenSolid.height_m + by) }));
              }
            }}
          >
            <circle r={20} fill="transparent" />
            <circle r={7} fill="var(--card)" stroke="var(--larkspur)" strokeWidth={3} />
            <text className="halo" x={12} y={-6} fontSize={12} fill="var(--larkspur)">
              {withUnit(chosenSolid.height_m, 'm', units)}
            </text>
          </g>
        )}
      </svg>
    </div>
  );
}
