// A number that is typed: shown with its unit, taken on Enter or on leaving, dropped on Escape.
import { useState } from 'react';
import { shown, stored, type Units, withUnit } from '~/units';

type Props = {
  label: string;
  value: number;
  unit: string;
  units: Units;
  places?: number;
  warn?: boolean | undefined;
  className?: string;
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
  onChange,
}: Props) {
  const [typing, setTyping] = useState<string | null>(null);
  const own = shown(value, unit, units);
  const take = () => {
    const number = Number((typing ?? '').replace(',', '.').replace('\u2212', '-'));
    if (typing !== null && typing.trim() !== '' && Number.isFinite(number)) {
      const next = stored(number, unit, units);
      // What was only looked at is left as it is: its places were cut for show.
      if (typing !== own.value.toFixed(places)) onChange(next);
    }
    setTyping(null);
  };
  return (
    <input
      className={`figure font-semibold text-right bg-transparent min-h-6 rounded-md border border-transparent hover:border-line focus:border-petal ${className} ${warn ? 'text-brick' : ''}`}
      aria-label={own.unit === '' ? label : `${label}, ${own.unit}`}
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
  );
}
