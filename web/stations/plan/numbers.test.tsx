// The numbers of a shot: grouped, from start to end, in the reader's units; pressed, the picture goes to that moment.
import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw } from '~/testing/page';
import { Numbers } from './Numbers';

const number = (
  id: string,
  name: string,
  value: number,
  unit: string,
  more: Partial<Schemas['PlanNumber']> = {},
): Schemas['PlanNumber'] => ({ id, name, value, unit, at_s: null, travel: null, ...more });

const numbers = [
  number('height_above_takeoff_m', 'Height above take-off', 3, 'm', { at_s: 3 }),
  number('height_above_takeoff_m', 'Height above take-off', 17, 'm', { at_s: 19.24 }),
  number('turn_rate_dps', 'Turn, at most', 5.73, 'deg/s', { at_s: 12, travel: -0.214 }),
  number('lap_s', 'A full lap', 62.8, 's'),
];

describe('the numbers of a shot', () => {
  it('stand under what they are about, from start to end, and lead to their moment', () => {
    const onTime = vi.fn();
    const { container } = draw(<Numbers numbers={numbers} units="metric" onTime={onTime} />);
    expect(container.querySelector('[data-number=height_above_takeoff_m]')?.textContent).toBe(
      'Height above take-off3.0\u00a0m to 17.0\u00a0m',
    );
    expect(screen.getByText('21 % of the travel')).toBeTruthy();
    expect(screen.queryByText('Wheel')).toBeNull();
    fireEvent.click(screen.getByText('17.0 m'));
    expect(onTime).toHaveBeenCalledWith(19.24);
    // What is of the whole shot leads nowhere.
    expect(screen.queryByRole('button', { name: /62\.8/ })).toBeNull();
  });

  it('are told in feet to whoever wants feet', () => {
    draw(<Numbers numbers={numbers} units="feet" onTime={() => {}} />);
    expect(screen.getByText('55.8 ft')).toBeTruthy();
  });
});
