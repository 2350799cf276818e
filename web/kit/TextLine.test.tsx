import { fireEvent, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { draw } from '~/testing/page';
import { TextLine } from './TextLine';
import { DateField, HourField } from './WhenFields';

const type = (label: string, value: string) =>
  fireEvent.change(screen.getByLabelText(label), { target: { value } });

describe('a line of text', () => {
  it('is taken when it is left or on Enter, and only where it changed', () => {
    const taken = vi.fn();
    draw(<TextLine label="Purpose" value="a film" onChange={taken} />);
    const field = screen.getByLabelText('Purpose');
    fireEvent.blur(field);
    type('Purpose', 'a film');
    fireEvent.blur(field);
    expect(taken).not.toHaveBeenCalled();
    type('Purpose', 'a title');
    expect(taken).not.toHaveBeenCalled();
    fireEvent.keyDown(field, { key: 'Enter' });
    expect(taken).toHaveBeenCalledWith('a title');
    type('Purpose', 'an end');
    fireEvent.blur(field);
    expect(taken).toHaveBeenLastCalledWith('an end');
  });

  it('offers what it may be', () => {
    draw(<TextLine label="Zone" value="UTC" known={['UTC', 'Asia/Kathmandu']} onChange={vi.fn()} />);
    const list = document.getElementById(screen.getByLabelText('Zone').getAttribute('list') ?? '');
    expect([...(list?.querySelectorAll('option') ?? [])].map((one) => one.value)).toEqual([
      'UTC',
      'Asia/Kathmandu',
    ]);
  });
});

describe('a date and an hour', () => {
  it('are told only when they are whole', () => {
    const [date, hour] = [vi.fn(), vi.fn()];
    draw(
      <>
        <DateField label="Date" value="2026-06-03" onChange={date} />
        <HourField label="From" value="09:00" onChange={hour} />
      </>,
    );
    type('Date', '');
    type('From', '');
    expect(date).not.toHaveBeenCalled();
    expect(hour).not.toHaveBeenCalled();
    type('Date', '2026-06-04');
    type('From', '10:30');
    expect(date).toHaveBeenCalledWith('2026-06-04');
    expect(hour).toHaveBeenCalledWith('10:30');
  });
});
