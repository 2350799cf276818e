// What a session is for: what is next is offered, what was said today is kept, and yesterday's is asked again.
import { act, screen } from '@testing-library/react';
import { afterEach, describe, expect, it } from 'vitest';
import { answer, draw } from '~/testing/page';
import { usePurpose } from './usePurpose';

const today = { next: { said: [{ title: 'Your tilt' }] } };

let say: (purpose: string) => void = () => {};

function Shown() {
  const [purpose, setPurpose] = usePurpose();
  say = setPurpose;
  return <p>for: {purpose}</p>;
}

afterEach(() => localStorage.clear());

describe('what a session is for', () => {
  it('is what is next, until somebody says otherwise, and is kept for the day', async () => {
    answer({ 'GET /today': { body: today } });
    const { unmount } = draw(<Shown />, { id: 2 });
    expect(await screen.findByText('for: Your tilt')).toBeTruthy();
    act(() => say('Softer stops'));
    expect(screen.getByText('for: Softer stops')).toBeTruthy();
    unmount();
    draw(<Shown />, { id: 2 });
    expect(screen.getByText('for: Softer stops')).toBeTruthy();
  });

  it('is nobody else’s, and not yesterday’s', async () => {
    answer({ 'GET /today': { body: today } });
    localStorage.setItem('larkspur:purpose:2', JSON.stringify({ day: '2020-01-01', text: 'Old' }));
    localStorage.setItem(
      'larkspur:purpose:3',
      JSON.stringify({ day: new Date().toLocaleDateString('sv'), text: 'Theirs' }),
    );
    draw(<Shown />, { id: 2 });
    expect(await screen.findByText('for: Your tilt')).toBeTruthy();
  });

  it('is asked of whoever has nothing before them', async () => {
    answer({ 'GET /today': { body: { next: null } } });
    draw(<Shown />, { id: 2 });
    expect(await screen.findByText('for:')).toBeTruthy();
  });
});
