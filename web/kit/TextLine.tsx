// A line of text that is taken when the field is left or Enter is pressed: what follows from it is worked out once, not at each letter.
import { useId, useState } from 'react';
import { Field } from './Field';

type Props = {
  label: string;
  value: string;
  /** What could be meant, offered while it is typed. */
  known?: string[];
  onChange: (value: string) => void;
};

export function TextLine({ label, value, known, onChange }: Props) {
  const [typing, setTyping] = useState<string | null>(null);
  const list = useId();
  const take = () => {
    if (typing !== null && typing !== value) onChange(typing);
    setTyping(null);
  };
  return (
    <>
      <Field
        label={label}
        value={typing ?? value}
        maxLength={200}
        {...(known === undefined ? undefined : { list })}
        onChange={(event) => setTyping(event.target.value)}
        onBlur={take}
        onKeyDown={(event) => event.key === 'Enter' && take()}
      />
      {known && (
        <datalist id={list}>
          {known.map((one) => (
            <option key={one} value={one} />
          ))}
        </datalist>
      )}
    </>
  );
}
