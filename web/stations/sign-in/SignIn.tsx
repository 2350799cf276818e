// Signing in, and asking for a new password.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Navigate, useLocation, useNavigate } from 'react-router';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { PetalMark } from '~/pictures/PetalMark';

export default function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const client = useQueryClient();
  const navigate = useNavigate();
  const location = useLocation();
  const enter = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/session', { body: { email, password, remember: true, ...(code === '' ? {} : { code }) } }),
      ),
    onSuccess: (user) => {
      client.clear();
      client.setQueryData(['me'], user);
      navigate((location.state as { from?: string } | null)?.from ?? '/', { replace: true });
    },
  });
  const forgot = useMutation({
    mutationFn: () => answered(api.POST('/password/forgot', { body: { email } })),
  });
  const first = useQuery({
    queryKey: ['first-start'],
    queryFn: () => answered(api.GET('/first-start')),
    retry: false,
  });
  const problem = enter.error instanceof Problem ? enter.error : null;
  const wantsCode = code !== '' || problem?.at('code') !== undefined;
  if (first.data?.empty) return <Navigate to={`/set-up${location.hash}`} replace />;
  return (
    <main className="min-h-screen grid place-items-center p-5">
      <form
        className="bg-card border border-line rounded-md p-6 w-full max-w-sm grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          enter.mutate();
        }}
      >
        <div className="flex items-center gap-3">
          <PetalMark
            facets={{ ease: 92, flow: 84, hold: 88, line: 90, frame: 86 }}
            score={0}
            size={38}
            title="Larkspur"
          />
          <h1>Larkspur</h1>
        </div>
        <p className="m-0 text-ink-soft">Plan the shot, fly it, see what the picture kept.</p>
        <Field
          label="Address"
          type="email"
          autoComplete="username"
          value={email}
          onChange={(event) => setEmail(event.target.value)}
          required
        />
        <Field
          label="Password"
          type="password"
          autoComplete="current-password"
          value={password}
          onChange={(event) => setPassword(event.target.value)}
          required
        />
        {wantsCode && (
          <Field
            label="Code of your second factor, or a spare one"
            inputMode="numeric"
            autoComplete="one-time-code"
            autoFocus
            value={code}
            problem={problem?.at('code')}
            onChange={(event) => setCode(event.target.value)}
          />
        )}
        {problem && problem.at('code') === undefined && <Notice error={problem} />}
        {forgot.isSuccess && (
          <Notice
            tone="leaf"
            text="If this address is known, a link is on its way. A server without a mail server of its own writes mail to storage/logs/mail-….log; whoever runs it can also give a new password."
          />
        )}
        {forgot.error && <Notice error={forgot.error} />}
        <Button primary type="submit" disabled={enter.isPending}>
          Sign in
        </Button>
        <button
          type="button"
          className="min-h-11 text-sm text-ink-soft underline cursor-pointer bg-transparent"
          onClick={() => email !== '' && forgot.mutate()}
          disabled={email === ''}
        >
          {email === ''
            ? 'Forgotten your password? Write your address above first.'
            : 'Send me a link for a new password'}
        </button>
      </form>
    </main>
  );
}
