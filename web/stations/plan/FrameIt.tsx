// Frame it: from the picture that is wanted to where the lens must be. The answer is the server's; one press puts it in.
import { useMutation } from '@tanstack/react-query';
import { memo, useState } from 'react';
import { call, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';
import { rounded, type Values } from './draft';

type Props = {
  rigId: number;
  site: Schemas['Site'];
  subjectId: string | null;
  parameters: Schemas['Parameter'][];
  set: (values: Values) => void;
};

const HORIZON = { upper: 1 / 3, middle: 0.5, lower: 2 / 3 };

export const FrameIt = memo(function FrameIt({ rigId, site, subjectId, parameters, set }: Props) {
  const { units } = useSession();
  const solid = site.document.solids.find((item) => item.id === subjectId && item.role === 'subject');
  const [tall, setTall] = useState(solid?.height_m ?? 6);
  const [fills, setFills] = useState(33);
  const [horizon, setHorizon] = useState<keyof typeof HORIZON>('upper');
  const ids = parameters.map((parameter) => parameter.id);
  const away = ids.includes('radius_m') ? 'radius_m' : ids.includes('distance_m') ? 'distance_m' : null;
  const compose = useMutation({
    mutationFn: () =>
      call<Schemas['Composition']>('POST', '/compositions', {
        rig_id: rigId,
        subject_m: tall,
        fills: fills / 100,
        horizon_y: HORIZON[horizon],
      }),
    onSuccess: (found) => {
      const next: Values = {};
      if (away !== null) next[away] = rounded(found.distance_m, 0.5);
      if (ids.includes('height_m')) next.height_m = rounded(Math.max(0.5, found.height_m), 0.5);
      if (ids.includes('tilt_start_deg')) next.tilt_start_deg = Math.round(found.tilt_deg);
      set(next);
    },
  });
  if (away === null) return null;
  return (
    <Card className="p-3 grid gap-1.5" label="Frame it">
      <h2>Frame it</h2>
      <Dial
        label="The subject is this tall"
        value={tall}
        unit="m"
        least={0.5}
        most={Math.max(30, tall)}
        step={0.5}
        units={units}
        onChange={setTall}
      />
      <Dial
        label="It fills this much of the height"
        value={fills}
        unit="%"
        least={5}
        most={90}
        step={1}
        places={0}
        units={units}
        onChange={setFills}
      />
      <Choice
        label="Horizon"
        value={horizon}
        onChange={setHorizon}
        options={[
          { value: 'upper', label: 'Upper third' },
          { value: 'middle', label: 'Middle' },
          { value: 'lower', label: 'Lower third' },
        ]}
      />
      <Button onClick={() => compose.mutate()} disabled={compose.isPending}>
        Start from there
      </Button>
      {compose.error && <Notice error={compose.error} />}
      {compose.data && (
        <p className="m-0 text-sm text-ink-soft" role="status">
          From {withUnit(compose.data.distance_m, 'm', units)} away,{' '}
          {withUnit(compose.data.height_m, 'm', units)} up, tilt{' '}
          {withUnit(compose.data.tilt_deg, 'deg', units, 0)}.
        </p>
      )}
    </Card>
  );
});
