// Choosing a new password with the link from the mail.
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useParams, useSearchParams } from 'react-router';
import { answered, api } from '~/api/client';
import { Button, buttonLook } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';

export default function NewPassword() {
  const { token } = useParams();
  const [search] = useSearchParams();
  const [password, setPassword] = useState('');
  const reset = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/password/reset', {
          body: { token: token ?? '', email: search.get('email') ?? '', password },
        }),
      ),
  });
  return (
    <main className="min-h-screen grid place-items-center p-5">
      <form
        className="bg-card border border-line rounded-md p-6 w-full max-w-sm grid gap-4"
        onSubmit={(event) => {
          event.preventDefault();
          reset.mutate();
        }}
      >
        <h1>A new password</h1>
        {reset.isSuccess ? (
          <>
            <Notice tone="leaf" text="Your new password is set." />
            <Link to="/sign-in" className={buttonLook(true)}>
              Sign in
            </Link>
          </>
        ) : (
          <>
            <Field
              label="At least twelve characters"
              type="password"
              autoComplete="new-password"
              minLength={12}
              required
              value={password}
              onChange={(event) => setPassword(event.target.value)}
            />
            {reset.error && <Notice error={reset.error} />}
            <Button primary type="submit" disabled={reset.isPending}>
              Set it
            </Button>
          </>
        )}
      </form>
    </main>
  );
}
