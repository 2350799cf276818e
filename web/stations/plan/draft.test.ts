// Every way in which the page changes the draft of a shot.
import { describe, expect, it } from 'vitest';
import type { Schemas } from '~/api/client';
import { type Change, changed, type Draft, draftOf, newDraft } from './draft';

const orbit: Draft = {
  site_id: 1,
  rig_id: 1,
  mode: 'standard',
  move: 'orbit',
  subject_id: 'stones',
  parameters: { radius_m: 22, arc_deg: 120, start_bearing_deg: 40, direction: 'clockwise' },
};
const site = { id: 7, subjects: [{ id: 'stack' }] } as unknown as Schemas['Site'];
const rig = { id: 3 } as unknown as Schemas['Rig'];
const become = (draft: Draft, ...changes: Change[]) => changes.reduce(changed, draft);

describe('values', () => {
  it('change only what was moved', () => {
    const next = become(orbit, { kind: 'values', values: { radius_m: 25 } });
    expect(next.parameters).toEqual({ ...orbit.parameters, radius_m: 25 });
    expect(orbit.parameters).toHaveProperty('radius_m', 22);
  });

  it('of a part go to that part, and the others stay', () => {
    const joined = newDraft(site, rig, 'combination');
    const next = become(joined, { kind: 'values', values: { 'parts.1.length_m': 30, ease_s: 2 } });
    expect(next.parts?.map((part) => part.parameters)).toEqual([{ arc_deg: 90 }, { length_m: 30 }]);
    expect(next.parameters).toEqual({ ease_s: 2 });
    expect(joined.parts?.[1]?.parameters).toEqual({});
  });
});

describe('another move', () => {
  const round = ['radius_m', 'height_m', 'arc_deg', 'direction', 'start_bearing_deg'];
  const straight = ['length_m', 'distance_m', 'height_m', 'start_bearing_deg'];
  const to = (move: string, own: string[]): Change => ({ kind: 'move', move, own });

  it('starts from the same side and as far away, and leaves the rest open', () => {
    expect(become(orbit, to('pull-away', straight))).toEqual({
      ...orbit,
      move: 'pull-away',
      parameters: { distance_m: 22, start_bearing_deg: 40 },
    });
  });

  it('comes back to an orbit of that radius', () => {
    const back = become(orbit, to('lift-and-tilt', straight), to('orbit', round));
    expect(back.parameters).toEqual({ radius_m: 22, start_bearing_deg: 40 });
  });

  it('keeps the radius from one round move to another', () => {
    expect(become(orbit, to('climbing-orbit', round)).parameters).toEqual({
      radius_m: 22,
      start_bearing_deg: 40,
    });
  });

  it('carries nothing over that the other move does not have', () => {
    expect(become(orbit, to('sink', ['climb_m', 'height_m'])).parameters).toEqual({});
  });

  it('leaves no parts behind when it is no combination', () => {
    const alone = become(newDraft(site, rig, 'combination'), to('rise', ['climb_m']));
    expect([alone.parts, alone.join]).toEqual([undefined, undefined]);
  });
});

describe('a variant', () => {
  const variant = (more: Partial<Schemas['Variant']>) =>
    ({ move: 'orbit', parameters: {}, parts: null, join: null, ...more }) as Schemas['Variant'];

  it('of the same move changes what it says and keeps the rest', () => {
    const next = become(orbit, { kind: 'variant', variant: variant({ parameters: { height_m: 4 } }) });
    expect(next.parameters).toEqual({ ...orbit.parameters, height_m: 4 });
  });

  it('of another move or of several brings its own parameters', () => {
    const other = become(orbit, {
      kind: 'variant',
      variant: variant({ move: 'push-in', parameters: { height_m: 4 } }),
    });
    expect([other.move, other.parameters]).toEqual(['push-in', { height_m: 4 }]);
    const parts = [
      { move: 'orbit', parameters: {} },
      { move: 'rise', parameters: {} },
    ];
    const joined = become(orbit, {
      kind: 'variant',
      variant: variant({ move: 'combination', join: 'sequence', parts }),
    });
    expect([joined.parameters, joined.parts, joined.join]).toEqual([{}, parts, 'sequence']);
  });
});

describe('where it is flown', () => {
  it('takes a place of one’s own, one coordinate at a time', () => {
    const next = become(
      orbit,
      { kind: 'place', place: { east_m: 3 } },
      { kind: 'place', place: { north_m: -4 } },
    );
    expect(next.subject_at).toEqual({ east_m: 3, north_m: -4 });
  });

  it('takes the wind, one quantity at a time', () => {
    const next = become(
      orbit,
      { kind: 'wind', wind: { mean_mps: 4 } },
      { kind: 'wind', wind: { from_deg: 90 } },
    );
    expect(next.wind).toEqual({ from_deg: 90, mean_mps: 4, gust_mps: 0 });
  });

  it('takes whatever else is chosen', () => {
    expect(become(orbit, { kind: 'put', put: { mode: 'slow', rig_id: 9 } })).toEqual({
      ...orbit,
      mode: 'slow',
      rig_id: 9,
    });
  });
});

describe('the first draft', () => {
  it('of a new shot is of the site’s first subject', () => {
    expect(newDraft(site, rig, 'orbit')).toMatchObject({ site_id: 7, rig_id: 3, subject_id: 'stack' });
  });

  it('of a kept shot is that shot, with what an advice asks to change', () => {
    const shot = {
      ...orbit,
      intent: { parameters: { radius_m: 22 }, aim: { x: 0.3, y: 0.5 } },
      wind: null,
      brief: null,
    } as unknown as Schemas['Shot'];
    const draft = draftOf(shot, { pace_mps: 1 });
    expect(draft.parameters).toEqual({ radius_m: 22, pace_mps: 1 });
    expect(draft.aim).toEqual({ x: 0.3, y: 0.5 });
  });
});
