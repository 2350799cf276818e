// Plan: a shot worked out on the site sheet. Every drag asks the server; path, thumb sheet, frames and checks follow.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Tabs } from 'radix-ui';
import { lazy, Suspense, useCallback, useMemo, useRef, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { call, type Problem, type Schemas } from '~/api/client';
import { useGround, useMoves, useRigs, useShot, useShots, useSite, useSites } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { useKeys } from '~/kit/useKeys';
import { FrameStrip } from '~/pictures/FrameStrip';
import { SideSheet } from '~/pictures/SideSheet';
import { SiteSheet } from '~/pictures/SiteSheet';
import { laneOf, StaveLanes } from '~/pictures/StaveLanes';
import { useSession } from '~/shell/session';
import { BriefCard, NO_BRIEF } from './BriefCard';
import { Combine } from './Combine';
import { Cues } from './Cues';
import { draftOf, newDraft, rounded, type Values, withMove, withValues } from './draft';
import { Findings } from './Findings';
import { FrameIt } from './FrameIt';
import { PlanNav } from './PlanNav';
import { Readings, type ReadingView } from './Readings';
import { SetUp } from './SetUp';
import { Shape } from './Shape';
import { TakeAlong } from './TakeAlong';
import { useGrips } from './useGrips';
import { useHandles } from './useHandles';
import { type Draft, usePlan } from './usePlan';

const CameraWindow = lazy(() => import('~/stage/CameraWindow'));

/** What the lower card shows: the part to play, what the lens sees, or one of the readings. */
const LOWER = {
  sheet: 'Thumb sheet',
  lens: 'Lens',
  reveal: 'Reveal',
  depth: 'Depth',
  room: 'Room',
  wind: 'Wind',
  edit: 'Edit',
  variants: 'Variants',
};

export default function PlanStation() {
  const params = useParams();
  const [search] = useSearchParams();
  const shotId = params.shot !== undefined && params.shot !== 'new' ? Number(params.shot) : undefined;
  const { whose } = useSession();
  const sites = useSites();
  const rigs = useRigs();
  const moves = useMoves();
  const shots = useShots(whose);
  const wanted = shotId ?? (params.shot === 'new' ? undefined : shots.data?.[0]?.id);
  const shot = useShot(wanted);
  // A new shot begins where the last one was, or where there is something to film.
  const siteId =
    shot.data?.site_id ??
    shots.data?.[0]?.site_id ??
    (sites.data?.find((one) => one.subjects > 0) ?? sites.data?.[0])?.id;
  const site = useSite(siteId);
  if (shot.error) throw shot.error;
  if (site.error) throw site.error;
  const ready = shots.data && (wanted === undefined || shot.data) && (siteId === undefined || site.data);
  if (!ready || !sites.data || !rigs.data || !moves.data) return <Skeleton className="h-[80vh] m-5" />;
  if (!site.data || !rigs.data[0]) {
    return (
      <main className="p-5">
        <Notice tone="soft" text="Your school has no site or no rig yet; a shot needs both." />
      </main>
    );
  }
  const asked = moves.data.find((item) => item.id === search.get('move'))?.id;
  const changes = Object.fromEntries(
    [...search]
      .filter(([key]) => key !== 'move')
      .map(([key, value]) => [key, Number.isNaN(Number(value)) ? value : Number(value)]),
  );
  const first = shot.data ? draftOf(shot.data, changes) : newDraft(site.data, rigs.data[0], asked ?? 'orbit');
  return (
    <Worksheet
      key={shot.data ? `${shot.data.id}-${search}` : `new-${asked ?? ''}`}
      first={first}
      shot={shot.data ?? null}
      shots={shots.data ?? []}
      sites={sites.data}
      rigs={rigs.data}
      moves={moves.data}
    />
  );
}

const NONE: Schemas['Parameter'][] = [];

const NO_GROUND: number[][] = [];

type Props = {
  first: Draft;
  shot: Schemas['Shot'] | null;
  shots: Schemas['Shot'][];
  sites: Schemas['SiteName'][];
  rigs: Schemas['Rig'][];
  moves: Schemas['Move'][];
};

function Worksheet({ first, shot, shots, sites, rigs, moves }: Props) {
  const { units } = useSession();
  const [title, setTitle] = useState(shot?.title ?? '');
  const [time, setTime] = useState<number | null>(null);
  const [lower, setLower] = useState<keyof typeof LOWER>('sheet');
  const { draft, change, plan, expectation, reading, problem, busy } = usePlan(first);
  const client = useQueryClient();
  const navigate = useNavigate();
  const site = useSite(draft.site_id).data;
  const moveNow = moves.find((item) => item.id === draft.move);
  const parameters = moveNow?.parameters ?? NONE;
  const bothWays = parameters.some((parameter) => parameter.id === 'direction');

  // What the shot is now: as drafted, completed by what the server assumed.
  const values = useMemo<Values>(
    () => ({ ...((plan?.intent.parameters as Values | undefined) ?? {}), ...(draft.parameters as Values) }),
    [plan, draft],
  );
  const now = useRef(values);
  now.current = values;
  // What is set up beside the shape: the same object as long as nothing of it changes, however the shape is dragged.
  const { mode, move, site_id, rig_id, subject_id, subject_at, aim, wind } = draft;
  const setting = useMemo(
    () => ({ mode, move, site_id, rig_id, subject_id, subject_at, aim, wind }),
    [mode, move, site_id, rig_id, subject_id, subject_at, aim, wind],
  );
  const ground = useGround(site, lower === 'lens');
  const draftRef = useRef(draft);
  draftRef.current = draft;
  const draftNow = useCallback(() => draftRef.current, []);
  const setBrief = useCallback(
    (brief: Schemas['Brief']) => change((draft) => ({ ...draft, brief })),
    [change],
  );
  const showVariant = useCallback(
    (variant: Schemas['Variant']) => {
      change((draft) => {
        const same = variant.move === draft.move && variant.parts === null;
        return {
          ...draft,
          move: variant.move,
          parameters: same
            ? { ...(draft.parameters as Values), ...(variant.parameters as Values) }
            : (variant.parameters as Values),
          join: variant.join ?? undefined,
          parts: variant.parts ?? undefined,
        };
      });
      setLower('sheet');
    },
    [change],
  );
  const latest = useRef(plan);
  latest.current = plan;
  const subjectNow = useCallback(() => latest.current?.subject, []);
  const set = useCallback((next: Values) => change((draft) => withValues(draft, next)), [change]);
  const handles = useHandles(plan, parameters, draft.subject_at, now, set, change);
  const grips = useGrips(plan, parameters, set);
  const hold = useMemo<[number, number] | null>(
    () => (plan ? [plan.phases.hold_from_s, plan.phases.hold_to_s] : null),
    [plan],
  );
  const planned = useMemo(() => plan && { t: plan.samples.t, fingers: plan.fingers }, [plan]);
  const lanes = useMemo(() => plan?.presses.map(laneOf) ?? [], [plan]);
  const chooseMove = useCallback(
    (move: string) => {
      const own = moves.find((one) => one.id === move)?.parameters ?? [];
      change((now) =>
        withMove(
          now,
          move,
          own.map((parameter) => parameter.id),
        ),
      );
    },
    [change, moves],
  );
  const has = (id: string) => parameters.some((parameter) => parameter.id === id);
  const setClimb = useCallback((climb: number) => set({ climb_m: rounded(climb, 0.5) }), [set]);
  const setTilt = useCallback(
    (tilt: number, atStart: boolean) => {
      const ids = parameters.map((parameter) => parameter.id);
      const id =
        (atStart && ids.includes('tilt_start_deg')) || !ids.includes('tilt_end_deg')
          ? 'tilt_start_deg'
          : 'tilt_end_deg';
      set({ [id]: Math.max(-90, Math.min(40, Math.round(tilt))) });
    },
    [set, parameters],
  );
  const setHeight = useCallback((height: number) => set({ height_m: rounded(height, 0.5) }), [set]);
  const name =
    site?.subjects.find((subject) => subject.id === draft.subject_id)?.name ?? 'a place of your own';
  const manner = bothWays
    ? values.direction === 'counterclockwise'
      ? 'counterclockwise'
      : 'clockwise'
    : (moveNow?.name ?? draft.move).toLowerCase();
  const suggested = `${name}, ${manner}`;

  const keep = useMutation({
    mutationFn: () =>
      call<Schemas['Shot']>(shot ? 'PUT' : 'POST', shot ? `/shots/${shot.id}` : '/shots', {
        ...draft,
        parameters: values,
        title: title.trim() === '' ? suggested : title.trim(),
      }),
    onSuccess: (kept) => {
      client.setQueryData(['shot', kept.id], kept);
      void client.invalidateQueries({ queryKey: ['shots'] });
      void client.invalidateQueries({ queryKey: ['today'] });
    },
  });
  const keepIt = useCallback(
    () => keep.mutate(undefined, { onSuccess: (kept) => navigate(`/plan/${kept.id}`, { replace: true }) }),
    [keep, navigate],
  );
  const flyIt = useCallback(
    () => keep.mutate(undefined, { onSuccess: (kept) => navigate(`/fly/${kept.id}`) }),
    [keep, navigate],
  );
  const opposite = plan?.opposite ?? null;
  const turnRound = useCallback(() => {
    if (opposite) set(opposite);
  }, [opposite, set]);
  useKeys(useMemo(() => ({ o: turnRound, k: keepIt, f: flyIt }), [turnRound, keepIt, flyIt]));

  if (!site) return null;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_310px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div className="min-w-0 grow">
          <input
            aria-label="Title of the shot"
            className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink placeholder:text-ink"
            value={title}
            placeholder={suggested}
            onChange={(event) => setTitle(event.target.value)}
          />
          <p className="m-0 text-sm text-ink-soft min-h-5">
            {plan && [plan.summary, expectation?.sentence].join(' ')}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <PlanNav now="shot" shot={shot?.id ?? null} site={site.id} />
          <Link className={buttonLook()} to={`/plan/moves/${draft.move}`}>
            All moves
          </Link>
          {opposite && <Button onClick={turnRound}>Other way round</Button>}
          <Button onClick={keepIt} disabled={keep.isPending || plan === null}>
            Keep
          </Button>
          <Button primary onClick={flyIt} disabled={keep.isPending || plan === null}>
            Fly it
          </Button>
        </div>
      </div>
      <div
        className={`grid gap-3 min-w-0 min-h-0 ${lower === 'lens' ? 'lg:grid-rows-[minmax(180px,0.6fr)_minmax(380px,1.6fr)]' : 'lg:grid-rows-[minmax(190px,0.8fr)_auto_minmax(300px,1.25fr)]'}`}
        aria-busy={busy}
      >
        <div className="grid gap-3 sm:grid-cols-[1.25fr_1fr] min-h-0">
          <Card
            caption={`From above, ${units === 'feet' ? 'feet' : 'metres'}`}
            className="grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0 overflow-hidden"
          >
            <SiteSheet
              site={site.document}
              subject={plan?.subject ?? null}
              subjectWay={plan?.subject_way}
              planned={plan?.samples ?? null}
              wind={draft.wind ?? null}
              hfov={plan?.camera.hfov_deg ?? 70}
              time={time}
              handles={handles}
              units={units}
              label={`Site sheet of ${site.name}`}
            />
          </Card>
          <Card
            caption="From the side"
            className="grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0 overflow-hidden"
          >
            {plan && (
              <SideSheet
                plan={plan}
                site={site.document}
                time={time}
                units={units}
                onHeight={setHeight}
                onClimb={has('climb_m') ? setClimb : undefined}
                onTilt={has('tilt_start_deg') || has('tilt_end_deg') ? setTilt : undefined}
              />
            )}
          </Card>
        </div>
        {lower !== 'lens' && (
          <Card className="p-3">
            {plan ? (
              <FrameStrip frames={plan.frames} aspect={plan.camera.aspect} onTime={setTime} />
            ) : (
              <div className="h-24" />
            )}
          </Card>
        )}
        <Card className="min-h-72 lg:min-h-0 grid" label={LOWER[lower]}>
          <Tabs.Root
            className="min-h-0 min-w-0 grid grid-rows-[auto_1fr]"
            value={lower}
            onValueChange={(next) => setLower(next as keyof typeof LOWER)}
          >
            <Tabs.List className="flex flex-wrap border-b border-line" aria-label="What is shown below">
              {(Object.keys(LOWER) as (keyof typeof LOWER)[]).map((one) => (
                <Tabs.Trigger
                  key={one}
                  value={one}
                  data-tab={one}
                  className={`min-h-11 px-3 cursor-pointer bg-transparent ${one === lower ? 'font-semibold text-ink shadow-[inset_0_-3px_0_var(--larkspur)]' : 'text-ink-soft'}`}
                >
                  {LOWER[one]}
                </Tabs.Trigger>
              ))}
            </Tabs.List>
            <Tabs.Content value={lower} tabIndex={-1} className="min-h-60 lg:min-h-0 min-w-0">
              {plan && lower === 'sheet' && (
                <StaveLanes
                  lanes={lanes}
                  planned={planned}
                  flown={null}
                  from={0}
                  to={plan.phases.duration_s}
                  hold={hold}
                  grips={grips}
                  time={time}
                  onTime={setTime}
                />
              )}
              {plan && lower === 'lens' && (
                <Suspense fallback={<Skeleton className="h-full" />}>
                  <CameraWindow
                    plan={plan}
                    site={site.document}
                    ground={ground.data?.ground ?? NO_GROUND}
                    time={time}
                    onTime={setTime}
                    safe={reading?.edit.safe ?? null}
                  />
                </Suspense>
              )}
              {plan && lower !== 'sheet' && lower !== 'lens' && (
                <Readings view={lower as ReadingView} plan={plan} reading={reading} onVariant={showVariant} />
              )}
            </Tabs.Content>
          </Tabs.Root>
        </Card>
      </div>
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        {problem && <Notice text={refusalOf(problem, parameters)} />}
        {keep.error && <Notice error={keep.error} />}
        <Shape
          set={set}
          values={values}
          parameters={parameters}
          plan={plan}
          problem={problem}
          move={draft.move}
          moves={moves}
          onMove={chooseMove}
        />
        {draft.move === 'combination' && <Combine draft={draft} change={change} moves={moves} />}
        {plan && <Findings findings={plan.findings} expectation={expectation} onMend={set} />}
        {site && plan && (
          <FrameIt
            key={`${draft.rig_id} ${draft.subject_id}`}
            draftNow={draftNow}
            site={site}
            subjectId={draft.subject_id ?? null}
            parameters={parameters}
            set={set}
          />
        )}
        <SetUp
          draft={setting}
          change={change}
          subjectNow={subjectNow}
          site={site}
          sites={sites}
          rigs={rigs}
          shots={shots}
          shot={shot}
        />
        <BriefCard brief={draft.brief ?? NO_BRIEF} onChange={setBrief} />
        <TakeAlong shot={shot} rigId={draft.rig_id} />
        {plan && <Cues cues={plan.cues} time={time} onTime={setTime} />}
      </aside>
    </main>
  );
}

/** The server's words, led by the dial that they are about. */
function refusalOf(problem: Problem, parameters: Schemas['Parameter'][]): string {
  const place = problem.details.errors[0]?.place ?? '';
  const dial = parameters.find((parameter) => place.endsWith(parameter.id));
  return dial === undefined ? problem.words : `${dial.label}: ${problem.words}`;
}
