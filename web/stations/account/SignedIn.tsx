// Where one is signed in, and ending that elsewhere.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { dayAndTime } from '~/units';

export function SignedIn() {
  const client = useQueryClient();
  const places = useQuery({
    queryKey: ['sign-ins'],
    queryFn: () => answered(api.GET('/account/sign-ins')),
  });
  const end = useMutation({
    mutationFn: (id: number | null) =>
      id === null
        ? answered(api.DELETE('/account/sign-ins'))
        : answered(api.DELETE('/account/sign-ins/{signIn}', { params: { path: { signIn: id } } })),
    onSettled: () => client.invalidateQueries({ queryKey: ['sign-ins'] }),
  });
  if (places.data === undefined) return <Skeleton className="h-32" />;
  return (
    <Card className="p-4 grid gap-3">
      <h2>Where you are signed in</h2>
      <ul className="m-0 p-0 list-none grid gap-2">
        {places.data.map((one) => (
          <li key={one.id} className="flex justify-between items-center gap-3 border-t border-line pt-2">
            <span className="min-w-0">
              <span className="block truncate">
                {one.current ? 'Here: ' : ''}
                {kindOf(one.agent)}, {one.address}
              </span>
              <span className="text-sm text-ink-soft">
                since {dayAndTime(one.since)}, last seen {dayAndTime(one.seen)}
              </span>
            </span>
            {!one.current && (
              <Button onClick={() => end.mutate(one.id)} disabled={end.isPending}>
                End it
              </Button>
            )}
          </li>
        ))}
      </ul>
      {end.error && <Notice error={end.error} />}
      {places.data.some((one) => !one.current) && (
        <Button className="justify-self-start" onClick={() => end.mutate(null)} disabled={end.isPending}>
          End all but this one
        </Button>
      )}
    </Card>
  );
}

/** What a browser calls itself, in a few words: nobody reads the whole of it. */
export function kindOf(agent: string): string {
  const on = /Android/.test(agent)
    ? 'an Android device'
    : /iPad|iPhone/.test(agent)
      ? 'an iPad or iPhone'
      : /Windows/.test(agent)
        ? 'Windows'
        : /Mac OS/.test(agent)
          ? 'a Mac'
          : /Linux/.test(agent)
            ? 'Linux'
            : '';
  return on === '' ? (agent === '' ? 'A browser' : agent.slice(0, 40)) : `A browser on ${on}`;
}
