// The day in the field: one hand, cold thumbs, sun on the glass, perhaps no network. What is next, the battery's clock, passes logged with
// one press, lists to tick. Everything is on the device; what the server does not have yet is counted above.
import { useMutation } from '@tanstack/react-query';
import { useEffect, useRef, useState } from 'react';
import { Link, useParams } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Sound } from '~/flight/sound';
import { Button, buttonLook } from '~/kit/Button';
import { keepLatestField } from '~/kit/latestField';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { Skeleton } from '~/kit/Skeleton';
import { SmallFrame } from '~/pictures/FrameStrip';
import { SiteSheet } from '~/pictures/SiteSheet';
import { laneOf, StaveLanes } from '~/pictures/StaveLanes';
import { clock, hour, type Units, withUnit } from '~/units';
import { SubjectBrief } from '../Cues';
import { Numbers } from '../Numbers';
import type { Day } from './fieldStore';
import { Gates, openGates } from './Gates';
import { type FieldState, useFieldDay } from './useFieldDay';

const ROOMS = { now: 'Now', shots: 'Shots', lists: 'Lists', care: 'Care' };

export default function FieldDay() {
  const id = Number(useParams().day);
  const field = useFieldDay(id);
  const [room, setRoom] = useState<keyof typeof ROOMS>('now');
  const [purpose, setPurpose] = useState<string | null>(null);
  useEffect(() => keepLatestField(id), [id]);
  useEffect(() => {
    const root = document.documentElement;
    root.dataset.theme = 'field';
    // What is reached with the keyboard stays clear of the strip at the foot.
    root.style.scrollPaddingBottom = '6rem';
    return () => {
      root.style.scrollPaddingBottom = '';
    };
  }, []);
  const { day, state, pending } = field;
  if (!day) {
    return (
      <main className="p-5 grid gap-3">
        {state === 'loading' ? (
          <Skeleton className="h-[70vh]" />
        ) : (
          <p className="text-lg" role="alert">
            {state === 'offline'
              ? 'This day is not on this device yet. Open it once where there is a network.'
              : state === 'signed-out'
                ? 'Sign in first, where there is a network.'
                : 'There is no such day of yours.'}
          </p>
        )}
        <Link className={buttonLook()} to="/plan/days">
          Back to Plan
        </Link>
      </main>
    );
  }
  // Without a network nobody is kept from flying for want of a word.
  if (day.purpose === '' && purpose === null && state === 'ok') {
    return <AskPurpose day={day} onSaid={setPurpose} />;
  }
  return (
    <main className="pb-24 max-w-3xl mx-auto px-4" data-field={state}>
      <header className="py-3 flex flex-wrap justify-between gap-2 items-baseline">
        <Link className="min-h-11 inline-flex items-center" to={`/plan/days/${day.id}`}>
          Back to the desk
        </Link>
        <h1>{day.title}</h1>
        <p className="m-0" role="status" data-waiting={pending.length}>
          {state === 'ok'
            ? 'Connected'
            : state === 'signed-out'
              ? 'Signed out: sign in to send'
              : 'No network: all goes on here'}
          {pending.length > 0 && `, ${pending.length} to send`}
        </p>
      </header>
      {(purpose ?? day.purpose) !== '' && <p className="m-0 pb-3">{purpose ?? day.purpose}</p>}
      {field.atRisk > 0 && (
        <p className="border-2 border-brick rounded-md p-3 mb-3" role="alert">
          This device can’t keep what you enter.{' '}
          {field.atRisk === 1 ? 'One entry is' : `${field.atRisk} entries are`} on this screen alone until the
          server has it all: don’t close or reload the page.
        </p>
      )}
      {day.log.conflicts.length > 0 && (
        <section
          className="border-2 border-brick rounded-md p-3 mb-3"
          aria-label="Entered differently on two devices"
        >
          <h2>Entered differently on two devices</h2>
          <ul className="m-0 p-0 list-none grid gap-2">
            {day.log.conflicts.map((one) => (
              <li key={one.item + one.text} className="grid gap-1">
                <span>
                  {nameOf(day, one.item)}: {one.text}
                </span>
                <Settle day={day} field={field} item={one.item} />
              </li>
            ))}
          </ul>
        </section>
      )}
      {room === 'now' && <Now day={day} field={field} />}
      {room === 'shots' && <Shots day={day} units={field.person?.units ?? 'metric'} />}
      {room === 'lists' && <Lists day={day} field={field} />}
      {room === 'care' && <Care day={day} />}
      <nav
        aria-label="Rooms of the day"
        className="fixed bottom-0 inset-x-0 grid grid-cols-4 bg-card border-t-2 border-line"
      >
        {(Object.keys(ROOMS) as (keyof typeof ROOMS)[]).map((one) => (
          <button
            key={one}
            type="button"
            aria-current={room === one ? 'page' : undefined}
            className={`min-h-16 text-lg cursor-pointer ${room === one ? 'bg-larkspur text-on-larkspur font-bold' : 'bg-card text-ink'}`}
            onClick={() => setRoom(one)}
          >
            {ROOMS[one]}
          </button>
        ))}
      </nav>
    </main>
  );
}

