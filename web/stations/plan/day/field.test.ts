// What a device shows of entries that the server does not have yet, what it keeps, and how a day is drawn against time.
import 'fake-indexeddb/auto';
import { describe, expect, it } from 'vitest';
import { flightScale } from '~/pictures/DayChart';
import {
  type Entry,
  forgetDays,
  keepClock,
  keepDay,
  keepPerson,
  keptClock,
  keptDay,
  keptPerson,
  type Log,
  sent,
  wait,
  waiting,
  withWaiting,
} from './fieldStore';

const EMPTY: Log = {
  ticks: {},
  passes: {},
  batteries: {},
  conflicts: [],
  decisions: {},
  take_off_lists: ['sweep', 'air'],
  compass_most: 2,
};
const entry = (kind: Entry['kind'], item: string, payload: Entry['payload'], at: string): Entry => ({
  uuid: `${kind}-${item}-${at}`,
  kind,
  item,
  payload,
  device: 'tablet',
  made_at: `2026-06-03T${at}Z`,
});

describe('entries that wait', () => {
  it('open with a landing what holds for one take-off', () => {
    const log = withWaiting(
      EMPTY,
      [
        entry('tick', 'sweep-people', { on: true }, '09:00:00'),
        entry('tick', 'ground-home', { on: true }, '09:00:05'),
        entry('battery', 'battery-1', { on: true }, '09:02:00'),
        entry('battery', 'battery-1', { on: false }, '09:12:00'),
        entry('tick', 'air-hover', { on: true }, '09:20:00'),
      ],
      'Tobias Renn',
    );
    expect(Object.keys(log.ticks)).toEqual(['ground-home', 'air-hover']);
  });

  it('lie over what the server said, in the order they were made', () => {
    const log = withWaiting(
      {
        ...EMPTY,
        passes: {
          'shot-4': [
            {
              uuid: 'first',
              number: 1,
              verdict: 'kept',
              note: '',
              by: 'Ines',
              at: '2026-06-03T08:00:00Z',
              take_id: null,
            },
          ],
        },
      },
      [
        entry('tick', 'bag-cards', { on: true }, '09:00:00'),
        entry('tick', 'bag-cards', { on: false }, '09:00:05'),
        entry('pass', 'shot-4', { number: 2, verdict: 'dropped', note: 'bird' }, '09:01:00'),
        entry('battery', 'battery-1', { on: true }, '09:02:00'),
        entry('battery', 'battery-1', { on: true }, '09:02:30'),
        entry('battery', 'battery-1', { on: false }, '09:07:00'),
        entry('battery', 'battery-1', { on: true }, '09:20:00'),
      ],
      'Tobias Renn',
    );
    expect(log.ticks['bag-cards']?.on).toBe(false);
    expect(log.passes['shot-4']?.map((pass) => pass.note)).toEqual(['', 'bird']);
    expect(log.batteries['battery-1']).toEqual({
      running: true,
      since: '2026-06-03T09:20:00Z',
      flown_s: 300,
    });
    // Down long before the press: what somebody says that it flew holds, and the next flight comes on top.
    const right = withWaiting(
      log,
      [
        entry('battery', 'battery-1', { on: false, flown_s: 840 }, '10:30:00'),
        entry('battery', 'battery-1', { on: true }, '11:00:00'),
        entry('battery', 'battery-1', { on: false }, '11:01:00'),
      ],
      'Tobias Renn',
    );
    expect(right.batteries['battery-1']).toEqual({ running: false, since: null, flown_s: 900 });
    // A tablet an hour behind: what waits stands where the server will put it.
    const hour = withWaiting(
      EMPTY,
      [entry('battery', 'battery-2', { on: true }, '09:00:00')],
      'Tobias Renn',
      3_600_000,
    );
    expect(hour.batteries['battery-2']?.since).toBe('2026-06-03T10:00:00.000Z');
    expect(EMPTY).toEqual({
      ticks: {},
      passes: {},
      batteries: {},
      conflicts: [],
      decisions: {},
      take_off_lists: ['sweep', 'air'],
      compass_most: 2,
    });
  });

  it('stay on the device until they are sent, and are there once each', async () => {
    const mine = { ...entry('tick', 'bag-cards', { on: true }, '09:00:00'), day: 7, author: 2 };
    const later = { ...entry('tick', 'bag-filters', { on: true }, '09:01:00'), day: 7, author: 2 };
    await wait(later);
    await wait(mine);
    await wait(mine);
    await wait({ ...mine, uuid: 'other', day: 8 });
    expect((await waiting(7)).map((one) => one.item)).toEqual(['bag-cards', 'bag-filters']);
    await sent([mine]);
    expect((await waiting(7)).map((one) => one.item)).toEqual(['bag-filters']);
    expect(await waiting(8)).toHaveLength(1);
  });

  it('are counted by the clock of the server where that of the device is off', () => {
    expect(keepClock(new Date(Date.now() + 2000).toUTCString())).toBe(0);
    expect(Math.abs(keepClock(new Date(Date.now() + 3_600_000).toUTCString()) - 3_600_000)).toBeLessThan(
      2000,
    );
    // No answer tells nothing: what was known stands.
    expect(Math.round(keepClock(null) / 10_000)).toBe(360);
    localStorage.clear();
    expect(keptClock()).toBe(0);
  });

  it('outlive a sign-out, which takes the days with it', async () => {
    await keepPerson({ id: 2, name: 'Tobias Renn', units: 'metric' });
    await keepDay({ id: 7 } as Parameters<typeof keepDay>[0]);
    expect((await keptDay(7))?.day.id).toBe(7);
    await forgetDays();
    expect(await keptDay(7)).toBeUndefined();
    expect(await keptPerson()).toBeUndefined();
    expect(await waiting(7)).toHaveLength(1);
  });
});

describe('time against width', () => {
  const slot = (from: number, to: number, waits = 0) => ({
    shot_id: from,
    title: '',
    must: false,
    passes: 1,
    battery: 1,
    ready: new Date(1000 * (from - waits)).toISOString(),
    from: new Date(1000 * from).toISOString(),
    to: new Date(1000 * to).toISOString(),
    waits_s: waits,
    light: null,
  });

  it('rises without a jump, and draws long waits short', () => {
    const { x, breaks } = flightScale([slot(4000, 4600), slot(20000, 20600, 15000)], 0, 30000, 100, 900);
    expect(breaks).toHaveLength(3);
    let before = x(0);
    expect(before).toBe(100);
    for (let t = 50; t <= 30000; t += 50) {
      expect(x(t)).toBeGreaterThan(before);
      expect(x(t) - before).toBeLessThan(60);
      before = x(t);
    }
    expect(before).toBeCloseTo(900, 6);
    expect(x(4600) - x(4000)).toBeGreaterThan(200);
    expect(x(19000) - x(6000)).toBeLessThan(60);
  });

  it('is plain where nothing is flown', () => {
    const { x, breaks } = flightScale([], 0, 3600, 0, 360);
    expect(breaks).toEqual([]);
    expect(x(1800)).toBeCloseTo(180, 9);
  });
});
