// What was said about moments of the take; a trainer adds to it at the moment that is shown.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { clock } from '~/units';

type Props = {
  take: Schemas['TakeDetail'];
  time: number;
  onTime: (time: number) => void;
  saying: boolean;
  setSaying: (saying: boolean) => void;
};

export function Comments({ take, time, onTime, saying, setSaying }: Props) {
  const { user } = useSession();
  const client = useQueryClient();
  const [text, setText] = useState('');
  const say = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/takes/{take}/comments', {
          params: { path: { take: take.id } },
          body: { at_s: Number(time.toFixed(2)), text },
        }),
      ),
    onSuccess: () => {
      setText('');
      setSaying(false);
      void client.invalidateQueries({ queryKey: ['take', take.id] });
    },
  });
  if (user.role !== 'trainer' && take.said.length === 0) return null;
  return (
    <Card className="p-3 grid gap-2">
      <h2>Said about it</h2>
      <ul className="m-0 p-0 list-none">
        {take.said.map((comment) => (
          <li key={comment.id} className="border-t border-line first:border-t-0">
            <button
              type="button"
              className="grid grid-cols-[3.6rem_1fr] gap-2 w-full text-left py-2 text-sm cursor-pointer bg-transparent"
              onClick={() => onTime(comment.at_s)}
            >
              <span className="figure text-larkspur">{clock(comment.at_s)}</span>
              <span>
                <b>{comment.author}</b>: {comment.text}
              </span>
            </button>
          </li>
        ))}
      </ul>
      {user.role === 'trainer' &&
        (saying ? (
          <form
            className="grid gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              say.mutate();
            }}
          >
            <label htmlFor="comment" className="text-sm">
              At <span className="figure">{clock(time)}</span>
            </label>
            <textarea
              id="comment"
              // biome-ignore lint/a11y/noAutofocus: opened by the person who is about to write
              autoFocus
              rows={3}
              maxLength={2000}
              className="rounded-md border border-line bg-card text-ink p-2"
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
            {say.error && <Notice error={say.error} />}
            <div className="flex gap-2">
              <Button primary type="submit" disabled={text.trim() === '' || say.isPending}>
                Say it
              </Button>
              <Button onClick={() => setSaying(false)}>Not now</Button>
            </div>
          </form>
        ) : (
          <Button onClick={() => setSaying(true)}>
            Comment on <span className="figure">{clock(time)}</span>
          </Button>
        ))}
    </Card>
  );
}
