// What somebody looks for in a logbook again and again: chosen by its name, kept under one, let go.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '~/api/client';
import { useKeptFilters } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';

type Filter = Record<string, string>;

export function KeptFilters({ now, onChoose }: { now: Filter; onChoose: (filter: Filter) => void }) {
  const client = useQueryClient();
  const kept = useKeptFilters();
  const [name, setName] = useState<string | null>(null);
  const again = () => void client.invalidateQueries({ queryKey: ['kept-filters'] });
  const keep = useMutation({
    mutationFn: (called: string) =>
      answered(api.POST('/kept-filters', { body: { name: called, filter: now } })),
    onSuccess: () => {
      setName(null);
      again();
    },
  });
  const drop = useMutation({
    mutationFn: (filter: number) =>
      answered(api.DELETE('/kept-filters/{filter}', { params: { path: { filter } } })),
    onSettled: again,
  });
  const narrowed = Object.keys(now).length > 0;
  const all = kept.data ?? [];
  if (!narrowed && all.length === 0) return null;
  const same = (filter: Filter) =>
    JSON.stringify(Object.entries(filter).toSorted()) === JSON.stringify(Object.entries(now).toSorted());
  return (
    <div className="flex flex-wrap gap-2 items-end" data-list="kept-filters">
      {all.map((one) => (
        <span key={one.id} className="inline-flex">
          <Button
            aria-pressed={same(one.filter as Filter)}
            onClick={() => onChoose(same(one.filter as Filter) ? {} : (one.filter as Filter))}
          >
            {one.name}
          </Button>
          <Button aria-label={`Let go of ${one.name}`} onClick={() => drop.mutate(one.id)}>
            ×
          </Button>
        </span>
      ))}
      {narrowed && name === null && !all.some((one) => same(one.filter as Filter)) && (
        <Button onClick={() => setName('')}>Keep what I look for</Button>
      )}
      {name !== null && (
        <form
          className="flex gap-2 items-end"
          onSubmit={(event) => {
            event.preventDefault();
            keep.mutate(name.trim());
          }}
        >
          <Field
            label="Under the name"
            value={name}
            maxLength={60}
            required
            onChange={(event) => setName(event.target.value)}
          />
          <Button type="submit" disabled={keep.isPending || name.trim() === ''}>
            Keep
          </Button>
          <Button onClick={() => setName(null)}>Leave it</Button>
        </form>
      )}
      {keep.error && <Notice error={keep.error} />}
    </div>
  );
}
