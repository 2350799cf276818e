// What cost you most: what happened, when, what it did to the picture, and what to try next.
import { Link } from 'react-router';
import type { Schemas } from '~/api/client';
import { useMoves } from '~/api/queries';
import { Card } from '~/kit/Card';
import { clock } from '~/units';

type Props = {
  faults: Schemas['Fault'][];
  facets: Schemas['JudgedFacets'];
  /** Which move it is: the same fault is shown in its lesson. */
  move: string;
  time: number;
  onTime: (time: number) => void;
};

const MOST_SHOWN = 5;

export function Faults({ faults, facets, move, time, onTime }: Props) {
  const lessons = useMoves().data?.find((one) => one.id === move)?.faults ?? [];
  const weakest = Object.values(facets).reduce((low, facet) =>
    (facet.score ?? 101) < (low.score ?? 101) ? facet : low,
  );
  return (
    <Card className="p-3">
      <h2>What cost you most</h2>
      {faults.length === 0 && (
        <p className="m-0 mt-2 text-sm">
          {(weakest.score ?? 100) < 90
            ? `No single fault. ${weakest.name} is the short petal. ${weakest.why}`
            : 'Nothing worth naming. Fly the next one just like this.'}
        </p>
      )}
      <ul className="m-0 mt-1 p-0 list-none">
        {faults.slice(0, MOST_SHOWN).map((fault) => (
          <li
            key={`${fault.id}-${fault.axis}-${fault.t_s}`}
            className="border-t border-line"
            data-fault={fault.id}
          >
            <button
              type="button"
              className={`grid grid-cols-[3.6rem_1fr] gap-2 w-full text-left py-2 text-sm cursor-pointer bg-transparent ${Math.abs(fault.worst_s - time) < 0.15 ? 'bg-haze' : ''}`}
              onClick={() => onTime(fault.worst_s)}
            >
              <span className={`figure ${fault.severity === 'slight' ? 'text-pollen-ink' : 'text-brick'}`}>
                {clock(fault.worst_s)}
              </span>
              <span>
                <b>
                  {fault.name}
                  {fault.axis === 'all' || fault.axis === 'picture' ? '' : ` on ${fault.axis}`}
                  {fault.side === null ? '' : `, to the ${WHERE[fault.side]}`}
                </b>
                , {fault.severity}: {size(fault)}
                {fault.until_s - fault.t_s >= 1
                  ? `, from ${clock(fault.t_s)} to ${clock(fault.until_s)}`
                  : ''}
                {fault.cost >= 0.1 ? `, costs ${fault.cost.toFixed(1)}` : ''}. {fault.picture}{' '}
                <span className="text-ink-soft">{fault.try}</span>
              </span>
            </button>
            {lessons.some((one) => one.id === fault.id) && (
              <Link
                className="inline-block ml-[4.1rem] min-h-9 text-sm text-larkspur underline"
                to={`/plan/moves/${move}?fault=${fault.id}`}
              >
                See it flown in the library
              </Link>
            )}
          </li>
        ))}
      </ul>
    </Card>
  );
}

const WHERE = { left: 'left', right: 'right', up: 'top', down: 'foot' } as const;

const UNITS: Record<string, string> = {
  'deg/s2': '\u00b0/s\u00b2',
  'm/s2': 'm/s\u00b2',
  '%/s': '% of the frame a second',
  s: 's',
  '%': '%',
  'm/s': 'm/s',
};

function size(fault: Schemas['Fault']): string {
  return `${fault.size.toFixed(fault.size >= 10 ? 0 : fault.size >= 1 ? 1 : 2)} ${UNITS[fault.unit] ?? fault.unit}`;
}
