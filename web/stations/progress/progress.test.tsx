import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { TakeRow } from '~/pictures/TakeRow';
import { answer, draw, giveSize } from '~/testing/page';
import { aTake } from '~/testing/records';
import { BandPicture } from './BandPicture';
import { ClassRoom } from './ClassRoom';
import { LadderPicture, type Rung } from './LadderPicture';
import { StepCard } from './StepCard';

beforeAll(() => giveSize(1000, 300));

describe('a row of the logbook', () => {
  it('leads to the debrief, with score, when, which way and verdict', () => {
    draw(<TakeRow take={aTake()} showOperator={false} />);
    const link = screen.getByRole('link');
    expect(link.getAttribute('href')).toBe('/debrief/7');
    expect(link.textContent).toContain('84');
    expect(link.textContent).toContain('clockwise');
    expect(link.textContent).toContain('keep');
    expect(link.textContent).not.toContain('Tobias');
  });

  it('names the operator for the trainer, and counts comments', () => {
    draw(<TakeRow take={aTake({ comments: 1, automated: true })} showOperator />);
    expect(screen.getByRole('link').textContent).toContain('Tobias Renn');
    expect(screen.getByRole('link').textContent).toContain('one comment');
    expect(screen.getByRole('link').textContent).toContain('flown by automation');
  });

  it('shows what was decided in place of what was advised', () => {
    draw(<TakeRow take={aTake({ verdict: 'again', decision: 'keep' })} showOperator={false} />);
    expect(screen.getByText('kept')).toBeTruthy();
    expect(screen.queryByText('fly again')).toBeNull();
  });
});

const at = (k: number) => new Date(Date.UTC(2026, 9, 1 + k)).toISOString();
const standing = (change: Partial<Schemas['Standing']> = {}): Schemas['Standing'] => ({
  id: 'tilt',
  name: 'tilt',
  mean: 72,
  sure: 5,
  takes: 3,
  heading: 'still',
  going: 'standing still',
  stuck: true,
  change: 0.4,
  change_sure: 4,
  over_days: 40,
  band: [0, 1, 2].map((k) => ({ at: at(k), mean: 70 + k, sure: 6 })),
  ...change,
});
const dot = (k: number, marks: Record<string, number>): Schemas['ProgressTake'] => ({
  id: k,
  at: at(k),
  move: 'tilt',
  uncertainty: 1,
  marks,
});

describe('a standing', () => {
  it('draws its band and the takes that say something of it, higher ones higher', () => {
    const { container } = draw(
      <BandPicture
        standing={standing()}
        takes={[dot(0, { tilt: 40 }), dot(1, { score: 60 }), dot(2, { tilt: 95 })]}
      />,
    );
    const circles = [...container.querySelectorAll('circle')];
    expect(circles).toHaveLength(2);
    expect(Number(circles[0]?.getAttribute('cy'))).toBeGreaterThan(Number(circles[1]?.getAttribute('cy')));
    expect(screen.getByRole('img').getAttribute('aria-label')).toContain(
      'now 72, give or take 5, standing still',
    );
  });

  it('draws one take, or none, without falling over', () => {
    const one = draw(
      <BandPicture
        standing={standing({ band: [{ at: at(0), mean: 70, sure: 9 }] })}
        takes={[dot(0, { tilt: 70 })]}
      />,
    );
    expect(one.container.innerHTML).not.toContain('NaN');
    const none = draw(<BandPicture standing={standing({ band: [] })} takes={[]} />);
    expect(none.container.innerHTML).not.toContain('NaN');
  });
});

const rung = (id: string, rank: number, needs: string[], state: Rung['state']): Rung => ({
  id,
  name: id,
  rank,
  needs,
  state,
  stateName: state,
  share: 0.5,
});

