// What a cockpit asks, keeps and says: aids, a controller that is taught, what came of a pass, and recordings that wait.
import 'fake-indexeddb/auto';
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import type { Mapping } from '~/flight/input';
import type { Session } from '~/flight/session';
import { saidOfPractice } from '~/kit/practised';
import { draw, giveSize } from '~/testing/page';
import { aTake } from '~/testing/records';
import { json, refusal, serve } from '~/testing/server';
import { Instruments } from './Instruments';
import { Outcome } from './Outcome';
import { type Exercise, keepWaiting, type Pass, type Sent, sendWaiting, waitingOf } from './practiceStore';
import { Wizard } from './Wizard';
import { addressOf, readWanted, type Wanted } from './wanted';

beforeEach(() => giveSize(320, 40));
afterEach(() => {
  vi.unstubAllGlobals();
  vi.useRealTimers();
});

const wanted: Wanted = {
  exercise: { shot_id: 3, seed: 7, conditions: { nose_in: true } },
  aids: ['ghost'],
  grid: 'middle',
  purpose: 'A soft stop',
};

describe('what is to be practised', () => {
  it('is in the address, whole, and read from it again', () => {
    const address = addressOf(wanted);
    expect(readWanted(address.slice(address.indexOf('?')))).toEqual({ ...wanted, dry: false });
  });

  it.each(['', '?e=', '?e=nonsense', '?e=%7B%7D', '?e=null', '?e=3'])('is nothing in "%s"', (search) => {
    expect(readWanted(search)).toBeNull();
  });
});

describe('a practised take', () => {
  it('says with what it was flown, and with which help', () => {
    expect(
      saidOfPractice({
        device: 'gamepad',
        aids: ['ghost', 'slow-50', 'slow-75'],
        broken_off: false,
        seed: 1,
        purpose: '',
      }),
    ).toBe('practised here by controller, with a ghost craft, slow motion');
    expect(
      saidOfPractice({ device: 'keyboard', aids: [], broken_off: true, seed: 1, purpose: 'soft stops' }),
    ).toBe('practised here by keys, without help, broken off, for “soft stops”');
  });
});

describe('a controller that is taught', () => {
  it('is asked finger by finger, and its range, direction and rest are found', () => {
    const frames = new Map<number, FrameRequestCallback>();
    let asked = 0;
    vi.stubGlobal('requestAnimationFrame', (call: FrameRequestCallback) => {
      frames.set(++asked, call);
      return asked;
    });
    vi.stubGlobal('cancelAnimationFrame', (id: number) => frames.delete(id));
    const pad = {
      id: 'odd sticks',
      axes: [0.02, 0, 0, 0],
      buttons: Array.from({ length: 8 }, () => ({ value: 0 })),
    };
    vi.stubGlobal('navigator', { ...navigator, getGamepads: () => [pad] });
    const done = vi.fn<(mapping: Mapping, name: string) => void>();
    draw(<Wizard axes={['climb', 'turn', 'run', 'slide', 'tilt']} onDone={done} onCancel={() => {}} />);
    const run = (count: number) => {
      for (let k = 0; k < count; k++)
        act(() => {
          const due = [...frames.values()];
          frames.clear();
          for (const call of due) call(0);
        });
    };
    const push = (axis: number, to: number) => {
      run(40);
      const rest = pad.axes[axis] ?? 0;
      pad.axes[axis] = to;
      run(3);
      pad.axes[axis] = rest;
      run(3);
    };
    expect(screen.getByText(/climbs all the way up/)).toBeTruthy();
    push(3, -0.9);
    expect(screen.getByText(/turns all the way to the right/)).toBeTruthy();
    push(0, 0.8);
    push(1, -1);
    push(2, 1);
    expect(screen.getByText(/Turn the wheel/)).toBeTruthy();
    run(40);
    (pad.buttons[5] as { value: number }).value = 1;
    run(2);
    expect(screen.getByText(/tilts down/)).toBeTruthy();
    (pad.buttons[5] as { value: number }).value = 0;
    (pad.buttons[4] as { value: number }).value = 1;
    run(40);
    fireEvent.click(screen.getByText('Keep it'));
    const [mapping, name] = done.mock.calls[0] ?? [];
    expect(name).toBe('odd sticks');
    expect(mapping?.climb).toMatchObject({ kind: 'axis', index: 3, sign: -1, low: -0.9 });
    expect(mapping?.turn).toMatchObject({ index: 0, sign: 1, centre: 0.02 });
    expect(mapping?.run).toMatchObject({ index: 1, sign: -1 });
    expect(mapping?.tilt).toEqual({ kind: 'buttons', up: 5, down: 4 });
  });

  it('is not seen where there is none, and can be left', () => {
    vi.stubGlobal('navigator', { ...navigator, getGamepads: () => [] });
    const left = vi.fn();
    draw(<Wizard axes={['climb']} onDone={() => {}} onCancel={left} />);
    expect(screen.getByText(/No controller is seen yet/)).toBeTruthy();
    fireEvent.click(screen.getByText('Leave it'));
    expect(left).toHaveBeenCalled();
  });
});

const exercise = {
  judged: true,
  pads: [],
  starts_at_s: 0,
  conditions: {},
  plan: { phases: { duration_s: 30 }, opposite: null },
} as unknown as Exercise;
const session = {
  seconds: 31,
  answered: null,
  recorded: [[0, 1500]],
  world: { response: { step_s: 0.02 } },
} as unknown as Session;

