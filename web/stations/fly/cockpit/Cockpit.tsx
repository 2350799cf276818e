// One exercise flown: two views, the running sheet, the instruments that the exercise leaves, and what came of the pass.
import { useQueryClient } from '@tanstack/react-query';
import { useCallback, useEffect, useEffectEvent, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Pads } from '~/flight/input';
import { type Aid, Session } from '~/flight/session';
import { Sound } from '~/flight/sound';
import { buttonLook } from '~/kit/Button';
import { useKeys } from '~/kit/useKeys';
import { useSize } from '~/kit/useSize';
import { boxes, type Eye, FlightStage } from '~/stage/flightStage';
import { clock, type Units } from '~/units';
import { Before } from './Before';
import { Call } from './Call';
import { Controls } from './Controls';
import { FrameLines } from './FrameLines';
import { Instruments } from './Instruments';
import { Outcome } from './Outcome';
import {
  type Exercise,
  forget,
  isFinal,
  keepWaiting,
  type Pass,
  type Sent,
  send,
  sendWaiting,
  waitingOf,
} from './practiceStore';
import { RunningSheet, type Sheet } from './RunningSheet';
import { type SmallSite, SmallSiteSheet } from './SmallSite';
import { TouchSticks } from './TouchSticks';
import { useFlight } from './useFlight';
import { useInput } from './useInput';
import type { Wanted } from './wanted';

type Props = {
  exercise: Exercise;
  wanted: Wanted;
  person: { id: number; units: Units };
  offline: boolean;
  waiting: number;
  onWaiting: (left: number) => void;
};

type Phase = 'before' | 'flying' | 'sending' | 'after';

const reduced = () => matchMedia('(prefers-reduced-motion: reduce)').matches;

