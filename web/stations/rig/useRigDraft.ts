// The settings of a rig as they stand on the page, and what the server says they mean. A pulled curve comes back as the number
// that the craft would show; what is refused stays on the page with the words for it.
import { replaceEqualDeep } from '@tanstack/react-query';
import { useCallback, useEffect, useLayoutEffect, useRef, useState } from 'react';
import { answered, api, type Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

export type Mode = Schemas['RigDraft']['mode'];
export type Settings = Schemas['RigSettings'];
export type Finger = keyof Schemas['RigCurves'];
type Reading = Schemas['RigReading'];

export type RigDraft = {
  rig: Schemas['RigDetail'];
  mode: Mode;
  settings: Settings;
  focal: number | null;
  reading: Reading | null;
  problem: Problem | null;
  changed: boolean;
  /** Changes the settings and asks what they mean now. */
  change: (step: (now: Settings) => Settings) => void;
  /** Pulls a finger's curve through a point. */
  pull: (finger: Finger, travel: number, output: number) => void;
  /** Seconds in which a turn or a tilt is to be there. */
  cushion: (finger: 'turn' | 'tilt', seconds: number) => void;
  setFocal: (focal: number) => void;
  reset: () => void;
};

type Wish = Schemas['RigDraft'];
/** What was typed last. A pulled curve types nothing: its number comes with the answer. */
type Edit = { settings: Settings; focal: number | null };
type Answer = { reading: Reading; to: Edit };

export function useRigDraft(rig: Schemas['RigDetail'], mode: Mode): RigDraft {
  const [edit, setEdit] = useState<Edit>({ settings: rig.settings, focal: rig.camera.focal_mm });
  const known = useRef<Reading | null>(null);
  const {
    value: answer,
    problem,
    ask,
  } = useLatest(async ({ wish, to }: { wish: Wish; to: Edit }): Promise<Answer> => {
    const reading = await answered(
      api.POST('/rigs/{rig}/reading', { params: { path: { rig: rig.id } }, body: wish }),
    );
    // Of a drag the server tells the dragged finger alone; the others read as before.
    const fingers =
      wish.drag === undefined || known.current === null
        ? reading.fingers
        : known.current.fingers.map(
            (finger) => reading.fingers.find((one) => one.finger === finger.finger) ?? finger,
          );
    // What the answer does not change stays the same object, and what shows that is not drawn again.
    known.current = replaceEqualDeep(known.current, { ...reading, fingers });
    return { reading: known.current, to };
  }, 'larkspur:rig');
  // The server's numbers are the settings as soon as it has answered the last edit.
  const settings = answer !== null && answer.to === edit ? answer.reading.settings : edit.settings;
  const latest = useRef({ edit, settings });
  useLayoutEffect(() => {
    latest.current = { edit, settings };
  }, [edit, settings]);

  const send = useCallback(
    (asked: Pick<Wish, 'drag' | 'cushion'> = {}) =>
      ask({
        wish: {
          mode,
          settings: latest.current.settings,
          focal_mm: latest.current.edit.focal,
          ...asked,
        },
        to: latest.current.edit,
      }),
    [ask, mode],
  );
  useEffect(() => {
    // Another mode reads otherwise in every finger.
    known.current = null;
    send();
  }, [send]);

  const put = (next: Edit) => {
    latest.current = { edit: next, settings: next.settings };
    setEdit(next);
    send();
  };
  const change = (step: (now: Settings) => Settings) =>
    put({ ...latest.current.edit, settings: step(latest.current.settings) });
  const pull = (finger: Finger, travel: number, output: number) => send({ drag: { finger, travel, output } });
  const cushion = (finger: 'turn' | 'tilt', seconds: number) => send({ cushion: { finger, seconds } });
  const setFocal = (focal: number) => put({ settings: latest.current.settings, focal });

  return {
    rig,
    mode,
    settings,
    focal: edit.focal,
    reading: answer?.reading ?? null,
    problem,
    changed: (answer?.reading.changes.length ?? 0) > 0 || problem !== null,
    change,
    pull,
    cushion,
    setFocal,
    reset: () => put({ settings: rig.settings, focal: rig.camera.focal_mm }),
  };
}

/** The settings with one mode changed. */
export function withMode(
  settings: Settings,
  mode: Mode,
  step: (now: Schemas['RigModeSettings']) => Schemas['RigModeSettings'],
): Settings {
  return { ...settings, modes: { ...settings.modes, [mode]: step(settings.modes[mode]) } };
}

/** Under which name a mode states the top rate of a finger, each way. */
export const RATES: Record<Exclude<Finger, 'tilt'>, (keyof Schemas['RigModeSettings'])[]> = {
  climb: ['climb_mps', 'sink_mps'],
  turn: ['turn_dps'],
  run: ['run_mps'],
  slide: ['slide_mps'],
};

/** A curve's number as the craft's own screen shows it. */
export function curveNumber(curve: Schemas['RigCurve']): string {
  const plain = (value: number | undefined, places: number) => (value ?? 0).toFixed(places);
  switch (curve.kind) {
    case 'rates':
      return `${plain(curve.centre, 0)} / ${plain(curve.end, 0)}`;
    case 'half-stick-percent':
      return plain(curve.value, 0);
    case 'drawn':
      return 'drawn';
    default:
      return plain(curve.value, 2);
  }
}
