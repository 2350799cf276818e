// What a day is flown under: its batteries, its wind, and the permissions that are its flier's to fill in.

import { useMutation } from '@tanstack/react-query';
import { answered, api, type Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { useSite } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { NumberRow } from '~/kit/NumberRow';
import { TextLine } from '~/kit/TextLine';
import { useSession } from '~/shell/session';
import { figure } from '~/units';
import { MISSING } from './FieldDay';
import type { Form } from './useDayForm';

type Day = Schemas['DayDetail'];
export type Put = (change: Partial<Form['document']>) => void;

export function Power({ form, day, put }: { form: Form; day: Day; put: Put }) {
  const { units } = useSession();
  const { batteries } = form.document;
  const change = (next: Partial<typeof batteries>) => put({ batteries: { ...batteries, ...next } });
  return (
    <Card className="p-3" label="Batteries">
      <h2>Batteries</h2>
      <NumberRow
        name="Full ones"
        label="Batteries"
        limits={LIMITS.day['batteries.count']}
        value={batteries.count}
        unit=""
        units={units}
        places={0}
        onChange={(count) => change({ count: Math.round(count) })}
      />
      <NumberRow
        name="Each flies for"
        label="Minutes of a battery"
        limits={LIMITS.day['batteries.minutes']}
        value={batteries.minutes}
        unit="min"
        units={units}
        onChange={(minutes) => change({ minutes })}
      />
      <NumberRow
        name="Reserve that stays in"
        label="Reserve"
        limits={percent(LIMITS.day['batteries.reserve'])}
        value={100 * (batteries.reserve ?? 0)}
        unit="%"
        units={units}
        places={0}
        onChange={(share) => change({ reserve: share / 100 })}
      />
      <NumberRow
        name="Air"
        label="Temperature of the air"
        limits={LIMITS.day['batteries.temperature_c']}
        value={batteries.temperature_c ?? 0}
        unit="°C"
        units={units}
        places={0}
        onChange={(temperature_c) => change({ temperature_c })}
      />
      <NumberRow
        name="A change takes"
        label="Minutes of a change"
        limits={LIMITS.day.swap_min}
        value={form.document.swap_min ?? 0}
        unit="min"
        units={units}
        onChange={(swap_min) => put({ swap_min })}
      />
      <NumberRow
        name="Return height margin"
        label="Margin"
        limits={LIMITS.day.return_margin_m}
        value={form.document.return_margin_m ?? 0}
        unit="m"
        units={units}
        places={0}
        onChange={(return_margin_m) => put({ return_margin_m })}
      />
      {day.batteries && (
        <p className="m-0 text-sm text-ink-soft">
          {figure(day.batteries.usable_min, 1)} min of each can be flown
          {day.batteries.cold_share < 1 &&
            `; the cold takes ${figure(100 * (1 - day.batteries.cold_share), 0)} %`}
          .
        </p>
      )}
      {day.batteries && day.batteries.passes_asked > 0 && (
        <p
          className={`m-0 text-sm ${day.batteries.passes_carried < day.batteries.passes_asked ? 'text-brick' : 'text-ink-soft'}`}
          data-carried={day.batteries.passes_carried}
        >
          A full one carries about {day.batteries.passes_each}{' '}
          {day.batteries.passes_each === 1 ? 'pass' : 'passes'} of these shots, all of them
          {form.document.replanned ? ' with what is left in them' : ''} about {day.batteries.passes_carried}.
          The day asks {day.batteries.passes_asked}.
        </p>
      )}
      {Object.entries(day.log.batteries).map(([item, one]) => (
        <p key={item} className="m-0 text-sm text-ink-soft">
          {item.replace('battery-', 'Battery ')}{' '}
          {one.running
            ? 'is in the air'
            : `has flown ${figure(one.flown_s / 60, 1)} min${form.document.replanned ? ', and the rest of it counts' : ''}`}
          .
        </p>
      ))}
    </Card>
  );
}

export function Weather({ form, day, put }: { form: Form; day: Day; put: Put }) {
  const { units } = useSession();
  const home = useSite(form.site_id).data?.document.home;
  const weather = form.document.weather ?? { from_deg: 0, mean_mps: 0, gust_mps: 0 };
  const change = (next: Partial<typeof weather>) =>
    put({ weather: { ...weather, ...next, source: 'typed in', simulated: false } });
  const ask = useMutation({
    mutationFn: (at: { lat: number; lon: number }) =>
      answered(
        api.GET('/weather', {
          params: { query: { lat: at.lat, lon: at.lon, at: day.begins ?? `${day.date}T12:00:00Z` } },
        }),
      ),
    onSuccess: (found) =>
      put({
        weather: {
          from_deg: found.from_deg,
          mean_mps: found.mean_mps,
          gust_mps: found.gust_mps,
          source: found.source,
          simulated: found.simulated,
        },
        batteries: { ...form.document.batteries, temperature_c: Math.round(found.temperature_c) },
      }),
  });
  return (
    <Card className="p-3" label="Wind">
      <h2>Wind at 10 m</h2>
      <NumberRow
        name="From"
        label="Wind from"
        value={weather.from_deg}
        unit="deg"
        units={units}
        places={0}
        onChange={(from_deg) => change({ from_deg: ((from_deg % 360) + 360) % 360 })}
      />
      <NumberRow
        name="Mean"
        label="Mean wind"
        limits={LIMITS.day['weather.mean_mps']}
        value={weather.mean_mps}
        unit="m/s"
        units={units}
        onChange={(mean_mps) => change({ mean_mps, gust_mps: Math.max(mean_mps, weather.gust_mps) })}
      />
      <NumberRow
        name="Gusts"
        label="Gusts"
        limits={LIMITS.day['weather.gust_mps']}
        value={weather.gust_mps}
        unit="m/s"
        units={units}
        onChange={(gust_mps) => change({ gust_mps: Math.max(weather.mean_mps, gust_mps) })}
      />
      <p className="m-0 text-sm text-ink-soft">
        {weather.source ?? 'Still air'}
        {weather.simulated && ', simulated'}
      </p>
      <Button className="mt-2" onClick={() => home && ask.mutate(home)} disabled={ask.isPending || !home}>
        Ask the weather (simulated)
      </Button>
      {ask.error && <Notice error={ask.error} />}
    </Card>
  );
}

export function Permission({ form, day, put }: { form: Form; day: Day; put: Put }) {
  const permission = form.document.permission ?? {};
  const fields = {
    airspace: 'Class of airspace',
    authority: 'Authority asked',
    owner: 'Land owner asked',
    rule_source: 'Source of the rules',
    rule_date: 'Dated',
  } as const;
  return (
    <Card className="p-3 grid gap-2" label="Permission">
      <h2>Permission</h2>
      <p className="m-0 text-sm text-ink-soft">Yours to fill in: Larkspur assumes none, and states no law.</p>
      {(Object.keys(fields) as (keyof typeof fields)[]).map((key) => (
        <TextLine
          key={key}
          label={fields[key]}
          value={permission[key] ?? ''}
          onChange={(text) => put({ permission: { ...permission, [key]: text } })}
        />
      ))}
      {day.missing.length > 0 && (
        <p className="m-0 text-sm text-brick">
          Not filled in: {day.missing.map((one) => MISSING[one] ?? one).join(', ')}.
        </p>
      )}
    </Card>
  );
}

/** Limits of a share, for one that is shown in percent. */
function percent(limits: readonly [number, number] | undefined): [number, number] | undefined {
  return limits && [100 * limits[0], 100 * limits[1]];
}
