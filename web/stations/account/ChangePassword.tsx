// A new password, by whoever knows the old one; it ends every other session.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';

/** As the server asks: its shortest. */
const SHORTEST = 12;

export function ChangePassword() {
  const client = useQueryClient();
  const [current, setCurrent] = useState('');
  const [password, setPassword] = useState('');
  const change = useMutation({
    mutationFn: () => answered(api.PUT('/account/password', { body: { current, password } })),
    onSuccess: () => {
      setCurrent('');
      setPassword('');
      void client.invalidateQueries({ queryKey: ['sign-ins'] });
    },
  });
  const problem = change.error instanceof Problem ? change.error : null;
  return (
    <Card className="p-4">
      <form
        className="grid gap-3"
        onSubmit={(event) => {
          event.preventDefault();
          change.mutate();
        }}
      >
        <h2>Password</h2>
        <Field
          label="The one you have"
          type="password"
          autoComplete="current-password"
          required
          value={current}
          problem={problem?.at('current')}
          onChange={(event) => setCurrent(event.target.value)}
        />
        <Field
          label="A new one, twelve characters or more"
          type="password"
          autoComplete="new-password"
          minLength={SHORTEST}
          required
          value={password}
          problem={problem?.at('password')}
          onChange={(event) => setPassword(event.target.value)}
        />
        {problem && problem.details.errors.length === 0 && <Notice error={problem} />}
        {change.isSuccess && (
          <Notice tone="leaf" text="It is changed. Wherever else you were signed in, you are out." />
        )}
        <Button type="submit" primary disabled={change.isPending} className="justify-self-start">
          Change it
        </Button>
      </form>
    </Card>
  );
}
