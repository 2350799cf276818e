// A shot worked out on its sheets. Every pull asks the server; path, thumb sheet, frames and checks follow.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, type Problem, type Schemas } from '~/api/client';
import { useSite } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { useKeys } from '~/kit/useKeys';
import { FrameStrip } from '~/pictures/FrameStrip';
import { BriefCard, NO_BRIEF } from './BriefCard';
import { Combine } from './Combine';
import { Cues } from './Cues';
import type { Draft, Values } from './draft';
import { Findings } from './Findings';
import { FrameIt } from './FrameIt';
import { LowerPane, type LowerView } from './LowerPane';
import { SetUp } from './SetUp';
import { Shape } from './Shape';
import { SheetsPane } from './SheetsPane';
import { TakeAlong } from './TakeAlong';
import { TitleBar } from './TitleBar';
import { usePlan } from './usePlan';

type Props = {
  first: Draft;
  shot: Schemas['Shot'] | null;
  shots: Schemas['Shot'][];
  sites: Schemas['SiteName'][];
  rigs: Schemas['Rig'][];
  moves: Schemas['Move'][];
};

const NONE: Schemas['Parameter'][] = [];

export function Worksheet({ first, shot, shots, sites, rigs, moves }: Props) {
  const [title, setTitle] = useState(shot?.title ?? '');
  const [time, setTime] = useState<number | null>(null);
  const [lower, setLower] = useState<LowerView>('sheet');
  const { draft, change, pull, plan, expectation, reading, problem, busy } = usePlan(first);
  const site = useSite(draft.site_id).data;
  const moveNow = moves.find((item) => item.id === draft.move);
  const parameters = moveNow?.parameters ?? NONE;
  // What the shot is now: as drafted, completed by what the server assumed.
  const values: Values = {
    ...((plan?.intent.parameters as Values | undefined) ?? {}),
    ...(draft.parameters as Values),
  };
  const set = (next: Values) => change({ kind: 'values', values: next });
  const place =
    site?.subjects.find((subject) => subject.id === draft.subject_id)?.name ?? 'a place of your own';
  const manner =
    typeof values.direction === 'string' ? values.direction : (moveNow?.name ?? draft.move).toLowerCase();
  const suggested = `${place}, ${manner}`;

  const { keepIt, flyIt, keeping, refused } = useKept(shot, () => ({
    ...draft,
    parameters: values,
    title: title.trim() === '' ? suggested : title.trim(),
  }));
  const opposite = plan?.opposite ?? null;
  const turnRound = () => {
    if (opposite) set(opposite);
  };
  useKeys({ o: turnRound, k: keepIt, f: flyIt });

  if (!site) return null;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_310px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <TitleBar
        title={title}
        suggested={suggested}
        onTitle={setTitle}
        said={plan ? [plan.summary, expectation?.sentence].join(' ') : ''}
        shot={shot?.id ?? null}
        site={site.id}
        move={draft.move}
        onOpposite={opposite ? turnRound : undefined}
        onKeep={keepIt}
        onFly={flyIt}
        waits={keeping || plan === null}
      />
      <div
        className={`grid gap-3 min-w-0 min-h-0 ${lower === 'lens' ? 'lg:grid-rows-[minmax(180px,0.6fr)_minmax(380px,1.6fr)]' : 'lg:grid-rows-[minmax(190px,0.8fr)_auto_minmax(300px,1.25fr)]'}`}
        aria-busy={busy}
      >
        <SheetsPane
          plan={plan}
          site={site}
          wind={draft.wind ?? null}
          ownPlace={draft.subject_at ?? null}
          time={time}
          pull={pull}
          change={change}
        />
        {lower !== 'lens' && (
          <Card className="p-3">
            {plan ? (
              <FrameStrip frames={plan.frames} aspect={plan.camera.aspect} onTime={setTime} />
            ) : (
              <div className="h-24" />
            )}
          </Card>
        )}
        <LowerPane
          view={lower}
          onView={setLower}
          plan={plan}
          reading={reading}
          site={site}
          time={time}
          onTime={setTime}
          pull={pull}
          onVariant={(variant) => {
            change({ kind: 'variant', variant });
            setLower('sheet');
          }}
        />
      </div>
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        {problem && <Notice text={refusalOf(problem, parameters)} />}
        {refused && <Notice error={refused} />}
        <Shape
          set={set}
          values={values}
          parameters={parameters}
          plan={plan}
          problem={problem}
          move={draft.move}
          moves={moves}
          onMove={(move) =>
            change({
              kind: 'move',
              move,
              own: moves.find((one) => one.id === move)?.parameters.map((own) => own.id) ?? [],
            })
          }
        />
        {draft.move === 'combination' && <Combine draft={draft} change={change} moves={moves} />}
        {plan && <Findings findings={plan.findings} expectation={expectation} onMend={set} />}
        {plan && (
          <FrameIt
            key={`${draft.rig_id} ${draft.subject_id}`}
            draft={draft}
            site={site}
            parameters={parameters}
            set={set}
          />
        )}
        <SetUp
          draft={draft}
          change={change}
          subject={plan?.subject ?? null}
          site={site}
          sites={sites}
          rigs={rigs}
          shots={shots}
          shot={shot}
        />
        <BriefCard
          brief={draft.brief ?? NO_BRIEF}
          onChange={(brief) => change({ kind: 'put', put: { brief } })}
        />
        <TakeAlong shot={shot} rigId={draft.rig_id} />
        {plan && <Cues cues={plan.cues} time={time} onTime={setTime} />}
      </aside>
    </main>
  );
}

/** Keeps the shot, and goes on to where it is kept or flown. */
function useKept(shot: Schemas['Shot'] | null, body: () => Schemas['ShotDraft']) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const keep = useMutation({
    mutationFn: () =>
      shot
        ? answered(api.PUT('/shots/{shot}', { params: { path: { shot: shot.id } }, body: body() }))
        : answered(api.POST('/shots', { body: body() })),
    onSuccess: (kept) => {
      client.setQueryData(['shot', kept.id], kept);
      for (const key of ['shots', 'today']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  return {
    keepIt: () =>
      keep.mutate(undefined, { onSuccess: (kept) => navigate(`/plan/${kept.id}`, { replace: true }) }),
    flyIt: () => keep.mutate(undefined, { onSuccess: (kept) => navigate(`/fly/${kept.id}`) }),
    keeping: keep.isPending,
    refused: keep.error,
  };
}

/** The server's words, led by the dial that they are about. */
function refusalOf(problem: Problem, parameters: Schemas['Parameter'][]): string {
  const place = problem.details.errors[0]?.place ?? '';
  const dial = parameters.find((parameter) => place.endsWith(parameter.id));
  return dial === undefined ? problem.words : `${dial.label}: ${problem.words}`;
}