/** A day is opened for something: asked once, and kept with it. */
function AskPurpose({ day, onSaid }: { day: Day; onSaid: (purpose: string) => void }) {
  const [text, setText] = useState('');
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/days/{day}', {
          params: { path: { day: day.id } },
          body: {
            title: day.title,
            purpose: text.trim(),
            date: day.date,
            site_id: day.site_id,
            document: day.document,
            version: day.version,
          },
        }),
      ),
    onSuccess: (kept) => onSaid(kept.purpose),
  });
  return (
    <main className="p-5 max-w-3xl mx-auto">
      <form
        className="grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          keep.mutate();
        }}
      >
        <h1>{day.title}</h1>
        <label className="grid gap-2 text-lg">
          What is this day for?
          <textarea
            className="min-h-24 p-3 rounded-md border-2 border-line bg-card text-ink"
            value={text}
            maxLength={400}
            required
            onChange={(event) => setText(event.target.value)}
          />
        </label>
        <div className="flex flex-wrap gap-3">
          <Button type="submit" primary disabled={keep.isPending || text.trim() === ''}>
            Open the day
          </Button>
          {keep.error && <Button onClick={() => onSaid('')}>Open it all the same</Button>}
        </div>
        {keep.error && <Notice error={keep.error} />}
      </form>
    </main>
  );
}

const flown = (day: Day, shot: number) => day.log.passes[`shot-${shot}`] ?? [];

/** What is to be flown again is not done. */
const kept = (day: Day, shot: number) => flown(day, shot).filter((pass) => pass.verdict === 'kept').length;

function nameOf(day: Day, item: string): string {
  const shot = day.cards.find((card) => `shot-${card.shot_id}` === item);
  const listed = day.lists.flatMap((list) => list.items).find((one) => one.id === item);
  return shot?.title ?? listed?.text ?? item.replace('battery-', 'Battery ');
}

/** What is to be flown next: the first stretch of the timetable whose passes are not all flown. */
function nextOf(day: Day): Schemas['Slot'] | undefined {
  return day.timetable?.slots.find((slot) => kept(day, slot.shot_id) < slot.passes);
}

/** Said where the passes are logged: nobody is kept from flying by a page, and nobody has not been told. */
function NotReady({ day }: { day: Day }) {
  if (!day.gates) return null;
  const binding = openGates(day).filter((gate) => gate.binds).length;
  const decided = day.log.decisions?.weather?.choice;
  if (binding === 0 && decided !== 'wait' && decided !== 'scrap') return null;
  return (
    <p className="m-0 border-2 border-brick rounded-md p-3" role="alert">
      {binding > 0 && `Not ready: ${binding} ${binding === 1 ? 'gate' : 'gates'} open, see Lists. `}
      {decided === 'wait' && 'Decided: wait. '}
      {decided === 'scrap' && 'Decided: scrap the day. '}
    </p>
  );
}

const LARGE = 'min-h-14 px-4 rounded-md border-2 border-line bg-card text-ink cursor-pointer';

