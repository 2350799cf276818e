// Two pads and a wheel strip for thumbs on glass; each springs back or stays as it was left.
import { useEffect, useState } from 'react';
import type { Axis, Input, Pads } from '~/flight/input';
import { useHold } from '~/kit/useHold';

const WIDE = 136;
const REACH = 56;

const touches = () => matchMedia('(pointer: coarse)').matches;

export function TouchSticks({ pads, input, shown }: { pads: Pads; input: Input; shown: boolean }) {
  const [stays, setStays] = useState(false);
  const [on, setOn] = useState(touches);
  useEffect(() => {
    const asked = () => setOn(true);
    window.addEventListener('touchstart', asked, { once: true });
    return () => window.removeEventListener('touchstart', asked);
  }, []);
  if (!shown || !on) return null;
  return (
    <div className="absolute inset-x-2 bottom-28 flex justify-between items-end pointer-events-none">
      <Pad name="Left stick" axes={pads.left} input={input} stays={stays} />
      <div className="grid gap-1 justify-items-center">
        <label className="pointer-events-auto text-sm text-[#fff] bg-[#1e1b3acc] rounded-md px-2 min-h-9 flex gap-1 items-center">
          <input type="checkbox" checked={stays} onChange={(event) => setStays(event.target.checked)} />
          sticks stay
        </label>
        <Pad name="Wheel" axes={[null, 'tilt']} input={input} stays={stays} />
      </div>
      <Pad name="Right stick" axes={pads.right} input={input} stays={stays} />
    </div>
  );
}

type PadProps = { name: string; axes: [Axis | null, Axis]; input: Input; stays: boolean };

function Pad({ name, axes: [across, up], input, stays }: PadProps) {
  const [at, setAt] = useState({ x: 0, y: 0 });
  const wide = across === null ? 64 : WIDE;
  const hold = useHold((held) => {
    const share = (value: number) => Math.max(-1, Math.min(1, value / REACH));
    const next =
      held.last && !stays
        ? { x: 0, y: 0 }
        : { x: across === null ? 0 : share(held.x - wide / 2), y: share(WIDE / 2 - held.y) };
    setAt(next);
    input.touch(across === null ? { [up]: next.y } : { [across]: next.x, [up]: next.y });
  });
  return (
    <div
      role="application"
      aria-label={`${name}: ${across === null ? '' : `${across} across, `}${up} up`}
      data-pad={name}
      className="pointer-events-auto relative rounded-md border-2 border-[#ffffffb3] bg-[#1e1b3a66] touch-none select-none"
      style={{ width: wide, height: WIDE }}
      {...hold()}
    >
      <svg width={wide} height={WIDE} className="absolute inset-0" aria-hidden="true">
        <circle
          cx={wide / 2 + REACH * at.x}
          cy={WIDE / 2 - REACH * at.y}
          r={18}
          fill="#ffffffcc"
          stroke="#1e1b3a"
          strokeWidth={2}
        />
      </svg>
    </div>
  );
}
