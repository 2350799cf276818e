// Dry rehearsal: no craft, no world. The thumb sheet runs, and is played on whatever there is; then each finger is judged on its own.
import { useEffect, useMemo, useRef, useState } from 'react';
import { Link } from 'react-router';
import type { Schemas } from '~/api/client';
import type { Pads } from '~/flight/input';
import { everyOf } from '~/flight/onPlan';
import { emptyTravel, kept, type Travel } from '~/flight/recording';
import { Sound } from '~/flight/sound';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { useKeys } from '~/kit/useKeys';
import { clock } from '~/units';
import { type Exercise, forget, isFinal, keepWaiting, rehearse, type Sent } from './practiceStore';
import { RunningSheet, type Sheet } from './RunningSheet';
import { TouchSticks } from './TouchSticks';
import { useInput } from './useInput';

const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'] as const;

/** Counted in before the sheet begins, s. */
const COUNT_IN = 2;

export function DryRehearsal({ exercise, person }: { exercise: Exercise; person: { id: number } }) {
  const { input } = useInput(exercise.sticks as Pads, 1, person.id);
  const sound = useMemo(() => new Sound(), []);
  const sheet = useRef<Sheet>(null);
  const travel = useRef<Travel>(emptyTravel());
  /** Of what was played last: sent again it is the same. */
  const id = useRef('');
  const [phase, setPhase] = useState<'before' | 'running' | 'judging' | 'after'>('before');
  const [seconds, setSeconds] = useState(0);
  const [judged, setJudged] = useState<Schemas['Rehearsal'] | null>(null);
  const [trouble, setTrouble] = useState<{ error: unknown; waits: boolean } | null>(null);
  const dt = exercise.world.response.step_s;
  const duration = exercise.plan.phases.duration_s;
  const cue = exercise.plan.cues.filter((one) => one.t <= seconds + 1).pop()?.text ?? '';

  const judge = async () => {
    setPhase('judging');
    setTrouble(null);
    const played: Sent = {
      envelope: exercise.envelope,
      seal: exercise.seal,
      made_at: new Date().toISOString(),
      recording: {
        schema: 'larkspur/recording/1',
        id: id.current,
        sheet: exercise.world.hash,
        step_s: dt,
        fingers: travel.current,
        recorded: [],
        automated: [],
        aids: {},
        device: { kind: input.device, name: input.padName },
        broken_off: false,
        answered: null,
      },
    };
    const kept = await keepWaiting(id.current, played, person.id, true).then(
      () => true,
      () => false,
    );
    try {
      setJudged(await rehearse(played));
      await forget(id.current).catch(() => {});
    } catch (error) {
      if (isFinal(error)) await forget(id.current).catch(() => {});
      setTrouble({ error, waits: kept && !isFinal(error) });
    }
    setPhase('after');
  };

  const judging = useRef(judge);
  judging.current = judge;
  useEffect(() => {
    if (phase !== 'running') return;
    let frame = 0;
    let owed = 0;
    let last: number | null = null;
    let wait = COUNT_IN;
    let next = 0;
    const cues = exercise.plan.cues.filter((one) => one.finger !== '');
    const tick = (now: number) => {
      owed += last === null ? 0 : Math.min(0.25, (now - last) / 1000);
      last = now;
      while (owed >= dt) {
        owed -= dt;
        const fingers = input.read(dt);
        if (wait > 0) {
          wait -= dt;
          continue;
        }
        for (const finger of FINGERS) travel.current[finger].push(kept(fingers[finger]));
      }
      const steps = travel.current.climb.length;
      const at = steps * dt - Math.max(0, wait);
      while (next < cues.length && at >= (cues[next]?.t ?? 0) - 0.3) {
        sound.beep(cues[next]?.finger === 'tilt');
        next++;
      }
      sheet.current?.draw(travel.current, steps, dt, at);
      setSeconds(at);
      if (at >= duration) {
        void judging.current();
        return;
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [phase, dt, duration, exercise, input, sound]);
  useEffect(() => () => sound.close(), [sound]);

  const begin = () => {
    sound.wake();
    input.letGo();
    travel.current = emptyTravel();
    id.current = crypto.randomUUID();
    setJudged(null);
    setSeconds(-COUNT_IN);
    setPhase('running');
  };
  useKeys({ enter: () => (phase === 'before' || phase === 'after' ? begin() : undefined) });

  return (
    <main className="min-h-dvh grid grid-rows-[auto_1fr_auto] gap-3 p-3 bg-paper">
      <header className="flex flex-wrap gap-3 items-center">
        <Link to="/fly" className={buttonLook()}>
          Out
        </Link>
        <h1 className="text-lg!">Dry: {exercise.title}</h1>
        <span className="text-ink-soft text-sm">No craft flies. It counts apart from flying.</span>
        <span className="ml-auto figure">{clock(Math.max(0, seconds))}</span>
      </header>
      <Card caption="Thumb sheet" aside="dashed: as written">
        <div className="h-[46vh] p-2">
          <RunningSheet ref={sheet} planned={exercise.plan.fingers} every={everyOf(exercise.plan)} shown />
        </div>
        <p className="m-0 px-3 pb-2 min-h-7 text-lg" aria-live="polite">
          {phase === 'running' ? (seconds < 0 ? `In ${Math.ceil(-seconds)}…` : cue) : ''}
        </p>
      </Card>
      <div className="grid gap-3">
        {trouble?.waits && (
          <Notice
            tone="soft"
            text="It could not be sent. What you played waits on this device, and is judged once the network is back."
          />
        )}
        {trouble !== null && !trouble.waits && <Notice error={trouble.error} />}
        {trouble !== null && travel.current.climb.length > 0 && (
          <Button onClick={() => void judge()}>Send it again</Button>
        )}
        {judged !== null && (
          <Card caption={judged.clean ? 'Played as written' : 'Finger by finger'}>
            <ul className="m-0 p-3 grid gap-1 list-none" data-role="rehearsed">
              {judged.fingers.map((one) => (
                <li key={one.finger} className="grid grid-cols-[4rem_1fr] gap-3">
                  <b style={{ color: `var(--${one.finger})` }}>{one.finger}</b>
                  <span className={one.clean ? 'text-ink-soft' : ''}>
                    {one.faults.length > 0 ? one.faults.join(' ') : one.said}
                  </span>
                </li>
              ))}
            </ul>
          </Card>
        )}
        <Button primary disabled={phase === 'running' || phase === 'judging'} onClick={begin} data-begin>
          {phase === 'judging' ? 'Judging…' : phase === 'after' ? 'Again' : 'Play it'}{' '}
          <kbd className="figure text-sm font-normal">enter</kbd>
        </Button>
      </div>
      <TouchSticks pads={exercise.sticks as Pads} input={input} shown={phase === 'running'} />
    </main>
  );
}
