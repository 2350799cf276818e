// The drawing board under a hand: what a tap puts, what a drag moves, what the keys do.
import { fireEvent, screen } from '@testing-library/react';
import { useEffect, useState } from 'react';
import { afterEach, beforeEach, describe, expect, it, type Mock, vi } from 'vitest';
import { draw, giveSize } from '~/testing/page';
import { DrawBoard } from './DrawBoard';
import { added, type Chosen, type Drawing, EMPTY, made, type Tool } from './drawing';

beforeEach(() => giveSize(400, 400));
afterEach(() => vi.unstubAllGlobals());

/** A site with a house in the middle and people before it. */
function site(): Drawing {
  const house = made('box', [[0, 0]]);
  const people = made('people', [
    [10, -20],
    [20, -20],
    [20, -10],
  ]);
  if (!house || !people) throw new Error('nothing was made');
  return added(added(EMPTY, house.list, house.item).drawing, people.list, people.item).drawing;
}

type StationProps = {
  first: Drawing;
  choosing: Chosen | null;
  tool: Tool;
  told: { made: Mock; takeOff: Mock; done: Mock };
  seen: (drawing: Drawing, chosen: Chosen | null) => void;
};

/** What a station does with the board: it keeps the drawing and what is chosen. */
function Station({ first, choosing, tool, told, seen }: StationProps) {
  const [drawing, setDrawing] = useState(first);
  const [chosen, setChosen] = useState<Chosen | null>(choosing);
  useEffect(() => seen(drawing, chosen), [seen, drawing, chosen]);
  return (
    <DrawBoard
      drawing={drawing}
      chosen={chosen}
      tool={tool}
      snap
      units="metric"
      onChoose={setChosen}
      onDrag={setDrawing}
      onDone={(next) => {
        told.done(next);
        setDrawing(next);
      }}
      onMade={told.made}
      onTakeOff={told.takeOff}
    />
  );
}

function shown(tool: Tool, first: Drawing = site(), choosing: Chosen | null = null) {
  const told = { made: vi.fn(), takeOff: vi.fn(), done: vi.fn() };
  let now = first;
  let chosen: Chosen | null = choosing;
  const seen = (drawing: Drawing, picked: Chosen | null) => {
    now = drawing;
    chosen = picked;
  };
  draw(<Station first={first} choosing={choosing} tool={tool} told={told} seen={seen} />);
  const board = screen.getByRole('application');
  return { ...told, board, drawing: () => now, chosen: () => chosen };
}

const at = (clientX: number, clientY: number) => ({ pointerId: 1, button: 0, buttons: 1, clientX, clientY });
const tap = (on: Element, x: number, y: number) => {
  fireEvent.pointerDown(on, at(x, y));
  fireEvent.pointerUp(on, at(x, y));
};

describe('with a tool in hand', () => {
  it('a tap puts a thing of one place', () => {
    const { board, made: put } = shown('observer');
    tap(board, 200, 200);
    expect(put).toHaveBeenCalledOnce();
    expect(put.mock.lastCall?.[0].list).toBe('observers');
  });

  it('a drag moves the board and puts nothing', () => {
    const { board, made: put } = shown('box');
    const house = () => board.querySelector('[data-thing^=box]')?.outerHTML;
    const before = house();
    fireEvent.pointerDown(board, at(200, 200));
    fireEvent.pointerMove(board, at(230, 200));
    fireEvent.pointerMove(board, at(260, 200));
    fireEvent.pointerUp(board, at(260, 200));
    expect(put).not.toHaveBeenCalled();
    expect(house()).not.toBe(before);
  });

  it('several taps draw an outline, and one on its beginning closes it', () => {
    const { board, made: put } = shown('water');
    for (const [x, y] of [
      [100, 100],
      [160, 100],
      [160, 160],
    ] as const)
      tap(board, x, y);
    expect(put).not.toHaveBeenCalled();
    expect(screen.getByText(/Press the first corner again/)).toBeTruthy();
    tap(board, 101, 101);
    expect(put).toHaveBeenCalledOnce();
    expect(put.mock.lastCall?.[0].item.points).toHaveLength(3);
  });

  it('Escape drops what was begun, and Enter puts the thing in the middle', () => {
    const { board, made: put } = shown('wire');
    tap(board, 100, 100);
    fireEvent.keyDown(board, { key: 'Escape' });
    expect(screen.queryByText(/Press the first corner again/)).toBeNull();
    fireEvent.keyDown(board, { key: 'Enter' });
    expect(put.mock.lastCall?.[0].item.points).toHaveLength(2);
  });

  it('take-off is put where it is tapped', () => {
    const { board, takeOff } = shown('take-off');
    tap(board, 200, 200);
    expect(takeOff).toHaveBeenCalledOnce();
  });
});

describe('without a tool', () => {
  const houseOn = (board: Element) => {
    const found = board.querySelector('[data-thing^=box]');
    if (!found) throw new Error('no house on the board');
    return found;
  };

  it('a tap chooses a thing, and one beside it lets it go', () => {
    const { board, chosen } = shown('choose');
    tap(houseOn(board), 200, 200);
    expect(chosen()).toEqual({ list: 'solids', index: 0 });
    tap(board, 5, 5);
    expect(chosen()).toBeNull();
  });

  it('a drag moves the thing, and is one step to be undone', () => {
    const { board, drawing, done, chosen } = shown('choose');
    const house = houseOn(board);
    fireEvent.pointerDown(house, at(200, 200));
    for (const x of [210, 240, 280]) fireEvent.pointerMove(house, at(x, 200));
    fireEvent.pointerUp(house, at(280, 200));
    expect(chosen()).toEqual({ list: 'solids', index: 0 });
    expect(drawing().document.solids[0]?.east_m).toBeGreaterThan(1);
    expect(drawing().document.solids[0]?.north_m).toBe(0);
    expect(done).toHaveBeenCalledOnce();
  });

  it('arrow keys nudge what is chosen, farther with the shift key', () => {
    const { board, drawing } = shown('choose', site(), { list: 'solids', index: 0 });
    fireEvent.keyDown(board, { key: 'ArrowRight' });
    fireEvent.keyDown(board, { key: 'ArrowUp', shiftKey: true });
    expect([drawing().document.solids[0]?.east_m, drawing().document.solids[0]?.north_m]).toEqual([0.5, 5]);
  });

  it('a corner is dragged by itself', () => {
    const { board, drawing } = shown('choose', site(), { list: 'areas', index: 0 });
    const corner = board.querySelector('[data-corner="1"]');
    if (!corner) throw new Error('no corner to be seen');
    const before = drawing().document.areas?.[0]?.points ?? [];
    fireEvent.pointerDown(corner, at(200, 200));
    for (const x of [220, 260, 300]) fireEvent.pointerMove(corner, at(x, 200));
    fireEvent.pointerUp(corner, at(300, 200));
    const after = drawing().document.areas?.[0]?.points ?? [];
    expect([after[0], after[2]]).toEqual([before[0], before[2]]);
    expect(after[1]).not.toEqual(before[1]);
  });

  it('plus and minus come nearer and go farther', () => {
    const { board } = shown('choose');
    const house = () => houseOn(board).outerHTML;
    const before = house();
    fireEvent.keyDown(board, { key: '+' });
    expect(house()).not.toBe(before);
    fireEvent.keyDown(board, { key: '-' });
    expect(house()).toBe(before);
  });
});
