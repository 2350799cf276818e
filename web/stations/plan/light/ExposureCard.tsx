// Exposure: shutter by frame rate, filter by the light, one white balance for the whole shot, and how the histogram is read.
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
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

type Props = { rigId: number; home: { lat: number; lon: number }; time: number };

const BAG = [4, 8, 16, 32, 64, 128, 256, 512, 1000];

export function ExposureCard({ rigId, home, time }: Props) {
  const { units } = useSession();
  const [wish, setWish] = useState<Schemas['ExposureWanted']>({
    rig_id: rigId,
    iso: 100,
    scene: 'sun',
    meter_ev: null,
    filters: [8, 16, 32, 64],
    kelvin: null,
    automatic_white: false,
    clipped: 0,
  });
  const put = (change: Partial<Schemas['ExposureWanted']>) => setWish({ ...wish, ...change });
  const answer = useQuery({
    queryKey: ['exposure', wish],
    queryFn: () => answered(api.POST('/exposures', { body: wish })),
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
    onSuccess: (read) => put({ meter_ev: read.ev }),
  });
  const found = answer.data;
  if (!found && !answer.error) return null;
  return (
    <Card className="p-3 grid gap-2.5" label="Exposure">
      <h2>Exposure</h2>
      {answer.error && <Notice error={answer.error} />}
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
              more={wish.meter_ev == null ? 'estimated' : 'metered'}
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
            value={wish.scene ?? 'sun'}
            onChange={(scene) => put({ scene, meter_ev: null })}
            options={found.scenes.map((one) => ({ value: one.id, label: one.name }))}
          />
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
          <NumberRow
            name="Histogram against its right edge"
            label="Clipped"
            value={wish.clipped ?? 0}
            unit="%"
            units={units}
            places={1}
            onChange={(clipped) => put({ clipped: Math.max(0, Math.min(100, clipped)) })}
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

function Big({ label, value, more }: { label: string; value: string; more: string }) {
  return (
    <div>
      <dt className="text-sm text-ink-soft">{label}</dt>
      <dd className="m-0 figure text-lg font-semibold">{value}</dd>
      <dd className="m-0 text-sm text-ink-soft">{more}</dd>
    </div>
  );
}
