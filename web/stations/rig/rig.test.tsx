import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeEach, describe, expect, it } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { Changes } from './Changes';
import { FingerCard } from './FingerCard';
import { GimbalCard } from './GimbalCard';
import { History } from './History';
import { laidOver, SaveBar } from './SaveBar';
import { curveNumber, type RigDraft, useRigDraft, withMode } from './useRigDraft';

const mode = (turn: number): Schemas['RigModeSettings'] => ({
  run_mps: 9,
  slide_mps: 8,
  climb_mps: 3,
  sink_mps: 2.5,
  turn_dps: turn,
  accelerate_mps2: 3,
  brake_mps2: 4,
  climb_accelerate_mps2: 2,
  turn_accelerate_dps2: 120,
  lag_s: { travel: 0.4, climb: 0.3, turn: 0.2 },
  gimbal: { top_rate_dps: 20, cushion_s: 0.6 },
  curves: Object.fromEntries(
    ['climb', 'turn', 'run', 'slide', 'tilt'].map((finger) => [finger, { kind: 'half-stick', value: 0.4 }]),
  ) as Schemas['RigCurves'],
});

const settings: Schemas['RigSettings'] = { modes: { slow: mode(20), standard: mode(50), fast: mode(90) } };

const rig: Schemas['RigDetail'] = {
  id: 4,
  craft: 'Lapwing 250',
  craft_id: 1,
  kind: 'camera',
  version: 2,
  operator_id: 2,
  operator: 'Tobias Renn',
  camera: { hfov_deg: 71.6, aspect: 1.7778, focal_mm: 6.7 },
  author: 'Ines Calloway',
  reason: 'calmer',
  at: '2026-11-01T10:00:00Z',
  settings,
  focals: [6.7],
  convention: 'half-stick',
  mine: true,
};

const finger: Schemas['RigFinger'] = {
  finger: 'turn',
  ends: ['left', 'right'],
  thumb: 'Left thumb, side',
  unit: 'deg/s',
  top: 50,
  top_back: 50,
  ceiling: 110,
  half_stick: 20,
  start_s: 0.6,
  stop_s: 0.7,
  stop_way: 9,
  stop_widths: 0.13,
  top_widths: 0.7,
  half_widths: 0.28,
  nudge: 0.9,
  nudge_widths: 0.012,
  cushion_s: 0.6,
  own: { rate: 70, cushion: 13, rate_per_dps: 1, cushion_per_s: 10 },
  quarter_s: 1.8,
  round_s: 7.2,
  feel: 'Soft about the middle.',
  curve: { kind: 'half-stick', value: 0.4 },
  convention: 'Output at half stick: 0.5 is straight, lower is softer',
  says: [
    {
      kind: 'soft-expo',
      convention: '0 is straight, larger is softer',
      closeness: 'rough',
      difference: 0.03,
      at_tenth: -0.01,
      curve: { kind: 'soft-expo', value: 0.27 },
    },
    {
      kind: 'rates',
      convention: 'Rate about the centre, and rate at full stick',
      closeness: 'none',
      difference: 0.2,
      at_tenth: -0.01,
      curve: null,
    },
  ],
  points: [
    [0, 0],
    [0.5, 20],
    [1, 50],
  ],
};

const change: Schemas['RigChange'] = {
  place: 'modes.standard.turn_dps',
  mode: 'standard',
  name: 'top turn',
  unit: 'deg/s',
  from: 50,
  to: 41,
};

const reading = (
  next: Schemas['RigSettings'],
  changes: Schemas['RigChange'][] = [],
): Schemas['RigReading'] => ({
  rig_id: 4,
  settings: next,
  camera: rig.camera,
  distance_m: 20,
  mode: 'standard',
  brake_m: 11,
  brake_s: 2.5,
  fingers: [finger],
  hands: {
    stick_mode: 2,
    wheel_up: 'push',
    grip: 'thumbs',
    touch: 'firm',
    stick_mm: 21,
    grip_words: 'thumbs on top',
    pads: { left: ['turn', 'climb'], right: ['slide', 'run'] },
    per_mm: 0.11,
    per_degree: 0.041,
    reach_mm: 8.9,
    tremble: 0.01,
    nudge: 0.02,
    measured: false,
  },
  oddities: [],
  sharpest: 'The turn is the sharpest.',
  task: 'Standard mode.',
  changes,
  ducted: null,
});

