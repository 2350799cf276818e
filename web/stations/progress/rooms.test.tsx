import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { aTake } from '~/testing/records';
import { CohortsCard } from './CohortsCard';
import { DailyGoal } from './DailyGoal';
import { HouseRoom } from './HouseRoom';
import { KeptFilters } from './KeptFilters';
import { LadderOrder } from './LadderOrder';
import { LadderRoom } from './LadderRoom';
import { LessonsRoom } from './LessonsRoom';
import { LogbookRoom } from './LogbookRoom';
import ProgressStation from './ProgressStation';
import { StandingRoom } from './StandingRoom';

beforeEach(() => giveSize(1000, 300));
afterEach(() => vi.unstubAllGlobals());

const moves = [
  { id: 'pan', name: 'Pan in place' },
  { id: 'tilt', name: 'Tilt in place' },
] as Schemas['Move'][];
const class_ = [
  { id: 2, name: 'Tobias Renn' },
  { id: 4, name: 'Juno Varga' },
];
const TRAINER = { id: 1, role: 'trainer' as const, name: 'Ines Calloway' };

const lesson = (change: Partial<Schemas['GivenLesson']> = {}): Schemas['GivenLesson'] => ({
  id: 5,
  version: 3,
  title: 'Stops',
  purpose: 'End so softly that nobody sees it.',
  author: 'Ines Calloway',
  steps: [
    { kind: 'read', move: '', move_name: null, shot_id: null, passes: 1, note: '' },
    { kind: 'fly', move: 'pan', move_name: 'Pan in place', shot_id: null, passes: 3, note: 'slowly' },
  ],
  minutes: 40,
  batteries: 1,
  wanted_on: '2026-12-04',
  members: [
    { operator: { id: 2, name: 'Tobias Renn' }, have: [0, 1], want: [1, 3], done: false, comment: '' },
    {
      operator: { id: 4, name: 'Juno Varga' },
      have: [1, 3],
      want: [1, 3],
      done: true,
      comment: 'With gloves too.',
    },
  ],
  ...change,
});

