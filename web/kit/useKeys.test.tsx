import { fireEvent, render, renderHook } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { useKeys } from './useKeys';

describe('keys of a station', () => {
  it('act on their letter and on their name', () => {
    const keys = { k: vi.fn(), space: vi.fn(), left: vi.fn() };
    renderHook(() => useKeys(keys));
    fireEvent.keyDown(document.body, { key: 'k' });
    fireEvent.keyDown(document.body, { key: ' ' });
    fireEvent.keyDown(document.body, { key: 'ArrowLeft' });
    expect([keys.k, keys.space, keys.left].map((key) => key.mock.calls.length)).toEqual([1, 1, 1]);
  });

  it('rest while something is typed, a handle is moved or a shortcut of the browser is meant', () => {
    const keys = { k: vi.fn(), space: vi.fn(), right: vi.fn() };
    renderHook(() => useKeys(keys));
    const { container } = render(
      <div>
        <input />
        <button type="button">Play</button>
        <span data-handle="clock" />
      </div>,
    );
    const [input, button, handle] = [...(container.firstElementChild?.children ?? [])];
    if (input) fireEvent.keyDown(input, { key: 'k' });
    if (button) fireEvent.keyDown(button, { key: ' ' });
    if (handle) fireEvent.keyDown(handle, { key: 'ArrowRight' });
    fireEvent.keyDown(document.body, { key: 'k', ctrlKey: true });
    for (const key of Object.values(keys)) expect(key).not.toHaveBeenCalled();
  });
});
