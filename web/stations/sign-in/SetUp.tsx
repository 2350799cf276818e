// The first start: look at the demo school, or set up a school of one's own. Only whoever started the server has the code.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, Navigate, useLocation, useNavigate } from 'react-router';
import { answered, api, Problem } from '~/api/client';
import { Button, buttonLook } from '~/kit/Button';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { ZoneField } from '~/kit/ZoneField';
import { Door } from './Door';

export default function SetUp() {
  const location = useLocation();
  const [code, setCode] = useState(location.hash.slice(1));
  const [what, setWhat] = useState<'demo' | 'school'>('school');
  const first = useQuery({
    queryKey: ['first-start'],
    queryFn: () => answered(api.GET('/first-start')),
    refetchInterval: ({ state }) => (state.data?.demo_under_way ? 1500 : false),
  });
  const demo = useMutation({
    mutationFn: () => answered(api.POST('/first-start/demo', { body: { code } })),
    onSettled: () => first.refetch(),
  });
  if (first.data === undefined) return <Skeleton className="h-96 m-5" />;
  if (demo.data)
    return <DemoIsThere ready={!first.data.empty && !first.data.demo_under_way} {...demo.data} />;
  if (!first.data.empty) return <Navigate to="/sign-in" replace />;
  return (
    <Door title="Nothing is here yet">
      <p className="m-0">
        Set up a school of your own, or look first at an invented one with eight weeks of takes.
      </p>
      <Choice
        label="What do you want?"
        hideLabel
        value={what}
        onChange={setWhat}
        options={[
          { value: 'school', label: 'A school of my own' },
          { value: 'demo', label: 'Look at the demo' },
        ]}
      />
      <Field
        label="The code that bin/start printed"
        required
        value={code}
        problem={demo.error instanceof Problem ? demo.error.at('code') : undefined}
        onChange={(event) => setCode(event.target.value.trim())}
      />
      {what === 'school' ? (
        <SchoolForm code={code} />
      ) : (
        <>
          {demo.error && <Notice error={demo.error} />}
          <p className="m-0 text-sm text-ink-soft">
            A school of your own can be set up later as well: sign in to the demo, and remove it when you are
            done.
          </p>
          <Button primary onClick={() => demo.mutate()} disabled={demo.isPending || code === ''}>
            Look at the demo
          </Button>
        </>
      )}
    </Door>
  );
}

type There = { ready: boolean; trainer: string; operator: string; password: string };

function DemoIsThere({ ready, trainer, operator, password }: There) {
  return (
    <Door title={ready ? 'The demo school is there' : 'The demo school is being made'}>
      <p className="m-0" aria-live="polite">
        {ready
          ? 'Its people, places, craft and takes are invented.'
          : 'Eight weeks of takes are flown by simulated operators, recorded and judged. It takes about half a minute.'}
      </p>
      <dl className="m-0 grid grid-cols-[auto_1fr] gap-x-3 gap-y-1">
        <dt>Operator</dt>
        <dd className="m-0">{operator}</dd>
        <dt>Trainer</dt>
        <dd className="m-0">{trainer}</dd>
        <dt>Password of both</dt>
        <dd className="m-0 font-mono">{password}</dd>
      </dl>
      {ready && (
        <Link to="/sign-in" className={buttonLook(true)}>
          Sign in
        </Link>
      )}
    </Door>
  );
}

function SchoolForm({ code }: { code: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [draft, setDraft] = useState({
    school: '',
    zone: Intl.DateTimeFormat().resolvedOptions().timeZone || 'UTC',
    units: 'metric' as 'metric' | 'feet',
    name: '',
    email: '',
    password: '',
  });
  const setUp = useMutation({
    mutationFn: () => answered(api.POST('/first-start/school', { body: { code, ...draft } })),
    onSuccess: (user) => {
      client.clear();
      client.setQueryData(['me'], user);
      navigate('/school', { replace: true });
    },
  });
  const problem = setUp.error instanceof Problem ? setUp.error : null;
  const change = (next: Partial<typeof draft>) => setDraft({ ...draft, ...next });
  const line = (name: 'school' | 'name' | 'email' | 'password', label: string, more = {}) => (
    <Field
      label={label}
      required
      value={draft[name]}
      problem={problem?.at(name)}
      onChange={(event) => change({ [name]: event.target.value })}
      {...more}
    />
  );
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        setUp.mutate();
      }}
    >
      {line('school', 'What the school is called', { maxLength: 120 })}
      <ZoneField value={draft.zone} problem={problem?.at('zone')} onChange={(zone) => change({ zone })} />
      <Choice
        label="Units"
        value={draft.units}
        onChange={(units) => change({ units })}
        options={[
          { value: 'metric', label: 'Metres, m/s' },
          { value: 'feet', label: 'Feet, mph' },
        ]}
      />
      {line('name', 'Your name, as its trainer', { maxLength: 120, autoComplete: 'name' })}
      {line('email', 'Your mail address', { type: 'email', autoComplete: 'username' })}
      {line('password', 'A password, twelve characters or more', {
        type: 'password',
        autoComplete: 'new-password',
        minLength: 12,
      })}
      {problem &&
        (problem.at('code') !== undefined ||
          problem.at('school') !== undefined ||
          problem.details.errors.length === 0) && <Notice error={problem} />}
      <Button type="submit" primary disabled={setUp.isPending || code === ''}>
        Set it up
      </Button>
    </form>
  );
}
