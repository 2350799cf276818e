// By how much a take may differ from its plan, as the school has chosen: seen by everybody, chosen by trainers.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { useJudging } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { NumberRow } from '~/kit/NumberRow';
import { Sheet } from '~/kit/Sheet';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';

type Chosen = Schemas['ChooseJudging'];
type Name = keyof Chosen['tolerances'];

const ROWS: { name: Name; says: string; unit: '%' | 'deg' }[] = [
  { name: 'place_percent', says: 'Where it begins and ends, of the distance', unit: '%' },
  { name: 'length_percent', says: 'Length, radius, height, leg', unit: '%' },
  { name: 'arc_percent', says: 'Arc and turn', unit: '%' },
  { name: 'heading_deg', says: 'Heading', unit: 'deg' },
  { name: 'course_deg', says: 'Course over the ground', unit: 'deg' },
  { name: 'across_deg', says: 'Way against look', unit: 'deg' },
  { name: 'tilt_deg', says: 'Tilt at either end', unit: 'deg' },
  { name: 'pace_percent', says: 'Pace, climb rate, turn rate', unit: '%' },
  { name: 'frame_percent', says: 'Where the subject stands, of the frame', unit: '%' },
];

export function Tolerances({ onClose }: { onClose: () => void }) {
  const judging = useJudging();
  return (
    <Sheet open onClose={onClose} title="How near is near">
      {judging.data ? <Form judging={judging.data} /> : <Skeleton className="h-72" />}
    </Sheet>
  );
}

function Form({ judging }: { judging: Schemas['JudgingStyle'] }) {
  const { user, units } = useSession();
  const client = useQueryClient();
  const [own, setOwn] = useState(start(judging));
  const keep = useMutation({
    mutationFn: (chosen: Chosen) => answered(api.PUT('/judging', { body: chosen })),
    onSuccess: (now) => client.setQueryData(['judging'], now),
  });
  const ordinary = {
    crop_budget_percent: judging.ordinary_crop_budget_percent,
    tolerances: judging.ordinary,
  };
  const trainer = user.role === 'trainer';
  const chosen = JSON.stringify(own) !== JSON.stringify(keep.variables ?? start(judging));
  return (
    <div className="grid gap-3">
      <p className="m-0 text-sm">
        A take within these is as planned, up to twice as far off it is near, beyond that another shot. What a
        receiver and a pin on a map may be off comes on top.
      </p>
      <fieldset disabled={!trainer} className="grid gap-1 border-0 m-0 p-0">
        {ROWS.map(({ name, says, unit }) => (
          <NumberRow
            key={name}
            name={says}
            label={says}
            value={own.tolerances[name]}
            unit={unit}
            units={units}
            limits={LIMITS.judging[`tolerances.${name}`]}
            onChange={(value) => setOwn({ ...own, tolerances: { ...own.tolerances, [name]: value } })}
          />
        ))}
        <NumberRow
          name="What a rescue crop may take of the picture"
          label="What a rescue crop may take of the picture"
          value={own.crop_budget_percent}
          unit="%"
          units={units}
          limits={LIMITS.judging.crop_budget_percent}
          onChange={(crop_budget_percent) => setOwn({ ...own, crop_budget_percent })}
        />
      </fieldset>
      {keep.error && <Notice error={keep.error} />}
      {trainer ? (
        <div className="flex flex-wrap gap-2 items-center">
          <Button onClick={() => keep.mutate(own)} disabled={!chosen || keep.isPending}>
            The school judges so from now on
          </Button>
          <Button onClick={() => setOwn(ordinary)}>Ordinary ones</Button>
          {keep.data && !chosen && <span className="text-sm text-leaf">Kept.</span>}
        </div>
      ) : (
        <p className="m-0 text-sm text-ink-soft">Your trainers choose them.</p>
      )}
      <p className="m-0 text-sm text-ink-soft">Takes that were judged before keep their judgement.</p>
    </div>
  );
}

function start(judging: Schemas['JudgingStyle']): Chosen {
  return { crop_budget_percent: judging.crop_budget_percent, tolerances: judging.tolerances };
}