describe('the ladder', () => {
  it('stands on what needs nothing, and draws a line for every need', () => {
    const choose = vi.fn();
    const { container } = draw(
      <LadderPicture
        steps={[
          rung('hover', 0, [], 'settled'),
          rung('orbit', 2, ['pan'], 'closed'),
          rung('pan', 1, ['hover'], 'open'),
        ]}
        chosen="pan"
        onChoose={choose}
      />,
    );
    const top = (id: string) =>
      Number.parseFloat(container.querySelector(`[data-step=${id}]`)?.closest('li')?.style.top ?? '');
    expect(top('hover')).toBeGreaterThan(top('pan'));
    expect(top('pan')).toBeGreaterThan(top('orbit'));
    expect(container.querySelectorAll('svg[width="1000"] path')).toHaveLength(2);
    fireEvent.click(screen.getByRole('button', { name: /orbit/ }));
    expect(choose).toHaveBeenCalledWith('orbit');
  });

  const step = (change: Partial<Schemas['Step']> = {}): Schemas['Step'] => ({
    id: 'close',
    name: 'Close to an object',
    level: 4,
    rank: 3,
    needs: [],
    moves: [{ id: 'close-to-object', name: 'Close to an object' }],
    state: 'in-work',
    state_name: 'in work',
    passed: false,
    lacks: true,
    share: 0.5,
    missing: ['A trainer signs it off.'],
    counting: [4, 9],
    due: null,
    is_due: false,
    supervised: true,
    supervisor: '',
    word: false,
    own_word: true,
    sign_off: true,
    signed_on: null,
    overruled: false,
    ...change,
  });
  const ladder: Schemas['Ladder'] = {
    operator: { id: 2, name: 'Tobias Renn' },
    version: 0,
    steps: [],
    said: [],
  };

  it('lets the operator say their word and nothing else', () => {
    draw(<StepCard step={step()} ladder={ladder} />, { id: 2, role: 'operator' });
    expect(screen.getByRole('button', { name: 'It feels settled' })).toBeTruthy();
    expect(screen.queryByRole('button', { name: /sign off/i })).toBeNull();
    expect(screen.getByText(/Never alone/)).toBeTruthy();
  });

  it('asks a trainer for a reason where the evidence is not enough', async () => {
    const asked = answer({ 'POST /ladder/steps/close/sayings': { body: ladder } });
    draw(<StepCard step={step()} ladder={ladder} />, { id: 1, role: 'trainer', name: 'Ines Calloway' });
    expect(screen.queryByRole('button', { name: 'It feels settled' })).toBeNull();
    const reason = screen.getByLabelText('Why it is signed off all the same');
    expect((reason as HTMLInputElement).required).toBe(true);
    fireEvent.change(reason, { target: { value: 'Seen in the hall' } });
    fireEvent.click(screen.getByRole('button', { name: 'Overrule, and sign off' }));
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toEqual({
      operator: 2,
      kind: 'sign-off',
      text: 'Seen in the hall',
      overrule: true,
    });
  });

  it('shows a viewer what is said, and no button', () => {
    draw(<StepCard step={step()} ladder={ladder} />, { id: 3, role: 'viewer' });
    expect(screen.queryAllByRole('button')).toHaveLength(0);
  });
});

describe('the class', () => {
  it('says why somebody needs the trainer, and marks what is stuck in words', async () => {
    answer({
      'GET /class': {
        body: {
          rows: [
            {
              operator: { id: 2, name: 'Tobias Renn' },
              need: 4,
              why: ['Stuck: tilt, for 40 days.'],
              last_flown: at(3),
              passed: 1,
              standings: { tilt: standing() },
              states: { hover: 'signed', orbit: 'closed' },
            },
          ],
          steps: [
            { id: 'hover', name: 'Hover', rank: 0, passed: 1 },
            { id: 'orbit', name: 'Orbit', rank: 4, passed: 0 },
          ],
          common: [],
          pairs: [],
          cohorts: [],
        } satisfies Schemas['Group'],
      },
    });
    const open = vi.fn();
    draw(<ClassRoom onOpen={open} />, { role: 'trainer' });
    expect(await screen.findByText(/Stuck: tilt, for 40 days/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'tilt: 72 give or take 5, stuck, 3 takes' }));
    expect(open).toHaveBeenCalledWith('standing', 2);
    expect(screen.getByRole('button', { name: /1 of 2 steps passed/ })).toBeTruthy();
  });
});
