// The class in one picture: operators against petals, fingers and steps, who needs the trainer first; what many get wrong, and who could
// show whom; a cohort by itself, or two beside each other.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { type ClassFilter, useClass } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { day } from '~/units';
import { CohortsCard } from './CohortsCard';

type Row = Schemas['GroupRow'];

const PETALS = ['ease', 'flow', 'hold', 'line', 'frame'];
const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'];

/** How a state of a step is drawn in the strip: its height, so that it is told without colour. */
const STRIP: Record<string, { height: number; color: string }> = {
  closed: { height: 3, color: 'var(--line)' },
  open: { height: 6, color: 'var(--mesh)' },
  'in-work': { height: 11, color: 'var(--petal)' },
  enough: { height: 16, color: 'var(--pollen)' },
  settled: { height: 22, color: 'var(--leaf)' },
  signed: { height: 22, color: 'var(--leaf)' },
  stale: { height: 16, color: 'var(--ink-soft)' },
};

const GOING: Record<string, string> = { coming: '↗', slipping: '↘', still: '→', unsure: '' };

export function ClassRoom({
  onOpen,
}: {
  onOpen: (room: 'ladder' | 'standing' | 'logbook', operator: number) => void;
}) {
  const { user } = useSession();
  const [filter, setFilter] = useState<ClassFilter>({});
  const group = useClass(filter);
  if (group.error) throw group.error;
  if (!group.data) return <Skeleton className="h-[70vh]" />;
  const { rows, steps, common, pairs, cohorts } = group.data;
  const narrowed = Object.keys(filter).length > 0;
  if (rows.length === 0 && !narrowed) {
    return (
      <Card className="p-6">
        <p className="m-0">No operator yet. Invite the first one from your school’s page.</p>
      </Card>
    );
  }
  return (
    <div className="grid gap-3 grid-cols-[minmax(0,1fr)]">
      <Whom
        filter={filter}
        cohorts={cohorts}
        trainer={user.role === 'trainer' ? user.id : null}
        onChange={setFilter}
      />
      {rows.length === 0 && <p className="m-0">Nobody is in it.</p>}
      <Card
        caption="Who needs you most stands first"
        aside="↗ coming, ↘ slipping, → standing still; a bar under a number: stuck"
        scrolls
        label="The class"
        className="pb-2"
      >
        <table className="border-collapse text-sm w-full" data-picture="class">
          <thead>
            <tr className="text-left text-ink-soft">
              <th className="px-3 font-normal">Operator</th>
              <th className="px-1 font-normal">Score</th>
              {[...PETALS, ...FINGERS].map((one) => (
                <th key={one} className={`px-1 font-normal ${one === 'climb' ? 'pl-4' : ''}`}>
                  {one}
                </th>
              ))}
              <th className="px-3 font-normal">Steps, from the foot of the ladder</th>
            </tr>
          </thead>
          <tbody>
            {rows.map((row) => (
              <ClassRow key={row.operator.id} row={row} steps={steps} onOpen={onOpen} />
            ))}
          </tbody>
        </table>
      </Card>
      <div className="grid gap-3 md:grid-cols-2 items-start">
        <Card caption="What many get wrong: the next lesson" className="pb-3">
          {common.length === 0 ? (
            <p className="m-0 px-3">Nothing that a third of the class share.</p>
          ) : (
            <ul className="m-0 px-3 list-none grid gap-2">
              {common.slice(0, 4).map((fault) => (
                <li key={fault.id}>
                  <strong>{fault.name}</strong>, {fault.who.map((one) => one.name).join(', ')}
                  <span className="block text-sm text-ink-soft">{fault.cure}</span>
                </li>
              ))}
            </ul>
          )}
        </Card>
        <Card caption="Who could show whom" className="pb-3">
          {pairs.length === 0 ? (
            <p className="m-0 px-3">Nobody is surely good at what another is stuck on.</p>
          ) : (
            <ul className="m-0 px-3 list-none grid gap-2">
              {pairs.map((pair) => (
                <li key={`${pair.shows.id} ${pair.learns.id}`}>
                  {pair.shows.name} could show {pair.learns.name}: {pair.what}.
                </li>
              ))}
            </ul>
          )}
        </Card>
      </div>
      {cohorts.length > 1 && <CohortsCard cohorts={cohorts} />}
    </div>
  );
}

