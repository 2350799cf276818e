// How a take that was practised in Fly is said in lists and on its page.
import type { Schemas } from '~/api/client';

const AIDS: Record<string, string> = {
  ghost: 'a ghost craft',
  'ghost-fingers': 'fingers as planned',
  'cue-sound': 'beeps',
  'cue-voice': 'a voice',
  tone: 'a tone',
  'slow-75': 'slow motion',
  'slow-50': 'slow motion',
  'stepped-back': 'steps back',
  frozen: 'a freeze',
  magnifier: 'a magnifier',
  loop: 'a loop',
  'plain-world': 'a plain world',
};

const DEVICES: Record<string, string> = {
  keyboard: 'by keys',
  gamepad: 'by controller',
  touch: 'by touch',
  mouse: 'by mouse wheel',
  mixed: 'by several devices',
  none: 'without a touch',
};

export function saidOfPractice(note: Schemas['PracticeNote']): string {
  const aids = [...new Set(note.aids.map((aid) => AIDS[aid] ?? aid))];
  return [
    `practised here ${DEVICES[note.device] ?? note.device}`,
    aids.length > 0 ? `with ${aids.join(', ')}` : 'without help',
    note.broken_off ? 'broken off' : '',
    note.purpose === '' ? '' : `for “${note.purpose}”`,
  ]
    .filter((part) => part !== '')
    .join(', ');
}
