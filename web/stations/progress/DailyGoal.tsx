// What was practised on each of the latest four weeks' days, against the goal that its operator set.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { day } from '~/units';

const HEIGHT = 56;

export function DailyGoal({ logbook }: { logbook: Schemas['Logbook'] }) {
  const { user } = useSession();
  const { days, goal_min: goal } = logbook;
  const most = Math.max(goal ?? 0, 10, ...days.map((one) => one.minutes));
  const reached = goal === null ? 0 : days.filter((one) => one.minutes >= goal).length;
  const practised = days.filter((one) => one.minutes > 0).length;
  const width = 100 / Math.max(1, days.length);
  const said =
    goal === null
      ? `Practised on ${practised} of the latest ${days.length} days.`
      : `${goal} min reached on ${reached} of the latest ${days.length} days.`;
  return (
    <Card caption="Day by day, four weeks" aside="in the air and in Fly" className="pb-3">
      <div className="px-3 grid gap-2">
        <svg
          viewBox={`0 0 100 ${HEIGHT}`}
          preserveAspectRatio="none"
          className="w-full h-16 block"
          role="img"
          aria-label={said}
          data-picture="days"
        >
          {days.map((one, k) => (
            <rect
              key={one.date}
              x={k * width + 0.4}
              width={width - 0.8}
              y={HEIGHT - 2 - (one.minutes / most) * (HEIGHT - 6)}
              height={2 + (one.minutes / most) * (HEIGHT - 6)}
              fill={
                one.minutes === 0
                  ? 'var(--line)'
                  : goal !== null && one.minutes >= goal
                    ? 'var(--leaf)'
                    : 'var(--petal)'
              }
            >
              <title>{`${day(one.date)}: ${one.minutes} min`}</title>
            </rect>
          ))}
          {goal !== null && (
            <line
              x1={0}
              x2={100}
              y1={HEIGHT - 2 - (goal / most) * (HEIGHT - 6)}
              y2={HEIGHT - 2 - (goal / most) * (HEIGHT - 6)}
              stroke="var(--ink-soft)"
              strokeDasharray="4 3"
              vectorEffect="non-scaling-stroke"
            />
          )}
        </svg>
        <p className="m-0 text-sm">{said}</p>
        {user.id === logbook.operator.id && <SetGoal key={goal} goal={goal} />}
      </div>
    </Card>
  );
}

function SetGoal({ goal }: { goal: number | null }) {
  const client = useQueryClient();
  const [minutes, setMinutes] = useState(goal === null ? '' : String(goal));
  const keep = useMutation({
    mutationFn: () =>
      answered(api.PATCH('/me', { body: { goal_min: minutes === '' ? null : Number(minutes) } })),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['logbook'] }),
  });
  return (
    <form
      className="flex gap-2 items-end"
      onSubmit={(event) => {
        event.preventDefault();
        keep.mutate();
      }}
    >
      <Field
        label="Minutes a day that you want"
        type="number"
        min={1}
        max={600}
        placeholder="none"
        value={minutes}
        onChange={(event) => setMinutes(event.target.value)}
      />
      <Button type="submit" disabled={keep.isPending || minutes === (goal === null ? '' : String(goal))}>
        Keep
      </Button>
      {keep.error && <Notice error={keep.error} />}
    </form>
  );
}
