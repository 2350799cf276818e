// Day: batteries, light and shots put into an order that fits; what does not fit and why; planned anew at a touch; and taken into the
// field.

import { skipToken, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { Link, useNavigate, useParams } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { findDays, findShots, findSites, useDays, useShots, useSite, useSites } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { PickFrom, SHOWN } from '~/kit/PickFrom';
import { Remove } from '~/kit/Remove';
import { Skeleton } from '~/kit/Skeleton';
import { DateField, HourField } from '~/kit/WhenFields';
import { DayChart } from '~/pictures/DayChart';
import { useSession } from '~/shell/session';
import { dateIn, day as dayName, figure, hour, withUnit } from '~/units';
import { PlanNav } from '../PlanNav';
import { Permission, Power, type Put, Weather } from './DayConditions';
import { DeskLog } from './DeskLog';
import { type Form, useDayForm } from './useDayForm';

type Day = Schemas['DayDetail'];

export default function DayStation() {
  const params = useParams();
  const { whose } = useSession();
  const sites = useSites();
  const shots = useShots(whose);
  const days = useDays(whose);
  const id = params.day === 'new' ? undefined : Number(params.day) || days.data?.[0]?.id;
  const day = useQuery({
    queryKey: ['day', id],
    queryFn:
      id === undefined
        ? skipToken
        : () => answered(api.GET('/days/{day}', { params: { path: { day: id } } })),
    staleTime: 0,
  });
  if (days.error) throw days.error;
  if (day.error) throw day.error;
  if (!sites.data || !shots.data || !days.data || (id !== undefined && !day.data))
    return <Skeleton className="h-[80vh] m-5" />;
  if (id === undefined || !day.data) {
    return (
      <NewDay sites={sites.data} first={shots.data[0]?.site_id ?? sites.data[0]?.id ?? 0} days={days.data} />
    );
  }
  return <Worked key={day.data.id} first={day.data} days={days.data} />;
}

function NewDay({
  sites,
  first,
  days,
}: {
  sites: Schemas['SiteName'][];
  /** The site that is offered first. */
  first: number;
  days: Schemas['Day'][];
}) {
  const navigate = useNavigate();
  const client = useQueryClient();
  const { whose } = useSession();
  const [site, setSite] = useState(first);
  const [typed, setTyped] = useState<string | null>(null);
  const [title, setTitle] = useState('A day of flying');
  const [purpose, setPurpose] = useState('');
  const mine = useShots(whose, site).data ?? [];
  const named = useSite(site).data;
  // Today is what it is where the site lies.
  const date = typed ?? dateIn(named?.document.zone ?? 'UTC');
  const keep = useMutation({
    mutationFn: () =>
      answered(
        api.POST('/days', {
          body: {
            title,
            purpose,
            date,
            site_id: site,
            document: {
              from: '09:00',
              to: '17:00',
              batteries: { count: 3, minutes: 20 },
              weather: null,
              shots: mine.slice(0, 24).map((shot) => ({ shot_id: shot.id })),
              filters: [],
              permission: {},
            },
          },
        }),
      ),
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
          <Field
            label="What it is for"
            value={purpose}
            maxLength={400}
            placeholder="what should be better when you come home?"
            onChange={(event) => setPurpose(event.target.value)}
          />
          <PickFrom
            label="Site"
            now={{ value: String(site), label: named?.name ?? '…' }}
            latest={sites.map((one) => ({ value: String(one.id), label: one.name }))}
            find={findSites}
            onChange={(value) => setSite(Number(value))}
          />
          <DateField label="Date" value={date} onChange={setTyped} />
          <p className="m-0 text-ink-soft">
            {mine.length === 0
              ? 'No shot is planned at this site yet: plan one under Shot, then it can go into the day.'
              : `${mine.length === 1 ? 'One shot is' : `${mine.length} shots are`} planned here: ${mine
                  .slice(0, 24)
                  .map((shot) => shot.title)
                  .join(', ')}.`}
          </p>
          <Button
            primary
            onClick={() => keep.mutate()}
            disabled={keep.isPending || title.trim() === '' || purpose.trim() === ''}
          >
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

/** Taken when the field is left or at Enter; a title that is emptied stays as it was. */
function TitleLine({ title, onChange }: { title: string; onChange: (title: string) => void }) {
  const [typing, setTyping] = useState<string | null>(null);
  const take = () => {
    if (typing !== null && typing.trim() !== '' && typing !== title) onChange(typing.trim());
    setTyping(null);
  };
  return (
    <input
      aria-label="Title of the day"
      className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink"
      value={typing ?? title}
      maxLength={120}
      onChange={(event) => setTyping(event.target.value)}
      onBlur={take}
      onKeyDown={(event) => {
        if (event.key === 'Enter') take();
        if (event.key === 'Escape') setTyping(null);
      }}
    />
  );
}

function Worked({ first, days }: { first: Day; days: Schemas['Day'][] }) {
  const { units, whose } = useSession();
  const navigate = useNavigate();
  const client = useQueryClient();
  const { form, day, problem, busy, merged, change, put } = useDayForm(first);
  const [chosen, setChosen] = useState<number | null>(null);
  const { timetable } = day;
  const document = form.document;
  const batteries = document.batteries;
  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_330px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div className="min-w-0 flex-1 basis-72">
          <TitleLine title={form.title} onChange={(title) => change((now) => ({ ...now, title }))} />
          <input
            aria-label="What the day is for"
            className="w-full min-h-7 bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink"
            value={form.purpose ?? ''}
            maxLength={400}
            placeholder="What the day is for"
            onChange={(event) => change((now) => ({ ...now, purpose: event.target.value }))}
          />
          <p className="m-0 text-sm text-ink-soft">
            {dayName(day.date)} {day.date.slice(0, 4)}, {day.site}.{' '}
            {timetable
              ? `${new Set(timetable.slots.map((slot) => slot.shot_id)).size} of ${day.cards.length} shots fit, ${timetable.batteries_used} ${timetable.batteries_used === 1 ? 'battery' : 'batteries'}, ${figure(timetable.air_min, 0)} min in the air, home at ${hour(timetable.ends, day.zone)}.`
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
          caption={`Timetable, ${day.zone}`}
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
          <Button onClick={() => put({ from: nowOr(day, document.from), replanned: true })}>
            From now on
          </Button>
          {document.replanned && <Button onClick={() => put({ replanned: false })}>Whole day again</Button>}
          {merged && !problem && (
            <Notice
              tone="soft"
              text="Somebody else saved this day meanwhile: what you changed was put into theirs."
            />
          )}
          {problem && <Notice error={problem} />}
        </div>
        <div className="grid gap-3 sm:grid-cols-2 min-h-0">
          <Card className="p-3" scrolls label="Shots of the day">
            <h2>Shots of the day</h2>
            <Shots day={day} form={form} put={put} chosen={chosen} onChoose={setChosen} />
          </Card>
          <Card className="p-3 grid gap-3 content-start" scrolls label="The way home, lists and cautions">
            <DeskLog day={day} />
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
          <PickFrom
            label="Day"
            now={{ value: String(day.id), label: `${day.title}, ${day.date}` }}
            besides={[{ value: 'new', label: 'A new day' }]}
            latest={days.map((one) => ({ value: String(one.id), label: `${one.title}, ${one.date}` }))}
            find={findDays(whose)}
            onChange={(value) => navigate(`/plan/days/${value}`)}
          />
          <DateField
            label="Date"
            value={form.date}
            onChange={(date) => change((now) => ({ ...now, date }))}
          />
          <div className="grid grid-cols-2 gap-2">
            <HourField label="From" value={document.from} onChange={(from) => put({ from })} />
            <HourField label="To" value={document.to} onChange={(to) => put({ to })} />
          </div>
        </Card>
        <Power form={form} day={day} put={put} />
        <Weather form={form} day={day} put={put} />
        <Permission form={form} day={day} put={put} />
        <Remove
          what="this day"
          ask={() => answered(api.DELETE('/days/{day}', { params: { path: { day: day.id } } }))}
          words="Its timetable, ticks and passes go with it. Its shots and their takes stay."
          onRemoved={() => {
            void client.invalidateQueries({ queryKey: ['days'] });
            navigate('/plan/days');
          }}
        />
      </aside>
    </main>
  );
}

function Shots({
  day,
  form,
  put,
  chosen,
  onChoose,
}: {
  day: Day;
  form: Form;
  put: Put;
  chosen: number | null;
  onChoose: (shot: number) => void;
}) {
  const { units, whose } = useSession();
  const inDay = form.document.shots;
  const here = useShots(whose, form.site_id);
  const more = (here.data?.length ?? 0) >= SHOWN;
  const others = here.data?.filter((shot) => !inDay.some((one) => one.shot_id === shot.id)) ?? [];
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
                  limits={LIMITS.day['shots.*.passes']}
                  onChange={(passes) => change(one.shot_id, { passes: Math.round(passes) })}
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
                    ? `${hour(slot.from, day.zone)} on battery ${slot.battery}${slot.waits_s > 60 ? ', after a wait for the light' : ''}`
                    : 'Left out.'}
              </p>
              {slot?.light != null && (
                <p className="m-0 text-sm text-brick" data-mixed={one.shot_id}>
                  {slot.light}
                </p>
              )}
            </li>
          );
        })}
        {inDay.length === 0 && <li className="text-ink-soft">No shot yet.</li>}
      </ul>
      {(others.length > 0 || more) && (
        <div className="mt-2">
          <PickFrom
            label="Put a shot in"
            now={null}
            empty="A shot of this site"
            latest={others.map((shot) => ({ value: String(shot.id), label: shot.title }))}
            more={more}
            find={findShots(whose, form.site_id)}
            onChange={(value) =>
              inDay.some((one) => String(one.shot_id) === value) ||
              put({ shots: [...inDay, { shot_id: Number(value) }] })
            }
          />
        </div>
      )}
    </>
  );
}

/** The hour now, on the day itself; on any other day the hour that was planned. */
function nowOr(day: Day, planned: string): string {
  return dateIn(day.zone) === day.date ? hour(new Date(), day.zone) : planned;
}
