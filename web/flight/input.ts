// Fingers from whatever is at hand: keys that rise and fall, a controller as somebody set it up, pads on a touch screen, a mouse wheel.
// Read once a step. What was used is kept, since a key is no stick.
import type { Fingers } from './sheet';
import { REST } from './sheet';

export type Axis = keyof Fingers;
export type Pads = { left: [Axis, Axis]; right: [Axis, Axis] };
export type Device = 'keyboard' | 'gamepad' | 'touch' | 'mouse';

/** Keys by where they stand: left stick, right stick, wheel; across, then up. */
export const KEYS: Record<string, ['left' | 'right' | 'wheel', 0 | 1, 1 | -1]> = {
  a: ['left', 0, -1],
  d: ['left', 0, 1],
  s: ['left', 1, -1],
  w: ['left', 1, 1],
  j: ['right', 0, -1],
  l: ['right', 0, 1],
  k: ['right', 1, -1],
  i: ['right', 1, 1],
  u: ['wheel', 1, 1],
  m: ['wheel', 1, -1],
};

/** How a finger is read from a controller. */
export type Source =
  | { kind: 'axis'; index: number; sign: 1 | -1; centre: number; low: number; high: number; dead: number }
  | { kind: 'buttons'; up: number; down: number };

export type Mapping = Record<Axis, Source | null>;

export type KeyFeel = {
  /** Travel that a key reaches at last. */
  reach: number;
  /** Seconds until it is there, and until it is back. */
  rise: number;
  fall: number;
};

export const KEY_FEEL: KeyFeel = { reach: 0.6, rise: 0.9, fall: 0.7 };

/** A notch of the mouse wheel holds the tilt so far and so long: travel, and s. */
const NOTCH = { travel: 0.35, seconds: 0.18 };

/** An untaught controller whose browser names its layout: two sticks, triggers for the wheel. */
export function usual(pads: Pads): Mapping {
  const axis = (index: number, sign: 1 | -1): Source => ({
    kind: 'axis',
    index,
    sign,
    centre: 0,
    low: -1,
    high: 1,
    dead: 0.04,
  });
  const mapping: Mapping = { climb: null, turn: null, run: null, slide: null, tilt: null };
  mapping[pads.left[0]] = axis(0, 1);
  mapping[pads.left[1]] = axis(1, -1);
  mapping[pads.right[0]] = axis(2, 1);
  mapping[pads.right[1]] = axis(3, -1);
  mapping.tilt = { kind: 'buttons', up: 7, down: 6 };
  return mapping;
}

/** Travel of one source: what lies within its dead zone is rest, and from there it goes on without a step. */
export function travelOf(
  source: Source,
  pad: { axes: readonly number[]; buttons: readonly { value: number }[] },
): number {
  if (source.kind === 'buttons')
    return (pad.buttons[source.up]?.value ?? 0) - (pad.buttons[source.down]?.value ?? 0);
  const value = (pad.axes[source.index] ?? source.centre) - source.centre;
  const reach = value > 0 ? source.high - source.centre : source.centre - source.low;
  const share = reach > 0 ? value / reach : 0;
  const size = Math.abs(share);
  if (size <= source.dead) return 0;
  return source.sign * Math.sign(share) * Math.min(1, (size - source.dead) / (1 - source.dead));
}

export class Input {
  private readonly held = new Set<string>();
  private keyed: Fingers = { ...REST };
  private touched: Partial<Fingers> = {};
  private notch = { travel: 0, left: 0 };
  private readonly used = new Set<Device>();
  padName = '';
  /** Whether a controller that was read is gone. */
  lost = false;
  private had = false;
  private pressedAt: number | null = null;
  /** Told when a key was pressed or let go. */
  onPress: (() => void) | null = null;

  constructor(
    private readonly pads: Pads,
    /** +1, or -1 where the wheel is turned the other way. */
    private readonly wheel: 1 | -1,
    public mapping: Mapping,
    public feel: KeyFeel = KEY_FEEL,
    private readonly gamepads: () => (Gamepad | null)[] = () => navigator.getGamepads?.() ?? [],
  ) {}

  /**
   * @param at  when it was pressed, ms of the page's clock
   * @returns whether the key is one of the fingers
   */
  key(name: string, down: boolean, at = performance.now()): boolean {
    const key = name.toLowerCase();
    if (KEYS[key] === undefined) return false;
    this.pressedAt = at;
    if (down) {
      this.held.add(key);
      this.used.add('keyboard');
    } else this.held.delete(key);
    this.onPress?.();
    return true;
  }

  letGo(): void {
    this.held.clear();
    this.touched = {};
  }

  touch(next: Partial<Fingers>): void {
    this.touched = { ...this.touched, ...next };
    this.used.add('touch');
  }

  wheelTurned(up: number): void {
    this.notch = { travel: Math.sign(up) * NOTCH.travel, left: NOTCH.seconds };
    this.used.add('mouse');
  }

  /** The fingers for one step of so many seconds. */
  read(dt: number): Fingers {
    if (this.pressedAt !== null) {
      performance.measure('larkspur:felt', { start: this.pressedAt });
      this.pressedAt = null;
    }
    const fingers = { ...this.press(dt) };
    const pad = this.pad();
    if (pad !== null) {
      for (const axis of Object.keys(this.mapping) as Axis[]) {
        const source = this.mapping[axis];
        const value = source === null ? 0 : travelOf(source, pad);
        if (value !== 0) {
          fingers[axis] = value;
          this.used.add('gamepad');
        }
      }
    }
    for (const axis of Object.keys(this.touched) as Axis[]) {
      const value = this.touched[axis] ?? 0;
      if (value !== 0) fingers[axis] = value;
    }
    if (this.notch.left > 0) {
      fingers.tilt = this.notch.travel;
      this.notch.left -= dt;
    }
    fingers.tilt *= this.wheel;
    return fingers;
  }

  private pad(): Gamepad | null {
    // Of two at once the one that moved last leads: browsers say when.
    const all = this.gamepads().filter(
      (one): one is Gamepad => one?.connected === true && one.axes.length >= 2,
    );
    const pad = all.reduce<Gamepad | null>(
      (best, one) => (best === null || one.timestamp > best.timestamp ? one : best),
      null,
    );
    this.lost = this.had && pad === null && this.used.has('gamepad');
    this.had ||= pad !== null;
    if (pad !== null) this.padName = pad.id;
    return pad;
  }

  private press(dt: number): Fingers {
    const wanted: Fingers = { ...REST };
    for (const key of this.held) {
      const [pad, along, sign] = KEYS[key] as (typeof KEYS)[string];
      wanted[pad === 'wheel' ? 'tilt' : this.pads[pad][along]] += sign * this.feel.reach;
    }
    for (const axis of Object.keys(wanted) as Axis[]) {
      const rising = Math.abs(wanted[axis]) > Math.abs(this.keyed[axis]);
      const seconds = rising ? this.feel.rise : this.feel.fall;
      const most = seconds <= 0 ? 2 : (this.feel.reach * dt) / seconds;
      this.keyed[axis] += Math.max(-most, Math.min(most, wanted[axis] - this.keyed[axis]));
    }
    return this.keyed;
  }

  /** What was in the hands: one kind, or mixed. */
  get device(): Device | 'mixed' | 'none' {
    const kinds = [...this.used];
    return kinds.length === 0 ? 'none' : kinds.length === 1 ? (kinds[0] as Device) : 'mixed';
  }
}
