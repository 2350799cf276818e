import { screen, waitFor } from '@testing-library/react';
import { expect, it } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { RunningNotice } from './RunningNotice';

const show = (change: Partial<Schemas['Running']>) => {
  const asked = answer({
    'GET /running': {
      body: { word: 'well', late: false, room: true, workers: 2, stalled: 0, oldest_s: null, ...change },
    },
  });
  draw(<RunningNotice />);
  return asked;
};

it('says nothing while all is well', async () => {
  const asked = show({});
  await waitFor(() => expect(asked).toHaveLength(1));
  expect(screen.queryByRole('alert')).toBeNull();
});

it('says how long logs have been standing', async () => {
  show({ late: true, stalled: 1, oldest_s: 290 });
  expect((await screen.findByRole('alert')).textContent).toContain('under way for 5 min');
});

it('says that nobody reads, rather than that it is slow', async () => {
  show({ late: true, workers: 0, oldest_s: 290 });
  const words = (await screen.findByRole('alert')).textContent;
  expect(words).toContain('Nothing reads logs');
  expect(words).not.toContain('longer than');
});

it('says that the disk is full', async () => {
  show({ room: false });
  expect((await screen.findByRole('alert')).textContent).toContain('disk is full');
});
