import { fireEvent, render, screen } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import { Dial } from './Dial';

beforeAll(() => {
  vi.stubGlobal(
    'ResizeObserver',
    class {
      observe() {}
      unobserve() {}
      disconnect() {}
    },
  );
});

function typed(text: string, units: 'metric' | 'feet' = 'metric') {
  const onChange = vi.fn();
  const { unmount } = render(
    <Dial
      label="Radius"
      value={20}
      unit="m"
      least={2}
      most={60}
      step={0.5}
      units={units}
      onChange={onChange}
    />,
  );
  const input = screen.getByRole('textbox');
  fireEvent.focus(input);
  fireEvent.change(input, { target: { value: text } });
  fireEvent.blur(input);
  unmount();
  return onChange.mock.calls.map(([value]) => value);
}

describe('a dial', () => {
  it('takes what is typed, with a comma or a true minus sign as well', () => {
    expect(typed('24.5')).toEqual([24.5]);
    expect(typed('24,5')).toEqual([24.5]);
    expect(typed('\u22123')).toEqual([-3]);
  });

  it('takes feet where feet are shown', () => {
    expect(typed('100', 'feet')[0]).toBeCloseTo(30.48, 9);
  });

  it('leaves the value where nothing sensible was typed', () => {
    expect(typed('')).toEqual([]);
    expect(typed('far')).toEqual([]);
  });

  it('moves by keys and says its value with its unit', () => {
    const onChange = vi.fn();
    render(
      <Dial
        label="Radius"
        value={20}
        unit="m"
        least={2}
        most={60}
        step={0.5}
        units="metric"
        onChange={onChange}
      />,
    );
    const thumb = screen.getByRole('slider', { name: 'Radius' });
    expect(thumb.getAttribute('aria-valuetext')).toBe('20.0\u00a0m');
    fireEvent.keyDown(thumb, { key: 'ArrowRight' });
    expect(onChange).toHaveBeenCalledWith(20.5);
  });
});
