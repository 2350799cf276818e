// Light: the sun's day at the site, where its light falls on the shot, when the wanted light holds, and what the camera is set to.
import { keepPreviousData, skipToken, useQuery } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { findShots, useShot, useShots, useSite, useSites } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import { PickFrom } from '~/kit/PickFrom';
import { Skeleton } from '~/kit/Skeleton';
import { DateField } from '~/kit/WhenFields';
import { SiteSheet } from '~/pictures/SiteSheet';
import { SunDayChart, sunAt } from '~/pictures/SunDayChart';
import { useSession } from '~/shell/session';
import { dateIn, figure, hour } from '~/units';
import { draftOf } from '../draft';
import { PlanNav } from '../PlanNav';
import { ExposureCard } from './ExposureCard';

export default function LightStation() {
  const params = useParams();
  const { whose } = useSession();
  const sites = useSites();
  const shots = useShots(whose);
  const id = Number(params.shot) || shots.data?.[0]?.id;
  const shot = useShot(id);
  const siteId = shot.data?.site_id ?? sites.data?.[0]?.id;
  const site = useSite(siteId);
  if (shot.error) throw shot.error;
  if (site.error) throw site.error;
  if (!sites.data || !shots.data || (id !== undefined && !shot.data) || (siteId !== undefined && !site.data))
    return <Skeleton className="h-[80vh] m-5" />;
  if (!site.data) {
    return (
      <main className="p-5">
        <Notice tone="soft" text="Your school has no site yet. Draw one under Site; the sun follows." />
      </main>
    );
  }
  return <Light key={id ?? 'none'} site={site.data} shot={shot.data ?? null} shots={shots.data} />;
}

type Props = { site: Schemas['Site']; shot: Schemas['Shot'] | null; shots: Schemas['Shot'][] };

function Light({ site, shot, shots }: Props) {
  const { units, whose } = useSession();
  const navigate = useNavigate();
  const [search, setSearch] = useSearchParams();
  const zone = site.document.zone ?? 'UTC';
  const date = search.get('date') ?? dateIn(zone);
  const [chosen, setChosen] = useState<number | null>(null);
  const light = useQuery({
    queryKey: ['light', site.id, site.version, shot?.id, shot?.updated_at, date],
    queryFn: () =>
      answered(
        api.POST('/light', {
          body: {
            ...(shot ? draftOf(shot) : {}),
            site_id: site.id,
            date,
            light: shot?.brief.light ?? null,
          },
        }),
      ),
    placeholderData: keepPreviousData,
    retry: false,
  });
  const plan = useQuery({
    queryKey: ['plan', shot?.id, shot?.updated_at],
    queryFn: shot ? () => answered(api.POST('/plans', { body: draftOf(shot) })) : skipToken,
  });
  const day = light.data?.day;
  const time = chosen ?? (day ? Date.parse(day.noon) / 1000 : 0);
  const sun = light.data ? sunAt(light.data, time) : null;
  const variation = site.document.variation_deg ?? 0;
  const bearings = light.data
    ? [
        ...(day?.rise ? [{ at: day.rise, name: 'rises' }] : []),
        ...(day?.set ? [{ at: day.set, name: 'sets' }] : []),
      ].map((one) => ({
        azimuth_deg: sunAt(light.data, Date.parse(one.at) / 1000).azimuth,
        label: `${one.name} ${hour(one.at, zone)}`,
      }))
    : [];
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_330px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div>
          <h1>Light: {shot?.title ?? site.name}</h1>
          <p className="m-0 text-sm text-ink-soft">
            {site.name}. Times in {zone}.
          </p>
        </div>
        <PlanNav now="light" shot={shot?.id ?? null} site={site.id} />
      </div>
      <div className="grid gap-3 min-w-0 min-h-0 lg:grid-rows-[minmax(250px,1fr)_minmax(230px,0.9fr)]">
        <Card
          caption="The sun’s height through the day"
          className="grid grid-rows-[auto_1fr] min-h-72 lg:min-h-0 overflow-hidden"
        >
          {light.data ? (
            <SunDayChart light={light.data} zone={zone} time={time} onTime={setChosen} />
          ) : (
            <Skeleton className="h-full" />
          )}
        </Card>
        <div className="grid gap-3 sm:grid-cols-[1.1fr_1fr] min-h-0">
          <Card
            caption="Its bearing on the site"
            className="grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0 overflow-hidden"
          >
            <SiteSheet
              site={site.document}
              subject={plan.data?.subject ?? null}
              planned={plan.data?.samples ?? null}
              wind={null}
              hfov={plan.data?.camera.hfov_deg ?? 70}
              sun={
                sun
                  ? [
                      ...bearings,
                      ...(sun.altitude > -6
                        ? [{ azimuth_deg: sun.azimuth, label: hour(1000 * time, zone) }]
                        : []),
                    ]
                  : null
              }
              units={units}
              label={`Where the sun stands over ${site.name}`}
            />
          </Card>
          <Card className="p-3 grid gap-2 content-start" scrolls label="The day in figures">
            {light.error && <Notice error={light.error} />}
            {day && sun && (
              <>
                <p className="m-0 text-lg font-semibold">
                  {hour(1000 * time, zone)}: sun {figure(sun.altitude, 0)}° high, toward{' '}
                  {figure(sun.azimuth, 0)}°
                  {variation !== 0 && `, ${figure((sun.azimuth - variation + 360) % 360, 0)}° on the compass`}
                </p>
                {day.sentence && <p className="m-0 border-l-3 border-pollen pl-2">{day.sentence}</p>}
                <dl className="m-0 grid grid-cols-[1fr_auto] gap-x-3 gap-y-1">
                  <dt>Sunrise, sunset</dt>
                  <dd className="m-0 figure">
                    {day.rise ? hour(day.rise, zone) : 'none'}, {day.set ? hour(day.set, zone) : 'none'}
                  </dd>
                  <dt>Golden light</dt>
                  <dd className="m-0 figure">{spans(day.stretches.golden, zone)}</dd>
                  <dt>Blue light</dt>
                  <dd className="m-0 figure">{spans(day.stretches.blue, zone)}</dd>
                  <dt>Highest</dt>
                  <dd className="m-0 figure">{figure(day.highest_deg, 0)}°</dd>
                </dl>
                {light.data?.shot && (
                  <div className="border-t border-line pt-2">
                    <strong>{wantedWords(light.data.shot.wanted)}</strong>
                    <p className="m-0">
                      {light.data.shot.windows.length > 0
                        ? `It holds ${spans(light.data.shot.windows, zone)}.`
                        : light.data.shot.sentence}
                    </p>
                    <MixedLight stretches={light.data.shot.mixed} time={time} zone={zone} />
                    <p className="m-0 text-sm text-ink-soft">
                      The camera looks {toward(light.data.shot)} while it holds.
                    </p>
                  </div>
                )}
              </>
            )}
          </Card>
        </div>
      </div>
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        <Card className="p-3 grid gap-3">
          {shots.length > 0 && (
            <PickFrom
              label="Shot"
              now={shot && { value: String(shot.id), label: shot.title }}
              latest={shots.map((one) => ({ value: String(one.id), label: one.title }))}
              find={findShots(whose)}
              onChange={(value) => navigate(`/plan/light/${value}?date=${date}`)}
            />
          )}
          <DateField
            label="Day"
            value={date}
            onChange={(next) => setSearch({ date: next }, { replace: true })}
          />
        </Card>
        {shot && (
          <ExposureCard
            rigId={shot.rig_id}
            home={site.document.home}
            time={time}
            sun={sun?.altitude ?? null}
            shot={shot}
          />
        )}
        {light.data?.shot && light.data.shot.sound.length > 0 && (
          <Card className="p-3 grid gap-1">
            <h2>Sound from the ground</h2>
            {light.data.shot.sound.map((sentence) => (
              <p key={sentence} className="m-0">
                {sentence}
              </p>
            ))}
          </Card>
        )}
      </aside>
    </main>
  );
}

