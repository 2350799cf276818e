// What a day in the field keeps on the device (IndexedDB): the day as it was last seen, and every entry until the server has it. An entry
// carries a name of its own, so that sending it twice enters it once.
import { type DBSchema, type IDBPDatabase, openDB } from 'idb';
import type { Schemas } from '~/api/client';

export type Day = Schemas['DayDetail'];
export type Entry = Schemas['FieldEntry'];
export type Log = Schemas['FieldLog'];
export type Waiting = Entry & { day: number; author: number };

interface Store extends DBSchema {
  days: { key: number; value: { id: number; day: Day; seen: string } };
  entries: { key: string; value: Waiting; indexes: { day: number } };
  people: { key: string; value: { id: number; name: string; units: 'metric' | 'feet' } };
}

let opened: Promise<IDBPDatabase<Store>> | null = null;

function store(): Promise<IDBPDatabase<Store>> {
  opened ??= openDB<Store>('larkspur-field', 1, {
    upgrade(db) {
      db.createObjectStore('days', { keyPath: 'id' });
      db.createObjectStore('entries', { keyPath: 'uuid' }).createIndex('day', 'day');
      db.createObjectStore('people');
    },
  }).catch((error: unknown) => {
    // Asked for again: what was full or locked may be free by then.
    opened = null;
    throw error;
  });
  return opened;
}

export async function keepDay(day: Day): Promise<void> {
  await (await store()).put('days', { id: day.id, day, seen: new Date().toISOString() });
}

export async function keptDay(id: number): Promise<{ day: Day; seen: string } | undefined> {
  return (await store()).get('days', id);
}

export async function keepPerson(person: {
  id: number;
  name: string;
  units: 'metric' | 'feet';
}): Promise<void> {
  await (await store()).put('people', person, 'me');
}

export async function keptPerson() {
  return (await store()).get('people', 'me');
}

export async function wait(entry: Waiting): Promise<void> {
  await (await store()).put('entries', entry);
}

export async function waiting(day: number): Promise<Waiting[]> {
  const all = await (await store()).getAllFromIndex('entries', 'day', day);
  return all.sort((a, b) => a.made_at.localeCompare(b.made_at));
}

export async function sent(entries: Waiting[]): Promise<void> {
  const done = (await store()).transaction('entries', 'readwrite');
  await Promise.all([...entries.map((entry) => done.store.delete(entry.uuid)), done.done]);
}

/** Signing out leaves nothing to be read; what was not sent yet stays until its author is back. */
export async function forgetDays(): Promise<void> {
  const db = await store();
  await db.clear('days');
  await db.delete('people', 'me');
}

/** A name for this device, so that two of them can be told apart. */
export function device(): string {
  const known = localStorage.getItem('larkspur-device');
  if (known !== null) return known;
  const name = `device-${crypto.randomUUID().slice(0, 8)}`;
  localStorage.setItem('larkspur-device', name);
  return name;
}

/**
 * By how much this device's clock is behind the server's, ms, where it is off: the server puts its entries right by as much, and what is
 * counted here has to count from the same clock. Remembered, for whoever opens the day without a network.
 */
const CLOCK = 'larkspur:clock';

/** Less than this is the network's, ms. */
const SLOW = 30_000;

export function keepClock(server: string | null): number {
  const off = server === null ? Number.NaN : Date.parse(server) - Date.now();
  if (Number.isNaN(off)) return keptClock();
  const behind = Math.abs(off) < SLOW ? 0 : off;
  localStorage.setItem(CLOCK, String(behind));
  return behind;
}

export const keptClock = (): number => Number(localStorage.getItem(CLOCK)) || 0;

/**
 * The log as it stands with what has not been sent yet laid over it. Only what is seen on this device until then: what holds in the end,
 * and what is in conflict, the server says.
 */
export function withWaiting(log: Log, entries: Entry[], by: string, behind = 0): Log {
  const next: Log = {
    ...log,
    ticks: { ...log.ticks },
    passes: { ...log.passes },
    batteries: { ...log.batteries },
    decisions: { ...log.decisions },
  };
  for (const entry of entries) {
    const { item, payload } = entry;
    const made_at = behind === 0 ? entry.made_at : new Date(Date.parse(entry.made_at) + behind).toISOString();
    if (entry.kind === 'tick')
      next.ticks[item] = { on: payload.on === true, by, at: made_at, note: payload.note ?? '' };
    else if (entry.kind === 'pass') {
      next.passes[item] = [
        ...(next.passes[item] ?? []),
        {
          uuid: entry.uuid,
          number: payload.number ?? 0,
          verdict: payload.verdict ?? '',
          note: payload.note ?? '',
          by,
          at: made_at,
          take_id: null,
        },
      ];
    } else if (entry.kind === 'decision') {
      next.decisions[item] = { choice: payload.choice ?? 'wait', note: payload.note ?? '', by, at: made_at };
    } else if (entry.kind === 'correction') {
      next.passes[item] = (next.passes[item] ?? []).flatMap((pass) => {
        if (pass.uuid !== payload.of) return [pass];
        if (payload.verdict === undefined) return [];
        return [{ ...pass, verdict: payload.verdict, number: payload.number ?? pass.number }];
      });
    } else {
      const now = next.batteries[item] ?? { running: false, since: null, flown_s: 0 };
      if (payload.on === true && !now.running)
        next.batteries[item] = { ...now, running: true, since: made_at };
      else if (payload.on !== true) {
        const since = now.since === null ? 0 : (Date.parse(made_at) - Date.parse(now.since)) / 1000;
        next.batteries[item] = {
          running: false,
          since: null,
          flown_s: payload.flown_s ?? now.flown_s + since,
        };
        // A landing opens what holds for one take-off, as it does at the server.
        if (now.since !== null)
          next.ticks = Object.fromEntries(
            Object.entries(next.ticks).filter(
              // A day that was taken along by an earlier release names none: the server opens them then.
              ([one]) => !(log.take_off_lists ?? []).some((list) => one.startsWith(`${list}-`)),
            ),
          );
      }
    }
  }
  return next;
}
