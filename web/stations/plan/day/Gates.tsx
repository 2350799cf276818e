// What has to be seen to before a day counts as ready, who passed what, and whether it is a day to fly: the same at the desk and in the
// field.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { Choice } from '~/kit/Choice';
import { hour } from '~/units';
import type { Day } from './fieldStore';

type Decision = Schemas['Decided']['choice'];

type Props = {
  day: Pick<Day, 'gates' | 'log' | 'zone' | 'document'>;
  /** With what the rules were read from, as the day names it: it stays with who passed the gate. */
  onTick: (item: string, on: boolean, note: string) => void;
  onDecide: (choice: Decision, note: string) => void;
  /** Trainers say which of them bind; null for everybody else. */
  onBind: ((id: string, binds: boolean) => void) | null;
};

const CHOICES: { value: Decision; label: string }[] = [
  { value: 'go', label: 'Go' },
  { value: 'wait', label: 'Wait' },
  { value: 'scrap', label: 'Scrap' },
];

const ADVISED: Record<Decision, string> = {
  go: 'Nothing in the planned weather speaks against flying.',
  wait: 'Some of it is beyond what the craft may fly in: wait, or leave it out.',
  scrap: 'All of it is beyond what the craft may fly in: scrap the day, or fly something else.',
};

/** Gates that nobody has passed. */
export const openGates = (day: Pick<Day, 'gates' | 'log'>) =>
  day.gates.gates.filter((gate) => day.log.ticks[gate.item]?.on !== true);

/** What the rules were read from, and of which date. */
function sourceOf({ rule_source, rule_date }: Schemas['DayPermission']): string {
  return [rule_source ?? '', rule_date ?? ''].filter((one) => one.trim() !== '').join(', ');
}

/** The gate that is passed with somebody's name: drills that are not flown alone. */
const SUPERVISED = 'supervised';

/** What is kept with a gate that is passed: no longer than the log keeps. */
const noted = (supervisor: string, source: string) =>
  [supervisor.trim() === '' ? '' : `supervised by ${supervisor.trim()}`, source]
    .filter((one) => one !== '')
    .join(', ')
    .slice(0, 200);

export function Gates({ day, onTick, onDecide, onBind }: Props) {
  const source = sourceOf(day.document.permission ?? {});
  const decided = day.log.decisions.weather;
  const [note, setNote] = useState('');
  const [supervisor, setSupervisor] = useState('');
  const open = openGates(day);
  const binding = open.filter((gate) => gate.binds).length;
  return (
    <section aria-label="Ready to fly" className="grid gap-2" data-open={open.length}>
      <h2>Ready to fly</h2>
      <p className={`m-0 font-semibold ${binding > 0 ? 'text-brick' : 'text-leaf'}`} role="status">
        {binding > 0
          ? `Not ready: ${binding} ${binding === 1 ? 'gate that binds is' : 'gates that bind are'} open.`
          : open.length > 0
            ? `Ready; ${open.length} ${open.length === 1 ? 'gate that warns is' : 'gates that warn are'} open.`
            : 'Ready: every gate is passed.'}
      </p>
      {source === '' && (
        <p className="m-0 text-sm">
          What the rules were read from is not filled in: name it, with its date, under Permission at the
          desk, and it is kept with every gate that is passed.
        </p>
      )}
      {day.gates.gates.map((gate) => {
        const tick = day.log.ticks[gate.item];
        const on = tick?.on === true;
        return (
          <div key={gate.id} className="border-b border-line py-1 grid gap-1">
            <label className="grid grid-cols-[3rem_1fr] gap-2 items-center min-h-11 cursor-pointer">
              <input
                type="checkbox"
                className="size-7 accent-larkspur"
                checked={on}
                disabled={!on && gate.id === SUPERVISED && supervisor.trim() === ''}
                data-gate={gate.id}
                onChange={() =>
                  onTick(gate.item, !on, on ? '' : noted(gate.id === SUPERVISED ? supervisor : '', source))
                }
              />
              <span>
                {gate.text}
                {gate.shots.length > 0 && ` (${gate.shots.join(', ')})`}
                <span className="block text-sm text-ink-soft">
                  {on
                    ? [tick.by, hour(tick.at, day.zone), ...(tick.note === '' ? [] : [tick.note])].join(', ')
                    : [gate.binds ? 'binds' : 'warns', ...(source === '' ? [] : [source])].join(', ')}
                </span>
              </span>
            </label>
            {gate.id === SUPERVISED && !on && (
              <input
                aria-label="Who supervises these"
                placeholder="who supervises these"
                className="min-h-11 px-3 rounded-md border border-line bg-card"
                value={supervisor}
                maxLength={60}
                onChange={(event) => setSupervisor(event.target.value)}
              />
            )}
            {onBind !== null && (
              <Choice
                label={`Gate ${gate.id} in this school`}
                hideLabel
                value={gate.binds ? 'binds' : 'warns'}
                onChange={(value) => onBind(gate.id, value === 'binds')}
                options={[
                  { value: 'binds', label: 'Binds' },
                  { value: 'warns', label: 'Warns' },
                ]}
              />
            )}
          </div>
        );
      })}
      <h3 className="m-0">The weather, as it is here and now</h3>
      {day.gates.reasons.map((reason) => (
        <p key={reason} className="m-0 border-l-3 border-pollen pl-2">
          {reason}
        </p>
      ))}
      <p className="m-0">{ADVISED[day.gates.advised]} Who stands in it decides.</p>
      <input
        aria-label="Why, in a few words"
        placeholder="why, in a few words"
        className="min-h-11 px-3 rounded-md border border-line bg-card"
        value={note}
        maxLength={120}
        onChange={(event) => setNote(event.target.value)}
      />
      <Choice
        label="Decided"
        value={decided?.choice ?? ''}
        onChange={(choice) => {
          onDecide(choice as Decision, note);
          setNote('');
        }}
        options={CHOICES as { value: string; label: string }[]}
      />
      {decided !== undefined && (
        <p className="m-0 text-sm" data-decided={decided.choice}>
          {decided.by}, {hour(decided.at, day.zone)}
          {decided.note !== '' && `: ${decided.note}`}
        </p>
      )}
      <p className="m-0 text-sm text-ink-soft">
        Common cautions, not law: the rules of your local authority apply, and whoever passes a gate has
        asked.
      </p>
    </section>
  );
}