beforeEach(() => giveSize(400, 200));

function still(): RigDraft {
  return {
    rig,
    mode: 'standard',
    settings,
    focal: 6.7,
    reading: reading(settings, [change]),
    problem: null,
    changed: true,
    change: () => {},
    pull: () => {},
    cushion: () => {},
    setFocal: () => {},
    reset: () => {},
  };
}

describe('a finger of a rig', () => {
  it('shows the number with its convention, and what it means in the picture', () => {
    draw(<FingerCard draft={still()} finger={finger} distance={20} />);
    expect(screen.getByRole('textbox', { name: 'Curve of turn' }).getAttribute('value')).toBe('0.40');
    expect(screen.getAllByText(/Output at half stick: 0.5 is straight/)).not.toHaveLength(0);
    expect(screen.getByText('0.28, 0.70 widths/s')).toBeTruthy();
    expect(screen.getByLabelText(/^Speed of turn in the craft/)).toHaveProperty('value', '70.0');
    expect(screen.getByText('1.8 s, 7.2 s')).toBeTruthy();
    expect(screen.getByText(/Only roughly, 3.0 % of the rate off at most/)).toBeTruthy();
    expect(screen.getByText(/It has no number for this curve/)).toBeTruthy();
  });

  it('pulls its curve with the keyboard, each press going on from the last', () => {
    const pulled: number[] = [];
    draw(
      <FingerCard
        draft={{ ...still(), pull: (_, __, output) => pulled.push(output) }}
        finger={finger}
        distance={20}
      />,
    );
    const handle = screen.getByRole('slider', { name: 'Curve of turn' });
    fireEvent.keyDown(handle, { key: 'ArrowUp' });
    fireEvent.keyDown(handle, { key: 'ArrowUp' });
    fireEvent.keyDown(handle, { key: 'ArrowDown', shiftKey: true });
    expect(pulled.map((one) => Math.round(100 * one))).toEqual([41, 42, 37]);
  });

  it('takes a typed limit and a cushion in its own unit', () => {
    const seen: Schemas['RigSettings'][] = [];
    const cushions: [string, number][] = [];
    draw(
      <FingerCard
        draft={{
          ...still(),
          change: (step) => seen.push(step(settings)),
          cushion: (of, seconds) => cushions.push([of, seconds]),
        }}
        finger={finger}
        distance={20}
      />,
    );
    const type = (label: string, value: string) => {
      const input = screen.getByLabelText(label);
      fireEvent.focus(input);
      fireEvent.change(input, { target: { value } });
      fireEvent.blur(input);
    };
    type('Top rate of turn, deg/s', '41');
    type('Cushion of turn, s', '0.9');
    type('Curve of turn as soft-expo', '0.3');
    expect(seen[0]?.modes.standard.turn_dps).toBe(41);
    expect(seen[0]?.modes.slow.turn_dps).toBe(20);
    expect(cushions).toEqual([['turn', 0.9]]);
    expect(seen[1]?.modes.standard.curves.turn).toEqual({ kind: 'soft-expo', value: 0.3 });
  });

  it('leaves a number that was only looked at as it is', () => {
    const seen: unknown[] = [];
    draw(
      <FingerCard draft={{ ...still(), change: (step) => seen.push(step) }} finger={finger} distance={20} />,
    );
    const input = screen.getByLabelText('Top rate of turn, deg/s');
    fireEvent.focus(input);
    fireEvent.blur(input);
    expect(seen).toEqual([]);
  });
});

