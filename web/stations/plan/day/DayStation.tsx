// Day: batteries, light and shots put into an order that fits; what does not fit and why; planned anew at a touch; and taken into the field.
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { call, type Schemas } from '~/api/client';
import { useShots, useSites } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { DayChart } from '~/pictures/DayChart';
import { useSession } from '~/shell/session';
import { day as dayName, figure, hour, withUnit } from '~/units';
import { PlanNav } from '../PlanNav';
import { MISSING } from './FieldDay';
import { type Form, useDayForm } from './useDayForm';

type Day = Schemas['DayDetail'];

export default function DayStation() {
  const params = useParams();
  const { whose } = useSession();
  const sites = useSites();
  const shots = useShots(whose);
  const days = useQuery({
    queryKey: ['days', whose ?? null],
    queryFn: () => call<Schemas['Day'][]>('GET', `/days${whose === undefined ? '' : `?operator=${whose}`}`),
  });
  const id = params.day === 'new' ? undefined : Number(params.day) || days.data?.[0]?.id;
  const day = useQuery({
    queryKey: ['day', id],
    queryFn: () => call<Day>('GET', `/days/${id}`),
    enabled: id !== undefined,
    staleTime: 0,
  });
  if (days.error) throw days.error;
  if (day.error) throw day.error;
  if (!sites.data || !shots.data || !days.data || (id !== undefined && !day.data))
    return <Skeleton className="h-[80vh] m-5" />;
  if (id === undefined || !day.data) {
    return <NewDay sites={sites.data} shots={shots.data} days={days.data} />;
  }
  return <Worked key={day.data.id} first={day.data} days={days.data} shots={shots.data} />;
}

function NewDay({
  sites,
  shots,
  days,
}: {
  sites: Schemas['Site'][];
  shots: Schemas['Shot'][];
  days: Schemas['Day'][];
}) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const withShots = sites.filter((site) => shots.some((shot) => shot.site_id === site.id));
  const [site, setSite] = useState((withShots[0] ?? sites[0])?.id ?? 0);
  const [date, setDate] = useState(new Date().toISOString().slice(0, 10));
  const [title, setTitle] = useState('A day of flying');
  const mine = shots.filter((shot) => shot.site_id === site);
  const keep = useMutation({
    mutationFn: () =>
      call<Day>('POST', '/days', {
        title,
        date,
        site_id: site,
        document: {
          from: '09:00',
          to: '17:00',
          batteries: { count: 3, minutes: 20, reserve: 0.2, temperature_c: 15 },
          weather: null,
          shots: mine.slice(0, 24).map((shot) => ({ shot_id: shot.id })),
          filters: [],
          permission: {},
        },
      }),
    onSuccess: (kept) => {
      client.setQueryData(['day', kept.id], kept);
      void client.invalidateQueries({ queryKey: ['days'] });
      navigate(`/plan/days/${kept.id}`);
    },
  });
  return (
    <main className="p-5 grid gap-4 max-w-3xl">
      <div className="flex flex-wrap justify-between gap-3 items-end">
        <h1>A new day</h1>
        <PlanNav now="days" shot={null} />
      </div>
      {sites.length === 0 ? (
        <Notice
          tone="soft"
          text="A day is flown at a site. Draw one under Site first, and plan a shot there."
        />
      ) : (
        <Card className="p-4 grid gap-3">
          <Field
            label="Title"
            value={title}
            maxLength={120}
            onChange={(event) => setTitle(event.target.value)}
          />
          <Pick
            label="Site"
            value={String(site)}
            onChange={(value) => setSite(Number(value))}
            options={sites.map((one) => ({ value: String(one.id), label: one.name }))}
          />
          <DateField value={date} onChange={setDate} />
          <p className="m-0 text-ink-soft">
            {mine.length === 0
              ? 'No shot is planned at this site yet: plan one under Shot, then it can go into the day.'
              : `${mine.length} shots are planned here: ${mine
                  .slice(0, 24)
                  .map((shot) => shot.title)
                  .join(', ')}.`}
          </p>
          <Button primary onClick={() => keep.mutate()} disabled={keep.isPending || title.trim() === ''}>
            Begin the day
          </Button>
          {keep.error && <Notice error={keep.error} />}
        </Card>
      )}
      {days.length > 0 && (
        <Card className="p-4">
          <h2>Days before</h2>
          <ul className="m-0 p-0 list-none">
            {days.map((one) => (
              <li key={one.id}>
                <Link className="inline-flex items-center min-h-11" to={`/plan/days/${one.id}`}>
                  {one.title}, {dayName(one.date)}
                </Link>
              </li>
            ))}
          </ul>
        </Card>
      )}
    </main>
  );
}