/** What two devices say differently is settled by whoever sees both. */
function Settle({ day, field, item }: { day: Day; field: FieldState; item: string }) {
  const passes = day.log.passes[item];
  if (passes !== undefined) {
    const twice = passes.filter((one) =>
      passes.some((other) => other !== one && other.number === one.number),
    );
    const next = Math.max(0, ...passes.map((pass) => pass.number)) + 1;
    return (
      <span className="flex flex-wrap gap-2">
        {twice.map((pass) => (
          <button
            key={pass.uuid}
            type="button"
            className={LARGE}
            onClick={() => field.enter('correction', item, { of: pass.uuid })}
          >
            Take {pass.by}’s {pass.verdict} back
          </button>
        ))}
        {twice[1] && (
          <button
            type="button"
            className={LARGE}
            onClick={() =>
              field.enter('correction', item, {
                of: twice[1]?.uuid ?? '',
                verdict: (twice[1]?.verdict ?? 'kept') as Verdict,
                number: next,
              })
            }
          >
            Both were flown
          </button>
        )}
      </span>
    );
  }
  const battery = day.log.batteries[item];
  if (battery !== undefined)
    return (
      <button
        type="button"
        className={LARGE}
        onClick={() => field.enter('battery', item, { on: battery.running })}
      >
        It is{' '}
        {battery.running
          ? 'in the air'
          : `on the ground and has flown ${(battery.flown_s / 60).toFixed(1)} min`}
        : leave it so
      </button>
    );
  return (
    <span className="flex flex-wrap gap-2">
      <button type="button" className={LARGE} onClick={() => field.enter('tick', item, { on: true })}>
        It is done
      </button>
      <button type="button" className={LARGE} onClick={() => field.enter('tick', item, { on: false })}>
        It is not
      </button>
    </span>
  );
}

type Verdict = 'kept' | 'again' | 'dropped';

const VERDICTS: Verdict[] = ['kept', 'again', 'dropped'];

/** One pass that was logged: a press opens what can be set right about it. */
function LoggedPass({ pass, item, field }: { pass: Schemas['FlownPass']; item: string; field: FieldState }) {
  const [open, setOpen] = useState(false);
  return (
    <li className="grid gap-2">
      <span className="flex flex-wrap justify-between gap-2 items-center">
        <span>
          Pass {pass.number}, {pass.verdict}
          {pass.note !== '' && `, ${pass.note}`}
        </span>
        <button type="button" className={LARGE} aria-expanded={open} onClick={() => setOpen(!open)}>
          {open ? 'As it is' : 'Set right'}
        </button>
      </span>
      {open && (
        <span className="flex flex-wrap gap-2">
          {VERDICTS.filter((one) => one !== pass.verdict).map((verdict) => (
            <button
              key={verdict}
              type="button"
              className={LARGE}
              onClick={() => {
                field.enter('correction', item, { of: pass.uuid, verdict });
                setOpen(false);
              }}
            >
              It was {verdict}
            </button>
          ))}
          <button
            type="button"
            className={`${LARGE} text-brick`}
            onClick={() => field.enter('correction', item, { of: pass.uuid })}
          >
            Take it back
          </button>
        </span>
      )}
    </li>
  );
}

const NOTES = ['wind up', 'bird', 'late tilt', 'drifted'];

