import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { aTake, facets } from '~/testing/records';
import Today from './Today';

afterEach(() => vi.unstubAllGlobals());

const advice: Schemas['Advice'] = {
  kind: 'mend-facet',
  title: 'Work on Flow',
  reason: 'In your last 3 takes Flow is the shortest petal.',
  facet: 'flow',
  cue: 'Rest the tips of your thumbs on the sticks.',
  change: {},
  evidence: {},
  typical: { takes: 3, score: 81, facets },
};
const today = (change: Partial<Schemas['Today']> = {}): Schemas['Today'] => ({
  advice,
  class: [],
  takes: [aTake()],
  shot: { id: 3, title: 'Seven stones' } as Schemas['Shot'],
  comment: null,
  ...change,
});
const open = (data: Schemas['Today'], user: Partial<Schemas['User']> = {}) => {
  answer({ 'GET /today': { body: data } });
  draw(<Today />, user);
};

describe('today, for an operator', () => {
  it('says what to do, why, and how, and leads there', async () => {
    open(today());
    expect(await screen.findByRole('heading', { name: 'Work on Flow' })).toBeTruthy();
    expect(screen.getByText(advice.reason)).toBeTruthy();
    expect(screen.getByText(advice.cue ?? '')).toBeTruthy();
    const fly = screen.getByRole('link', { name: 'Fly “Seven stones” again' });
    expect(fly.getAttribute('href')).toBe('/fly/3');
    expect(screen.getByRole('img', { name: /flow the shortest/ })).toBeTruthy();
  });

  it('opens the plan with what should change', async () => {
    open(today({ advice: { ...advice, change: { radius_m: 17.5, direction: 'clockwise' } } }));
    const plan = await screen.findByRole('link', { name: 'Plan that' });
    expect(plan.getAttribute('href')).toBe('/plan/3?radius_m=17.5&direction=clockwise');
  });

  it('begins with a plan where there is no shot yet', async () => {
    open(today({ shot: null, takes: [], advice: { ...advice, typical: null } }));
    const plan = await screen.findByRole('link', { name: 'Plan your first shot' });
    expect(plan.getAttribute('href')).toBe('/plan');
    expect(screen.getByText(/No take yet/)).toBeTruthy();
  });

  it('passes on what the trainer said, with its moment', async () => {
    open(today({ comment: { take_id: 7, at_s: 14, text: 'Look at the height.', author: 'Ines Calloway' } }));
    const link = await screen.findByRole('link', { name: 'See it at 0:14.0' });
    expect(link.getAttribute('href')).toBe('/debrief/7?at=14');
  });
});

describe('today, for a trainer', () => {
  it('gives every operator’s advice with its reason', async () => {
    const member = { operator: { id: 2, name: 'Tobias Renn' }, advice };
    open(today({ advice: null, class: [member] }), { role: 'trainer', name: 'Ines Calloway' });
    expect(await screen.findByRole('heading', { name: 'Tobias Renn: Work on Flow' })).toBeTruthy();
    expect(screen.getByRole('link', { name: /Seven stones, clockwise/ }).textContent).toContain(
      'Tobias Renn',
    );
  });
});
