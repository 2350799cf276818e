import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { afterEach, describe, expect, it, vi } from 'vitest';
import type { Schemas } from '~/api/client';
import { answer, draw } from '~/testing/page';
import { Axes } from './Axes';
import { playedInWords } from './fingering';
import { MoveList } from './MoveList';
import { WhatGoesWrong } from './WhatGoesWrong';
import { Words } from './Words';

afterEach(() => vi.unstubAllGlobals());

const move = (id: string, change: Partial<Schemas['Move']> = {}): Schemas['Move'] => ({
  id,
  name: id.charAt(0).toUpperCase() + id.slice(1),
  group: 'toward',
  group_words: 'Goes toward it',
  level: 1,
  level_words: 'first days',
  axes: 1,
  fingering: [],
  needs: [],
  does: 'Does it.',
  clean: 'Clean.',
  caution: '',
  faults: [],
  parameters: [],
  called: [],
  ...change,
});
const library = [
  move('push-in'),
  move('skim', { axes: 2, level: 2, level_words: 'two fingers', does: 'Grass slides under the lens.' }),
  move('orbit', {
    group: 'around',
    group_words: 'Goes round it',
    axes: 2,
    level: 3,
    level_words: 'practised',
    called: ['parallax', 'arc'],
  }),
];
const headings = () => screen.getAllByRole('heading', { level: 2 }).map((item) => item.textContent);

const BY_ITSELF = [
  {
    id: 'circle',
    name: 'Circle by itself',
    does: 'Goes once round.',
    by_hand: 'orbit',
    by_hand_name: 'Orbit',
    steps: [],
  },
];

describe('the list of moves', () => {
  it('is sorted by what a move does, by its axes, or by its level', () => {
    draw(<MoveList moves={library} machine={[]} chosen="push-in" onChoose={vi.fn()} onMachine={vi.fn()} />);
    expect(headings()).toEqual(['Goes toward it', 'Goes round it']);
    fireEvent.click(screen.getByRole('radio', { name: 'Axes' }));
    expect(headings()).toEqual(['One axis', 'Two axes']);
    fireEvent.click(screen.getByRole('radio', { name: 'Level' }));
    expect(headings()).toEqual(['Level 1: first days', 'Level 2: two fingers', 'Level 3: practised']);
  });

  it('is searched by name and by what a move does to the picture', () => {
    draw(<MoveList moves={library} machine={[]} chosen="push-in" onChoose={vi.fn()} onMachine={vi.fn()} />);
    const box = screen.getByLabelText('Look for a move');
    fireEvent.change(box, { target: { value: 'GRASS' } });
    expect(within(screen.getByRole('navigation')).getAllByRole('button')).toHaveLength(1);
    fireEvent.change(box, { target: { value: 'parallax' } });
    expect(
      within(screen.getByRole('navigation')).getByRole('button').textContent,
      'by the trade’s word',
    ).toBe('Orbit');
    fireEvent.change(box, { target: { value: 'somersault' } });
    expect(screen.getByText('No move goes by that.')).toBeTruthy();
  });

  it('says which one is shown, and hands over the one that is pressed', () => {
    const onChoose = vi.fn();
    const onMachine = vi.fn();
    draw(
      <MoveList
        moves={library}
        machine={BY_ITSELF}
        chosen="orbit"
        onChoose={onChoose}
        onMachine={onMachine}
      />,
    );
    expect(screen.getByRole('button', { current: 'page' }).textContent).toBe('Orbit');
    fireEvent.click(screen.getByRole('button', { name: 'Skim' }));
    expect(onChoose).toHaveBeenCalledWith('skim');
    fireEvent.click(screen.getByRole('button', { name: 'Circle by itself' }));
    expect(onMachine, 'which is no move to be planned').toHaveBeenCalledWith('circle');
  });
});

describe('the fingers of a move in words', () => {
  const finger = (name: string, way: string, group: number, optional = false) =>
    ({ finger: name, way, group, optional }) as Schemas['MoveFinger'];

  it('say who leads, who follows, and which way', () => {
    expect(playedInWords([finger('slide', '±', 0), finger('turn', '∓', 1)])).toBe(
      'Slide, then turn the other way.',
    );
    expect(
      playedInWords([finger('climb', '+', 0), finger('run', '-', 0), finger('tilt', '-', 1, true)]),
    ).toBe('Climb up with run back, then tilt down if you like.');
  });

  it('say that nothing moves where nothing does', () => {
    expect(playedInWords([])).toBe('No finger plays: nothing moves.');
  });
});

