// Invitations: by a link that is good once, mailed or copied.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { day } from '~/units';
import { ROLES } from './People';

export function Invitations() {
  const client = useQueryClient();
  const open = useQuery({ queryKey: ['invitations'], queryFn: () => answered(api.GET('/invitations')) });
  const [email, setEmail] = useState('');
  const [role, setRole] = useState<Schemas['Member']['role']>('operator');
  const again = () => {
    for (const key of ['invitations', 'trail']) void client.invalidateQueries({ queryKey: [key] });
  };
  const invite = useMutation({
    mutationFn: (send: boolean) => answered(api.POST('/invitations', { body: { email, role, send } })),
    onSuccess: () => setEmail(''),
    onSettled: again,
  });
  const takeBack = useMutation({
    mutationFn: (invitation: number) =>
      answered(api.DELETE('/invitations/{invitation}', { params: { path: { invitation } } })),
    onSettled: again,
  });
  const problem = invite.error instanceof Problem ? invite.error : null;
  return (
    <Card className="p-4 grid gap-3" label="Invitations">
      <h2>Invite somebody</h2>
      <form
        className="grid gap-3 sm:grid-cols-[1fr_20rem] items-end"
        onSubmit={(event) => {
          event.preventDefault();
          invite.mutate(false);
        }}
      >
        <Field
          label="Their mail address"
          type="email"
          required
          value={email}
          problem={problem?.at('email')}
          onChange={(event) => setEmail(event.target.value)}
        />
        <Choice label="As" value={role} onChange={setRole} options={ROLES} />
        <div className="flex flex-wrap gap-2">
          <Button type="submit" primary disabled={invite.isPending}>
            Make a link
          </Button>
          <Button
            onClick={() => email !== '' && invite.mutate(true)}
            disabled={invite.isPending || email === ''}
          >
            Make a link and mail it
          </Button>
        </div>
      </form>
      {problem && problem.at('email') === undefined && <Notice error={problem} />}
      {invite.data?.link && (
        <div className="grid gap-1">
          <Notice
            tone="leaf"
            text={`A link for ${invite.data.email}. It is good once, and shown only now:`}
          />
          <code className="break-all select-all" data-link>
            {invite.data.link}
          </code>
        </div>
      )}
      <ul className="m-0 p-0 list-none grid gap-2">
        {(open.data ?? []).map((one) => (
          <li key={one.id} className="flex justify-between items-center gap-3 border-t border-line pt-2">
            <span>
              {one.email}, {one.role}
              <span className="text-sm text-ink-soft"> until {day(one.until)}</span>
            </span>
            <Button onClick={() => takeBack.mutate(one.id)} disabled={takeBack.isPending}>
              Take back
            </Button>
          </li>
        ))}
      </ul>
    </Card>
  );
}
