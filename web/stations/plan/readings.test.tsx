// The readings as pictures, the brief, and the exposure that is asked for.
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { beforeAll, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw, giveSize } from '~/testing/page';
import { BriefCard, NO_BRIEF } from './BriefCard';
import { ExposureCard } from './light/ExposureCard';
import { Readings } from './Readings';
import { EMPTY } from './site/drawing';
import { withImport } from './site/ImportPlaces';

beforeAll(() => giveSize(600, 300));

const reading = {
  reveal: {
    first: 'behind the wall',
    last: 'seen',
    hidden_first: true,
    readable: true,
    fills: 0.3,
    appears_s: 7.5,
    horizon: 0.33,
    sky: 0.33,
    tilt_begins_s: 5,
    tilt_latest_s: null,
    needed_height_m: null,
    sentences: ['It appears at 7.5 s.'],
  },
  depth: {
    near: { name: 'thorn', distance_m: 6, widths_ps: 0.2 },
    far: { name: 'the horizon', distance_m: 3000, widths_ps: 0 },
    ratio: null,
    pace_mps: 2,
    height_m: 4,
    felt_ps: 0.5,
    crossing_s: null,
    crossing_least_s: 7,
    sentences: ['All the depth there is.'],
  },
  room: {
    solids: [
      { id: 'a', name: 'mast', distance_m: 1.2, at_s: 4, margin_m: 2.2, ok: false },
      { id: 'b', name: 'byre', distance_m: 9, at_s: 4, margin_m: 2.2, ok: true },
    ],
    gap: null,
    behind: null,
    height: { least_m: 3, most_m: 9, above_launch_m: 9, ceiling_m: 120 },
    farthest_m: 60,
    sight_line_m: 300,
    people_m: null,
    people_least_m: 30,
    sentences: ['60 m from you.'],
  },
  wind: {
    mean_mps: 4,
    gust_mps: 6,
    head_mps: 3,
    cross_mps: 2,
    cross_share: 0.4,
    upwind_mps: 7,
    downwind_mps: 2,
    top_mps: 8,
    rated_mps: 10,
    holds: true,
    sentences: ['It holds.'],
  },
  edit: {
    hold_s: 6,
    use_s: 6,
    handle_s: 1,
    spare_s: -2,
    recorded_px: 3840,
    delivered_px: 1920,
    scale: 2,
    level_scale: 1.03,
    stray_percent: 24,
    speed_up: false,
    moving: ['the bay'],
    safe: 0.5,
    sentences: ['2 s too few.'],
  },
  variants: [
    {
      id: 'opposite',
      title: 'The other way',
      why: 'Both directions.',
      move: 'orbit',
      parameters: { direction: 'clockwise' },
      join: null,
      parts: null,
      feasible: true,
    },
  ],
  passes: [{ pass: 1, title: 'As planned', variant: null }],
} as unknown as Schemas['Reading'];
const plan = {
  frames: [],
  phases: { onset_s: 3, stop_s: 20 },
  camera: { aspect: 1.78 },
} as unknown as Schemas['Plan'];

describe('readings', () => {
  it.each([
    ['reveal', 'It appears at 7.5 s.'],
    ['depth', 'All the depth there is.'],
    ['room', '60 m from you.'],
    ['wind', 'It holds.'],
    ['edit', '2 s too few.'],
  ] as const)('%s says its sentences beside its picture', (view, words) => {
    draw(<Readings view={view} plan={plan} reading={reading} onVariant={() => {}} />);
    expect(screen.getByText(words)).toBeTruthy();
  });

  it('draws what is delivered of what is recorded to scale', () => {
    draw(<Readings view="edit" plan={plan} reading={reading} onVariant={() => {}} />);
    expect(screen.getByText(/3840 pixels of width recorded, 1920 delivered/)).toBeTruthy();
    const picture = screen.getByRole('img', { name: 'What is recorded, and what is delivered of it' });
    expect((picture.firstElementChild as HTMLElement).style.inset).toBe('25%');
  });

  it('marks what is nearer than the margin', () => {
    draw(<Readings view="room" plan={plan} reading={reading} onVariant={() => {}} />);
    expect(screen.getByText(/1\.2/).className).toContain('text-brick');
    expect(screen.getByText(/9\.0/).className).not.toContain('text-brick');
  });

  it('shows a variant when it is asked to', () => {
    const shown = vi.fn();
    draw(<Readings view="variants" plan={plan} reading={reading} onVariant={shown} />);
    fireEvent.click(screen.getByRole('button', { name: 'Show it' }));
    expect(shown).toHaveBeenCalledWith(reading.variants[0]);
  });

  it('waits where the reading has not come yet', () => {
    draw(<Readings view="wind" plan={plan} reading={null} onVariant={() => {}} />);
    expect(screen.getByText('Reading it …')).toBeTruthy();
  });
});

