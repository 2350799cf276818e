// Signing in, and asking for a new password.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useLocation, useNavigate } from 'react-router';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { PetalMark } from '~/pictures/PetalMark';

export default function SignIn() {
  const [email, setEmail] = useState('');
  const [password, setPassword] = useState('');
  const client = useQueryClient();
  const navigate = useNavigate();
  const location = useLocation();
  const enter = useMutation({
    mutationFn: () => answered(api.POST('/session', { body: { email, password, remember: true } })),
    onSuccess: (user) => {
      client.clear();
      client.setQueryData(['me'], user);
      navigate((location.state as { from?: string } | null)?.from ?? '/', { replace: true });
    },
  });
  const forgot = useMutation({
    mutationFn: () => answered(api.POST('/password/forgot', { body: { email } })),
  });
  const problem = enter.error instanceof Problem ? enter.error : null;
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
        {problem && <Notice error={problem} />}
        {forgot.isSuccess && (
          <Notice
            tone="leaf"
            text="If this address is known, a link is on its way. In the demo, mail is written to storage/logs/mail.log."
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
