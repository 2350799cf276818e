// What holds for the whole site: where it lies, its limits, how the ground lies, and which way it is drawn.

import { useMutation } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { NumberRow } from '~/kit/NumberRow';
import { TextLine } from '~/kit/TextLine';
import { ZONES } from '~/kit/ZoneField';
import { useSession } from '~/shell/session';
import { type Drawing, turned } from './drawing';

/** The server knows the same names. */

type Props = { drawing: Drawing; onDone: (next: Drawing) => void };

export function SiteLimits({ drawing, onDone }: Props) {
  const { units } = useSession();
  const [turn, setTurn] = useState(0);
  const { document } = drawing;
  const put = (change: Partial<Drawing['document']>) =>
    onDone({ ...drawing, document: { ...document, ...change } });
  const heights = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/ground-heights', {
          body: {
            home: { lat: document.home.lat, lon: document.home.lon },
            reach_m: 160,
          },
        }),
      ),
    onSuccess: (found) => put({ ground: { spots: found.spots, simulated: found.simulated } }),
  });
  const profile = (points: number[][]) => put({ ground: { ...document.ground, profile: points } });
  const point = (index: number, to: number[]) =>
    profile((document.ground?.profile ?? []).map((one, k) => (k === index ? to : one)));
  const number = (
    label: string,
    value: number,
    unit: string,
    change: (value: number) => void,
    places = 0,
    place?: string,
  ) => (
    <NumberRow
      label={label}
      value={value}
      unit={unit}
      units={units}
      places={places}
      limits={place === undefined ? undefined : LIMITS.site[place]}
      onChange={change}
      className="w-36"
    />
  );
  return (
    <Card className="p-3 grid gap-2" label="The whole site">
      <h2>The whole site</h2>
      <Field
        label="About"
        value={drawing.about ?? ''}
        maxLength={300}
        onChange={(event) => onDone({ ...drawing, about: event.target.value })}
      />
      {number(
        'Latitude of take-off',
        document.home.lat,
        'deg',
        (lat) => put({ home: { ...document.home, lat } }),
        5,
        'home.lat',
      )}
      {number(
        'Longitude of take-off',
        document.home.lon,
        'deg',
        (lon) => put({ home: { ...document.home, lon } }),
        5,
        'home.lon',
      )}
      {number(
        'Take-off above the sea',
        document.home.alt_m,
        'm',
        (alt_m) => put({ home: { ...document.home, alt_m } }),
        1,
        'home.alt_m',
      )}
      {number(
        'Ceiling above ground',
        document.ceiling_m,
        'm',
        (ceiling_m) => put({ ceiling_m }),
        0,
        'ceiling_m',
      )}
      {number(
        'Seen no farther than',
        document.sight_line_m,
        'm',
        (sight_line_m) => put({ sight_line_m }),
        0,
        'sight_line_m',
      )}
      {number(
        'Least distance to people',
        document.people_m ?? 30,
        'm',
        (people_m) => put({ people_m }),
        0,
        'people_m',
      )}
      {number(
        'Compass off true north',
        document.variation_deg ?? 0,
        'deg',
        (variation_deg) => put({ variation_deg }),
        1,
        'variation_deg',
      )}
      <TextLine
        label="Time zone of its clock"
        value={document.zone ?? 'UTC'}
        known={ZONES}
        onChange={(zone) => put({ zone })}
      />
      <p className="m-0 text-sm text-ink-soft">
        Common defaults, not law: check your local authority. The sheet’s north is true north.
      </p>
      <div className="flex justify-between items-center gap-2">
        <span className="text-sm">Turn the drawing</span>
        <NumberInput label="Turn by" value={turn} unit="deg" units={units} places={1} onChange={setTurn} />
        <Button onClick={() => onDone(turned(drawing, turn))} disabled={turn === 0}>
          Turn
        </Button>
      </div>
      <h2>The ground</h2>
      <p className="m-0 text-sm text-ink-soft">
        {document.ground?.profile
          ? 'A profile along one bearing.'
          : (document.ground?.spots?.length ?? 0) > 0
            ? `${document.ground?.spots?.length} spot heights${document.ground?.simulated ? ', simulated' : ''}. Put in more with the spot tool.`
            : 'Not described: taken as level with what is filmed.'}
      </p>
      {document.ground?.profile && (
        <div className="grid gap-1">
          {number('It runs toward', document.ground.bearing_deg ?? 0, 'deg', (bearing_deg) =>
            put({ ground: { ...document.ground, bearing_deg: ((bearing_deg % 360) + 360) % 360 } }),
          )}
          {document.ground.profile.map(([along = 0, up = 0], index) => (
            // biome-ignore lint/suspicious/noArrayIndexKey: a point is its place in the profile
            <div key={index} className="flex justify-between items-center gap-2 min-h-9">
              <NumberInput
                label={`Point ${index + 1}, along`}
                value={along}
                unit="m"
                units={units}
                onChange={(value) => point(index, [value, up])}
              />
              <NumberInput
                label={`Point ${index + 1}, height`}
                value={up}
                unit="m"
                units={units}
                onChange={(value) => point(index, [along, value])}
              />
            </div>
          ))}
          <Button
            onClick={() =>
              profile([
                ...(document.ground?.profile ?? []),
                [
                  (document.ground?.profile?.at(-1)?.[0] ?? 0) + 20,
                  document.ground?.profile?.at(-1)?.[1] ?? 0,
                ],
              ])
            }
          >
            One point more
          </Button>
        </div>
      )}
      <div className="flex flex-wrap gap-2">
        {!document.ground?.profile && (
          <Button
            onClick={() =>
              put({
                ground: {
                  profile: [
                    [0, 0],
                    [50, 0],
                  ],
                  bearing_deg: 0,
                },
              })
            }
          >
            Enter a profile
          </Button>
        )}
        <Button onClick={() => heights.mutate()} disabled={heights.isPending}>
          Ask for heights (simulated)
        </Button>
        {document.ground && (
          <Button
            onClick={() => {
              const { ground: _, ...rest } = document;
              onDone({ ...drawing, document: rest });
            }}
          >
            Level again
          </Button>
        )}
      </div>
      {heights.error && <Notice error={heights.error} />}
    </Card>
  );
}
