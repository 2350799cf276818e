// The draft of a shot as the page holds it, and how handles on the sheets change it.
import type { Schemas } from '~/api/client';
import type { Draft } from './usePlan';

export type Values = Record<string, number | string>;

export function draftOf(shot: Schemas['Shot'], changes: Values = {}): Draft {
  return {
    site_id: shot.site_id,
    rig_id: shot.rig_id,
    mode: shot.mode,
    move: shot.move,
    subject_id: shot.subject_id,
    subject_at: shot.subject_at,
    aim: shot.intent.aim ?? null,
    join: shot.intent.join,
    parts: shot.intent.parts,
    parameters: { ...(shot.intent.parameters as Values), ...changes },
    wind: shot.wind,
    brief: shot.brief,
  };
}

export function newDraft(site: Schemas['Site'], rig: Schemas['Rig'], move: string): Draft {
  return {
    site_id: site.id,
    rig_id: rig.id,
    mode: 'standard',
    move,
    subject_id: site.subjects[0]?.id ?? null,
    parameters: {},
    ...partsOf(move),
    wind: { from_deg: 0, mean_mps: 0, gust_mps: 0 },
  };
}

export function withValues(draft: Draft, values: Values): Draft {
  return { ...draft, parameters: { ...(draft.parameters as Values), ...values } };
}

/** What a combination begins with; nothing for any other move. */
function partsOf(move: string): Pick<Draft, 'join' | 'parts'> {
  return move === 'combination'
    ? {
        join: 'sequence',
        parts: [
          { move: 'orbit', parameters: { arc_deg: 90 } },
          { move: 'pull-away', parameters: {} },
        ],
      }
    : {};
}

/**
 * Another move of the same subject: it starts from the same side and as far away; the rest suits the craft anew.
 * @param own ids of the parameters that the other move has
 */
export function withMove(draft: Draft, move: string, own: string[]): Draft {
  const values = draft.parameters as Values;
  const away = values.radius_m ?? values.distance_m;
  const parameters: Values = {};
  const keep = (id: string, value: number | string | undefined) => {
    if (value !== undefined && own.includes(id)) parameters[id] = value;
  };
  keep('start_bearing_deg', values.start_bearing_deg);
  keep(own.includes('radius_m') ? 'radius_m' : 'distance_m', away);
  return { ...draft, move, parameters, join: undefined, parts: undefined, ...partsOf(move) };
}

/** Direction of an offset over the ground, degrees clockwise from north. */
export const bearing = (east: number, north: number) =>
  ((Math.atan2(east, north) * 180) / Math.PI + 360) % 360;

/** Dragging the start point sets its distance and bearing; the move itself is the server's to work out. */
export function startAt(
  subject: { east_m: number; north_m: number },
  east: number,
  north: number,
  to: number,
  away: 'radius_m' | 'distance_m' = 'radius_m',
): Values {
  const e = east - subject.east_m;
  const n = north - subject.north_m;
  return {
    [away]: rounded(Math.max(2, Math.min(500, Math.hypot(e, n))), to),
    start_bearing_deg: rounded(bearing(e, n), 1),
  };
}

/** Dragging the end point sets the arc, keeping whole turns that are already there. */
export function endAt(
  subject: { east_m: number; north_m: number },
  values: Values,
  east: number,
  north: number,
): Values {
  const way = values.direction === 'counterclockwise' ? -1 : 1;
  const raw =
    way * (bearing(east - subject.east_m, north - subject.north_m) - Number(values.start_bearing_deg ?? 0));
  const arc = ((raw % 360) + 360) % 360;
  const before = Number(values.arc_deg ?? 180);
  const turns = Math.round((before - arc) / 360);
  return { arc_deg: Math.max(10, Math.min(1080, rounded(arc + 360 * turns, 1))) };
}

/** Dragging the end of a straight way sets how long it is. */
export function lengthTo(start: { east_m: number; north_m: number }, east: number, north: number): Values {
  return { length_m: Math.max(1, rounded(Math.hypot(east - start.east_m, north - start.north_m), 0.5)) };
}

export function rounded(value: number, step: number): number {
  return Math.round(value / step) * step;
}
