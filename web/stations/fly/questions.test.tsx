// What an upload asks, and what a simulated hand is told: columns of another maker, a move to name, faults on purpose.
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { Columns } from './Columns';
import { NameMove } from './NameMove';
import { PlaceQuestion } from './PlaceQuestion';
import { Remembered } from './Remembered';
import { Slips } from './Slips';

beforeEach(() => giveSize(320, 40));
afterEach(() => vi.unstubAllGlobals());

const item = { id: 7, message: 'Say what they are.' } as Schemas['Import'];
const quantity = (id: string, name: string, needed: boolean, units: string[]) => ({
  id,
  name,
  needed,
  units,
});
const question = {
  headers: ['Stamp', 'La', 'Lo', 'High', 'Nose', 'Remark'],
  guess: {
    t: { column: 'Stamp', unit: 'ms', sure: true, why: 'by its name', samples: ['1', '2'] },
    lat: { column: 'La', unit: 'deg', sure: true, why: 'by its name', samples: ['1', '2'] },
    lon: { column: 'Lo', unit: 'deg', sure: true, why: 'by its name', samples: ['1', '2'] },
    alt_m: {
      column: 'High',
      unit: 'ft',
      sure: false,
      why: '12 to 90: no aircraft is so high in metres',
      samples: ['12', '47', '90'],
    },
  },
  quantities: [
    quantity('t', 'Time', true, ['s', 'ms']),
    quantity('lat', 'Latitude', true, ['deg']),
    quantity('lon', 'Longitude', true, ['deg']),
    quantity('alt_m', 'Height', true, ['m', 'ft']),
    quantity('heading_deg', 'Heading', false, ['deg', 'rad']),
    quantity('zoom', 'Zoom', false, ['x']),
  ],
} as NonNullable<Schemas['Import']['columns']>;

describe('what was confirmed once', () => {
  const known = { id: 4, file_name: 'one.csv', confirmed_at: '2026-05-03T09:00:00Z', columns: question };

  it('is looked at, changed and sent', async () => {
    const asked = answer({
      'GET /column-mappings': { body: [known] },
      'GET /remembered-readings': { body: [] },
      'PUT /column-mappings/4': { body: known },
    });
    draw(<Remembered />);
    expect(await screen.findByText(/Height from High in ft/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Change', hidden: true }));
    fireEvent.change(screen.getByLabelText('Unit of Height'), { target: { value: 'm' } });
    fireEvent.click(screen.getByRole('button', { name: 'These are right', hidden: true }));
    await waitFor(() => expect(asked.some((one) => one.method === 'PUT')).toBe(true));
    const sent = asked.find((one) => one.method === 'PUT')?.body as { columns: Record<string, unknown> };
    expect(sent.columns.alt_m).toEqual({ column: 'High', unit: 'm' });
  });

  it('is forgotten', async () => {
    const asked = answer({
      'GET /column-mappings': { body: [known] },
      'GET /remembered-readings': { body: [] },
      'DELETE /column-mappings/4': { body: null },
    });
    draw(<Remembered />);
    fireEvent.click(await screen.findByRole('button', { name: 'Forget, and ask again', hidden: true }));
    await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
  });

  it('is said of places and heights too, and forgotten', async () => {
    const feet = {
      id: 7,
      reading: 'feet',
      words: 'its heights are feet',
      file_name: 'two.gpx',
      said_at: '2026-05-03T09:00:00Z',
    };
    const asked = answer({
      'GET /column-mappings': { body: [] },
      'GET /remembered-readings': { body: [feet] },
      'DELETE /remembered-readings/7': { body: null },
    });
    draw(<Remembered />);
    expect(await screen.findByText('How one maker’s logs are meant is remembered')).toBeTruthy();
    expect(screen.getByText(/would lie there if so: its heights are feet\./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Forget, and ask again', hidden: true }));
    await waitFor(() => expect(asked.some((one) => one.method === 'DELETE')).toBe(true));
  });

  it('says nothing where nothing was', () => {
    answer({ 'GET /column-mappings': { body: [] }, 'GET /remembered-readings': { body: [] } });
    draw(<Remembered />);
    expect(screen.queryByText(/remembered/)).toBeNull();
  });
});

describe('the columns of another maker', () => {
  it('are shown as guessed, a doubtful one with its reason', () => {
    draw(<Columns item={item} question={question} />);
    expect(screen.getByLabelText('Column of Height')).toHaveProperty('value', 'High');
    expect(screen.getByLabelText('Unit of Height')).toHaveProperty('value', 'ft');
    expect(screen.getByText(/please check: 12 to 90/)).toBeTruthy();
    expect(screen.getByText('12, 47, 90')).toBeTruthy();
    fireEvent.change(screen.getByLabelText('Unit of Height'), { target: { value: 'm' } });
    expect(screen.queryByText(/please check/)).toBeNull();
  });

  it('say what cannot be judged without them', () => {
    draw(<Columns item={item} question={question} />);
    expect(screen.getByText(/Frame is not/)).toBeTruthy();
  });

  it('are sent as confirmed', async () => {
    const asked = answer({ 'PUT /imports/7/columns': { body: item } });
    draw(<Columns item={item} question={question} />);
    fireEvent.change(screen.getByLabelText('Column of Heading'), { target: { value: 'Nose' } });
    fireEvent.change(screen.getByLabelText('Unit of Heading'), { target: { value: 'rad' } });
    fireEvent.click(screen.getByRole('button', { name: 'These are right' }));
    await waitFor(() => expect(asked).toHaveLength(1));
    const sent = asked[0]?.body as { columns?: Record<string, { column: string; unit: string }> } | undefined;
    const columns = sent?.columns ?? {};
    expect(columns.heading_deg).toEqual({ column: 'Nose', unit: 'rad' });
    expect(columns.alt_m).toEqual({ column: 'High', unit: 'ft' });
    expect(Object.keys(columns)).toHaveLength(5);
  });

  it('are not sent while one that is needed is missing', () => {
    draw(<Columns item={item} question={question} />);
    fireEvent.change(screen.getByLabelText('Column of Latitude'), { target: { value: '' } });
    expect(screen.getByText('Still needed: Latitude.')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'These are right' })).toHaveProperty('disabled', true);
  });

  it('keep what is seldom there out of sight until it is asked for', () => {
    draw(<Columns item={item} question={question} />);
    expect(screen.queryByLabelText('Column of Zoom')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'More columns' }));
    expect(screen.getByLabelText('Column of Zoom')).toBeTruthy();
  });

  it('say why they were refused', async () => {
    answer({
      'PUT /imports/7/columns': {
        status: 422,
        body: { type: 'urn:x', title: 'No', status: 422, detail: '“La” states two quantities.', errors: [] },
      },
    });
    draw(<Columns item={item} question={question} />);
    fireEvent.click(screen.getByRole('button', { name: 'These are right' }));
    expect(await screen.findByText(/states two quantities/)).toBeTruthy();
  });
});