/** Whom the picture is of: everybody, those of a cohort, those whom one trains. */
function Whom({
  filter,
  cohorts,
  trainer,
  onChange,
}: {
  filter: ClassFilter;
  cohorts: string[];
  trainer: number | null;
  onChange: (filter: ClassFilter) => void;
}) {
  const now =
    filter.trainer !== undefined ? 'mine' : filter.cohort === undefined ? 'all' : `cohort ${filter.cohort}`;
  const choose = (value: string) => {
    if (value === 'mine' && trainer !== null) onChange({ trainer });
    else onChange(value.startsWith('cohort ') ? { cohort: value.slice('cohort '.length) } : {});
  };
  return (
    <div className="max-w-72">
      <Pick
        label="Whom"
        value={now}
        onChange={choose}
        options={[
          { value: 'all', label: 'everybody' },
          ...(trainer === null ? [] : [{ value: 'mine', label: 'those whom I train' }]),
          ...cohorts.map((one) => ({ value: `cohort ${one}`, label: one })),
        ]}
      />
    </div>
  );
}

function ClassRow({
  row,
  steps,
  onOpen,
}: {
  row: Row;
  steps: Schemas['GroupStep'][];
  onOpen: (room: 'ladder' | 'standing' | 'logbook', operator: number) => void;
}) {
  const standings = row.standings as Record<string, Schemas['Standing']>;
  const states = row.states as Record<string, string>;
  const id = row.operator.id;
  return (
    <tr className="border-t border-line align-top" data-operator={id}>
      <td className="px-3 py-2 min-w-56 max-w-72">
        <button
          type="button"
          className="font-semibold cursor-pointer text-left min-h-6"
          onClick={() => onOpen('logbook', id)}
        >
          {row.operator.name}
        </button>
        <span className="block text-ink-soft">
          {row.why.length > 0 ? row.why.join(' ') : 'Nothing presses.'}
          {row.last_flown !== null && ` Last flown ${day(row.last_flown)}.`}
        </span>
      </td>
      {['score', ...PETALS, ...FINGERS].map((measure) => (
        <td key={measure} className={`px-1 py-2 ${measure === 'climb' ? 'pl-4' : ''}`}>
          <Cell standing={standings[measure]} onOpen={() => onOpen('standing', id)} />
        </td>
      ))}
      <td className="px-3 py-2">
        <button
          type="button"
          onClick={() => onOpen('ladder', id)}
          className="flex items-end gap-[2px] h-6 cursor-pointer"
          aria-label={`${row.operator.name}’s ladder: ${row.passed} of ${steps.length} steps passed`}
        >
          {steps
            .toSorted((a, b) => a.rank - b.rank)
            .map((step) => {
              const look = STRIP[states[step.id] ?? 'closed'] ?? { height: 3, color: 'var(--line)' };
              return (
                <span
                  key={step.id}
                  title={`${step.name}: ${states[step.id]}`}
                  className="w-[6px] rounded-xs"
                  style={{ height: look.height, background: look.color }}
                />
              );
            })}
        </button>
      </td>
    </tr>
  );
}

function Cell({ standing, onOpen }: { standing: Schemas['Standing'] | undefined; onOpen: () => void }) {
  if (standing === undefined) return <span className="text-ink-soft">·</span>;
  const said = `${standing.name}: ${Math.round(standing.mean)} give or take ${Math.round(standing.sure)}, ${standing.stuck ? 'stuck' : standing.going}, ${standing.takes} takes`;
  return (
    <button
      type="button"
      title={said}
      aria-label={said}
      onClick={onOpen}
      className={`figure min-w-11 min-h-8 px-1 rounded-xs cursor-pointer text-left ${standing.stuck ? 'border-b-4 border-brick font-semibold' : ''} ${standing.takes < 5 ? 'text-ink-soft' : ''}`}
      style={{
        background: `color-mix(in oklab, var(--petal) ${Math.max(0, Math.min(60, (90 - standing.mean) * 1.6))}%, var(--card))`,
      }}
    >
      {Math.round(standing.mean)}
      <span aria-hidden className="text-ink-soft">
        {GOING[standing.heading]}
      </span>
    </button>
  );
}
