// The demo school, beside one's own: put there to look at, and removed with everything in it.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answered, api } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Remove } from '~/kit/Remove';

export function Demo() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const school = useQuery({ queryKey: ['school'], queryFn: () => answered(api.GET('/school')) });
  const add = useMutation({
    mutationFn: () => answered(api.POST('/demo-school')),
    onSettled: () => client.invalidateQueries({ queryKey: ['school'] }),
  });
  if (school.data === undefined) return null;
  return (
    <Card className="p-4 grid gap-3" label="The demo school">
      <h2>The demo school</h2>
      <p className="m-0">
        {school.data.demo
          ? 'This is the demo school: its people, places, craft and takes are invented, and its takes were flown by simulated operators.'
          : school.data.demo_beside
            ? 'The demo school stands beside yours on this server. Nothing of it mixes with yours.'
            : 'An invented school with eight weeks of takes can be put beside yours, to look at and to try things in. Nothing of it mixes with yours.'}
      </p>
      {add.error && <Notice error={add.error} />}
      {add.data && (
        <Notice
          tone="leaf"
          text={`It will be there in about half a minute. Trainer ${add.data.trainer}, operator ${add.data.operator}, both with ${add.data.password}: write it down, it is shown only now.`}
        />
      )}
      {school.data.demo_beside ? (
        <Remove
          what="the demo school"
          words={
            school.data.demo
              ? 'Everything in it goes, also what you entered yourself, and you are signed out.'
              : 'Everything in it goes, also what somebody entered there. Your own school stays as it is.'
          }
          ask={() => answered(api.DELETE('/demo-school'))}
          onRemoved={() => {
            if (school.data.demo) {
              client.clear();
              navigate('/sign-in');
            } else void client.invalidateQueries({ queryKey: ['school'] });
          }}
        />
      ) : (
        add.data === undefined && (
          <Button className="justify-self-start" onClick={() => add.mutate()} disabled={add.isPending}>
            Put it beside
          </Button>
        )
      )}
    </Card>
  );
}
