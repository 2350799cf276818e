// Shape it: a dial for every parameter of the move.
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
  problem: Problem | null;
};

/** Ends of the tracks: the useful middle of what the move allows; anything allowed can still be typed. */
const TRACK: Record<string, [number, number]> = {
  radius_m: [4, 80],
  height_m: [1, 60],
  arc_deg: [20, 400],
  pace_mps: [0.3, 9],
  start_bearing_deg: [0, 360],
  ease_s: [0.5, 6],
};

export function Shape({ set, values, parameters, problem }: Props) {
  const { units } = useSession();
  const wrong = (id: string) => problem?.details.errors.some((error) => error.place.endsWith(id)) ?? false;
  return (
    <Card className="p-3 grid gap-1.5">
      <h2>Shape it</h2>
      {parameters
        .filter((parameter) => parameter.choices === undefined)
        .map((parameter) => {
          const track = TRACK[parameter.id] ?? [parameter.least ?? 0, parameter.most ?? 1];
          const value = Number(values[parameter.id] ?? track[0]);
          return (
            <Dial
              key={parameter.id}
              label={parameter.label}
              value={parameter.id === 'start_bearing_deg' ? ((value % 360) + 360) % 360 : value}
              unit={parameter.unit ?? ''}
              least={Math.min(track[0], value)}
              most={Math.max(track[1], value)}
              step={parameter.step ?? 0.1}
              units={units}
              places={parameter.unit === 'deg' ? 0 : 1}
              band={parameter.id === 'ease_s' ? [2.2, 4] : undefined}
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
    </Card>
  );
}
