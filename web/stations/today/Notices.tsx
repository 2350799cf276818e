// What came back while one was away: answers to lessons, words on steps, sign-offs, comments; until one says that one saw it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { dayAndTime } from '~/units';

export function Notices({ notices }: { notices: Schemas['Notice'][] }) {
  const client = useQueryClient();
  const seen = useMutation({
    mutationFn: () => answered(api.POST('/notices/seen')),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['today'] }),
  });
  if (notices.length === 0) return null;
  return (
    <Card caption="Came back to you" className="pb-3">
      <ul className="m-0 px-3 list-none grid gap-2" data-list="notices">
        {notices.map((one) => (
          <li key={one.at + one.said}>
            <Link to={one.path}>{one.said}</Link>
            <span className="block text-sm text-ink-soft">{dayAndTime(one.at)}</span>
          </li>
        ))}
      </ul>
      <div className="px-3 pt-2">
        <Button onClick={() => seen.mutate()} disabled={seen.isPending}>
          Seen
        </Button>
      </div>
    </Card>
  );
}
