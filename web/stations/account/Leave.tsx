// Leaving: everything of a person is removed, for good, after it was asked with the password.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, Problem } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { OwnPassword } from '~/kit/OwnPassword';
import { Sheet } from '~/kit/Sheet';

export function Leave() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [asking, setAsking] = useState(false);
  const [password, setPassword] = useState('');
  const leave = useMutation({
    mutationFn: () => answered(api.DELETE('/account', { body: { password } })),
    onSuccess: () => {
      client.clear();
      navigate('/sign-in');
    },
  });
  const problem = leave.error instanceof Problem ? leave.error : null;
  return (
    <Card className="p-4 grid gap-3">
      <h2>Leaving</h2>
      <p className="m-0">
        To go to another school with your record, open the link of its invitation while you are signed in. To
        be forgotten, remove yourself: nobody can bring it back, but from a backup of before.
      </p>
      <Button className="justify-self-start" onClick={() => setAsking(true)}>
        Remove me and all that is mine
      </Button>
      <Sheet open={asking} onClose={() => setAsking(false)} title="Remove everything of you?">
        <form
          className="grid gap-3"
          onSubmit={(event) => {
            event.preventDefault();
            leave.mutate();
          }}
        >
          <p className="m-0">
            Your account, takes, logs, shots, days and rigs go, for good. What you said of others’ takes
            stays, as said by somebody who left.
          </p>
          <OwnPassword value={password} error={problem} onChange={setPassword} />
          {problem && problem.at('password') === undefined && <Notice error={problem} />}
          <div className="flex gap-2 justify-end flex-wrap">
            <Button onClick={() => setAsking(false)}>Stay</Button>
            <Button type="submit" primary disabled={leave.isPending}>
              Remove me
            </Button>
          </div>
        </form>
      </Sheet>
    </Card>
  );
}
