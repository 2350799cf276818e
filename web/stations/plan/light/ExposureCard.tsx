// Exposure: shutter by frame rate, filter by the light, one white balance for the whole shot, and how the histogram is read.
import { keepPreviousData, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Notice } from '~/kit/Notice';
import { NumberRow } from '~/kit/NumberRow';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { figure, withUnit } from '~/units';
import { draftOf } from '../draft';

type Wish = Schemas['ExposureWish'];

type Props = {
  rigId: number;
  home: { lat: number; lon: number };
  time: number;
  /** How high the sun stands then, degrees; null where it is not known. */
  sun: number | null;
  /** The shot that it is set for: kept with it, and so on its card and in the field. */
  shot: Schemas['Shot'] | null;
};

const BAG = [4, 8, 16, 32, 64, 128, 256, 512, 1000];

export function ExposureCard({ rigId, home, time, sun, shot }: Props) {
  const client = useQueryClient();
  const { units } = useSession();
  const [wish, setWish] = useState<Wish>(shot?.brief.exposure ?? { filters: [8, 16, 32, 64] });
  const [simulated, setSimulated] = useState(false);
  const put = (change: Partial<Wish>) => setWish((now) => said({ ...now, ...change }));
  const asked = { ...wish, rig_id: rigId, sun_deg: sun === null ? null : Math.round(10 * sun) / 10 };
  const answer = useQuery({
    queryKey: ['exposure', asked],
    queryFn: () => answered(api.POST('/exposures', { body: asked })),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const meter = useMutation({
    mutationFn: () =>
      answered(
        api.GET('/light-meter', {
          params: { query: { lat: home.lat, lon: home.lon, at: new Date(1000 * time).toISOString() } },
        }),
      ),
    onSuccess: (read) => {
      put({ meter_ev: read.ev, meter_shutter: null, meter_iso: null, meter_aperture: null });
      setSimulated(true);
    },
  });
  // A value that is refused leaves the form as it was, with the reason above it.
  const [last, setLast] = useState(answer.data);
  if (answer.data !== undefined && answer.data !== last) setLast(answer.data);
  const found = answer.data ?? last;
  const settled = found === undefined ? wish : { ...wish, scene: wish.scene ?? found.estimate };
  const keep = useMutation({
    mutationFn: (shot: Schemas['Shot']) =>
      answered(
        api.PUT('/shots/{shot}', {
          params: { path: { shot: shot.id } },
          body: {
            ...draftOf(shot),
            // As it was estimated here, for the hour that was looked at: a card knows no hour.
            brief: { ...shot.brief, exposure: settled },
            title: shot.title,
            version: shot.version,
          },
        }),
      ),
    onSuccess: (kept) => {
      setWish(settled);
      client.setQueryData(['shot', kept.id], kept);
      void client.invalidateQueries({ queryKey: ['shots'] });
    },
  });
  const unkept = shot !== null && saying(shot.brief.exposure ?? {}) !== saying(wish);
  const metered = wish.meter_shutter != null || wish.meter_ev != null;
  if (!found && !answer.error) return null;
  return (
    <Card className="p-3 grid gap-2.5" label="Exposure">
      <h2>Exposure</h2>
      {answer.error && <Notice error={answer.error} />}
      {keep.error && <Notice error={keep.error} />}
      {shot !== null && (
        <Button
          primary
          disabled={!unkept || keep.isPending || answer.error !== null}
          onClick={() => keep.mutate(shot)}
        >
          {unkept ? 'Keep it with the shot' : 'Kept with the shot'}
        </Button>
      )}
      {found && (
        <>
          <dl className="m-0 grid grid-cols-2 gap-2">
            <Big
              label="Shutter"
              value={`${found.shutter.set} s`}
              more={`${figure(found.shutter.angle_deg, 0)}° at ${figure(found.fps, 0)} fps`}
            />
            <Big
              label="Filter"
              value={found.filter.use}
              more={`${figure(found.filter.stops, 1)} stops wanted, ${figure(Math.abs(found.filter.left_stops), 1)} left ${found.filter.left_stops >= 0 ? 'over' : 'under'}`}
            />
            <Big label="White balance" value={`${found.white_balance_k} K`} more="fixed for the whole shot" />
            <Big
              label="Scene"
              value={`EV ${figure(found.scene_ev, 1)}`}
              more={
                metered
                  ? simulated
                    ? 'metered, simulated'
                    : 'metered'
                  : wish.scene == null
                    ? 'by the sun as it stands then'
                    : 'estimated'
              }
            />
          </dl>
          {found.warnings.map((warning) => (
            <p key={warning} role="alert" className="m-0 text-sm border-l-3 border-brick pl-2">
              {warning}
            </p>
          ))}
          <Pick
            label="Frame rate"
            value={String(found.fps)}
            onChange={(value) => put({ fps: Number(value) })}
            options={found.camera.frame_rates.map((rate) => ({
              value: String(rate),
              label: `${rate} frames a second`,
            }))}
          />
          <Pick
            label="Aperture"
            value={String(found.aperture)}
            onChange={(value) => put({ aperture: Number(value) })}
            options={found.camera.apertures.map((one) => ({ value: String(one), label: `f/${one}` }))}
          />
          <NumberRow
            label="ISO"
            value={found.iso}
            unit=""
            units={units}
            places={0}
            onChange={(iso) => put({ iso })}
          />
          <Pick
            label="The scene, where there is no meter"
            value={wish.scene ?? 'by-sun'}
            onChange={(scene) =>
              put({
                scene: scene === 'by-sun' ? null : scene,
                meter_ev: null,
                meter_shutter: null,
                meter_iso: null,
                meter_aperture: null,
              })
            }
            options={[
              { value: 'by-sun', label: 'By the sun, under a clear sky' },
              ...found.scenes.map((one) => ({ value: one.id, label: one.name })),
            ]}
          />
          <NumberRow
            name="A meter shows 1 over"
            label="Metered shutter, 1 over"
            value={wish.meter_shutter ?? 0}
            unit=""
            units={units}
            places={0}
            onChange={(shutter) => {
              setSimulated(false);
              put({ meter_shutter: shutter > 0 ? shutter : null, meter_ev: null });
            }}
          />
          {wish.meter_shutter != null && (
            <>
              <NumberRow
                name="at ISO"
                label="Metered at ISO"
                value={wish.meter_iso ?? found.iso}
                unit=""
                units={units}
                places={0}
                onChange={(meter_iso) => put({ meter_iso })}
              />
              <NumberRow
                name="and f/"
                label="Metered at aperture"
                value={wish.meter_aperture ?? found.aperture}
                unit=""
                units={units}
                places={1}
                onChange={(meter_aperture) => put({ meter_aperture })}
              />
            </>
          )}
          <Button onClick={() => meter.mutate()} disabled={meter.isPending}>
            Read the meter (simulated)
          </Button>
          <fieldset className="border-0 p-0 m-0">
            <legend className="text-sm p-0">Filters in the bag</legend>
            <div className="flex flex-wrap gap-1 mt-1">
              {BAG.map((factor) => {
                const has = wish.filters?.includes(factor) ?? false;
                return (
                  <button
                    key={factor}
                    type="button"
                    aria-pressed={has}
                    className={`min-h-11 px-2 rounded-md border cursor-pointer text-sm ${has ? 'bg-haze border-petal font-semibold' : 'bg-card border-line text-ink-soft'}`}
                    onClick={() =>
                      put({
                        filters: has
                          ? wish.filters?.filter((one) => one !== factor)
                          : [...(wish.filters ?? []), factor],
                      })
                    }
                  >
                    ND{factor}
                  </button>
                );
              })}
            </div>
          </fieldset>
          <Choice
            label="White balance"
            value={wish.automatic_white ? 'auto' : 'fixed'}
            onChange={(value) => put({ automatic_white: value === 'auto' })}
            options={[
              { value: 'fixed', label: 'Fixed' },
              { value: 'auto', label: 'Automatic' },
            ]}
          />
          {!wish.automatic_white && (
            <NumberRow
              label="Fixed at"
              value={wish.kelvin ?? found.white_balance_k}
              unit="K"
              units={units}
              places={0}
              onChange={(kelvin) => put({ kelvin: Math.round(kelvin) })}
            />
          )}
          <NumberRow
            name="Histogram against its right edge"
            label="Clipped"
            value={wish.clipped ?? 0}
            unit="%"
            units={units}
            places={1}
            onChange={(clipped) => put({ clipped: Math.max(0, Math.min(100, clipped)) })}
          />
          <NumberRow
            name="against its left edge"
            label="Crushed"
            value={wish.crushed ?? 0}
            unit="%"
            units={units}
            places={1}
            onChange={(crushed) => put({ crushed: Math.max(0, Math.min(100, crushed)) })}
          />
          <p className="m-0 text-sm text-ink-soft">
            What touches the right edge is white for ever: lower the exposure until only a glint does. Sharp
            from {withUnit(found.sharp_from_m, 'm', units)} to the horizon; no diffraction to see up to f/
            {figure(found.diffraction_from_f, 1)}.
          </p>
        </>
      )}
    </Card>
  );
}

/** What a wish says, whichever order it was said in. */
const saying = (wish: Wish) =>
  JSON.stringify(
    Object.entries(wish)
      .filter(([, one]) => one !== null && one !== false && one !== 0)
      .sort(([a], [b]) => a.localeCompare(b)),
  );

/** What is left open is not written. */
function said(wish: Wish): Wish {
  return Object.fromEntries(Object.entries(wish).filter(([, one]) => one !== null)) as Wish;
}

function Big({ label, value, more }: { label: string; value: string; more: string }) {
  return (
    <div>
      <dt className="text-sm text-ink-soft">{label}</dt>
      <dd className="m-0 figure text-lg font-semibold">{value}</dd>
      <dd className="m-0 text-sm text-ink-soft">{more}</dd>
    </div>
  );
}
