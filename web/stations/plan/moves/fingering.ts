// Which fingers play a move, in words: who leads and who follows.
import type { Schemas } from '~/api/client';

const ENDS: Record<string, [string, string]> = {
  climb: ['down', 'up'],
  turn: ['left', 'right'],
  run: ['back', 'ahead'],
  slide: ['left', 'right'],
  tilt: ['down', 'up'],
};

const WAYS: Record<string, (ends: [string, string]) => string> = {
  '+': (ends) => ` ${ends[1]}`,
  '-': (ends) => ` ${ends[0]}`,
  '±': () => '',
  '∓': () => ' the other way',
  '=': () => ' the same way',
  '*': () => '',
};

export function playedInWords(fingering: Schemas['MoveFinger'][]): string {
  if (fingering.length === 0) return 'No finger plays: nothing moves.';
  const groups: string[][] = [];
  for (const { finger, way, group, optional } of fingering) {
    const words = `${finger}${WAYS[way]?.(ENDS[finger] ?? ['', '']) ?? ''}`;
    groups[group] = [...(groups[group] ?? []), optional ? `${words} if you like` : words];
  }
  const said = groups
    .filter((group) => group !== undefined && group.length > 0)
    .map((group) => group.join(' with '));
  const all = said.join(', then ');
  return `${all.charAt(0).toUpperCase()}${all.slice(1)}.`;
}
