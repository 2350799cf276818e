// Today: what to do next and why, from the operator's own record; for a trainer, the same for the whole class.
import { Link } from 'react-router';
import type { Schemas } from '~/api/client';
import { useToday } from '~/api/queries';
import { buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Skeleton } from '~/kit/Skeleton';
import { PetalMark } from '~/pictures/PetalMark';
import { TakeRow } from '~/pictures/TakeRow';
import { useSession } from '~/shell/session';
import { clock, day } from '~/units';

export default function Today() {
  const { user } = useSession();
  const today = useToday();
  if (today.error) throw today.error;
  if (!today.data) return <Skeleton className="h-[70vh] m-5" />;
  return user.role === 'trainer' ? <Class today={today.data} /> : <Mine today={today.data} />;
}

function Mine({ today }: { today: Schemas['Today'] }) {
  const { user } = useSession();
  const { advice, shot, takes, comment } = today;
  const changes = advice === null ? {} : (advice.change as Record<string, string | number>);
  const query = new URLSearchParams(
    Object.entries(changes).map(([key, value]) => [key, String(value)]),
  ).toString();
  const plan = shot === null ? '/plan' : `/plan/${shot.id}${query === '' ? '' : `?${query}`}`;
  return (
    <main className="p-5 grid gap-3 lg:grid-cols-[1.25fr_1fr] items-start">
      <Card className="p-6 grid gap-4">
        <p className="m-0 text-sm text-ink-soft">Next for {user.name.split(' ')[0]}</p>
        <div className="flex gap-6 items-center flex-wrap">
          {advice?.typical && (
            <PetalMark
              facets={advice.typical.facets}
              score={advice.typical.score}
              size={168}
              labels
              title={`Your last ${advice.typical.takes} takes${advice.facet ? `, ${advice.facet} the shortest` : ''}`}
            />
          )}
          <div className="grid gap-2 flex-1 min-w-64">
            <h1 className="text-2xl!">{advice?.title}</h1>
            <p className="m-0 text-lg">{advice?.reason}</p>
          </div>
        </div>
        {advice?.cue && <p className="m-0 border-l-3 border-petal pl-3">{advice.cue}</p>}
        <div className="flex gap-2 flex-wrap">
          {shot === null ? (
            <Link className={buttonLook(true)} to="/plan">
              Plan your first shot
            </Link>
          ) : query === '' ? (
            <>
              <Link className={buttonLook(true)} to={`/fly/${shot.id}`}>
                Fly “{shot.title}” again
              </Link>
              <Link className={buttonLook()} to={plan}>
                Look at its plan
              </Link>
            </>
          ) : (
            <Link className={buttonLook(true)} to={plan}>
              Plan that
            </Link>
          )}
        </div>
      </Card>
      <div className="grid gap-3">
        {comment && (
          <Card caption={`${comment.author} said`} className="pb-3">
            <div className="px-3 grid gap-2 justify-items-start">
              <p className="m-0">“{comment.text}”</p>
              <Link className={buttonLook()} to={`/debrief/${comment.take_id}?at=${comment.at_s}`}>
                See it at {clock(comment.at_s)}
              </Link>
            </div>
          </Card>
        )}
        <Latest takes={takes} />
      </div>
    </main>
  );
}

function Latest({ takes }: { takes: Schemas['Take'][] }) {
  return (
    <Card
      caption="Latest takes"
      aside={
        <Link to="/progress" className="inline-block min-h-6">
          the whole logbook
        </Link>
      }
      className="pb-1"
    >
      {takes.length === 0 ? (
        <p className="m-0 p-3">
          No take yet. Plan an orbit, then let a simulated operator fly it or bring in a log of your own.
        </p>
      ) : (
        <ul className="m-0 p-0 list-none">
          {takes.map((take) => (
            <TakeRow key={take.id} take={take} showOperator={false} />
          ))}
        </ul>
      )}
    </Card>
  );
}

function Class({ today }: { today: Schemas['Today'] }) {
  const { setWhose } = useSession();
  return (
    <main className="p-5 grid gap-3 lg:grid-cols-[1.25fr_1fr] items-start">
      <Card caption={`Your class, ${day(new Date().toISOString())}`} className="pb-2">
        <ul className="m-0 p-0 list-none">
          {today.class.map(({ operator, advice }) => (
            <li key={operator.id} className="px-4 py-3 border-t border-line first:border-t-0 grid gap-1">
              <div className="flex justify-between gap-3 items-baseline flex-wrap">
                <h2>
                  {operator.name}: {advice.title}
                </h2>
                <Link to="/progress" onClick={() => setWhose(operator.id)} className="min-h-6">
                  their takes
                </Link>
              </div>
              <p className="m-0 text-sm text-ink-soft">{advice.reason}</p>
            </li>
          ))}
        </ul>
      </Card>
      <Card
        caption="Latest takes of the class"
        aside={
          <Link to="/progress" className="inline-block min-h-6">
            the whole logbook
          </Link>
        }
        className="pb-1"
      >
        <ul className="m-0 p-0 list-none">
          {today.takes.map((take) => (
            <TakeRow key={take.id} take={take} showOperator />
          ))}
        </ul>
      </Card>
    </main>
  );
}
