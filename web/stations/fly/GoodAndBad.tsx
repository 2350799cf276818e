// Good beside bad: the shot flown clean and with one fault by the same hands, through the lens, staves beneath, on one clock.
import { useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { Transport } from '~/kit/Transport';
import { prefersStill, usePlayback } from '~/kit/usePlayback';
import { laneOf, StaveLanes } from '~/pictures/StaveLanes';

const TakeView = lazy(() => import('~/stage/TakeView'));

export function GoodAndBad({ shot, ground }: { shot: Schemas['Shot']; ground: number[][] }) {
  const [fault, setFault] = useState('');
  const pair = useQuery({
    queryKey: ['pair', shot.id, fault],
    queryFn: () =>
      answered(
        api.GET('/shots/{shot}/pair', {
          params: { path: { shot: shot.id }, query: fault === '' ? {} : { fault } },
        }),
      ),
    placeholderData: (before) => before,
    staleTime: 600_000,
  });
  if (pair.error) return <Notice error={pair.error} />;
  if (pair.data === undefined) return <Skeleton className="h-96" />;
  return (
    <Card className="p-3 grid gap-3">
      <div className="flex flex-wrap gap-3 items-end justify-between">
        <h2>Good beside bad, simulated</h2>
        <div className="w-64">
          <Pick
            label="The fault"
            value={pair.data.bad.fault ?? ''}
            onChange={setFault}
            options={pair.data.choices.map((one) => ({ value: one.id, label: one.name }))}
          />
        </div>
      </div>
      <Both pair={pair.data} ground={ground} key={pair.data.bad.fault ?? 'none'} />
    </Card>
  );
}

function Both({ pair, ground }: { pair: Schemas['Pair']; ground: number[][] }) {
  const { t } = pair.good.samples;
  const end = t[t.length - 1] ?? 1;
  const { time, setTime, playing, setPlaying } = usePlayback(0, end, () => 0, !prefersStill());
  return (
    <>
      <div className="grid gap-3 sm:grid-cols-2">
        {(['good', 'bad'] as const).map((one) => (
          <figure key={one} className="m-0 grid gap-1">
            <figcaption className="text-sm">
              {one === 'good' ? 'Clean' : 'With the fault'}:{' '}
              <span className="figure">{Math.round(pair[one].score)}</span>. {pair[one].headline}
            </figcaption>
            <div className="aspect-video">
              <Suspense fallback={<Skeleton className="size-full" />}>
                <TakeView
                  plan={pair.plan}
                  site={pair.site}
                  ground={ground}
                  samples={pair[one].samples}
                  time={time}
                />
              </Suspense>
            </div>
          </figure>
        ))}
      </div>
      <Transport
        label="Moment of both"
        from={0}
        to={end}
        time={time}
        playing={playing}
        onPlaying={setPlaying}
        onTime={setTime}
      />
      <div className="h-60">
        <StaveLanes
          lanes={pair.plan.presses.map(laneOf)}
          planned={{ t: pair.good.samples.t, fingers: pair.good.fingers }}
          flown={{ t: pair.bad.samples.t, fingers: pair.bad.fingers }}
          from={0}
          to={end}
          time={time}
          onTime={(at) => {
            setPlaying(false);
            setTime(at);
          }}
        />
      </div>
      <p className="m-0 text-sm text-ink-soft">
        Outline: the clean hands. Filled: the same hands with the fault.
      </p>
      {pair.bad.told_otherwise !== null && <p className="m-0 text-sm">{pair.bad.told_otherwise}</p>}
    </>
  );
}
