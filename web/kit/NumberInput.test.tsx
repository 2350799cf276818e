import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { draw } from '~/testing/page';
import { NumberInput } from './NumberInput';

function typed(value: string, props: Partial<Parameters<typeof NumberInput>[0]> = {}, key?: string) {
  const seen: number[] = [];
  draw(
    <NumberInput
      label="Top rate"
      value={9.2}
      unit="m/s"
      units="metric"
      onChange={(next) => seen.push(next)}
      {...props}
    />,
  );
  const input = screen.getByRole('textbox');
  fireEvent.focus(input);
  fireEvent.change(input, { target: { value } });
  if (key === undefined) fireEvent.blur(input);
  else fireEvent.keyDown(input, { key });
  return { seen, input };
}

describe('a number that is typed', () => {
  it('is taken with a comma or a true minus sign', () => {
    expect(typed('4,5').seen).toEqual([4.5]);
  });

  it('is stored in metres where it is shown in miles an hour', () => {
    expect(typed('10', { units: 'feet' }).seen[0]).toBeCloseTo(4.4704, 9);
  });

  it('is dropped on Escape, and where it is no number', () => {
    expect(typed('7', {}, 'Escape').seen).toEqual([]);
  });

  it('is not taken where it is no number, and shows what it was', () => {
    const { seen, input } = typed('quick');
    expect(seen).toEqual([]);
    expect(input.getAttribute('value')).toBe('9.2\u00a0m/s');
  });

  it('keeps the places that were cut for show when nothing was typed', () => {
    expect(typed('9.2', { value: 9.2345 }).seen).toEqual([]);
  });

  it('names its unit for those who hear it', () => {
    typed('1');
    expect(screen.getByLabelText('Top rate, m/s')).toBeTruthy();
  });

  it('stays as it was typed, and says its limits, where it lies beyond them', () => {
    const { seen, input } = typed('500', { limits: [0.1, 60] });
    expect(seen).toEqual([]);
    expect(input.getAttribute('value')).toBe('500');
    expect(input.getAttribute('aria-invalid')).toBe('true');
    expect(screen.getByRole('alert').textContent).toBe('0.1\u00a0m/s to 60\u00a0m/s');
    fireEvent.change(input, { target: { value: '6' } });
    expect(screen.queryByRole('alert')).toBeNull();
    fireEvent.blur(input);
    expect(seen).toEqual([6]);
  });

  it('is taken at its limit, in whatever units it is typed', () => {
    const { seen } = typed('200', { unit: 'm', units: 'feet', limits: [0, 60.96] });
    expect(seen[0]).toBeCloseTo(60.96, 9);
    expect(screen.queryByRole('alert')).toBeNull();
  });
});
