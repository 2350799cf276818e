// The opening view of Rig: a curve card for each finger, what lies around them, and the bar that keeps what was changed.

import { TriangleAlert } from 'lucide-react';
import type { Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Card } from '~/kit/Card';
import { NumberInput } from '~/kit/NumberInput';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { figure, withUnit } from '~/units';
import { BeginWith } from './BeginWith';
import { CantFly } from './CantFly';
import { FingerCard } from './FingerCard';
import { GimbalCard } from './GimbalCard';
import { HandsCard } from './HandsCard';
import { type RigDraft, type Settings, withMode } from './useRigDraft';

export function Numbers({ draft }: { draft: RigDraft }) {
  const { reading } = draft;
  if (reading === null) return <Skeleton className="h-96" />;
  const fixed = draft.rig.kind === 'ducted';
  // A camera that is fixed to its craft has no wheel.
  const moves = (one: { finger: string }) => !fixed || one.finger !== 'tilt';
  return (
    <div className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(min(100%,350px),1fr))] items-start">
      {reading.fingers.filter(moves).map((finger) => (
        <FingerCard key={finger.finger} draft={draft} finger={finger} distance={reading.distance_m} />
      ))}
      <div className="grid gap-3">
        <p className="m-0 text-sm text-ink-soft">{reading.task}</p>
        <p className="m-0 text-sm">{reading.sharpest}</p>
        <BeginWith draft={draft} />
        <CantFly draft={draft} />
        <Braking draft={draft} reading={reading} />
        <GimbalCard draft={draft} />
        {fixed && (
          <p className="m-0 text-sm">
            Its camera is fixed to the craft: the angle it looks at is set under Throttle.
          </p>
        )}
        <HandsCard draft={draft} hands={reading.hands} />
        {reading.oddities.length > 0 && (
          <Card caption="Odd, and perhaps meant">
            <ul className="m-0 px-3 pb-3 grid gap-2 list-none text-sm">
              {reading.oddities.map((oddity) => (
                <li key={oddity.place} className="flex gap-2">
                  <TriangleAlert size={16} className="shrink-0 mt-0.5 text-pollen-ink" aria-hidden />
                  <span>
                    {oddity.text}
                    {oddity.mend !== null && (
                      <button
                        type="button"
                        className="block min-h-11 text-larkspur underline bg-transparent border-0 p-0 cursor-pointer"
                        onClick={() => draft.change((now) => put(now, oddity.place, oddity.mend as number))}
                      >
                        Bring it within
                      </button>
                    )}
                  </span>
                </li>
              ))}
            </ul>
          </Card>
        )}
      </div>
    </div>
  );
}

type BrakingProps = { draft: RigDraft; reading: Schemas['RigReading'] };

function Braking({ draft, reading }: BrakingProps) {
  const { units } = useSession();
  const mode = draft.settings.modes[draft.mode];
  const bad = (end: string) => draft.problem?.details.errors.some((error) => error.place.endsWith(end));
  return (
    <Card caption="From full speed to rest">
      <div className="px-3 pb-3 grid gap-1">
        <span className="figure text-2xl font-semibold">{withUnit(reading.brake_m, 'm', units)}</span>
        <span className="text-sm text-ink-soft">
          in {figure(reading.brake_s)} s after you let go. Look that far ahead, and behind you when you fly
          backward.
        </span>
        <dl className="grid grid-cols-[1fr_auto] gap-x-3 m-0 text-sm items-baseline">
          <dt>Braking</dt>
          <dd className="m-0 text-right">
            <NumberInput
              label="Braking"
              value={mode.brake_mps2}
              unit="m/s2"
              units={units}
              warn={bad('brake_mps2')}
              limits={LIMITS.rig[`modes.${draft.mode}.brake_mps2`]}
              onChange={(brake_mps2) =>
                draft.change((settings) => withMode(settings, draft.mode, (now) => ({ ...now, brake_mps2 })))
              }
            />
          </dd>
          <dt>Gain of speed</dt>
          <dd className="m-0 text-right">
            <NumberInput
              label="Gain of speed"
              value={mode.accelerate_mps2}
              unit="m/s2"
              units={units}
              warn={bad('accelerate_mps2')}
              limits={LIMITS.rig[`modes.${draft.mode}.accelerate_mps2`]}
              onChange={(accelerate_mps2) =>
                draft.change((settings) =>
                  withMode(settings, draft.mode, (now) => ({ ...now, accelerate_mps2 })),
                )
              }
            />
          </dd>
          {(['travel', 'climb'] as const).map((axis) => (
            <div key={axis} className="contents">
              <dt>Answer of the {axis}: time constant</dt>
              <dd className="m-0 text-right">
                <NumberInput
                  label={`Answer of the ${axis}`}
                  value={mode.lag_s[axis]}
                  unit="s"
                  units={units}
                  places={2}
                  warn={bad(`lag_s.${axis}`)}
                  limits={LIMITS.rig[`modes.${draft.mode}.lag_s.${axis}`]}
                  onChange={(seconds) =>
                    draft.change((settings) =>
                      withMode(settings, draft.mode, (now) => ({
                        ...now,
                        lag_s: { ...now.lag_s, [axis]: seconds },
                      })),
                    )
                  }
                />
              </dd>
            </div>
          ))}
        </dl>
        <details className="text-sm">
          <summary className="min-h-11 content-center cursor-pointer">
            What answer, braking, top turn and hold against wind mean
          </summary>
          <dl className="m-0 grid gap-1">
            <dt className="font-semibold">Answer</dt>
            <dd className="m-0">
              How soon the craft follows the stick: after its time constant it has two thirds of what was
              asked, after three of them all but a twentieth.
            </dd>
            <dt className="font-semibold">Braking</dt>
            <dd className="m-0">How hard it slows once you let go: the way and the seconds above.</dd>
            <dt className="font-semibold">Top turn</dt>
            <dd className="m-0">
              What full stick turns at. Softness decides how it gets there, and keeps it.
            </dd>
            <dt className="font-semibold">Hold against wind</dt>
            <dd className="m-0">
              How firmly it stays where it is in a gust. Some craft call that gain; others call the answer
              gain. Turn yours up in still air: where it follows the stick sooner it is the answer, where only
              gusts move it less it is the hold. Here each has a number of its own: the answer above, and
              under Craft the share of a gust that reaches it.
            </dd>
          </dl>
        </details>
        {draft.rig.focals.length > 1 && (
          <Pick
            label="Lens"
            value={String(draft.focal ?? draft.rig.focals[0])}
            onChange={(focal) => draft.setFocal(Number(focal))}
            options={draft.rig.focals.map((focal) => ({ value: String(focal), label: `${focal} mm` }))}
          />
        )}
        <p className="m-0 text-sm text-ink-soft">
          The lens sees {figure(reading.camera.hfov_deg, 0)}° across.
        </p>
      </div>
    </Card>
  );
}

/** The settings with one number at a place of the file put otherwise. */
function put(settings: Settings, place: string, value: number): Settings {
  const next = structuredClone(settings) as unknown as Record<string, unknown>;
  const keys = place.split('.');
  const last = keys.pop() as string;
  const within = keys.reduce((at, key) => at[key] as Record<string, unknown>, next);
  within[last] = value;
  return next as unknown as Settings;
}
