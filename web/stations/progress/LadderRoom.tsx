// The ladder of one operator: the picture, and beside it the step that was pressed.
import { useState } from 'react';
import { useLadder } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Skeleton } from '~/kit/Skeleton';
import { LadderPicture } from './LadderPicture';
import { StepCard } from './StepCard';

/** What somebody works on comes before what waits. */
const FIRST = ['enough', 'in-work', 'stale', 'open'];

export function LadderRoom({ operator }: { operator: number | undefined }) {
  const ladder = useLadder(operator);
  const [asked, setAsked] = useState<string>();
  if (ladder.error) throw ladder.error;
  if (!ladder.data) return <Skeleton className="h-[70vh]" />;
  const { steps } = ladder.data;
  const chosen =
    steps.find((step) => step.id === asked) ??
    FIRST.flatMap((state) => steps.filter((step) => step.state === state))[0] ??
    steps[0];
  const passed = steps.filter((step) => step.passed).length;
  return (
    <div className="grid gap-3 lg:grid-cols-[1fr_22rem] items-start">
      <Card caption="From the foot up" aside={`${passed} of ${steps.length} steps passed`} className="pb-3">
        <a
          className="inline-block min-h-6 px-3 text-sm"
          href={`/api/v1/ladder/certificate${operator === undefined ? '' : `?operator=${operator}`}`}
        >
          What is passed, on paper (PDF)
        </a>
        <div className="px-3 pt-2">
          <LadderPicture
            steps={steps.map((step) => ({ ...step, stateName: step.state_name }))}
            chosen={chosen?.id}
            onChoose={setAsked}
          />
        </div>
      </Card>
      {chosen && <StepCard key={chosen.id} step={chosen} ladder={ladder.data} />}
    </div>
  );
}
