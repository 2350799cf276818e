// Numbers that two versions state differently, one a line: from what, to what.
import type { Schemas } from '~/api/client';
import { useSession } from '~/shell/session';
import { figure, type Units, withUnit } from '~/units';

type Change = Schemas['RigChange'];

function changeValue(value: Change['from'], unit: string, units: Units): string {
  if (value === null) return 'not said';
  if (typeof value === 'boolean') return value ? 'on' : 'off';
  if (typeof value === 'string') return value;
  return unit === '' ? figure(value, 2).replace(/\.?0+$/, '') : withUnit(value, unit, units, 2);
}

export function Changes({ changes, marked = [] }: { changes: Change[]; marked?: string[] }) {
  const { units } = useSession();
  return (
    <ul className="m-0 p-0 list-none grid gap-0.5 text-sm max-w-lg">
      {changes.map((change) => (
        <li key={change.place} className="grid grid-cols-[1fr_auto] gap-3">
          <span className={marked.includes(change.place) ? 'font-semibold text-brick' : ''}>
            {change.mode === '' ? '' : `${change.mode}: `}
            {change.name}
            {marked.includes(change.place) && ' (both)'}
          </span>
          <span className="figure">
            {changeValue(change.from, change.unit, units)} → {changeValue(change.to, change.unit, units)}
          </span>
        </li>
      ))}
    </ul>
  );
}
