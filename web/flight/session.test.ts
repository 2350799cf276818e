import { describe, expect, it } from 'vitest';
import { aWorld as world } from '~/testing/world';
import { lensRoll } from './flight';
import { Session } from './session';
import type { Fingers } from './sheet';

const pressed = (part: Partial<Fingers>) => () => ({
  fingers: { climb: 0, turn: 0, run: 0, slide: 0, tilt: 0, ...part },
  automated: false,
});

/** Frames of so many ms each. */
function run(session: Session, seconds: number, read: ReturnType<typeof pressed>, frame = 16) {
  const from = session.seconds * 1000;
  for (let t = 0; t <= seconds * 1000 + 1e-6; t += frame) session.advance(from + t, read);
}

describe('a practice flight', () => {
  it('steps fifty times a second whatever the display does, and keeps a finger for each step', () => {
    const smooth = new Session(world(), null);
    const rough = new Session(world(), null);
    run(smooth, 4, pressed({ run: 0.5 }), 8);
    run(rough, 4, pressed({ run: 0.5 }), 400);
    expect(Math.abs(smooth.steps - 200)).toBeLessThanOrEqual(1);
    expect(rough.steps).toBe(200);
    expect(rough.travel.run).toHaveLength(200);
    expect(rough.now.pose.y).toBeCloseTo(200 * 0.02 * 4, 6);
  });

  it('leans the picture with a craft whose camera may roll, and as its gimbal hangs', () => {
    const level = world();
    const free = world({ craft: { ...level.craft, picture_rolls: true, level_offset_deg: 1.5 } });
    const [held, rolling] = [new Session(level, null), new Session(free, null)];
    for (const session of [held, rolling]) run(session, 1, pressed({ slide: 0.5 }));
    expect(rolling.now.pose.leanRight).toBeGreaterThan(1);
    expect(lensRoll(free, rolling.now.pose)).toBeCloseTo(rolling.now.pose.leanRight + 1.5, 9);
    expect(lensRoll(level, held.now.pose)).toBe(0);
  });

  it('does not fly on by itself where the page was held up for long', () => {
    const session = new Session(world(), null);
    session.advance(0, pressed({ run: 1 }));
    session.advance(60_000, pressed({ run: 1 }));
    expect(session.seconds).toBeLessThanOrEqual(1.5);
  });

  it('records between two presses, and what records ends with the flight', () => {
    const session = new Session(world(), null);
    run(session, 1, pressed({}));
    session.pressRecord();
    expect(session.isRecording).toBe(true);
    run(session, 2, pressed({}));
    session.stop();
    const [from, to] = session.recorded[0] ?? [0, 0];
    expect((to - from) * 0.02).toBeCloseTo(2, 1);
    expect(session.isOver).toBe(true);
    session.pressRecord();
    expect(session.recorded).toHaveLength(1);
  });

  it('shakes the controller at the press of record, where it may', () => {
    const [calm, shaken] = [
      new Session(world(), null),
      new Session(world(), { seconds: 0.16, travel: 0.12 }),
    ];
    for (const session of [calm, shaken]) {
      run(session, 0.2, pressed({}));
      session.pressRecord();
      run(session, 1, pressed({}));
    }
    expect(Math.max(...calm.travel.turn.map(Math.abs))).toBe(0);
    expect(Math.max(...shaken.travel.turn.map(Math.abs))).toBeGreaterThan(50);
    expect(shaken.travel.turn[shaken.steps - 1]).toBe(0);
  });

  it('goes back five seconds as if they had never been, and notes it', () => {
    const session = new Session(world(), null);
    session.advance(0, pressed({}));
    run(session, 2, pressed({}));
    session.pressRecord();
    run(session, 6, pressed({ run: 0.5 }));
    const steps = session.steps;
    session.stepBack(5);
    expect(session.steps).toBe(steps - 250);
    expect(session.travel.run).toHaveLength(session.steps);
    expect(session.isRecording).toBe(true);
    expect(session.aids.has('stepped-back')).toBe(true);
    session.stepBack(5);
    expect(session.recorded).toHaveLength(0);
  });

  it('ends where something stands, and nothing moves after that', () => {
    const wall = {
      id: 'w',
      name: 'the wall',
      base_m: 0,
      top_m: 20,
      ring: [
        [-5, 8],
        [5, 8],
        [5, 9],
        [-5, 9],
      ],
    };
    const session = new Session(world({ uprights: [wall] }), null);
    run(session, 6, pressed({ run: 1 }));
    expect(session.now.ending).toMatchObject({ reason: 'touched', what: 'the wall' });
    const steps = session.steps;
    run(session, 2, pressed({ run: 1 }));
    expect(session.steps).toBe(steps);
  });

  it('is handed over once, however often it is asked for', () => {
    const session = new Session(world(), null);
    run(session, 1, pressed({}));
    expect([session.handOver(true), session.handOver(), session.handOver()]).toEqual([true, false, false]);
    expect(session.isOver).toBe(true);
    expect(session.brokenOff).toBe(true);
  });

  it('notes a freeze as the help that it is', () => {
    const session = new Session(world(), null);
    session.freeze();
    session.freeze();
    expect(session.frozen).toBe(false);
    expect(session.aids.has('frozen')).toBe(true);
  });

  it('flies slower in slow motion, and stays where it is frozen', () => {
    const slow = new Session(world(), null);
    slow.pace = 0.5;
    run(slow, 4, pressed({}), 10);
    expect(slow.seconds).toBeCloseTo(2, 1);
    slow.frozen = true;
    run(slow, 4, pressed({}), 10);
    expect(slow.seconds).toBeCloseTo(2, 1);
  });
});
