import { fireEvent, screen, waitFor } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { ImportLogs } from './ImportLogs';

afterEach(() => vi.unstubAllGlobals());

const arrived = (change: Partial<Schemas['Import']> = {}): Schemas['Import'] => ({
  id: 1,
  file_name: 'pass.csv',
  maker: 'csv',
  shot_id: null,
  state: 'done',
  bytes: 1000,
  bytes_read: 1000,
  age_s: null,
  stalled: false,
  message: '',
  place: '',
  expected: '',
  notes: [],
  takes: [11, 12],
  unsure: [],
  columns: null,
  readings: [],
  ...change,
});
const show = (imports: Schemas['Import'][]) => {
  answer({
    'GET /imports': { body: imports },
    'GET /column-mappings': { body: [] },
    'GET /remembered-readings': { body: [] },
  });
  return draw(<ImportLogs shot={undefined} />);
};

/** A server to send files to, that gives the answers in turn. */
function receive(...statuses: number[]): FormData[] {
  const got: FormData[] = [];
  vi.stubGlobal(
    'XMLHttpRequest',
    class {
      upload: { onprogress?: (event: { loaded: number; total: number }) => void } = {};
      status = 0;
      responseText = '';
      onload = () => {};
      open() {}
      setRequestHeader() {}
      send(form: FormData) {
        got.push(form);
        this.upload.onprogress?.({ loaded: 1, total: 2 });
        this.status = statuses[got.length - 1] ?? 202;
        this.responseText = JSON.stringify(
          this.status < 300
            ? arrived()
            : { type: 'urn:x', title: 'No', status: this.status, detail: 'Not a log.', errors: [] },
        );
        queueMicrotask(() => this.onload());
      }
    },
  );
  return got;
}
const choose = (...files: File[]) =>
  fireEvent.change(screen.getByLabelText('Choose logs'), { target: { files } });

describe('logs that wait for an answer', () => {
  const columns = (...headers: string[]) => ({ headers, guess: {}, quantities: [] });
  const waits = (id: number, file_name: string, ...headers: string[]) =>
    arrived({ id, file_name, state: 'columns', takes: [], columns: columns(...headers) });

  it('are asked about once for all of a maker', async () => {
    show([
      waits(1, 'a.csv', 'La', 'Lo'),
      waits(2, 'b.csv', 'La', 'Lo'),
      waits(3, 'c.csv', 'Breite'),
      waits(4, 'd.csv', 'La', 'Lo'),
    ]);
    expect(await screen.findAllByRole('button', { name: 'These are right' })).toHaveLength(2);
    expect(screen.getByText('Your answer reads 2 more: b.csv, d.csv')).toBeTruthy();
    expect(screen.getByText(/4 wait for your answer/)).toBeTruthy();
  });

  it('are asked about once where they lie elsewhere than their plan, by shot and by maker', async () => {
    const reading = (id: string) => ({ id, words: id, east_m: 1, north_m: 2, up_m: 3 });
    const elsewhere = (id: number, file_name: string, shot_id: number, maker: string) =>
      arrived({
        id,
        file_name,
        maker,
        shot_id,
        state: 'place',
        takes: [],
        readings: ['as-written', 'swapped'].map(reading),
      });
    show([
      elsewhere(1, 'a.csv', 5, 'csv 1'),
      elsewhere(2, 'b.csv', 5, 'csv 1'),
      elsewhere(3, 'c.gpx', 5, 'gpx'),
      elsewhere(4, 'd.csv', 6, 'csv 1'),
      elsewhere(5, 'e.csv', 5, 'csv 2'),
    ]);
    expect(await screen.findByText('Your answer reads one more: b.csv')).toBeTruthy();
    expect(screen.getAllByText(/\.(csv|gpx)$/)).toHaveLength(5);
  });

  it('stand before what has ended, of which eight are shown until all are asked for', async () => {
    show([
      ...Array.from({ length: 12 }, (_, id) => arrived({ id, file_name: `done-${id}.csv` })),
      waits(50, 'late.csv', 'La'),
    ]);
    expect(await screen.findByText('late.csv')).toBeTruthy();
    expect(screen.queryByText('done-11.csv')).toBeNull();
    fireEvent.click(screen.getByRole('button', { name: 'All 12 logs' }));
    expect(screen.getByText('done-11.csv')).toBeTruthy();
  });
});

