// Who is signed in, whose work is shown, and the theme and units that follow from it.
import { createContext, type ReactNode, useContext, useEffect, useState } from 'react';
import type { Schemas } from '~/api/client';
import type { Units } from '~/units';

type Session = {
  user: Schemas['User'];
  units: Units;
  /** The operator whose work a trainer looks at; undefined shows the whole class. */
  whose: number | undefined;
  /** Whether the work of the whole school is shown to them: trainers and viewers. */
  seesClass: boolean;
  setWhose: (operator: number | undefined) => void;
};

const Context = createContext<Session | null>(null);

export function SessionProvider({ user, children }: { user: Schemas['User']; children: ReactNode }) {
  const [whose, setWhose] = useState<number | undefined>(
    () => Number(sessionStorage.getItem('whose')) || undefined,
  );
  useEffect(() => {
    document.documentElement.dataset.theme = user.theme;
  }, [user.theme]);
  useEffect(() => {
    sessionStorage.setItem('whose', String(whose ?? ''));
  }, [whose]);
  const seesClass = user.role !== 'operator';
  const session = { user, units: user.units, whose: seesClass ? whose : undefined, setWhose, seesClass };
  return <Context.Provider value={session}>{children}</Context.Provider>;
}

export function useSession(): Session {
  const session = useContext(Context);
  if (session === null) throw new Error('No session above this component.');
  return session;
}
