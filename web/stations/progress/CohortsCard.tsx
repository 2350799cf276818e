// Two cohorts beside each other: how far apart their people are in each measure, drawn as an interval, and what may be said of it.
import { useState } from 'react';
import type { Schemas } from '~/api/client';
import { useCohorts } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';

/** Points that the picture reaches to either side. */
const REACH = 40;

export function CohortsCard({ cohorts }: { cohorts: string[] }) {
  const [one, setOne] = useState(cohorts[0] ?? '');
  const [other, setOther] = useState(cohorts[1] ?? '');
  const compared = useCohorts(one, other);
  const options = cohorts.map((value) => ({ value, label: value }));
  return (
    <Card
      caption="Two cohorts"
      aside="the first less the second, with its interval of 90 %; people are compared, not takes"
      className="pb-3"
    >
      <div className="px-3 grid gap-3">
        <div className="grid gap-3 grid-cols-2 max-w-lg">
          <Pick label="The first" value={one} options={options} onChange={setOne} />
          <Pick label="The second" value={other} options={options} onChange={setOther} />
        </div>
        {one === other && <p className="m-0">Choose two that differ.</p>}
        {compared.error && <Notice error={compared.error} />}
        {compared.data && one !== other && (
          <>
            <table className="border-collapse text-sm w-full" data-picture="cohorts">
              <thead>
                <tr className="text-left text-ink-soft">
                  <th className="font-normal pr-3">What</th>
                  <th className="font-normal pr-3">
                    {compared.data.one} ({compared.data.people})
                  </th>
                  <th className="font-normal pr-3">
                    {compared.data.other} ({compared.data.others})
                  </th>
                  <th className="font-normal w-2/5">second ahead · first ahead</th>
                  <th className="font-normal pl-3">What may be said</th>
                </tr>
              </thead>
              <tbody>
                {compared.data.measures.map((measure) => (
                  <Row key={measure.id} measure={measure} />
                ))}
              </tbody>
            </table>
            <p className="m-0 text-sm text-ink-soft">
              Who comes to a cohort differs too: a difference between them is not what the teaching did.
            </p>
          </>
        )}
      </div>
    </Card>
  );
}

function Row({ measure }: { measure: Schemas['CohortMeasure'] }) {
  const points = (mean: number | null, counted: number) =>
    mean === null ? '·' : `${Math.round(mean)} (${counted})`;
  return (
    <tr className="border-t border-line">
      <td className="pr-3 py-1">{measure.name}</td>
      <td className="pr-3 figure whitespace-nowrap">{points(measure.mean, measure.counted)}</td>
      <td className="pr-3 figure whitespace-nowrap">{points(measure.other_mean, measure.other_counted)}</td>
      <td>
        <Interval measure={measure} />
      </td>
      <td className="pl-3">{measure.said}</td>
    </tr>
  );
}

function Interval({ measure: { difference, low, high, said } }: { measure: Schemas['CohortMeasure'] }) {
  if (difference === null || low === null || high === null) return null;
  const x = (points: number) => 100 + (100 * Math.max(-REACH, Math.min(REACH, points))) / REACH;
  return (
    <svg
      viewBox="0 0 200 14"
      className="w-full h-4 block"
      role="img"
      aria-label={said}
      preserveAspectRatio="none"
    >
      <line
        x1={100}
        x2={100}
        y1={0}
        y2={14}
        stroke="var(--ink-soft)"
        strokeWidth={1}
        vectorEffect="non-scaling-stroke"
      />
      <rect x={x(low)} y={4} width={Math.max(1, x(high) - x(low))} height={6} fill="var(--petal)" />
      <rect x={x(difference) - 1} y={1} width={2} height={12} fill="var(--larkspur)" />
    </svg>
  );
}