function Now({ day, field }: { day: Day; field: FieldState }) {
  const slots = day.timetable?.slots ?? [];
  const [chosen, setChosen] = useState<number | null>(null);
  const slot = slots.find((one) => one.shot_id === chosen) ?? nextOf(day) ?? slots.at(-1);
  const [note, setNote] = useState('');
  const once = useOnce();
  if (slot === undefined) {
    return (
      <div className="grid gap-4">
        {/* The day may have been changed at the desk while one is in the air: its clock goes on. */}
        <Timer day={day} field={field} battery={1} />
        <p className="m-0 text-lg">
          {day.problem?.message ??
            'Nothing is planned that fits. Plan the day anew where there is a network.'}
        </p>
      </div>
    );
  }
  const passes = flown(day, slot.shot_id);
  const number = Math.max(0, ...passes.map((pass) => pass.number)) + 1;
  const log = (verdict: 'kept' | 'again' | 'dropped') => {
    if (!once()) return;
    field.enter('pass', `shot-${slot.shot_id}`, { number, verdict, note });
    setNote('');
  };
  return (
    <div className="grid gap-4">
      <NotReady day={day} />
      <Timer day={day} field={field} battery={slot.battery} />
      <section className="bg-card border-2 border-line rounded-md p-4 grid gap-3" aria-label="Next shot">
        <div className="flex justify-between gap-3 items-baseline">
          <h2 className="text-xl!">{slot.title}</h2>
          <span className="figure whitespace-nowrap">
            {hour(slot.from, day.zone)} to {hour(slot.to, day.zone)}
          </span>
        </div>
        <p className="m-0">
          {kept(day, slot.shot_id)} of {slot.passes} passes{slot.must ? ', a must' : ''}. Next is pass{' '}
          {number}.
        </p>
        {slot.light != null && <p className="m-0 border-l-4 border-brick pl-3">{slot.light}</p>}
        <div className="flex flex-wrap gap-2" role="group" aria-label="Note for this pass">
          {NOTES.map((one) => (
            <button
              key={one}
              type="button"
              aria-pressed={note === one}
              className={`min-h-14 px-4 rounded-md border-2 cursor-pointer ${note === one ? 'border-larkspur bg-haze font-semibold' : 'border-line bg-card'}`}
              onClick={() => setNote(note === one ? '' : one)}
            >
              {one}
            </button>
          ))}
          <input
            aria-label="Other note"
            placeholder="other"
            className="min-h-14 px-3 rounded-md border-2 border-line bg-card w-32"
            value={NOTES.includes(note) ? '' : note}
            maxLength={80}
            onChange={(event) => setNote(event.target.value)}
          />
        </div>
        <div className="grid grid-cols-3 gap-2">
          {(
            [
              ['kept', 'Kept', 'bg-leaf text-card'],
              ['again', 'Again', 'bg-card text-ink border-2 border-ink'],
              ['dropped', 'Dropped', 'bg-card text-brick border-2 border-brick'],
            ] as const
          ).map(([verdict, name, look]) => (
            <button
              key={verdict}
              type="button"
              className={`min-h-20 rounded-md text-lg font-bold cursor-pointer ${look}`}
              onClick={() => log(verdict)}
            >
              {name}
            </button>
          ))}
        </div>
        {passes.length > 0 && (
          <ol className="m-0 p-0 list-none grid gap-1" aria-label="Passes so far">
            {passes.map((pass) => (
              <LoggedPass key={pass.uuid} pass={pass} item={`shot-${slot.shot_id}`} field={field} />
            ))}
          </ol>
        )}
      </section>
      <AtHand day={day} shot={slot.shot_id} units={field.person?.units ?? 'metric'} />
      <section aria-label="Order of the day">
        <h2>Order of the day</h2>
        <ul className="m-0 p-0 list-none">
          {slots.map((one) => (
            <li key={`${one.shot_id} ${one.from}`}>
              <button
                type="button"
                className={`w-full min-h-14 text-left px-2 border-b border-line cursor-pointer grid grid-cols-[4.5rem_1fr_auto] gap-2 items-center ${one.shot_id === slot.shot_id ? 'bg-haze font-semibold' : 'bg-transparent'}`}
                onClick={() => setChosen(one.shot_id)}
              >
                <span className="figure">{hour(one.from, day.zone)}</span>
                <span>{one.title}</span>
                <span className="figure">
                  {kept(day, one.shot_id)}/{one.passes}
                </span>
              </button>
            </li>
          ))}
        </ul>
      </section>
    </div>
  );
}

/** A cold thumb presses twice: the second press within a second is the first one's echo, and may lie on another shot by then. */
const ECHO_MS = 1000;

/** Whether a press is one of its own. */
function useOnce(): () => boolean {
  const last = useRef(Number.NEGATIVE_INFINITY);
  return () => {
    const now = performance.now();
    if (now - last.current < ECHO_MS) return false;
    last.current = now;
    return true;
  };
}

/** Seconds before the reserve at which it is said: the least first, so that a late look says what holds. */
const WARNED = [0, 60];

