// Try it: the settings under a finger before anyone flies them. The page steps the response sheet; beside it a second set may be
// stepped from the same input, live or from a recording, and the flick test lets a finger go and shows how the picture stops.
import { skipToken, useQuery } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { answered, api } from '~/api/client';
import { useRigHistory, useRigs } from '~/api/queries';
import type { Pads } from '~/flight/input';
import { type Fingers, flick, fly, REST, rates, type Sheet, type State, step, still } from '~/flight/sheet';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Dial } from '~/kit/Dial';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { figure, shown } from '~/units';
import { LensPicture } from './LensPicture';
import { RateTrace, type Trace } from './RateTrace';
import { Sticks } from './Sticks';
import type { Finger, Mode, RigDraft } from './useRigDraft';

const FINGERS: Finger[] = ['climb', 'turn', 'run', 'slide', 'tilt'];
const MODES = ['slow', 'standard', 'fast'] as const;
const LONGEST = 20;
const SHOWN = 8;
const LOOK = -12;

/** So many kept traces can be told apart. */
const KEPT = 3;

type Set = { name: string; sheet: Sheet; color: string; dashed?: boolean };

export function TryIt({ draft }: { draft: RigDraft }) {
  const { units } = useSession();
  const rigs = useRigs();
  const history = useRigHistory(draft.rig.id);
  const [other, setOther] = useState('none');
  const [finger, setFinger] = useState<Finger>('turn');
  const [travel, setTravel] = useState(0.6);
  const input = useRef<Fingers>(REST);
  const [states, setStates] = useState<State[]>([still(LOOK), still(LOOK)]);
  const [past, setPast] = useState<{ rates: number[][]; letGo: number | null; what: string }>({
    rates: [[], []],
    letGo: null,
    what: 'live',
  });
  /** Traces that were kept to be looked at beside the next, the latest last: they are of one finger. */
  const [again, setAgain] = useState(0);
  const [kept, setKept] = useState<{ number: number; trace: Trace }[]>([]);
  const [recording, setRecording] = useState(false);
  const [recorded, setRecorded] = useState<Fingers[]>([]);
  const playing = useRef<{ inputs: Fingers[]; at: number; traced: boolean } | null>(null);

  const versions = (history.data ?? []).filter((one) => one.id !== draft.rig.id);
  const others = (rigs.data ?? []).filter(
    (rig) => rig.id !== draft.rig.id && !versions.some((one) => one.id === rig.id),
  );
  const settings = JSON.stringify(draft.settings);
  const own = useQuery({
    queryKey: ['sheet', draft.rig.id, draft.mode, settings],
    queryFn: () =>
      answered(
        api.POST('/rigs/{rig}/sheet', {
          params: { path: { rig: draft.rig.id } },
          body: { mode: draft.mode, settings: draft.settings },
        }),
      ),
    staleTime: 60_000,
  });
  // "12 slow" is a saved rig in one of its modes.
  const [otherRig, otherMode] = other.split(' ') as [string, Mode | undefined];
  const second = useQuery({
    queryKey: ['sheet', Number(otherRig), otherMode, 'saved'],
    queryFn:
      otherMode === undefined
        ? skipToken
        : () =>
            answered(
              api.POST('/rigs/{rig}/sheet', {
                params: { path: { rig: Number(otherRig) } },
                body: { mode: otherMode },
              }),
            ),
    staleTime: 60_000,
  });
  const sets: Set[] = [];
  if (own.data)
    sets.push({ name: draft.changed ? 'as changed' : 'this set', sheet: own.data, color: 'var(--larkspur)' });
  if (own.data && other !== 'none' && second.data)
    sets.push({ name: 'the other', sheet: second.data, color: 'var(--pollen)', dashed: true });
  const latest = useRef({ sets, finger, recording });
  latest.current = { sets, finger, recording };

  // biome-ignore lint/correctness/useExhaustiveDependencies: the clock starts from rest where somebody starts again
  useEffect(() => {
    let frame = 0;
    let last = performance.now();
    let owed = 0;
    let now: State[] = [still(LOOK), still(LOOK)];
    let series: number[][] = [[], []];
    let frames = 0;
    let tape: Fingers[] = [];
    let wasPlaying = false;
    const tick = (time: number) => {
      const { sets: all, finger: watched, recording: taping } = latest.current;
      const dt = all[0]?.sheet.step_s ?? 0.02;
      owed = Math.min(0.25, owed + (time - last) / 1000);
      last = time;
      let moved = false;
      const replay = playing.current;
      if (replay !== null && !wasPlaying) {
        now = [still(LOOK), still(LOOK)];
        series = [[], []];
      }
      wasPlaying = replay !== null;
      while (owed >= dt && all.length > 0) {
        owed -= dt;
        const pressed = replay === null ? input.current : (replay.inputs[replay.at++] ?? REST);
        now = now.map((state, i) => {
          const set = all[i];
          return set === undefined ? state : step(set.sheet, state, pressed);
        });
        all.forEach((_, i) => {
          const kept = series[i] ?? [];
          kept.push(rates(now[i] as State)[watched]);
          if (replay === null && kept.length > SHOWN / dt) kept.shift();
          series[i] = kept;
        });
        if (taping && tape.length < LONGEST / dt) tape.push(pressed);
        moved = true;
      }
      if (!taping && tape.length > 0) {
        setRecorded(tape);
        tape = [];
      }
      if (replay !== null && replay.at >= replay.inputs.length) {
        playing.current = null;
        series = [[], []];
      }
      const active =
        replay !== null ||
        FINGERS.some((one) => input.current[one] !== 0) ||
        now.some((state) => FINGERS.some((one) => Math.abs(rates(state)[one]) > 1e-3));
      // At rest nothing is drawn: a page that lies open costs nothing.
      if (moved && active && frames++ % 2 === 0) {
        setStates(now);
        // A flick's trace stands whole beside the picture that plays it.
        if (replay === null || !replay.traced) {
          setPast({
            rates: series.map((one) => [...one]),
            letGo: null,
            what: replay === null ? 'live' : 'replay',
          });
        }
      }
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [again]);

  if (own.error) return <Notice error={own.error} />;
  if (!own.data) return <Skeleton className="h-96" />;
  const axis = own.data.axes[finger];
  const unit = shown(1, axis.unit, units);
  const factor = unit.value;
  const held = 2;

  const flickTest = () => {
    const longest = 3;
    const flown = sets.map((set) =>
      fly(set.sheet, flick(set.sheet, finger, travel, held, longest), still(LOOK)),
    );
    setPast({
      rates: flown.map((all) => all.map((state) => rates(state)[finger])),
      letGo: held,
      what: 'flick',
    });
    playing.current = {
      inputs: flick(own.data, finger, travel, held, longest),
      at: 0,
      traced: true,
    };
  };
  const traces: Trace[] = sets.map((set, i) => ({
    name: set.name,
    rates: (past.rates[i] ?? []).map((rate) => rate * factor),
    color: set.color,
    dashed: set.dashed ?? false,
  }));
  const keepTrace = () => {
    const now = traces[0];
    if (now === undefined || now.rates.length === 0) return;
    setKept((before) => {
      const number = (before.at(-1)?.number ?? 0) + 1;
      const name = `${number}: ${now.name} in ${draft.mode}, ${past.what}`;
      return [...before, { number, trace: { ...now, name, dashed: true } }].slice(-KEPT);
    });
  };
  const startAgain = () => {
    setKept([]);
    setRecorded([]);
    setRecording(false);
    playing.current = null;
    setPast({ rates: [[], []], letGo: null, what: 'live' });
    setStates([still(LOOK), still(LOOK)]);
    setAgain((n) => n + 1);
  };
  const seconds =
    past.what === 'live'
      ? SHOWN
      : past.what === 'flick'
        ? held + 3
        : Math.max(2, recorded.length * own.data.step_s);
  const meaning = draft.reading?.fingers.find((one) => one.finger === finger);
  return (
    <div className="grid gap-3 lg:grid-cols-[1.25fr_1fr] items-start">
      <div className="grid gap-3">
        <div className={`grid gap-3 ${sets.length > 1 ? 'sm:grid-cols-2' : ''}`}>
          {sets.map((set, i) => (
            <Card
              key={set.name}
              caption={`${set.name[0]?.toUpperCase()}${set.name.slice(1)}`}
              aside="simulated"
            >
              <div className={`p-3 pt-1 mx-auto ${sets.length > 1 ? '' : 'max-w-md'}`}>
                <LensPicture
                  state={states[i] ?? still(LOOK)}
                  hfov={set.sheet.hfov_deg}
                  aspect={set.sheet.aspect}
                  label={`The picture under ${set.name}`}
                />
              </div>
            </Card>
          ))}
        </div>
        <Card caption={`Rate of ${finger}`} aside={sets.length > 1 ? 'dashed: the other' : undefined}>
          <div className="px-3 pb-2">
            <RateTrace
              traces={[
                ...kept.map(({ trace }, i) => ({
                  ...trace,
                  color: `color-mix(in srgb, var(--ink-soft) ${100 - 25 * (kept.length - 1 - i)}%, transparent)`,
                })),
                ...traces,
              ]}
              step={own.data.step_s}
              seconds={seconds}
              unit={unit.unit === 'deg/s' ? '\u00b0/s' : unit.unit}
              letGo={past.letGo}
              reach={0.25 * axis.top * factor}
              label={`Rate of ${finger} over time`}
            />
            <div className="flex flex-wrap gap-2 items-center pb-2">
              <Button onClick={keepTrace} disabled={(past.rates[0] ?? []).length === 0}>
                Keep this trace
              </Button>
              <Button onClick={startAgain}>Start again</Button>
              {kept.length > 0 && (
                <span className="text-sm text-ink-soft" data-kept={kept.length}>
                  Kept, dashed, the latest darkest: {kept.map((one) => one.trace.name).join('; ')}.
                </span>
              )}
            </div>
            <div className="grid grid-cols-5 gap-2">
              {FINGERS.map((one) => {
                const rate = rates(states[0] ?? still())[one];
                const own2 = shown(rate, sets[0]?.sheet.axes[one].unit ?? 'm/s', units);
                return (
                  <button
                    key={one}
                    type="button"
                    aria-pressed={one === finger}
                    onClick={() => {
                      setFinger(one);
                      setKept([]);
                      setPast({ rates: [[], []], letGo: null, what: 'live' });
                    }}
                    className={`grid justify-items-center min-h-11 rounded-md border cursor-pointer bg-card ${one === finger ? 'border-larkspur' : 'border-line'}`}
                  >
                    <span className="text-sm" style={{ color: `var(--${one})` }}>
                      {one}
                    </span>
                    <span className="figure font-semibold">{figure(own2.value, 1)}</span>
                  </button>
                );
              })}
            </div>
          </div>
        </Card>
      </div>
      <div className="grid gap-3">
        <Card className="p-3 grid gap-3">
          {draft.reading !== null && <Sticks pads={draft.reading.hands.pads as Pads} input={input} />}
          <p className="m-0 text-sm text-ink-soft">
            Press a pad, hold the keys, or use a gamepad (its triggers are the wheel). A key presses half the
            travel. Let go, and the spring takes it.
          </p>
        </Card>
        <Card className="p-3 grid gap-2">
          <h2>Flick test</h2>
          <Dial
            label={`Press ${finger} for ${held} s, then let go`}
            value={Math.round(100 * travel)}
            unit="%"
            least={5}
            most={100}
            step={5}
            places={0}
            units={units}
            onChange={(value) => setTravel(Math.max(0.05, Math.min(1, value / 100)))}
          />
          <Button primary onClick={flickTest} data-flick>
            Let it go
          </Button>
          {meaning !== undefined && (
            <p className="m-0 text-sm">
              From full {finger} the picture needs{' '}
              <span className="figure font-semibold">{figure(meaning.stop_s, 1)} s</span> to stop and moves{' '}
              <span className="figure font-semibold">{figure(100 * meaning.stop_widths, 0)} %</span> of its
              width on the way.
            </p>
          )}
        </Card>
        <Card className="p-3 grid gap-2">
          <h2>Two settings, one input</h2>
          <Pick
            label="Beside these settings"
            value={other}
            onChange={setOther}
            options={[
              { value: 'none', label: 'None' },
              ...MODES.map((mode) => ({
                value: `${draft.rig.id} ${mode}`,
                label: `${draft.rig.craft}, version ${draft.rig.version}, ${mode}`,
                group: 'Versions of this rig',
              })),
              ...versions.flatMap((one) =>
                MODES.map((mode) => ({
                  value: `${one.id} ${mode}`,
                  label: `Version ${one.version}, ${mode}: ${one.reason}`,
                  group: 'Versions of this rig',
                })),
              ),
              ...others.flatMap((rig) =>
                MODES.map((mode) => ({
                  value: `${rig.id} ${mode}`,
                  label: `${rig.craft}, version ${rig.version}${rig.operator === null ? '' : ` of ${rig.operator}`}, ${mode}`,
                  group: 'Other rigs',
                })),
              ),
            ]}
          />
          {second.error && <Notice error={second.error} />}
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => setRecording(!recording)} aria-pressed={recording}>
              {recording ? 'Stop recording' : 'Record the sticks'}
            </Button>
            <Button
              disabled={recorded.length === 0 || recording}
              onClick={() => {
                playing.current = { inputs: recorded, at: 0, traced: false };
              }}
            >
              Play {recorded.length > 0 ? `${figure(recorded.length * own.data.step_s, 1)} s ` : ''}through{' '}
              {sets.length > 1 ? 'both' : 'it'}
            </Button>
          </div>
        </Card>
      </div>
    </div>
  );
}
