// A shot worked out on its sheets. Every pull asks the server; path, thumb sheet, frames and checks follow.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect, useEffectEvent, useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { useSite } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { KEPT, Leaving } from '~/kit/Leaving';
import { Notice } from '~/kit/Notice';
import { useKeys } from '~/kit/useKeys';
import { FrameStrip } from '~/pictures/FrameStrip';
import { useSession } from '~/shell/session';
import { day, hour } from '~/units';
import { AimAt } from './AimAt';
import { BriefCard, NO_BRIEF } from './BriefCard';
import { Combine } from './Combine';
import { Cues } from './Cues';
import { type Draft, draftOf, type Values } from './draft';
import { Findings } from './Findings';
import { FrameIt } from './FrameIt';
import { forget, useUnkept } from './keptDraft';
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

/** What happened on this device is told on its own clock. */
const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function Worksheet({ first, shot, shots, sites, rigs, moves }: Props) {
  const [title, setTitle] = useState(shot?.title ?? '');
  const [time, setTime] = useState<number | null>(null);
  const [lower, setLower] = useState<LowerView>('sheet');
  const { user } = useSession();
  const { draft, change, pull, undo, redo, plan, expectation, reading, problem, busy } = usePlan(first);
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
  const suggested = untaken(`${place}, ${manner}`, shots, shot?.id);

  const now = JSON.stringify([draft, title]);
  const [keptAs, setKeptAs] = useState(now);
  const dirty = now !== keptAs;
  const { left, letGo } = useUnkept(user.id, shot?.id ?? null, { draft, title }, dirty);
  const called = title.trim() === '' ? suggested : title.trim();
  const { keepIt, flyIt, keepAnother, keeping, keptAt, theirs, lookAt, refused } = useKept(
    shot,
    () => ({ ...draft, parameters: values, title: called }),
    () => {
      setKeptAs(now);
      letGo();
    },
  );
  const another = () => keepAnother(untaken(called, shots, undefined));
  const opposite = plan?.opposite ?? null;
  const turnRound = () => {
    if (opposite) set(opposite);
  };
  useKeys({ o: turnRound, k: () => keepIt(), f: flyIt });
  useSteps(undo, redo);

  if (!site) return null;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_310px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <Leaving
        dirty={dirty}
        what="This shot as it stands here"
        onLose={() => forget(user.id, shot?.id ?? null)}
      />
      <TitleBar
        title={title}
        suggested={suggested}
        onTitle={setTitle}
        said={plan ? [plan.summary, expectation?.sentence].join(' ') : ''}
        shot={shot?.id ?? null}
        site={site.id}
        move={draft.move}
        onOpposite={opposite ? turnRound : undefined}
        onUndo={undo}
        onRedo={redo}
        onKeep={() => keepIt()}
        onFly={flyIt}
        waits={keeping || plan === null}
        kept={dirty ? 'Not kept yet' : keptAt === null ? '' : `Kept at ${hour(keptAt, HERE)}`}
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
        {left && (
          <Card className="p-3 grid gap-2" label="Left here">
            <p className="m-0 text-sm">
              You left this shot otherwise on {day(left.at, HERE)} at {hour(left.at, HERE)}, and did not keep
              it.
            </p>
            <div className="flex flex-wrap gap-2">
              <Button
                primary
                onClick={() => {
                  change({ kind: 'put', put: left.draft });
                  setTitle(left.title);
                  letGo();
                }}
              >
                Go on with that
              </Button>
              <Button onClick={letGo}>Let it go</Button>
            </div>
          </Card>
        )}
        {problem && <Notice text={refusalOf(problem, parameters)} />}
        {theirs ? (
          <Card className="p-3 grid gap-2" label="Somebody kept it first">
            <Notice error={refused} />
            <Button
              onClick={() => {
                change({ kind: 'put', put: draftOf(theirs) });
                setTitle(theirs.title);
                lookAt(theirs);
              }}
            >
              Look at theirs
            </Button>
            <Button onClick={() => keepIt(theirs.version)}>Keep this over it</Button>
            <Button onClick={another}>Keep this as another</Button>
          </Card>
        ) : (
          refused && <Notice error={refused} />
        )}
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
        {plan && (
          <AimAt plan={plan} aim={draft.aim ?? null} onAim={(aim) => change({ kind: 'put', put: { aim } })} />
        )}
        {draft.move === 'combination' && <Combine draft={draft} plan={plan} change={change} moves={moves} />}
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
          things={site.document.solids}
          onChange={(brief) => change({ kind: 'put', put: { brief } })}
        />
        <TakeAlong shot={shot} rigId={draft.rig_id} onAnother={shot ? another : undefined} />
        {plan && <Cues cues={plan.cues} told={plan.subject_brief} onTime={setTime} />}
      </aside>
    </main>
  );
}