describe('numbers of curves', () => {
  it('are said as the craft shows them', () => {
    expect(curveNumber({ kind: 'half-stick', value: 0.4 })).toBe('0.40');
    expect(curveNumber({ kind: 'half-stick-percent', value: 40 })).toBe('40');
    expect(curveNumber({ kind: 'rates', centre: 42, end: 100 })).toBe('42 / 100');
    expect(curveNumber({ kind: 'drawn' })).toBe('drawn');
  });
});

describe('changes', () => {
  it('are listed with from and to, and what both changed is marked', () => {
    draw(
      <Changes
        changes={[
          change,
          { ...change, place: 'hands.grip', mode: '', name: 'grip', unit: '', from: null, to: 'pinch' },
        ]}
        marked={['modes.standard.turn_dps']}
      />,
    );
    expect(screen.getByText('standard: top turn (both)')).toBeTruthy();
    expect(screen.getByText(/50.00.°\/s → 41.00.°\/s/)).toBeTruthy();
    expect(screen.getByText('not said → pinch')).toBeTruthy();
  });

  it('are laid over what somebody else saved, and nothing else is', () => {
    const theirs = withMode(settings, 'slow', (now) => ({ ...now, run_mps: 4 }));
    const mine = withMode(settings, 'standard', (now) => ({ ...now, turn_dps: 41, slide_mps: 5 }));
    const merged = laidOver(theirs, mine, [change]);
    expect(merged.modes.slow.run_mps).toBe(4);
    expect(merged.modes.standard.turn_dps).toBe(41);
    expect(merged.modes.standard.slide_mps).toBe(8);
    expect(theirs.modes.standard.turn_dps).toBe(50);
  });
});

function Holder({ onDraft }: { onDraft: (draft: RigDraft) => void }) {
  const draft = useRigDraft(rig, 'standard');
  onDraft(draft);
  return <SaveBar draft={draft} />;
}

