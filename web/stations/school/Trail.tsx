// What was done to accounts and records, the latest first.
import { useInfiniteQuery } from '@tanstack/react-query';
import { answered, api } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { dayAndTime } from '~/units';

export function Trail() {
  const trail = useInfiniteQuery({
    queryKey: ['trail'],
    initialPageParam: 0,
    queryFn: ({ pageParam }) =>
      answered(api.GET('/trail', { params: { query: pageParam === 0 ? {} : { before: pageParam } } })),
    getNextPageParam: (page) => page.before ?? undefined,
  });
  const steps = trail.data?.pages.flatMap((page) => page.steps) ?? [];
  return (
    <Card className="p-4 grid gap-3" label="What was done">
      <h2>What was done</h2>
      {trail.error && <Notice error={trail.error} />}
      {trail.isSuccess && steps.length === 0 && <p className="m-0 text-ink-soft">Nothing yet.</p>}
      <ol className="m-0 p-0 list-none max-h-96 overflow-auto" data-list="trail">
        {steps.map((one) => (
          <li key={one.id} className="grid sm:grid-cols-[11rem_1fr_auto] gap-x-3 border-t border-line py-1">
            <span className="text-sm text-ink-soft">{dayAndTime(one.at)}</span>
            <span>
              {one.who} {one.did}
            </span>
            <span className="text-sm text-ink-soft">{one.address}</span>
          </li>
        ))}
      </ol>
      {trail.hasNextPage && (
        <Button className="justify-self-start" onClick={() => void trail.fetchNextPage()}>
          Earlier
        </Button>
      )}
    </Card>
  );
}
