// A shot that was planned and not kept yet, as the device has it: one for each shot and person.
import { forget as forgetIt, unkept as leftAt, useUnkept as useLeft } from '~/kit/unkept';
import type { Draft } from './draft';

type Work = { draft: Draft; title: string };

const keyOf = (user: number, shot: number | null) => `larkspur:plan:${user}:${shot ?? 'new'}`;

const isWhole = ({ draft, title }: Partial<Work>) =>
  typeof draft?.move === 'string' && typeof title === 'string';

export const unkept = (user: number, shot: number | null) => leftAt<Work>(keyOf(user, shot), isWhole);

export const forget = (user: number, shot: number | null) => forgetIt(keyOf(user, shot));

export const useUnkept = (user: number, shot: number | null, now: Work, dirty: boolean) =>
  useLeft<Work>(keyOf(user, shot), now, dirty, isWhole);
