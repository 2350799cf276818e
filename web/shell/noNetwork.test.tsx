// What is shown where there is no network: what needs it, what is safe, and the day that goes on without.
import { render, screen } from '@testing-library/react';
import { createMemoryRouter, RouterProvider } from 'react-router';
import { afterEach, describe, expect, it } from 'vitest';
import { Problem } from '~/api/client';
import { keepLatestField } from '~/kit/latestField';
import { Broken } from './Broken';

function Thrower({ error }: { error: unknown }): never {
  throw error;
}

const broken = (error: unknown) => {
  render(
    <RouterProvider
      router={createMemoryRouter([
        { path: '/', element: <Thrower error={error} />, errorElement: <Broken /> },
      ])}
    />,
  );
};

afterEach(() => localStorage.clear());

describe('without a network', () => {
  it('says what needs it and leads to the day that goes on', async () => {
    keepLatestField(7);
    broken(Problem.offline());
    expect(await screen.findByText('No network here')).toBeTruthy();
    expect(screen.getByRole('link', { name: 'Open the day in the field' }).getAttribute('href')).toBe(
      '/field/7',
    );
  });

  it('offers no day where none was open here', async () => {
    broken(Problem.offline());
    expect(await screen.findByText('No network here')).toBeTruthy();
    expect(screen.queryByRole('link', { name: 'Open the day in the field' })).toBeNull();
  });

  it('leaves every other trouble its own words', async () => {
    broken(Problem.unclear(502));
    expect(
      await screen.findByText('The server gave no clear answer. Nothing was lost; try again.'),
    ).toBeTruthy();
  });
});
