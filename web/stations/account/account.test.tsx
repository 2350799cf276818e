import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { answer, draw } from '~/testing/page';
import AccountPage from './AccountPage';
import { kindOf } from './SignedIn';

const quiet = {
  'GET /account': {
    body: {
      second_factor: false,
      second_factor_wanted: false,
      spare_codes: 0,
      weekly_mail: true,
      calendar_link: false,
    },
  },
  'GET /account/sign-ins': { body: [] },
  'GET /account/copies': { body: [] },
  'GET /tokens': { body: [] },
};
const refusal = (place: string, message: string) => ({
  status: 422,
  body: {
    type: 'urn:x',
    title: 'No',
    status: 422,
    detail: message,
    errors: [{ place, message, expected: '' }],
  },
});
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('what is sent to oneself', () => {
  it('is a mail that can be switched off', async () => {
    const asked = answer({ ...quiet, 'PATCH /me': { body: {} } });
    draw(<AccountPage />);
    fireEvent.click(await screen.findByLabelText(/A mail on Monday mornings/));
    await waitFor(() =>
      expect(asked.find((one) => one.method === 'PATCH')?.body).toEqual({ weekly_mail: false }),
    );
  });

  it('is a calendar whose link is shown once and can be closed', async () => {
    const open = { second_factor: false, second_factor_wanted: false, spare_codes: 0, weekly_mail: true };
    const asked = answer({
      ...quiet,
      'GET /account': { body: { ...open, calendar_link: true } },
      'POST /account/calendar': { status: 201, body: { link: 'http://127.0.0.1:8710/calendar/abc.ics' } },
      'DELETE /account/calendar': { status: 204, body: null },
    });
    draw(<AccountPage />);
    fireEvent.click(await screen.findByRole('button', { name: /Make another link/ }));
    expect(await screen.findByText('http://127.0.0.1:8710/calendar/abc.ics')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Close the link' }));
    await waitFor(() => expect(screen.queryByText(/abc\.ics/)).toBeNull());
    expect(asked.some((one) => one.method === 'DELETE')).toBe(true);
  });
});

describe('one’s own account', () => {
  it('sets up a second factor: key, code, and what to keep for a lost device', async () => {
    const asked = answer({
      ...quiet,
      'GET /me': { body: {} },
      'POST /account/second-factor': { status: 201, body: { key: 'ABCDEFGH', uri: 'otpauth://totp/x' } },
      'PUT /account/second-factor': { body: { codes: ['aaaaa-bbbbb', 'ccccc-ddddd'] } },
    });
    draw(<AccountPage />);
    fireEvent.change(await screen.findByLabelText('Your password'), { target: { value: 'moor-and-wind' } });
    fireEvent.click(screen.getByRole('button', { name: 'Set one up' }));
    expect(await screen.findByText('ABCD EFGH')).toBeTruthy();
    type('The six digits that it shows', '123456');
    fireEvent.click(screen.getByRole('button', { name: 'Turn it on' }));
    expect(await screen.findByText('aaaaa-bbbbb')).toBeTruthy();
    expect(asked.find((one) => one.method === 'PUT')?.body).toEqual({ code: '123456' });
  });

  it('says a wrong password at its field, and nothing is lost of what was typed', async () => {
    answer({ ...quiet, 'PUT /account/password': refusal('current', 'This is not your password.') });
    draw(<AccountPage />);
    await screen.findByText('Password');
    type('The one you have', 'wrong');
    type(/A new one/, 'gannets over the sound');
    fireEvent.click(screen.getByRole('button', { name: 'Change it' }));
    expect(await screen.findByText('This is not your password.')).toBeTruthy();
    expect((screen.getByLabelText(/A new one/) as HTMLInputElement).value).toBe('gannets over the sound');
  });

  it('shows only the way to a second factor while the school waits for one', async () => {
    answer({
      ...quiet,
      'GET /account': {
        body: {
          second_factor: false,
          second_factor_wanted: true,
          spare_codes: 0,
          weekly_mail: true,
          calendar_link: false,
        },
      },
    });
    draw(<AccountPage />, { second_factor_due: true });
    expect(await screen.findByRole('button', { name: 'Set one up' })).toBeTruthy();
    expect(screen.queryByText('Tokens for scripts')).toBeNull();
  });

  it('ends a place where one is signed in, but not this one', async () => {
    const place = (id: number, current: boolean) => ({
      id,
      address: '10.0.0.9',
      agent: 'Mozilla/5.0 (Linux; Android 14)',
      since: '2026-11-29T10:00:00Z',
      seen: '2026-11-29T11:00:00Z',
      current,
    });
    const asked = answer({
      ...quiet,
      'GET /account/sign-ins': { body: [place(1, true), place(2, false)] },
      'DELETE /account/sign-ins/2': { body: null },
    });
    draw(<AccountPage />);
    const buttons = await screen.findAllByRole('button', { name: 'End it' });
    expect(buttons).toHaveLength(1);
    fireEvent.click(buttons[0] as HTMLElement);
    await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
  });

  it('shows the secret of a token once', async () => {
    answer({
      ...quiet,
      'POST /tokens': {
        status: 201,
        body: { secret: '7|abc', token: { id: 7, name: 'nightly', scope: 'read', until: null, used: null } },
      },
    });
    draw(<AccountPage />);
    fireEvent.change(await screen.findByLabelText('What it is for'), { target: { value: 'nightly' } });
    fireEvent.click(screen.getByRole('button', { name: 'Make it' }));
    expect(await screen.findByText('7|abc')).toBeTruthy();
  });
});

it('names a browser as a person would', () => {
  expect(kindOf('Mozilla/5.0 (Linux; Android 14)')).toBe('A browser on an Android device');
  expect(kindOf('Mozilla/5.0 (X11; Linux x86_64)')).toBe('A browser on Linux');
  expect(kindOf('curl/8')).toBe('curl/8');
  expect(kindOf('')).toBe('A browser');
});
