// What goes wrong in a move: each typical fault with the cue against it; chosen, it is put into the flight beside the plan.
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { clock } from '~/units';

type Props = {
  move: Schemas['Move'];
  fault: string | null;
  onFault: (fault: string | null) => void;
  flown: Schemas['LessonFlight'] | null;
};

/** So many faults of one flight are told. */
const MOST = 3;

export function WhatGoesWrong({ move, fault, onFault, flown }: Props) {
  return (
    <Card className="p-3 grid gap-2 text-sm">
      <h2>What goes wrong</h2>
      <p className="m-0 text-ink-soft">Choose one: a simulated hand flies it so, beside the plan.</p>
      {move.faults.map((item) => {
        const on = fault === item.id;
        return (
          <div key={item.id} className={`rounded-md border ${on ? 'border-pollen' : 'border-line'}`}>
            <button
              type="button"
              aria-pressed={on}
              data-fault={item.id}
              className="block w-full text-left min-h-11 px-3 py-1 cursor-pointer bg-transparent"
              onClick={() => onFault(on ? null : item.id)}
            >
              <span className="font-semibold">{item.name}</span>
              <span className="block text-ink-soft">{item.cue}</span>
            </button>
            {on && flown?.fault === item.id && <Judged flown={flown} />}
          </div>
        );
      })}
      {fault === null && flown && (
        <p className="m-0 text-ink-soft">
          Flown by a practised hand it scores <span className="figure">{Math.round(flown.score)}</span>.
        </p>
      )}
    </Card>
  );
}

function Judged({ flown }: { flown: Schemas['LessonFlight'] }) {
  // What was put in comes first, whatever else it brought along.
  const own = flown.faults.filter((item) => item.id === flown.fault);
  const shown = [...own, ...flown.faults.filter((item) => item.id !== flown.fault)].slice(0, MOST);
  return (
    <div className="px-3 pb-2 grid gap-1" role="status">
      <p className="m-0">
        So flown it scores <span className="figure font-semibold">{Math.round(flown.score)}</span>:{' '}
        {flown.headline.toLowerCase()}.
      </p>
      {flown.told_otherwise !== null && <p className="m-0 text-ink-soft">{flown.told_otherwise}</p>}
      {shown.map((item) => (
        <p key={`${item.id}${item.axis}${item.t_s}`} className="m-0 text-ink-soft">
          {item.name} at <span className="figure">{clock(item.t_s)}</span>. {item.picture}
        </p>
      ))}
      {flown.told_otherwise === null && own.length === 0 && (
        <p className="m-0 text-ink-soft">So weak in this craft’s hands it is not named.</p>
      )}
    </div>
  );
}
