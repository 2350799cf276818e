// Today: what to do next and why, from the operator's own record; for a trainer, who of the class needs them.
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
import { NextCard } from './NextCard';
import { Notices } from './Notices';

export default function Today() {
  const { user } = useSession();
  const today = useToday();
  if (today.error) throw today.error;
  if (!today.data) return <Skeleton className="h-[70vh] m-5" />;
  return user.role !== 'operator' ? <Class today={today.data} /> : <Mine today={today.data} />;
}

function Mine({ today }: { today: Schemas['Today'] }) {
  const { user } = useSession();
  const { next, standing, takes, notices } = today;
  // What is told above is not told again below.
  const told = notices.some((one) => one.path.startsWith(`/debrief/${today.comment?.take_id}?`));
  const comment = told ? null : today.comment;
  return (
    <main className="p-5 grid gap-3 lg:grid-cols-[1.25fr_1fr] items-start">
      <Card className="p-6 grid gap-4">
        <div className="flex gap-6 items-center flex-wrap">
          {standing && (
            <PetalMark
              facets={standing.facets}
              score={standing.score}
              size={168}
              labels
              title={`Where you stand after ${standing.takes === 1 ? 'one take' : `${standing.takes} takes`}`}
            />
          )}
          <h1>Today for {user.name.split(' ')[0]}</h1>
        </div>
        {next && <NextCard first={next} />}
      </Card>
      <div className="grid gap-3">
        <Notices notices={notices} />
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
        <Link to="/progress?room=logbook" className="inline-block min-h-6">
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
      <Card
        caption={`Your class, ${day(new Date().toISOString())}: who needs you most first`}
        aside={
          <Link to="/progress?room=class" className="inline-block min-h-6">
            the whole picture
          </Link>
        }
        className="pb-2"
      >
        <ul className="m-0 p-0 list-none">
          {today.class.map(({ operator, why, score, sure }) => (
            <li key={operator.id} className="px-4 py-3 border-t border-line first:border-t-0 grid gap-1">
              <div className="flex justify-between gap-3 items-baseline flex-wrap">
                <h2>{operator.name}</h2>
                <span className="figure text-ink-soft">
                  {score === null ? 'no take' : `${score} ± ${sure}`}
                </span>
              </div>
              <p className="m-0 text-sm">{why.length > 0 ? why.join(' ') : 'Nothing presses.'}</p>
              <Link
                to="/progress?room=ladder"
                onClick={() => setWhose(operator.id)}
                className="min-h-6 justify-self-start text-sm"
              >
                their ladder
              </Link>
            </li>
          ))}
        </ul>
      </Card>
      <div className="grid gap-3">
        <Notices notices={today.notices} />
        <Card
          caption="Latest takes of the class"
          aside={
            <Link to="/progress?room=logbook" className="inline-block min-h-6">
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
      </div>
    </main>
  );
}
