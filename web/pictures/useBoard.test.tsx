// A sheet moved about by a hand: what lies under the fingers stays there, and all of it can be had back.
import { fireEvent, render, screen } from '@testing-library/react';
import { describe, expect, it, vi } from 'vitest';
import { BoardButtons } from './BoardButtons';
import { type Press, useBoard } from './useBoard';

type Shown = { east: number; north: number; per: number };

const SIZE = { width: 400, height: 200 };

function Board({ onPress }: { onPress?: (press: Press) => boolean }) {
  const board = useBoard({ east: 10, north: 20, per: 2 }, SIZE, onPress);
  const shown: Shown = {
    east: board.x.invert(SIZE.width / 2),
    north: board.y.invert(SIZE.height / 2),
    per: board.x.perUnit,
  };
  return (
    <div>
      <svg {...board.bind()} data-testid="board" data-shown={JSON.stringify(shown)}>
        <title>board</title>
        <circle data-testid="thing" r={4} />
      </svg>
      <BoardButtons board={board} />
    </div>
  );
}

const board = () => screen.getByTestId('board');
const shown = (): Shown => JSON.parse(board().dataset.shown ?? '{}');
const at = (clientX: number, clientY: number, pointerId = 1) => ({
  pointerId,
  buttons: 1,
  clientX,
  clientY,
});

function dragged(from: [number, number], to: [number, number], on: Element = board()): void {
  fireEvent.pointerDown(on, at(...from));
  fireEvent.pointerMove(on, at((from[0] + to[0]) / 2, (from[1] + to[1]) / 2));
  fireEvent.pointerMove(on, at(...to));
  fireEvent.pointerUp(on, at(...to));
}

describe('a board', () => {
  it('shows what fits until it is touched', () => {
    render(<Board />);
    expect(shown()).toEqual({ east: 10, north: 20, per: 2 });
  });

  it('follows a drag, to the east as to the north', () => {
    render(<Board />);
    dragged([100, 100], [140, 80]);
    // 40 px to the right and 20 up at 2 px a metre: what was there lies 20 m and 10 m farther off.
    expect(shown().east).toBeCloseTo(-10, 6);
    expect(shown().north).toBeCloseTo(10, 6);
    expect(shown().per).toBe(2);
  });

  it('comes nearer under the wheel, with what lies under it staying there', () => {
    render(<Board />);
    const under = ({ east, per }: Shown) => east + (300 - SIZE.width / 2) / per;
    const before = under(shown());
    fireEvent.wheel(board(), { deltaY: -120, clientX: 300, clientY: 100 });
    expect(shown().per).toBeGreaterThan(2);
    expect(under(shown())).toBeCloseTo(before, 6);
    fireEvent.wheel(board(), { deltaY: 120, clientX: 300, clientY: 100 });
    expect(shown().per).toBeCloseTo(2, 6);
  });

  it('comes nearer as two fingers part', () => {
    render(<Board />);
    fireEvent.pointerDown(board(), at(150, 100, 1));
    fireEvent.pointerDown(board(), at(250, 100, 2));
    for (const away of [10, 30, 50]) {
      fireEvent.pointerMove(board(), at(150 - away, 100, 1));
      fireEvent.pointerMove(board(), at(250 + away, 100, 2));
    }
    fireEvent.pointerUp(board(), at(100, 100, 1));
    fireEvent.pointerUp(board(), at(300, 100, 2));
    expect(shown().per).toBeGreaterThan(3.5);
    expect(shown().per).toBeLessThan(4.5);
    expect(shown().east, 'the middle of the fingers stays').toBeCloseTo(10, 0);
  });

  it('is moved by its buttons too, and shows all of it again', () => {
    render(<Board />);
    fireEvent.click(screen.getByRole('button', { name: 'Nearer' }));
    expect(shown()).toEqual({ east: 10, north: 20, per: 2.5 });
    fireEvent.click(screen.getByRole('button', { name: 'Farther' }));
    expect(shown().per).toBeCloseTo(2, 9);
    dragged([100, 100], [180, 100]);
    fireEvent.click(screen.getByRole('button', { name: 'All of it' }));
    expect(shown()).toEqual({ east: 10, north: 20, per: 2 });
  });

  it('goes no nearer and no farther than can be drawn', () => {
    render(<Board />);
    for (let k = 0; k < 30; k++) fireEvent.click(screen.getByRole('button', { name: 'Nearer' }));
    expect(shown().per).toBe(400);
    for (let k = 0; k < 60; k++) fireEvent.click(screen.getByRole('button', { name: 'Farther' }));
    expect(shown().per).toBeCloseTo(0.02, 9);
  });
});

describe('a press on a board', () => {
  it('is told as a tap where nothing moved, with its place in metres', () => {
    const onPress = vi.fn((_: Press) => false);
    render(<Board onPress={onPress} />);
    fireEvent.pointerDown(board(), at(220, 80));
    fireEvent.pointerUp(board(), at(220, 80));
    const told = onPress.mock.calls.map(([press]) => press).filter((press) => press.tap);
    expect(told).toHaveLength(1);
    expect(told[0]?.place).toEqual([20, 30]);
    expect(shown()).toEqual({ east: 10, north: 20, per: 2 });
  });

  it('that is taken does not move the board', () => {
    const presses: Press[] = [];
    render(
      <Board
        onPress={(press) => {
          presses.push(press);
          return true;
        }}
      />,
    );
    dragged([100, 100], [160, 100]);
    expect(shown().east).toBe(10);
    expect(presses[0]?.first).toBe(true);
    expect(presses.at(-1)?.last).toBe(true);
    expect(presses.at(-1)?.start).toEqual([-40, 20]);
    expect(presses.at(-1)?.place).toEqual([-10, 20]);
  });

  it('that a second finger turns into a pinch lets go of what it held', () => {
    const presses: Press[] = [];
    render(
      <Board
        onPress={(press) => {
          presses.push(press);
          return true;
        }}
      />,
    );
    fireEvent.pointerDown(board(), at(100, 100, 1));
    fireEvent.pointerMove(board(), at(120, 100, 1));
    fireEvent.pointerDown(board(), at(200, 100, 2));
    for (const away of [10, 30]) {
      fireEvent.pointerMove(board(), at(200 + away, 100, 2));
      fireEvent.pointerMove(board(), at(120 - away, 100, 1));
    }
    fireEvent.pointerUp(board(), at(90, 100, 1));
    fireEvent.pointerUp(board(), at(230, 100, 2));
    expect(presses.filter((press) => press.last)).toHaveLength(1);
  });
});
