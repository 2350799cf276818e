import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { aFault, aTake, judgedFacets } from '~/testing/records';
import { AsPlanned } from './AsPlanned';
import { Comments } from './Comments';
import { Facets } from './Facets';
import { Faults } from './Faults';
import { Points } from './Points';

beforeAll(() => giveSize(400, 300));
afterEach(() => vi.unstubAllGlobals());

function aDetail(
  facets = judgedFacets(),
  said: Schemas['Comment'][] = [],
  change: Partial<Schemas['Take']> = {},
): Schemas['TakeDetail'] {
  return { ...aTake(change), judgement: { facets }, said } as unknown as Schemas['TakeDetail'];
}

describe('facets', () => {
  it('shows all five with their scores, and says so of one that could not be judged', () => {
    draw(<Facets take={aDetail(judgedFacets({ frame: null }))}>verdict</Facets>);
    const rows = screen.getAllByRole('button');
    expect(rows.map((row) => row.textContent)).toEqual(['Ease92', 'Flow74', 'Hold88', 'Line97', 'Frame–']);
  });

  it('opens one to its figures beside their anchors, and closes it again', () => {
    draw(<Facets take={aDetail()}>verdict</Facets>);
    const flow = screen.getByRole('button', { name: /Flow/ });
    expect(screen.queryByText('Why Flow is as it is.')).toBeNull();
    fireEvent.click(flow);
    expect(screen.getByText('Why Flow is as it is.')).toBeTruthy();
    const cells = within(screen.getByRole('table')).getAllByRole('cell');
    expect(cells.map((cell) => cell.textContent)).toEqual(['Flow measured (s)', '1.3', '2.1', '0.30']);
    expect(flow.getAttribute('aria-expanded')).toBe('true');
    fireEvent.click(flow);
    expect(screen.queryByText('Why Flow is as it is.')).toBeNull();
  });
});

describe('faults', () => {
  const moved = vi.fn();
  const show = (faults: Schemas['Fault'][], facets = judgedFacets()) =>
    draw(<Faults faults={faults} facets={facets} move="orbit" time={0} onTime={moved} />);

  it('says what happened, when, how bad, what it did to the picture and what to try', () => {
    show([aFault()]);
    const text = screen.getByRole('button').textContent;
    expect(text).toContain('0:12.3');
    expect(text).toContain('Kick on turn, clear: 41 °/s²');
    expect(text).toContain('The subject jumps 5 % of the frame.');
    expect(text).toContain('as if through honey');
  });

  it('takes every picture to the moment of the fault', () => {
    show([aFault({ t_s: 17.4 })]);
    fireEvent.click(screen.getByRole('button'));
    expect(moved).toHaveBeenCalledWith(17.4);
  });

  it('goes to where it is worst, and says how long it lasts and to which side it went', () => {
    show([aFault({ id: 'off-mark', axis: 'picture', t_s: 10, until_s: 16.5, worst_s: 14.2, side: 'left' })]);
    const button = screen.getByRole('button');
    expect(button.textContent).toContain('0:14.2');
    expect(button.textContent).toContain('to the left');
    expect(button.textContent).toContain('from 0:10.0 to 0:16.5');
    fireEvent.click(button);
    expect(moved).toHaveBeenCalledWith(14.2);
  });

  it('says what it cost, and nothing of a cost that there was not', () => {
    show([aFault({ cost: 4.12 })]);
    expect(screen.getByRole('button').textContent).toContain('costs 4.1');
    document.body.innerHTML = '';
    show([aFault({ cost: 0 })]);
    expect(screen.getByRole('button').textContent).not.toContain('costs');
  });

  it('shows five at most', () => {
    show(Array.from({ length: 8 }, (_, i) => aFault({ t_s: i, id: 'kick' })));
    expect(screen.getAllByRole('listitem')).toHaveLength(5);
  });

  it('names the short petal where no single fault is to blame, and else says nothing bad', () => {
    show([]);
    expect(screen.getByText(/Flow is the short petal/)).toBeTruthy();
    document.body.innerHTML = '';
    show([], judgedFacets({ ease: 96, flow: 95, hold: 97, line: 98, frame: 96 }));
    expect(screen.getByText(/Nothing worth naming/)).toBeTruthy();
  });
});

