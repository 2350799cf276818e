// Spot it: a take with a hidden fault, or with none. At which moment, on which finger, what was it? And good beside bad: the same shot
// clean and with one fault, through the lens.
import { useMutation, useQuery } from '@tanstack/react-query';
import { lazy, Suspense, useEffect, useRef, useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { useGround, useMoves, useSite } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { clock } from '~/units';
import { GoodAndBad } from './GoodAndBad';

const TakeView = lazy(() => import('~/stage/TakeView'));

const LEVEL: number[][] = [];

const SAID: Record<Schemas['SpotVerdict']['outcome'], string> = {
  hit: 'Seen.',
  miss: 'Missed.',
  'false-alarm': 'There was nothing: a false alarm.',
  'correct-rejection': 'Right: there was nothing.',
};

export function SpotIt({ shot }: { shot: Schemas['Shot'] | undefined }) {
  const [verdict, setVerdict] = useState<Schemas['SpotVerdict'] | null>(null);
  const [fault, setFault] = useState('');
  const [finger, setFinger] = useState('');
  const [hidden, setHidden] = useState('any');
  const moves = useMoves();
  const site = useSite(shot?.site_id);
  const ground = useGround(site.data, true).data?.ground ?? LEVEL;
  const record = useQuery({
    queryKey: ['spotting-record'],
    queryFn: () => answered(api.GET('/spottings/record')),
  });
  const round = useMutation({
    mutationFn: (id: number) =>
      answered(
        api.POST('/spottings', {
          body: {
            shot_id: id,
            ...(hidden === 'own' ? { own: true } : hidden === 'any' ? {} : { faults: [hidden] }),
          },
        }),
      ),
    onSuccess: () => {
      setVerdict(null);
      setFault('');
      setFinger('');
    },
  });
  const answer = useMutation({
    mutationFn: ({ id, at }: { id: number; at: number | null }) =>
      answered(
        api.PUT('/spottings/{spotting}', {
          params: { path: { spotting: id } },
          body: { at_s: at, fault: fault === '' ? null : fault, finger: finger === '' ? null : finger },
        }),
      ),
    onSuccess: (said) => {
      setVerdict(said);
      void record.refetch();
    },
  });
  if (shot === undefined) return <p className="m-0">There is no shot to look at yet. Plan one first.</p>;
  const seen = verdict?.record ?? record.data;
  const typical = moves.data?.find((one) => one.id === shot.move)?.faults ?? [];
  return (
    <div className="grid gap-3 lg:grid-cols-[1.6fr_1fr] items-start">
      <Card caption={round.data === undefined ? 'Spot it' : 'A take of this shot, simulated'}>
        <div className="p-3 grid gap-3">
          {round.data === undefined ? (
            <p className="m-0">
              A take of “{shot.title}” is played. In it one finger errs, or none does. Press when you see it.
            </p>
          ) : (
            <Player
              key={round.data.id}
              round={round.data}
              ground={ground}
              verdict={verdict}
              onSeen={(at) => verdict === null && answer.mutate({ id: round.data.id, at })}
            />
          )}
          {round.error && <Notice error={round.error} />}
          {answer.error && <Notice error={answer.error} />}
          <Button
            primary={round.data === undefined || verdict !== null}
            disabled={round.isPending}
            onClick={() => round.mutate(shot.id)}
            data-round
          >
            {round.isPending ? 'It is flown…' : round.data === undefined ? 'Show me one' : 'Another one'}
          </Button>
        </div>
      </Card>
      <div className="grid gap-3">
        {(round.data === undefined || verdict !== null) && (
          <Card className="p-3">
            <Pick
              label="What may be hidden"
              value={hidden}
              onChange={setHidden}
              options={[
                { value: 'any', label: 'Any fault of this move, or none' },
                { value: 'own', label: 'My own commonest, or none' },
                ...typical.map((one) => ({ value: one.id, label: `${one.name}, or nothing` })),
              ]}
            />
          </Card>
        )}
        {round.data !== undefined && verdict === null && (
          <Card className="p-3 grid gap-2">
            <h2>Say more, if you can</h2>
            <Pick
              label="What it is"
              empty="Not said"
              value={fault}
              onChange={setFault}
              options={round.data.choices.map((one) => ({ value: one.id, label: one.name }))}
            />
            <Pick
              label="On which finger"
              empty="Not said"
              value={finger}
              onChange={setFinger}
              options={['climb', 'turn', 'run', 'slide', 'tilt'].map((one) => ({ value: one, label: one }))}
            />
            <p className="m-0 text-sm text-ink-soft">Choose before you press; the moment is what counts.</p>
          </Card>
        )}
        {verdict !== null && (
          <Card className="p-3 grid gap-1">
            <h2 data-role="verdict">{SAID[verdict.outcome]}</h2>
            {verdict.fault !== null && (
              <p className="m-0">
                It was {verdict.name}
                {verdict.finger === null ? '' : ` on the ${verdict.finger}`}, from{' '}
                <span className="figure">{clock(verdict.from_s ?? 0)}</span> to{' '}
                <span className="figure">{clock(verdict.to_s ?? 0)}</span>.
                {verdict.named === true && ' You named it rightly.'}
                {verdict.named === false && ' You called it something else.'}
                {verdict.fingered === false && ' It was another finger than you said.'}
              </p>
            )}
          </Card>
        )}
        {seen !== undefined && seen.rounds > 0 && (
          <Card className="p-3 grid gap-1">
            <h2>Your eye so far</h2>
            <p className="m-0">
              Of {seen.hits + seen.misses} with a fault {seen.hits} seen; of{' '}
              {seen.false_alarms + seen.correct_rejections} without one {seen.correct_rejections} told as
              such.
            </p>
            {seen.sensitivity === null ? (
              <p className="m-0 text-sm text-ink-soft">
                Too few to tell: it takes four rounds with a fault and four without.
              </p>
            ) : (
              <p className="m-0 text-sm">
                d′ <span className="figure">{seen.sensitivity.toFixed(1)}</span>: 0 is guessing, 1 fair, 2
                good. Bias <span className="figure">{(seen.bias ?? 0).toFixed(1)}</span>:{' '}
                {Math.abs(seen.bias ?? 0) < 0.3
                  ? 'you say “fault” about as often as there is one.'
                  : (seen.bias ?? 0) > 0
                    ? 'you let faults pass more often than you see ghosts.'
                    : 'you see faults where there are none.'}
              </p>
            )}
          </Card>
        )}
      </div>
      <div className="lg:col-span-2">
        <GoodAndBad shot={shot} ground={ground} />
      </div>
    </div>
  );
}

type PlayerProps = {
  ground: number[][];
  round: Schemas['Spotting'];
  verdict: Schemas['SpotVerdict'] | null;
  onSeen: (at: number | null) => void;
};

function Player({ round, ground, verdict, onSeen }: PlayerProps) {
  const [time, setTime] = useState(0);
  const [playing, setPlaying] = useState(true);
  const end = round.samples.t[round.samples.t.length - 1] ?? 0;
  const now = useRef(0);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last: number | null = null;
    const tick = (at: number) => {
      now.current = Math.min(end, now.current + (last === null ? 0 : (at - last) / 1000));
      last = at;
      setTime(now.current);
      if (now.current >= end) setPlaying(false);
      else frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing, end]);
  const from = (at: number) => {
    now.current = Math.max(0, at);
    setTime(now.current);
    setPlaying(true);
  };
  return (
    <>
      <div className="aspect-video">
        <Suspense fallback={<Skeleton className="size-full" />}>
          <TakeView plan={round.plan} site={round.site} ground={ground} samples={round.samples} time={time} />
        </Suspense>
      </div>
      <div className="h-2 bg-haze rounded-md overflow-hidden relative" aria-hidden="true">
        <span
          className="absolute inset-y-0 left-0 bg-petal"
          style={{ width: `${(100 * time) / Math.max(1, end)}%` }}
        />
        {verdict?.from_s != null && (
          <span
            className="absolute inset-y-0 bg-brick"
            style={{
              left: `${(100 * verdict.from_s) / end}%`,
              width: `${Math.max(1, (100 * ((verdict.to_s ?? verdict.from_s) - verdict.from_s)) / end)}%`,
            }}
          />
        )}
      </div>
      <div className="flex flex-wrap gap-2 items-center">
        <span className="figure">{clock(time)}</span>
        {verdict === null ? (
          <>
            <Button primary onClick={() => onSeen(now.current)} data-seen>
              There it was
            </Button>
            <Button onClick={() => onSeen(null)} data-nothing>
              Nothing was wrong
            </Button>
            <Button onClick={() => from(0)}>From the start</Button>
          </>
        ) : (
          <Button onClick={() => from((verdict.from_s ?? 2) - 2)}>Look again</Button>
        )}
      </div>
    </>
  );
}
