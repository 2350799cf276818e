// House style: every question on which practitioners differ, both views, what the school holds, and where that has an effect. A trainer may
// hold otherwise for an operator.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { PROGRESS, useHouseStyle } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Notice } from '~/kit/Notice';
import { NumberRow } from '~/kit/NumberRow';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';

/** Where else a question is decided. */
const ELSEWHERE: Record<string, { to: string; name: string }> = {
  house: { to: '/rig/advise', name: 'Rig, Advise' },
  judging: { to: '/debrief', name: 'Debrief, by what it is judged' },
  ladder: { to: '/progress?room=order', name: 'our ladder' },
  rig: { to: '/rig', name: 'Rig' },
  shot: { to: '/plan', name: 'each shot, in Plan' },
};

export function HouseRoom({ operator }: { operator: number | undefined }) {
  const { user } = useSession();
  const client = useQueryClient();
  const style = useHouseStyle(operator);
  const hold = useMutation({
    mutationFn: (body: Schemas['HoldStyle']) =>
      answered(api.PUT('/house-style', { params: { query: { operator } }, body })),
    onSuccess: () => {
      for (const key of [...PROGRESS, 'house-style']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  if (style.error) throw style.error;
  if (!style.data) return <Skeleton className="h-[70vh]" />;
  const { school, operator: own, otherwise, disputes } = style.data;
  const held = operator === undefined || own === null ? school : own;
  const change = user.role === 'trainer' ? (body: Schemas['HoldStyle']) => hold.mutate(body) : undefined;
  return (
    <div className="grid gap-3">
      <p className="m-0 text-ink-soft">
        Practitioners differ, each with reasons. What is chosen here is recorded and followed; nothing is
        forced on a shot.
        {operator !== undefined &&
          user.role === 'trainer' &&
          ' You are looking at what is held for one operator.'}
      </p>
      {otherwise && user.role === 'trainer' && operator !== undefined && (
        <Button className="justify-self-start" onClick={() => hold.mutate({ as_school: true })}>
          Hold it as the school does
        </Button>
      )}
      {hold.error !== null && <Notice error={hold.error} />}
      <ul className="m-0 p-0 list-none grid gap-3 md:grid-cols-2">
        {disputes.map((one) => (
          <li key={one.id} data-dispute={one.id}>
            <Card className="p-4 grid gap-2 h-full content-start">
              <p className="m-0">
                <strong>Some:</strong> {one.one}
              </p>
              <p className="m-0">
                <strong>Others:</strong> {one.other}
              </p>
              <Held at={one.chosen_at} held={held} onChange={change} />
              <p className="m-0 text-sm text-ink-soft">
                {one.here}
                {ELSEWHERE[one.chosen_at] !== undefined && (
                  <>
                    {' '}
                    Chosen at{' '}
                    <Link to={ELSEWHERE[one.chosen_at]?.to ?? '/'}>{ELSEWHERE[one.chosen_at]?.name}</Link>.
                  </>
                )}
              </p>
            </Card>
          </li>
        ))}
      </ul>
    </div>
  );
}

type HeldProps = {
  at: string;
  held: Schemas['HeldStyle'];
  onChange: ((body: Schemas['HoldStyle']) => void) | undefined;
};

function Held({ at, held, onChange }: HeldProps) {
  const { units } = useSession();
  if (at === 'automation')
    return onChange ? (
      <Choice
        label="Automation"
        hideLabel
        value={held.automation}
        options={[
          { value: 'hand', label: 'by hand' },
          { value: 'welcome', label: 'welcome' },
        ]}
        onChange={(automation) => onChange({ automation })}
      />
    ) : (
      <Said text={held.automation === 'hand' ? 'by hand' : 'automation is welcome'} />
    );
  if (at === 'slow')
    return onChange ? (
      <Choice
        label="Repeats in the slow mode"
        hideLabel
        value={held.slow ? 'asked' : 'left'}
        options={[
          { value: 'asked', label: 'slow repeats are asked for' },
          { value: 'left', label: 'left to each' },
        ]}
        onChange={(value) => onChange({ slow: value === 'asked' })}
      />
    ) : (
      <Said text={held.slow ? 'slow repeats are asked for' : 'left to each'} />
    );
  if (at === 'passes')
    return onChange ? (
      <NumberRow
        label="Passes before the best is named"
        value={held.passes}
        unit=""
        units={units}
        places={0}
        limits={[1, 6]}
        onChange={(passes) => onChange({ passes: Math.round(passes) })}
      />
    ) : (
      <Said text={held.passes === 1 ? 'one pass' : `${held.passes} passes`} />
    );
  if (at === 'most_gust_mps')
    return onChange ? (
      <NumberRow
        label="Gusts that are still practised in"
        value={held.most_gust_mps}
        unit="m/s"
        units={units}
        limits={[0, 20]}
        onChange={(most_gust_mps) => onChange({ most_gust_mps })}
      />
    ) : (
      <Said text={`up to gusts of ${held.most_gust_mps} m/s`} />
    );
  return null;
}

function Said({ text }: { text: string }) {
  return <p className="m-0 font-semibold">Here: {text}.</p>;
}
