// Moves joined into one, and from a wanted picture to where the lens must be.
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { Combine } from './Combine';
import { changed as after, type Draft } from './draft';
import { FrameIt } from './FrameIt';

beforeEach(() => giveSize(320, 40));
afterEach(() => vi.unstubAllGlobals());

const moves = ['orbit', 'rise', 'pan'].map(
  (id) => ({ id, name: id, group: 'toward', group_words: 'Goes toward it' }) as Schemas['Move'],
);
const draft = (parts: string[], join: Draft['join'] = 'sequence') =>
  ({ parts: parts.map((move) => ({ move, parameters: {} })), join }) as unknown as Draft;

describe('a combination', () => {
  const shown = (parts: string[], plan: Schemas['Plan'] | null = null) => {
    const change = vi.fn();
    draw(<Combine draft={draft(parts)} plan={plan} change={change} moves={moves} />);
    const changed = (): Draft => after(draft(parts), change.mock.lastCall?.[0]);
    return changed;
  };

  it('is of two or three', () => {
    shown(['orbit', 'rise']);
    expect(screen.getByRole('button', { name: 'One less' })).toHaveProperty('disabled', true);
    expect(screen.getByRole('button', { name: 'One more' })).toHaveProperty('disabled', false);
    document.body.innerHTML = '';
    shown(['orbit', 'rise', 'pan']);
    expect(screen.getByRole('button', { name: 'One more' })).toHaveProperty('disabled', true);
  });

  it('takes a third and gives it up again', () => {
    const more = shown(['orbit', 'pan']);
    fireEvent.click(screen.getByRole('button', { name: 'One more' }));
    expect(more().parts?.map((part) => part.move)).toEqual(['orbit', 'pan', 'rise']);
    document.body.innerHTML = '';
    const less = shown(['orbit', 'pan', 'rise']);
    fireEvent.click(screen.getByRole('button', { name: 'One less' }));
    expect(less().parts).toHaveLength(2);
  });

  it('has the dials of its parts, but for those that the part before decides', () => {
    const dial = (id: string) =>
      ({ id, label: id, unit: 'm', usual: [1, 9], step: 1 }) as Schemas['Parameter'];
    for (const move of moves) move.parameters = [dial('height_m'), dial('length_m')];
    const parts = ['orbit', 'rise'].map((move, k) => ({
      move,
      name: move,
      parameters: { height_m: 3, length_m: 4 + k },
      decided: k === 0 ? [] : ['height_m'],
    }));
    const plan = { joined: { parts, axes: 3, level: 4, level_words: 'hard' } } as unknown as Schemas['Plan'];
    const changed = shown(['orbit', 'rise'], plan);
    expect(screen.getByText(/3 axes, level 4/)).toBeTruthy();
    expect(screen.getAllByRole('slider', { name: 'height_m' })).toHaveLength(1);
    const [, second] = screen.getAllByRole('slider', { name: 'length_m' });
    fireEvent.keyDown(second as HTMLElement, { key: 'ArrowRight' });
    expect(changed().parts?.[1]?.parameters, 'of the part that it belongs to').toEqual({ length_m: 6 });
  });

  it('is flown one after another, or at once', () => {
    const changed = shown(['orbit', 'rise']);
    expect(screen.getByRole('radio', { name: 'One after another' }).getAttribute('aria-checked')).toBe(
      'true',
    );
    fireEvent.click(screen.getByRole('radio', { name: 'At once' }));
    expect(changed().join).toBe('together');
  });
});

describe('the wanted picture', () => {
  const site = {
    document: { solids: [{ id: 'stack', role: 'subject', height_m: 9 }] },
  } as unknown as Schemas['Site'];
  const parameters = ['distance_m', 'height_m', 'tilt_start_deg'].map(
    (id) => ({ id }) as Schemas['Parameter'],
  );
  const shown = (given = parameters) => {
    const set = vi.fn();
    draw(
      <FrameIt
        draft={{ site_id: 1, rig_id: 3, mode: 'standard', move: 'push-in', subject_id: 'stack' }}
        site={site}
        parameters={given}
        set={set}
      />,
    );
    return set;
  };

  it('is asked of the server, and its answer put into the dials', async () => {
    const asked = answer({
      'POST /compositions': {
        body: {
          distance_m: 21.26,
          height_m: 3.04,
          tilt_deg: -8.2,
          parameters: { distance_m: 41.5, height_m: 3 },
          reached: { distance_m: 21.26, height_m: 3, hold_s: 9.9 },
          hidden: null,
          notes: ['Half a metre is taken.'],
        },
      },
    });
    const set = shown();
    fireEvent.click(screen.getByRole('radio', { name: 'Middle' }));
    fireEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    await waitFor(() => expect(set).toHaveBeenCalledWith({ distance_m: 41.5, height_m: 3 }));
    expect(asked[0]?.body).toEqual({
      site_id: 1,
      rig_id: 3,
      mode: 'standard',
      move: 'push-in',
      subject_id: 'stack',
      picture: { at: 'end', subject_m: 9, fills: 0.33, horizon_y: 0.5, hold_s: 10 },
    });
    expect(screen.getByRole('status').textContent).toMatch(
      /21\.3\sm away, 3\.0\sm up, tilt −8.*9\.9\ss.*Half a metre/,
    );
  });

  it('says why there is none', async () => {
    answer({
      'POST /compositions': {
        status: 422,
        body: { type: 'urn:x', title: 'No', status: 422, detail: 'No tilt gives this picture.', errors: [] },
      },
    });
    const set = shown();
    fireEvent.click(screen.getByRole('button', { name: 'Work it out' }));
    expect(await screen.findByText(/No tilt gives this picture/)).toBeTruthy();
    expect(set).not.toHaveBeenCalled();
  });

  it('is not asked for where the move has no distance', () => {
    shown([{ id: 'turn_deg' } as Schemas['Parameter']]);
    expect(screen.queryByRole('button')).toBeNull();
  });
});
