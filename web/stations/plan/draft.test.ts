import { describe, expect, it } from 'vitest';
import { endAt, lengthTo, rounded, startAt, withMove, withValues } from './draft';

const subject = { east_m: 40, north_m: -10 };

describe('handles on the site sheet', () => {
  it.each([
    [40, 15, 25, 0],
    [65, -10, 25, 90],
    [40, -40, 30, 180],
    [10, -10, 30, 270],
  ])('read a start at %d east, %d north as radius %d and bearing %d', (east, north, radius, bearing) => {
    expect(startAt(subject, east, north, 0.5)).toEqual({ radius_m: radius, start_bearing_deg: bearing });
  });

  it('keep the radius within what can be flown', () => {
    expect(startAt(subject, 40, -10, 0.5).radius_m).toBe(2);
    expect(startAt(subject, 4000, -10, 0.5).radius_m).toBe(500);
  });

  it('read the start of a straight way as a distance, and its end as a length', () => {
    expect(startAt(subject, 65, -10, 0.5, 'distance_m')).toEqual({ distance_m: 25, start_bearing_deg: 90 });
    expect(lengthTo({ east_m: 0, north_m: 0 }, 3, 4)).toEqual({ length_m: 5 });
    expect(lengthTo({ east_m: 0, north_m: 0 }, 0.1, 0)).toEqual({ length_m: 1 });
  });

  it('read the end as an arc in the way that is flown', () => {
    const east = subject.east_m + 20;
    const clockwise = { start_bearing_deg: 0, arc_deg: 100, direction: 'clockwise' };
    expect(endAt(subject, clockwise, east, subject.north_m)).toEqual({ arc_deg: 90 });
    expect(
      endAt(subject, { ...clockwise, arc_deg: 250, direction: 'counterclockwise' }, east, subject.north_m),
    ).toEqual({ arc_deg: 270 });
  });

  it('keep whole turns while the end is dragged across the start', () => {
    const nearly = { start_bearing_deg: 0, arc_deg: 350, direction: 'clockwise' };
    const past = endAt(subject, nearly, subject.east_m + 5, subject.north_m + 60);
    expect(past.arc_deg).toBeGreaterThan(360);
  });

  it('change only what was moved', () => {
    const draft = {
      site_id: 1,
      rig_id: 2,
      mode: 'standard' as const,
      move: 'orbit',
      parameters: { radius_m: 20, pace_mps: 2 },
    };
    expect(withValues(draft, { radius_m: 25 }).parameters).toEqual({ radius_m: 25, pace_mps: 2 });
    expect(rounded(7.3, 0.5)).toBe(7.5);
  });
});

describe('another move', () => {
  const orbit = {
    site_id: 1,
    rig_id: 1,
    mode: 'standard' as const,
    move: 'orbit',
    subject_id: 'stones',
    parameters: { radius_m: 22, arc_deg: 120, start_bearing_deg: 40, direction: 'clockwise' },
  };

  const round = ['radius_m', 'height_m', 'arc_deg', 'direction', 'start_bearing_deg'];
  const straight = ['length_m', 'distance_m', 'height_m', 'start_bearing_deg'];

  it('starts from the same side and as far away, and leaves the rest open', () => {
    expect(withMove(orbit, 'pull-away', straight)).toEqual({
      ...orbit,
      move: 'pull-away',
      parameters: { distance_m: 22, start_bearing_deg: 40 },
    });
  });

  it('comes back to an orbit of that radius', () => {
    const back = withMove(withMove(orbit, 'lift-and-tilt', straight), 'orbit', round);
    expect(back.parameters).toEqual({ radius_m: 22, start_bearing_deg: 40 });
  });

  it('keeps the radius from one round move to another', () => {
    expect(withMove(orbit, 'climbing-orbit', round).parameters).toEqual({
      radius_m: 22,
      start_bearing_deg: 40,
    });
  });

  it('carries nothing over that the other move does not have', () => {
    expect(withMove(orbit, 'sink', ['climb_m', 'height_m']).parameters).toEqual({});
  });
});