const STATES = { sun: 'In the sun', shade: 'In shade', mixed: 'Mixed light' } as const;

/** Whether what is filmed lies in the sun throughout: what holds at the chosen time, and when it is otherwise. */
function MixedLight({
  stretches,
  time,
  zone,
}: {
  stretches: Schemas['LightStretch'][];
  time: number;
  zone: string;
}) {
  const now = stretches.find(
    (one) => Date.parse(one.from) <= 1000 * time && 1000 * time < Date.parse(one.to),
  );
  const states = (['sun', 'shade', 'mixed'] as const).filter((state) =>
    stretches.some((one) => one.state === state),
  );
  return (
    <div data-light={now?.state ?? 'none'}>
      {now && (
        <p
          className={`m-0 ${now.state === 'mixed' ? 'border-l-3 border-brick pl-2' : ''}`}
          role={now.state === 'mixed' ? 'alert' : undefined}
        >
          {now.sentence}
        </p>
      )}
      {(states.length > 1 ? states : []).map((state) => (
        <p key={state} className="m-0 text-sm text-ink-soft">
          {STATES[state]}: {spans(joined(stretches.filter((one) => one.state === state)), zone)}
        </p>
      ))}
      {stretches.length > 0 && (
        <p className="m-0 text-sm text-ink-soft">
          By what is drawn on the site; clouds and hills are not known.
        </p>
      )}
    </div>
  );
}

/** Stretches that follow one another, by whatever the shade is, as one. */
function joined(stretches: Schemas['TimeStretch'][]): Schemas['TimeStretch'][] {
  const out: Schemas['TimeStretch'][] = [];
  for (const { from, to } of stretches) {
    const last = out.at(-1);
    if (last && last.to === from) out[out.length - 1] = { from: last.from, to };
    else out.push({ from, to });
  }
  return out;
}

function spans(stretches: Schemas['TimeStretch'][], zone: string): string {
  return stretches.length === 0
    ? 'none'
    : stretches.map((one) => `${hour(one.from, zone)} to ${hour(one.to, zone)}`).join(', ');
}

const HOURS = { any: '', day: 'daytime', golden: 'golden', blue: 'blue' } as const;

/** What light a shot is wanted in, as people say it. */
function wantedWords({ side, hour }: Schemas['WantedLight']): string {
  if (side === 'any' && hour === 'any') return 'This shot asks for no light of its own.';
  const light = [HOURS[hour], side === 'any' ? '' : side, 'light'].filter((word) => word !== '').join(' ');
  return `Wanted: ${light}${side === 'any' ? ', from any side' : ''}.`;
}

function toward(shot: { heading_from_deg: number; heading_to_deg: number }): string {
  const [from, to] = [figure(shot.heading_from_deg, 0), figure(shot.heading_to_deg, 0)];
  return from === to ? `toward ${from}°` : `from ${from}° to ${to}°`;
}
