// A number that is typed, with its name before it.
import type { ComponentProps } from 'react';
import { NumberInput } from './NumberInput';

type Props = ComponentProps<typeof NumberInput> & {
  /** Shown, where it is another than the label that is read out. */
  name?: string;
};

export function NumberRow({ name, ...input }: Props) {
  return (
    <div className="flex justify-between items-center gap-2 min-h-9">
      <span className="text-sm">{name ?? input.label}</span>
      <NumberInput {...input} />
    </div>
  );
}
