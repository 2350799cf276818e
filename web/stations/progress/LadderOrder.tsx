// The school's own ladder: which order, which steps, what each asks. What a change would do to whom is shown before it is kept; it never
// takes a sign-off away.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { PROGRESS, useMoves, useSchoolLadder } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { day } from '~/units';
import { EditStep } from './EditStep';
import { LadderPicture } from './LadderPicture';

type Steps = Schemas['LadderSheet']['steps'];
type Order = 'foundation' | 'axes' | 'controls';

const ORDERS: Record<Order, string> = {
  foundation: 'Foundation drills first',
  axes: 'One axis, two, three',
  controls: 'One control, two sticks, sticks and wheel',
};

/** Ranks as the server counts them, for drawing while it is edited; a circle is left where it is found. */
function ranksOf(steps: Steps): Map<string, number> {
  const ranks = new Map<string, number>();
  const visit = (id: string, open: string[]): number => {
    const known = ranks.get(id);
    if (known !== undefined) return known;
    const step = steps.find((one) => one.id === id);
    if (step === undefined || open.includes(id)) return 0;
    const rank = Math.max(-1, ...step.needs.map((need) => visit(need, [...open, id]))) + 1;
    ranks.set(id, rank);
    return rank;
  };
  for (const step of steps) visit(step.id, []);
  return ranks;
}

export function LadderOrder() {
  const ladder = useSchoolLadder(true);
  if (ladder.error) throw ladder.error;
  if (!ladder.data) return <Skeleton className="h-[70vh]" />;
  return <Editing key={ladder.data.version} ladder={ladder.data} />;
}

function Editing({ ladder }: { ladder: Schemas['SchoolLadder'] }) {
  const client = useQueryClient();
  const moves = useMoves();
  const [steps, setSteps] = useState<Steps>(ladder.document.steps);
  const [seen, setSeen] = useState(ladder.version);
  const [reason, setReason] = useState('');
  const [chosen, setChosen] = useState(steps[0]?.id);
  const nameOf = (step: Steps[number]) =>
    step.title !== ''
      ? step.title
      : ((ladder.names as Record<string, string>)[step.id] ??
        step.moves.map((move) => moves.data?.find((one) => one.id === move)?.name ?? move).join(', '));
  const changed = JSON.stringify(steps) !== JSON.stringify(ladder.document.steps);
  const body = { document: { steps }, version: seen, reason };
  const effects = useMutation({
    mutationFn: () => answered(api.POST('/school/ladder/effects', { body })),
  });
  const save = useMutation({
    mutationFn: () => answered(api.PUT('/school/ladder', { body })),
    onSuccess: () => {
      for (const key of [...PROGRESS, 'school-ladder']) void client.invalidateQueries({ queryKey: [key] });
    },
    onError: (error) => {
      // Whoever saved first is told of; a second press saves over it.
      if (error instanceof Problem && error.status === 409)
        setSeen(Number((error.details as { version?: number }).version ?? seen));
    },
  });
  const begin = useMutation({
    mutationFn: (order: Order) => answered(api.GET('/school/ladder', { params: { query: { order } } })),
    onSuccess: (other) => {
      setSteps(other.document.steps);
      setChosen(other.document.steps[0]?.id);
      effects.reset();
    },
  });
  const change = (next: Steps) => {
    setSteps(next);
    effects.reset();
  };
  const ranks = ranksOf(steps);
  const step = steps.find((one) => one.id === chosen);
  return (
    <div className="grid gap-3 lg:grid-cols-[1fr_24rem] items-start">
      <div className="grid gap-3 min-w-0">
        <Card className="p-3 flex flex-wrap gap-2 items-center" label="Orders">
          <span className="text-sm text-ink-soft">Begin from</span>
          {(Object.keys(ORDERS) as Order[]).map((order) => (
            <Button key={order} onClick={() => begin.mutate(order)} disabled={begin.isPending}>
              {ORDERS[order]}
            </Button>
          ))}
          {changed && <Button onClick={() => change(ladder.document.steps)}>Back to what is kept</Button>}
        </Card>
        <Card
          caption={ladder.version === 0 ? 'The ladder that comes with Larkspur' : `Version ${ladder.version}`}
          aside={changed ? 'changed, not kept' : undefined}
          className="pb-3"
        >
          <div className="px-3 pt-2">
            <LadderPicture
              steps={steps.map((one) => ({
                id: one.id,
                name: nameOf(one),
                rank: ranks.get(one.id) ?? 0,
                needs: one.needs,
                state: 'open',
                stateName: `${one.criterion.passes} of ${one.criterion.of} at ${one.criterion.score}`,
                share: 0,
              }))}
              chosen={chosen}
              onChoose={setChosen}
            />
          </div>
        </Card>
        <Card className="p-4 grid gap-3" label="Keep it">
          <Field
            label="Why it is changed"
            value={reason}
            maxLength={400}
            onChange={(event) => setReason(event.target.value)}
          />
          <div className="flex flex-wrap gap-2">
            <Button onClick={() => effects.mutate()} disabled={!changed || effects.isPending}>
              What would change
            </Button>
            <Button
              primary
              onClick={() => save.mutate()}
              disabled={!changed || save.isPending || reason.trim() === ''}
            >
              Keep the ladder
            </Button>
          </div>
          {(effects.error ?? save.error) !== null && <Notice error={effects.error ?? save.error} />}
          {effects.data && <Effects effects={effects.data} />}
          {ladder.versions.length > 0 && (
            <ul className="m-0 p-0 list-none text-sm text-ink-soft">
              {ladder.versions.map((one) => (
                <li key={one.version}>
                  Version {one.version}, {day(one.at)}, {one.author === '' ? 'somebody who left' : one.author}
                  : {one.reason}
                </li>
              ))}
            </ul>
          )}
        </Card>
      </div>
      <EditStep
        key={chosen ?? 'none'}
        step={step}
        steps={steps}
        nameOf={nameOf}
        onChange={(next) => change(steps.map((one) => (one.id === next.id ? next : one)))}
        onAdd={(added) => {
          change([...steps, added]);
          setChosen(added.id);
        }}
        onRemove={(id) => {
          change(
            steps
              .filter((one) => one.id !== id)
              .map((one) => ({ ...one, needs: one.needs.filter((need) => need !== id) })),
          );
          setChosen(steps.find((one) => one.id !== id)?.id);
        }}
      />
    </div>
  );
}

function Effects({ effects }: { effects: Schemas['LadderEffect'][] }) {
  if (effects.length === 0) return <p className="m-0 text-sm">Nobody’s steps would stand otherwise.</p>;
  return (
    <ul className="m-0 p-0 list-none text-sm grid gap-1" data-list="effects">
      {effects.map((one) => (
        <li key={`${one.operator.id} ${one.step} ${one.from} ${one.to}`}>
          {one.operator.name}, {one.step}: {one.from ?? 'not on the ladder'} → {one.to ?? 'not on the ladder'}
          {one.signed && '; the sign-off stays on record'}
        </li>
      ))}
    </ul>
  );
}
