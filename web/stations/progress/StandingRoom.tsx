// How one operator stands: the band of what is believed with the takes in it, for the score or for any petal or finger, and each move.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { useProgress } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Skeleton } from '~/kit/Skeleton';
import { BandPicture } from './BandPicture';

export function StandingRoom({ operator }: { operator: number | undefined }) {
  const progress = useProgress(operator);
  const [asked, setAsked] = useState('score');
  if (progress.error) throw progress.error;
  if (!progress.data) return <Skeleton className="h-[70vh]" />;
  const { score, petals, fingers, moves, takes } = progress.data;
  const all = [...(score ? [score] : []), ...petals, ...fingers];
  const shown = all.find((one) => one.id === asked) ?? all[0];
  if (!shown) {
    return (
      <Card className="p-6">
        <p className="m-0">
          No take with a craft yet, so nothing can be said. Passes in Fly are practice: they stand in the
          logbook and count where a step takes them.
        </p>
      </Card>
    );
  }
  return (
    <div className="grid gap-3 lg:grid-cols-[1fr_24rem] items-start">
      <Card
        caption={`${shown.name}, as on a move of middling difficulty`}
        aside="band: where the hand is, nine chances in ten; single takes scatter about it"
        className="pb-2"
      >
        <BandPicture standing={shown} takes={takes} />
        <p className="m-0 px-3 text-sm">{sentence(shown)}</p>
      </Card>
      <div className="grid gap-3">
        <Card caption="Score, petals, fingers" className="pb-1">
          <ul className="m-0 p-0 list-none">
            {all.map((one) => (
              <li key={one.id} className="border-t border-line first:border-t-0">
                <button
                  type="button"
                  aria-pressed={one.id === shown.id}
                  onClick={() => setAsked(one.id)}
                  className={`w-full min-h-11 px-3 grid grid-cols-[5rem_6.5rem_1fr] gap-2 items-center text-left cursor-pointer ${one.id === shown.id ? 'bg-haze' : ''}`}
                >
                  <span className="font-semibold first-letter:uppercase">{one.name}</span>
                  <span className="figure">
                    {Math.round(one.mean)} ± {Math.round(one.sure)}
                  </span>
                  <span className={`text-sm ${one.stuck ? 'text-brick font-semibold' : 'text-ink-soft'}`}>
                    {one.stuck ? 'stuck' : one.going}
                  </span>
                </button>
              </li>
            ))}
          </ul>
        </Card>
        <Card caption="Moves, as they were scored" className="pb-1">
          <ul className="m-0 p-0 list-none">
            {moves.map((one) => (
              <li
                key={one.id}
                className="px-3 py-1.5 border-t border-line first:border-t-0 grid grid-cols-[1fr_6.5rem_6rem] gap-2 items-baseline"
              >
                <span className="truncate">{one.name}</span>
                <span className="figure">
                  {Math.round(one.mean)} ± {Math.round(one.sure)}
                </span>
                <span className="text-sm text-ink-soft">
                  {one.takes === 1 ? 'one take' : `${one.takes} takes`}
                </span>
              </li>
            ))}
          </ul>
        </Card>
      </div>
    </div>
  );
}

/** What can be said of it, with how sure that is. */
function sentence(one: Schemas['Standing']): string {
  const now = `Now at ${Math.round(one.mean)}, give or take ${Math.round(one.sure)}.`;
  if (one.change === null || one.change_sure === null) {
    return `${now} Too few takes to say where it is going.`;
  }
  const change = `${one.change >= 0 ? '+' : '−'}${Math.abs(one.change).toFixed(1)} ± ${one.change_sure.toFixed(1)} points in ${Math.round(one.over_days)} days`;
  return one.stuck ? `${now} Stuck: ${change}.` : `${now} ${one.going}: ${change}.`;
}