describe('what goes wrong', () => {
  const faults = [
    { id: 'kick', name: 'Kick', cue: 'Freeze the thumb.' },
    { id: 'drift', name: 'Drift', cue: 'Watch the size.' },
  ];
  const flown = (change: Partial<Schemas['LessonFlight']> = {}) =>
    ({
      fault: null,
      from_s: 0,
      score: 98.4,
      faults: [],
      headline: 'Keep',
      told_otherwise: null,
      ...change,
    }) as Schemas['LessonFlight'];

  it('lists each fault with the cue against it, and puts one in and out again', () => {
    const onFault = vi.fn();
    const { rerender } = draw(
      <WhatGoesWrong move={move('orbit', { faults })} fault={null} onFault={onFault} flown={flown()} />,
    );
    expect(screen.getByText(/practised hand it scores/).textContent).toContain('98');
    fireEvent.click(screen.getByRole('button', { name: /Kick.*Freeze the thumb/ }));
    expect(onFault).toHaveBeenLastCalledWith('kick');
    rerender(
      <WhatGoesWrong move={move('orbit', { faults })} fault="kick" onFault={onFault} flown={flown()} />,
    );
    const pressed = screen.getByRole('button', { pressed: true });
    fireEvent.click(pressed);
    expect(onFault).toHaveBeenLastCalledWith(null);
  });

  it('says what the fault cost and where it was heard', () => {
    const named = [
      { id: 'kick', name: 'Kick', axis: 'turn', t_s: 64.2, severity: 'clear', picture: 'The picture jumps.' },
    ];
    draw(
      <WhatGoesWrong
        move={move('orbit', { faults })}
        fault="kick"
        onFault={vi.fn()}
        flown={flown({
          fault: 'kick',
          score: 71.6,
          headline: 'Fly again',
          faults: named as Schemas['LessonFlight']['faults'],
        })}
      />,
    );
    expect(screen.getByRole('status').textContent).toBe(
      'So flown it scores 72: fly again.Kick at 1:04.2. The picture jumps.',
    );
  });

  it('says why a fault does not come out by its name, and tells the one put in before what it brought along', () => {
    const found = (id: string, name: string) =>
      ({ id, name, axis: 'turn', t_s: 3, severity: 'clear', picture: 'It shows.' }) as Schemas['LessonFault'];
    const told = (change: Partial<Schemas['LessonFlight']>) => {
      const { unmount } = draw(
        <WhatGoesWrong
          move={move('orbit', { faults })}
          fault="drift"
          onFault={vi.fn()}
          flown={flown({ fault: 'drift', score: 74, headline: 'Fly again', ...change })}
        />,
      );
      const text = screen.getByRole('status').textContent ?? '';
      unmount();
      return text;
    };
    const many = ['a', 'b', 'c'].map((id) => found(id, id.toUpperCase()));
    expect(told({ faults: [...many, found('drift', 'Drift')] })).toMatch(/again\.Drift at .*A at .*B at/);
    expect(told({ faults: many, told_otherwise: 'It shows as A.' })).toContain('again.It shows as A.A at');
    expect(told({ faults: [] })).toContain('it is not named');
  });

  it('does not judge by a flight of the fault before', () => {
    draw(
      <WhatGoesWrong
        move={move('orbit', { faults })}
        fault="drift"
        onFault={vi.fn()}
        flown={flown({ fault: 'kick', score: 71 })}
      />,
    );
    expect(screen.queryByRole('status')).toBeNull();
  });
});

describe('which axes make what', () => {
  const all = {
    with_zoom: [{ axes: 1, count: 12 }],
    without_zoom: [
      { axes: 1, count: 10 },
      { axes: 2, count: 40 },
    ],
    all: [
      { axes: { slide: 1, turn: -1 }, moves: ['orbit'] },
      { axes: { slide: 1 }, moves: [] },
    ],
  };
  const open = (onChoose = vi.fn()) => {
    answer({ 'GET /combinations': { body: all } });
    draw(<Axes open onClose={vi.fn()} moves={library} onChoose={onChoose} />);
    return onChoose;
  };
  const press = (finger: string, way: string) =>
    fireEvent.click(
      within(screen.getByRole('radiogroup', { name: `The ${finger} finger` })).getByRole('radio', {
        name: way,
      }),
    );

  it('names the move that the pressed fingers make, and leads to it', async () => {
    const onChoose = open();
    fireEvent.click(await screen.findByRole('button', { name: 'Orbit' }));
    expect(onChoose).toHaveBeenCalledWith('orbit');
  });

  it('says where there is no name, and where nothing moves', async () => {
    open();
    await screen.findByRole('button', { name: 'Orbit' });
    press('turn', 'rests');
    expect(screen.getByText(/One axis, and no name/)).toBeTruthy();
    press('slide', 'rests');
    expect(screen.getByText(/locked-off/)).toBeTruthy();
    press('run', 'ahead');
    press('climb', 'up');
    expect(screen.getByText(/2 axes at once, and no name/)).toBeTruthy();
  });

  it('counts them', async () => {
    open();
    expect((await screen.findByText(/ways to move/)).textContent).toMatch(
      /50 ways to move \(10, 40 .*of which 1 have a name/,
    );
  });
});

describe('the words', () => {
  it('each have their meanings and ours', async () => {
    answer({
      'GET /glossary': { body: [{ word: 'circle', meanings: ['Round.', 'Turned.'], ours: 'Orbit.' }] },
    });
    draw(<Words open onClose={vi.fn()} />);
    expect(await screen.findByText('circle')).toBeTruthy();
    expect(screen.getAllByRole('listitem')).toHaveLength(2);
    expect(screen.getByText('Here: Orbit.')).toBeTruthy();
  });

  it('are not fetched before they are wanted', async () => {
    const asked = answer({});
    draw(<Words open={false} onClose={vi.fn()} />);
    await waitFor(() => expect(asked).toHaveLength(0));
  });
});