describe('the brief', () => {
  it('is changed one thing at a time, words only when they are done', () => {
    const change = vi.fn();
    draw(<BriefCard brief={NO_BRIEF} things={[{ id: 'kiln', name: 'Lime kiln' }]} onChange={change} />);
    fireEvent.click(screen.getByRole('radio', { name: 'Back' }));
    expect(change).toHaveBeenLastCalledWith({ ...NO_BRIEF, light: { side: 'back', hour: 'any' } });
    const sound = screen.getByLabelText('Sound to record on the ground');
    fireEvent.change(sound, { target: { value: 'surf' } });
    expect(change).toHaveBeenCalledTimes(1);
    fireEvent.blur(sound);
    expect(change).toHaveBeenLastCalledWith({ ...NO_BRIEF, sound: 'surf' });
  });
});

describe('exposure', () => {
  it('asks anew with the meter’s reading and shows what to set', async () => {
    const body = {
      fps: 25,
      iso: 100,
      aperture: 2.8,
      shutter: { wanted: '1/50', set: '1/50', off_stops: 0, angle_deg: 180 },
      scene_ev: 13.2,
      filter: { stops: 4.5, use: 'ND32', factor: 32, density: 1.5, left_stops: -0.5 },
      white_balance_k: 5600,
      diffraction_from_f: 4.5,
      sharp_from_m: 1.2,
      warnings: ['Look out.'],
      camera: { frame_rates: [25], apertures: [2.8] },
      estimate: 'sun',
      scenes: [{ id: 'sun', name: 'Full sun', ev: 15, kelvin: 5600 }],
    };
    const asked = answer({
      'POST /exposures': { body },
      'GET /light-meter?lat=57.6&lon=-0.4&at=2026-06-03T12%3A00%3A00.000Z': {
        body: { ev: 13.2, simulated: true },
      },
    });
    draw(
      <ExposureCard
        rigId={3}
        home={{ lat: 57.6, lon: -0.4 }}
        time={Date.parse('2026-06-03T12:00:00Z') / 1000}
        sun={50.31}
        shot={null}
      />,
    );
    // A filter of the bag bears the same name.
    expect((await screen.findAllByText('ND32')).length).toBe(2);
    expect(screen.getByRole('alert').textContent).toBe('Look out.');
    fireEvent.click(screen.getByRole('button', { name: 'Read the meter (simulated)' }));
    await waitFor(() =>
      expect(asked.at(-1)?.body).toMatchObject({ meter_ev: 13.2, rig_id: 3, sun_deg: 50.3 }),
    );
  });
});

describe('a file of places', () => {
  it('is put beside what is drawn already; a new site takes its take-off point', () => {
    const found = {
      found: 2,
      home: { lat: 57.61, lon: -0.41, alt_m: 3 },
      solids: [{ id: 's' }],
      areas: [],
      observers: [],
      own: { name: 'The arch', ceiling_m: 90 },
      spots: [{ east_m: 1, north_m: 2, up_m: 3 }],
      subjects: [{ id: 'a', name: 'arch', east_m: 5, north_m: 6, base_m: 1, aim_m: 2, route: null }],
      notes: [],
    } as unknown as Schemas['SiteImport'];
    const fresh = withImport(EMPTY, found, true);
    expect(fresh.document.home.lat).toBe(57.61);
    expect([fresh.name, fresh.document.ceiling_m]).toEqual(['The arch', 90]);
    expect(fresh.subjects).toEqual([
      { id: 'a', name: 'arch', east_m: 5, north_m: 6, base_m: 1, up_m: 3, route: null },
    ]);
    expect(fresh.document.ground?.spots).toHaveLength(1);
    const twice = withImport(fresh, found, false);
    expect(twice.document.solids).toHaveLength(2);
    // What shots aim at keeps its id; what came second gets one of its own.
    expect(twice.subjects.map((one) => one.id)).toEqual(['a', 'a-2']);
    expect(new Set(withImport(twice, found, false).subjects.map((one) => one.id)).size).toBe(3);
    expect(withImport(EMPTY, found, false).document.home).toEqual(EMPTY.document.home);
  });
});
