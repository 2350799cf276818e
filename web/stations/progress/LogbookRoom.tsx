// The logbook: totals, days and months of one operator, every take by what it is looked for, flights without a log, and all of it as files.
import { Link, useSearchParams } from 'react-router';
import type { Schemas } from '~/api/client';
import { type TakeFilter, useCrafts, useLogbook, useMoves, useSites, useTakes } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Field } from '~/kit/Field';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { TakeRow } from '~/pictures/TakeRow';
import { useSession } from '~/shell/session';
import { day, hour, withUnit } from '~/units';
import { DailyGoal } from './DailyGoal';
import { KeptFilters } from './KeptFilters';
import { LogbookFiles } from './LogbookFiles';
import { OwnEntries } from './OwnEntries';

const ANY = 'any';

/** Stretches of mean wind to choose from, m/s. */
const WINDS: [number, number | null][] = [
  [0, 3],
  [3, 6],
  [6, null],
];
const FIELDS = [
  'move',
  'flown',
  'mode',
  'direction',
  'craft',
  'site',
  'air',
  'fault',
  'least',
  'most',
  'from',
  'to',
] as const;

export function LogbookRoom({ operator }: { operator: number | undefined }) {
  const { seesClass } = useSession();
  const [search, setSearch] = useSearchParams();
  const filter: TakeFilter = { operator };
  for (const field of FIELDS) {
    const value = search.get(field);
    if (value !== null && value !== '') Object.assign(filter, { [field]: value });
  }
  const takes = useTakes(filter);
  const everyone = seesClass && operator === undefined;
  const logbook = useLogbook(operator, !everyone);
  const all = takes.data?.pages.flatMap((page) => page.takes) ?? [];
  const narrowed = Object.keys(filter).length > 1;
  if (takes.error ?? logbook.error) throw takes.error ?? logbook.error;
  const change = (field: string, value: string) =>
    setSearch(
      (before) => {
        if (value === '' || value === ANY) before.delete(field);
        else before.set(field, value);
        return before;
      },
      { replace: true },
    );
  return (
    <div className="grid gap-3 lg:grid-cols-[1fr_24rem] items-start">
      <div className="grid gap-3 min-w-0">
        {!everyone && logbook.data && <Awaited passes={logbook.data.awaited} />}
        <Filters filter={filter} onChange={change} />
        <KeptFilters
          now={Object.fromEntries(
            FIELDS.flatMap((field) => (search.get(field) ? [[field, search.get(field) as string]] : [])),
          )}
          onChoose={(kept) =>
            setSearch(
              (before) => {
                for (const field of FIELDS) before.delete(field);
                for (const [field, value] of Object.entries(kept)) before.set(field, value);
                return before;
              },
              { replace: true },
            )
          }
        />
        {takes.isPending ? (
          <Skeleton className="h-96" />
        ) : all.length === 0 ? (
          <Card className="p-6">
            <p className="m-0">
              {narrowed
                ? 'No take is like that. Ask for less, or for another stretch of time.'
                : 'No take yet. Plan a shot, then fly it: in Fly, or for real, and bring the log in.'}
            </p>
          </Card>
        ) : (
          <Card label="Takes, newest first">
            <ul className="m-0 p-0 list-none" data-list="takes">
              {all.map((take) => (
                <TakeRow key={take.id} take={take} showOperator={everyone} />
              ))}
            </ul>
          </Card>
        )}
        {takes.hasNextPage && (
          <Button onClick={() => takes.fetchNextPage()} disabled={takes.isFetchingNextPage}>
            {takes.isFetchingNextPage ? 'Fetching…' : 'Older takes'}
          </Button>
        )}
      </div>
      {!everyone && logbook.data && (
        <div className="grid gap-3">
          <Totals logbook={logbook.data} />
          <DailyGoal logbook={logbook.data} />
          <OwnEntries logbook={logbook.data} />
          <LogbookFiles logbook={logbook.data} />
        </div>
      )}
    </div>
  );
}

/** What was logged in the field and has no flight log yet: it is the next thing to bring in. */
function Awaited({ passes }: { passes: Schemas['AwaitedPass'][] }) {
  if (passes.length === 0) return null;
  return (
    <Card className="p-3 grid gap-1" label="Passes that await their logs">
      <h2>Awaiting {passes.length === 1 ? 'its log' : 'their logs'}</h2>
      <p className="m-0 text-sm text-ink-soft">
        Flown and logged in the field. Bring in the craft’s log under Fly: each pass finds its own by the
        clock.
      </p>
      <ul className="m-0 p-0 list-none text-sm" data-list="awaited">
        {passes.slice(0, AWAITED).map((pass) => (
          <li
            key={`${pass.day_id} ${pass.shot} ${pass.number} ${pass.at}`}
            className="py-1 border-b border-line"
          >
            <b>{pass.shot}</b>, pass {pass.number}, {pass.verdict}
            {pass.note !== '' && `, ${pass.note}`}
            <span className="block text-ink-soft">
              <Link to={`/plan/days/${pass.day_id}`}>{pass.day}</Link>, {day(pass.at, pass.zone)}{' '}
              {hour(pass.at, pass.zone)}, {pass.by}
            </span>
          </li>
        ))}
      </ul>
      {passes.length > AWAITED && (
        <p className="m-0 text-sm text-ink-soft">And {passes.length - AWAITED} more, under their days.</p>
      )}
    </Card>
  );
}

/** So many are listed. */
const AWAITED = 8;

