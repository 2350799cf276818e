// Debrief: a take judged. Petals, the path flown over the path planned, where the subject sat, and the five staves, all on
// one clock; what cost most, what can be used, what the trainer said, and whether it is kept.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Pause, Play } from 'lucide-react';
import { useEffect, useState } from 'react';
import { Link, useNavigate, useParams, useSearchParams } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { useReplay, useSite, useTake, useTakes } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { saidOfPractice } from '~/kit/practised';
import { Skeleton } from '~/kit/Skeleton';
import { useKeys } from '~/kit/useKeys';
import { usePlayback } from '~/kit/usePlayback';
import { FrameTrace } from '~/pictures/FrameTrace';
import { SiteSheet } from '~/pictures/SiteSheet';
import { type Lane, type Pin, STAVES, StaveLanes, staveOf } from '~/pictures/StaveLanes';
import { verdictColor } from '~/pictures/TakeRow';
import { useSession } from '~/shell/session';
import { clock, day, hour, withUnit } from '~/units';
import { AsPlanned } from './AsPlanned';
import { Comments } from './Comments';
import { Facets } from './Facets';
import { Faults } from './Faults';
import { OtherTakes } from './OtherTakes';
import { Points } from './Points';

export default function DebriefStation() {
  const { take } = useParams();
  const { whose } = useSession();
  const latest = useTakes({ operator: whose });
  if (take !== undefined) return <OneTake key={take} id={Number(take)} />;
  if (latest.isPending) return <Skeleton className="h-[70vh] m-5" />;
  const first = latest.data?.pages[0]?.takes[0];
  if (first) return <Latest id={first.id} />;
  return (
    <main className="p-5 grid gap-3 justify-items-start">
      <h1>Nothing to debrief yet</h1>
      <p className="m-0">A debrief needs a take. Fly a shot first, or bring in a log.</p>
      <Link className={buttonLook(true)} to="/fly">
        To Fly
      </Link>
    </main>
  );
}

/** The latest take, under its own address; whoever has gone on meanwhile is not pulled back by it. */
function Latest({ id }: { id: number }) {
  const navigate = useNavigate();
  useEffect(() => {
    if (window.location.pathname === '/debrief') navigate(`/debrief/${id}`, { replace: true });
  }, [id, navigate]);
  return <Skeleton className="h-[70vh] m-5" />;
}

function OneTake({ id }: { id: number }) {
  const take = useTake(id);
  const replay = useReplay(id);
  if (take.error) throw take.error;
  if (replay.error) throw replay.error;
  if (!take.data || !replay.data) return <Skeleton className="h-[80vh] m-5" />;
  return <Sheets take={take.data} replay={replay.data} />;
}

const EMPTY_SITE: Schemas['SiteDocument'] = {
  home: { lat: 0, lon: 0, alt_m: 0 },
  ceiling_m: 120,
  sight_line_m: 0,
  solids: [],
};

