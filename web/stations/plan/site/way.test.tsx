// The way of a subject as it is drawn: led on, shortened, moved along with it, its stops kept to corners that are there.
import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { draw } from '~/testing/page';
import {
  cornerMoved,
  type Drawing,
  EMPTY,
  firstWay,
  moved,
  pointsOf,
  standing,
  thingAt,
  wayLed,
} from './drawing';
import { WayForm } from './WayForm';

const CHOSEN = { list: 'subjects' as const, index: 0 };

function walking(way: Partial<Schemas['SubjectRoute']> = {}): Drawing {
  const subject = { id: 'a', name: 'a walker', east_m: 5, north_m: 2, up_m: 1.5, base_m: 0, route: null };
  return { ...EMPTY, subjects: [{ ...subject, route: { ...firstWay(subject), ...way } }] };
}

const wayOf = (drawing: Drawing) => drawing.subjects[0]?.route;

describe('the way of a subject', () => {
  it('begins to the east and is led on the same way', () => {
    const once = wayLed(walking(), CHOSEN, true);
    expect(pointsOf(thingAt(once, CHOSEN))).toEqual([
      [20, 2],
      [35, 2],
    ]);
    expect(wayOf(wayLed(once, CHOSEN, false))?.points).toEqual([[20, 2]]);
  });

  it('goes along when its subject is moved, and bends at a corner that is pulled', () => {
    expect(wayOf(moved(walking(), CHOSEN, 1, -2))?.points).toEqual([[21, 0]]);
    expect(wayOf(cornerMoved(walking(), CHOSEN, 0, [8, 9]))?.points).toEqual([[8, 9]]);
  });

  it('stands on the ground with what is aimed at above it', () => {
    const [subject] = standing(walking(), CHOSEN, 2.4).subjects;
    expect([subject?.base_m, subject?.up_m]).toEqual([2.4, 3.9]);
  });

  it('keeps no stop at a corner that is gone', () => {
    const stops = [
      { corner: 1, s: 3 },
      { corner: 2, s: 4 },
    ];
    const drawing = walking({
      points: [
        [20, 2],
        [30, 2],
        [40, 2],
      ],
      stops,
    });
    const shorter = wayLed(wayLed(drawing, CHOSEN, false), CHOSEN, false);
    expect(wayOf(shorter)?.stops).toEqual([{ corner: 1, s: 3 }]);
  });

  it('is given its cue in words and its stops in seconds', () => {
    const onChange = vi.fn();
    const way = {
      ...firstWay({ east_m: 0, north_m: 0 } as Schemas['SiteSubject']),
      points: [
        [9, 0],
        [9, 9],
      ],
    };
    draw(<WayForm way={way} units="metric" onChange={onChange} onLed={vi.fn()} />);
    fireEvent.change(screen.getByLabelText('It sets off at'), { target: { value: 'the bell' } });
    expect(onChange).toHaveBeenLastCalledWith({ ...way, cue: 'the bell' });
    expect(screen.getByText('Stands at corner 1 for')).toBeTruthy();
    expect(screen.queryByText('Stands at corner 2 for')).toBeNull();
  });
});
