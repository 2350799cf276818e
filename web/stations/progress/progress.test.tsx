import { screen } from '@testing-library/react';
import { beforeAll, describe, expect, it } from 'vitest';
import type { Schemas } from '~/api/client';
import { TakeRow } from '~/pictures/TakeRow';
import { draw, giveSize } from '~/testing/page';
import { aTake } from '~/testing/records';
import { Trend } from './Trend';

beforeAll(() => giveSize(1000, 150));

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

describe('the trend', () => {
  const trend = (operator: string, scores: number[], from = 0): Schemas['Trend'] => ({
    operator,
    points: scores.map((score, i) => ({
      take: 100 * from + i,
      flown_at: new Date(Date.UTC(2026, 9, 1 + i, 10 + from)).toISOString(),
      score,
      uncertainty: 1,
      median: i < 4 ? null : score,
    })),
  });

  it('draws a dot for every take and a line from the fifth on', () => {
    const { container } = draw(<Trend trends={[trend('Tobias Renn', [70, 72, 71, 75, 80, 84])]} />);
    expect(container.querySelectorAll('circle')).toHaveLength(6);
    const line = container.querySelector('path[stroke="var(--larkspur)"]')?.getAttribute('d') ?? '';
    expect(line.match(/[ML]/g)).toHaveLength(2);
    expect(screen.getByRole('img').getAttribute('aria-label')).toBe('Scores of 6 takes over time');
  });

  it('names the operators of a class at the ends of their lines, and a single one not', () => {
    const class_ = [trend('Tobias Renn', [70, 72, 71, 75, 80]), trend('Juno Varga', [90, 92, 91, 95, 96], 1)];
    const { container } = draw(<Trend trends={class_} />);
    expect(container.textContent).toContain('Tobias');
    expect(container.textContent).toContain('Juno');
    document.body.innerHTML = '';
    expect(draw(<Trend trends={[class_[0] as Schemas['Trend']]} />).container.textContent).not.toContain(
      'Tobias',
    );
  });

  it('draws an empty one without falling over', () => {
    const { container } = draw(<Trend trends={[]} />);
    expect(container.querySelectorAll('circle')).toHaveLength(0);
    expect(container.innerHTML).not.toContain('NaN');
  });

  it('puts better takes higher', () => {
    const { container } = draw(<Trend trends={[trend('Tobias Renn', [40, 95])]} />);
    const [low, high] = [...container.querySelectorAll('circle')].map((dot) =>
      Number(dot.getAttribute('cy')),
    );
    expect(low).toBeGreaterThan(high ?? 0);
  });
});
