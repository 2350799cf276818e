// A copy of everything that is kept about a person, to take along; made in the background.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '~/api/client';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { dayAndTime } from '~/units';

export function MyData() {
  const client = useQueryClient();
  const copies = useQuery({
    queryKey: ['personal-copies'],
    queryFn: () => answered(api.GET('/account/copies')),
    refetchInterval: ({ state }) =>
      state.data?.some((one) => one.state === 'waiting' || one.state === 'writing') ? 1500 : false,
  });
  const make = useMutation({
    mutationFn: () => answered(api.POST('/account/copies')),
    onSettled: () => client.invalidateQueries({ queryKey: ['personal-copies'] }),
  });
  return (
    <Card className="p-4 grid gap-3">
      <h2>Your data</h2>
      <p className="m-0">
        Account, shots, days, rigs, every take with its judgements and what was said of it, and each log byte
        for byte, in one file of open formats.
      </p>
      <ul className="m-0 p-0 list-none grid gap-2">
        {(copies.data ?? []).map((one) => (
          <li key={one.id} className="flex justify-between items-center gap-3 border-t border-line pt-2">
            <span>
              {one.of}, {dayAndTime(one.at)}
              <span className="block text-sm text-ink-soft">
                {one.state === 'ready'
                  ? `${(one.bytes / 1e6).toFixed(1)} MB, kept until ${dayAndTime(one.until)}`
                  : one.state === 'failed'
                    ? 'It could not be made; ask for it again.'
                    : `being written, ${one.done} of ${one.total} takes and logs`}
              </span>
            </span>
            {one.state === 'ready' && (
              <a className={buttonLook()} href={`/api/v1/account/copies/${one.id}`}>
                Take it
              </a>
            )}
          </li>
        ))}
      </ul>
      {make.error && <Notice error={make.error} />}
      <Button className="justify-self-start" onClick={() => make.mutate()} disabled={make.isPending}>
        Make a copy of everything
      </Button>
    </Card>
  );
}