/** What the hand needs of the shot at hand: where, how high, how near, how fast, and what the thumbs do. */
function AtHand({ day, shot, units }: { day: Day; shot: number; units: Units }) {
  const card = day.cards.find((one) => one.shot_id === shot);
  if (card === undefined) return null;
  const told = (card.numbers ?? []).filter(
    (one) => AT_HAND.includes(one.id) && typeof one.value === 'number',
  );
  const first = AT_HAND.flatMap((id) => told.find((one) => one.id === id) ?? []);
  return (
    <section aria-label="The shot at hand" className="grid gap-2">
      <h2>At hand: {card.title}</h2>
      <p className="m-0 figure text-lg">
        {(
          [
            ['radius_m', 'radius', 'm'],
            ['pace_mps', 'pace', 'm/s'],
          ] as const
        )
          .filter(([id]) => typeof card.parameters[id] === 'number')
          .map(([id, name, unit]) => `${name} ${withUnit(Number(card.parameters[id]), unit, units)}`)
          .join(', ')}
      </p>
      {first.length > 0 && <Numbers numbers={first} units={units} />}
      {card.exposure != null && (
        <p className="m-0">
          <strong>Camera:</strong> {card.exposure}
        </p>
      )}
      {/* A day that was taken along by an earlier release has no map. */}
      {day.drawn && (
        <div className="h-72 bg-card border-2 border-line rounded-md overflow-hidden">
          <SiteSheet
            site={day.drawn}
            subject={null}
            planned={card.samples}
            wind={null}
            hfov={card.camera.hfov_deg}
            time={null}
            units={units}
            label={`Map of ${card.title}`}
          />
        </div>
      )}
      <ol className="m-0 p-0 list-none">
        {card.cues.map((cue) => (
          <li
            key={`${cue.t} ${cue.text}`}
            className="grid grid-cols-[5rem_1fr] gap-x-2 py-1 border-b border-line text-lg"
          >
            <span className="figure">{cue.t.toFixed(1)} s</span>
            <span>
              {cue.thumb && <strong>{cue.thumb}: </strong>}
              {cue.text}
            </span>
          </li>
        ))}
      </ol>
    </section>
  );
}

const AT_HAND = [
  'height_above_takeoff_m',
  'distance_m',
  'pace_mps',
  'turn_rate_dps',
  'tilt_start_deg',
  'tilt_end_deg',
];

/** The clock of the battery that is in: started and stopped with one press; it says when to come home. */
function Timer({ day, field, battery: planned }: { day: Day; field: FieldState; battery: number }) {
  const running = Object.entries(day.log.batteries).find(([, one]) => one.running);
  const [chosen, setChosen] = useState<number | null>(null);
  const battery = chosen ?? planned;
  const item = running?.[0] ?? `battery-${battery}`;
  const one = day.log.batteries[item] ?? { running: false, since: null, flown_s: 0 };
  const once = useOnce();
  const [, tick] = useState(0);
  useEffect(() => {
    if (!one.running) return;
    const every = window.setInterval(() => tick((n) => n + 1), 1000);
    return () => window.clearInterval(every);
  }, [one.running]);
  const seconds =
    one.flown_s +
    (one.since === null ? 0 : Math.max(0, (Date.now() + field.behind - Date.parse(one.since)) / 1000));
  const usable = 60 * (day.timetable?.usable_min ?? day.batteries?.usable_min ?? 0);
  // Where the day's batteries are not filled in, nobody knows: nothing is counted down, and nobody is called home.
  const left = usable > 0 ? usable - seconds : Number.POSITIVE_INFINITY;
  const sound = useRef(new Sound());
  const said = useRef(Number.POSITIVE_INFINITY);
  useEffect(() => {
    if (!one.running) {
      said.current = Number.POSITIVE_INFINITY;
      return;
    }
    // Heard as well as read: eyes are on the craft. Told once at each mark.
    const mark = WARNED.find((at) => left <= at && said.current > at);
    if (mark === undefined) return;
    said.current = mark;
    sound.current.beep(true);
    sound.current.say(mark > 0 ? 'One minute until the reserve' : 'The reserve is reached. Come home.');
    // A page that nobody has touched yet may not.
    if (navigator.userActivation?.hasBeenActive) navigator.vibrate?.([300, 150, 300]);
  });
  return (
    <section
      className={`rounded-md border-2 p-4 grid grid-cols-[1fr_auto] gap-3 items-center ${left < 0 ? 'border-brick' : 'border-line'} bg-card`}
      aria-label="Battery"
    >
      <div>
        <div className="flex items-center gap-2">
          <span>{item.replace('battery-', 'Battery ')}</span>
          {!one.running && (
            <>
              <button
                type="button"
                className={LARGE}
                aria-label="The battery before"
                disabled={battery <= 1}
                onClick={() => setChosen(Math.max(1, battery - 1))}
              >
                −
              </button>
              <button
                type="button"
                className={LARGE}
                aria-label="The next battery"
                onClick={() => setChosen(Math.min(40, battery + 1))}
              >
                +
              </button>
            </>
          )}
        </div>
        <p className={`m-0 figure text-2xl font-bold ${left < 0 ? 'text-brick' : ''}`} data-timer>
          {clock(seconds).replace(/\.\d$/, '')}
        </p>
        <p className="m-0">
          {left === Number.POSITIVE_INFINITY
            ? 'How long it may fly is not known here: fill in the batteries at the desk.'
            : left >= 0
              ? `${Math.floor(left / 60)} min until the reserve`
              : one.running
                ? 'The reserve is reached: come home.'
                : 'Only its reserve is left: put in another.'}
        </p>
        {one.running && left < -usable / 2 && (
          <p className="m-0">
            This one does not last so long. Down already? Press Landed, then set its time right.
          </p>
        )}
        {!one.running && (
          <div className="flex items-center gap-2 mt-1">
            <span aria-hidden="true">It has flown</span>
            <NumberInput
              label={`What battery ${item.replace('battery-', '')} has flown`}
              value={one.flown_s / 60}
              unit="min"
              units={field.person?.units ?? 'metric'}
              limits={LIMITS.day['batteries.minutes']}
              onChange={(minutes) =>
                field.enter('battery', item, { on: false, flown_s: Math.round(60 * minutes) })
              }
            />
          </div>
        )}
      </div>
      <button
        type="button"
        className={`min-h-20 min-w-32 rounded-md text-lg font-bold cursor-pointer ${one.running ? 'bg-brick text-card' : 'bg-larkspur text-on-larkspur'}`}
        onClick={() => {
          sound.current.wake();
          if (once()) field.enter('battery', item, { on: !one.running });
        }}
      >
        {one.running ? 'Landed' : 'Take off'}
      </button>
    </section>
  );
}