function Worked({ first, days, shots }: { first: Day; days: Schemas['Day'][]; shots: Schemas['Shot'][] }) {
  const { units } = useSession();
  const navigate = useNavigate();
  const { form, day, problem, busy, change, put } = useDayForm(first);
  const [chosen, setChosen] = useState<number | null>(null);
  const { timetable } = day;
  const document = form.document;
  const batteries = document.batteries;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_330px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div className="min-w-0 flex-1 basis-72">
          <input
            aria-label="Title of the day"
            className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink"
            value={form.title}
            maxLength={120}
            onChange={(event) =>
              change((now) => ({ ...now, title: event.target.value === '' ? 'A day' : event.target.value }))
            }
          />
          <p className="m-0 text-sm text-ink-soft">
            {dayName(day.date)}, {day.site}.{' '}
            {timetable
              ? `${new Set(timetable.slots.map((slot) => slot.shot_id)).size} of ${day.cards.length} shots fit, ${timetable.batteries_used} ${timetable.batteries_used === 1 ? 'battery' : 'batteries'}, ${figure(timetable.air_min, 0)} min in the air, home at ${hour(timetable.ends)}.`
              : ''}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <PlanNav now="days" shot={null} site={day.site_id} />
          <a className={buttonLook()} href={`/api/v1/days/${day.id}/sheet`} target="_blank" rel="noreferrer">
            Day sheet
          </a>
          <a className={buttonLook()} href={`/api/v1/days/${day.id}/calendar`} download>
            Calendar
          </a>
          <Link className={buttonLook(true)} to={`/field/${day.id}`}>
            Take it into the field
          </Link>
        </div>
      </div>
      <div
        className="grid gap-3 min-w-0 min-h-0 lg:grid-rows-[minmax(190px,0.8fr)_auto_minmax(200px,1fr)]"
        aria-busy={busy}
      >
        <Card
          caption="Timetable, UTC"
          className="grid grid-rows-[auto_1fr] min-h-56 lg:min-h-0 overflow-hidden"
        >
          {timetable ? (
            <DayChart day={day} chosen={chosen} onChoose={setChosen} />
          ) : (
            <div className="p-3">
              <Notice text={`${day.problem?.message ?? ''} Expected ${day.problem?.expected ?? ''}.`} />
            </div>
          )}
        </Card>
        <div className="flex flex-wrap gap-2 items-center">
          <span className="text-sm text-ink-soft">Plan anew:</span>
          <Button
            onClick={() => put({ only_must: !(document.only_must ?? false) })}
            aria-pressed={document.only_must ?? false}
          >
            {document.only_must ? 'All shots again' : 'Only the must-haves'}
          </Button>
          <Button
            onClick={() => put({ batteries: { ...batteries, count: Math.max(0, batteries.count - 1) } })}
          >
            One battery lost
          </Button>
          <Button onClick={() => put({ from: nowOr(day.date, document.from), replanned: true })}>
            From now on
          </Button>
          {document.replanned && <Button onClick={() => put({ replanned: false })}>Whole day again</Button>}
          {problem && <Notice error={problem} />}
        </div>
        <div className="grid gap-3 sm:grid-cols-2 min-h-0">
          <Card className="p-3" scrolls label="Shots of the day">
            <h2>Shots of the day</h2>
            <Shots day={day} form={form} shots={shots} put={put} chosen={chosen} onChoose={setChosen} />
          </Card>
          <Card className="p-3 grid gap-3 content-start" scrolls label="The way home, lists and cautions">
            <div>
              <h2>Return height {withUnit(day.return.height_m, 'm', units, 0)}</h2>
              <p className={`m-0 ${day.return.over_ceiling ? 'text-brick' : ''}`}>{day.return.sentence}</p>
            </div>
            <div>
              <h2>Cautions for this day</h2>
              <ul className="m-0 p-0 list-none">
                {day.cautions.map((caution) => (
                  <li key={caution.id} className="py-1.5 border-b border-line">
                    {caution.text}
                    <span className="block text-sm text-ink-soft">
                      Ask {caution.ask}, {caution.dated}.
                      {caution.shots.length > 0 && ` ${caution.shots.join(', ')}.`}
                    </span>
                  </li>
                ))}
              </ul>
            </div>
            {day.lists.map((list) => (
              <div key={list.id}>
                <h2>{list.title}</h2>
                <ul className="m-0 pl-5">
                  {list.items.map((item) => (
                    <li
                      key={item.id}
                      className={day.log.ticks[item.id]?.on ? 'line-through text-ink-soft' : ''}
                    >
                      {item.text}
                    </li>
                  ))}
                </ul>
              </div>
            ))}
          </Card>
        </div>
      </div>
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        {day.log.conflicts.length > 0 && (
          <Notice
            text={`Entered differently on two devices: ${day.log.conflicts.map((one) => one.text).join(' ')}`}
          />
        )}
        <Card className="p-3 grid gap-2">
          <Pick
            label="Day"
            value={String(day.id)}
            onChange={(value) => navigate(`/plan/days/${value}`)}
            options={[
              ...days.map((one) => ({ value: String(one.id), label: `${one.title}, ${one.date}` })),
              { value: 'new', label: 'A new day' },
            ]}
          />
          <DateField value={form.date} onChange={(date) => change((now) => ({ ...now, date }))} />
          <div className="grid grid-cols-2 gap-2">
            <HourField label="From, UTC" value={document.from} onChange={(from) => put({ from })} />
            <HourField label="To" value={document.to} onChange={(to) => put({ to })} />
          </div>
        </Card>
        <Power form={form} day={day} put={put} />
        <Weather form={form} day={day} put={put} />
        <Permission form={form} day={day} put={put} />
      </aside>
    </main>
  );
}

