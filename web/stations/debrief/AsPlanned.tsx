// The shot as planned beside the shot as flown: what differs first, the rest when opened. How clean a take is says the flower; this says
// whether it is the shot.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';
import { Tolerances } from './Tolerances';

type Plan = NonNullable<Schemas['Score']['plan']>;
type Figure = Plan['figures'][number];

const VERDICTS = {
  'as-planned': { says: 'The shot that was planned', look: 'text-leaf' },
  near: { says: 'Near the plan', look: 'text-pollen-ink' },
  'another-shot': { says: 'Another shot than planned', look: 'text-brick' },
} as const;

/** What is shown of a plan that was met: its few widest figures. */
const AT_A_GLANCE = 3;

export function AsPlanned({ plan }: { plan: Plan | null }) {
  const [open, setOpen] = useState(false);
  const [choosing, setChoosing] = useState(false);
  if (plan === null) {
    return (
      <Card className="p-3 text-sm" label="As planned">
        <h2>Planned and flown</h2>
        <p className="m-0">There was no plan for this take: it is judged for how clean it is alone.</p>
      </Card>
    );
  }
  const off = plan.figures.filter((one) => one.off !== null);
  const shown = open ? plan.figures : off.length > 0 ? off : plan.figures.slice(0, AT_A_GLANCE);
  const { says, look } = VERDICTS[plan.verdict];
  return (
    <Card className="p-3 text-sm" label="As planned">
      <div className="flex justify-between items-baseline gap-2">
        <h2>Planned and flown</h2>
        <span className="figure" title="How near the plan, of 100">
          {Math.round(plan.match)} %
        </span>
      </div>
      <p className={`m-0 font-semibold ${look}`} data-plan={plan.verdict}>
        {says}
      </p>
      <table className="w-full border-collapse mt-1">
        <thead className="text-ink-soft text-left">
          <tr>
            <th className="font-normal">
              <span className="sr-only">What</span>
            </th>
            <th className="font-normal text-right">Planned</th>
            <th className="font-normal text-right">Flown</th>
          </tr>
        </thead>
        <tbody>
          {shown.map((one) => (
            <Row key={one.id} figure={one} />
          ))}
        </tbody>
      </table>
      {choosing && <Tolerances onClose={() => setChoosing(false)} />}
      {plan.figures.length > shown.length || open ? (
        <button
          type="button"
          className="min-h-9 p-0 bg-transparent text-larkspur underline cursor-pointer"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
        >
          {open ? 'Only what matters' : `All ${plan.figures.length} of the plan`}
        </button>
      ) : null}{' '}
      <button
        type="button"
        className="min-h-9 p-0 bg-transparent text-larkspur underline cursor-pointer"
        onClick={() => setChoosing(true)}
      >
        How near is near
      </button>
    </Card>
  );
}

function Row({ figure }: { figure: Figure }) {
  const { units } = useSession();
  return (
    <tr className="border-t border-line align-top" data-planned={figure.id}>
      <td className="py-1 pr-2">
        {figure.label}
        {!figure.given && <span className="text-ink-soft"> (left open)</span>}
      </td>
      <td className="figure py-1 text-right text-ink-soft">
        {figure.planned === null ? '–' : said(figure, figure.planned, units)}
      </td>
      <td className={`figure py-1 text-right ${figure.off === null ? '' : 'text-brick font-semibold'}`}>
        {said(figure, figure.flown, units)}
      </td>
    </tr>
  );
}

/** A number of the plan as people say it; ways are words. */
function said(figure: Figure, value: number, units: 'metric' | 'feet'): string {
  if (figure.id === 'direction') return value > 0 ? 'clockwise' : 'counter­clockwise';
  if (figure.id === 'side') return value > 0 ? 'right' : 'left';
  if ((figure.id === 'start' || figure.id === 'end') && value === 0) return 'there';
  const places = figure.unit === 'm/s' || figure.unit === 'deg/s' ? 1 : Math.abs(value) < 10 ? 1 : 0;
  return figure.id === 'start' || figure.id === 'end'
    ? `${withUnit(value, figure.unit, units, places)} off`
    : withUnit(value, figure.unit, units, places);
}
