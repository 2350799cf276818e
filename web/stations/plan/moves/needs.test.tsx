// What leads to a move, with how far one is with each; a trainer who looks at nobody's work is asked nothing.
import { fireEvent, screen } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw } from '~/testing/page';
import { json, serve } from '~/testing/server';
import { Needs } from './Needs';

const move = (id: string, needs: string[]) =>
  ({ id, name: id, level: 2, needs }) as unknown as Schemas['Move'];
const moves = [move('hover', []), move('square', ['hover']), move('circle', ['square'])];
const step = (id: string, state: string, missing: string[]) => ({
  id,
  moves: [{ id, name: id }],
  state,
  state_name: state,
  share: 0.5,
  missing,
});

afterEach(() => vi.unstubAllGlobals());

describe('what a move needs', () => {
  it('says how far one is with it, with what leads to it, and what follows', async () => {
    serve(() =>
      json({
        steps: [step('hover', 'settled', []), step('square', 'in-work', ['2 more passes at 80 or more.'])],
      }),
    );
    const onChoose = vi.fn();
    draw(<Needs move={moves[1] as Schemas['Move']} moves={moves} onChoose={onChoose} />);
    expect(await screen.findByText('settled')).toBeTruthy();
    expect(screen.getByText('2 more passes at 80 or more.')).toBeTruthy();
    expect(screen.getByText('This one: level 2, in-work.')).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'circle' }));
    expect(onChoose).toHaveBeenCalledWith('circle');
  });

  it('asks for nobody’s ladder where nobody is looked at', async () => {
    const asked = serve(() => json({ steps: [] }));
    draw(<Needs move={moves[0] as Schemas['Move']} moves={moves} onChoose={vi.fn()} />, { role: 'trainer' });
    expect(screen.getByText('Nothing: this is where one begins.')).toBeTruthy();
    expect(asked).toHaveLength(0);
  });
});
