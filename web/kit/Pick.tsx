// One of many, opened on demand.
import { Check, ChevronDown } from 'lucide-react';
import { Select } from 'radix-ui';

type Props = {
  label: string;
  value: string;
  /** In order; those of one group follow each other under its heading. */
  options: { value: string; label: string; group?: string }[];
  onChange: (value: string) => void;
  hideLabel?: boolean;
  /** Shown where none is chosen. */
  empty?: string;
};

export function Pick({ label, value, options, onChange, hideLabel = false, empty }: Props) {
  return (
    <div className="grid gap-1 min-w-0">
      {!hideLabel && <span className="text-sm">{label}</span>}
      <Select.Root value={value} onValueChange={onChange}>
        <Select.Trigger
          aria-label={label}
          className="flex items-center justify-between gap-2 min-h-11 px-3 rounded-md border border-line bg-card text-left cursor-pointer min-w-0"
        >
          <span className="truncate">
            <Select.Value placeholder={empty && <span className="text-ink-soft">{empty}</span>} />
          </span>
          <ChevronDown size={16} aria-hidden />
        </Select.Trigger>
        <Select.Portal>
          <Select.Content
            position="popper"
            sideOffset={4}
            className="bg-card border border-line rounded-md p-1 z-50 max-h-80 min-w-(--radix-select-trigger-width)"
          >
            <Select.Viewport>
              {options.map((option, index) => [
                option.group !== undefined && option.group !== options[index - 1]?.group && (
                  <div
                    key={`of ${option.group}`}
                    role="presentation"
                    className="px-3 pt-2 text-sm text-ink-soft"
                  >
                    {option.group}
                  </div>
                ),
                <Select.Item
                  key={option.value}
                  value={option.value}
                  className="flex items-center justify-between gap-3 min-h-11 px-3 rounded-md cursor-pointer data-[highlighted]:bg-haze outline-none"
                >
                  <Select.ItemText>{option.label}</Select.ItemText>
                  <Select.ItemIndicator>
                    <Check size={16} aria-hidden />
                  </Select.ItemIndicator>
                </Select.Item>,
              ])}
            </Select.Viewport>
          </Select.Content>
        </Select.Portal>
      </Select.Root>
    </div>
  );
}
