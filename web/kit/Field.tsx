// A labelled line of text with its own message when something is wrong.
import { type InputHTMLAttributes, type Ref, useId } from 'react';

type Props = InputHTMLAttributes<HTMLInputElement> & {
  label: string;
  problem?: string | undefined;
  ref?: Ref<HTMLInputElement>;
};

export function Field({ label, problem, ...rest }: Props) {
  const id = useId();
  return (
    <div className="grid gap-1 min-w-0">
      <label htmlFor={id} className="text-sm">
        {label}
      </label>
      <input
        id={id}
        aria-invalid={problem !== undefined}
        aria-describedby={problem === undefined ? undefined : `${id}-problem`}
        className={`min-h-11 w-full min-w-0 px-3 rounded-md border bg-card text-ink ${problem === undefined ? 'border-line' : 'border-brick'}`}
        {...rest}
      />
      {problem !== undefined && (
        <p id={`${id}-problem`} className="m-0 text-sm text-brick">
          {problem}
        </p>
      )}
    </div>
  );
}
