// The cockpit: one exercise with the sticks in hand, on a page of its own. What was opened once opens again without a network; what was
// flown waits on the device until the server has it.
import { useEffect, useMemo, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { buttonLook } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { Cockpit } from './Cockpit';
import { DryRehearsal } from './DryRehearsal';
import {
  type Exercise,
  keepExercise,
  keepMapping,
  keptExercise,
  keptMapping,
  sendWaiting,
} from './practiceStore';
import { readWanted, type Wanted } from './wanted';

type Person = Pick<Schemas['User'], 'id' | 'name' | 'units' | 'theme' | 'stick_mode'>;

type Opened = { exercise: Exercise; person: Person; offline: boolean };

async function opened(wanted: Wanted): Promise<Opened> {
  const key = JSON.stringify(wanted.exercise);
  try {
    const [me, exercise] = await Promise.all([
      answered(api.GET('/me')),
      answered(api.POST('/exercises', { body: wanted.exercise })),
    ]);
    const person = { id: me.id, name: me.name, units: me.units, theme: me.theme, stick_mode: me.stick_mode };
    await keepExercise(key, exercise, me.id).catch(() => {});
    await keepMapping('me', person).catch(() => {});
    return { exercise, person, offline: false };
  } catch (error) {
    if (error instanceof Problem && error.status !== 0 && error.status < 500) throw error;
    const kept = await keptExercise(key).catch(() => undefined);
    const person = (await keptMapping('me').catch(() => undefined)) as Person | undefined;
    if (kept === undefined || person === undefined || kept.user !== person.id) throw error;
    return { exercise: kept.exercise, person, offline: true };
  }
}

export default function CockpitPage() {
  const { search } = useLocation();
  const wanted = useMemo(() => readWanted(search), [search]);
  const [state, setState] = useState<{ opened: Opened | null; error: unknown }>({
    opened: null,
    error: null,
  });
  const [waiting, setWaiting] = useState(0);

  useEffect(() => {
    if (wanted === null) return;
    let alive = true;
    setState({ opened: null, error: null });
    opened(wanted).then(
      (one) => {
        if (!alive) return;
        document.documentElement.dataset.theme = one.person.theme;
        setState({ opened: one, error: null });
      },
      (error: unknown) => alive && setState({ opened: null, error }),
    );
    return () => {
      alive = false;
    };
  }, [wanted]);

  const person = state.opened?.person.id;
  useEffect(() => {
    if (person === undefined) return;
    const go = () =>
      void sendWaiting(person).then(
        ({ left }) => setWaiting(left),
        () => {},
      );
    go();
    window.addEventListener('online', go);
    return () => window.removeEventListener('online', go);
  }, [person]);

  if (wanted === null || state.error !== null)
    return (
      <main className="p-5 grid gap-3 max-w-xl mx-auto">
        <h1>This can’t be flown</h1>
        {state.error !== null ? (
          <Notice error={state.error} />
        ) : (
          <p className="m-0">The address of this page says no exercise.</p>
        )}
        <Link to="/fly" className={buttonLook(true)}>
          Choose what to fly
        </Link>
      </main>
    );
  if (state.opened === null) return <Skeleton className="h-[90vh] m-3" />;
  const { exercise, offline } = state.opened;
  return wanted.dry === true ? (
    <DryRehearsal exercise={exercise} person={state.opened.person} />
  ) : (
    <Cockpit
      key={exercise.seal}
      exercise={exercise}
      wanted={wanted}
      person={state.opened.person}
      offline={offline}
      waiting={waiting}
      onWaiting={setWaiting}
    />
  );
}
