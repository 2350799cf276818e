// One of many records: the latest are at hand, and any other is found by words of its name.
import { keepPreviousData, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Field } from './Field';
import { Notice } from './Notice';
import { Pick } from './Pick';
import { Sheet } from './Sheet';

type Option = { value: string; label: string };

type Props = {
  label: string;
  hideLabel?: boolean;
  /** The one chosen; it need not be among the latest. */
  now: Option | null;
  latest: Option[];
  /** Whether there may be others. */
  more?: boolean;
  /** Shown where none is chosen. */
  empty?: string;
  /** What can be chosen beside the records, such as a new one. */
  besides?: Option[];
  /** The latest of those whose name has these words. */
  find: (words: string) => Promise<Option[]>;
  onChange: (value: string) => void;
};

/** So many are given at once; where there are fewer, they are all there are. */
export const SHOWN = 60;

const FIND = 'find another';

export function PickFrom({
  label,
  hideLabel = false,
  now,
  latest,
  more = latest.length >= SHOWN,
  empty,
  besides = [],
  find,
  onChange,
}: Props) {
  const [finding, setFinding] = useState(false);
  const known = now === null || [...besides, ...latest].some((one) => one.value === now.value);
  return (
    <>
      <Pick
        label={label}
        hideLabel={hideLabel}
        value={now?.value ?? ''}
        {...(empty === undefined ? undefined : { empty })}
        // Not before the key that chose it has come up: it would press whatever the sheet puts under it.
        onChange={(value) =>
          value === FIND ? window.setTimeout(() => setFinding(true), 50) : onChange(value)
        }
        options={[
          ...besides,
          ...(known || now === null ? [] : [now]),
          ...latest,
          ...(more ? [{ value: FIND, label: 'Find another …' }] : []),
        ]}
      />
      <Sheet open={finding} onClose={() => setFinding(false)} title={`${label}: find another`}>
        <Finder
          label={label}
          find={find}
          onFound={(value) => {
            setFinding(false);
            onChange(value);
          }}
        />
      </Sheet>
    </>
  );
}

function Finder({
  label,
  find,
  onFound,
}: {
  label: string;
  find: Props['find'];
  onFound: (value: string) => void;
}) {
  const [words, setWords] = useState('');
  const field = useRef<HTMLInputElement>(null);
  useEffect(() => field.current?.focus(), []);
  const found = useQuery({
    queryKey: ['find', label, words.trim()],
    queryFn: () => find(words.trim()),
    placeholderData: keepPreviousData,
    // Another list of the same label has other records.
    gcTime: 0,
  });
  return (
    <>
      <Field
        ref={field}
        label="Words of its name"
        value={words}
        maxLength={60}
        onChange={(event) => setWords(event.target.value)}
      />
      {found.error && <Notice error={found.error} />}
      <ul className="m-0 p-0 list-none" aria-live="polite" aria-busy={found.isFetching}>
        {found.data?.map((one) => (
          <li key={one.value}>
            <button
              type="button"
              className="w-full min-h-11 px-2 text-left rounded-md cursor-pointer bg-transparent hover:bg-haze"
              onClick={() => onFound(one.value)}
            >
              {one.label}
            </button>
          </li>
        ))}
        {found.data?.length === 0 && <li className="text-ink-soft">None has these words in its name.</li>}
        {(found.data?.length ?? 0) >= SHOWN && (
          <li className="text-ink-soft">There are more: say more of the name.</li>
        )}
      </ul>
    </>
  );
}
