import { fireEvent, screen, waitFor } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { answered, api } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { Remove } from './Remove';

const ask = (removed: () => void) => {
  draw(
    <Remove
      what="this day"
      ask={() => answered(api.DELETE('/days/{day}', { params: { path: { day: 7 } } }))}
      words="Its ticks go with it."
      onRemoved={removed}
    />,
  );
  fireEvent.click(screen.getByRole('button', { name: 'Remove this day' }));
};

describe('removing a record', () => {
  it('asks once more, and leaves it where the answer is no', () => {
    const asked = answer({});
    ask(vi.fn());
    expect(screen.getByText('Its ticks go with it.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Leave it' }));
    expect(screen.queryByRole('dialog')).toBeNull();
    expect(asked).toEqual([]);
  });

  it('tells that it is gone only when it is', async () => {
    const removed = vi.fn();
    const asked = answer({ 'DELETE /days/7': { body: null } });
    ask(removed);
    fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    await waitFor(() => expect(removed).toHaveBeenCalledOnce());
    expect(asked.map((one) => one.method)).toEqual(['DELETE']);
  });

  it('says why it stays', async () => {
    const removed = vi.fn();
    answer({
      'DELETE /days/7': {
        status: 422,
        body: { type: '', title: '', status: 422, detail: 'It is used: 3 shots.', errors: [] },
      },
    });
    ask(removed);
    fireEvent.click(screen.getByRole('button', { name: 'Remove' }));
    expect(await screen.findByText(/It is used: 3 shots\./)).toBeTruthy();
    expect(removed).not.toHaveBeenCalled();
  });
});
