// What is pulled follows the finger from where it stood, says what it says, and lets go when it is taken away.
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { Handle } from './Handle';

function shown(more: Partial<Parameters<typeof Handle>[0]> = {}) {
  const told = { onPull: vi.fn(), onStep: vi.fn(), onHeld: vi.fn() };
  render(
    <svg>
      <title>sheet</title>
      <Handle id="end" label="End: arc" x={50} y={60} value={90} text="90°" {...told} {...more} />
    </svg>,
  );
  return { ...told, handle: screen.getByRole('slider') };
}

const at = (clientX: number, clientY: number) => ({ pointerId: 1, buttons: 1, clientX, clientY });

describe('a handle', () => {
  it('says what it is, and how it is moved without a hand on it', () => {
    const { handle } = shown();
    expect(handle.getAttribute('aria-label')).toBe('End: arc. Arrow keys move it.');
    expect(handle.getAttribute('aria-valuetext')).toBe('90°');
    expect(handle.getAttribute('tabindex')).toBe('0');
  });

  it('shows its value only while it is held', () => {
    const { handle, onHeld } = shown();
    expect(screen.queryByText('90°')).toBeNull();
    fireEvent.pointerDown(handle, at(400, 300));
    expect(screen.queryByText('90°')).not.toBeNull();
    fireEvent.pointerUp(handle, at(400, 300));
    expect(screen.queryByText('90°')).toBeNull();
    expect(onHeld.mock.calls).toEqual([[true], [false]]);
  });

  it('goes as far as the finger, wherever on it the finger lies', () => {
    const { handle, onPull } = shown();
    fireEvent.pointerDown(handle, at(407, 296));
    expect(onPull, 'to be touched is not to be pulled').not.toHaveBeenCalled();
    fireEvent.pointerMove(handle, at(417, 300));
    fireEvent.pointerMove(handle, at(437, 306));
    expect(onPull.mock.lastCall).toEqual([80, 70]);
  });

  it('is let go where the system takes the finger away', () => {
    const { handle, onPull, onHeld } = shown();
    fireEvent.pointerDown(handle, at(400, 300));
    fireEvent.pointerMove(handle, at(410, 300));
    fireEvent.pointerCancel(handle, { pointerId: 1 });
    const pulls = onPull.mock.calls.length;
    fireEvent.pointerMove(handle, at(500, 300));
    expect(onPull.mock.calls.length).toBe(pulls);
    expect(onHeld.mock.lastCall).toEqual([false]);
  });

  it.each([
    ['both', 'ArrowRight', [1, 0]],
    ['both', 'ArrowDown', [0, -1]],
    ['across', 'ArrowLeft', [-1, 0]],
    ['upright', 'ArrowUp', [0, 1]],
  ] as const)('that goes %s takes %s', (ways, key, step) => {
    const { handle, onStep } = shown({ ways });
    fireEvent.keyDown(handle, { key });
    fireEvent.keyDown(handle, { key, shiftKey: true });
    expect(onStep.mock.calls).toEqual([step, step.map((one) => 5 * one + 0)]);
  });

  it('leaves to the page the keys of the way that it does not go', () => {
    const { handle, onStep } = shown({ ways: 'across' });
    expect(fireEvent.keyDown(handle, { key: 'ArrowUp' }), 'the page may scroll').toBe(true);
    fireEvent.keyDown(handle, { key: 'Enter' });
    expect(onStep).not.toHaveBeenCalled();
  });
});