type Put = (change: Partial<Form['document']>) => void;

function Shots({
  day,
  form,
  shots,
  put,
  chosen,
  onChoose,
}: {
  day: Day;
  form: Form;
  shots: Schemas['Shot'][];
  put: Put;
  chosen: number | null;
  onChoose: (shot: number) => void;
}) {
  const { units } = useSession();
  const inDay = form.document.shots;
  const others = shots.filter(
    (shot) => shot.site_id === form.site_id && !inDay.some((one) => one.shot_id === shot.id),
  );
  const change = (id: number, next: Partial<Schemas['DayShot']>) =>
    put({ shots: inDay.map((one) => (one.shot_id === id ? { ...one, ...next } : one)) });
  return (
    <>
      <ul className="m-0 p-0 list-none">
        {inDay.map((one) => {
          const card = day.cards.find((item) => item.shot_id === one.shot_id);
          const left = day.timetable?.left.find((item) => item.shot_id === one.shot_id);
          const slot = day.timetable?.slots.find((item) => item.shot_id === one.shot_id);
          const must = one.must ?? card?.brief.must ?? false;
          if (!card) return null;
          return (
            <li
              key={one.shot_id}
              className={`py-1 border-b border-line ${chosen === one.shot_id ? 'bg-haze' : ''}`}
              data-day-shot={one.shot_id}
            >
              <div className="flex flex-wrap items-center gap-2">
                <button
                  type="button"
                  className="grow text-left min-h-9 cursor-pointer bg-transparent font-semibold"
                  onClick={() => onChoose(one.shot_id)}
                >
                  {card.title}
                </button>
                <NumberInput
                  label={`Passes of ${card.title}`}
                  value={one.passes ?? card.brief.passes}
                  unit=""
                  units={units}
                  places={0}
                  className="w-10"
                  onChange={(passes) =>
                    change(one.shot_id, { passes: Math.max(1, Math.min(20, Math.round(passes))) })
                  }
                />
                <button
                  type="button"
                  aria-pressed={must}
                  className={`min-h-9 px-2 rounded-md border text-sm cursor-pointer ${must ? 'bg-haze border-petal font-semibold' : 'bg-card border-line text-ink-soft'}`}
                  onClick={() => change(one.shot_id, { must: !must })}
                >
                  must
                </button>
                <button
                  type="button"
                  aria-label={`Take ${card.title} out of the day`}
                  className="min-h-9 px-2 cursor-pointer text-ink-soft bg-transparent"
                  onClick={() => put({ shots: inDay.filter((item) => item.shot_id !== one.shot_id) })}
                >
                  ×
                </button>
              </div>
              <p className={`m-0 text-sm ${left ? 'text-brick' : 'text-ink-soft'}`}>
                {left
                  ? `Does not fit. ${left.why}${left.fits > 0 ? ` ${left.fits} of its passes would.` : ''}`
                  : slot
                    ? `${hour(slot.from)} on battery ${slot.battery}${slot.waits_s > 60 ? ', after a wait for the light' : ''}`
                    : 'Left out.'}
              </p>
            </li>
          );
        })}
        {inDay.length === 0 && <li className="text-ink-soft">No shot yet.</li>}
      </ul>
      {others.length > 0 && (
        <div className="mt-2">
          <Pick
            label="Put a shot in"
            value=""
            empty="A shot of this site"
            onChange={(value) => put({ shots: [...inDay, { shot_id: Number(value) }] })}
            options={others.map((shot) => ({ value: String(shot.id), label: shot.title }))}
          />
        </div>
      )}
    </>
  );
}

