// What is to be practised, as an address: so that a page can be loaded again, and a trainer can send it to somebody.
import type { Schemas } from '~/api/client';
import type { Aid } from '~/flight/session';

export type Grid = 'thirds' | 'diagonals' | 'middle' | 'none';

export type Wanted = {
  exercise: Schemas['ExerciseWanted'];
  aids: Aid[];
  grid: Grid;
  dry?: boolean;
  /** What the session is for; kept with each pass. */
  purpose?: string;
};

export const addressOf = (wanted: Wanted): string =>
  `/cockpit?e=${encodeURIComponent(JSON.stringify(wanted))}`;

/** Null where the address says nothing that can be flown. */
export function readWanted(search: string): Wanted | null {
  try {
    const said: unknown = JSON.parse(new URLSearchParams(search).get('e') ?? '');
    if (said === null || typeof said !== 'object' || !('exercise' in said)) return null;
    const one = said as Partial<Wanted> & { exercise: Schemas['ExerciseWanted'] };
    return {
      exercise: one.exercise,
      aids: one.aids ?? [],
      grid: one.grid ?? 'thirds',
      dry: one.dry === true,
      purpose: typeof one.purpose === 'string' ? one.purpose : '',
    };
  } catch {
    return null;
  }
}
