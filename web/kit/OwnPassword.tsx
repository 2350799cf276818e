// The password of whoever is signed in, asked for before what matters.
import { Problem } from '~/api/client';
import { Field } from './Field';

type Props = { value: string; error: unknown; onChange: (password: string) => void };

export function OwnPassword({ value, error, onChange }: Props) {
  return (
    <Field
      label="Your password"
      type="password"
      autoComplete="current-password"
      required
      value={value}
      problem={error instanceof Problem ? error.at('password') : undefined}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}