const aPass = (change: Partial<Pass> = {}): Pass => ({
  id: 4,
  uuid: 'u',
  take: aTake(),
  headline: 'Keep',
  worst_s: 9.1,
  worst: 'The subject jumps.',
  ended: null,
  ended_at_s: null,
  broken_off: false,
  recorded: true,
  said: null,
  passes: [],
  best: null,
  best_reason: null,
  loop: { from_s: 7.1, to_s: 12.1 },
  next: null,
  ...change,
});

const outcome = (pass: Pass | null, more: Partial<Parameters<typeof Outcome>[0]> = {}) =>
  draw(
    <Outcome
      exercise={exercise}
      wanted={wanted}
      session={session}
      pass={pass}
      sending={false}
      trouble={null}
      kept={true}
      onAgain={() => {}}
      {...more}
    />,
  );

describe('what came of a pass', () => {
  it('is a petal, a sentence, the worst second, and a loop about it', () => {
    outcome(aPass());
    expect(screen.getByText('Keep')).toBeTruthy();
    const loop =
      screen
        .getByText(/again and again/)
        .closest('a')
        ?.getAttribute('href') ?? '';
    expect(readWanted(loop.slice(loop.indexOf('?')))?.exercise.conditions?.loop).toEqual({
      from_s: 7.1,
      to_s: 12.1,
    });
  });

  it('after three passes names the best with its reason, and what comes next', () => {
    outcome(
      aPass({
        passes: [
          { take: 1, score: 70 },
          { take: 2, score: 82.4 },
          { take: 7, score: 75 },
        ],
        best: 2,
        best_reason: 'It leads.',
        next: { kind: 'without-help', said: 'Next: the same without help', wind: null },
      }),
    );
    expect(screen.getByText(/The best is pass 2: It leads/)).toBeTruthy();
    const next = screen.getByText('Next: the same without help').closest('a')?.getAttribute('href') ?? '';
    expect(readWanted(next.slice(next.indexOf('?')))?.aids).toEqual([]);
  });

  it('without record says what to do, and praises nothing', () => {
    outcome(aPass({ take: null, headline: null, worst_s: null, worst: null, recorded: false }), {
      session: { ...session, recorded: [] } as unknown as Session,
    });
    expect(screen.getByText(/Record was never pressed/)).toBeTruthy();
    expect(screen.queryByText('Look at it')).toBeNull();
  });

  it('says what ended it, and what was done at the call', () => {
    outcome(aPass({ ended: 'It touched the mast at 2.0 m/s.', broken_off: true }), {
      session: { ...session, answered: { action: 'hold', step: 700 } } as unknown as Session,
    });
    expect(screen.getByText(/touched the mast/)).toBeTruthy();
    expect(screen.getByText(/broken off/)).toBeTruthy();
    expect(screen.getByText(/Come down first/)).toBeTruthy();
  });

  it('where it could be neither sent nor kept, asks to leave the page open', () => {
    outcome(null, { trouble: new Error('x'), kept: false });
    expect(screen.getByText(/leave this page open/)).toBeTruthy();
  });
});

describe('instruments', () => {
  const readout = {
    second: 1,
    seconds: 3,
    speed: 2.4,
    climb: 0,
    height: 8.4,
    distance: 43,
    battery: 80,
    recording: null,
    tilt: -17.6,
    wide: 9,
    returning: null,
    called: false,
    frozen: false,
    cue: '',
    wind: 0,
  };

  it('are those that the exercise leaves, and the battery asks to come down', () => {
    draw(<Instruments readout={readout} units="metric" hidden={{ speed: true }} reserve={100} pace={1} />);
    expect(screen.queryByText('over ground')).toBeNull();
    expect(screen.getByText('43 m')).toBeTruthy();
    expect(screen.getByText('battery: come down')).toBeTruthy();
  });
});

describe('recordings that wait', () => {
  const sent = (id: string) => ({ recording: { id } }) as unknown as Sent;

  it('are sent once each, stay where the server can’t be reached, and go where it never takes them', async () => {
    await keepWaiting('a', sent('a'), 1);
    await keepWaiting('b', sent('b'), 1);
    await keepWaiting('c', sent('c'), 2);
    serve(() => {
      throw new TypeError('Failed to fetch');
    });
    expect(await sendWaiting(1)).toEqual({ done: 0, left: 2 });
    const asked = serve(({ body }) =>
      (body as { recording: { id: string } }).recording.id === 'a'
        ? json({ id: 1 })
        : refusal('No such sheet.'),
    );
    expect(await sendWaiting(1)).toEqual({ done: 1, left: 0 });
    expect(asked).toHaveLength(2);
    await waitFor(async () => expect(await waitingOf(2)).toHaveLength(1));
    // What was rehearsed without a craft goes where rehearsals are judged.
    await keepWaiting('d', sent('d'), 1, true);
    const rehearsed = serve(({ path }) =>
      path === '/rehearsals' ? json({ clean: true }) : refusal('No flight.'),
    );
    expect(await sendWaiting(1)).toEqual({ done: 1, left: 0 });
    expect(rehearsed).toHaveLength(1);
    const person: Schemas['User']['id'] = 1;
    expect(await sendWaiting(person)).toEqual({ done: 0, left: 0 });
    expect(asked).toHaveLength(2);
  });
});
