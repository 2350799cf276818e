// Moves: the library as a practitioner thinks of it. One move at a time: what it does to the picture, seen from above and
// from the side as it flies, its thumb sheet and its pictures, and beside it the same move with a fault put in.
import { BookOpen, Pause, Play } from 'lucide-react';
import { useState } from 'react';
import { Link, Navigate, useNavigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '~/api/client';
import { useLesson, useMachineMoves, useMoves, useRigs } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { useKeys } from '~/kit/useKeys';
import { prefersStill, usePlayback } from '~/kit/usePlayback';
import { FrameStrip } from '~/pictures/FrameStrip';
import { SideSheet } from '~/pictures/SideSheet';
import { SiteSheet } from '~/pictures/SiteSheet';
import { laneOf, StaveLanes } from '~/pictures/StaveLanes';
import { useSession } from '~/shell/session';
import { Axes } from './Axes';
import { ByItself } from './ByItself';
import { playedInWords } from './fingering';
import { MoveList } from './MoveList';
import { Needs } from './Needs';
import { WhatGoesWrong } from './WhatGoesWrong';
import { Words } from './Words';

export default function MovesPage() {
  const params = useParams();
  const navigate = useNavigate();
  const moves = useMoves();
  const rigs = useRigs();
  const [search] = useSearchParams();
  const [fault, setFault] = useState<string | null>(search.get('fault'));
  const [words, setWords] = useState(false);
  const [axes, setAxes] = useState(false);
  const machine = useMachineMoves();
  const [byItself, setByItself] = useState<string | null>(null);
  const move = params.move ? moves.data?.find((item) => item.id === params.move) : moves.data?.[0];
  const rig = rigs.data?.[0];
  const lesson = useLesson(move?.id, rig?.id, fault);
  if (moves.error) throw moves.error;
  if (rigs.error) throw rigs.error;
  const choose = (id: string) => {
    setFault(null);
    navigate(`/plan/moves/${id}`, { replace: params.move !== undefined });
  };
  if (moves.data && !move) return <Navigate to="/plan/moves" replace />;
  if (!moves.data || !rigs.data || !move) return <Skeleton className="h-[80vh] m-5" />;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[236px_1fr_288px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <div className="lg:col-span-3 flex flex-wrap justify-between items-end gap-3">
        <div className="min-w-0 grow basis-96">
          <h1>{move.name}</h1>
          <p className="m-0 text-sm text-ink-soft">
            {move.does}
            {move.called.length > 0 && ` The trade also says: ${move.called.join(', ')}.`}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => setAxes(true)}>Which axes make what</Button>
          <Button onClick={() => setWords(true)}>
            <BookOpen size={17} aria-hidden />
            Words
          </Button>
          <Link className={buttonLook(true)} to={`/plan/new?move=${move.id}`}>
            Plan one
          </Link>
        </div>
      </div>
      <MoveList
        moves={moves.data}
        machine={machine.data ?? []}
        chosen={move.id}
        onChoose={choose}
        onMachine={setByItself}
      />
      {lesson.error ? (
        <Notice error={lesson.error} />
      ) : lesson.data ? (
        <Shown key={move.id} lesson={lesson.data} stale={lesson.isPlaceholderData} />
      ) : (
        <Skeleton className="min-h-96" />
      )}
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        <Card className="p-3 grid gap-2 text-sm">
          <h2>Look for</h2>
          <p className="m-0">{move.clean}</p>
          <p className="m-0 text-ink-soft">{playedInWords(move.fingering)}</p>
          {move.caution && <p className="m-0 text-brick">{move.caution}</p>}
        </Card>
        <WhatGoesWrong
          move={move}
          fault={fault}
          onFault={setFault}
          flown={lesson.data && !lesson.isPlaceholderData ? lesson.data.flown : null}
        />
        <Needs move={move} moves={moves.data} onChoose={choose} />
      </aside>
      <ByItself
        move={machine.data?.find((one) => one.id === byItself)}
        onClose={() => setByItself(null)}
        onChoose={choose}
      />
      <Words open={words} onClose={() => setWords(false)} />
      <Axes open={axes} onClose={() => setAxes(false)} moves={moves.data} onChoose={choose} />
    </main>
  );
}

function Shown({ lesson, stale }: { lesson: Schemas['Lesson']; stale: boolean }) {
  const { units } = useSession();
  const { plan, site, flown } = lesson;
  const wrong = flown.fault !== null;
  const end = Math.min(plan.phases.duration_s, plan.phases.stop_s + 1);
  const { time, setTime, playing, setPlaying } = usePlayback(
    0,
    end,
    () => plan.phases.onset_s,
    !prefersStill(),
  );
  useKeys({ space: () => setPlaying((now) => !now) });
  const planned = { t: plan.samples.t, fingers: plan.fingers };
  const fingers = { t: flown.samples.t, fingers: flown.fingers };
  const hold: [number, number] = [plan.phases.hold_from_s, plan.phases.hold_to_s];
  const pins = wrong
    ? [
        {
          t: flown.from_s,
          stave: null,
          kind: 'fault' as const,
          severity: 'clear',
          label: 'Here the fault was put in',
          key: 'slip',
        },
      ]
    : [];
  return (
    <div
      className="grid gap-3 min-w-0 min-h-0 lg:overflow-y-auto lg:grid-rows-[minmax(230px,1fr)_auto_minmax(270px,1.2fr)]"
      aria-busy={stale}
    >
      <div className="grid gap-3 sm:grid-cols-[1.15fr_1fr] min-h-0">
        <Card
          caption={wrong ? 'From above, planned and flown' : 'From above'}
          aside={
            <button
              type="button"
              className="flex items-center gap-1 min-h-6 -my-1 cursor-pointer bg-transparent text-larkspur font-semibold"
              aria-pressed={playing}
              onClick={() => setPlaying((now) => !now)}
            >
              {playing ? <Pause size={15} aria-hidden /> : <Play size={15} aria-hidden />}
              {playing ? 'Pause' : 'Play'}
            </button>
          }
          className="grid grid-rows-[auto_minmax(0,1fr)] overflow-hidden min-h-64 lg:min-h-0"
        >
          <SiteSheet
            site={site}
            subject={plan.subject}
            subjectWay={plan.subject_way}
            planned={plan.samples}
            flown={wrong ? flown.samples : null}
            hfov={plan.camera.hfov_deg}
            time={time}
            units={units}
            label="The move from above"
          />
        </Card>
        <Card
          caption={plan.unrolled ? 'From the side, unrolled along the way' : 'From the side'}
          className="grid grid-rows-[auto_minmax(0,1fr)] overflow-hidden min-h-64 lg:min-h-0"
        >
          <SideSheet
            plan={plan}
            site={site}
            time={time}
            units={units}
            flown={wrong ? flown.samples : undefined}
          />
        </Card>
      </div>
      <Card className="p-3 grid gap-1">
        <FrameStrip frames={plan.frames} aspect={plan.camera.aspect} onTime={setTime} />
        {wrong && (
          <>
            <span className="text-sm text-pollen-ink">The same moments with the fault</span>
            <FrameStrip frames={flown.frames} aspect={plan.camera.aspect} onTime={setTime} />
          </>
        )}
      </Card>
      <Card className="min-h-72 lg:min-h-0" label="Thumb sheet">
        <StaveLanes
          lanes={plan.presses.map(laneOf)}
          planned={planned}
          flown={wrong ? fingers : null}
          from={0}
          to={end}
          hold={hold}
          pins={pins}
          time={time}
          onTime={setTime}
        />
      </Card>
    </div>
  );
}
