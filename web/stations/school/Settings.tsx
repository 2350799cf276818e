// What the school is called, its clock, the units of whoever comes to it, and whether everyone needs a second factor.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { ZoneField } from '~/kit/ZoneField';

export function Settings() {
  const school = useQuery({ queryKey: ['school'], queryFn: () => answered(api.GET('/school')) });
  if (school.data === undefined) return <Skeleton className="h-52" />;
  return <Form key={JSON.stringify(school.data)} school={school.data} />;
}

function Form({ school }: { school: Schemas['School'] }) {
  const client = useQueryClient();
  const [draft, setDraft] = useState({
    name: school.name,
    zone: school.zone,
    units: school.units,
    second_factor: school.second_factor,
  });
  const save = useMutation({
    mutationFn: () => answered(api.PUT('/school', { body: draft })),
    onSuccess: () => {
      for (const key of ['school', 'me', 'trail']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const problem = save.error instanceof Problem ? save.error : null;
  const change = (next: Partial<typeof draft>) => setDraft({ ...draft, ...next });
  return (
    <Card className="p-4" label="Settings">
      <form
        className="grid gap-3 sm:grid-cols-2 items-end"
        onSubmit={(event) => {
          event.preventDefault();
          save.mutate();
        }}
      >
        <h2 className="sm:col-span-2">Settings</h2>
        <Field
          label="Name"
          required
          maxLength={120}
          value={draft.name}
          problem={problem?.at('name')}
          onChange={(event) => change({ name: event.target.value })}
        />
        <ZoneField value={draft.zone} problem={problem?.at('zone')} onChange={(zone) => change({ zone })} />
        <Choice
          label="Units of whoever comes"
          value={draft.units}
          onChange={(units) => change({ units })}
          options={[
            { value: 'metric', label: 'Metres, m/s' },
            { value: 'feet', label: 'Feet, mph' },
          ]}
        />
        <Choice
          label="A second factor"
          value={draft.second_factor ? 'all' : 'own'}
          onChange={(who) => change({ second_factor: who === 'all' })}
          options={[
            { value: 'own', label: 'Who wants one' },
            { value: 'all', label: 'Everyone' },
          ]}
        />
        {problem && problem.at('name') === undefined && (
          <div className="sm:col-span-2">
            <Notice error={problem} />
          </div>
        )}
        <Button type="submit" primary className="justify-self-start" disabled={save.isPending}>
          Save
        </Button>
      </form>
    </Card>
  );
}
