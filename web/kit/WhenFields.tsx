// A date and an hour, as the device lets them be picked.
import { Field } from './Field';

type Props = { label: string; value: string; onChange: (value: string) => void };

export function DateField({ label, value, onChange }: Props) {
  return (
    <Field
      type="date"
      label={label}
      value={value}
      onChange={(event) => event.target.value !== '' && onChange(event.target.value)}
    />
  );
}

export function HourField({ label, value, onChange }: Props) {
  return (
    <Field
      type="time"
      label={label}
      value={value}
      onChange={(event) => /^\d\d:\d\d$/.test(event.target.value) && onChange(event.target.value)}
    />
  );
}