describe('comments', () => {
  const said: Schemas['Comment'][] = [
    { id: 1, author: 'Ines Calloway', at_s: 14, text: 'Softer here.', said_at: '2026-11-14T12:00:00Z' },
  ];
  const moved = vi.fn();
  const props = { time: 9.25, onTime: moved, saying: true, setSaying: vi.fn() };

  it('gives the operator what was said and no way to say more', () => {
    draw(<Comments take={aDetail(judgedFacets(), said)} {...props} />);
    expect(screen.queryByRole('textbox')).toBeNull();
    fireEvent.click(screen.getByText('Softer here.', { exact: false }));
    expect(moved).toHaveBeenCalledWith(14);
  });

  it('shows the operator nothing where nothing was said', () => {
    const { container } = draw(<Comments take={aDetail()} {...props} />);
    expect(container.textContent).toBe('');
  });

  it('says a trainer’s words at the moment that is shown', async () => {
    const asked = answer({ 'POST /takes/7/comments': { status: 201, body: said[0] } });
    draw(<Comments take={aDetail()} {...props} />, { role: 'trainer' });
    const button = screen.getByRole('button', { name: 'Say it' });
    expect((button as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Wait for the slide.' } });
    fireEvent.click(button);
    await waitFor(() => expect(props.setSaying).toHaveBeenCalledWith(false));
    expect(asked[0]?.body).toEqual({ at_s: 9.25, text: 'Wait for the slide.' });
  });

  it('keeps the words where they could not be said, and says why', async () => {
    const problem = { type: 'urn:x', title: 'No', status: 422, detail: 'Too long.', errors: [] };
    answer({ 'POST /takes/7/comments': { status: 422, body: problem } });
    draw(<Comments take={aDetail()} {...props} />, { role: 'trainer' });
    fireEvent.change(screen.getByRole('textbox'), { target: { value: 'Words' } });
    fireEvent.click(screen.getByRole('button', { name: 'Say it' }));
    await screen.findByText(/Too long/);
    expect((screen.getByRole('textbox') as HTMLTextAreaElement).value).toBe('Words');
  });
});

describe('planned and flown', () => {
  const radius = {
    id: 'radius',
    label: 'Radius',
    planned: 21,
    flown: 52,
    unit: 'm',
    tolerance: 2.9,
    score: 0,
    given: true,
    off: '52 m round instead of 21 m',
  };
  const pace = {
    ...radius,
    id: 'pace',
    label: 'Pace',
    planned: 2.3,
    flown: 2.4,
    unit: 'm/s',
    score: 100,
    off: null,
  };
  const way = { ...pace, id: 'direction', label: 'Way round', planned: 1, flown: -1, unit: '' };

  it('shows what differs, and all of the plan when asked', () => {
    draw(<AsPlanned plan={{ verdict: 'another-shot', match: 12, figures: [radius, pace, way] }} />);
    expect(screen.getByText('Another shot than planned')).toBeTruthy();
    expect(screen.getAllByRole('row').map((row) => row.textContent)).toEqual([
      'WhatPlannedFlown',
      'Radius21\u00a0m52\u00a0m',
    ]);
    fireEvent.click(screen.getByRole('button', { name: 'All 3 of the plan' }));
    expect(screen.getAllByRole('row')).toHaveLength(4);
    expect(screen.getByText('clockwise')).toBeTruthy();
  });

  it('says of what was left open that it was', () => {
    draw(
      <AsPlanned
        plan={{
          verdict: 'as-planned',
          match: 100,
          figures: [{ ...pace, planned: null, given: false, score: null }],
        }}
      />,
    );
    expect(screen.getByText('(left open)')).toBeTruthy();
  });

  it('lets trainers choose how near is near, and others see it', async () => {
    const tolerances = {
      place_percent: 10,
      length_percent: 12,
      arc_percent: 10,
      heading_deg: 8,
      course_deg: 6,
      across_deg: 10,
      tilt_deg: 6,
      pace_percent: 30,
      frame_percent: 8,
    };
    const judging = {
      crop_budget_percent: 15,
      tolerances,
      ordinary_crop_budget_percent: 15,
      ordinary: tolerances,
    };
    const tight = { ...judging, tolerances: { ...tolerances, heading_deg: 3 } };
    const asked = answer({ 'GET /judging': { body: judging }, 'PUT /judging': { body: tight } });
    const plan = { verdict: 'near' as const, match: 70, figures: [radius] };
    const first = draw(<AsPlanned plan={plan} />, { role: 'trainer' });
    fireEvent.click(screen.getByRole('button', { name: 'How near is near' }));
    const heading = await screen.findByRole('textbox', { name: /^Heading/ });
    const keep = screen.getByRole('button', { name: 'The school judges so from now on' });
    expect(keep).toHaveProperty('disabled', true);
    fireEvent.focus(heading);
    fireEvent.change(heading, { target: { value: '3' } });
    fireEvent.blur(heading);
    fireEvent.click(keep);
    await screen.findByText('Kept.');
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({
      crop_budget_percent: 15,
      tolerances: tight.tolerances,
    });
    first.unmount();
    draw(<AsPlanned plan={plan} />, { role: 'operator' });
    fireEvent.click(screen.getByRole('button', { name: 'How near is near' }));
    expect(await screen.findByText('Your trainers choose them.')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'The school judges so from now on' })).toBeNull();
  });

  it('says so where there was no plan', () => {
    draw(<AsPlanned plan={null} />);
    expect(screen.getByText(/There was no plan/)).toBeTruthy();
  });
});

