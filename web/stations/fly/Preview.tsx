// What is about to be flown, as the lens will see it where it is flown as planned; and in words why it can't be, where it can't.
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useMemo } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { gridPoints } from '~/flight/flight';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { Transport } from '~/kit/Transport';
import { prefersStill, usePlayback } from '~/kit/usePlayback';

const TakeView = lazy(() => import('~/stage/TakeView'));

export function Preview({ wanted }: { wanted: Schemas['ExerciseWanted'] }) {
  const asked = useQuery({
    queryKey: ['exercise', wanted],
    queryFn: () => answered(api.POST('/exercises', { body: wanted })),
    placeholderData: (before) => before,
    staleTime: 60_000,
  });
  return (
    <Card caption={asked.data?.title ?? 'The exercise'} aside="as planned, through the lens">
      {asked.error ? (
        <div className="p-3">
          <Notice error={asked.error} />
        </div>
      ) : asked.data === undefined ? (
        <Skeleton className="aspect-video m-3" />
      ) : (
        <Playing exercise={asked.data} key={asked.data.seal} />
      )}
    </Card>
  );
}

function Playing({ exercise }: { exercise: Schemas['Exercise'] }) {
  const { plan, world } = exercise;
  const ground = useMemo(() => gridPoints(world.ground), [world]);
  const from = exercise.starts_at_s;
  const to = exercise.conditions.loop?.to_s ?? plan.phases.duration_s;
  const { time, setTime, playing, setPlaying } = usePlayback(from, to, () => from, !prefersStill());
  return (
    <div className="grid gap-2 p-3">
      <div className="aspect-video">
        <Suspense fallback={<Skeleton className="size-full" />}>
          <TakeView plan={plan} site={exercise.site} ground={ground} samples={plan.samples} time={time} />
        </Suspense>
      </div>
      <Transport
        label="Moment"
        from={from}
        to={to}
        time={time}
        playing={playing}
        onPlaying={setPlaying}
        onTime={setTime}
      />
      <p className="m-0 text-sm text-ink-soft">{plan.summary}</p>
    </div>
  );
}
