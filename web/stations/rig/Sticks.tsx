// A finger on two virtual sticks and a wheel: pointer and touch on the pads, keys, or a gamepad. Which pad does what follows the
// stick mode. A pad springs back when it is let go.
import { useEffect, useEffectEvent, useState } from 'react';
import { type Axis, KEYS, type Pads } from '~/flight/input';
import type { Fingers } from '~/flight/sheet';
import { REST } from '~/flight/sheet';
import { useHold } from '~/kit/useHold';

/** How far a key presses its stick. */
const KEYED = 0.5;

type Props = {
  /** What each stick plays, as the server has it for the stick mode. */
  pads: Pads;
  /** Read at every step of the clock; written here. */
  input: { current: Fingers };
};

export function Sticks({ pads, input }: Props) {
  const [shown, setShown] = useState<Fingers>(REST);
  const put = (next: Partial<Fingers>) => {
    input.current = { ...input.current, ...next };
    setShown(input.current);
  };
  const played = useEffectEvent(put);

  useEffect(() => {
    const held = new Map<string, true>();
    const apply = () => {
      const sum: Fingers = { ...REST };
      for (const key of held.keys()) {
        const [pad, along, sign] = KEYS[key] as (typeof KEYS)[string];
        sum[pad === 'wheel' ? 'tilt' : pads[pad][along]] += sign * KEYED;
      }
      played(sum);
    };
    const onKey = (event: KeyboardEvent) => {
      const key = event.key.toLowerCase();
      if (event.ctrlKey || event.metaKey || event.altKey || KEYS[key] === undefined) return;
      if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"], [role="listbox"]')) return;
      event.preventDefault();
      if (event.type === 'keydown') held.set(key, true);
      else held.delete(key);
      apply();
    };
    const letGo = () => {
      held.clear();
      apply();
    };
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKey);
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onKey);
      window.removeEventListener('blur', letGo);
    };
  }, [pads]);

  useEffect(() => {
    let frame = 0;
    let moved = false;
    const read = () => {
      const pad = navigator.getGamepads?.().find((one) => one !== null && one.axes.length >= 4);
      if (pad) {
        const [lx = 0, ly = 0, rx = 0, ry = 0] = pad.axes;
        const wheel = (pad.buttons[7]?.value ?? 0) - (pad.buttons[6]?.value ?? 0);
        const any = Math.max(...[lx, ly, rx, ry, wheel].map(Math.abs)) > 0.03;
        if (any || moved) {
          played({
            [pads.left[0]]: lx,
            [pads.left[1]]: -ly,
            [pads.right[0]]: rx,
            [pads.right[1]]: -ry,
            tilt: wheel,
          });
        }
        moved = any;
      }
      frame = requestAnimationFrame(read);
    };
    frame = requestAnimationFrame(read);
    return () => cancelAnimationFrame(frame);
  }, [pads]);

  return (
    <div className="flex flex-wrap gap-3 items-end justify-center">
      <Pad name="Left stick" axes={pads.left} shown={shown} onMove={put} keys="a d, w s" />
      <Pad name="Wheel" axes={[null, 'tilt']} shown={shown} onMove={put} keys="u, m" />
      <Pad name="Right stick" axes={pads.right} shown={shown} onMove={put} keys="j l, i k" />
    </div>
  );
}

type PadProps = {
  name: string;
  axes: [Axis | null, Axis];
  shown: Fingers;
  onMove: (next: Partial<Fingers>) => void;
  keys: string;
};

function Pad({ name, axes, shown, onMove, keys }: PadProps) {
  const [across, up] = axes;
  const [width, height] = across === null ? [56, 150] : [150, 150];
  const reach = 62;
  const hold = useHold((held) => {
    const share = (value: number) => (held.last ? 0 : Math.max(-1, Math.min(1, value / reach)));
    const y = share(height / 2 - held.y);
    onMove(across === null ? { [up]: y } : { [across]: share(held.x - width / 2), [up]: y });
  });
  const x = across === null ? 0 : shown[across];
  return (
    <div className="grid gap-1 justify-items-center">
      <div
        role="application"
        aria-label={`${name}: ${across === null ? '' : `${across} across, `}${up} up. Keys ${keys}.`}
        data-pad={name}
        className="relative rounded-md border border-line bg-haze cursor-grab touch-none select-none"
        style={{ width, height }}
        {...hold()}
      >
        <svg width={width} height={height} className="absolute inset-0" aria-hidden="true">
          <path
            d={`M${width / 2} 8V${height - 8}${across === null ? '' : `M8 ${height / 2}H${width - 8}`}`}
            stroke="var(--petal)"
            strokeDasharray="2 4"
          />
          <circle
            cx={width / 2 + reach * x}
            cy={height / 2 - reach * shown[up]}
            r={14}
            fill={`var(--${across !== null && Math.abs(x) > Math.abs(shown[up]) ? across : up})`}
            stroke="var(--card)"
            strokeWidth={3}
          />
        </svg>
      </div>
      <span className="text-sm">
        {across === null ? '' : `${across} ↔ `}
        {up} ↕
      </span>
      <span className="text-sm text-ink-soft">
        {name}: <span className="figure">{keys}</span>
      </span>
    </div>
  );
}
