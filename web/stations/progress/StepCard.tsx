// One step of somebody's ladder: what is missing, what it rests on, and what is said of it, by the operator and by the trainer.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { PROGRESS } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { StepPetal } from '~/pictures/StepPetal';
import { useSession } from '~/shell/session';
import { day } from '~/units';

const SAID = {
  word: 'says that it feels settled',
  doubt: 'says that it does not feel settled any more',
  'sign-off': 'signed it off',
  withdrawal: 'took the sign-off back',
  supervisor: 'named who stands by',
} as const;

type Say = Pick<Schemas['SayOfStep'], 'kind' | 'text' | 'overrule'>;

export function StepCard({ step, ladder }: { step: Schemas['Step']; ladder: Schemas['Ladder'] }) {
  const { user } = useSession();
  const client = useQueryClient();
  const [text, setText] = useState('');
  const mine = user.id === ladder.operator.id;
  const say = useMutation({
    mutationFn: (said: Say) =>
      answered(
        api.POST('/ladder/steps/{step}/sayings', {
          params: { path: { step: step.id } },
          body: { operator: ladder.operator.id, ...said },
        }),
      ),
    onSuccess: () => {
      setText('');
      for (const key of PROGRESS) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const said = ladder.said.filter((one) => one.step === step.id);
  const signed = step.signed_on !== null;
  return (
    <Card className="p-4 grid gap-3" label="The step">
      <div className="flex gap-3 items-start">
        <StepPetal state={step.state} share={step.share} />
        <div>
          <h2>{step.name}</h2>
          <p className="m-0 text-sm text-ink-soft">
            Level {step.level}, {step.state_name}
            {step.supervisor !== '' && `, ${step.supervisor} stands by`}
            {step.overruled && ', signed off against the evidence'}
          </p>
        </div>
      </div>
      {step.missing.length > 0 && (
        <div>
          <h3 className="m-0 text-sm">{step.state === 'stale' ? 'What is wanting' : 'What is missing'}</h3>
          <ul className="m-0 pl-5 text-sm" data-list="missing">
            {step.missing.map((one) => (
              <li key={one}>{one}</li>
            ))}
          </ul>
        </div>
      )}
      {step.due !== null && (
        <p className="m-0 text-sm">
          {step.is_due ? 'To be shown again since ' : 'To be shown again on '}
          {day(step.due)}.
        </p>
      )}
      <p className="m-0 text-sm">
        Shown by{' '}
        {step.moves.map((move, k) => (
          <span key={move.id}>
            {k > 0 && ', '}
            <Link to={`/plan/moves/${move.id}`}>{move.name}</Link>
          </span>
        ))}
        .
      </p>
      {step.counting.length > 0 && (
        <p className="m-0 text-sm">
          Passes that count:{' '}
          {step.counting.map((take, k) => (
            <span key={take}>
              {k > 0 && ', '}
              <Link to={`/debrief/${take}`}>{k + 1}</Link>
            </span>
          ))}
        </p>
      )}
      {mine && step.own_word && (
        <Button
          onClick={() => say.mutate({ kind: step.word ? 'doubt' : 'word' })}
          disabled={say.isPending}
          data-word
        >
          {step.word ? 'It is not settled after all' : 'It feels settled'}
        </Button>
      )}
      {user.role === 'trainer' && (
        <form
          className="grid gap-2"
          onSubmit={(event) => {
            event.preventDefault();
            say.mutate(
              signed
                ? { kind: 'withdrawal', text }
                : { kind: 'sign-off', text, ...(step.lacks ? { overrule: true } : {}) },
            );
          }}
        >
          <Field
            label={
              signed
                ? 'Why it is taken back'
                : step.lacks
                  ? 'Why it is signed off all the same'
                  : 'What to add to it'
            }
            value={text}
            maxLength={400}
            required={signed || step.lacks}
            onChange={(event) => setText(event.target.value)}
          />
          <div className="flex flex-wrap gap-2">
            <Button type="submit" primary={!step.lacks && !signed} disabled={say.isPending} data-sign>
              {signed ? 'Take the sign-off back' : step.lacks ? 'Overrule, and sign off' : 'Sign off'}
            </Button>
            {step.supervised && !signed && (
              <Button
                onClick={() => say.mutate({ kind: 'supervisor', text: text === '' ? user.name : text })}
                disabled={say.isPending}
              >
                {text === '' ? 'I stand by' : `${text} stands by`}
              </Button>
            )}
          </div>
        </form>
      )}
      {step.supervised && (
        <p className="m-0 text-sm text-pollen-ink">
          Never alone: somebody who knows it stands by. Local rules and licensed practice come first.
        </p>
      )}
      {say.error !== null && <Notice error={say.error} />}
      {said.length > 0 && (
        <ul className="m-0 p-0 list-none text-sm text-ink-soft grid gap-1">
          {said.map((one) => (
            <li key={one.id}>
              {day(one.at)}: {one.author} {SAID[one.kind]}
              {one.overruled && ', against the evidence'}
              {one.text !== '' && `: ${one.text}`}
              {one.kind === 'sign-off' &&
                one.rests_on.length > 0 &&
                ` (on ${one.rests_on.length === 1 ? 'one take' : `${one.rests_on.length} takes`})`}
            </li>
          ))}
        </ul>
      )}
    </Card>
  );
}
