// Flights without a log, as their operator writes them down: they count in minutes and batteries, and show nothing of a step.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { Remove } from '~/kit/Remove';
import { useSession } from '~/shell/session';
import { day } from '~/units';

const EMPTY = { date: '', minutes: '', batteries: '', craft: '', place: '', text: '' };

export function OwnEntries({ logbook }: { logbook: Schemas['Logbook'] }) {
  const { user } = useSession();
  const client = useQueryClient();
  const [open, setOpen] = useState(false);
  const [entry, setEntry] = useState(EMPTY);
  const mine = user.id === logbook.operator.id;
  const again = () => void client.invalidateQueries({ queryKey: ['logbook'] });
  const add = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/own-entries', {
          body: {
            flown_at: `${entry.date}T12:00:00Z`,
            minutes: Number(entry.minutes),
            batteries: Number(entry.batteries || 0),
            craft: entry.craft,
            place: entry.place,
            text: entry.text,
          },
        }),
      ),
    onSuccess: () => {
      setEntry(EMPTY);
      setOpen(false);
      again();
    },
  });
  const field = (name: keyof typeof EMPTY, label: string, more: object = {}) => (
    <Field
      label={label}
      value={entry[name]}
      onChange={(event) => setEntry({ ...entry, [name]: event.target.value })}
      {...more}
    />
  );
  return (
    <Card caption="Flights without a log" className="pb-3">
      <div className="px-3 grid gap-2">
        {logbook.entries.map((one) => (
          <div key={one.id} className="flex justify-between gap-2 items-start text-sm">
            <span>
              {day(one.flown_at)}, <span className="figure">{one.minutes}</span> min
              {one.craft !== '' && `, ${one.craft}`}
              {one.place !== '' && `, ${one.place}`}
              {one.text !== '' && <span className="block text-ink-soft">{one.text}</span>}
            </span>
            {mine && (
              <Remove
                what="it"
                words="This flight leaves your logbook. Takes are not touched."
                ask={() =>
                  answered(api.DELETE('/own-entries/{entry}', { params: { path: { entry: one.id } } }))
                }
                onRemoved={again}
              />
            )}
          </div>
        ))}
        {mine && !open && (
          <Button onClick={() => setOpen(true)} className="justify-self-start">
            Write one down
          </Button>
        )}
        {mine && open && (
          <form
            className="grid gap-2"
            onSubmit={(event) => {
              event.preventDefault();
              add.mutate();
            }}
          >
            {field('date', 'Day', { type: 'date', required: true })}
            {field('minutes', 'Minutes in the air', {
              type: 'number',
              min: 0,
              max: 1440,
              step: 'any',
              required: true,
            })}
            {field('batteries', 'Batteries', { type: 'number', min: 0, max: 100 })}
            {field('craft', 'Craft', { maxLength: 80 })}
            {field('place', 'Place', { maxLength: 120 })}
            {field('text', 'What happened', { maxLength: 1000 })}
            {add.error !== null && <Notice error={add.error} />}
            <div className="flex gap-2">
              <Button type="submit" primary disabled={add.isPending}>
                Keep
              </Button>
              <Button onClick={() => setOpen(false)}>Leave it</Button>
            </div>
          </form>
        )}
      </div>
    </Card>
  );
}