describe('a draft of settings', () => {
  it('takes the server’s number for a pulled curve, and puts everything back', async () => {
    const pulled = withMode(settings, 'standard', (now) => ({
      ...now,
      curves: { ...now.curves, turn: { kind: 'half-stick', value: 0.35 } },
    }));
    const asked = answer({ 'POST /rigs/4/reading': { body: reading(pulled, [change]) } });
    let draft = still();
    draw(<Holder onDraft={(next) => (draft = next)} />);
    await waitFor(() => expect(draft.reading).not.toBeNull());
    draft.pull('turn', 0.5, 0.35);
    await waitFor(() => expect(draft.settings.modes.standard.curves.turn.value).toBe(0.35));
    expect(asked.at(-1)?.body).toMatchObject({ drag: { finger: 'turn', travel: 0.5, output: 0.35 } });
    expect(screen.getByRole('button', { name: 'Keep as a new version' })).toBeTruthy();
  });

  it('keeps what was refused on the page, with the words for it', async () => {
    answer({
      'POST /rigs/4/reading': {
        status: 422,
        body: {
          type: 'urn:larkspur:problem:refused',
          title: 'No',
          status: 422,
          detail: '0 is out of range.',
          errors: [
            { place: 'modes.standard.turn_dps', message: '0 is out of range.', expected: '1 deg/s or more' },
          ],
        },
      },
    });
    let draft = still();
    draw(<Holder onDraft={(next) => (draft = next)} />);
    draft.change((now) => withMode(now, 'standard', (one) => ({ ...one, turn_dps: 0 })));
    await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('Expected 1 deg/s or more'));
    expect(draft.settings.modes.standard.turn_dps).toBe(0);
    expect(screen.getByRole('button', { name: 'Keep as a new version' }).hasAttribute('disabled')).toBe(true);
  });

  it('shows both sides where somebody saved first', async () => {
    const conflict: Schemas['RigConflict'] = {
      type: 'urn:larkspur:problem:saved-first',
      title: 'Somebody saved first',
      status: 409,
      version: 5,
      detail: 'Ines Calloway saved version 3 of this rig while you worked on it.',
      errors: [],
      latest: {
        id: 9,
        craft: 'Lapwing 250',
        craft_id: 1,
        version: 3,
        operator: 'Tobias Renn',
        operator_id: 2,
        camera: rig.camera,
      },
      difference: {
        theirs: [{ ...change, to: 35 }],
        mine: [change],
        both: ['modes.standard.turn_dps'],
      },
    };
    answer({
      'POST /rigs/4/reading': { body: reading(settings, [change]) },
      'POST /rigs/4/versions': { status: 409, body: conflict },
    });
    draw(<Holder onDraft={() => {}} />);
    fireEvent.change(await screen.findByLabelText('Why you change it'), { target: { value: 'calmer' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep as a new version' }));
    expect(await screen.findByText(/Ines Calloway saved version 3/)).toBeTruthy();
    expect(screen.getAllByText('standard: top turn (both)')).toHaveLength(2);
    expect(screen.getByText(/50.00.°\/s → 35.00.°\/s/)).toBeTruthy();
  });
});

describe('the history of a rig', () => {
  const version = (change: Partial<Schemas['RigVersion']>): Schemas['RigVersion'] => ({
    id: 4,
    version: 2,
    author: 'Ines Calloway',
    at: '2026-10-27T10:00:00Z',
    reason: 'The turn ran away',
    takes: 6,
    held: [],
    changes: [],
    since: null,
    ...change,
  });

  it('says how scores moved, and offers older versions only', async () => {
    answer({
      'GET /rigs/4/history': {
        body: [
          version({
            changes: [change],
            since: { before: 8, after: 6, change: 9, margin: 5.4, words: 'Scores rose by 9.0 points since.' },
          }),
          version({ id: 3, version: 1, reason: 'My own sticks', takes: 1 }),
        ],
      },
    });
    draw(<History draft={still()} />);
    expect(await screen.findByText('Scores rose by 9.0 points since.')).toBeTruthy();
    expect(screen.getByRole('img', { name: 'Scores rose by 9.0 points since.' })).toBeTruthy();
    expect(screen.getAllByRole('button', { name: 'Go back to this' })).toHaveLength(1);
    expect(screen.getByText(/1 take flown with it/)).toBeTruthy();
  });
});

describe('the switches of a gimbal', () => {
  const drawn = (kind: 'camera' | 'ducted', now: Schemas['RigSettings'] = settings) => {
    const seen: Schemas['RigSettings'][] = [];
    draw(
      <GimbalCard
        draft={{
          ...still(),
          rig: { ...rig, kind },
          settings: now,
          change: (step) => seen.push(step(now)),
        }}
      />,
    );
    return seen;
  };

  it('are kept whole as soon as one is touched, and nothing before', () => {
    const seen = drawn('camera');
    expect(screen.getByText('Nobody has said yet what it is set to.')).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'Level at most' }));
    // Whether it hangs level nobody has said by that.
    expect(seen[0]?.gimbal).toEqual({ upward: false, free: false });
    fireEvent.click(screen.getByRole('button', { name: 'I looked: it hangs level' }));
    expect(seen[1]?.gimbal?.level_offset_deg).toBe(0);
    expect(seen[0]?.modes).toEqual(settings.modes);
  });

  it('say what the craft does before an obstacle for the mode on show alone', () => {
    const seen = drawn('camera');
    fireEvent.click(screen.getByRole('radio', { name: 'Go round' }));
    expect(seen[0]?.modes.standard.obstacles).toBe('round');
    expect(seen[0]?.modes.slow.obstacles).toBeUndefined();
    expect(seen[0]?.gimbal).toBeUndefined();
  });

  it('are none where the camera is fixed to the craft', () => {
    drawn(
      'ducted',
      withMode(settings, 'standard', (now) => ({ ...now, obstacles: 'off' })),
    );
    expect(screen.queryByText('Above the horizon')).toBeNull();
    expect(screen.getByText(/no novice at the sticks/)).toBeTruthy();
  });
});
