import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { answer, draw } from '~/testing/page';
import { aUser } from '~/testing/records';
import Invitation from './Invitation';
import Licences from './Licences';
import SetUp from './SetUp';
import SignIn from './SignIn';

afterEach(() => vi.unstubAllGlobals());

const refusal = (place: string, message: string) => ({
  status: 422,
  body: { type: 'x', title: 'No', status: 422, detail: message, errors: [{ place, message, expected: '' }] },
});
const type = (label: string | RegExp, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });
const empty = { 'GET /first-start': { body: { empty: true, demo_under_way: false } } };

describe('the first start', () => {
  it('sets up a school with what was filled in', async () => {
    const asked = answer({
      ...empty,
      'POST /first-start/school': { status: 201, body: aUser({ role: 'trainer' }) },
    });
    draw(<SetUp />);
    fireEvent.change(await screen.findByLabelText('The code that bin/start printed'), {
      target: { value: 'lantern' },
    });
    type('What the school is called', 'Tern Rock Flyers');
    type(/Time zone/, 'Europe/Oslo');
    fireEvent.click(screen.getByRole('radio', { name: 'Feet, mph' }));
    type('Your name, as its trainer', 'Wilma Strand');
    type('Your mail address', 'wilma@ternrock.example');
    type(/A password/, 'gannets over the sound');
    fireEvent.click(screen.getByRole('button', { name: 'Set it up' }));
    await waitFor(() => expect(asked.some((one) => one.method === 'POST')).toBe(true));
    expect(asked.find((one) => one.method === 'POST')?.body).toEqual({
      code: 'lantern',
      school: 'Tern Rock Flyers',
      zone: 'Europe/Oslo',
      units: 'feet',
      name: 'Wilma Strand',
      email: 'wilma@ternrock.example',
      password: 'gannets over the sound',
    });
  });

  it('says a weak password at its field and keeps the rest', async () => {
    answer({ ...empty, 'POST /first-start/school': refusal('password', 'This repeats a few characters.') });
    draw(<SetUp />);
    fireEvent.change(await screen.findByLabelText('The code that bin/start printed'), {
      target: { value: 'lantern' },
    });
    type('What the school is called', 'Tern Rock Flyers');
    type(/A password/, 'aaaaaaaaaaaaa');
    fireEvent.submit(screen.getByRole('button', { name: 'Set it up' }).closest('form') as HTMLFormElement);
    expect(await screen.findByText('This repeats a few characters.')).toBeTruthy();
    expect((screen.getByLabelText('What the school is called') as HTMLInputElement).value).toBe(
      'Tern Rock Flyers',
    );
  });

  it('shows who signs in to the demo while it is made', async () => {
    answer({
      ...empty,
      'POST /first-start/demo': {
        status: 202,
        body: { trainer: 'ines@x', operator: 'tobias@x', password: 'abc-def' },
      },
    });
    draw(<SetUp />);
    fireEvent.click(await screen.findByRole('radio', { name: 'Look at the demo' }));
    type('The code that bin/start printed', 'lantern');
    fireEvent.click(screen.getByRole('button', { name: 'Look at the demo' }));
    expect(await screen.findByText('abc-def')).toBeTruthy();
    expect(screen.getByText('The demo school is being made')).toBeTruthy();
  });
});

describe('signing in', () => {
  it('asks for the code of a second factor only where there is one', async () => {
    const asked = answer({
      'GET /first-start': { body: { empty: false, demo_under_way: false } },
      'POST /session': refusal('code', 'Give the code that your device shows as well.'),
    });
    draw(<SignIn />);
    expect(screen.queryByLabelText(/second factor/)).toBeNull();
    type('Address', 'tobias@skerrow.example');
    type('Password', 'moor-and-wind');
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    fireEvent.change(await screen.findByLabelText(/second factor/), { target: { value: '123456' } });
    fireEvent.click(screen.getByRole('button', { name: 'Sign in' }));
    await waitFor(() => expect(asked.filter((one) => one.path === '/session')).toHaveLength(2));
    expect(
      asked.filter((one) => one.path === '/session').map((one) => (one.body as { code?: string }).code),
    ).toEqual([undefined, '123456']);
  });
});

describe('the link of an invitation', () => {
  const to = { school: 'Tern Rock', inviter: 'Wilma', email: 'runa@x', role: 'viewer', known: false };
  const out = { status: 401, body: { type: 'x', title: 'Out', status: 401, detail: 'Out.', errors: [] } };

  it('lets somebody new come in with a name and a password', async () => {
    answer({ 'GET /me': out, 'POST /links/invitation': { body: to } });
    draw(<Invitation />);
    expect(await screen.findByText('Wilma invites runa@x as a viewer.')).toBeTruthy();
    expect(screen.getByLabelText('Your name')).toBeTruthy();
  });

  it('sends whoever has an account to sign in first', async () => {
    answer({ 'GET /me': out, 'POST /links/invitation': { body: { ...to, known: true } } });
    draw(<Invitation />);
    expect(await screen.findByRole('link', { name: 'Sign in' })).toBeTruthy();
  });

  it('says what going there with one’s record means', async () => {
    answer({ 'GET /me': { body: aUser() }, 'POST /links/invitation': { body: { ...to, known: true } } });
    draw(<Invitation />);
    expect(await screen.findByText(/Skerrow Field School will not see them any more/)).toBeTruthy();
  });

  it('moves nobody who is there already', async () => {
    answer({ 'GET /me': { body: aUser({ school: 'Tern Rock' }) }, 'POST /links/invitation': { body: to } });
    draw(<Invitation />);
    expect(await screen.findByText(/of this school already/)).toBeTruthy();
    expect(screen.queryByRole('button')).toBeNull();
  });

  it('says that it opens nothing where it was taken', async () => {
    answer({ 'GET /me': out, 'POST /links/invitation': refusal('token', 'This invitation was taken.') });
    draw(<Invitation />);
    expect(await screen.findByText('This invitation was taken.')).toBeTruthy();
  });
});

it('lists what ships, with its licence, and finds in it', async () => {
  vi.stubGlobal('fetch', async () =>
    Response.json([
      { name: 'react', version: '19', kind: 'script', licence: 'MIT', text: 'Permission is granted' },
      { name: 'dompdf/dompdf', version: '2', kind: 'PHP', licence: 'LGPL-2.1', text: '' },
    ]),
  );
  draw(<Licences />);
  expect(await screen.findByText('react 19, script: MIT')).toBeTruthy();
  type('Find', 'lgpl');
  expect(screen.queryByText('react 19, script: MIT')).toBeNull();
  expect(screen.getByText('dompdf/dompdf 2, PHP: LGPL-2.1')).toBeTruthy();
});
