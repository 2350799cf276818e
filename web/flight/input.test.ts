import { describe, expect, it } from 'vitest';
import { Input, type Mapping, type Pads, travelOf, usual } from './input';

const MODE2: Pads = { left: ['turn', 'climb'], right: ['slide', 'run'] };
const MODE1: Pads = { left: ['turn', 'run'], right: ['slide', 'climb'] };

const gamepad = (axes: number[], buttons: number[] = [], more: Partial<Gamepad> = {}): Gamepad =>
  ({
    id: 'two sticks',
    connected: true,
    timestamp: 1,
    axes,
    buttons: buttons.map((value) => ({ value, pressed: value > 0.5, touched: false })),
    ...more,
  }) as Gamepad;

const input = (pads: Pads, pad: () => (Gamepad | null)[] = () => [], wheel: 1 | -1 = 1) =>
  new Input(pads, wheel, usual(pads), { reach: 0.6, rise: 0.3, fall: 0.3 }, pad);

describe('fingers from whatever is at hand', () => {
  it('a key rises and falls, and plays what its stick plays in this mode', () => {
    const two = input(MODE2);
    two.key('w', true);
    expect(two.read(0.1).climb).toBeCloseTo(0.2);
    for (let k = 0; k < 5; k++) two.read(0.1);
    expect(two.read(0.02).climb).toBeCloseTo(0.6);
    two.key('w', false);
    expect(two.read(0.1).climb).toBeCloseTo(0.4);
    const one = input(MODE1);
    one.key('W', true);
    expect(one.read(1).run).toBeCloseTo(0.6);
    expect(one.device).toBe('keyboard');
    expect(one.key('q', true)).toBe(false);
  });

  it('a controller is read through its dead zone without a step, in its own range and direction', () => {
    const source = {
      kind: 'axis',
      index: 1,
      sign: -1,
      centre: 0.1,
      low: -0.7,
      high: 0.9,
      dead: 0.1,
    } as const;
    const at = (value: number) => travelOf(source, { axes: [0, value], buttons: [] });
    expect(at(0.1)).toBe(0);
    expect(at(0.17)).toBe(0);
    expect(at(0.19)).toBeCloseTo(-0.0139, 3);
    expect(at(0.9)).toBe(-1);
    expect(at(-0.7)).toBe(1);
    expect(at(-9)).toBe(1);
  });

  it('a wheel may be two buttons, and may be turned the other way', () => {
    const buttons = [0, 0, 0, 0, 0, 0, 0.2, 0.9];
    expect(input(MODE2, () => [gamepad([0, 0, 0, 0], buttons)]).read(0.02).tilt).toBeCloseTo(0.7);
    expect(input(MODE2, () => [gamepad([0, 0, 0, 0], buttons)], -1).read(0.02).tilt).toBeCloseTo(-0.7);
  });

  it('with two axes only there are two fingers; none goes beyond its stop', () => {
    const few = input(MODE2, () => [gamepad([1.4, -3])]);
    expect(few.read(0.02)).toEqual({ climb: 1, turn: 1, run: 0, slide: 0, tilt: 0 });
    expect(few.device).toBe('gamepad');
  });

  it('of two controllers the one that moved last leads; one that vanishes in flight is told', () => {
    let pads: (Gamepad | null)[] = [
      gamepad([0.5, 0, 0, 0], [], { timestamp: 5 }),
      gamepad([-1, 0, 0, 0], [], { id: 'other', timestamp: 9 }),
    ];
    const both = input(MODE2, () => pads);
    expect(both.read(0.02).turn).toBe(-1);
    expect(both.padName).toBe('other');
    expect(both.lost).toBe(false);
    pads = [null, null];
    expect(both.read(0.02).turn).toBe(0);
    expect(both.lost).toBe(true);
  });

  it('touch leads over a resting stick, the mouse wheel holds a notch, and what was mixed is called so', () => {
    const hands = input(MODE2);
    hands.touch({ run: 0.4 });
    expect(hands.read(0.02).run).toBe(0.4);
    hands.wheelTurned(1);
    expect(hands.read(0.02).tilt).toBeGreaterThan(0);
    for (let k = 0; k < 20; k++) hands.read(0.02);
    expect(hands.read(0.02).tilt).toBe(0);
    expect(hands.device).toBe('mixed');
    hands.letGo();
    expect(hands.read(0.02).run).toBe(0);
  });

  it('what a controller was taught is what is read', () => {
    const mapping: Mapping = {
      ...usual(MODE2),
      tilt: { kind: 'axis', index: 4, sign: 1, centre: -1, low: -3, high: 1, dead: 0.02 },
    };
    const taught = input(MODE2, () => [gamepad([0, 0, 0, 0, 1])]);
    taught.mapping = mapping;
    expect(taught.read(0.02).tilt).toBe(1);
  });
});
