// A number that is typed: shown with its unit, taken on Enter or on leaving, dropped on Escape. One that lies beyond its limits
// is not taken: it stays as it was typed, and the limits are said.
import { useId, useState } from 'react';
import { shown, stored, type Units, withUnit } from '~/units';

type Limits = readonly [least: number, most: number];

type Props = {
  label: string;
  value: number;
  unit: string;
  units: Units;
  places?: number;
  warn?: boolean | undefined;
  className?: string;
  /** The least and the most that it may be, as it is stored. */
  limits?: Limits | undefined;
  onChange: (value: number) => void;
};

export function NumberInput({
  label,
  value,
  unit,
  units,
  places = 1,
  warn,
  className = 'w-28',
  limits,
  onChange,
}: Props) {
  const [typing, setTyping] = useState<string | null>(null);
  const [beyond, setBeyond] = useState(false);
  const said = useId();
  const own = shown(value, unit, units);
  const drop = () => {
    setTyping(null);
    setBeyond(false);
  };
  const take = () => {
    const number = Number((typing ?? '').replace(',', '.').replace('\u2212', '-'));
    // What was only looked at is left as it is: its places were cut for show.
    if (typing === null || typing.trim() === '' || !Number.isFinite(number)) return drop();
    if (typing === own.value.toFixed(places)) return drop();
    const next = stored(number, unit, units);
    if (limits !== undefined && !within(next, limits)) return setBeyond(true);
    onChange(next);
    drop();
  };
  return (
    <span className={`relative inline-flex ${className}`}>
      <input
        className={`number-field figure font-semibold text-right bg-card px-1.5 w-full rounded-md border border-line hover:border-petal focus:border-petal ${warn || beyond ? 'text-brick' : ''}`}
        aria-label={own.unit === '' ? label : `${label}, ${own.unit}`}
        aria-invalid={beyond || undefined}
        aria-describedby={beyond ? said : undefined}
        value={typing ?? withUnit(value, unit, units, places)}
        onFocus={(event) => {
          if (!beyond) setTyping(own.value.toFixed(places));
          requestAnimationFrame(() => event.target.select());
        }}
        onChange={(event) => {
          setTyping(event.target.value);
          setBeyond(false);
        }}
        onBlur={take}
        onKeyDown={(event) => {
          if (event.key === 'Enter') event.currentTarget.blur();
          if (event.key === 'Escape') {
            drop();
            event.currentTarget.blur();
          }
        }}
      />
      {beyond && limits !== undefined && (
        <span
          id={said}
          role="alert"
          className="absolute right-0 top-full z-10 whitespace-nowrap rounded-md border border-brick bg-card px-2 py-0.5 text-sm"
        >
          {withUnit(limits[0], unit, units, digits(limits[0]))} to{' '}
          {withUnit(limits[1], unit, units, digits(limits[1]))}
        </span>
      )}
    </span>
  );
}

/** Up to the last place of a float: a limit that was typed in feet is a hair off in metres. */
function within(value: number, [least, most]: Limits): boolean {
  const hair = 1e-9 * Math.max(1, Math.abs(value));
  return value >= least - hair && value <= most + hair;
}

/** Places that a limit is said with. */
function digits(limit: number): number {
  return Number.isInteger(limit) ? 0 : Number.isInteger(10 * limit) ? 1 : 2;
}
