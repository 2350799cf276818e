import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it } from 'vitest';
import { draw } from '~/testing/page';
import type { Day } from './fieldStore';
import { Gates } from './Gates';

const day = (
  permission: object,
  ticks: Day['log']['ticks'] = {},
): Pick<Day, 'gates' | 'log' | 'zone' | 'document'> => ({
  zone: 'UTC',
  document: { permission } as Day['document'],
  log: {
    ticks,
    passes: {},
    batteries: {},
    conflicts: [],
    decisions: {},
    take_off_lists: ['sweep', 'air'],
    compass_most: 2,
  },
  gates: {
    ready: false,
    advised: 'go',
    reasons: [],
    gates: [
      { id: 'owner', item: 'gate-owner', text: 'The owner allows it.', binds: true, shots: [] },
      {
        id: 'supervised',
        item: 'gate-supervised',
        text: 'Flown with a supervisor.',
        binds: true,
        shots: ['Home'],
      },
    ],
  },
});

describe('gates', () => {
  const drawn = (of: ReturnType<typeof day>) => {
    const ticked: [string, boolean, string][] = [];
    draw(<Gates day={of} onTick={(...one) => ticked.push(one)} onDecide={() => {}} onBind={null} />);
    return ticked;
  };

  it('keep with who passed them what the rules were read from', () => {
    const ticked = drawn(day({ rule_source: 'Skerrow air notice 4', rule_date: '2026-10-02' }));
    fireEvent.click(screen.getByRole('checkbox', { name: /The owner allows it/ }));
    expect(ticked).toEqual([['gate-owner', true, 'Skerrow air notice 4, 2026-10-02']]);
    expect(screen.getAllByText(/binds, Skerrow air notice 4, 2026-10-02/)).toHaveLength(2);
  });

  it('say once that the source is not filled in', () => {
    drawn(day({}));
    expect(screen.getAllByText(/What the rules were read from is not filled in/)).toHaveLength(1);
    expect(screen.getAllByText('binds')).toHaveLength(2);
  });

  it('of supervised drills are passed with a name, and not without', () => {
    const ticked = drawn(day({ rule_source: 'Notice 4' }));
    const box = screen.getByRole('checkbox', { name: /Flown with a supervisor/ }) as HTMLInputElement;
    expect(box.disabled).toBe(true);
    fireEvent.change(screen.getByLabelText('Who supervises these'), { target: { value: ' Ines Calloway ' } });
    fireEvent.click(box);
    expect(ticked).toEqual([['gate-supervised', true, 'supervised by Ines Calloway, Notice 4']]);
  });

  it('show who passed them, when, and with what', () => {
    drawn(
      day(
        {},
        { 'gate-owner': { on: true, by: 'Tobias Renn', at: '2026-06-03T08:05:00Z', note: 'Notice 4' } },
      ),
    );
    expect(screen.getByText('Tobias Renn, 08:05, Notice 4')).toBeTruthy();
    expect(screen.getByRole('status').textContent).toBe('Not ready: 1 gate that binds is open.');
  });
});
