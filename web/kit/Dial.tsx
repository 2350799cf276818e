// A value that is dragged: its track shows where the hand is comfortable; the number can be typed as well.
import { Slider } from 'radix-ui';
import { type Units, withUnit } from '~/units';
import { NumberInput } from './NumberInput';

type Props = {
  label: string;
  value: number;
  unit: string;
  least: number;
  most: number;
  step: number;
  units: Units;
  places?: number;
  /** Stretch of the track that is comfortable, in the value's unit. */
  band?: [number, number] | undefined;
  warn?: boolean;
  onChange: (value: number) => void;
};

export function Dial({
  label,
  value,
  unit,
  least,
  most,
  step,
  units,
  places = 1,
  band,
  warn,
  onChange,
}: Props) {
  const share = (v: number) => (100 * (Math.min(most, Math.max(least, v)) - least)) / (most - least);
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-2 items-baseline">
      <span className="text-sm" aria-hidden>
        {label}
      </span>
      <NumberInput
        label={label}
        value={value}
        unit={unit}
        units={units}
        places={places}
        warn={warn}
        onChange={onChange}
      />
      <Slider.Root
        className="col-span-2 relative flex items-center h-6 touch-none select-none"
        min={least}
        max={most}
        step={step}
        value={[Math.min(most, Math.max(least, value))]}
        onValueChange={([next]) => next !== undefined && onChange(next)}
      >
        <Slider.Track className="relative grow h-1 rounded-md bg-haze">
          {band !== undefined && (
            <span
              className="absolute h-1 rounded-md bg-leaf opacity-60"
              style={{ left: `${share(band[0])}%`, right: `${100 - share(band[1])}%` }}
            />
          )}
        </Slider.Track>
        <Slider.Thumb
          className={`block size-6 rounded-full bg-card border-3 cursor-grab ${warn ? 'border-brick' : 'border-larkspur'}`}
          aria-label={label}
          aria-valuetext={withUnit(value, unit, units, places)}
        />
      </Slider.Root>
    </div>
  );
}
