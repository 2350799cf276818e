// A value that is dragged: its track shows where the hand is comfortable; the number can be typed as well.
import { Slider } from 'radix-ui';
import { useState } from 'react';
import { shown, stored, type Units, withUnit } from '~/units';

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
  const [typing, setTyping] = useState<string | null>(null);
  const own = shown(value, unit, units);
  const share = (v: number) => (100 * (Math.min(most, Math.max(least, v)) - least)) / (most - least);
  const take = () => {
    const number = Number((typing ?? '').replace(',', '.').replace('\u2212', '-'));
    if (typing !== null && typing.trim() !== '' && Number.isFinite(number)) {
      onChange(stored(number, unit, units));
    }
    setTyping(null);
  };
  return (
    <div className="grid grid-cols-[1fr_auto] gap-x-2 items-baseline">
      <span className="text-sm" aria-hidden>
        {label}
      </span>
      <input
        className={`figure font-semibold text-right bg-transparent w-28 min-h-6 rounded-md border border-transparent hover:border-line focus:border-petal ${warn ? 'text-brick' : ''}`}
        aria-label={`${label}, ${own.unit}`}
        value={typing ?? withUnit(value, unit, units, places)}
        onFocus={(event) => {
          setTyping(own.value.toFixed(places));
          requestAnimationFrame(() => event.target.select());
        }}
        onChange={(event) => setTyping(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') {
            setTyping(null);
            event.currentTarget.blur();
          }
        }}
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
