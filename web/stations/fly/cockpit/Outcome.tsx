// What came of a pass: its petal, one sentence, its worst second, and one key for again. After three or four the best is named.
import { Link } from 'react-router';
import type { Session } from '~/flight/session';
import { Button, buttonLook } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { PetalMark } from '~/pictures/PetalMark';
import { clock } from '~/units';
import type { Exercise, Pass } from './practiceStore';
import { addressOf, type Wanted } from './wanted';

type Props = {
  exercise: Exercise;
  wanted: Wanted;
  session: Session;
  pass: Pass | null;
  sending: boolean;
  trouble: unknown;
  /** Whether the device keeps the recording until the server has it. */
  kept: boolean;
  onAgain: () => void;
};

export function Outcome({ exercise, wanted, session, pass, sending, trouble, kept, onAgain }: Props) {
  return (
    <section
      className="fixed inset-0 z-10 m-auto h-fit max-h-[96dvh] overflow-auto w-[min(40rem,94%)] p-4 grid gap-3 rounded-md bg-card border border-line"
      aria-label="What came of it"
      aria-live="polite"
    >
      {sending && <p className="m-0">Flown {clock(session.seconds)}. It is flown again and judged…</p>}
      {trouble !== null && (
        <>
          <Notice error={trouble} />
          <p className="m-0">
            {kept
              ? 'The recording waits on this device and is sent when the server can be reached. It counts once.'
              : 'This device could not keep the recording: leave this page open until there is a network.'}
          </p>
        </>
      )}
      {pass !== null && <Judged exercise={exercise} wanted={wanted} session={session} pass={pass} />}
      {!sending && (
        <div className="flex flex-wrap gap-2">
          <Button primary onClick={onAgain} data-again>
            Again <kbd className="figure text-sm font-normal">enter</kbd>
          </Button>
          {pass?.take != null && (
            <Link to={`/debrief/${pass.take.id}`} className={buttonLook()}>
              Look at it
            </Link>
          )}
          <Link to="/fly" className={buttonLook()}>
            Something else
          </Link>
        </div>
      )}
    </section>
  );
}

function Judged({
  exercise,
  wanted,
  session,
  pass,
}: Omit<Props, 'sending' | 'trouble' | 'kept' | 'onAgain'> & { pass: Pass }) {
  const pressed = session.recorded[0]?.[0];
  const { loop } = pass;
  return (
    <>
      {pass.ended !== null && <p className="m-0 font-semibold text-brick">{pass.ended}</p>}
      {pass.broken_off && <p className="m-0 text-pollen-ink">The flight was broken off; the take says so.</p>}
      {session.answered !== null && (
        <p className="m-0 text-sm">
          {session.answered.action === 'hold'
            ? 'At the call of an aircraft you finished the shot. Come down first; the shot can be flown again.'
            : `At the call of an aircraft you acted ${(session.answered.step * session.world.response.step_s - (exercise.conditions.call_s ?? 0)).toFixed(1)} s after it.`}
        </p>
      )}
      {pass.take !== null ? (
        <div className="flex flex-wrap gap-4 items-center">
          <PetalMark facets={pass.take.facets} score={pass.take.score} size={150} labels />
          <div className="grid gap-2 flex-1 min-w-56">
            <strong className="text-lg">{pass.headline}</strong>
            {pass.worst !== null && (
              <span>
                {pass.worst_s !== null && <span className="figure">{clock(pass.worst_s)} </span>}
                {pass.worst}
              </span>
            )}
            {loop !== null && (
              <Link
                to={addressOf({
                  ...wanted,
                  exercise: {
                    ...wanted.exercise,
                    conditions: { ...wanted.exercise.conditions, loop, from_pad: false },
                  },
                })}
                className={buttonLook()}
              >
                Fly {clock(loop.from_s)} to {clock(loop.to_s)} again and again
              </Link>
            )}
          </div>
        </div>
      ) : (
        <p className="m-0">
          {pass.said ??
            (pressed === undefined
              ? 'Record was never pressed, so there is no pass to judge. Press it early: before anything moves.'
              : 'The camera ran for less than three seconds: too short for a pass.')}
        </p>
      )}
      {pass.passes.length > 1 && (
        <p className="m-0 text-sm">
          Passes of this exercise:{' '}
          <span className="figure">{pass.passes.map((one) => Math.round(one.score)).join(', ')}</span>.{' '}
          {pass.best_reason !== null &&
            `The best is pass ${pass.passes.findIndex((one) => one.take === pass.best) + 1}: ${pass.best_reason}`}
        </p>
      )}
      {pass.next !== null && <Next exercise={exercise} wanted={wanted} next={pass.next} />}
    </>
  );
}

/** What comes next, as the server says, of this very exercise. */
function Next({
  exercise,
  wanted,
  next,
}: {
  exercise: Exercise;
  wanted: Wanted;
  next: NonNullable<Pass['next']>;
}) {
  const { draft } = wanted.exercise;
  const after: Wanted = {
    'without-help': { ...wanted, aids: [] },
    'other-way': {
      ...wanted,
      exercise: {
        ...wanted.exercise,
        draft: draft && { ...draft, parameters: { ...draft.parameters, ...exercise.plan.opposite } },
      },
    },
    gusts: {
      ...wanted,
      exercise: { ...wanted.exercise, conditions: { ...wanted.exercise.conditions, wind: next.wind } },
    },
  }[next.kind];
  return (
    <Link to={addressOf(after)} className={buttonLook()}>
      {next.said}
    </Link>
  );
}