export function Cockpit({ exercise, wanted, person, offline, waiting, onWaiting }: Props) {
  const client = useQueryClient();
  const plain = wanted.aids.includes('plain-world') || reduced();
  const pads = exercise.sticks as Pads;
  const wheel = exercise.conditions.wheel_reversed === true ? -1 : 1;
  const { input, teach, feel } = useInput(pads, wheel, person.id);
  const sound = useMemo(() => new Sound(), []);
  const [aids, setAids] = useState<ReadonlySet<Aid>>(new Set(wanted.aids));
  const [eye, setEye] = useState<Eye>('both');
  const [magnified, setMagnified] = useState(false);
  const [phase, setPhase] = useState<Phase>('before');
  const fresh = useCallback(() => new Session(exercise.world, reduced() ? null : exercise.jolt), [exercise]);
  const [session, setSession] = useState(() => {
    const waits = fresh();
    // Until the sticks are taken it hangs where it begins.
    waits.frozen = true;
    return waits;
  });
  const [pass, setPass] = useState<Pass | null>(null);
  const [trouble, setTrouble] = useState<unknown>(null);
  const [kept, setKept] = useState(false);
  const stage = useRef<FlightStage | null>(null);
  const sheet = useRef<Sheet>(null);
  const site = useRef<SmallSite>(null);
  const canvas = useRef<HTMLCanvasElement>(null);
  const [box, size] = useSize<HTMLDivElement>();
  const [blind, setBlind] = useState(false);
  const looped = exercise.conditions.loop != null;
  const hidden = (exercise.conditions.hidden ?? {}) as Record<string, boolean>;

  const [staged, setStaged] = useState(0);
  useEffect(() => {
    // What is asked and said stands first; the world is built behind it.
    const later = window.setTimeout(() => {
      if (canvas.current === null) return;
      try {
        stage.current = new FlightStage(canvas.current, exercise, plain);
        performance.mark('larkspur:staged');
        setStaged((count) => count + 1);
      } catch {
        // No 3D here: the sheets still fly.
        setBlind(true);
      }
    }, 30);
    return () => {
      window.clearTimeout(later);
      stage.current?.dispose();
      stage.current = null;
    };
  }, [exercise, plain]);
  // biome-ignore lint/correctness/useExhaustiveDependencies: a new stage has to know its size too
  useEffect(
    () => stage.current?.resize(Math.max(1, size.width), Math.max(1, size.height)),
    [size.width, size.height, staged],
  );
  useEffect(() => {
    performance.mark('larkspur:ready');
    return () => sound.close();
  }, [sound]);

  const finish = () => {
    // Asked at each frame once the flight is over: a late page must not send it twice.
    if (phase !== 'flying' || !session.handOver()) return;
    setPhase('sending');
    const sent = recordingOf(
      exercise,
      session,
      input.device,
      input.padName,
      aids,
      plain,
      wanted.purpose ?? '',
    );
    void deliver(sent);
  };

  // Whoever goes elsewhere in the middle of a pass loses nothing of it: it is marked, kept, and sent.
  const leave = useEffectEvent(() => {
    if (phase !== 'flying' || session.recorded.length === 0 || !session.handOver(true)) return;
    const sent = recordingOf(
      exercise,
      session,
      input.device,
      input.padName,
      aids,
      plain,
      wanted.purpose ?? '',
    );
    void keepWaiting(sent.recording.id, sent, person.id)
      .then(() => sendWaiting(person.id))
      .catch(() => {});
  });
  useEffect(() => () => leave(), []);

  const deliver = async (sent: Sent) => {
    const id = sent.recording.id;
    setTrouble(null);
    setKept(
      await keepWaiting(id, sent, person.id).then(
        () => true,
        () => false,
      ),
    );
    try {
      const came = await send(sent);
      await forget(id).catch(() => {});
      setPass(came);
      for (const key of ['takes', 'today', 'shots', 'imports', 'trend'])
        void client.invalidateQueries({ queryKey: [key] });
    } catch (error) {
      setPass(null);
      setTrouble(error);
      if (isFinal(error)) await forget(id).catch(() => {});
    }
    onWaiting(
      await waitingOf(person.id).then(
        (all) => all.length,
        () => 0,
      ),
    );
    setPhase('after');
  };

  const { readout, every, home } = useFlight({
    exercise,
    session,
    input,
    sound,
    aids,
    stage,
    sheet,
    site,
    eye,
    magnified,
    size,
    running: phase === 'flying' || phase === 'before',
    onEnd: finish,
  });

  const begin = () => {
    sound.wake();
    input.letGo();
    const next = fresh();
    if (magnified) next.aids.add('magnifier');
    // A loop records by itself, from its first step on; it ends where its stretch does (useFlight).
    if (looped) next.pressRecord(true);
    setSession(next);
    setPass(null);
    setTrouble(null);
    setPhase('flying');
  };

  // A page that nobody sees is flown by nobody: the craft hovers, and the pass is marked. No frame is drawn there, so it ends here.
  const hide = useEffectEvent(() => {
    session.stop(true);
    finish();
  });
  useEffect(() => {
    if (phase !== 'flying') return;
    const away = () => {
      if (document.hidden) hide();
    };
    document.addEventListener('visibilitychange', away);
    return () => document.removeEventListener('visibilitychange', away);
  }, [phase]);

  const record = () => {
    // A loop records by itself.
    if (phase !== 'flying' || session.isOver || looped) return;
    const ends = session.isRecording;
    session.pressRecord();
    if (ends) end();
  };
  // At once, not at the next frame: it is to be judged before its pilot has looked up.
  const end = () => {
    session.stop();
    finish();
  };
  const slower = () => {
    session.pace = session.pace === 1 ? 0.75 : session.pace === 0.75 ? 0.5 : 1;
    if (session.pace !== 1) session.aids.add(session.pace === 0.75 ? 'slow-75' : 'slow-50');
    setAids(new Set(aids));
  };
  const magnify = () => {
    if (!magnified) session.aids.add('magnifier');
    setMagnified(!magnified);
  };
  const view = () => setEye(eye === 'both' ? 'lens' : eye === 'lens' ? 'eyes' : 'both');
  const back = () => session.stepBack(5);
  useKeys({
    enter: () => (phase === 'before' || phase === 'after' ? begin() : undefined),
    space: record,
    v: view,
    p: () => session.freeze(),
    b: back,
    x: slower,
    z: magnify,
    r: home,
    escape: () => phase === 'flying' && end(),
  });

  const [lensBox, eyesBox] = boxes(eye, size.width, size.height, exercise.plan.camera.aspect);
  const readable =
    stage.current !== null && eyesBox !== null ? stage.current.readableTo(eyesBox.height) : null;
  return (
    <main
      className="min-h-dvh grid grid-rows-[auto_minmax(60dvh,1fr)_auto] tall:h-dvh tall:grid-rows-[auto_1fr_auto] tall:overflow-hidden bg-paper"
      data-phase={phase}
      data-second={readout.second ?? undefined}
    >
      <header className="flex flex-wrap gap-x-4 gap-y-1 items-center px-3 py-1 border-b border-line text-sm">
        <Link to="/fly" className={buttonLook()}>
          Out
        </Link>
        <h1 className="text-lg! m-0">{exercise.title}</h1>
        <span className="text-ink-soft">
          {exercise.craft}, {exercise.mode}, simulated
        </span>
        {offline && <span className="text-pollen-ink">No network: judging waits</span>}
        {waiting > 0 && <span className="text-pollen-ink">{waiting} waiting to be sent</span>}
        <span className="ml-auto figure" aria-live="off">
          {clock(readout.seconds)}
        </span>
      </header>
      <div ref={box} className="relative min-h-0 overflow-hidden" data-picture="flight">
        <canvas
          ref={canvas}
          className="absolute inset-0 size-full"
          role="img"
          aria-label="What the lens sees, and what you see from where you stand"
          // Away from the hand is “push”: which way that tilts is the operator’s own.
          onWheel={(event) => input.wheelTurned(exercise.wheel_up ? -event.deltaY : event.deltaY)}
        />
        {blind && (
          <p className="absolute inset-x-0 top-1/3 text-center text-card m-0">
            This browser draws no 3D. The thumb sheet and the site sheet fly all the same.
          </p>
        )}
        {lensBox !== null && !blind && (
          <FrameLines box={lensBox} grid={wanted.grid} recording={readout.recording} />
        )}
        {eyesBox !== null && !blind && (
          <div
            className="absolute text-sm text-[#fff] bg-[#1e1b3acc] rounded-md px-2 py-1"
            style={{ left: eyesBox.left + 8, top: eyesBox.top + 8 }}
          >
            Your own eyes{magnified ? ', magnified' : ''}
            {readable !== null && readout.wide < 14 && phase === 'flying'
              ? `. Too small to read its nose: from ${Math.round(readable)} m on it is a dot here`
              : ''}
          </div>
        )}
        <Instruments
          readout={phase === 'flying' ? readout : { ...readout, frozen: false }}
          units={person.units}
          hidden={hidden}
          reserve={exercise.world.reserve_s}
          pace={session.pace}
        />
        {readout.called && phase === 'flying' && (
          <Call
            onAnswer={(action) => {
              session.answered = { action, step: session.steps };
              if (action === 'return') home();
            }}
          />
        )}
        {phase === 'before' && (
          <Before
            exercise={exercise}
            input={input}
            aids={aids}
            onAids={setAids}
            onTaught={teach}
            onFeel={feel}
            onBegin={begin}
          />
        )}
        {(phase === 'after' || phase === 'sending') && (
          <Outcome
            exercise={exercise}
            wanted={wanted}
            session={session}
            pass={pass}
            sending={phase === 'sending'}
            trouble={trouble}
            kept={kept}
            onAgain={begin}
          />
        )}
        <TouchSticks pads={pads} input={input} shown={phase === 'flying'} />
      </div>
      <footer className="grid gap-2 p-2 border-t border-line bg-card grid-cols-1 md:grid-cols-[1fr_220px]">
        <div className="grid gap-1 min-w-0">
          {hidden.thumbs !== true && (
            <div className="h-36">
              <RunningSheet
                ref={sheet}
                planned={exercise.judged ? exercise.plan.fingers : {}}
                every={every}
                shown={hidden.sheet !== true && aids.has('ghost-fingers')}
              />
            </div>
          )}
          <p className="m-0 text-sm min-h-5" aria-live="polite" data-role="cue">
            {phase === 'flying' ? readout.cue : ''}
          </p>
          <Controls
            phase={phase}
            recording={readout.recording !== null}
            frozen={readout.frozen && phase === 'flying'}
            returning={readout.returning !== null}
            pace={session.pace}
            onRecord={record}
            onStop={end}
            onView={view}
            onFreeze={() => session.freeze()}
            onBack={back}
            onPace={slower}
            onHome={home}
            onMagnify={magnify}
            looped={looped}
          />
        </div>
        <div className="h-48 hidden md:block border border-line rounded-md overflow-hidden">
          <SmallSiteSheet ref={site} exercise={exercise} />
        </div>
      </footer>
    </main>
  );
}

function recordingOf(
  exercise: Exercise,
  session: Session,
  device: string,
  deviceName: string,
  aids: ReadonlySet<Aid>,
  plain: boolean,
  purpose: string,
): Sent {
  const used = new Set<Aid>([...aids, ...session.aids]);
  if (plain) used.add('plain-world');
  if (exercise.conditions.loop != null) used.add('loop');
  return {
    envelope: exercise.envelope,
    seal: exercise.seal,
    made_at: new Date().toISOString(),
    recording: {
      schema: 'larkspur/recording/1',
      id: crypto.randomUUID(),
      sheet: exercise.world.hash,
      step_s: exercise.world.response.step_s,
      fingers: session.travel,
      recorded: session.recorded.filter(([from, to]) => to > from),
      automated: session.automated,
      aids: Object.fromEntries([...used].map((aid) => [aid, true])),
      device: { kind: device as 'keyboard', name: deviceName },
      broken_off: session.brokenOff,
      answered: session.answered,
      purpose,
    },
  };
}
