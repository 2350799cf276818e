// A simulated operator flies a shot: hands with habits, and faults put in on purpose.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Dial } from '~/kit/Dial';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { Slips } from './Slips';
import { WindDials, withGusts } from './WindDials';

const OPERATORS = [
  { id: 'steady', name: 'Steady', habit: 'Small tremble, quiet holds, corrects early.' },
  { id: 'hurried', name: 'Hurried', habit: 'Takes a third of the ease, holds unevenly, corrects too hard.' },
  { id: 'flicker', name: 'Flicker', habit: 'Lets the springs stop the sticks, and kicks the turn once.' },
  { id: 'drifter', name: 'Drifter', habit: 'Turns too little, sees it late, lets the circle wander.' },
] as const;

const LEVELS = ['novice', 'beginner', 'intermediate', 'advanced', 'expert'] as const;

type Operator = (typeof OPERATORS)[number]['id'] | (typeof LEVELS)[number];

const anySeed = () => 1 + Math.floor(999 * Math.random());

export function SimulatedOperator({ shot }: { shot: Schemas['Shot'] | undefined }) {
  const { units } = useSession();
  const navigate = useNavigate();
  const client = useQueryClient();
  const [operator, setOperator] = useState<Operator>('steady');
  const [slips, setSlips] = useState<Schemas['Slip'][]>([]);
  const [wind, setWind] = useState({ mean_mps: 2, from_deg: 240 });
  // Each flight is another one, unless a seed is asked for again.
  const [seed, setSeed] = useState(anySeed);

  const fly = useMutation({
    mutationFn: (id: number) =>
      answered(
        api.POST('/shots/{shot}/flights', {
          params: { path: { shot: id } },
          body: {
            operator,
            seed,
            slips,
            wind: withGusts(wind),
          },
        }),
      ),
    onSuccess: (done) => {
      for (const key of ['takes', 'today', 'shots', 'imports'])
        void client.invalidateQueries({ queryKey: [key] });
      setSeed(anySeed());
      if (done.takes[0] !== undefined) navigate(`/debrief/${done.takes[0]}`);
    },
  });
  return (
    <Card className="p-5 grid gap-4">
      <h2>A simulated operator flies it</h2>
      <p className="m-0 text-sm text-ink-soft">
        Simulated: no craft moves. Every fault acts on a finger, as yours would.
      </p>
      {shot === undefined ? (
        <>
          <p className="m-0">There is no shot to fly yet.</p>
          <Link className={buttonLook(true)} to="/plan/new">
            Plan one
          </Link>
        </>
      ) : (
        <>
          <fieldset className="border-0 p-0 m-0 grid gap-2">
            <legend className="text-sm mb-1">Who flies</legend>
            {OPERATORS.map((item) => (
              <label
                key={item.id}
                className={`grid grid-cols-[auto_5.5rem_1fr] gap-3 items-center min-h-11 px-3 py-1 rounded-md border cursor-pointer ${operator === item.id ? 'border-larkspur bg-haze' : 'border-line'}`}
              >
                <input
                  type="radio"
                  name="operator"
                  value={item.id}
                  checked={operator === item.id}
                  onChange={() => setOperator(item.id)}
                  className="accent-larkspur size-4"
                />
                <span className="font-semibold">{item.name}</span>
                <span className="text-sm text-ink-soft">{item.habit}</span>
              </label>
            ))}
          </fieldset>
          <Pick
            label="Or somebody of a level, another one for each seed"
            empty="One of the four above"
            value={(LEVELS as readonly string[]).includes(operator) ? operator : ''}
            onChange={(level) => setOperator(level as Operator)}
            options={LEVELS.map((level) => ({
              value: level,
              label: `${level.charAt(0).toUpperCase()}${level.slice(1)}`,
            }))}
          />
          <Slips slips={slips} onChange={setSlips} units={units} />
          <WindDials wind={wind} onChange={setWind} units={units} />
          <Dial
            label="Seed: the same seed flies the same flight"
            value={seed}
            unit=""
            least={1}
            most={999}
            step={1}
            places={0}
            units={units}
            onChange={(value) => setSeed(Math.max(1, Math.round(value)))}
          />
          {fly.error && <Notice error={fly.error} />}
          {fly.data && fly.data.state === 'refused' && (
            <Notice text={`${fly.data.place}: ${fly.data.message}`} />
          )}
          <Button primary onClick={() => fly.mutate(shot.id)} disabled={fly.isPending}>
            {fly.isPending ? 'Flying…' : `Fly “${shot.title}”`}
          </Button>
        </>
      )}
    </Card>
  );
}
