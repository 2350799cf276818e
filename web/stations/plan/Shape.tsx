// Shape it: a dial for every parameter of the move.

import type { Problem, Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Pick as PickOne } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import type { Units } from '~/units';
import type { Values } from './draft';

type Props = {
  set: (values: Values) => void;
  values: Values;
  parameters: Schemas['Parameter'][];
  plan: Schemas['Plan'] | null;
  problem: Problem | null;
  move: string;
  moves: Schemas['Move'][];
  onMove: (move: string) => void;
};

export function Shape(props: Props) {
  const { set, values, parameters, plan, problem, move, moves, onMove } = props;
  const { units } = useSession();
  const wrong = (id: string) => problem?.details.errors.some((error) => error.place.endsWith(id)) ?? false;
  const free = parameters.filter((parameter) => !plan?.decided.includes(parameter.id));
  const chosen = free.filter((parameter) => parameter.choices);
  return (
    <Card className="p-3 grid gap-1.5">
      <h2>Shape it</h2>
      <MovePick move={move} moves={moves} onMove={onMove} />
      {free
        .filter((parameter) => !parameter.choices)
        .map((parameter) => (
          <ParameterDial
            key={parameter.id}
            parameter={parameter}
            value={values[parameter.id] ?? asFlown(parameter.id, plan)}
            easyFrom={plan?.comfortable[parameter.id]?.[0]}
            easyTo={plan?.comfortable[parameter.id]?.[1]}
            warn={wrong(parameter.id)}
            units={units}
            set={set}
          />
        ))}
      {chosen.map((parameter) => (
        <ParameterChoice key={parameter.id} parameter={parameter} value={values[parameter.id]} set={set} />
      ))}
      {free.length < parameters.length && (
        <p className="m-0 text-sm text-ink-soft">Its pace and way are drawn on the site.</p>
      )}
      <p className="m-0 text-sm text-ink-soft">Green: where this rig and your thumbs are comfortable.</p>
    </Card>
  );
}

/** What a parameter that nobody set comes to in the plan, where a look at the plan tells. */
function asFlown(id: string, plan: Schemas['Plan'] | null): number | undefined {
  if (id !== 'heading_deg' || plan === null) return undefined;
  return Math.round((((plan.samples.heading_deg[0] ?? 0) % 360) + 360) % 360);
}

function MovePick({ move, moves, onMove }: Pick<Props, 'move' | 'moves' | 'onMove'>) {
  return (
    <PickOne
      label="Move"
      hideLabel
      value={move}
      onChange={onMove}
      options={moves.map((item) => ({ value: item.id, label: item.name, group: item.group_words }))}
    />
  );
}

type DialProps = {
  parameter: Schemas['Parameter'];
  value: Values[string] | undefined;
  easyFrom: number | undefined;
  easyTo: number | undefined;
  warn: boolean;
  units: Units;
  set: (values: Values) => void;
};

// One of many on a page that is redrawn while a hand drags: drawn again only where it is told something new.
export function ParameterDial(props: DialProps) {
  const { parameter, easyFrom, easyTo, warn, units, set } = props;
  const [from = 0, to = 1] = parameter.usual ?? [];
  const value = Number(props.value ?? from);
  return (
    <Dial
      label={parameter.label}
      value={parameter.id === 'start_bearing_deg' ? ((value % 360) + 360) % 360 : value}
      unit={parameter.unit ?? ''}
      least={Math.min(from, value)}
      most={Math.max(to, value)}
      step={parameter.step ?? 0.1}
      units={units}
      places={parameter.unit === 'deg' ? 0 : 1}
      band={easyFrom === undefined || easyTo === undefined ? undefined : [easyFrom, easyTo]}
      warn={warn}
      onChange={(next) => set({ [parameter.id]: Number(next.toFixed(3)) })}
    />
  );
}

type ChoiceProps = Pick<DialProps, 'parameter' | 'value' | 'set'>;

const NAMES: Record<string, string> = { counterclockwise: 'Counter\u00adclockwise' };

export function ParameterChoice({ parameter, value, set }: ChoiceProps) {
  const choices = parameter.choices ?? [];
  return (
    <Choice
      label={parameter.label}
      value={String(value ?? choices[0])}
      onChange={(next) => set({ [parameter.id]: next })}
      options={choices.map((choice) => ({
        value: choice,
        label: NAMES[choice] ?? `${choice.charAt(0).toUpperCase()}${choice.slice(1)}`,
      }))}
    />
  );
}
