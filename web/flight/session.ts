// One practice flight while it is flown: steps the world at its own pace whatever the display does, keeps every finger of every step, and
// knows what was recorded, frozen, taken back or broken off. Holds no rule of the job: numbers come with the world.
import { begin, type Moment, step, type World } from './flight';
import { emptyTravel, fingersAt, kept, type Travel } from './recording';
import { type Fingers, REST } from './sheet';

export type Aid =
  | 'ghost'
  | 'ghost-fingers'
  | 'cue-sound'
  | 'cue-voice'
  | 'tone'
  | 'slow-75'
  | 'slow-50'
  | 'stepped-back'
  | 'frozen'
  | 'magnifier'
  | 'loop'
  | 'plain-world';

export type Span = [number, number];

/** Steps that are owed at most, s: a slow picture loses none, and a page that was held up for longer does not fly on by itself. */
const OWED = 1.5;

const FINGERS = ['climb', 'turn', 'run', 'slide', 'tilt'] as const;

export class Session {
  readonly travel: Travel = emptyTravel();
  readonly recorded: Span[] = [];
  readonly automated: Span[] = [];
  readonly aids = new Set<Aid>();
  /** The flight after each step, the beginning first: what a step back goes to. */
  readonly moments: Moment[];
  frozen = false;
  brokenOff = false;
  answered: { action: 'descend' | 'return' | 'hold'; step: number } | null = null;
  /** Whether somebody has taken what was recorded, to keep and send it: it is taken once. */
  private taken = false;
  /** Seconds of the craft for one of the clock. */
  pace: 1 | 0.75 | 0.5 = 1;
  private owed = 0;
  private last: number | null = null;
  private jolt = 0;
  private over = false;

  constructor(
    readonly world: World,
    /** How the press of record shakes the controller; null where it does not. */
    readonly jolts: { seconds: number; travel: number } | null,
  ) {
    this.moments = [begin(world)];
  }

  get now(): Moment {
    return this.moments[this.moments.length - 1] as Moment;
  }

  /** The flight one step ago: what is drawn lies between the two. */
  get before(): Moment {
    return this.moments[Math.max(0, this.moments.length - 2)] as Moment;
  }

  get steps(): number {
    return this.moments.length - 1;
  }

  get seconds(): number {
    return this.steps * this.world.response.step_s;
  }

  get isRecording(): boolean {
    const latest = this.recorded[this.recorded.length - 1];
    return latest !== undefined && latest[1] < 0;
  }

  get isOver(): boolean {
    return this.over || this.now.ending !== null;
  }

  /** Share of a step that the clock is past the latest one, 0 to 1: for drawing. */
  get between(): number {
    return Math.max(0, Math.min(1, this.owed / this.world.response.step_s));
  }

  /**
   * As many steps as the clock asks for; each reads the fingers anew.
   *
   * @param clock  ms
   * @param read  the fingers for one step, and whether the return home flies it
   * @param early  s by which a step may come before it is due: a finger that was just pressed is felt at once, the next step waits longer
   * @returns how many steps were flown
   */
  advance(clock: number, read: () => { fingers: Fingers; automated: boolean }, early = 0): number {
    const since = this.last === null ? 0 : Math.max(0, clock - this.last) / 1000;
    this.last = clock;
    if (this.frozen || this.isOver) return 0;
    this.owed = Math.min(OWED, this.owed + since * this.pace);
    let flown = 0;
    while (this.owed >= this.world.response.step_s - early - 1e-9 && !this.isOver) {
      this.owed -= this.world.response.step_s;
      const { fingers, automated } = read();
      this.fly(fingers, automated);
      flown++;
    }
    return flown;
  }

  private fly(fingers: Fingers, automated: boolean): void {
    const at = this.steps;
    const shake = this.jolts;
    const shaken =
      shake !== null && this.jolt > 0
        ? shake.travel * Math.sin((2 * Math.PI * this.jolt) / shake.seconds)
        : 0;
    if (this.jolt > 0) this.jolt = Math.max(0, this.jolt - this.world.response.step_s);
    for (const finger of FINGERS) {
      const jolted = finger === 'turn' || finger === 'climb' ? fingers[finger] + shaken : fingers[finger];
      this.travel[finger].push(kept(jolted));
    }
    const latest = this.automated[this.automated.length - 1];
    if (automated && latest !== undefined && latest[1] === at) latest[1] = at + 1;
    else if (automated) this.automated.push([at, at + 1]);
    this.moments.push(step(this.world, this.now, fingersAt(this.travel, at)));
    if (this.now.ending !== null) this.stop();
  }

  /**
   * The record button: begins, or ends what was begun. The press can shake the controller.
   *
   * @param itself  nobody presses it: a loop records by itself
   */
  pressRecord(itself = false): void {
    if (this.isOver) return;
    const latest = this.recorded[this.recorded.length - 1];
    if (latest !== undefined && latest[1] < 0) latest[1] = this.steps;
    else this.recorded.push([this.steps, -1]);
    if (this.jolts !== null && !itself) this.jolt = this.jolts.seconds;
  }

  /** Back by some seconds: the steps since are as if they had never been flown. */
  stepBack(seconds: number): void {
    const to = Math.max(0, this.steps - Math.round(seconds / this.world.response.step_s));
    this.moments.length = to + 1;
    for (const finger of FINGERS) this.travel[finger].length = to;
    for (const spans of [this.recorded, this.automated]) {
      // What was begun later than there has not been; a loop records from its first step on.
      while (spans.length > 0 && (spans[spans.length - 1] as Span)[0] >= Math.max(1, to)) spans.pop();
      const latest = spans[spans.length - 1];
      if (latest !== undefined && latest[1] > to) latest[1] = spans === this.recorded ? -1 : to;
    }
    this.owed = 0;
    this.jolt = 0;
    this.over = false;
    this.aids.add('stepped-back');
  }

  /** Ends the flight; what records ends with it. */
  stop(brokenOff = false): void {
    const latest = this.recorded[this.recorded.length - 1];
    if (latest !== undefined && latest[1] < 0) latest[1] = this.steps;
    this.brokenOff ||= brokenOff;
    this.over = true;
  }

  /** Ends the flight and hands it over; false where that was done before. */
  handOver(brokenOff = false): boolean {
    this.stop(brokenOff);
    const first = !this.taken;
    this.taken = true;
    return first;
  }

  /** Holds the flight where it is, or lets it go on. */
  freeze(): void {
    this.frozen = !this.frozen;
    if (this.frozen) this.aids.add('frozen');
  }

  /** What the fingers pressed at the latest step. */
  get fingers(): Fingers {
    return this.steps === 0 ? REST : fingersAt(this.travel, this.steps - 1);
  }
}