function Filters({
  filter,
  onChange,
}: {
  filter: TakeFilter;
  onChange: (field: string, value: string) => void;
}) {
  const moves = useMoves();
  const crafts = useCrafts();
  const sites = useSites();
  const { units } = useSession();
  const wind = (mps: number) => withUnit(mps, 'm/s', units);
  const pick = (label: string, field: keyof TakeFilter, options: { value: string; label: string }[]) => (
    <Pick
      label={label}
      value={String(filter[field] ?? ANY)}
      options={[{ value: ANY, label: 'any' }, ...options]}
      onChange={(value) => onChange(field, value)}
    />
  );
  return (
    <Card className="p-3 grid gap-3 grid-cols-2 md:grid-cols-3">
      {pick(
        'Move',
        'move',
        (moves.data ?? []).map((move) => ({ value: move.id, label: move.name })),
      )}
      {pick('Flown', 'flown', [
        { value: 'hand', label: 'by hand' },
        { value: 'automated', label: 'by automation' },
        { value: 'practised', label: 'in Fly' },
      ])}
      {pick('Mode', 'mode', [
        { value: 'slow', label: 'slow' },
        { value: 'standard', label: 'standard' },
        { value: 'fast', label: 'fast' },
      ])}
      {pick('Way round', 'direction', [
        { value: 'clockwise', label: 'clockwise' },
        { value: 'counterclockwise', label: 'counterclockwise' },
        { value: 'left', label: 'to the left' },
        { value: 'right', label: 'to the right' },
      ])}
      {pick(
        'Craft',
        'craft',
        (crafts.data ?? []).map((craft) => ({ value: String(craft.id), label: craft.name })),
      )}
      {pick(
        'Place',
        'site',
        (sites.data ?? []).map((site) => ({ value: String(site.id), label: site.name })),
      )}
      {pick('Wind', 'air', [
        ...WINDS.map(([from, to]) => ({
          value: `${from}-${to ?? ''}`,
          label:
            to === null
              ? `${wind(from)} and more`
              : from === 0
                ? `under ${wind(to)}`
                : `${wind(from)} to ${wind(to)}`,
        })),
        { value: 'unknown', label: 'not known' },
      ])}
      <div className="grid gap-2 grid-cols-2">
        <Field
          label="Score from"
          type="number"
          min={0}
          max={100}
          value={filter.least ?? ''}
          onChange={(event) => onChange('least', event.target.value)}
        />
        <Field
          label="to"
          type="number"
          min={0}
          max={100}
          value={filter.most ?? ''}
          onChange={(event) => onChange('most', event.target.value)}
        />
      </div>
      <Field
        label="From"
        type="date"
        value={filter.from ?? ''}
        onChange={(event) => onChange('from', event.target.value)}
      />
      <Field
        label="To"
        type="date"
        value={filter.to ?? ''}
        onChange={(event) => onChange('to', event.target.value)}
      />
    </Card>
  );
}

function Totals({ logbook }: { logbook: Schemas['Logbook'] }) {
  const { totals, months } = logbook;
  const most = Math.max(1, ...months.map((month) => month.takes));
  const rows: [string, string][] = [
    ['Takes by hand', String(totals.by_hand)],
    ['In Fly', String(totals.practised)],
    ['By automation', String(totals.automated)],
    ['Minutes of takes with a craft', totals.taken_min.toFixed(0)],
    ['Minutes of passes in Fly', totals.practised_min.toFixed(0)],
    ['Minutes entered by hand', totals.entered_min.toFixed(0)],
    ['Days flown', String(totals.days)],
    ['Moves', String(totals.moves)],
    ['Clockwise or right / the other way', `${totals.clockwise} / ${totals.counterclockwise}`],
    ['In the slow mode', String(totals.slow)],
  ];
  return (
    <Card caption="In all" className="pb-3">
      <dl className="m-0 px-3 grid grid-cols-[1fr_auto] gap-x-3 text-sm">
        {rows.map(([name, value]) => (
          <div key={name} className="contents">
            <dt>{name}</dt>
            <dd className="m-0 figure text-right">{value}</dd>
          </div>
        ))}
      </dl>
      {months.length > 0 && (
        <div className="px-3 pt-3" data-picture="months">
          <p className="m-0 text-sm text-ink-soft">
            Takes by month: by hand, striped in Fly, outlined automation
          </p>
          <ul className="m-0 p-0 list-none grid gap-1 pt-1">
            {months.map((month) => {
              const hand = month.takes - month.automated - month.practised;
              const share = (count: number) => `${(100 * count) / most}%`;
              return (
                <li key={month.month} className="grid grid-cols-[4.5rem_1fr_2rem] gap-2 items-center text-sm">
                  <span className="figure">{month.month}</span>
                  <span
                    className="flex h-3"
                    role="img"
                    aria-label={`${hand} by hand, ${month.practised} in Fly, ${month.automated} by automation`}
                  >
                    <span style={{ width: share(hand), background: 'var(--larkspur)' }} />
                    <span
                      style={{
                        width: share(month.practised),
                        background:
                          'repeating-linear-gradient(45deg, var(--petal) 0 3px, var(--card) 3px 6px)',
                      }}
                    />
                    <span
                      className="border border-ink-soft"
                      style={{ width: share(month.automated) }}
                      hidden={month.automated === 0}
                    />
                  </span>
                  <span className="figure text-right">{month.takes}</span>
                </li>
              );
            })}
          </ul>
        </div>
      )}
    </Card>
  );
}