function Row({ label, children }: { label: string; children: React.ReactNode }) {
  return (
    <div className="flex justify-between items-center min-h-9">
      <span className="text-sm">{label}</span>
      {children}
    </div>
  );
}

function Power({ form, day, put }: { form: Form; day: Day; put: Put }) {
  const { units } = useSession();
  const { batteries } = form.document;
  const change = (next: Partial<typeof batteries>) => put({ batteries: { ...batteries, ...next } });
  return (
    <Card className="p-3" label="Batteries">
      <h2>Batteries</h2>
      <Row label="Full ones">
        <NumberInput
          label="Batteries"
          value={batteries.count}
          unit=""
          units={units}
          places={0}
          onChange={(count) => change({ count: Math.max(0, Math.round(count)) })}
        />
      </Row>
      <Row label="Each flies for">
        <NumberInput
          label="Minutes of a battery"
          value={batteries.minutes}
          unit="min"
          units={units}
          onChange={(minutes) => change({ minutes })}
        />
      </Row>
      <Row label="Reserve that stays in">
        <NumberInput
          label="Reserve"
          value={100 * (batteries.reserve ?? 0.2)}
          unit="%"
          units={units}
          places={0}
          onChange={(percent) => change({ reserve: Math.max(0, Math.min(0.9, percent / 100)) })}
        />
      </Row>
      <Row label="Air">
        <NumberInput
          label="Temperature of the air"
          value={batteries.temperature_c ?? 20}
          unit="°C"
          units={units}
          places={0}
          onChange={(temperature_c) => change({ temperature_c })}
        />
      </Row>
      <Row label="A change takes">
        <NumberInput
          label="Minutes of a change"
          value={form.document.swap_min ?? 3}
          unit="min"
          units={units}
          onChange={(swap_min) => put({ swap_min: Math.max(0, swap_min) })}
        />
      </Row>
      <Row label="Return height margin">
        <NumberInput
          label="Margin"
          value={form.document.return_margin_m ?? 15}
          unit="m"
          units={units}
          places={0}
          onChange={(return_margin_m) => put({ return_margin_m: Math.max(0, return_margin_m) })}
        />
      </Row>
      {day.batteries && (
        <p className="m-0 text-sm text-ink-soft">
          {figure(day.batteries.usable_min, 1)} min of each can be flown
          {day.batteries.cold_share < 1 &&
            `; the cold takes ${figure(100 * (1 - day.batteries.cold_share), 0)} %`}
          .
        </p>
      )}
    </Card>
  );
}

