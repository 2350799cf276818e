// One of a few: all of them in sight.
import { ToggleGroup } from 'radix-ui';

type Props<T extends string> = {
  label: string;
  value: T;
  options: { value: T; label: string }[];
  onChange: (value: T) => void;
  hideLabel?: boolean;
};

export function Choice<T extends string>({ label, value, options, onChange, hideLabel = false }: Props<T>) {
  return (
    <div className="grid gap-1">
      {!hideLabel && <span className="text-sm">{label}</span>}
      <ToggleGroup.Root
        type="single"
        value={value}
        onValueChange={(next) => next !== '' && onChange(next as T)}
        aria-label={label}
        className="flex rounded-md border border-line overflow-hidden bg-card"
      >
        {options.map((option) => (
          <ToggleGroup.Item
            key={option.value}
            value={option.value}
            className="flex-1 min-w-0 min-h-11 px-2 text-sm cursor-pointer text-ink-soft data-[state=on]:bg-haze data-[state=on]:text-ink data-[state=on]:font-semibold border-r border-line last:border-r-0"
          >
            {option.label}
          </ToggleGroup.Item>
        ))}
      </ToggleGroup.Root>
    </div>
  );
}
