// The second factor: a key for an authenticator, shown once as a picture and as letters, and the codes for when the device is lost.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { QRCodeSVG } from 'qrcode.react';
import { useState } from 'react';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { OwnPassword } from '~/kit/OwnPassword';
import { Skeleton } from '~/kit/Skeleton';

export function SecondFactor() {
  const client = useQueryClient();
  const account = useQuery({ queryKey: ['account'], queryFn: () => answered(api.GET('/account')) });
  const [password, setPassword] = useState('');
  const [code, setCode] = useState('');
  const begin = useMutation({
    mutationFn: () => answered(api.POST('/account/second-factor', { body: { password } })),
  });
  const confirm = useMutation({
    mutationFn: () => answered(api.PUT('/account/second-factor', { body: { code } })),
    onSuccess: () => {
      begin.reset();
      setPassword('');
      void client.invalidateQueries({ queryKey: ['account'] });
      void client.invalidateQueries({ queryKey: ['me'] });
    },
  });
  const end = useMutation({
    mutationFn: () => answered(api.DELETE('/account/second-factor', { body: { password } })),
    onSuccess: () => {
      setPassword('');
      confirm.reset();
      void client.invalidateQueries({ queryKey: ['account'] });
    },
  });
  const asked = [begin.error, end.error].find((one) => one instanceof Problem) as Problem | undefined;
  if (account.data === undefined) return <Skeleton className="h-40" />;
  const on = account.data.second_factor;
  return (
    <Card className="p-4 grid gap-3">
      <h2>Second factor</h2>
      <p className="m-0">
        {on
          ? `It is on: signing in asks for a code of your device as well. ${account.data.spare_codes} of your spare codes are left.`
          : 'Off. With one, signing in asks for a code that your phone shows as well as for the password.'}
      </p>
      {confirm.data && <Spare codes={confirm.data.codes} />}
      {begin.data ? (
        <form
          className="grid gap-3 justify-items-start"
          onSubmit={(event) => {
            event.preventDefault();
            confirm.mutate();
          }}
        >
          <p className="m-0">
            Scan this with an authenticator, or type the letters into it. Both are shown only now.
          </p>
          <div
            className="p-3 bg-white rounded-md"
            role="img"
            aria-label="The key as a picture for an authenticator"
          >
            <QRCodeSVG value={begin.data.uri} size={184} />
          </div>
          <code className="text-lg break-all" data-key={begin.data.key}>
            {begin.data.key.match(/.{1,4}/g)?.join(' ')}
          </code>
          <Field
            label="The six digits that it shows"
            inputMode="numeric"
            autoComplete="one-time-code"
            required
            value={code}
            problem={confirm.error instanceof Problem ? confirm.error.at('code') : undefined}
            onChange={(event) => setCode(event.target.value)}
          />
          <Button type="submit" primary disabled={confirm.isPending}>
            Turn it on
          </Button>
        </form>
      ) : (
        <form
          className="grid gap-3 justify-items-start"
          onSubmit={(event) => {
            event.preventDefault();
            if (on) end.mutate();
            else begin.mutate();
          }}
        >
          <OwnPassword value={password} error={asked} onChange={setPassword} />
          {asked && asked.at('password') === undefined && <Notice error={asked} />}
          <Button type="submit" disabled={begin.isPending || end.isPending}>
            {on ? 'Turn it off' : 'Set one up'}
          </Button>
        </form>
      )}
    </Card>
  );
}

function Spare({ codes }: { codes: string[] }) {
  return (
    <div className="grid gap-2">
      <Notice
        tone="leaf"
        text="It is on. Write these down and keep them where the device is not: each lets you in once without it."
      />
      <ul className="m-0 pl-5 columns-2 font-mono">
        {codes.map((one) => (
          <li key={one}>{one}</li>
        ))}
      </ul>
    </div>
  );
}
