import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { answer, draw } from '~/testing/page';
import SchoolPage from './SchoolPage';

const member = (id: number, name: string, role: string, more = {}) => ({
  id,
  name,
  email: `${name.toLowerCase()}@skerrow.example`,
  role,
  disabled: false,
  second_factor: false,
  ...more,
});
const replies = {
  'GET /people': { body: [member(1, 'Ines', 'trainer'), member(2, 'Tobias', 'operator')] },
  'GET /invitations': { body: [] },
  'GET /school': {
    body: {
      name: 'Tern Rock',
      zone: 'UTC',
      units: 'metric',
      second_factor: false,
      demo: false,
      demo_beside: false,
    },
  },
  'GET /trail': {
    body: {
      steps: [{ id: 9, at: '2026-11-29T10:00:00Z', who: 'Ines', did: 'signed in', address: '10.0.0.9' }],
      before: null,
    },
  },
};

describe('a school and its people', () => {
  it('is no business of operators', () => {
    answer(replies);
    draw(<SchoolPage />);
    expect(screen.queryByText('People')).toBeNull();
  });

  it('shuts somebody out, and says why it may not be', async () => {
    const asked = answer({
      ...replies,
      'PUT /people/1': {
        status: 422,
        body: {
          type: 'x',
          title: 'No',
          status: 422,
          detail: 'Nobody would run the school any more.',
          errors: [
            {
              place: 'role',
              message: 'Nobody would run the school any more.',
              expected: 'another trainer first',
            },
          ],
        },
      },
    });
    draw(<SchoolPage />, { role: 'trainer' });
    const row = (await screen.findByText('Ines')).closest('li') as HTMLElement;
    fireEvent.click(within(row).getByRole('button', { name: 'Shut out' }));
    expect(
      await screen.findByText(/Nobody would run the school any more\. Expected another trainer first/),
    ).toBeTruthy();
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ disabled: true });
  });

  it('shows the link of an invitation, once', async () => {
    answer({
      ...replies,
      'POST /invitations': {
        status: 201,
        body: {
          id: 3,
          email: 'runa@ternrock.example',
          role: 'operator',
          until: '2026-12-13T00:00:00Z',
          link: 'https://x/invitation/abc',
        },
      },
    });
    draw(<SchoolPage />, { role: 'trainer' });
    fireEvent.change(await screen.findByLabelText('Their mail address'), {
      target: { value: 'runa@ternrock.example' },
    });
    fireEvent.click(screen.getByRole('button', { name: 'Make a link' }));
    expect(await screen.findByText('https://x/invitation/abc')).toBeTruthy();
    expect(screen.getByText(/Ines signed in/)).toBeTruthy();
  });

  it('puts the demo school beside, and says with which password', async () => {
    const asked = answer({
      ...replies,
      'POST /demo-school': {
        status: 202,
        body: { trainer: 'ines@x', operator: 'tobias@x', password: 'abc-def' },
      },
    });
    draw(<SchoolPage />, { role: 'trainer' });
    fireEvent.click(await screen.findByRole('button', { name: 'Put it beside' }));
    expect(await screen.findByText(/both with abc-def/)).toBeTruthy();
    await waitFor(() => expect(asked.filter((one) => one.method === 'POST')).toHaveLength(1));
  });
});
