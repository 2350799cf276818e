// A log on its way: how far it is, for how long, and what can be done where it stands still or broke off.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { Remove } from '~/kit/Remove';

/** Seconds after which somebody wonders how long it has been. */
const WONDERS_AFTER = 10;

const WORDS = { waiting: 'waiting', reading: 'reading', judging: 'judging' } as const;

export function OnItsWay({ item }: { item: Schemas['Import'] }) {
  const cancel = useCancel(item);
  const state = item.state as keyof typeof WORDS;
  const age = item.age_s ?? 0;
  const share = state === 'judging' ? 1 : item.bytes > 0 ? item.bytes_read / item.bytes : 0;
  return (
    <>
      <Bar share={share} words={age < WONDERS_AFTER ? WORDS[state] : `${WORDS[state]}, ${lasting(age)}`} />
      {item.stalled && (
        <span className="text-brick" data-stalled>
          Nothing has moved here for a while. It goes on by itself as soon as the server works on logs again,
          or says here that it failed; the file is safe. Tell your trainer if this lasts.
        </span>
      )}
      {age >= WONDERS_AFTER && (
        <span className="justify-self-start">
          <Button onClick={() => cancel.mutate()} disabled={cancel.isPending}>
            Don’t read it
          </Button>
        </span>
      )}
      {cancel.isError && <Notice error={cancel.error} />}
    </>
  );
}

export function Failed({ item }: { item: Schemas['Import'] }) {
  const client = useQueryClient();
  const cancel = useCancel(item);
  const again = useMutation({
    mutationFn: () =>
      answered(api.POST('/imports/{import}/again', { params: { path: { import: item.id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ['imports'] }),
  });
  return (
    <>
      <span className="text-brick">
        {item.message} Nothing of it stands in the logbook yet; the file is kept here.
      </span>
      <span className="flex gap-2 flex-wrap">
        <Button primary onClick={() => again.mutate()} disabled={again.isPending}>
          Read it again
        </Button>
        <Remove
          what={item.file_name}
          ask={cancel.mutateAsync}
          words="Nothing of it came into the logbook. The file goes from the server; yours stays as it is."
          onRemoved={() => {}}
        />
      </span>
      {again.isError && <Notice error={again.error} />}
    </>
  );
}

function useCancel(item: Schemas['Import']) {
  const client = useQueryClient();
  return useMutation({
    mutationFn: () => answered(api.DELETE('/imports/{import}', { params: { path: { import: item.id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ['imports'] }),
  });
}

/** How long something has lasted, as a person says it. */
function lasting(seconds: number): string {
  if (seconds < 90) return `${Math.round(seconds)} s`;
  if (seconds < 5400) return `${Math.round(seconds / 60)} min`;
  return `${Math.round(seconds / 3600)} h`;
}

export function Bar({ share, words }: { share: number; words: string }) {
  return (
    <div className="grid grid-cols-[1fr_auto] gap-3 items-center">
      <progress
        className="w-full h-2 appearance-none bg-haze rounded-full overflow-hidden [&::-webkit-progress-bar]:bg-haze [&::-webkit-progress-value]:bg-larkspur [&::-moz-progress-bar]:bg-larkspur"
        max={1}
        value={share}
        aria-label={words}
      />
      <span className="text-ink-soft">{words}</span>
    </div>
  );
}