/** Keeps the shot, and goes on to where it is kept or flown. What somebody else has kept meanwhile is theirs until it is decided. */
function useKept(
  shot: Schemas['Shot'] | null,
  body: () => Omit<Schemas['ShotDraft'], 'version'>,
  onKept: () => void,
) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const kept = useLocation().state as { kept?: boolean; at?: string } | null;
  const [keptAt, setKeptAt] = useState<string | null>(kept?.at ?? null);
  const keep = useMutation({
    mutationFn: ({ over, another }: { over?: number; another?: string }) =>
      shot && another === undefined
        ? answered(
            api.PUT('/shots/{shot}', {
              params: { path: { shot: shot.id } },
              body: { ...body(), version: over ?? shot.version },
            }),
          )
        : answered(api.POST('/shots', { body: { ...body(), title: another ?? body().title } })),
    onSuccess: (kept) => {
      onKept();
      setKeptAt(new Date().toISOString());
      client.setQueryData(['shot', kept.id], kept);
      for (const key of ['shots', 'today']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const here = (shot: Schemas['Shot']) =>
    navigate(`/plan/${shot.id}`, {
      replace: true,
      state: { ...KEPT, at: new Date().toISOString() },
    });
  const first = keep.error instanceof Problem && keep.error.status === 409 ? keep.error.details : null;
  return {
    keepIt: (over?: number) => keep.mutate({ over }, { onSuccess: here }),
    keepAnother: (title: string) => keep.mutate({ another: title }, { onSuccess: here }),
    flyIt: () => keep.mutate({}, { onSuccess: (kept) => navigate(`/fly/${kept.id}`, { state: KEPT }) }),
    keeping: keep.isPending,
    keptAt,
    theirs: first === null ? null : (first as unknown as Schemas['ShotChanged']).latest,
    /** From here on it is theirs that is worked on. */
    lookAt: (theirs: Schemas['Shot']) => {
      client.setQueryData(['shot', theirs.id], theirs);
      keep.reset();
    },
    refused: keep.error,
  };
}

/** Ctrl Z takes a step back, with the shift key forth again. */
function useSteps(undo: (() => void) | null, redo: (() => void) | null): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (target.closest('input, textarea, [role="dialog"], [role="listbox"]')) return;
    if (!(event.ctrlKey || event.metaKey) || event.key.toLowerCase() !== 'z') return;
    event.preventDefault();
    (event.shiftKey ? redo : undo)?.();
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}

/** A title that no other shot has: with a number behind it where one does. */
export function untaken(title: string, shots: Schemas['Shot'][], but: number | undefined): string {
  const taken = new Set(shots.filter((one) => one.id !== but).map((one) => one.title));
  const plain = title.replace(/ \d+$/, '');
  for (let k = 2, next = title; ; k++) {
    if (!taken.has(next)) return next;
    next = `${plain} ${k}`;
  }
}

/** The server's words, led by the dial that they are about. */
function refusalOf(problem: Problem, parameters: Schemas['Parameter'][]): string {
  const place = problem.details.errors[0]?.place ?? '';
  const dial = parameters.find((parameter) => place.endsWith(parameter.id));
  return dial === undefined ? problem.words : `${dial.label}: ${problem.words}`;
}
