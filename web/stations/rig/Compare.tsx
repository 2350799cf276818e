// Two rigs, or two versions of one, as curves in the same unit. Bare numbers of two craft are never put side by side.
import { useState } from 'react';
import { useRigComparison, useRigHistory, useRigs } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { CurveCard } from '~/pictures/CurveCard';
import { useSession } from '~/shell/session';
import { figure, shown, withUnit } from '~/units';
import { Changes } from './Changes';
import type { RigDraft } from './useRigDraft';

export function Compare({ draft, first }: { draft: RigDraft; first: number | undefined }) {
  const { units, user } = useSession();
  const rigs = useRigs();
  const history = useRigHistory(draft.rig.id);
  const [chosen, setChosen] = useState<number | undefined>(first);
  const versions = (history.data ?? []).filter((version) => version.id !== draft.rig.id);
  const others = (rigs.data ?? []).filter(
    (rig) => rig.id !== draft.rig.id && !versions.some((version) => version.id === rig.id),
  );
  const other = chosen ?? versions[0]?.id ?? others[0]?.id;
  const comparison = useRigComparison(draft.rig.id, other, draft.mode);
  const data = comparison.data;
  return (
    <div className="grid gap-3">
      <div className="flex flex-wrap gap-4 items-end justify-between">
        <div className="w-96 max-w-full">
          <Pick
            label="Beside"
            value={String(other ?? '')}
            empty="Nothing to compare with yet"
            onChange={(value) => setChosen(Number(value))}
            options={[
              ...versions.map((version) => ({
                value: String(version.id),
                label: `Version ${version.version}: ${version.reason}`,
                group: 'Versions of this rig',
              })),
              ...others.map((rig) => ({
                value: String(rig.id),
                label: `${rig.craft}, version ${rig.version}${rig.operator === null ? '' : ` of ${rig.operator}`}`,
                group: 'Other rigs',
              })),
            ]}
          />
        </div>
        {data !== undefined && (
          <p className="m-0 text-sm">
            <Line color="var(--ink)" /> {name(data.one.rig)} <Line color="var(--pollen)" dashed />{' '}
            {name(data.other.rig)}
          </p>
        )}
      </div>
      {comparison.error && <Notice error={comparison.error} />}
      {other === undefined && (
        <Notice tone="soft" text="Keep a change as a new version, and the two can be compared here." />
      )}
      {data === undefined ? (
        other !== undefined && <Skeleton className="h-96" />
      ) : (
        <div className="grid gap-3 grid-cols-[repeat(auto-fill,minmax(min(100%,350px),1fr))] items-start">
          {data.one.reading.fingers.map((finger, i) => {
            const beside = data.other.reading.fingers[i];
            if (beside === undefined) return null;
            const top = shown(Math.max(finger.top, beside.top), finger.unit, units);
            const factor = shown(1, finger.unit, units).value;
            return (
              <Card
                key={finger.finger}
                caption={
                  <span style={{ color: `var(--${finger.finger})`, fontWeight: 650 }}>{finger.finger}</span>
                }
              >
                <div className="px-3 pb-3 grid gap-2">
                  <CurveCard
                    points={finger.points.map(([a, b]) => [a ?? 0, (b ?? 0) * factor])}
                    beside={beside.points.map(([a, b]) => [a ?? 0, (b ?? 0) * factor])}
                    unit={top.unit === 'deg/s' ? '\u00b0/s' : top.unit}
                    top={top.value}
                    comfort={user.comfort}
                    color={`var(--${finger.finger})`}
                    label={`Curves of ${finger.finger}`}
                  />
                  <dl className="grid grid-cols-[1fr_auto_auto] gap-x-4 m-0 text-sm">
                    {(
                      [
                        ['Full stick', finger.top, beside.top],
                        ['Half stick', finger.half_stick, beside.half_stick],
                      ] as const
                    ).map(([label, a, b]) => (
                      <div key={label} className="contents">
                        <dt>{label}</dt>
                        <dd className="figure m-0 text-right">{withUnit(a, finger.unit, units)}</dd>
                        <dd className="figure m-0 text-right text-pollen-ink">
                          {withUnit(b, finger.unit, units)}
                        </dd>
                      </div>
                    ))}
                    <dt>At rest after</dt>
                    <dd className="figure m-0 text-right">{figure(finger.stop_s, 1)} s</dd>
                    <dd className="figure m-0 text-right text-pollen-ink">{figure(beside.stop_s, 1)} s</dd>
                    <dt>Finest nudge, picture</dt>
                    <dd className="figure m-0 text-right">{figure(100 * finger.nudge_widths, 1)} %/s</dd>
                    <dd className="figure m-0 text-right text-pollen-ink">
                      {figure(100 * beside.nudge_widths, 1)} %/s
                    </dd>
                  </dl>
                </div>
              </Card>
            );
          })}
          <Card caption="What changed, from there to here">
            <div className="px-3 pb-3 grid gap-2">
              {!data.same_craft ? (
                <p className="m-0 text-sm text-ink-soft">
                  These are two craft. Their numbers follow conventions of their own and say nothing beside
                  each other; compare the curves.
                </p>
              ) : data.differences.length === 0 ? (
                <p className="m-0 text-sm text-ink-soft">Nothing differs.</p>
              ) : (
                <Changes changes={data.differences} />
              )}
            </div>
          </Card>
        </div>
      )}
    </div>
  );
}

function name(rig: { craft: string; version: number; operator: string | null }): string {
  return `${rig.craft}, version ${rig.version}${rig.operator === null ? '' : ` of ${rig.operator}`}`;
}

function Line({ color, dashed = false }: { color: string; dashed?: boolean }) {
  return (
    <svg width={30} height={8} className="inline-block align-middle mx-1" aria-hidden="true">
      <path d="M0 4H30" stroke={color} strokeWidth={2.5} strokeDasharray={dashed ? '6 4' : undefined} />
    </svg>
  );
}
