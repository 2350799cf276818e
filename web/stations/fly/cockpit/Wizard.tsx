// Teaches Larkspur a controller, finger by finger: push all the way and let go. It finds the axis, its direction, its range, where it
// rests and how much that rest trembles. A wheel may be an axis or two buttons.
import { useEffect, useRef, useState } from 'react';
import { type Axis, type Mapping, type Source, travelOf } from '~/flight/input';
import { Button } from '~/kit/Button';

const ASK: Record<Axis, string> = {
  climb: 'Push the stick that climbs all the way up, then let it go.',
  turn: 'Push the stick that turns all the way to the right, then let it go.',
  run: 'Push the stick that runs ahead all the way, then let it go.',
  slide: 'Push the stick that slides all the way to the right, then let it go.',
  tilt: 'Turn the wheel that tilts up all the way, then let it go. Two buttons will do: press the one for up.',
};

type Seen = { rest: number[]; noise: number[]; low: number[]; high: number[] };

type Props = { axes: Axis[]; onDone: (mapping: Mapping, name: string) => void; onCancel: () => void };

/** A push counts from this on, share of an axis' whole range of 2. */
const PUSHED = 0.45;

export function Wizard({ axes, onDone, onCancel }: Props) {
  const [at, setAt] = useState(0);
  const [mapping, setMapping] = useState<Mapping>({
    climb: null,
    turn: null,
    run: null,
    slide: null,
    tilt: null,
  });
  const [live, setLive] = useState<number[]>([]);
  const [name, setName] = useState('');
  const [second, setSecond] = useState<number | null>(null);
  const seen = useRef<Seen | null>(null);
  const asked = axes[at];

  useEffect(() => {
    let frame = 0;
    let frames = 0;
    const read = () => {
      frame = requestAnimationFrame(read);
      const pad = navigator.getGamepads?.().find((one) => one !== null);
      if (pad == null) {
        seen.current = null;
        setName('');
        return;
      }
      if (seen.current === null) {
        // What it shows untouched is its rest; its tremble is learnt over the first frames.
        seen.current = {
          rest: [...pad.axes],
          noise: pad.axes.map(() => 0),
          low: [...pad.axes],
          high: [...pad.axes],
        };
        setName(pad.id);
      }
      const held = seen.current;
      pad.axes.forEach((value, k) => {
        if (frames < 30) held.noise[k] = Math.max(held.noise[k] ?? 0, Math.abs(value - (held.rest[k] ?? 0)));
        held.low[k] = Math.min(held.low[k] ?? value, value);
        held.high[k] = Math.max(held.high[k] ?? value, value);
      });
      if (frames++ % 4 === 0) setLive([...pad.axes]);
      if (asked !== undefined && frames > 30) found(pad, held);
    };
    const found = (pad: Gamepad, held: Seen) => {
      const button = pad.buttons.findIndex((one) => one.value > 0.7);
      if (asked === 'tilt' && button >= 0) {
        if (second === null) setSecond(button);
        else if (button !== second) next({ kind: 'buttons', up: second, down: button });
        return;
      }
      const axis = pad.axes.findIndex((value, k) => {
        const pushed = Math.max(
          (held.high[k] ?? 0) - (held.rest[k] ?? 0),
          (held.rest[k] ?? 0) - (held.low[k] ?? 0),
        );
        // Pushed all the way and come back.
        return pushed > PUSHED && Math.abs(value - (held.rest[k] ?? 0)) < 0.12 && !taken(k);
      });
      if (axis < 0) return;
      const centre = held.rest[axis] ?? 0;
      const up = (held.high[axis] ?? 0) - centre;
      const down = centre - (held.low[axis] ?? 0);
      const reach = Math.max(up, down);
      next({
        kind: 'axis',
        index: axis,
        sign: up >= down ? 1 : -1,
        centre,
        low: centre - reach,
        high: centre + reach,
        dead: Math.min(0.2, 0.02 + 2 * (held.noise[axis] ?? 0)),
      });
    };
    const taken = (k: number) =>
      Object.values(mapping).some((one) => one?.kind === 'axis' && one.index === k);
    const next = (source: Source) => {
      if (asked === undefined) return;
      setMapping((now) => ({ ...now, [asked]: source }));
      setSecond(null);
      seen.current = null;
      frames = 0;
      setAt((now) => now + 1);
    };
    frame = requestAnimationFrame(read);
    return () => cancelAnimationFrame(frame);
  }, [asked, mapping, second]);

  return (
    <>
      <h2>Teach your controller</h2>
      <p className="m-0 text-sm text-ink-soft">
        {name === '' ? 'No controller is seen yet. Plug it in and press any of its buttons.' : name}
      </p>
      {asked !== undefined ? (
        <p className="m-0 text-lg" aria-live="polite" data-role="ask">
          {second === null ? ASK[asked] : 'Now press the button that tilts down.'}
        </p>
      ) : (
        <p className="m-0 text-lg">Taught. Move each finger: the bars follow.</p>
      )}
      <div className="grid gap-1">
        {axes.map((axis) => {
          const source = mapping[axis];
          const pad = {
            axes: live,
            buttons: navigator.getGamepads?.().find((one) => one !== null)?.buttons ?? [],
          };
          const value = source === null ? 0 : travelOf(source, pad);
          return (
            <div key={axis} className="grid grid-cols-[4rem_1fr_8rem] gap-2 items-center">
              <span style={{ color: `var(--${axis})` }}>{axis}</span>
              <span className="relative h-4 bg-haze rounded-md overflow-hidden">
                <span
                  className="absolute inset-y-0 w-2"
                  style={{ left: `calc(${50 + 48 * value}% - 4px)`, background: `var(--${axis})` }}
                />
              </span>
              <span className="text-sm text-ink-soft">{saidOf(source)}</span>
            </div>
          );
        })}
      </div>
      <div className="flex flex-wrap gap-2">
        <Button primary disabled={name === ''} onClick={() => onDone(mapping, name)}>
          {asked === undefined ? 'Keep it' : 'Keep what is taught'}
        </Button>
        {asked === 'tilt' && <Button onClick={() => setAt(at + 1)}>I have no wheel</Button>}
        <Button onClick={onCancel}>Leave it</Button>
      </div>
    </>
  );
}

function saidOf(source: Source | null): string {
  if (source === null) return '';
  return source.kind === 'buttons'
    ? `buttons ${source.up + 1}, ${source.down + 1}`
    : `axis ${source.index + 1}, rests within ${Math.round(100 * source.dead)} %`;
}
