// What goes out to oneself: a mail once a week, and a calendar that other programs ask for by a link that can be closed.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { answered, api } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';

export function Sent() {
  const client = useQueryClient();
  const account = useQuery({ queryKey: ['account'], queryFn: () => answered(api.GET('/account')) });
  const again = () => void client.invalidateQueries({ queryKey: ['account'] });
  const mail = useMutation({
    mutationFn: (weekly_mail: boolean) => answered(api.PATCH('/me', { body: { weekly_mail } })),
    onSettled: again,
  });
  const make = useMutation({
    mutationFn: () => answered(api.POST('/account/calendar')),
    onSettled: again,
  });
  const close = useMutation({
    mutationFn: () => answered(api.DELETE('/account/calendar')),
    onSuccess: () => make.reset(),
    onSettled: again,
  });
  if (account.data === undefined) return <Skeleton className="h-32" />;
  const { weekly_mail: weekly, calendar_link: linked } = account.data;
  return (
    <Card className="p-4 grid gap-3">
      <h2>Sent to you</h2>
      <label className="flex gap-3 items-center min-h-11">
        <input
          type="checkbox"
          className="size-6 accent-larkspur"
          checked={weekly}
          disabled={mail.isPending}
          onChange={(event) => mail.mutate(event.target.checked)}
        />
        A mail on Monday mornings: what the week came to
      </label>
      {mail.error && <Notice error={mail.error} />}
      <div className="border-t border-line pt-3 grid gap-2 justify-items-start">
        <h3 className="m-0">Your calendar</h3>
        <p className="m-0 text-sm">
          Days of flying and lessons by their date, for a calendar program that asks by a link. Whoever has
          the link sees them, so keep it to yourself.
        </p>
        {make.data && (
          <>
            <Notice tone="leaf" text="Copy the link now: it is shown only once." />
            <code className="break-all">{make.data.link}</code>
          </>
        )}
        <div className="flex flex-wrap gap-2">
          <Button onClick={() => make.mutate()} disabled={make.isPending}>
            {linked ? 'Make another link; the old one is closed' : 'Make a link'}
          </Button>
          {linked && (
            <Button onClick={() => close.mutate()} disabled={close.isPending}>
              Close the link
            </Button>
          )}
        </div>
        {(make.error ?? close.error) !== null && <Notice error={make.error ?? close.error} />}
      </div>
    </Card>
  );
}
