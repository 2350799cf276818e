// How the points add up: what a take lost, to which fault or part; how its start, middle and end look; and how it came to rest.
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { clock, figure } from '~/units';

type Props = { judged: Schemas['Score']; onTime: (time: number) => void };

/** Losses that are worth a row, points. */
const WORTH = 0.3;

const THIRDS = [
  ['start', 'Start'],
  ['middle', 'Middle'],
  ['end', 'End'],
] as const;

export function Points({ judged, onTime }: Props) {
  if (judged.losses.length === 0) return null;
  const shown = judged.losses.filter((loss) => loss.points >= WORTH);
  const rest = judged.losses
    .filter((loss) => loss.points < WORTH)
    .reduce((sum, loss) => sum + loss.points, 0);
  return (
    <Card className="p-3 text-sm" label="How the points add up">
      <h2>How the points add up</h2>
      <table className="w-full border-collapse mt-1">
        <tbody>
          <tr>
            <td className="py-1">All there is</td>
            <td className="figure py-1 text-right">100.0</td>
          </tr>
          {shown.map((loss) => (
            <tr
              key={`${loss.part} ${loss.fault} ${loss.t_s}`}
              className="border-t border-line"
              data-loss={loss.part}
            >
              <td className="py-1">
                {loss.t_s === null ? (
                  loss.name
                ) : (
                  <button
                    type="button"
                    className="p-0 min-h-6 bg-transparent text-left text-larkspur underline cursor-pointer"
                    onClick={() => onTime(loss.t_s ?? 0)}
                  >
                    {loss.name}, {clock(loss.t_s)}
                  </button>
                )}{' '}
                <span className="text-ink-soft">({judged.facets[loss.petal].name})</span>
              </td>
              <td className="figure py-1 text-right">{figure(-loss.points, 1)}</td>
            </tr>
          ))}
          {rest >= 0.05 && (
            <tr className="border-t border-line text-ink-soft">
              <td className="py-1">Small things together</td>
              <td className="figure py-1 text-right">{figure(-rest, 1)}</td>
            </tr>
          )}
          <tr className="border-t border-line font-semibold">
            <td className="py-1">This take{partly(judged)}</td>
            <td className="figure py-1 text-right">{figure(judged.score, 1)}</td>
          </tr>
        </tbody>
      </table>
      {judged.thirds && (
        <dl className="grid grid-cols-3 gap-2 m-0 mt-2">
          {THIRDS.map(([id, name]) => (
            <div key={id} data-third={id}>
              <dt className="text-ink-soft">{name}</dt>
              <dd className="figure m-0 font-semibold">{Math.round(judged.thirds?.[id] ?? 0)}</dd>
            </div>
          ))}
        </dl>
      )}
      {judged.finish.score !== null && (
        <p className="m-0 mt-2">
          <span className="text-ink-soft">The finish, {Math.round(judged.finish.score)} of 100: </span>
          {judged.finish.figures
            .map(
              (one) =>
                `${one.label} ${figure(one.value, 1)}\u00a0${one.unit === '% of frame' ? '% of the frame' : one.unit}`,
            )
            .join(', ')}
          .
        </p>
      )}
    </Card>
  );
}

/** Says so where not every petal could be judged: “on four petals”. */
function partly(judged: Schemas['Score']): string {
  const words = ['no', 'one', 'two', 'three', 'four'];
  const count = judged.judged.length;
  return count < 5 ? `, on ${words[count]} petal${count === 1 ? '' : 's'}` : '';
}