function Weather({ form, day, put }: { form: Form; day: Day; put: Put }) {
  const { units } = useSession();
  const sites = useSites();
  const home = sites.data?.find((one) => one.id === form.site_id)?.document.home;
  const weather = form.document.weather ?? { from_deg: 0, mean_mps: 0, gust_mps: 0 };
  const change = (next: Partial<typeof weather>) =>
    put({ weather: { ...weather, ...next, source: 'typed in', simulated: false } });
  const ask = useMutation({
    mutationFn: () =>
      call<Schemas['Weather']>(
        'GET',
        `/weather?lat=${home?.lat}&lon=${home?.lon}&at=${day.date}T${form.document.from}:00Z`,
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
      <Row label="From">
        <NumberInput
          label="Wind from"
          value={weather.from_deg}
          unit="deg"
          units={units}
          places={0}
          onChange={(from_deg) => change({ from_deg: ((from_deg % 360) + 360) % 360 })}
        />
      </Row>
      <Row label="Mean">
        <NumberInput
          label="Mean wind"
          value={weather.mean_mps}
          unit="m/s"
          units={units}
          onChange={(mean_mps) =>
            change({ mean_mps: Math.max(0, mean_mps), gust_mps: Math.max(mean_mps, weather.gust_mps) })
          }
        />
      </Row>
      <Row label="Gusts">
        <NumberInput
          label="Gusts"
          value={weather.gust_mps}
          unit="m/s"
          units={units}
          onChange={(gust_mps) => change({ gust_mps: Math.max(weather.mean_mps, gust_mps) })}
        />
      </Row>
      <p className="m-0 text-sm text-ink-soft">
        {weather.source ?? 'Still air'}
        {weather.simulated && ', simulated'}
      </p>
      <Button className="mt-2" onClick={() => ask.mutate()} disabled={ask.isPending || !home}>
        Ask the weather (simulated)
      </Button>
      {ask.error && <Notice error={ask.error} />}
    </Card>
  );
}

function Permission({ form, day, put }: { form: Form; day: Day; put: Put }) {
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

/** Text that is taken when the field is left: each change plans the day anew. */
function TextLine({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  const [typing, setTyping] = useState<string | null>(null);
  return (
    <Field
      label={label}
      value={typing ?? value}
      maxLength={200}
      onChange={(event) => setTyping(event.target.value)}
      onBlur={() => {
        if (typing !== null && typing !== value) onChange(typing);
        setTyping(null);
      }}
    />
  );
}

function DateField({ value, onChange }: { value: string; onChange: (value: string) => void }) {
  return (
    <label className="grid gap-1 text-sm">
      Date
      <input
        type="date"
        className="min-h-11 px-3 rounded-md border border-line bg-card text-base text-ink"
        value={value}
        onChange={(event) => event.target.value !== '' && onChange(event.target.value)}
      />
    </label>
  );
}

function HourField({
  label,
  value,
  onChange,
}: {
  label: string;
  value: string;
  onChange: (value: string) => void;
}) {
  return (
    <label className="grid gap-1 text-sm">
      {label}
      <input
        type="time"
        className="min-h-11 px-3 rounded-md border border-line bg-card text-base text-ink"
        value={value}
        onChange={(event) => /^\d\d:\d\d$/.test(event.target.value) && onChange(event.target.value)}
      />
    </label>
  );
}

/** The hour now, on the day itself; on any other day the hour that was planned. */
function nowOr(date: string, planned: string): string {
  const now = new Date().toISOString();
  return now.slice(0, 10) === date ? now.slice(11, 16) : planned;
}
