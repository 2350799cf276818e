// The numbers of a planned shot that one would write on a card: what each is at its start and its end, when, and what the finger does then.
import type { Schemas } from '~/api/client';
import { clock, figure, type Units, withUnit } from '~/units';

type Figure = Schemas['PlanNumber'];

const HEADS: [string, (id: string) => boolean][] = [
  ['Where', (id) => /^(height|distance)/.test(id)],
  ['Turn and way', (id) => /^(turn_rate|lap|hold_arc|run_in|ease_out|braking)/.test(id)],
  ['Wheel', (id) => /^(tilt_(start|end|rate)|trigger|settling|release)/.test(id)],
  ['Picture', (id) => /^(sky|depth|felt|slip|seconds|closing)/.test(id)],
  ['At the limit', (id) => /at_limit/.test(id)],
];

type Props = {
  numbers: Figure[];
  /** Handed over: the field has no session. */
  units: Units;
  onTime?: (time: number) => void;
};

export function Numbers({ numbers, units, onTime }: Props) {
  return (
    <div
      className="p-3 grid gap-x-8 gap-y-3 md:grid-cols-2 xl:grid-cols-3 items-start overflow-auto max-h-full"
      data-picture="numbers"
    >
      {HEADS.map(([head, belongs]) => {
        const rows = [...new Map(numbers.filter((one) => belongs(one.id)).map((one) => [one.id, one.name]))];
        if (rows.length === 0) return null;
        return (
          <section key={head}>
            <h3 className="m-0 text-sm text-ink-soft font-normal">{head}</h3>
            <dl className="m-0">
              {rows.map(([id, name]) => (
                <div
                  key={id}
                  className="flex justify-between gap-3 items-baseline border-b border-line"
                  data-number={id}
                >
                  <dt className="text-sm">{name}</dt>
                  <dd className="m-0 text-right">
                    {numbers
                      .filter((one) => one.id === id)
                      .map((one, k) => (
                        <span key={String(one.at_s)} className="figure whitespace-nowrap">
                          {k > 0 && <span className="text-ink-soft"> to </span>}
                          <Value one={one} units={units} onTime={onTime} />
                        </span>
                      ))}
                  </dd>
                </div>
              ))}
            </dl>
          </section>
        );
      })}
    </div>
  );
}

function Value({
  one: { value, unit, at_s: at, travel },
  units,
  onTime,
}: {
  one: Figure;
  units: Units;
  onTime?: (time: number) => void;
}) {
  const said = unit === '' ? figure(value, 2) : withUnit(value, unit, units);
  if (at === null || onTime === undefined) return said;
  return (
    <button
      type="button"
      className="cursor-pointer min-h-7 border-b border-dotted border-ink-soft"
      title={`at ${clock(at)}`}
      onClick={() => onTime(at)}
    >
      {said}
      {travel !== null && (
        <span className="block text-sm text-ink-soft">
          {figure(100 * Math.abs(travel), 0)} % of the travel
        </span>
      )}
    </button>
  );
}
