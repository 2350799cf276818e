// Everybody of the school: roles, who is shut out, handing over what they worked out, a copy of their data, and removal.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { Remove } from '~/kit/Remove';
import { Sheet } from '~/kit/Sheet';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';

type Member = Schemas['Member'];

export const ROLES: { value: Member['role']; label: string }[] = [
  { value: 'trainer', label: 'Trainer' },
  { value: 'operator', label: 'Operator' },
  { value: 'viewer', label: 'Viewer' },
];

export function People() {
  const people = useQuery({ queryKey: ['people'], queryFn: () => answered(api.GET('/people')) });
  const [chosen, setChosen] = useState<Member | null>(null);
  if (people.error) return <Notice error={people.error} />;
  if (people.data === undefined) return <Skeleton className="h-60" />;
  return (
    <Card className="p-4 grid gap-3" label="People">
      <h2>People</h2>
      <ul className="m-0 p-0 list-none">
        {people.data.map((one) => (
          <Row key={one.id} one={one} onMore={() => setChosen(one)} />
        ))}
      </ul>
      <p className="m-0 text-sm text-ink-soft">
        Operators see and change what is theirs. Trainers see and change all of it, and run the school.
        Viewers see what trainers see, and change nothing.
      </p>
      {chosen && <More one={chosen} all={people.data} onClose={() => setChosen(null)} />}
    </Card>
  );
}

function Row({ one, onMore }: { one: Member; onMore: () => void }) {
  const client = useQueryClient();
  const { user } = useSession();
  const change = useMutation({
    mutationFn: (body: { role?: Member['role']; disabled?: boolean }) =>
      answered(api.PUT('/people/{person}', { params: { path: { person: one.id } }, body })),
    onSettled: () => {
      for (const key of ['people', 'operators', 'me', 'trail'])
        void client.invalidateQueries({ queryKey: [key] });
    },
  });
  return (
    <li className="grid gap-1 border-t border-line py-2" data-person={one.email}>
      <div className="flex flex-wrap justify-between items-center gap-3">
        <span className="min-w-0 grow">
          <span className={`block ${one.disabled ? 'line-through text-ink-soft' : ''}`}>
            {one.name}
            {one.id === user.id ? ' (you)' : ''}
          </span>
          <span className="text-sm text-ink-soft">
            {one.email}
            {one.second_factor ? ', with a second factor' : ''}
            {one.disabled ? ', shut out' : ''}
            {one.cohort !== '' ? `, ${one.cohort}` : ''}
          </span>
        </span>
        <span className="w-36">
          <Pick
            label={`Role of ${one.name}`}
            hideLabel
            value={one.role}
            onChange={(role) => change.mutate({ role: role as Member['role'] })}
            options={ROLES}
          />
        </span>
        <Button onClick={() => change.mutate({ disabled: !one.disabled })} disabled={change.isPending}>
          {one.disabled ? 'Let in again' : 'Shut out'}
        </Button>
        <Button onClick={onMore}>More</Button>
      </div>
      {change.error && <Notice error={change.error} />}
    </li>
  );
}

function More({ one, all, onClose }: { one: Member; all: Member[]; onClose: () => void }) {
  const client = useQueryClient();
  const [to, setTo] = useState('');
  const hand = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/people/{person}/hand-over', {
          params: { path: { person: one.id } },
          body: { to: Number(to) },
        }),
      ),
    onSettled: () => client.invalidateQueries(),
  });
  const copy = useMutation({
    mutationFn: () => answered(api.POST('/people/{person}/copies', { params: { path: { person: one.id } } })),
  });
  return (
    <Sheet open onClose={onClose} title={one.name}>
      {one.role === 'operator' && <Place one={one} all={all} />}
      <section className="grid gap-2">
        <h3 className="m-0">Hand over what they worked out</h3>
        <p className="m-0 text-sm">
          Shots that nobody has flown yet, days to come, and sites that they drew. What they flew stays
          theirs.
        </p>
        <Pick
          label="To"
          value={to}
          empty="Choose somebody"
          onChange={setTo}
          options={all
            .filter((other) => other.id !== one.id && !other.disabled)
            .map((other) => ({ value: String(other.id), label: other.name }))}
        />
        <Button
          className="justify-self-start"
          disabled={to === '' || hand.isPending}
          onClick={() => hand.mutate()}
        >
          Hand over
        </Button>
        {hand.error && <Notice error={hand.error} />}
        {hand.data && (
          <Notice
            tone="leaf"
            text={`Handed over: ${hand.data.shots} shots, ${hand.data.days} days, ${hand.data.sites} sites.`}
          />
        )}
      </section>
      <section className="grid gap-2 border-t border-line pt-3">
        <h3 className="m-0">Everything about them</h3>
        <Button className="justify-self-start" disabled={copy.isPending} onClick={() => copy.mutate()}>
          Make a copy
        </Button>
        {copy.error && <Notice error={copy.error} />}
        {copy.isSuccess && (
          <Notice tone="leaf" text="It is being made; take it from your own account page." />
        )}
        <Remove
          what={one.name}
          words="Account, takes, logs, shots, days and rigs of theirs go, for good. What they said of others’ takes stays, as said by somebody who left. Hand over first what is still needed."
          ask={() => answered(api.DELETE('/people/{person}', { params: { path: { person: one.id } } }))}
          onRemoved={() => {
            void client.invalidateQueries();
            onClose();
          }}
        />
      </section>
    </Sheet>
  );
}

const NOBODY = 'nobody';

/** In which cohort somebody is, and who trains them. */
function Place({ one, all }: { one: Member; all: Member[] }) {
  const client = useQueryClient();
  const [cohort, setCohort] = useState(one.cohort);
  const [trainer, setTrainer] = useState(String(one.trainer_id ?? NOBODY));
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.PUT('/people/{person}', {
          params: { path: { person: one.id } },
          body: { cohort: cohort.trim(), trainer_id: trainer === NOBODY ? null : Number(trainer) },
        }),
      ),
    onSuccess: () => {
      for (const key of ['people', 'class', 'cohorts']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const cohorts = [...new Set(all.map((other) => other.cohort).filter((name) => name !== ''))];
  return (
    <form
      className="grid gap-2 border-b border-line pb-3 mb-3"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <h3 className="m-0">Their place in the class</h3>
      <Field
        label="Cohort"
        value={cohort}
        maxLength={60}
        list="cohorts"
        onChange={(event) => setCohort(event.target.value)}
      />
      <datalist id="cohorts">
        {cohorts.map((name) => (
          <option key={name} value={name} />
        ))}
      </datalist>
      <Pick
        label="Trained by"
        value={trainer}
        onChange={setTrainer}
        options={[
          { value: NOBODY, label: 'nobody in particular' },
          ...all
            .filter((other) => other.role === 'trainer' && !other.disabled)
            .map((other) => ({ value: String(other.id), label: other.name })),
        ]}
      />
      <p className="m-0 text-sm text-ink-soft">
        A cohort is any name; those of the same name are seen together, and beside another one.
      </p>
      <Button type="submit" className="justify-self-start" disabled={keep.isPending}>
        Keep
      </Button>
      {keep.error && <Notice error={keep.error} />}
      {keep.isSuccess && <Notice tone="leaf" text="Kept." />}
    </form>
  );
}