function Shots({ day, units }: { day: Day; units: Units }) {
  return (
    <div className="grid gap-4">
      {day.cards.map((card) => (
        <details key={card.shot_id} className="bg-card border-2 border-line rounded-md p-3">
          <summary className="text-lg font-semibold min-h-11 cursor-pointer">{card.title}</summary>
          <p className="m-0">
            {card.move.name}. {card.craft}, {card.mode} mode. {card.summary}
          </p>
          <div className="h-64 my-2">
            <StaveLanes
              lanes={card.presses.map(laneOf)}
              planned={{ t: card.samples.t, fingers: card.fingers as Schemas['Plan']['fingers'] }}
              flown={null}
              from={0}
              to={card.phases.duration_s}
              hold={[card.phases.hold_from_s, card.phases.hold_to_s]}
              time={null}
              onTime={() => {}}
            />
          </div>
          <div className="grid grid-cols-3 gap-2">
            {card.frames.map((frame) => (
              <SmallFrame key={frame.t} frame={frame} width={210} height={210 / card.camera.aspect} />
            ))}
          </div>
          <ol className="m-0 mt-2 p-0 list-none" data-list="cues">
            {card.cues.map((cue) => (
              <li
                key={`${cue.t} ${cue.text}`}
                className="grid grid-cols-[5rem_1fr] gap-x-2 py-1 border-b border-line"
              >
                <span className="figure">{cue.t.toFixed(1)} s</span>
                <span>
                  {cue.thumb && <strong>{cue.thumb}: </strong>}
                  {cue.text}
                </span>
              </li>
            ))}
          </ol>
          {/* A day that was taken along by an earlier release has none. */}
          {card.numbers && <Numbers numbers={card.numbers} units={units} />}
          {card.subject_brief && <SubjectBrief told={card.subject_brief} />}
          {card.findings.map((finding) => (
            <p key={finding.id} className="m-0 mt-1 border-l-3 border-pollen pl-2">
              {finding.text}
            </p>
          ))}
          {card.exposure != null && <p className="m-0 mt-1">Camera: {card.exposure}</p>}
          {/* A day that was taken along by an earlier release has no more than what is to be recorded. */}
          {(card.sound ?? (card.brief.sound === '' ? [] : [`Sound: ${card.brief.sound}`])).map((sentence) => (
            <p key={sentence} className="m-0 mt-1">
              {sentence}
            </p>
          ))}
        </details>
      ))}
    </div>
  );
}