describe('lessons', () => {
  it('show a trainer how far each is, and what came back', async () => {
    answer({ 'GET /lessons': { body: [lesson()] } });
    draw(<LessonsRoom />, TRAINER);
    expect(await screen.findByText('End so softly that nobody sees it.')).toBeTruthy();
    expect(screen.getByText(/about 40 min, one battery/)).toBeTruthy();
    expect(screen.getByText('1 of 3')).toBeTruthy();
    expect(screen.getAllByText('done')).toHaveLength(2);
    expect(screen.getByText(/With gloves too/)).toBeTruthy();
    expect(screen.queryByText('A word to your trainer')).toBeNull();
  });

  it('are answered by whoever has them: what nobody can measure is ticked', async () => {
    const own = lesson({ members: [lesson().members[0] as Schemas['GivenLessonMember']] });
    const asked = answer({ 'GET /lessons': { body: [own] }, 'PUT /lessons/5/mine': { body: own } });
    draw(<LessonsRoom />, { id: 2, role: 'operator' });
    expect(screen.queryByRole('button', { name: 'Set a lesson' })).toBeNull();
    // Only reading is ticked; flying is counted.
    fireEvent.click(await screen.findByRole('checkbox'));
    fireEvent.change(screen.getByLabelText('A word to your trainer'), { target: { value: 'Read.' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    expect(await screen.findByText('Kept.')).toBeTruthy();
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ ticked: [0], comment: 'Read.' });
  });

  it('are set with a purpose, steps and those they are for', async () => {
    const asked = answer({
      'GET /lessons': { body: [] },
      'GET /moves': { body: moves },
      'GET /operators': { body: class_ },
      'POST /lessons': { body: lesson(), status: 201 },
    });
    draw(<LessonsRoom />, TRAINER);
    expect(await screen.findByText(/One has a purpose/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Set a lesson' }));
    const give = screen.getByRole('button', { name: 'Give it' });
    expect((give as HTMLButtonElement).disabled).toBe(true);
    fireEvent.change(screen.getByLabelText(/What it is for/), { target: { value: 'Stop on the mark.' } });
    fireEvent.change(screen.getByLabelText('Title'), { target: { value: 'Pans' } });
    fireEvent.click(screen.getByRole('button', { name: 'Another step' }));
    fireEvent.click(screen.getByRole('button', { name: 'Leave out step 1' }));
    fireEvent.click(await screen.findByLabelText('Juno Varga'));
    fireEvent.click(give);
    await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      title: 'Pans',
      purpose: 'Stop on the mark.',
      steps: [{ kind: 'practise', move: 'orbit', shot_id: null, passes: 3, note: '' }],
      minutes: null,
      batteries: null,
      wanted_on: null,
      operators: [4],
    });
  });

  it('are changed over the version that was seen, with everyone they were given to', async () => {
    const asked = answer({
      'GET /lessons': { body: [lesson()] },
      'GET /moves': { body: moves },
      'GET /operators': { body: class_ },
      'PUT /lessons/5': {
        status: 409,
        body: {
          type: 'urn:larkspur:problem:saved-first',
          title: 'Somebody saved first',
          status: 409,
          detail: 'Somebody else has changed this lesson meanwhile.',
          errors: [],
        },
      },
    });
    draw(<LessonsRoom />, TRAINER);
    fireEvent.click(await screen.findByRole('button', { name: 'Change it' }));
    fireEvent.click(screen.getByRole('button', { name: 'Keep the change' }));
    expect(await screen.findByText(/has changed this lesson meanwhile/)).toBeTruthy();
    const sent = asked.find((one) => one.method === 'PUT')?.body as Schemas['LessonForm'];
    expect([sent.version, sent.operators]).toEqual([3, [2, 4]]);
    // What was typed is still there.
    expect((screen.getByLabelText('Title') as HTMLInputElement).value).toBe('Stops');
  });
});

const logbook = (change: Partial<Schemas['Logbook']> = {}): Schemas['Logbook'] => ({
  operator: { id: 2, name: 'Tobias Renn' },
  totals: {
    takes: 9,
    by_hand: 6,
    practised: 2,
    automated: 1,
    taken_min: 12.4,
    practised_min: 3.2,
    clockwise: 4,
    counterclockwise: 1,
    slow: 3,
    days: 5,
    moves: 3,
    entries: 1,
    entered_min: 18,
    batteries: 1,
  },
  months: [{ month: '2026-11', takes: 9, automated: 1, practised: 2 }],
  entries: [
    {
      id: 8,
      flown_at: '2026-11-20T12:00:00Z',
      minutes: 18,
      batteries: 1,
      craft: 'Lapwing 250',
      place: '',
      text: 'The card was full.',
    },
  ],
  goal_min: 6,
  awaited: [],
  days: [
    { date: '2026-11-27', minutes: 0 },
    { date: '2026-11-28', minutes: 6.5 },
    { date: '2026-11-29', minutes: 2 },
  ],
  ...change,
});

describe('the logbook', () => {
  const served = () =>
    answer({
      'GET /takes': { body: { takes: [aTake()], next: null } },
      'GET /moves': { body: moves },
      'GET /logbook': { body: logbook() },
      'GET /kept-filters': { body: [] },
      'GET /crafts': { body: [{ id: 4, name: 'Lapwing 250' }] },
      'GET /sites': { body: [{ id: 1, name: 'Standing stones' }] },
      'POST /own-entries': { body: logbook().entries[0], status: 201 },
    });

  it('names the passes that await their logs, on the clock of their site', async () => {
    const pass = { day_id: 5, day: 'At the stones', shot: 'Seven stones', by: 'Tobias Renn', zone: 'UTC' };
    served();
    answer({
      'GET /takes': { body: { takes: [], next: null } },
      'GET /moves': { body: moves },
      'GET /kept-filters': { body: [] },
      'GET /crafts': { body: [] },
      'GET /sites': { body: [] },
      'GET /logbook': {
        body: logbook({
          awaited: [{ ...pass, number: 3, verdict: 'again', note: 'bird', at: '2026-11-20T12:04:00Z' }],
        }),
      },
    });
    draw(<LogbookRoom operator={undefined} />, { id: 2, role: 'operator' });
    const list = (await screen.findByText('Awaiting its log')).closest('section') as HTMLElement;
    expect(list.textContent).toContain('Seven stones, pass 3, again, bird');
    expect(list.textContent).toContain('12:04, Tobias Renn');
    expect(within(list).getByRole('link').getAttribute('href')).toBe('/plan/days/5');
  });

  it('adds up by hand, in Fly and by automation apart', async () => {
    served();
    draw(<LogbookRoom operator={undefined} />, { id: 2, role: 'operator' });
    expect(await screen.findByText('4 / 1')).toBeTruthy();
    expect(screen.getByRole('img', { name: '6 by hand, 2 in Fly, 1 by automation' })).toBeTruthy();
    expect(screen.getByText(/The card was full/)).toBeTruthy();
    expect(screen.getByRole('link', { name: /CSV/ }).getAttribute('href')).toBe(
      '/api/v1/logbook/file?as=csv&operator=2',
    );
    expect(screen.getByText('6 min reached on 1 of the latest 3 days.')).toBeTruthy();
  });

  it('asks for a stretch of time, and says so where nothing is like that', async () => {
    const asked = answer({
      'GET /takes': { body: { takes: [], next: null } },
      'GET /moves': { body: moves },
      'GET /logbook': { body: logbook() },
      'GET /kept-filters': { body: [] },
      'GET /crafts': { body: [{ id: 4, name: 'Lapwing 250' }] },
      'GET /sites': { body: [{ id: 1, name: 'Standing stones' }] },
    });
    draw(<LogbookRoom operator={undefined} />, { id: 2, role: 'operator' });
    expect(await screen.findByText(/No take yet/)).toBeTruthy();
    fireEvent.change(screen.getByLabelText('From'), { target: { value: '2026-11-01' } });
    expect(await screen.findByText(/No take is like that/)).toBeTruthy();
    expect(asked.some((one) => one.path.includes('from=2026-11-01'))).toBe(true);
  });

  it('takes a flight without a log, and only one’s own', async () => {
    const asked = served();
    draw(<LogbookRoom operator={undefined} />, { id: 2, role: 'operator' });
    fireEvent.click(await screen.findByRole('button', { name: 'Write one down' }));
    fireEvent.change(screen.getByLabelText('Day'), { target: { value: '2026-11-21' } });
    fireEvent.change(screen.getByLabelText('Minutes in the air'), { target: { value: '0' } });
    // Its own button, not that of the goal.
    fireEvent.submit(screen.getByLabelText('Minutes in the air').closest('form') as HTMLFormElement);
    await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
    expect(asked.find((one) => one.method === 'POST')?.body).toMatchObject({ minutes: 0, batteries: 0 });
  });

  it('of somebody else has no way to write in it', async () => {
    served();
    draw(<LogbookRoom operator={2} />, TRAINER);
    expect(await screen.findByText(/The card was full/)).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Write one down' })).toBeNull();
    expect(screen.queryByRole('button', { name: /Remove/ })).toBeNull();
  });
});

describe('what is looked for again and again', () => {
  const kept = [{ id: 3, name: 'Slow pans', filter: { move: 'pan', mode: 'slow' } }];

  it('is chosen by its name, let go, and kept under another', async () => {
    const asked = answer({
      'GET /kept-filters': { body: kept },
      'POST /kept-filters': { status: 201, body: kept[0] },
      'DELETE /kept-filters/3': { status: 204, body: null },
    });
    const onChoose = vi.fn();
    draw(<KeptFilters now={{ flown: 'hand' }} onChoose={onChoose} />);
    fireEvent.click(await screen.findByRole('button', { name: 'Slow pans' }));
    expect(onChoose).toHaveBeenCalledWith({ move: 'pan', mode: 'slow' });
    fireEvent.click(screen.getByRole('button', { name: 'Keep what I look for' }));
    fireEvent.change(screen.getByLabelText('Under the name'), { target: { value: ' By hand ' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      name: 'By hand',
      filter: { flown: 'hand' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Let go of Slow pans' }));
    await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
  });

  it('is pressed where it is what is looked for, and a second press looks for all', async () => {
    answer({ 'GET /kept-filters': { body: kept } });
    const onChoose = vi.fn();
    draw(<KeptFilters now={{ mode: 'slow', move: 'pan' }} onChoose={onChoose} />);
    const one = await screen.findByRole('button', { name: 'Slow pans', pressed: true });
    expect(screen.queryByRole('button', { name: 'Keep what I look for' })).toBeNull();
    fireEvent.click(one);
    expect(onChoose).toHaveBeenCalledWith({});
  });
});

describe('a goal for each day', () => {
  it('is set by its operator alone, and can be none', async () => {
    const asked = answer({ 'PATCH /me': { body: {} } });
    draw(<DailyGoal logbook={logbook()} />, { id: 2, role: 'operator' });
    fireEvent.change(screen.getByLabelText(/Minutes a day/), { target: { value: '' } });
    fireEvent.click(screen.getByRole('button', { name: 'Keep' }));
    await waitFor(() => expect(asked[0]?.body).toEqual({ goal_min: null }));
  });

  it('of somebody else is seen, not set; without one the days with practice are counted', () => {
    draw(<DailyGoal logbook={logbook({ goal_min: null })} />, TRAINER);
    expect(screen.getByText('Practised on 2 of the latest 3 days.')).toBeTruthy();
    expect(screen.queryByLabelText(/Minutes a day/)).toBeNull();
  });
});

describe('two cohorts', () => {
  const measure = (change: Partial<Schemas['CohortMeasure']>): Schemas['CohortMeasure'] => ({
    id: 'score',
    name: 'Score',
    mean: 82.4,
    counted: 4,
    other_mean: 71,
    other_counted: 4,
    difference: 11.4,
    low: 2.1,
    high: 20.7,
    said: 'The first is ahead, by 2.1 to 20.7 points.',
    ...change,
  });

  it('are compared with what may be said, and nothing is drawn of what can’t be', async () => {
    const asked = answer({
      'GET /class/cohorts': {
        body: {
          one: 'Gorse',
          people: 4,
          other: 'Heather',
          others: 4,
          measures: [
            measure({}),
            measure({
              id: 'tilt',
              name: 'wheel',
              mean: null,
              counted: 0,
              difference: null,
              low: null,
              high: null,
              said: 'Too few to compare.',
            }),
          ],
        } satisfies Schemas['Cohorts'],
      },
    });
    draw(<CohortsCard cohorts={['Gorse', 'Heather']} />, TRAINER);
    expect(await screen.findByText('The first is ahead, by 2.1 to 20.7 points.')).toBeTruthy();
    expect(screen.getByText('82 (4)')).toBeTruthy();
    expect(screen.getByText('Too few to compare.')).toBeTruthy();
    expect(screen.getAllByRole('img')).toHaveLength(1);
    expect(asked[0]?.path).toContain('one=Gorse&other=Heather');
  });
});

const style = (change: Partial<Schemas['HouseStyle']> = {}): Schemas['HouseStyle'] => ({
  school: { automation: 'hand', slow: true, passes: 3, most_gust_mps: 8, house: 'middle' },
  operator: null,
  otherwise: false,
  disputes: [
    { id: 'automation', one: 'By hand.', other: 'Welcome.', here: 'Told of.', chosen_at: 'automation' },
    { id: 'middle', one: 'In the middle.', other: 'Beside it.', here: 'The aim.', chosen_at: 'shot' },
    { id: 'jib', one: 'Up.', other: 'Sideways.', here: 'Not used.', chosen_at: 'settled' },
  ],
  ...change,
});

describe('house style', () => {
  it('lets a trainer choose, and leads to where else it is chosen', async () => {
    const asked = answer({ 'GET /house-style': { body: style() }, 'PUT /house-style': { body: style() } });
    draw(<HouseRoom operator={undefined} />, TRAINER);
    fireEvent.click(await screen.findByRole('radio', { name: 'welcome' }));
    await waitFor(() => expect(asked.some((one) => one.method === 'PUT')).toBe(true));
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ automation: 'welcome' });
    expect(screen.getByRole('link', { name: 'each shot, in Plan' }).getAttribute('href')).toBe('/plan');
    expect(screen.getByText('Not used.')).toBeTruthy();
  });

  it('shows an operator what is held, and no way to change it', async () => {
    answer({ 'GET /house-style': { body: style() } });
    draw(<HouseRoom operator={undefined} />, { id: 2, role: 'operator' });
    expect(await screen.findByText('Here: by hand.')).toBeTruthy();
    expect(screen.queryByRole('radio')).toBeNull();
  });

  it('tells where something is held otherwise for one, and takes it back', async () => {
    const held = { ...style().school, automation: 'welcome' as const };
    const asked = answer({
      'GET /house-style': { body: style({ operator: held, otherwise: true }) },
      'PUT /house-style': { body: style() },
    });
    draw(<HouseRoom operator={2} />, TRAINER);
    expect((await screen.findByRole('radio', { name: 'welcome' })).getAttribute('data-state')).toBe('on');
    fireEvent.click(screen.getByRole('button', { name: 'Hold it as the school does' }));
    await waitFor(() => expect(asked.some((one) => one.method === 'PUT')).toBe(true));
    const put = asked.find((one) => one.method === 'PUT');
    expect([put?.path, put?.body]).toEqual(['/house-style?operator=2', { as_school: true }]);
  });
});

const criterion: Schemas['LadderCriterion'] = {
  score: 80,
  facets: {},
  passes: 3,
  of: 4,
  days: 2,
  both_ways: false,
  slow_too: false,
  two_distances: false,
  without: [],
  kind: 'real',
  own_word: true,
  sign_off: false,
};
const step = (id: string, needs: string[] = []): Schemas['LadderSheet']['steps'][number] => ({
  id,
  title: '',
  moves: [id],
  level: 1,
  needs,
  criterion,
  supervised: false,
});
const ours: Schemas['SchoolLadder'] = {
  version: 2,
  document: { steps: [step('pan'), step('tilt', ['pan'])] },
  names: { pan: 'Look round' },
  versions: [{ version: 2, author: 'Ines Calloway', reason: 'Softer', at: '2026-11-02T10:00:00Z' }],
  orders: ['foundation', 'axes', 'controls'],
};

describe('our ladder', () => {
  const opened = async (more: Parameters<typeof answer>[0] = {}) => {
    const asked = answer({ 'GET /school/ladder': { body: ours }, 'GET /moves': { body: moves }, ...more });
    draw(<LadderOrder />, TRAINER);
    await screen.findByText('Version 2');
    return asked;
  };

  it('is kept with a reason and over the version that was seen', async () => {
    const asked = await opened({ 'PUT /school/ladder': { body: ours } });
    const keep = screen.getByRole('button', { name: 'Keep the ladder' }) as HTMLButtonElement;
    fireEvent.change(screen.getByLabelText('At least'), { target: { value: '85' } });
    expect(screen.getByText('changed, not kept')).toBeTruthy();
    expect(keep.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Why it is changed'), { target: { value: 'Harder' } });
    fireEvent.click(keep);
    await waitFor(() => expect(asked.some((one) => one.method === 'PUT')).toBe(true));
    const sent = asked.find((one) => one.method === 'PUT')?.body as Schemas['LadderForm'];
    expect([sent.version, sent.reason, sent.document.steps[0]?.criterion.score]).toEqual([2, 'Harder', 85]);
  });

  it('says what a change would do before it is kept', async () => {
    await opened({
      'POST /school/ladder/effects': {
        body: [
          {
            operator: { id: 2, name: 'Tobias Renn' },
            step: 'Look round',
            from: 'signed off',
            to: null,
            signed: true,
          },
        ] satisfies Schemas['LadderEffect'][],
      },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Take it off the ladder' }));
    // What needed it needs it no more.
    expect(screen.getByText('Before it: nothing')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'What would change' }));
    expect(await screen.findByText(/not on the ladder; the sign-off stays on record/)).toBeTruthy();
  });

  it('gets a step of the school’s own, under a name of its own', async () => {
    await opened();
    fireEvent.change(screen.getByLabelText('A new step, called'), { target: { value: 'Pan' } });
    fireEvent.click(screen.getByRole('button', { name: 'Add it' }));
    const added = screen.getByRole('button', { pressed: true });
    expect(added.dataset.step).toBe('pan-2');
    expect(within(added).getByText('Pan')).toBeTruthy();
  });

  it('goes back to what is kept', async () => {
    await opened();
    fireEvent.click(screen.getByLabelText('in the slow mode too'));
    fireEvent.click(screen.getByRole('button', { name: 'Back to what is kept' }));
    expect(screen.queryByText('changed, not kept')).toBeNull();
  });
});

describe('the station', () => {
  it('opens a class for its trainer, who has to choose whose ladder it is', async () => {
    answer({
      'GET /operators': { body: class_ },
      'GET /class': {
        body: { rows: [], steps: [], common: [], pairs: [], cohorts: [] } satisfies Schemas['Group'],
      },
    });
    draw(<ProgressStation />, TRAINER);
    expect(await screen.findByText(/No operator yet/)).toBeTruthy();
    fireEvent.click(screen.getByRole('radio', { name: 'Ladder' }));
    expect(await screen.findByRole('combobox', { name: 'Whose' })).toBeTruthy();
  });

  it('gives an operator no room that is the trainer’s', async () => {
    answer({
      'GET /ladder': {
        body: {
          operator: { id: 2, name: 'Tobias Renn' },
          version: 0,
          steps: [],
          said: [],
        } satisfies Schemas['Ladder'],
      },
    });
    draw(<ProgressStation />, { id: 2, role: 'operator' });
    expect(await screen.findByText('0 of 0 steps passed')).toBeTruthy();
    const rooms = screen.getAllByRole('radio').map((one) => one.textContent);
    expect(rooms).toEqual(['Ladder', 'Standing', 'Logbook', 'Lessons', 'House style']);
  });

  it('says what is missing where there is no take, and leads from a ladder to paper', async () => {
    answer({
      'GET /progress': {
        body: {
          operator: { id: 2, name: 'Tobias Renn' },
          score: null,
          petals: [],
          fingers: [],
          moves: [],
          takes: [],
        } satisfies Schemas['Progress'],
      },
      'GET /ladder': {
        body: {
          operator: { id: 2, name: 'Tobias Renn' },
          version: 0,
          steps: [],
          said: [],
        } satisfies Schemas['Ladder'],
      },
    });
    draw(<StandingRoom operator={undefined} />, { id: 2, role: 'operator' });
    expect(await screen.findByText(/nothing can be said/)).toBeTruthy();
    draw(<LadderRoom operator={2} />, TRAINER);
    const paper = await screen.findByRole('link', { name: /on paper/ });
    expect(paper.getAttribute('href')).toBe('/api/v1/ladder/certificate?operator=2');
  });
});
