// Records as the API gives them, for unit tests: whole ones, of which a test changes what it is about.
import type { Schemas } from '~/api/client';

export const facets: Schemas['Facets'] = { ease: 92, flow: 74, hold: 88, line: 97, frame: 90 };

export function aTake(change: Partial<Schemas['Take']> = {}): Schemas['Take'] {
  return {
    id: 7,
    operator: { id: 2, name: 'Tobias Renn' },
    shot_id: 3,
    title: 'Seven stones, clockwise',
    move: 'orbit',
    mode: 'standard',
    direction: 'clockwise',
    flown_at: '2026-11-14T10:20:00Z',
    zone: 'UTC',
    from_s: 3.1,
    to_s: 28.4,
    score: 84.4,
    uncertainty: 1.2,
    facets,
    verdict: 'keep',
    usable_s: 14.2,
    decision: null,
    automated: false,
    comments: 0,
    practised: null,
    ...change,
  };
}

export function aFault(change: Partial<Schemas['Fault']> = {}): Schemas['Fault'] {
  return {
    id: 'kick',
    name: 'Kick',
    axis: 'turn',
    t_s: 12.3,
    until_s: change.t_s ?? 12.3,
    worst_s: change.t_s ?? 12.3,
    size: 41.2,
    unit: 'deg/s2',
    severity: 'clear',
    cost: 4.1,
    picture: 'The subject jumps 5 % of the frame.',
    try: 'Move that finger as if through honey.',
    cause: 'unknown',
    finger: 'turn',
    side: null,
    ...change,
  };
}

export function judgedFacets(scores: Partial<Schemas['Facets']> = {}): Schemas['JudgedFacets'] {
  const facet = (name: string, score: number | null): Schemas['JudgedFacets']['ease'] => ({
    name,
    score,
    why: `Why ${name} is as it is.`,
    figures: [
      {
        id: `${name.toLowerCase()}_one`,
        label: `${name} measured`,
        value: 1.25,
        unit: 's',
        textbook: 2.1,
        unusable: 0.3,
        score: score ?? 0,
        source: 'positions',
      },
    ],
  });
  const all = { ...facets, ...scores };
  return {
    ease: facet('Ease', all.ease),
    flow: facet('Flow', all.flow),
    hold: facet('Hold', all.hold),
    line: facet('Line', all.line),
    frame: facet('Frame', all.frame),
  };
}

export function aUser(change: Partial<Schemas['User']> = {}): Schemas['User'] {
  return {
    id: 2,
    name: 'Tobias Renn',
    email: 'tobias@skerrow.example',
    role: 'operator',
    school: 'Skerrow Field School',
    crop_budget: 0.15,
    comfort: { least: 0.25, most: 0.65 },
    house: 'middle',
    school_house: 'middle',
    stick_mode: 2,
    wheel_up: 'push',
    theme: 'light',
    demo: false,
    second_factor_due: false,
    units: 'metric',
    ...change,
  };
}