/** Seconds that a hover is looked at and listened to: 10 at least, 15 the whole. */
const HOVER = { least: 10, whole: 15 };

/** The hover at eye level before anything else: timed, and what was seen or heard is written down. */
function HoverCheck({ day, field }: { day: Day; field: FieldState }) {
  const [since, setSince] = useState<number | null>(null);
  const [now, setNow] = useState(0);
  const [note, setNote] = useState('');
  const sound = useRef(new Sound());
  const seconds = since === null ? 0 : Math.min(HOVER.whole, Math.floor((now - since) / 1000));
  useEffect(() => {
    if (since === null) return;
    const every = window.setInterval(() => setNow(performance.now()), 250);
    return () => window.clearInterval(every);
  }, [since]);
  const told = useRef(0);
  useEffect(() => {
    if (since === null || seconds === told.current) return;
    told.current = seconds;
    if (seconds === HOVER.least || seconds === HOVER.whole) sound.current.beep(seconds === HOVER.whole);
  });
  const tick = day.log.ticks[ITEM];
  const end = (on: boolean) => {
    field.enter('tick', ITEM, { on, note });
    setSince(null);
    setNote('');
  };
  return (
    <section aria-label="Hover check" className="bg-card border-2 border-line rounded-md p-3 grid gap-2">
      <h2>Hover check</h2>
      {since === null ? (
        <>
          <p className="m-0">
            {tick === undefined
              ? 'At eye level, 10 to 15 s: look whether it stands, listen to the motors.'
              : `${tick.on ? 'All was well' : 'Something was odd'}: ${tick.by}, ${hour(tick.at, day.zone)}${tick.note === '' ? '' : `, ${tick.note}`}.`}
          </p>
          {tick !== undefined && !tick.on && (
            <p className="m-0 text-brick">Land, calibrate as the maker says, and check once more.</p>
          )}
          <button
            type="button"
            className={LARGE}
            onClick={() => {
              sound.current.wake();
              told.current = 0;
              setSince(performance.now());
              setNow(performance.now());
            }}
          >
            It hovers: start the clock
          </button>
        </>
      ) : (
        <>
          <p className="m-0 figure text-2xl font-bold" data-hover={seconds}>
            {seconds} s of {HOVER.whole}
          </p>
          <input
            aria-label="What was seen or heard"
            placeholder="what was seen or heard"
            className="min-h-14 px-3 rounded-md border-2 border-line bg-card"
            value={note}
            maxLength={120}
            onChange={(event) => setNote(event.target.value)}
          />
          <div className="grid grid-cols-2 gap-2">
            <button
              type="button"
              className={`${LARGE} disabled:opacity-50`}
              disabled={seconds < HOVER.least}
              onClick={() => end(true)}
            >
              All is well
            </button>
            <button type="button" className={`${LARGE} text-brick`} onClick={() => end(false)}>
              Something is odd
            </button>
          </div>
        </>
      )}
    </section>
  );
}

/** The item of the lists that a hover check ticks. */
const ITEM = 'air-hover';

/** How much of a list is still to see to. */
function leftOf(day: Day, list: Day['lists'][number]): string {
  const open = list.items.filter((one) => day.log.ticks[one.id]?.on !== true).length;
  return open === 0 ? 'All seen to.' : `${open} of ${list.items.length} to see to.`;
}

/** How often the compass had to be calibrated here: a place that asks again and again disturbs it. */
function Compass({ day, field }: { day: Day; field: FieldState }) {
  const times = Object.entries(day.log.ticks).filter(
    ([item, tick]) => item.startsWith('compass-') && tick.on,
  );
  const once = useOnce();
  const enter = (number: number, on: boolean) => {
    if (once()) field.enter('tick', `compass-${number}`, { on });
  };
  return (
    <section aria-label="Compass" className="bg-card border-2 border-line rounded-md p-3 grid gap-2">
      <h2>Compass</h2>
      <p className="m-0" data-compass={times.length}>
        {times.length === 0
          ? 'Only where the craft asks for it: away from cars, iron and cables, phone in the bag.'
          : `Calibrated here ${times.length === 1 ? 'once' : times.length === 2 ? 'twice' : `${times.length} times`}.`}
      </p>
      {times.length > day.log.compass_most && (
        <p className="m-0 text-brick" role="status">
          It is the place: iron or a cable under you. Take off elsewhere, or don’t fly here.
        </p>
      )}
      <div className="grid grid-cols-2 gap-2">
        <button type="button" className={LARGE} onClick={() => enter(times.length + 1, true)}>
          Calibrated once more
        </button>
        <button
          type="button"
          className={`${LARGE} disabled:opacity-50`}
          disabled={times.length === 0}
          onClick={() => enter(times.length, false)}
        >
          One fewer
        </button>
      </div>
    </section>
  );
}

