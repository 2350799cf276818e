// A take whose move the log does not tell: the two likeliest are offered, or any other.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { useMoves } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { clock } from '~/units';

type Props = { item: Schemas['Import']; take: Schemas['UnsureTake'] };

export function NameMove({ item, take }: Props) {
  const client = useQueryClient();
  const moves = useMoves();
  const [other, setOther] = useState('');
  const name = useMutation({
    mutationFn: (move: string) =>
      answered(
        api.PUT('/imports/{import}/takes/{number}', {
          params: { path: { import: item.id, number: take.number } },
          body: { move },
        }),
      ),
    onSuccess: () => {
      for (const key of ['imports', 'takes', 'today']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  return (
    <div className="grid gap-2 p-3 rounded-md border border-pollen" data-unsure={take.number}>
      <p className="m-0">
        Take {take.number}, {clock(take.from_s)} to {clock(take.to_s)}: the log does not tell which move it
        was.
      </p>
      <div className="flex flex-wrap gap-2 items-end">
        {take.candidates.map((candidate) => (
          <Button key={candidate.id} onClick={() => name.mutate(candidate.id)} disabled={name.isPending}>
            {candidate.name}
          </Button>
        ))}
        <div className="w-52">
          <Pick
            label="Another move"
            value={other}
            onChange={(move) => {
              setOther(move);
              name.mutate(move);
            }}
            options={(moves.data ?? []).map((move) => ({
              value: move.id,
              label: move.name,
              group: move.group_words,
            }))}
          />
        </div>
      </div>
      {name.error && <Notice error={name.error} />}
    </div>
  );
}
