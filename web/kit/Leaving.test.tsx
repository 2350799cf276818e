import { fireEvent, screen } from '@testing-library/react';
import { Link, useLocation } from 'react-router';
import { expect, it } from 'vitest';
import { draw } from '~/testing/page';
import { KEPT, Leaving } from './Leaving';

function Page({ dirty }: { dirty: boolean }) {
  const at = useLocation().pathname;
  return (
    <>
      {at === '/' && (
        <Leaving dirty={dirty} what="This drawing" staysAt={(next) => next.search === '?view=side'} />
      )}
      <p>at {at}</p>
      <Link to="/elsewhere">away</Link>
      <Link to="/?view=side">the other view</Link>
      <Link to="/kept" state={KEPT}>
        where it is kept
      </Link>
    </>
  );
}

it('lets go where nothing is lost', () => {
  draw(<Page dirty={false} />);
  fireEvent.click(screen.getByText('away'));
  expect(screen.getByText('at /elsewhere')).toBeTruthy();
});

it('asks where something would be lost, and stays or goes as is said', async () => {
  draw(<Page dirty />);
  fireEvent.click(screen.getByText('away'));
  expect(await screen.findByText(/This drawing is not kept yet/)).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Stay' }));
  expect(screen.getByText('at /')).toBeTruthy();
  fireEvent.click(screen.getByText('away'));
  fireEvent.click(await screen.findByRole('button', { name: 'Leave, and lose it' }));
  expect(await screen.findByText('at /elsewhere')).toBeTruthy();
});

it('asks nothing where the page stays, nor where it goes after it has kept all', () => {
  draw(<Page dirty />);
  fireEvent.click(screen.getByText('the other view'));
  expect(screen.queryByText(/not kept yet/)).toBeNull();
  fireEvent.click(screen.getByText('where it is kept'));
  expect(screen.getByText('at /kept')).toBeTruthy();
});
