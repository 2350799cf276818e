// The draft of a shot as the page holds it, and every way in which the page changes it.
import type { Schemas } from '~/api/client';

export type Draft = Schemas['PlanDraft'];

export type Values = Record<string, number | string>;

export type Change =
  /** Parameters of the move; those of a part of a combination as "parts.1.pace_mps". */
  | { kind: 'values'; values: Values }
  /** Another move; own are the ids of its parameters. */
  | { kind: 'move'; move: string; own: string[] }
  | { kind: 'variant'; variant: Schemas['Variant'] }
  /** The place of a subject of one's own. */
  | { kind: 'place'; place: Partial<Schemas['OwnPlace']> }
  | { kind: 'wind'; wind: Partial<Schemas['Wind']> }
  /** Whatever else is chosen: site, rig, mode, subject, aim, parts, brief. */
  | { kind: 'put'; put: Partial<Draft> };

const STILL = { from_deg: 0, mean_mps: 0, gust_mps: 0 };

export function changed(draft: Draft, change: Change): Draft {
  switch (change.kind) {
    case 'values':
      return withValues(draft, change.values);
    case 'move':
      return withMove(draft, change.move, change.own);
    case 'variant':
      return withVariant(draft, change.variant);
    case 'place':
      return { ...draft, subject_at: { east_m: 0, north_m: 0, ...draft.subject_at, ...change.place } };
    case 'wind':
      return { ...draft, wind: { ...STILL, ...draft.wind, ...change.wind } };
    case 'put':
      return { ...draft, ...change.put };
  }
}

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
    wind: STILL,
  };
}

function withValues(draft: Draft, values: Values): Draft {
  const parameters: Values = { ...(draft.parameters as Values) };
  const parts = draft.parts?.map((part) => ({ ...part, parameters: { ...part.parameters } }));
  for (const [id, value] of Object.entries(values)) {
    const named = id.match(/^parts\.(\d)\.(.+)$/);
    const part = named && parts?.[Number(named[1])];
    if (named?.[2] !== undefined && part) part.parameters[named[2]] = value;
    else parameters[id] = value;
  }
  return { ...draft, parameters, ...(parts ? { parts } : {}) };
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

/** Another move of the same subject: it starts from the same side and as far away; the rest suits the craft anew. */
function withMove(draft: Draft, move: string, own: string[]): Draft {
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

function withVariant(draft: Draft, variant: Schemas['Variant']): Draft {
  const same = variant.move === draft.move && variant.parts === null;
  return {
    ...draft,
    move: variant.move,
    parameters: {
      ...(same ? (draft.parameters as Values) : {}),
      ...(variant.parameters as Values),
    },
    join: variant.join ?? undefined,
    parts: variant.parts ?? undefined,
  };
}
