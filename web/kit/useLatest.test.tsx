// One request at a time, whatever becomes of it.
import { act, renderHook, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import { Problem } from '~/api/client';
import { useLatest } from './useLatest';

describe('asking for the latest', () => {
  afterEach(() => vi.unstubAllGlobals());

  it('tells an error that nobody foresaw, and asks again', async () => {
    const reported = vi.fn();
    vi.stubGlobal('reportError', reported);
    const request = vi
      .fn<(wish: number) => Promise<string>>()
      .mockRejectedValueOnce(new TypeError('cut off'))
      .mockResolvedValueOnce('second');
    const { result } = renderHook(() => useLatest(request, 'test'));
    await act(async () => result.current.ask(1));
    await waitFor(() => expect(result.current.busy).toBe(false));
    expect(result.current.problem?.words).toContain('still here');
    expect(reported).toHaveBeenCalledTimes(1);
    await act(async () => result.current.ask(2));
    await waitFor(() => expect(result.current.value).toBe('second'));
    expect(result.current.problem).toBeNull();
  });

  it('tells a problem beside the answer before it', async () => {
    const details = { type: '', title: '', status: 422, detail: 'It can’t be.', errors: [] };
    const request = vi
      .fn<(wish: number) => Promise<string>>()
      .mockResolvedValueOnce('first')
      .mockRejectedValueOnce(new Problem(422, details));
    const { result } = renderHook(() => useLatest(request, 'test'));
    await act(async () => result.current.ask(1));
    await act(async () => result.current.ask(2));
    await waitFor(() => expect(result.current.problem?.message).toBe('It can’t be.'));
    expect(result.current.value).toBe('first');
    expect(result.current.busy).toBe(false);
  });
});
