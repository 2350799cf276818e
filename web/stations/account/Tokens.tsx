// Bearer tokens for scripts: made with a name, a scope and an end; their secret is shown once.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { dayAndTime } from '~/units';

export function Tokens() {
  const client = useQueryClient();
  const tokens = useQuery({ queryKey: ['tokens'], queryFn: () => answered(api.GET('/tokens')) });
  const [name, setName] = useState('');
  const [scope, setScope] = useState<'read' | 'write'>('read');
  const [days, setDays] = useState('90');
  const again = () => client.invalidateQueries({ queryKey: ['tokens'] });
  const make = useMutation({
    mutationFn: () => answered(api.POST('/tokens', { body: { name, scope, days: Number(days) } })),
    onSuccess: () => setName(''),
    onSettled: again,
  });
  const end = useMutation({
    mutationFn: (token: number) => answered(api.DELETE('/tokens/{token}', { params: { path: { token } } })),
    onSettled: again,
  });
  const problem = make.error instanceof Problem ? make.error : null;
  if (tokens.data === undefined) return <Skeleton className="h-32" />;
  return (
    <Card className="p-4 grid gap-3">
      <h2>Tokens for scripts</h2>
      {make.data && (
        <div className="grid gap-1">
          <Notice
            tone="leaf"
            text={`“${make.data.token.name}” is made. Copy it now: it is shown only once.`}
          />
          <code className="break-all">{make.data.secret}</code>
        </div>
      )}
      {tokens.data.length > 0 && (
        <ul className="m-0 p-0 list-none grid gap-2">
          {tokens.data.map((one) => (
            <li key={one.id} className="flex justify-between items-center gap-3 border-t border-line pt-2">
              <span>
                <span className="block">
                  {one.name}, {one.scope === 'read' ? 'looks only' : 'looks and changes'}
                </span>
                <span className="text-sm text-ink-soft">
                  {one.until ? `until ${dayAndTime(one.until)}, ` : ''}
                  {one.used ? `last used ${dayAndTime(one.used)}` : 'never used'}
                </span>
              </span>
              <Button onClick={() => end.mutate(one.id)} disabled={end.isPending}>
                End it
              </Button>
            </li>
          ))}
        </ul>
      )}
      <form
        className="grid gap-3 sm:grid-cols-[1fr_auto_8rem_auto] items-end"
        onSubmit={(event) => {
          event.preventDefault();
          make.mutate();
        }}
      >
        <Field
          label="What it is for"
          required
          maxLength={80}
          value={name}
          problem={problem?.at('name')}
          onChange={(event) => setName(event.target.value)}
        />
        <Choice
          label="It may"
          value={scope}
          onChange={setScope}
          options={[
            { value: 'read', label: 'Look' },
            { value: 'write', label: 'Change too' },
          ]}
        />
        <Field
          label="Days until its end"
          type="number"
          min={1}
          max={366}
          required
          value={days}
          problem={problem?.at('days')}
          onChange={(event) => setDays(event.target.value)}
        />
        <Button type="submit" disabled={make.isPending}>
          Make it
        </Button>
      </form>
      {problem && problem.details.errors.length === 0 && <Notice error={problem} />}
    </Card>
  );
}
