// Coming to a school by the link of an invitation: as somebody new, or with the record that one has.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { useMe } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { OwnPassword } from '~/kit/OwnPassword';
import { Skeleton } from '~/kit/Skeleton';
import { Door } from './Door';

export default function Invitation() {
  const { token = '' } = useParams();
  const me = useMe();
  const invitation = useQuery({
    queryKey: ['invitation', token],
    queryFn: () => answered(api.POST('/links/invitation', { body: { token } })),
    retry: false,
    staleTime: Infinity,
  });
  if (invitation.isPending || me.isPending) return <Skeleton className="h-96 m-5" />;
  if (invitation.error)
    return (
      <Door title="This link opens nothing">
        <Notice error={invitation.error} />
        <Link to="/" className={buttonLook()}>
          Go to Larkspur
        </Link>
      </Door>
    );
  const to = invitation.data;
  return (
    <Door title={to.school}>
      <p className="m-0">
        {to.inviter} invites {to.email} as {to.role === 'operator' ? 'an operator' : `a ${to.role}`}.
      </p>
      {me.data?.school === to.school ? (
        <p className="m-0">
          You are signed in as {me.data.name}, of this school already. To let somebody else come in with this
          link here, sign out first.
        </p>
      ) : me.data ? (
        <WithRecord token={token} to={to} user={me.data} />
      ) : to.known ? (
        <>
          <p className="m-0">
            This address has an account: sign in, then open the link again, and your record comes along.
          </p>
          <Link to="/sign-in" state={{ from: `/invitation/${token}` }} className={buttonLook(true)}>
            Sign in
          </Link>
        </>
      ) : (
        <AsNew token={token} />
      )}
    </Door>
  );
}

function AsNew({ token }: { token: string }) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const [password, setPassword] = useState('');
  const come = useMutation({
    mutationFn: () => answered(api.PUT('/links/invitation', { body: { token, name, password } })),
    onSuccess: (user) => {
      client.clear();
      client.setQueryData(['me'], user);
      navigate('/', { replace: true });
    },
  });
  const problem = come.error instanceof Problem ? come.error : null;
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        come.mutate();
      }}
    >
      <Field
        label="Your name"
        required
        maxLength={120}
        autoComplete="name"
        value={name}
        problem={problem?.at('name')}
        onChange={(event) => setName(event.target.value)}
      />
      <Field
        label="A password, twelve characters or more"
        type="password"
        autoComplete="new-password"
        minLength={12}
        required
        value={password}
        problem={problem?.at('password')}
        onChange={(event) => setPassword(event.target.value)}
      />
      {problem && problem.at('name') === undefined && problem.at('password') === undefined && (
        <Notice error={problem} />
      )}
      <Button type="submit" primary disabled={come.isPending}>
        Come in
      </Button>
    </form>
  );
}

type Coming = { token: string; to: Schemas['InvitedTo']; user: Schemas['User'] };

function WithRecord({ token, to, user }: Coming) {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [password, setPassword] = useState('');
  const go = useMutation({
    mutationFn: () => answered(api.POST('/account/school', { body: { token, password } })),
    onSuccess: (next) => {
      client.clear();
      client.setQueryData(['me'], next);
      navigate('/', { replace: true });
    },
  });
  const problem = go.error instanceof Problem ? go.error : null;
  return (
    <form
      className="grid gap-3"
      onSubmit={(event) => {
        event.preventDefault();
        go.mutate();
      }}
    >
      <p className="m-0">
        You are signed in as {user.name} of {user.school}. Going to {to.school} takes your takes, logs, shots,
        days and rigs along; {user.school} will not see them any more.
      </p>
      <OwnPassword value={password} error={problem} onChange={setPassword} />
      {problem && problem.at('password') === undefined && <Notice error={problem} />}
      <div className="flex gap-2 flex-wrap">
        <Button type="submit" primary disabled={go.isPending}>
          Go there with my record
        </Button>
        <Link to="/" className={buttonLook()}>
          Stay
        </Link>
      </div>
    </form>
  );
}
