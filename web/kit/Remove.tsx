// Removes a record for good, after it has been asked once more.
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Button } from './Button';
import { Notice } from './Notice';
import { Sheet } from './Sheet';

type Props = {
  /** What it is, as in "this day". */
  what: string;
  /** Has the server remove it. */
  ask: () => Promise<unknown>;
  /** What goes with it, and what stays. */
  words: string;
  onRemoved: () => void;
};

export function Remove({ what, ask, words, onRemoved }: Props) {
  const [asking, setAsking] = useState(false);
  const remove = useMutation({ mutationFn: ask, onSuccess: onRemoved });
  const close = () => {
    setAsking(false);
    remove.reset();
  };
  return (
    <>
      <button
        type="button"
        className="justify-self-start min-h-11 px-2 -ml-2 rounded-md text-sm text-ink-soft underline cursor-pointer bg-transparent"
        onClick={() => setAsking(true)}
      >
        Remove {what}
      </button>
      <Sheet open={asking} onClose={close} title={`Remove ${what}?`}>
        <p className="m-0">{words}</p>
        {remove.error && <Notice error={remove.error} />}
        <div className="flex flex-wrap gap-2 justify-end">
          <Button onClick={close}>Leave it</Button>
          <Button primary disabled={remove.isPending} onClick={() => remove.mutate()}>
            Remove
          </Button>
        </div>
      </Sheet>
    </>
  );
}
