// Rig: what the settings of a craft do, finger by finger: curve, top rate, half stick, seconds to settle, metres to stop.
import { useState } from 'react';
import { useMeaning, useRigs } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { CurveCard } from '~/pictures/CurveCard';
import { useSession } from '~/shell/session';
import { figure, shown, withUnit } from '~/units';

export default function RigStation() {
  const { units, user } = useSession();
  const rigs = useRigs();
  const [chosen, setChosen] = useState<number>();
  const [mode, setMode] = useState<'slow' | 'standard' | 'fast'>('standard');
  const rig = chosen ?? rigs.data?.[0]?.id;
  const meaning = useMeaning(rig);
  const tune = meaning.data?.modes.find((item) => item.mode === mode);
  return (
    <main className="p-5 grid gap-3">
      <div className="flex flex-wrap gap-4 items-end justify-between">
        <div>
          <h1>{meaning.data?.craft ?? 'Rig'}</h1>
          <p className="m-0 text-sm text-ink-soft">
            What each finger does in this mode. The green band is where a thumb holds steadily.
          </p>
        </div>
        <div className="flex flex-wrap gap-3 items-end">
          <div className="w-52">
            <Pick
              label="Craft"
              value={String(rig ?? '')}
              onChange={(value) => setChosen(Number(value))}
              options={(rigs.data ?? []).map((item) => ({
                value: String(item.id),
                label: `${item.craft}, version ${item.version}`,
              }))}
            />
          </div>
          <div className="w-72">
            <Choice
              label="Flight mode"
              value={mode}
              onChange={setMode}
              options={[
                { value: 'slow', label: 'Slow' },
                { value: 'standard', label: 'Standard' },
                { value: 'fast', label: 'Fast' },
              ]}
            />
          </div>
        </div>
      </div>
      {tune === undefined ? (
        <Skeleton className="h-96" />
      ) : (
        <div className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(min(100%,290px),1fr))]">
          {tune.fingers.map((finger) => {
            const top = shown(finger.top, finger.unit, units);
            const factor = finger.top === 0 ? 1 : top.value / finger.top;
            const unit = top.unit === 'deg/s' ? '\u00b0/s' : top.unit;
            return (
              <Card
                key={finger.finger}
                caption={
                  <span style={{ color: `var(--${finger.finger})`, fontWeight: 650 }}>{finger.finger}</span>
                }
                aside={`${finger.ends[0]} / ${finger.ends[1]}`}
              >
                <div className="px-3 pb-3 grid gap-2">
                  <CurveCard
                    points={finger.points.map(([a, b]) => [a ?? 0, (b ?? 0) * factor])}
                    unit={unit}
                    top={top.value}
                    comfort={user.comfort}
                    color={`var(--${finger.finger})`}
                    label={`Curve of ${finger.finger}: half stick gives ${withUnit(finger.half_stick, finger.unit, units)}`}
                  />
                  <dl className="grid grid-cols-[1fr_auto] gap-x-3 gap-y-1 m-0 text-sm">
                    <dt>Full stick {finger.ends[1]}</dt>
                    <dd className="figure m-0 text-right">{withUnit(finger.top, finger.unit, units)}</dd>
                    {finger.top_back !== finger.top && (
                      <>
                        <dt>Full stick {finger.ends[0]}</dt>
                        <dd className="figure m-0 text-right">
                          {withUnit(finger.top_back, finger.unit, units)}
                        </dd>
                      </>
                    )}
                    <dt>Half stick</dt>
                    <dd className="figure m-0 text-right">
                      {withUnit(finger.half_stick, finger.unit, units)}
                    </dd>
                    <dt>Settles within</dt>
                    <dd className="figure m-0 text-right">{figure(finger.settles_s, 2)} s</dd>
                    <dt className="text-ink-soft">
                      On this craft: <span className="figure">{curveNumber(finger.curve)}</span>
                    </dt>
                  </dl>
                  <p className="m-0 text-sm text-ink-soft">{finger.convention}.</p>
                </div>
              </Card>
            );
          })}
          <Card caption="From full speed to rest">
            <div className="px-3 pb-3 grid gap-1">
              <span className="figure text-2xl font-semibold">{withUnit(tune.brake_m, 'm', units)}</span>
              <span className="text-sm text-ink-soft">
                in {figure(tune.brake_s)} s after you let go. Look that far ahead, and behind you when you fly
                backward.
              </span>
            </div>
          </Card>
        </div>
      )}
    </main>
  );
}

function curveNumber(curve: Record<string, string | number>): string {
  return curve.kind === 'rates' ? `${curve.centre} to ${curve.end}` : String(curve.value);
}
