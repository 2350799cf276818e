// Faults on purpose: what the simulated hand does wrong, with which finger, and when. For showing what a fault looks like.
import { X } from 'lucide-react';
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Dial } from '~/kit/Dial';
import { Pick } from '~/kit/Pick';
import type { Units } from '~/units';

type Slip = Schemas['Slip'];

const KINDS: Record<Slip['kind'], { name: string; size: number; length: number }> = {
  kick: { name: 'A sudden press', size: 0.35, length: 0.35 },
  tremble: { name: 'A trembling finger', size: 0.07, length: 4 },
  sag: { name: 'The hold sags', size: 0.7, length: 2.5 },
  snap: { name: 'Started at once', size: 1, length: 2.6 },
  spring: { name: 'Let go to the spring', size: 1, length: 20 },
  leak: { name: 'The thumb leaks sideways', size: 0.4, length: 6 },
  mismatch: { name: 'Holds too much', size: 0.3, length: 6 },
  late: { name: 'Sets out late', size: 1.5, length: 1 },
  bounce: { name: 'Bounces the throttle', size: 0.45, length: 4 },
  'wrong-way': { name: 'Sets out the wrong way', size: 0.9, length: 1.4 },
  'nose-in': { name: 'Takes left for right', size: 0.25, length: 5 },
};

const FINGERS: Slip['finger'][] = ['climb', 'turn', 'run', 'slide', 'tilt'];

type Props = { slips: Slip[]; onChange: (slips: Slip[]) => void; units: Units };

export function Slips({ slips, onChange, units }: Props) {
  const put = (index: number, next: Partial<Slip>) =>
    onChange(slips.map((slip, other) => (other === index ? { ...slip, ...next } : slip)));
  return (
    <fieldset className="border-0 p-0 m-0 grid gap-2">
      <legend className="text-sm mb-1">Faults on purpose</legend>
      {slips.map((slip, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a slip is its place in the list
        <div key={index} className="grid gap-2 p-2 rounded-md border border-line" data-slip={slip.kind}>
          <div className="grid grid-cols-[1fr_7rem_auto] gap-2 items-end">
            <Pick
              label="What"
              value={slip.kind}
              onChange={(kind) => {
                const { size, length } = KINDS[kind as Slip['kind']];
                put(index, { kind: kind as Slip['kind'], size, length });
              }}
              options={Object.entries(KINDS).map(([value, { name }]) => ({ value, label: name }))}
            />
            <Pick
              label="Finger"
              value={slip.finger}
              onChange={(finger) => put(index, { finger: finger as Slip['finger'] })}
              options={FINGERS.map((value) => ({ value, label: value }))}
            />
            <button
              type="button"
              aria-label="Take this fault out"
              className="size-11 grid place-items-center rounded-md cursor-pointer bg-transparent"
              onClick={() => onChange(slips.filter((_, other) => other !== index))}
            >
              <X size={17} aria-hidden />
            </button>
          </div>
          <Dial
            label="After first motion"
            value={slip.at}
            unit="s"
            least={0}
            most={40}
            step={0.5}
            units={units}
            onChange={(at) => put(index, { at })}
          />
        </div>
      ))}
      <Button
        disabled={slips.length >= 6}
        onClick={() =>
          onChange([
            ...slips,
            { kind: 'kick', finger: 'turn', at: 6, size: KINDS.kick.size, length: KINDS.kick.length },
          ])
        }
      >
        Put a fault in
      </Button>
    </fieldset>
  );
}