describe('logs that have arrived', () => {
  it('link to each of their takes', async () => {
    show([arrived()]);
    const links = await screen.findAllByRole('link');
    expect(links.map((link) => link.getAttribute('href'))).toEqual(['/debrief/11', '/debrief/12']);
  });

  it('say where and why one was refused, and that nothing was saved', async () => {
    const place = 'line 3, column lat';
    const message = '“north” is no number.';
    show([
      arrived({
        state: 'refused',
        takes: [],
        unsure: [],
        columns: null,
        place,
        message,
        expected: 'degrees',
      }),
    ]);
    const words = `${place}: ${message} Expected degrees. Nothing was saved.`;
    expect(await screen.findByText(words)).toBeTruthy();
  });

  it('show how far a reading has come', async () => {
    show([arrived({ state: 'reading', bytes_read: 250, takes: [] })]);
    const bar = await screen.findByRole('progressbar');
    expect(bar.getAttribute('value')).toBe('0.25');
  });

  it('keep what the reader noted, by line', async () => {
    show([arrived({ notes: [{ line: 9, column: 't', text: 'Time goes back once.' }] })]);
    await screen.findByText('One note on this log');
    expect(screen.getByText('Line 9, t: Time goes back once.')).toBeTruthy();
  });
});

describe('logs that are sent', () => {
  it('go one after the other, each with when it was flown', async () => {
    show([]);
    const got = receive(202, 202);
    choose(new File(['a'], 'one.csv', { lastModified: Date.UTC(2026, 10, 20) }), new File(['b'], 'two.csv'));
    await waitFor(() => expect(got).toHaveLength(2));
    expect(got[0]?.get('log')).toHaveProperty('name', 'one.csv');
    expect(got[0]?.get('flown_at')).toBe('2026-11-20T00:00:00.000Z');
    expect(got[0]?.get('shot_id')).toBeNull();
  });

  it('do not stop at one that is refused', async () => {
    show([]);
    const got = receive(422, 202);
    choose(new File(['a'], 'photo.csv'), new File(['b'], 'two.csv'));
    await waitFor(() => expect(got).toHaveLength(2));
    expect(await screen.findByText(/Not a log/)).toBeTruthy();
  });

  it('are not sent where they are larger than what is taken', async () => {
    show([]);
    const got = receive();
    const large = new File(['x'], 'day.csv');
    Object.defineProperty(large, 'size', { value: 300 * 1024 * 1024 });
    choose(large);
    expect(await screen.findByText(/day.csv has 300 MB/)).toBeTruthy();
    expect(got).toHaveLength(0);
  });
});

describe('logs that are under way', () => {
  const way = (change: Partial<Schemas['Import']>) =>
    show([arrived({ state: 'judging', takes: [], age_s: 3, ...change })]);

  it('say how long, once that is long enough to wonder, and can be stopped then', async () => {
    const page = way({});
    expect(await screen.findByText('judging')).toBeTruthy();
    expect(screen.queryByRole('button', { name: 'Don’t read it' })).toBeNull();
    page.unmount();
    way({ age_s: 150 });
    expect(await screen.findByText('judging, 3 min')).toBeTruthy();
    expect(screen.getByRole('button', { name: 'Don’t read it' })).toBeTruthy();
    expect(screen.queryByText(/Nothing has moved here/)).toBeNull();
  });

  it('say that nothing moves where nothing does', async () => {
    way({ age_s: 150, stalled: true });
    expect(await screen.findByText(/Nothing has moved here for a while/)).toBeTruthy();
  });

  it('are read again on request where the work on them broke off', async () => {
    const asked = answer({
      'GET /imports': { body: [arrived({ id: 7, state: 'failed', takes: [], message: 'It broke off.' })] },
      'GET /column-mappings': { body: [] },
      'GET /remembered-readings': { body: [] },
      'POST /imports/7/again': { body: arrived({ id: 7, state: 'waiting', takes: [] }) },
    });
    draw(<ImportLogs shot={undefined} />);
    expect(await screen.findByText(/It broke off\. Nothing of it stands in the logbook yet/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Read it again' }));
    await waitFor(() => expect(asked.map((one) => one.path)).toContain('/imports/7/again'));
  });
});