describe('how the points add up', () => {
  const loss = {
    part: 'smooth',
    fault: 'kick',
    t_s: 12.3,
    name: 'Kick',
    petal: 'flow' as const,
    points: 7.4,
  };
  const judged = {
    score: 90.1,
    facets: judgedFacets(),
    judged: ['ease', 'flow', 'hold', 'line'],
    losses: [
      loss,
      { ...loss, part: 'path', fault: null, t_s: null, name: 'The path', petal: 'line', points: 2.3 },
      { ...loss, part: 'ease', fault: null, t_s: null, name: 'Starts', points: 0.2 },
    ],
    thirds: { start: 91.2, middle: 88, end: 40.4 },
    finish: {
      score: 61,
      figures: [
        { id: 'slide', label: 'the subject slides while braking by', value: 4.2, unit: '% of frame' },
      ],
    },
  } as unknown as Schemas['Score'];

  it('leads from a hundred to the score, and from a loss to its moment', () => {
    const moved = vi.fn();
    draw(<Points judged={judged} onTime={moved} />);
    const rows = screen.getAllByRole('row').map((row) => row.textContent);
    expect(rows[0]).toBe('All there is100.0');
    expect(rows[1]).toBe('Kick, 0:12.3 (Flow)\u22127.4');
    expect(rows.at(-2)).toBe('Small things together\u22120.2');
    expect(rows.at(-1)).toBe('This take, on four petals90.1');
    fireEvent.click(screen.getByRole('button', { name: /Kick/ }));
    expect(moved).toHaveBeenCalledWith(12.3);
  });

  it('tells start, middle and end apart, and how it came to rest', () => {
    draw(<Points judged={judged} onTime={() => {}} />);
    expect(screen.getByText('40')).toBeTruthy();
    expect(screen.getByText(/slides while braking by 4.2/)).toBeTruthy();
  });

  it('is silent where an earlier method did not say', () => {
    const { container } = draw(<Points judged={{ ...judged, losses: [] }} onTime={() => {}} />);
    expect(container.textContent).toBe('');
  });
});
