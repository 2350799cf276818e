// Before the flight: what it is, what helps, what is in the hands. One key, and it flies.
import { useEffect, useState } from 'react';
import type { Input, KeyFeel, Mapping } from '~/flight/input';
import type { Aid } from '~/flight/session';
import { Button } from '~/kit/Button';
import { Dial } from '~/kit/Dial';
import { LOWEST_SUN } from '~/stage/siteScene';
import type { Exercise } from './practiceStore';
import { Wizard } from './Wizard';

const AIDS: { id: Aid; name: string }[] = [
  { id: 'ghost', name: 'Ghost craft along the plan' },
  { id: 'ghost-fingers', name: 'Fingers as planned' },
  { id: 'cue-sound', name: 'A beep when a finger is due' },
  { id: 'cue-voice', name: 'A voice: “now the tilt”' },
  { id: 'tone', name: 'A tone while the subject strays' },
];

type Props = {
  exercise: Exercise;
  input: Input;
  aids: ReadonlySet<Aid>;
  onAids: (aids: ReadonlySet<Aid>) => void;
  onTaught: (mapping: Mapping, name: string) => void;
  onFeel: (feel: KeyFeel) => void;
  onBegin: () => void;
};

export function Before({ exercise, input, aids, onAids, onTaught, onFeel, onBegin }: Props) {
  const [teaching, setTeaching] = useState(false);
  const [pad, setPad] = useState('');
  useEffect(() => {
    const look = window.setInterval(
      () => setPad(navigator.getGamepads?.().find((one) => one !== null)?.id ?? ''),
      400,
    );
    return () => window.clearInterval(look);
  }, []);
  const set = (aid: Aid, on: boolean) => {
    const next = new Set(aids);
    if (on) next.add(aid);
    else next.delete(aid);
    onAids(next);
  };
  const { sticks, sun } = exercise;
  return (
    <section
      className="fixed inset-0 z-10 m-auto h-fit max-h-[96dvh] overflow-auto w-[min(44rem,94%)] p-4 grid gap-3 rounded-md bg-card border border-line"
      aria-label="Before the flight"
    >
      {teaching ? (
        <Wizard
          axes={['climb', 'turn', 'run', 'slide', 'tilt']}
          onDone={(mapping, name) => {
            onTaught(mapping, name);
            setTeaching(false);
          }}
          onCancel={() => setTeaching(false)}
        />
      ) : (
        <>
          <h2>{exercise.title}</h2>
          <p className="m-0">{exercise.plan.summary}</p>
          <div className="grid gap-3 sm:grid-cols-2">
            <fieldset className="border-0 p-0 m-0 grid gap-1">
              <legend className="text-sm text-ink-soft">Help, noted with the take</legend>
              {AIDS.map((aid) => (
                <label key={aid.id} className="flex gap-2 items-center min-h-9">
                  <input
                    type="checkbox"
                    className="size-5 accent-larkspur"
                    checked={aids.has(aid.id)}
                    disabled={!exercise.judged && aid.id.startsWith('ghost')}
                    onChange={(event) => set(aid.id, event.target.checked)}
                  />
                  {aid.name}
                </label>
              ))}
            </fieldset>
            <div className="grid gap-2 content-start">
              <p className="m-0 text-sm">
                Left stick <b>{sticks.left.join(' and ')}</b>: a d, w s. Right stick{' '}
                <b>{sticks.right.join(' and ')}</b>: j l, i k. Wheel: u, m, or the mouse wheel.
                {exercise.conditions.wheel_reversed === true &&
                  ' The wheel is the wrong way round on purpose.'}
              </p>
              <p className="m-0 text-sm">
                {pad === '' ? 'No controller seen: press any button of one.' : `Controller: ${pad}.`}
              </p>
              <Button onClick={() => setTeaching(true)}>Teach your controller</Button>
              <KeyFeelDials input={input} onFeel={onFeel} />
            </div>
          </div>
          {sun.altitude_deg < LOWEST_SUN && (
            <p className="m-0 text-sm text-ink-soft">
              The sun is too low there now to see by: here it stands as in the morning.
            </p>
          )}
          <ul className="m-0 pl-5 text-sm">
            {exercise.caution.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </ul>
          <Button primary onClick={onBegin} data-begin>
            Take the sticks <kbd className="figure text-sm font-normal">enter</kbd>
          </Button>
        </>
      )}
    </section>
  );
}

/** A key is all or nothing: how far it presses, and how it rises and falls. */
function KeyFeelDials({ input, onFeel }: { input: Input; onFeel: (feel: KeyFeel) => void }) {
  const [feel, setFeel] = useState(input.feel);
  const change = (part: Partial<KeyFeel>) => {
    const next = { ...feel, ...part };
    setFeel(next);
    onFeel(next);
  };
  return (
    <details>
      <summary className="cursor-pointer min-h-9 text-sm">How a key presses</summary>
      <Dial
        label="As far as"
        value={Math.round(100 * feel.reach)}
        unit="%"
        least={10}
        most={100}
        step={5}
        places={0}
        units="metric"
        onChange={(value) => change({ reach: Math.max(0.1, Math.min(1, value / 100)) })}
      />
      <Dial
        label="There after"
        value={feel.rise}
        unit="s"
        least={0}
        most={3}
        step={0.1}
        units="metric"
        onChange={(rise) => change({ rise: Math.max(0, rise) })}
      />
      <Dial
        label="Back after"
        value={feel.fall}
        unit="s"
        least={0}
        most={3}
        step={0.1}
        units="metric"
        onChange={(fall) => change({ fall: Math.max(0, fall) })}
      />
    </details>
  );
}