function Sheets({ take, replay }: { take: Schemas['TakeDetail']; replay: Schemas['Replay'] }) {
  const { user, units } = useSession();
  const [search] = useSearchParams();
  const placed = useSite(take.site_id ?? undefined);
  const client = useQueryClient();
  const judged = take.judgement;
  const from = replay.t[0] ?? 0;
  const to = replay.t.at(-1) ?? 1;
  const { time, setTime, playing, setPlaying, shownAt } = usePlayback(
    from,
    to,
    () => Number(search.get('at')) || judged.faults[0]?.worst_s || judged.take.hold_from_s,
  );
  const [saying, setSaying] = useState(false);
  const site = placed.data?.document ?? EMPTY_SITE;

  const decide = useMutation({
    mutationFn: (decision: 'keep' | 'drop' | null) =>
      answered(api.PATCH('/takes/{take}', { params: { path: { take: take.id } }, body: { decision } })),
    onSuccess: (next) => {
      client.setQueryData(['take', take.id], { ...take, decision: next.decision });
      for (const key of ['takes', 'today']) void client.invalidateQueries({ queryKey: [key] });
    },
  });

  const step = (by: number) => setTime((now) => Math.max(from, Math.min(to, now + by)));
  const fault = (way: 1 | -1) => {
    const times = judged.faults.map((item) => item.worst_s).sort((a, b) => a - b);
    const next =
      way === 1
        ? times.find((t) => t > shownAt.current + 0.05)
        : times.findLast((t) => t < shownAt.current - 0.05);
    if (next !== undefined) setTime(next);
  };
  useKeys({
    space: () => setPlaying((now) => !now),
    left: () => step(-0.2),
    right: () => step(0.2),
    n: () => fault(1),
    p: () => fault(-1),
    k: () => decide.mutate('keep'),
    d: () => decide.mutate('drop'),
    c: () => user.role === 'trainer' && setSaying(true),
  });

  const flown = replay.fingers === null ? null : { t: replay.t, fingers: replay.fingers };
  const lanes: Lane[] = STAVES.map((finger) => {
    const held = replay.planned?.fingers[finger] ?? replay.fingers?.[finger] ?? [];
    const middle = held[Math.floor(held.length / 2)] ?? 0;
    const thumb = replay.thumbs[finger];
    return {
      finger,
      thumb: thumb?.thumb ?? '',
      ends: thumb?.ends ?? ['', ''],
      value:
        Math.abs(middle) < 0.02
          ? 'rests'
          : `${Math.round(100 * Math.abs(middle))} % ${thumb?.ends[middle >= 0 ? 1 : 0] ?? ''}`,
    };
  });
  const pins: Pin[] = [
    ...judged.faults.slice(0, 8).map((item, index) => ({
      t: item.worst_s,
      stave: staveOf(item.axis, flown),
      kind: 'fault' as const,
      severity: item.severity,
      label: `${item.name}, ${item.severity}`,
      key: `fault-${index}`,
    })),
    ...take.said.map((item) => ({
      t: item.at_s,
      stave: null,
      kind: 'comment' as const,
      label: `${item.author}: ${item.text}`,
      key: `comment-${item.id}`,
    })),
  ];
  const wind = judged.wind.mean_mps;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[372px_1fr] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[720px]">
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div>
          <h1>{take.title}</h1>
          <p className="m-0 text-sm text-ink-soft">
            {user.role !== 'operator' ? `${take.operator.name}, ` : ''}
            {day(take.flown_at, take.zone)} {hour(take.flown_at, take.zone)}
            {take.craft !== '' && (
              <>
                ,{' '}
                <Link to={`/rig?rig=${take.rig_id}&mode=${take.mode}`}>
                  {take.craft} version {take.rig_version}
                </Link>
                , {take.mode} mode
              </>
            )}
            {`, sticks mode ${take.hands.stick_mode}, ${take.hands.grip}`}
            {wind == null ? '' : `, wind ${withUnit(wind, 'm/s', units)}`}
            {take.log.source === 'simulated' ? ', simulated' : ''}
            {take.practised === null ? '' : `, ${saidOfPractice(take.practised)}`}
          </p>
        </div>
        <div className="flex gap-2">
          <Button onClick={() => setPlaying((now) => !now)} aria-pressed={playing}>
            {playing ? <Pause size={17} aria-hidden /> : <Play size={17} aria-hidden />}
            {playing ? 'Pause' : 'Play'}
          </Button>
          <Button
            onClick={() => decide.mutate(take.decision === 'drop' ? null : 'drop')}
            aria-pressed={take.decision === 'drop'}
          >
            {take.decision === 'drop' ? 'Dropped' : 'Drop'}
          </Button>
          <Button
            primary
            onClick={() => decide.mutate(take.decision === 'keep' ? null : 'keep')}
            aria-pressed={take.decision === 'keep'}
          >
            {take.decision === 'keep' ? 'Kept' : 'Keep this take'}
          </Button>
        </div>
      </div>
      <div className="grid gap-3 content-start min-h-0 max-lg:order-last lg:overflow-auto lg:pr-1">
        {decide.error && <Notice error={decide.error} />}
        <Facets take={take}>
          <div>
            <p className={`m-0 text-lg font-bold ${verdictColor(judged.verdict)}`}>{judged.headline}</p>
            <p className="m-0 text-sm">{judged.reason}</p>
            <p className="m-0 mt-1 text-sm text-ink-soft">
              Give or take {judged.uncertainty < 1.5 ? '1 point' : `${Math.round(judged.uncertainty)} points`}
              .
              {judged.wind.share != null && Math.abs(judged.wind.share) >= 1
                ? ` About ${Math.round(Math.abs(judged.wind.share))} points of the hold ${judged.wind.share > 0 ? 'are the wind’s, not yours' : 'the wind gave you'}.`
                : ''}
            </p>
            {take.automated && (
              <p className="m-0 mt-1 text-sm text-pollen-ink font-semibold">
                Flown by automation: its smoothness says nothing about the hands, and counts for nobody’s
                record.
              </p>
            )}
          </div>
        </Facets>
        <AsPlanned plan={judged.plan} />
        <Faults faults={judged.faults} facets={judged.facets} move={take.move} time={time} onTime={setTime} />
        <Points judged={judged} onTime={setTime} />
        <Comments take={take} time={time} onTime={setTime} saying={saying} setSaying={setSaying} />
        <OtherTakes take={take} />
        {(judged.remarks.length > 0 || take.log.notes.length > 0) && (
          <Card className="p-3 text-sm text-ink-soft grid gap-1">
            {judged.remarks.map((remark) => (
              <p key={remark} className="m-0">
                {remark}
              </p>
            ))}
            {take.log.notes.map((note) => (
              <p key={`${note.line}${note.text}`} className="m-0">
                {note.line === null ? '' : `Line ${note.line}: `}
                {note.text}
              </p>
            ))}
          </Card>
        )}
        <a className="text-sm min-h-6" href={`/api/v1/takes/${take.id}/log`}>
          The log as it came in, {take.log.samples} samples at {take.log.rate_hz} Hz
        </a>
      </div>
      <div className="grid gap-3 min-w-0 min-h-0 lg:grid-rows-[minmax(230px,0.9fr)_minmax(280px,1fr)]">
        <div className="grid gap-3 sm:grid-cols-[1.1fr_1fr] min-h-0">
          <Card
            caption={`Flown over planned, ${units === 'feet' ? 'feet' : 'metres'}`}
            aside={<Legend />}
            className="grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0"
          >
            <SiteSheet
              site={site}
              subject={replay.subject}
              subjectWay={replay.subject_track}
              planned={replay.planned}
              flown={replay}
              marks={replay.marks}
              wind={null}
              hfov={replay.camera.hfov_deg}
              time={time}
              units={units}
              label="The path flown over the path planned"
            />
          </Card>
          <Card
            caption={
              replay.u.every((value) => value === null)
                ? replay.marks.length > 0
                  ? 'The frame: a figure is flown by headings'
                  : 'The frame: this log does not tell'
                : replay.subject === null
                  ? 'What the frame kept'
                  : 'Where the subject sat in the frame'
            }
            aside={
              judged.crop.total_percent >= 0.5 ? (
                <span className="text-leaf">{Math.ceil(judged.crop.total_percent)} % crop holds it</span>
              ) : undefined
            }
            className="grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0 p-0"
          >
            <div className="p-3 min-h-0">
              <FrameTrace
                t={replay.t}
                u={replay.u}
                v={replay.v}
                aim={replay.aim}
                aspect={replay.camera.aspect}
                crop={judged.crop.total_percent}
                time={time}
              />
            </div>
          </Card>
        </div>
        <Card
          className="grid grid-rows-[auto_1fr] min-h-80 lg:min-h-0"
          caption={
            replay.fingers === null
              ? 'Fingers: this log has none'
              : replay.fingers_inferred
                ? 'Fingers, worked out from the motion'
                : 'Fingers, as recorded'
          }
          aside={<span className="figure">{clock(time)}</span>}
          label="Staves, planned against flown"
        >
          <StaveLanes
            lanes={lanes}
            planned={replay.planned}
            flown={flown}
            from={from}
            to={to}
            hold={[judged.take.hold_from_s, judged.take.hold_to_s]}
            usable={judged.usable}
            pins={pins}
            time={time}
            onTime={setTime}
            onPin={(pin) => setTime(pin.t)}
          />
        </Card>
      </div>
    </main>
  );
}

function Legend() {
  return (
    <span className="flex gap-3">
      <span className="text-larkspur">- - planned</span>
      <span className="text-pollen-ink">— flown</span>
    </span>
  );
}
