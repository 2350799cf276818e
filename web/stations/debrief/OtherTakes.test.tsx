import { screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { aTake } from '~/testing/records';
import { OtherTakes } from './OtherTakes';

afterEach(() => vi.unstubAllGlobals());

const shown = (takes: Schemas['Take'][]) => {
  answer({
    'GET /shots/5/comparison': {
      body: {
        best: takes[0]?.id ?? null,
        reason: 'Take 2 is ahead by 9 points.',
        takes: takes.map((take, i) => ({ name: `Take ${takes.length - i}`, take })),
      },
    },
  });
  draw(<OtherTakes take={{ ...aTake({ id: 2 }), shot_id: 5 } as Schemas['TakeDetail']} />);
};

describe('the other takes of a shot', () => {
  it('stand in order, with why the first is best', async () => {
    shown([aTake({ id: 1, score: 91 }), aTake({ id: 2, score: 82 })]);
    expect(await screen.findByText('Take 2 is ahead by 9 points.')).toBeTruthy();
    expect(screen.getAllByRole('link').map((link) => link.getAttribute('href'))).toEqual([
      '/debrief/1',
      '/debrief/2',
    ]);
    expect(screen.getByRole('link', { current: 'page' }).textContent).toContain('Take 1, this one');
  });

  it('say which one no hand flew', async () => {
    shown([aTake({ id: 1, automated: true } as Partial<Schemas['Take']>), aTake({ id: 2 })]);
    expect(await screen.findByText(/Take 2, automated/)).toBeTruthy();
  });

  it('are not spoken of where there is one', async () => {
    shown([aTake({ id: 2 })]);
    await new Promise((done) => setTimeout(done, 20));
    expect(screen.queryByText(/Against your other takes/)).toBeNull();
  });
});
