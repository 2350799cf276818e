// Shape it: a dial for every parameter of the move.
import { memo } from 'react';
import type { Problem, Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { useSession } from '~/shell/session';
import type { Values } from './draft';

type Props = {
  set: (values: Values) => void;
  values: Values;
  parameters: Schemas['Parameter'][];
  plan: Schemas['Plan'] | null;
  problem: Problem | null;
};

export const Shape = memo(function Shape({ set, values, parameters, plan, problem }: Props) {
  const { units } = useSession();
  const wrong = (id: string) => problem?.details.errors.some((error) => error.place.endsWith(id)) ?? false;
  return (
    <Card className="p-3 grid gap-1.5">
      <h2>Shape it</h2>
      {parameters
        .filter((parameter) => parameter.choices === undefined)
        .map((parameter) => {
          const [from = 0, to = 1] = parameter.usual ?? [];
          const comfortable = plan?.comfortable[parameter.id];
          const value = Number(values[parameter.id] ?? from);
          return (
            <Dial
              key={parameter.id}
              label={parameter.label}
              value={parameter.id === 'start_bearing_deg' ? ((value % 360) + 360) % 360 : value}
              unit={parameter.unit ?? ''}
              least={Math.min(from, value)}
              most={Math.max(to, value)}
              step={parameter.step ?? 0.1}
              units={units}
              places={parameter.unit === 'deg' ? 0 : 1}
              band={comfortable === undefined ? undefined : [comfortable[0] ?? 0, comfortable[1] ?? 0]}
              warn={wrong(parameter.id)}
              onChange={(next) => set({ [parameter.id]: Number(next.toFixed(3)) })}
            />
          );
        })}
      {parameters
        .filter((parameter) => parameter.choices !== undefined)
        .map((parameter) => (
          <Choice
            key={parameter.id}
            label={parameter.label}
            value={String(values[parameter.id] ?? parameter.choices?.[0])}
            onChange={(next) => set({ [parameter.id]: next })}
            options={(parameter.choices ?? []).map((choice) => ({
              value: choice,
              label: choice === 'counterclockwise' ? 'Counter\u00adclockwise' : 'Clockwise',
            }))}
          />
        ))}
      <p className="m-0 text-sm text-ink-soft">Green: where this rig and your thumbs are comfortable.</p>
    </Card>
  );
});
