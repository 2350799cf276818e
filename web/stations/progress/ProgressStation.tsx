// Progress: the logbook, newest first, with the scores over time above it.

import { Link } from 'react-router';
import { useTakes, useTrend } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Skeleton } from '~/kit/Skeleton';
import { TakeRow } from '~/pictures/TakeRow';
import { useSession } from '~/shell/session';
import { Trend } from './Trend';

export default function ProgressStation() {
  const { user, whose } = useSession();
  const takes = useTakes(whose);
  const trend = useTrend(whose);
  const all = takes.data?.pages.flatMap((page) => page.takes) ?? [];
  if (takes.error ?? trend.error) throw takes.error ?? trend.error;
  const everyone = user.role === 'trainer' && whose === undefined;
  return (
    <main className="p-5 grid gap-3 max-w-6xl mx-auto">
      <div>
        <h1>
          {everyone
            ? 'The class’s logbook'
            : user.role === 'trainer'
              ? `${all[0]?.operator.name ?? 'Operator'}’s logbook`
              : 'Your logbook'}
        </h1>
        <p className="m-0 text-sm text-ink-soft">
          One take ranks nobody: watch the line through five of them.
        </p>
      </div>
      {takes.isPending ? (
        <Skeleton className="h-96" />
      ) : all.length === 0 ? (
        <Card className="p-6 grid gap-3 justify-items-start">
          <h2>No take yet</h2>
          <p className="m-0">
            Plan a shot, then fly it: with a simulated operator, or for real, and bring the log in.
          </p>
          <Link className={buttonLook(true)} to="/plan">
            Plan a shot
          </Link>
        </Card>
      ) : (
        <>
          <Card
            caption="Scores, and the median of five"
            aside={`the last ${trend.data?.reduce((sum, one) => sum + one.points.length, 0) ?? 0} takes`}
          >
            {trend.data ? <Trend trends={trend.data} /> : <Skeleton className="h-36 m-3" />}
          </Card>
          <Card label="Takes, newest first">
            <ul className="m-0 p-0 list-none" data-list="takes">
              {all.map((take) => (
                <TakeRow key={take.id} take={take} showOperator={everyone} />
              ))}
            </ul>
          </Card>
          {takes.hasNextPage && (
            <Button onClick={() => takes.fetchNextPage()} disabled={takes.isFetchingNextPage}>
              {takes.isFetchingNextPage ? 'Fetching…' : 'Older takes'}
            </Button>
          )}
        </>
      )}
    </main>
  );
}
