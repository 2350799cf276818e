// The desk's view of what goes on in the field: gates passed here or there, and what was flown, by whom, with their notes.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { hour } from '~/units';
import { device, type Entry } from './fieldStore';
import { Gates } from './Gates';

/** What the field entered is looked for so often, ms. */
const LOOK = 2500;

export function DeskLog({ day }: { day: Schemas['DayDetail'] }) {
  const { user } = useSession();
  const client = useQueryClient();
  const key = ['day-log', day.id];
  const log = useQuery({
    queryKey: key,
    queryFn: () => answered(api.GET('/days/{day}/log', { params: { path: { day: day.id } } })),
    initialData: day.log,
    refetchInterval: LOOK,
    staleTime: 0,
  });
  const enter = useMutation({
    mutationFn: ({ kind, item, payload }: Pick<Entry, 'kind' | 'item' | 'payload'>) => {
      const now = new Date().toISOString();
      return answered(
        api.POST('/days/{day}/entries', {
          params: { path: { day: day.id } },
          body: {
            entries: [{ uuid: crypto.randomUUID(), kind, item, payload, device: device(), made_at: now }],
            sent_at: now,
          },
        }),
      );
    },
    onSuccess: (kept) => client.setQueryData(key, kept),
  });
  const bind = useMutation({
    mutationFn: (binding: string[]) => answered(api.PUT('/gates', { body: { binding } })),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['day', day.id] }),
  });
  const shown = { ...day, log: log.data };
  const flown = day.cards.map((card) => ({ card, passes: log.data.passes[`shot-${card.shot_id}`] ?? [] }));
  return (
    <>
      {enter.error && <Notice error={enter.error} />}
      {bind.error && <Notice error={bind.error} />}
      <Gates
        day={shown}
        onTick={(item, on, note) => enter.mutate({ kind: 'tick', item, payload: { on, note } })}
        onDecide={(choice, note) =>
          enter.mutate({ kind: 'decision', item: 'weather', payload: { choice, note } })
        }
        onBind={
          user.role === 'operator'
            ? null
            : (id, binds) => {
                const binding = day.gates.gates.filter((one) => one.binds).map((one) => one.id);
                bind.mutate(binds ? [...binding, id] : binding.filter((one) => one !== id));
              }
        }
      />
      <section aria-label="What was flown" className="grid gap-1">
        <h2>What was flown</h2>
        {flown.every((one) => one.passes.length === 0) && <p className="m-0 text-ink-soft">Nothing yet.</p>}
        {flown
          .filter((one) => one.passes.length > 0)
          .map(({ card, passes }) => (
            <div key={card.shot_id}>
              <b>{card.title}</b>
              <ul className="m-0 p-0 list-none text-sm">
                {passes.map((pass) => (
                  <li key={pass.uuid}>
                    Pass {pass.number}, {pass.verdict}
                    {pass.note !== '' && `, ${pass.note}`}: {pass.by}, {hour(pass.at, day.zone)},{' '}
                    {pass.take_id === null ? (
                      'awaits its log'
                    ) : (
                      <Link to={`/debrief/${pass.take_id}`}>its take</Link>
                    )}
                  </li>
                ))}
              </ul>
            </div>
          ))}
      </section>
    </>
  );
}
