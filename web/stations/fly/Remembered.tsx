// What the school confirmed of other makers' columns, places and heights: looked at, changed, or forgotten, so that a wrong answer is not
// for ever.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { useColumnMappings, useRememberedReadings } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { day } from '~/units';
import { type Chosen, ColumnsTable } from './Columns';

export function Remembered() {
  const known = useColumnMappings().data ?? [];
  const readings = useRememberedReadings().data ?? [];
  if (known.length + readings.length === 0) return null;
  return (
    <details>
      <summary className="cursor-pointer min-h-11 py-2 text-sm font-semibold">
        {titleOf(known.length, readings.length)} remembered
      </summary>
      <ul className="m-0 p-0 list-none grid gap-2">
        {known.map((one) => (
          <Maker key={one.id} known={one} />
        ))}
        {readings.map((one) => (
          <Said key={one.id} known={one} />
        ))}
      </ul>
    </details>
  );
}

function titleOf(columns: number, readings: number): string {
  if (columns === 0)
    return readings === 1
      ? 'How one maker’s logs are meant is'
      : `How logs of ${readings} makers are meant is`;
  return columns === 1 ? 'One maker’s columns are' : `Columns of ${columns} makers are`;
}

/** How the places and heights of a maker's logs are meant, where they would lie elsewhere as they are written. */
function Said({ known }: { known: Schemas['RememberedReading'] }) {
  const client = useQueryClient();
  const forget = useMutation({
    mutationFn: () =>
      answered(api.DELETE('/remembered-readings/{reading}', { params: { path: { reading: known.id } } })),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['remembered-readings'] }),
  });
  return (
    <li className="grid gap-2 text-sm border-t border-line pt-2" data-reading={known.id}>
      <span>
        <b>{`As in ${known.file_name}`}</b>, said {day(known.said_at)}
      </span>
      <span className="text-ink-soft">
        Where such a log lies elsewhere than its plan, and would lie there if so: {known.words}.
      </span>
      {forget.error && <Notice error={forget.error} />}
      <span>
        <Button onClick={() => forget.mutate()} disabled={forget.isPending}>
          Forget, and ask again
        </Button>
      </span>
    </li>
  );
}

function Maker({ known }: { known: Schemas['RememberedColumns'] }) {
  const client = useQueryClient();
  const [changing, setChanging] = useState(false);
  const again = () => void client.invalidateQueries({ queryKey: ['column-mappings'] });
  const change = useMutation({
    mutationFn: (columns: Chosen) =>
      answered(
        api.PUT('/column-mappings/{mapping}', { params: { path: { mapping: known.id } }, body: { columns } }),
      ),
    onSuccess: () => {
      setChanging(false);
      again();
    },
  });
  const forget = useMutation({
    mutationFn: () =>
      answered(api.DELETE('/column-mappings/{mapping}', { params: { path: { mapping: known.id } } })),
    onSuccess: again,
  });
  const read = known.columns.quantities.flatMap(({ id, name }) => {
    const column = known.columns.guess[id];
    return column ? [`${name} from ${column.column}${column.unit === '' ? '' : ` in ${column.unit}`}`] : [];
  });
  return (
    <li className="grid gap-2 text-sm border-t border-line pt-2" data-remembered={known.id}>
      <span>
        <b>{known.file_name === '' ? 'Logs' : `As in ${known.file_name}`}</b>, confirmed{' '}
        {day(known.confirmed_at)}
      </span>
      {changing ? (
        <ColumnsTable
          question={known.columns}
          onConfirm={change.mutate}
          pending={change.isPending}
          error={change.error}
        />
      ) : (
        <span className="text-ink-soft">{read.join('; ')}.</span>
      )}
      {forget.error && <Notice error={forget.error} />}
      <span className="flex flex-wrap gap-2">
        <Button onClick={() => setChanging((now) => !now)}>{changing ? 'Leave as it was' : 'Change'}</Button>
        <Button onClick={() => forget.mutate()} disabled={forget.isPending}>
          Forget, and ask again
        </Button>
      </span>
      {changing && (
        <span className="text-ink-soft">
          Logs that come in from now on are read so. Bring in a log again that was read otherwise, and it is
          read anew; what came of it before leaves the logbook.
        </span>
      )}
    </li>
  );
}
