// What Fly keeps on the device: exercises that were opened, so that they open again without a network, and recordings that wait to be sent.
import { type DBSchema, openDB } from 'idb';
import { answered, api, Problem, type Schemas } from '~/api/client';

export type Exercise = Schemas['Exercise'];
export type Sent = Schemas['RecordingSent'];
export type Pass = Schemas['PracticePass'];

interface Store extends DBSchema {
  exercises: { key: string; value: { key: string; exercise: Exercise; user: number; at: string } };
  /** `dry`: a rehearsal without a craft. */
  waiting: { key: string; value: { id: string; sent: Sent; user: number; dry?: boolean } };
  mappings: { key: string; value: { key: string; mapping: unknown } };
}

const open = () =>
  openDB<Store>('larkspur-practice', 1, {
    upgrade(db) {
      db.createObjectStore('exercises', { keyPath: 'key' });
      db.createObjectStore('waiting', { keyPath: 'id' });
      db.createObjectStore('mappings', { keyPath: 'key' });
    },
  });

export async function keepExercise(key: string, exercise: Exercise, user: number): Promise<void> {
  await (await open()).put('exercises', { key, exercise, user, at: new Date().toISOString() });
}

export async function keptExercise(key: string): Promise<{ exercise: Exercise; user: number } | undefined> {
  return (await open()).get('exercises', key);
}

export async function keepWaiting(id: string, sent: Sent, user: number, dry = false): Promise<void> {
  await (await open()).put('waiting', { id, sent, user, dry });
}

export async function waitingOf(user: number): Promise<{ id: string; sent: Sent; dry?: boolean }[]> {
  return (await (await open()).getAll('waiting')).filter((one) => one.user === user);
}

export async function forget(id: string): Promise<void> {
  await (await open()).delete('waiting', id);
}

export async function keepMapping(key: string, mapping: unknown): Promise<void> {
  await (await open()).put('mappings', { key, mapping });
}

export async function keptMapping(key: string): Promise<unknown> {
  return (await (await open()).get('mappings', key))?.mapping;
}

/** Whether the server will never take it: then it waits no longer, and its reason is said. */
export const isFinal = (error: unknown): boolean =>
  error instanceof Problem &&
  error.status >= 400 &&
  error.status < 500 &&
  ![401, 408, 419, 429].includes(error.status);

export const send = (sent: Sent): Promise<Pass> => answered(api.POST('/recordings', { body: sent }));

export const rehearse = (sent: Sent): Promise<Schemas['Rehearsal']> =>
  answered(api.POST('/rehearsals', { body: sent }));

/** Sends what waits on this device, once each: the server knows a recording by its name. */
export async function sendWaiting(user: number): Promise<{ done: number; left: number }> {
  let done = 0;
  const all = await waitingOf(user);
  for (const one of all) {
    try {
      await (one.dry ? rehearse(one.sent) : send(one.sent));
      await forget(one.id);
      done++;
    } catch (error) {
      if (isFinal(error)) await forget(one.id);
      else break;
    }
  }
  return { done, left: (await waitingOf(user)).length };
}
