// The drawing's own arithmetic: moved, turned, snapped, undone; and nothing of it lost on the way.
import { describe, expect, it } from 'vitest';
import { began, done, redone, undone } from '~/kit/history';
import {
  added,
  changed,
  cornerAdded,
  cornerMoved,
  corners,
  type Drawing,
  EMPTY,
  LEAST,
  made,
  moved,
  pointsOf,
  removed,
  snapped,
  spotsOf,
  thingAt,
  turned,
} from './drawing';

const put = (drawing: Drawing, tool: Parameters<typeof made>[0], ...places: [number, number][]) => {
  const thing = made(tool, places);
  if (thing === null) throw new Error('Nothing was made.');
  return added(drawing, thing.list, thing.item);
};

describe('a drawing', () => {
  it('takes every tool’s thing where it was put, with a name of its own', () => {
    let drawing = EMPTY;
    for (const tool of ['subject', 'box', 'cylinder', 'observer', 'spot'] as const) {
      drawing = put(drawing, tool, [12.345, -7.001]).drawing;
    }
    for (const tool of Object.keys(LEAST) as (keyof typeof LEAST)[]) {
      drawing = put(drawing, tool, [0, 0], [10, 0], [10, 10]).drawing;
    }
    expect(drawing.document.solids.map((one) => one.shape)).toEqual([
      'box',
      'cylinder',
      'polygon',
      'canopy',
      'wire',
    ]);
    expect(drawing.document.areas?.map((one) => one.kind)).toEqual(['people', 'water', 'boundary']);
    expect(drawing.subjects[0]).toMatchObject({ east_m: 12.35, north_m: -7 });
    expect(spotsOf(drawing)).toHaveLength(1);
    const ids = [...drawing.document.solids, ...(drawing.document.areas ?? [])].map((one) => one.id);
    expect(new Set(ids).size).toBe(ids.length);
    expect(made('choose', [[0, 0]])).toBeNull();
  });

  it('moves a thing with all of its places, and a corner alone', () => {
    const { drawing, chosen } = put(EMPTY, 'wire', [0, 0], [20, 5]);
    expect(pointsOf(thingAt(moved(drawing, chosen, 2.5, -1), chosen))).toEqual([
      [2.5, -1],
      [22.5, 4],
    ]);
    expect(pointsOf(thingAt(cornerMoved(drawing, chosen, 1, [30, 6]), chosen))).toEqual([
      [0, 0],
      [30, 6],
    ]);
    expect(pointsOf(thingAt(cornerAdded(drawing, chosen, 0), chosen))).toEqual([
      [0, 0],
      [10, 2.5],
      [20, 5],
    ]);
    const box = put(EMPTY, 'box', [1, 2]);
    expect(thingAt(moved(box.drawing, box.chosen, 0.5, 0.5), box.chosen)).toMatchObject({
      east_m: 1.5,
      north_m: 2.5,
    });
  });

  it('turns the whole of it clockwise, and four quarters bring it back', () => {
    let drawing = put(put(EMPTY, 'box', [10, 0]).drawing, 'water', [0, 5], [5, 5], [5, 9]).drawing;
    drawing = put(drawing, 'spot', [0, 20]).drawing;
    const once = turned(drawing, 90);
    expect(once.document.solids[0]).toMatchObject({ east_m: 0, north_m: -10, heading_deg: 90 });
    expect(once.document.areas?.[0]?.points[0]).toEqual([5, 0]);
    expect(spotsOf(once)[0]).toMatchObject({ east_m: 20, north_m: 0 });
    let round = drawing;
    for (let k = 0; k < 4; k++) round = turned(round, 90);
    expect(JSON.stringify(round)).toBe(JSON.stringify(drawing));
  });

  it('snaps to a corner within reach, else to the grid', () => {
    const { drawing, chosen } = put(EMPTY, 'polygon', [3.2, 4.1], [9, 4], [9, 9]);
    expect(snapped([3.4, 4.4], corners(drawing, null), 1, 0.5)).toEqual([3.2, 4.1]);
    expect(snapped([3.4, 4.4], corners(drawing, chosen), 1, 0.5)).toEqual([3.5, 4.5]);
    expect(snapped([0.3, -0.2], corners(EMPTY, null), 1, 0.5)).toEqual([0, 0]);
  });

  it('undoes and does again step by step, and a new step ends what could be done again', () => {
    let history = began(EMPTY);
    const first = put(EMPTY, 'box', [1, 1]);
    history = done(history, first.drawing);
    history = done(history, changed(first.drawing, first.chosen, { height_m: 9 }));
    history = undone(history);
    expect(history.now.document.solids[0]?.height_m).toBe(4);
    history = redone(history);
    expect(history.now.document.solids[0]?.height_m).toBe(9);
    history = undone(undone(undone(history)));
    expect(history.now).toBe(EMPTY);
    history = done(history, put(EMPTY, 'cylinder', [0, 0]).drawing);
    expect(redone(history)).toEqual(history);
    expect(done(history, history.now)).toBe(history);
  });

  it('says nothing of the ground once its last spot is gone', () => {
    const { drawing, chosen } = put(EMPTY, 'spot', [10, 0]);
    expect(drawing.document.ground).toEqual({ spots: [{ east_m: 10, north_m: 0, up_m: 0 }] });
    expect(removed(drawing, chosen).document.ground).toBeUndefined();
  });
});
