// Start from the picture: how much of the frame the subject fills, where the horizon lies, how long it is held, what stays hidden at the
// start. The server works out distance, height, tilt and pace; one press puts them in.
import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Notice } from '~/kit/Notice';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';
import type { Draft, Values } from './draft';

type Props = {
  draft: Draft;
  site: Schemas['Site'];
  parameters: Schemas['Parameter'][];
  set: (values: Values) => void;
};

const HORIZON = { upper: 1 / 3, middle: 0.5, lower: 2 / 3 };

const NOTHING = 'nothing';

export function FrameIt({ draft, site, parameters, set }: Props) {
  const { units } = useSession();
  const solid = site.document.solids.find((item) => item.id === draft.subject_id && item.role === 'subject');
  const [at, setAt] = useState<'start' | 'end'>('end');
  const [tall, setTall] = useState(solid?.height_m ?? 6);
  const [fills, setFills] = useState(33);
  const [horizon, setHorizon] = useState<keyof typeof HORIZON>('upper');
  const [hold, setHold] = useState(10);
  const [hidden, setHidden] = useState(NOTHING);
  const ids = parameters.map((parameter) => parameter.id);
  const compose = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/compositions', {
          body: {
            ...draft,
            picture: {
              at,
              subject_m: tall,
              fills: fills / 100,
              horizon_y: HORIZON[horizon],
              hold_s: hold,
              ...(hidden === NOTHING ? {} : { hidden }),
            },
          },
        }),
      ),
    onSuccess: (found) => set(found.parameters as Values),
  });
  if (!ids.includes('radius_m') && !ids.includes('distance_m')) return null;
  const water = (site.document.areas ?? []).some((area) => area.kind === 'water');
  return (
    <Card className="p-3 grid gap-1.5" label="Start from the picture">
      <h2>Start from the picture</h2>
      <Choice
        label="The picture is that of"
        value={at}
        onChange={setAt}
        options={[
          { value: 'start', label: 'The start' },
          { value: 'end', label: 'The end' },
        ]}
      />
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
      <Dial
        label="Held for"
        value={hold}
        unit="s"
        least={3}
        most={30}
        step={1}
        places={0}
        units={units}
        onChange={setHold}
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
      <Pick
        label="Hidden in the first frame"
        value={hidden}
        onChange={setHidden}
        options={[
          { value: NOTHING, label: 'Nothing has to be' },
          ...(water ? [{ value: 'sea', label: 'All water' }] : []),
          ...site.document.solids
            .filter((item) => item.id !== '')
            .slice(0, 40)
            .map((item) => ({ value: item.id, label: item.name })),
        ]}
      />
      <Button onClick={() => compose.mutate()} disabled={compose.isPending}>
        Work it out
      </Button>
      {compose.error && <Notice error={compose.error} />}
      {compose.data && (
        <div role="status" className="text-sm text-ink-soft grid gap-1">
          <p className="m-0">
            From {withUnit(compose.data.distance_m, 'm', units)} away,{' '}
            {withUnit(compose.data.height_m, 'm', units)} up, tilt{' '}
            {withUnit(compose.data.tilt_deg, 'deg', units, 0)}, held for{' '}
            {withUnit(compose.data.reached.hold_s, 's', units)}.
            {compose.data.hidden === true && ' It is not seen in the first frame.'}
          </p>
          {compose.data.notes.map((note) => (
            <p key={note} className="m-0">
              {note}
            </p>
          ))}
        </div>
      )}
    </Card>
  );
}
