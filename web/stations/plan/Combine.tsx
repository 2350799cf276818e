// Combination: two or three moves joined into one, one after the other or at once.
import type { Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import type { Units } from '~/units';
import type { Draft, Values } from './draft';
import { ParameterChoice, ParameterDial } from './Shape';
import type { Planning } from './usePlan';

type Props = {
  draft: Draft;
  plan: Schemas['Plan'] | null;
  change: Planning['change'];
  moves: Schemas['Move'][];
};

export function Combine({ draft, plan, change, moves }: Props) {
  const { units } = useSession();
  const parts = draft.parts ?? [];
  const shots = moves.filter((item) => item.group !== 'drill' && item.group !== 'combined');
  const put = (next: Schemas['Part'][]) => change({ kind: 'put', put: { parts: next } });
  return (
    <Card className="p-3 grid gap-2" label="The moves that are joined">
      <h2>Joined from</h2>
      {plan?.joined && (
        <p className="m-0 text-sm text-ink-soft">
          {plan.joined.axes === 1 ? 'One axis' : `${plan.joined.axes} axes`}, level {plan.joined.level}:{' '}
          {plan.joined.level_words}.
        </p>
      )}
      {parts.map((part, index) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: a part is its place in the order
        <div key={index} className="grid gap-1.5" data-part={index}>
          <Pick
            label={['First', 'Then', 'And then'][index] ?? 'Then'}
            value={part.move}
            onChange={(move) =>
              put(parts.map((item, other) => (other === index ? { move, parameters: {} } : item)))
            }
            options={shots.map((item) => ({ value: item.id, label: item.name, group: item.group_words }))}
          />
          <PartDials
            part={plan?.joined?.parts[index]}
            move={moves.find((one) => one.id === part.move)}
            units={units}
            onChange={(id, value) =>
              change({
                kind: 'values',
                values: Object.fromEntries([[`parts.${index}.${id}`, value]]) as Values,
              })
            }
          />
        </div>
      ))}
      <div className="flex gap-2">
        <Button
          disabled={parts.length >= 3}
          onClick={() => put([...parts, { move: 'rise', parameters: {} }])}
        >
          One more
        </Button>
        <Button disabled={parts.length <= 2} onClick={() => put(parts.slice(0, -1))}>
          One less
        </Button>
      </div>
      <Choice
        label="Joined"
        value={draft.join ?? 'sequence'}
        onChange={(join) => change({ kind: 'put', put: { join } })}
        options={[
          { value: 'sequence', label: 'One after another' },
          { value: 'together', label: 'At once' },
        ]}
      />
    </Card>
  );
}

type DialsProps = {
  part: Schemas['PlanPart'] | undefined;
  move: Schemas['Move'] | undefined;
  units: Units;
  onChange: (id: string, value: number | string) => void;
};

/** The dials of one part: those that the part before it decides are not there. */
function PartDials({ part, move, units, onChange }: DialsProps) {
  if (part === undefined || move === undefined || part.move !== move.id) return null;
  const own = (move.parameters ?? []).filter((one) => !part.decided.includes(one.id));
  const set = (values: Values) => {
    for (const [id, value] of Object.entries(values)) if (value !== undefined) onChange(id, value);
  };
  return (
    <details>
      <summary className="min-h-11 content-center cursor-pointer text-sm">Its dials</summary>
      <div className="grid gap-1.5">
        {own.map((parameter) =>
          parameter.choices ? (
            <ParameterChoice
              key={parameter.id}
              parameter={parameter}
              value={part.parameters[parameter.id]}
              set={set}
            />
          ) : (
            <ParameterDial
              key={parameter.id}
              parameter={parameter}
              value={part.parameters[parameter.id]}
              easyFrom={undefined}
              easyTo={undefined}
              warn={false}
              units={units}
              set={set}
            />
          ),
        )}
      </div>
    </details>
  );
}