describe('a take whose move is not told', () => {
  const take = {
    number: 2,
    from_s: 61,
    to_s: 84.5,
    candidates: [
      { id: 'orbit', name: 'Orbit' },
      { id: 'pull-away', name: 'Pull-away' },
    ],
  } as Schemas['UnsureTake'];

  it('offers the likeliest, and takes the one that is pressed', async () => {
    const asked = answer({ 'GET /moves': { body: [] }, 'PUT /imports/7/takes/2': { body: item } });
    draw(<NameMove item={item} take={take} />);
    expect(screen.getByText(/Take 2, 1:01.0 to 1:24.5/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Pull-away' }));
    await waitFor(() => expect(asked.map((one) => one.body)).toContainEqual({ move: 'pull-away' }));
  });
});

describe('faults on purpose', () => {
  const kick: Schemas['Slip'] = { kind: 'kick', finger: 'turn', at: 6, size: 0.35, length: 0.35 };

  it('are put in one at a time, six at most', () => {
    const onChange = vi.fn();
    const { rerender } = draw(<Slips slips={[]} onChange={onChange} units="metric" />);
    fireEvent.click(screen.getByRole('button', { name: 'Put a fault in' }));
    expect(onChange).toHaveBeenCalledWith([kick]);
    rerender(<Slips slips={Array(6).fill(kick)} onChange={onChange} units="metric" />);
    expect(screen.getByRole('button', { name: 'Put a fault in' })).toHaveProperty('disabled', true);
  });

  it('are taken out again, the right one', () => {
    const onChange = vi.fn();
    const sag = { ...kick, kind: 'sag' as const };
    draw(<Slips slips={[kick, sag]} onChange={onChange} units="metric" />);
    const second = document.querySelector('[data-slip=sag]') as HTMLElement;
    fireEvent.click(within(second).getByRole('button', { name: 'Take this fault out' }));
    expect(onChange).toHaveBeenCalledWith([kick]);
  });
});

describe('a log that lies elsewhere than its plan', () => {
  const elsewhere = {
    ...item,
    message: 'This log was flown 6,500 km from the place of its plan.',
    readings: [
      { id: 'as-written', words: 'as it is written', east_m: 6500000, north_m: 0, up_m: 0 },
      { id: 'swapped', words: 'latitude and longitude have changed places', east_m: 3, north_m: 4, up_m: 0 },
    ],
  } as Schemas['Import'];

  it('is shown with every reading that would fit, and read as somebody says', async () => {
    const asked = answer({ 'PUT /imports/7/reading': { body: item } });
    draw(<PlaceQuestion item={elsewhere} />);
    expect(screen.getByRole('img', { name: /by each reading/ })).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: /changed places: 5/ }));
    await waitFor(() => expect(asked).toHaveLength(1));
    expect(asked[0]?.body).toEqual({ reading: 'swapped' });
  });

  it('can be judged as it is written all the same', async () => {
    const asked = answer({ 'PUT /imports/7/reading': { body: item } });
    draw(<PlaceQuestion item={elsewhere} />);
    fireEvent.click(screen.getByRole('button', { name: /as it is written/ }));
    await waitFor(() => expect(asked[0]?.body).toEqual({ reading: 'as-written' }));
  });
});
