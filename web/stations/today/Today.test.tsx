import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { aTake, facets } from '~/testing/records';
import Today from './Today';

afterEach(() => vi.unstubAllGlobals());

const suggestion = (change: Partial<Schemas['Suggestion']> = {}): Schemas['Suggestion'] => ({
  key: 'stuck tilt tilt',
  kind: 'stuck',
  move: 'tilt',
  activity: 'practise',
  how: 'in Fly, without a craft',
  title: 'Your tilt, in Tilt in place',
  evidence: ['Tilt has stood still at about 72.'],
  cue: 'The last degrees so slowly that nobody sees the stop.',
  shot_id: 3,
  setting: {},
  step: null,
  weight: 66,
  ...change,
});
const next = (change: Partial<Schemas['Next']> = {}): Schemas['Next'] => ({
  place: 'field',
  gust_mps: 4,
  gust_simulated: true,
  light_min: 90,
  battery_min: null,
  grounded: null,
  said: [suggestion()],
  weighed: [suggestion({ key: 'again', title: 'Pan in place', weight: 40, evidence: ['Due again.'] })],
  ...change,
});
const today = (change: Partial<Schemas['Today']> = {}): Schemas['Today'] => ({
  next: next(),
  standing: { takes: 12, score: 81, facets },
  class: [],
  takes: [aTake()],
  shot: null,
  comment: null,
  notices: [],
  ...change,
});
const open = (data: Schemas['Today'], user: Partial<Schemas['User']> = {}) => {
  const asked = answer({
    'GET /today': { body: data },
    'GET /next': { body: data.next },
    'POST /next/declined': { body: null },
  });
  draw(<Today />, user);
  return asked;
};

describe('what came back', () => {
  it('leads to where it stands, and goes when it is seen', async () => {
    const asked = answer({
      'GET /today': {
        body: today({
          notices: [
            {
              said: 'Ines Calloway signed off “Orbit”.',
              at: '2026-11-28T10:00:00Z',
              path: '/progress?room=ladder',
            },
          ],
        }),
      },
      'GET /next': { body: next() },
      'POST /notices/seen': { status: 204, body: null },
    });
    draw(<Today />);
    const link = await screen.findByRole('link', { name: 'Ines Calloway signed off “Orbit”.' });
    expect(link.getAttribute('href')).toBe('/progress?room=ladder');
    fireEvent.click(screen.getByRole('button', { name: 'Seen' }));
    await waitFor(() => expect(asked.some((one) => one.path === '/notices/seen')).toBe(true));
  });
});

describe('the last word on a take', () => {
  const comment = { take_id: 4, at_s: 9.4, text: 'Softer there.', author: 'Ines Calloway' };

  it('is told once: under what came back while it is new, by itself afterwards', async () => {
    open(
      today({
        comment,
        notices: [
          {
            said: 'Ines Calloway on a take of yours: Softer there.',
            at: '2026-11-28T10:00:00Z',
            path: '/debrief/4?at=9.4',
          },
        ],
      }),
    );
    expect(await screen.findByText(/on a take of yours/)).toBeTruthy();
    expect(screen.queryByText('Ines Calloway said')).toBeNull();
  });

  it('stands by itself once it was seen', async () => {
    open(today({ comment }));
    expect(await screen.findByText('Ines Calloway said')).toBeTruthy();
  });
});

describe('today, for an operator', () => {
  it('says what to do, on what evidence, and how, and leads there', async () => {
    open(today());
    expect(await screen.findByRole('heading', { name: 'Your tilt, in Tilt in place' })).toBeTruthy();
    expect(screen.getByText('Tilt has stood still at about 72.')).toBeTruthy();
    expect(screen.getByText(/nobody sees the stop/)).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Practise it' }).getAttribute('href')).toBe('/fly/3?by=sticks');
    expect(screen.getByRole('img', { name: /Where you stand after 12 takes/ })).toBeTruthy();
    expect(screen.getByText('What else was weighed')).toBeTruthy();
  });

  it('says that the weather is simulated, and why nothing is flown', async () => {
    open(today({ next: next({ grounded: 'Too little light is left.', light_min: 0 }) }));
    expect(await screen.findByText(/simulated weather; the sun is down/)).toBeTruthy();
    expect(screen.getByText('Too little light is left.')).toBeTruthy();
  });

  it('leads to the move where there is no shot of it, and turns a plan the other way', async () => {
    open(
      today({
        next: next({
          said: [
            suggestion({ shot_id: null, activity: 'fly' }),
            suggestion({ key: 'way', activity: 'fly', setting: { direction: 'clockwise' } }),
          ],
        }),
      }),
    );
    const links = await screen.findAllByRole('link', { name: /plan/ });
    expect(links.map((link) => link.getAttribute('href'))).toEqual([
      '/plan/moves/tilt',
      '/plan/3?direction=clockwise',
    ]);
  });

  it('takes “not today” for an answer', async () => {
    const asked = open(today());
    fireEvent.click(await screen.findByRole('button', { name: 'Not today' }));
    await waitFor(() => expect(asked.some((one) => one.path.includes('/next/declined'))).toBe(true));
  });

  it('passes on what the trainer said, with its moment', async () => {
    open(today({ comment: { take_id: 7, at_s: 14, text: 'Look at the height.', author: 'Ines Calloway' } }));
    const link = await screen.findByRole('link', { name: 'See it at 0:14.0' });
    expect(link.getAttribute('href')).toBe('/debrief/7?at=14');
  });
});

describe('today, for a trainer', () => {
  it('says who needs them, and why', async () => {
    const member = {
      operator: { id: 2, name: 'Tobias Renn' },
      why: ['Stuck: tilt, for 40 days.'],
      score: 72,
      sure: 5,
    };
    open(today({ next: null, standing: null, class: [member] }), { role: 'trainer', name: 'Ines Calloway' });
    expect(await screen.findByRole('heading', { name: 'Tobias Renn' })).toBeTruthy();
    expect(screen.getByText('Stuck: tilt, for 40 days.')).toBeTruthy();
    expect(screen.getByText('72 ± 5')).toBeTruthy();
  });
});
