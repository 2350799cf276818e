// The way that a subject goes: its pace, where it stands for a while, and what it sets off at. Its corners are pulled on the board.

import type { Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Button } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { NumberRow } from '~/kit/NumberRow';
import type { Units } from '~/units';

type Way = Schemas['SubjectRoute'];

type Props = { way: Way; units: Units; onChange: (way: Way) => void; onLed: (on: boolean) => void };

export function WayForm({ way, units, onChange, onLed }: Props) {
  const stands = (corner: number) => way.stops.find((stop) => stop.corner === corner)?.s ?? 0;
  const stand = (corner: number, s: number) =>
    onChange({
      ...way,
      stops: [...way.stops.filter((stop) => stop.corner !== corner), ...(s > 0 ? [{ corner, s }] : [])].sort(
        (a, b) => a.corner - b.corner,
      ),
    });
  return (
    <div className="grid gap-2" data-way>
      <NumberRow
        label="Its pace"
        value={way.pace_mps}
        unit="m/s"
        units={units}
        places={1}
        limits={LIMITS.route.pace_mps}
        onChange={(pace_mps) => onChange({ ...way, pace_mps })}
      />
      {way.points.slice(0, -1).map((_, index) => (
        <NumberRow
          // biome-ignore lint/suspicious/noArrayIndexKey: a corner is its place on the way
          key={index}
          label={`Stands at corner ${index + 1} for`}
          value={stands(index + 1)}
          unit="s"
          units={units}
          places={0}
          limits={LIMITS.route['stops.*.s']}
          onChange={(s) => stand(index + 1, s)}
        />
      ))}
      <Field
        label="It sets off at"
        placeholder="a call, if nothing is said"
        value={way.cue}
        maxLength={120}
        onChange={(event) => onChange({ ...way, cue: event.target.value })}
      />
      <div className="flex gap-2">
        <Button onClick={() => onLed(true)}>Lead it on</Button>
        {way.points.length > 1 && <Button onClick={() => onLed(false)}>One piece less</Button>}
      </div>
      <p className="m-0 text-sm text-ink-soft">
        Pull its corners on the board. Moves that keep up with it, or pass it, are planned along this way.
      </p>
    </div>
  );
}
