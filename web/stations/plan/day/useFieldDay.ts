// A day that is open in the field: from the network where there is one, else from the device; entries go onto the device first and to the
// server when it can be reached.
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { answered, api, Problem } from '~/api/client';
import {
  type Day,
  device,
  type Entry,
  keepClock,
  keepDay,
  keepPerson,
  keptClock,
  keptDay,
  keptPerson,
  sent,
  type Waiting,
  wait,
  waiting,
  withWaiting,
} from './fieldStore';

export type FieldState = {
  day: Day | null;
  seen: string | null;
  person: { id: number; name: string; units: 'metric' | 'feet' } | null;
  pending: Waiting[];
  /** How many of them the device could not keep. */
  atRisk: number;
  /** By how much the clock of the device is behind, ms: 0 where it is right. */
  behind: number;
  /** ok, offline, signed-out or missing. */
  state: 'loading' | 'ok' | 'offline' | 'signed-out' | 'missing';
  enter: (kind: Entry['kind'], item: string, payload: Entry['payload']) => void;
  sendNow: () => void;
};

/** What others entered is looked for so often, ms, and a network that is gone a second later each time: seen within three seconds. */
const LOOK = 2000;

export function useFieldDay(id: number): FieldState {
  const [day, setDay] = useState<Day | null>(null);
  const [seen, setSeen] = useState<string | null>(null);
  const [person, setPerson] = useState<FieldState['person']>(null);
  const [pending, setPending] = useState<Waiting[]>([]);
  const [state, setState] = useState<FieldState['state']>('loading');
  /** Entries that the device could not keep: they are on this screen alone until the server has them. */
  const unkept = useRef<Waiting[]>([]);
  const [atRisk, setAtRisk] = useState(0);
  const [behind, setBehind] = useState(keptClock);
  const sending = useRef(false);
  const who = useRef(person);
  const reached = useRef(false);
  /** How many logs the server has answered with: a day that was asked for before the latest of them knows less. */
  const logs = useRef(0);
  /** Entries that are on their way onto the device. */
  const writing = useRef<Waiting[]>([]);
  useLayoutEffect(() => {
    who.current = person;
    reached.current = state === 'ok';
  }, [person, state]);

  const told = useCallback((error: unknown): FieldState['state'] => {
    if (!(error instanceof Problem)) throw error;
    if (error.status === 401 || error.status === 419) return 'signed-out';
    if (error.status === 404 || error.status === 403) return 'missing';
    return 'offline';
  }, []);

  const send = useCallback(async () => {
    if (sending.current) return;
    sending.current = true;
    try {
      for (;;) {
        const kept = await waiting(id).catch(() => []);
        const mine = [...kept, ...unkept.current]
          .filter((entry) => entry.author === who.current?.id)
          .slice(0, 200);
        if (mine.length === 0) break;
        const log = await answered(
          api.POST('/days/{day}/entries', {
            params: { path: { day: id } },
            body: {
              entries: mine.map(({ day: _, author: __, ...entry }) => entry),
              sent_at: new Date().toISOString(),
            },
          }),
        );
        const cleared = await sent(mine).then(
          () => true,
          () => false,
        );
        unkept.current = unkept.current.filter((entry) => !mine.includes(entry));
        setState('ok');
        logs.current += 1;
        setDay((now) => {
          if (now === null) return now;
          const next = { ...now, log };
          void keepDay(next).catch(() => {});
          return next;
        });
        const left = await waiting(id).catch(() => []);
        setPending([
          ...left,
          ...unkept.current,
          ...writing.current.filter((entry) => !left.some((one) => one.uuid === entry.uuid)),
        ]);
        setAtRisk(unkept.current.length);
        // What the device can't clear it would offer for ever; the server knows it by its name.
        if (!cleared) break;
      }
    } catch (error) {
      setState(told(error));
    } finally {
      sending.current = false;
    }
  }, [id, told]);

  useEffect(() => {
    let alive = true;
    const fetchDay = async () => {
      try {
        const me = await answered(api.GET('/me'));
        const person = { id: me.id, name: me.name, units: me.units };
        await keepPerson(person).catch(() => {});
        who.current = person;
        const before = logs.current;
        const fresh = await answered(api.GET('/days/{day}', { params: { path: { day: id } } }));
        if (!alive) return;
        setPerson(person);
        // What was logged while it was on its way is in the log that came meanwhile, and not in this one.
        setDay((now) => {
          const next = now !== null && logs.current !== before ? { ...fresh, log: now.log } : fresh;
          void keepDay(next).catch(() => {});
          return next;
        });
        setSeen(new Date().toISOString());
        setState('ok');
        void send();
      } catch (error) {
        if (alive) setState(told(error));
      }
    };
    void (async () => {
      // A device that keeps nothing still shows what the network has.
      const kept = await keptDay(id).catch(() => undefined);
      const known = await keptPerson().catch(() => undefined);
      const left = await waiting(id).catch(() => []);
      if (!alive) return;
      setPending(left);
      // Without somebody to say who entered it nothing can be entered: the day waits for the network then.
      if (kept && known) {
        setDay(kept.day);
        setSeen(kept.seen);
      }
      if (known) setPerson(known);
      await fetchDay();
    })();
    const back = () => void (reached.current ? send() : fetchDay());
    window.addEventListener('online', back);
    // A network that comes back says so only sometimes: what waits is tried again now and then.
    const again = window.setInterval(back, LOOK + 1000);
    // What others enter is seen here while there is a network; what was sent meanwhile is in the log that came with it.
    let looking = false;
    const look = window.setInterval(async () => {
      if (!reached.current || looking || sending.current || document.hidden) return;
      looking = true;
      const before = logs.current;
      try {
        const asked = api.GET('/days/{day}/log', { params: { path: { day: id } } });
        const log = await answered(asked);
        setBehind(keepClock((await asked).response.headers.get('date')));
        if (alive && logs.current === before && !sending.current)
          setDay((now) => {
            if (now === null || JSON.stringify(now.log) === JSON.stringify(log)) return now;
            const next = { ...now, log };
            void keepDay(next).catch(() => {});
            return next;
          });
      } catch (error) {
        if (alive) setState(told(error));
      } finally {
        looking = false;
      }
    }, LOOK);
    return () => {
      alive = false;
      window.removeEventListener('online', back);
      window.clearInterval(again);
      window.clearInterval(look);
    };
  }, [id, send, told]);

  const enter = useCallback(
    (kind: Entry['kind'], item: string, payload: Entry['payload']) => {
      const author = who.current?.id;
      if (author === undefined) return;
      const entry: Waiting = {
        uuid: crypto.randomUUID(),
        kind,
        item,
        payload,
        device: device(),
        made_at: new Date().toISOString(),
        day: id,
        author,
      };
      setPending((now) => [...now, entry]);
      writing.current = [...writing.current, entry];
      void wait(entry)
        .catch(() => {
          unkept.current = [...unkept.current, entry];
          setAtRisk(unkept.current.length);
        })
        .then(() => {
          writing.current = writing.current.filter((one) => one !== entry);
          return send();
        });
    },
    [id, send],
  );

  const shown = day && person ? { ...day, log: withWaiting(day.log, pending, person.name, behind) } : day;
  return { day: shown, seen, person, pending, atRisk, behind, state, enter, sendNow: () => void send() };
}
