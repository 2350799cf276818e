// What the columns of another maker's log are: guessed, with why; confirmed here once, and remembered by the school.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Problem, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';

type Question = NonNullable<Schemas['Import']['columns']>;
export type Chosen = Record<string, { column: string; unit: string }>;

/** The question of a log that waits for its answer. */
export function Columns({ item, question }: { item: Schemas['Import']; question: Question }) {
  const client = useQueryClient();
  const confirm = useMutation({
    mutationFn: (columns: Chosen) =>
      answered(
        api.PUT('/imports/{import}/columns', { params: { path: { import: item.id } }, body: { columns } }),
      ),
    onSuccess: () => {
      for (const key of ['imports', 'column-mappings']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  return (
    <div className="grid gap-2 p-3 rounded-md border border-pollen" data-columns={item.id}>
      <p className="m-0">{item.message}</p>
      <ColumnsTable
        question={question}
        onConfirm={confirm.mutate}
        pending={confirm.isPending}
        error={confirm.error}
      />
    </div>
  );
}

type TableProps = {
  question: Question;
  onConfirm: (columns: Chosen) => void;
  pending: boolean;
  error: Problem | Error | null;
};

/** Which column is what, and in which unit it is written. */
export function ColumnsTable({ question, onConfirm, pending, error }: TableProps) {
  const [chosen, setChosen] = useState<Chosen>(() =>
    Object.fromEntries(
      Object.entries(question.guess).map(([id, guess]) => [id, { column: guess.column, unit: guess.unit }]),
    ),
  );
  const [more, setMore] = useState(false);
  const put = (id: string, next: Partial<Chosen[string]>) =>
    setChosen((now) => {
      const was = now[id] ?? {
        column: '',
        unit: question.quantities.find((q) => q.id === id)?.units[0] ?? '',
      };
      const { [id]: _, ...rest } = now;
      const whole = { ...was, ...next };
      return whole.column === '' ? rest : { ...rest, [id]: whole };
    });
  const shown = question.quantities.filter(
    (quantity) =>
      more || quantity.needed || chosen[quantity.id] !== undefined || CAMERA.includes(quantity.id),
  );
  const missing = question.quantities.filter((q) => q.needed && chosen[q.id] === undefined);
  return (
    <>
      <table className="w-full border-collapse table-fixed">
        <thead>
          <tr className="text-left text-ink-soft">
            <th className="font-normal py-1 w-[28%]">What it is</th>
            <th className="font-normal">Column</th>
            <th className="font-normal">Written in</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((quantity) => {
            const now = chosen[quantity.id];
            const guess = question.guess[quantity.id];
            const doubt = guess !== undefined && !guess.sure && now?.unit === guess.unit;
            return (
              <tr key={quantity.id} className="border-t border-line align-middle">
                <th scope="row" className="text-left font-semibold py-2 pr-2">
                  {quantity.name}
                  {quantity.needed ? '' : <span className="text-ink-soft font-normal"> if there</span>}
                </th>
                <td className="pr-2 py-1">
                  <select
                    aria-label={`Column of ${quantity.name}`}
                    className="min-h-11 w-full rounded-md border border-line bg-card text-ink"
                    value={now?.column ?? ''}
                    onChange={(event) => put(quantity.id, { column: event.target.value })}
                  >
                    <option value="">none</option>
                    {question.headers.map((header) => (
                      <option key={header}>{header}</option>
                    ))}
                  </select>
                </td>
                <td className="py-1">
                  <select
                    aria-label={`Unit of ${quantity.name}`}
                    className="min-h-11 w-full rounded-md border border-line bg-card text-ink"
                    value={now?.unit ?? quantity.units[0]}
                    disabled={now === undefined}
                    onChange={(event) => put(quantity.id, { unit: event.target.value })}
                  >
                    {quantity.units.map((unit) => (
                      <option key={unit}>{unit}</option>
                    ))}
                  </select>
                  {doubt && <span className="block text-pollen-ink">please check: {guess.why}</span>}
                  {guess !== undefined && now?.column === guess.column && guess.samples.length > 0 && (
                    <span className="block text-sm text-ink-soft figure">{guess.samples.join(', ')}</span>
                  )}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      {!CAMERA.every((id) => chosen[id] !== undefined) && (
        <p className="m-0 text-ink-soft">
          Without heading or tilt, Ease, Flow, Hold and Line are judged all the same; Frame is not.
        </p>
      )}
      {error && <Notice error={error} />}
      <div className="flex flex-wrap gap-2">
        <Button primary onClick={() => onConfirm(chosen)} disabled={pending || missing.length > 0}>
          These are right
        </Button>
        {!more && <Button onClick={() => setMore(true)}>More columns</Button>}
      </div>
      {missing.length > 0 && (
        <p className="m-0 text-brick">Still needed: {missing.map((q) => q.name).join(', ')}.</p>
      )}
    </>
  );
}

const CAMERA = ['heading_deg', 'gimbal_tilt_deg'];