/** What is still open stands on top, as it was when the room was opened: no row moves away under a thumb. */
function useOpenFirst(day: Day): Day['lists'] {
  const [ticked] = useState(
    () => new Set(Object.keys(day.log.ticks).filter((item) => day.log.ticks[item]?.on)),
  );
  return day.lists.map((list) => ({
    ...list,
    items: [...list.items].sort((a, b) => Number(ticked.has(a.id)) - Number(ticked.has(b.id))),
  }));
}

function Lists({ day, field }: { day: Day; field: FieldState }) {
  const lists = useOpenFirst(day);
  return (
    <div className="grid gap-4">
      {/* A day that was taken along by an earlier release has none. */}
      {day.gates && (
        <Gates
          day={day}
          onTick={(item, on, note) => field.enter('tick', item, { on, note })}
          onDecide={(choice, note) => field.enter('decision', 'weather', { choice, note })}
          onBind={null}
        />
      )}
      <HoverCheck day={day} field={field} />
      <Compass day={day} field={field} />
      {lists.map((list) => (
        <section key={list.id} aria-label={list.title}>
          <h2>{list.title}</h2>
          <p className="m-0 text-ink-soft">{leftOf(day, list)}</p>
          {list.items.map((one) => {
            const on = day.log.ticks[one.id]?.on ?? false;
            return (
              <label
                key={one.id}
                className="grid grid-cols-[3rem_1fr] gap-2 items-center min-h-14 border-b border-line cursor-pointer"
              >
                <input
                  type="checkbox"
                  className="size-7 accent-larkspur"
                  checked={on}
                  data-tick={one.id}
                  onChange={() => field.enter('tick', one.id, { on: !on })}
                />
                <span className={on ? 'text-ink-soft line-through' : ''}>{one.text}</span>
              </label>
            );
          })}
        </section>
      ))}
    </div>
  );
}

function Care({ day }: { day: Day }) {
  return (
    <div className="grid gap-4">
      {/* A day that was taken along by an earlier release has none. */}
      {day.actions && (
        <section aria-label="When something goes wrong" className="grid gap-3">
          <h2>When something goes wrong</h2>
          {day.actions.map((card) => (
            <details key={card.id} className="bg-card border-2 border-brick rounded-md p-3" open>
              <summary className="text-lg font-semibold min-h-11 cursor-pointer">{card.title}</summary>
              <ol className="m-0 pl-7 text-lg list-decimal">
                {card.steps.map((step) => (
                  <li key={step}>{step}</li>
                ))}
              </ol>
            </details>
          ))}
          <p className="m-0 text-ink-soft">
            Common practice. The maker’s manual and your local authority come first.
          </p>
        </section>
      )}
      <p className="m-0 text-lg font-semibold">{day.return.sentence}</p>
      <ul className="m-0 p-0 list-none grid gap-3">
        {day.cautions.map((caution) => (
          <li key={caution.id} className="border-l-4 border-brick pl-3">
            {caution.text}
            {caution.shots.length > 0 && ` (${caution.shots.join(', ')})`}
            <span className="block text-ink-soft">
              Ask {caution.ask}. {caution.dated}
            </span>
          </li>
        ))}
      </ul>
      {day.missing.length > 0 && (
        <p className="m-0 border-2 border-brick rounded-md p-3">
          Not filled in yet: {day.missing.map((one) => MISSING[one] ?? one).join(', ')}. Larkspur assumes no
          permission.
        </p>
      )}
    </div>
  );
}

export const MISSING: Record<string, string> = {
  airspace: 'airspace',
  authority: 'authority',
  owner: 'land owner',
  rule_source: 'source of the rules',
};
