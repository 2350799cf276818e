// What to do today: one or two things with their evidence, how they are practised where one is, and what else was weighed.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { type Now, useNext } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Choice } from '~/kit/Choice';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';

type Suggestion = Schemas['Suggestion'];

const PLACES = [
  { value: 'field', label: 'In the field' },
  { value: 'hall', label: 'In a hall' },
  { value: 'desk', label: 'At a desk' },
] as const;

/** Where it is done: in Fly with its shot, on its plan, or where one is planned. */
function whereTo({ activity, shot_id, move, setting, kind, step }: Suggestion): string {
  if (kind === 'word' && step !== null) return '/progress?room=ladder';
  if (activity === 'read') return move === '' ? '/progress?room=lessons' : `/plan/moves/${move}`;
  if (activity === 'spot') return shot_id === null ? '/fly?by=eye' : `/fly/${shot_id}?by=eye`;
  if (shot_id === null) return `/plan/moves/${move}`;
  if (activity !== 'fly') return `/fly/${shot_id}?by=sticks`;
  const { mode: _, ...changes } = setting as Record<string, string>;
  const query = new URLSearchParams(changes).toString();
  return `/plan/${shot_id}${query === '' ? '' : `?${query}`}`;
}

function whatToDo({ activity, shot_id, kind, step }: Suggestion): string {
  if (kind === 'word' && step !== null) return 'Say so';
  if (activity === 'read') return 'Open it';
  if (activity === 'spot') return 'Train the eye';
  if (shot_id === null) return 'See the move, plan one';
  return activity === 'fly' ? 'Look at its plan' : activity === 'rehearse' ? 'Rehearse it' : 'Practise it';
}

export function NextCard({ first }: { first: Schemas['Next'] }) {
  const { units } = useSession();
  const client = useQueryClient();
  const [now, setNow] = useState<Now>({ place: first.place });
  const [battery, setBattery] = useState('');
  const asked = useNext(
    battery !== '' ? { ...now, battery_min: Number(battery) } : now.place === first.place ? null : now,
  );
  const next = battery === '' && now.place === first.place ? first : (asked.data ?? first);
  const decline = useMutation({
    mutationFn: (key: string) => answered(api.POST('/next/declined', { body: { key } })),
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['next'] });
      void client.invalidateQueries({ queryKey: ['today'] });
    },
  });
  return (
    <div className="grid gap-4">
      <div className="flex flex-wrap gap-3 items-end">
        <div className="w-96 max-w-full">
          <Choice
            label="Where you are"
            hideLabel
            value={now.place}
            onChange={(place) => setNow({ place })}
            options={[...PLACES]}
          />
        </div>
        {now.place !== 'desk' && (
          <label className="text-sm flex gap-2 items-center">
            battery
            <input
              type="number"
              min={0}
              max={600}
              value={battery}
              placeholder="min"
              onChange={(event) => setBattery(event.target.value)}
              className="w-20 min-h-11 px-2 rounded-md border border-line bg-card text-ink figure"
            />
          </label>
        )}
        <span className="text-sm text-ink-soft">
          {next.gust_mps !== null &&
            `gusts ${withUnit(next.gust_mps, 'm/s', units)}${next.gust_simulated ? ', simulated weather' : ''}`}
          {next.light_min !== null &&
            (next.light_min === 0
              ? '; the sun is down'
              : next.light_min < 300
                ? `; ${Math.round(next.light_min)} min of light`
                : '')}
        </span>
      </div>
      {next.grounded !== null && <p className="m-0 text-pollen-ink">{next.grounded}</p>}
      {next.said.length === 0 && (
        <p className="m-0">Nothing presses today. Fly what you like, or rest: that is practice too.</p>
      )}
      <ol className="m-0 p-0 list-none grid gap-4" data-list="next">
        {next.said.map((one, k) => (
          <li key={one.key} className={k > 0 ? 'border-t border-line pt-4' : ''} data-kind={one.kind}>
            <h2 className={k === 0 ? 'text-2xl!' : ''}>{one.title}</h2>
            <p className="m-0 text-sm text-ink-soft">
              {one.kind === 'word' ? 'the operator’s own word' : one.how}
              {(one.setting as { mode?: string }).mode !== undefined &&
                `, ${(one.setting as { mode?: string }).mode} mode`}
            </p>
            <ul className="m-0 py-1 pl-5">
              {one.evidence.map((line) => (
                <li key={line}>{line}</li>
              ))}
            </ul>
            {one.cue !== null && <p className="m-0 border-l-3 border-petal pl-3">{one.cue}</p>}
            <div className="flex flex-wrap gap-2 pt-2">
              <Link className={buttonLook(k === 0)} to={whereTo(one)}>
                {whatToDo(one)}
              </Link>
              <Button onClick={() => decline.mutate(one.key)} disabled={decline.isPending} data-not-today>
                Not today
              </Button>
            </div>
          </li>
        ))}
      </ol>
      {(asked.error ?? decline.error) !== null && <Notice error={asked.error ?? decline.error} />}
      {next.weighed.length > 0 && (
        <details>
          <summary className="cursor-pointer text-sm text-ink-soft min-h-11 content-center">
            What else was weighed
          </summary>
          <ul className="m-0 p-0 list-none grid gap-1 text-sm">
            {next.weighed.map((one) => (
              <li key={one.key} className="grid grid-cols-[2.5rem_1fr] gap-2">
                <span className="figure text-ink-soft text-right">{Math.round(one.weight)}</span>
                <span>
                  {one.title} <span className="text-ink-soft">{one.evidence[0]}</span>
                </span>
              </li>
            ))}
          </ul>
        </details>
      )}
    </div>
  );
}
