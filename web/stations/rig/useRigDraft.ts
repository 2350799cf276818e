// The settings of a rig as they stand on the page, and what the server says they mean. A pulled curve comes back as the number
// that the craft would show; what is refused stays on the page with the words for it.
import { useCallback, useEffect, useRef, useState } from 'react';
import { call, type Problem, type Schemas } from '~/api/client';
import { useLatest } from '~/kit/useLatest';

export type Mode = Schemas['RigDraft']['mode'];
export type Settings = Schemas['RigSettings'];
export type Finger = keyof Schemas['RigCurves'];
export type Reading = Schemas['RigReading'];

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
  setFocal: (focal: number) => void;
  reset: () => void;
};

type Wish = Schemas['RigDraft'];

export function useRigDraft(rig: Schemas['RigDetail'], mode: Mode): RigDraft {
  const [settings, setSettings] = useState(rig.settings);
  const [focal, setFocal] = useState<number | null>(rig.camera.focal_mm);
  const latest = useRef({ settings: rig.settings, focal: rig.camera.focal_mm });
  const {
    value: reading,
    problem,
    ask,
  } = useLatest((wish: Wish) => call<Reading>('POST', `/rigs/${rig.id}/reading`, wish), 'larkspur:rig');

  const send = useCallback(
    (drag?: NonNullable<Wish['drag']>) =>
      ask({
        mode,
        settings: latest.current.settings,
        focal_mm: latest.current.focal,
        ...(drag === undefined ? {} : { drag }),
      }),
    [ask, mode],
  );
  useEffect(() => send(), [send]);

  // The server's numbers are the settings: a pulled curve has become one.
  useEffect(() => {
    if (reading === null || problem !== null) return;
    latest.current.settings = reading.settings;
    setSettings(reading.settings);
  }, [reading, problem]);

  const put = useCallback((next: Settings) => {
    latest.current.settings = next;
    setSettings(next);
  }, []);

  return {
    rig,
    mode,
    settings,
    focal,
    reading,
    problem,
    changed: (reading?.changes.length ?? 0) > 0 || problem !== null,
    change: (step) => {
      put(step(latest.current.settings));
      send();
    },
    pull: (finger, travel, output) => send({ finger, travel, output }),
    setFocal: (next) => {
      latest.current.focal = next;
      setFocal(next);
      send();
    },
    reset: () => {
      latest.current.focal = rig.camera.focal_mm;
      setFocal(rig.camera.focal_mm);
      put(rig.settings);
      send();
    },
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
