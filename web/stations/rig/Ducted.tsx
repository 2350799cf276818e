// A ducted craft: where it hovers, the throttle about that point, the angle of its fixed camera, and whether speed is being made
// with throttle.
import { keepPreviousData, useMutation, useQuery } from '@tanstack/react-query';
import { Plus, X } from 'lucide-react';
import { useState } from 'react';
import { answered, api, type Schemas, upload } from '~/api/client';
import { useTakes } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { Pick } from '~/kit/Pick';
import { useSize } from '~/kit/useSize';
import { linear, through } from '~/pictures/scale';
import { useSession } from '~/shell/session';
import { dateIn, figure, withUnit } from '~/units';
import type { RigDraft } from './useRigDraft';

/** Common practice, no published source. */
const LIMITS_FOR = [
  { limit: 70, why: 'indoors and near walls. A flinch of the thumb does not shoot it to the ceiling.' },
  { limit: 80, why: 'the same outdoors in calm air: some climb is kept for a gust.' },
  { limit: 100, why: 'outdoors with range and wind. All of it is there to get out of trouble.' },
];

export function Ducted({ draft }: { draft: RigDraft }) {
  const { units } = useSession();
  const reading = draft.reading?.ducted;
  const set = draft.settings.ducted;
  if (reading == null || set === undefined)
    return <Notice tone="soft" text="This craft is not a ducted one." />;
  const put = (next: Partial<Schemas['RigDucted']>) =>
    draft.change((settings) => ({ ...settings, ducted: { ...set, ...next } }));
  const percent = (
    label: string,
    value: number,
    least: number,
    most: number,
    key: 'hover' | 'limit' | 'soft',
  ) => (
    <Dial
      label={label}
      value={Math.round(1000 * value) / 10}
      unit="%"
      least={least}
      most={most}
      step={1}
      places={0}
      units={units}
      onChange={(next) => put({ [key]: next / 100 })}
    />
  );
  return (
    <div className="grid gap-3 lg:grid-cols-3 items-start">
      <Card caption="Throttle about the hover point">
        <div className="px-3 pb-3 grid gap-2">
          <ThrottleCard reading={reading} />
          {percent('Hover point: throttle that holds the height', set.hover, 10, 90, 'hover')}
          {percent('Throttle limit', set.limit, 20, 100, 'limit')}
          {percent('Softness about the hover', set.soft, 0, 100, 'soft')}
          <fieldset className="border-0 p-0 m-0 grid gap-1">
            <legend className="text-sm">What a limit is for (schools differ)</legend>
            {LIMITS_FOR.map(({ limit, why }) => (
              <button
                key={limit}
                type="button"
                aria-pressed={Math.round(100 * set.limit) === limit}
                className="min-h-11 px-2 text-left rounded-md border border-line bg-card cursor-pointer text-sm aria-pressed:border-larkspur"
                onClick={() => put({ limit: limit / 100 })}
              >
                <b className="figure">{limit} %</b>: {why}
              </button>
            ))}
          </fieldset>
          <p className="m-0 text-sm text-ink-soft">Half stick is made to hover, whatever the limit.</p>
          <Choice
            label="Self-levelling"
            value={set.self_levelling ? 'on' : 'off'}
            onChange={(value) => put({ self_levelling: value === 'on' })}
            options={[
              { value: 'on', label: 'On: it slows itself' },
              { value: 'off', label: 'Off' },
            ]}
          />
        </div>
      </Card>
      <div className="grid gap-3">
        <Card caption="Camera angle for a pace">
          <div className="px-3 pb-3 grid gap-2">
            <span className="figure text-2xl font-semibold">
              {withUnit(reading.level_pace_mps, 'm/s', units)}
            </span>
            <span className="text-sm text-ink-soft">
              is the pace at which this camera looks level. Slower it looks up, quicker down.
            </span>
            <Leans reading={reading} onChoose={(camera_deg) => put({ camera_deg })} />
            <Dial
              label="Camera, above the craft’s own level"
              value={set.camera_deg}
              unit="deg"
              least={0}
              most={45}
              step={1}
              places={0}
              units={units}
              onChange={(camera_deg) => put({ camera_deg })}
            />
            <Dial
              label="Coasting: drag alone takes the speed in"
              value={set.coast_s}
              unit="s"
              least={0.5}
              most={5}
              step={0.1}
              units={units}
              onChange={(coast_s) => put({ coast_s })}
            />
          </div>
        </Card>
        <Bob craft={draft.rig.craft_id} top={draft.settings.modes[draft.mode].turn_dps} />
      </div>
      <HoverTrials
        rig={draft.rig.id}
        onFound={(throttle) => put({ hover: Math.round(throttle * 1000) / 1000 })}
      />
    </div>
  );
}

function ThrottleCard({ reading }: { reading: Schemas['DuctedReading'] }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const height = 190;
  const x = linear(0, 1, 38, Math.max(60, width - 10));
  const y = linear(0, 1, height - 24, 10);
  return (
    <div ref={ref} data-picture="throttle-card" style={{ height }}>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          role="img"
          aria-label={`Half stick gives ${figure(100 * reading.hover, 0)} % throttle and hovers`}
          className="block text-ink-soft"
        >
          <path d={`M${x(0)} ${y(1)}V${y(0)}H${x(1)}`} stroke="var(--line)" fill="none" />
          <path
            d={`M${x(0)} ${y(reading.hover)}H${x(0.5)}V${y(0)}`}
            stroke="var(--leaf)"
            strokeDasharray="4 3"
            fill="none"
          />
          <path
            d={through(reading.points.map(([a, b]) => [x(a ?? 0), y(b ?? 0)]))}
            stroke="var(--climb)"
            strokeWidth={2.5}
            fill="none"
          />
          <circle cx={x(0.5)} cy={y(reading.hover)} r={6} fill="var(--leaf)" />
          <text x={34} y={y(1) + 8} fontSize={11} textAnchor="end" fill="currentColor" className="figure">
            100 %
          </text>
          <text x={x(0.5) + 10} y={y(reading.hover) + 16} fontSize={12} fill="currentColor">
            hovers
          </text>
          <text x={x(0)} y={height - 6} fontSize={11} fill="currentColor">
            stick down
          </text>
          <text x={x(1)} y={height - 6} fontSize={11} textAnchor="end" fill="currentColor">
            stick up
          </text>
        </svg>
      )}
    </div>
  );
}

/** The angle that suits a pace: pressed, it is set. */
function Leans({
  reading,
  onChoose,
}: {
  reading: Schemas['DuctedReading'];
  onChoose: (degrees: number) => void;
}) {
  const { units } = useSession();
  return (
    <fieldset className="border-0 p-0 m-0 grid gap-1">
      <legend className="text-sm">Set it for the pace you fly at ease</legend>
      <div className="grid grid-cols-3 gap-1">
        {reading.leans
          .filter((_, i) => i > 0 && i % 3 === 0)
          .slice(0, 6)
          .map(([pace = 0, lean = 0]) => (
            <button
              key={pace}
              type="button"
              onClick={() => onChoose(Math.round(lean))}
              className="min-h-11 rounded-md border border-line bg-card cursor-pointer text-sm hover:border-petal"
            >
              <span className="figure">{withUnit(pace, 'm/s', units)}</span>: {figure(lean, 0)}°
            </button>
          ))}
      </div>
    </fieldset>
  );
}

/** The cap begins at this share of what full stick turns at; it is the operator's to move. */
const CAPPED = 0.6;

/** Whether the speed of a take was made with throttle, and how long it turned faster than a cap. */
function Bob({ craft, top }: { craft: number; top: number }) {
  const { whose } = useSession();
  const takes = useTakes({ operator: whose, craft });
  const all = takes.data?.pages.flatMap((page) => page.takes) ?? [];
  const { units } = useSession();
  const [chosen, setChosen] = useState<string>();
  const [cap, setCap] = useState(Math.round(CAPPED * top));
  const take = chosen ?? (all[0] === undefined ? undefined : String(all[0].id));
  const bob = useQuery({
    queryKey: ['bob', take, cap],
    queryFn: () =>
      answered(
        api.GET('/takes/{take}/bob', {
          params: { path: { take: Number(take) }, query: { turn_cap_dps: cap } },
        }),
      ),
    placeholderData: keepPreviousData,
    enabled: take !== undefined,
    retry: false,
  });
  return (
    <Card caption="Bob: is speed made with throttle?">
      <div className="px-3 pb-3 grid gap-2">
        {all.length === 0 ? (
          <p className="m-0 text-sm">
            No take was flown with this craft yet. Fly one, or bring its log in; then the hands show.
          </p>
        ) : (
          <Pick
            label="Take"
            value={take ?? ''}
            onChange={setChosen}
            options={all.map((one) => ({
              value: String(one.id),
              label: `${one.title}, ${dateIn(one.zone, new Date(one.flown_at))}`,
            }))}
          />
        )}
        {bob.error && <Notice error={bob.error} />}
        {bob.data && (
          <>
            <span className="figure text-2xl font-semibold">{figure(bob.data.index, 0)}</span>
            <span className="text-sm">{bob.data.words}</span>
            <span className="text-sm text-ink-soft">
              Quick throttle {figure(100 * bob.data.throttle_work, 1)} % of the travel, quick lean{' '}
              {figure(100 * bob.data.run_work, 1)} %; it hops by {figure(100 * bob.data.hop_m, 0)} cm.
            </span>
            <Dial
              label="Turn cap"
              value={cap}
              unit="deg/s"
              least={5}
              most={Math.max(30, Math.ceil(top))}
              step={5}
              places={0}
              units={units}
              onChange={(next) => setCap(Math.max(1, Math.min(1000, next)))}
            />
            {bob.data.turns !== null && <span className="text-sm">{bob.data.turns}</span>}
          </>
        )}
      </div>
    </Card>
  );
}

type Trial = { id: number; throttle: number; climb: number };

function HoverTrials({ rig, onFound }: { rig: number; onFound: (throttle: number) => void }) {
  const { units } = useSession();
  const [trials, setTrials] = useState<Trial[]>([
    { id: 1, throttle: 40, climb: -0.4 },
    { id: 2, throttle: 48, climb: 0.3 },
  ]);
  const find = useMutation({
    mutationFn: (log: File | null) => {
      if (log === null) {
        return answered(
          api.POST('/hover-points', {
            body: {
              trials: trials.map((trial) => [trial.throttle / 100, trial.climb]),
            },
          }),
        );
      }
      const form = new FormData();
      form.append('log', log);
      form.append('rig', String(rig));
      return upload('/hover-points', form, () => {});
    },
    onSuccess: (found) => onFound(found.throttle),
  });
  const put = (id: number, next: Partial<Trial>) =>
    setTrials(trials.map((trial) => (trial.id === id ? { ...trial, ...next } : trial)));
  return (
    <Card caption="Find the hover point">
      <div className="px-3 pb-3 grid gap-3">
        <p className="m-0 text-sm text-ink-soft">
          Hold a throttle and see what it does: rises above nought, sinks below. Outdoors, over grass, with
          room.
        </p>
        <table className="w-full text-sm">
          <thead>
            <tr className="text-left">
              <th className="font-normal text-ink-soft">Throttle</th>
              <th className="font-normal text-ink-soft">Rises by</th>
              <th>
                <span className="sr-only">Take out</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {trials.map((trial, i) => (
              <tr key={trial.id}>
                <td>
                  <NumberInput
                    label={`Throttle of trial ${i + 1}`}
                    value={trial.throttle}
                    unit="%"
                    units={units}
                    places={0}
                    className="w-20 min-h-11"
                    onChange={(throttle) => put(trial.id, { throttle })}
                  />
                </td>
                <td>
                  <NumberInput
                    label={`Climb of trial ${i + 1}`}
                    value={trial.climb}
                    unit="m/s"
                    units={units}
                    places={2}
                    className="w-28 min-h-11"
                    onChange={(climb) => put(trial.id, { climb })}
                  />
                </td>
                <td>
                  <button
                    type="button"
                    aria-label={`Take trial ${i + 1} out`}
                    className="size-11 grid place-items-center rounded-md cursor-pointer bg-transparent"
                    onClick={() => setTrials(trials.filter((one) => one.id !== trial.id))}
                  >
                    <X size={17} aria-hidden />
                  </button>
                </td>
              </tr>
            ))}
          </tbody>
        </table>
        <div className="flex flex-wrap gap-2">
          <Button
            onClick={() =>
              setTrials([
                ...trials,
                { id: 1 + Math.max(0, ...trials.map(({ id }) => id)), throttle: 44, climb: 0 },
              ])
            }
          >
            <Plus size={17} aria-hidden />
            Another trial
          </Button>
          <Button primary onClick={() => find.mutate(null)} disabled={find.isPending}>
            Work it out
          </Button>
        </div>
        <label className={`grid gap-1 text-sm`}>
          Or a log of hovering, with its throttle stick, flown with the throttle as it is kept in this version
          <input
            type="file"
            accept=".csv,.gpx,.kml,.geojson"
            className="min-h-11 py-2"
            onChange={(event) => event.target.files?.[0] && find.mutate(event.target.files[0])}
          />
        </label>
        {find.error && <Notice error={find.error} />}
        {find.data && (
          <Notice
            tone="leaf"
            text={`It hovers at ${figure(100 * find.data.throttle, 1)} %, give or take ${figure(100 * find.data.sd, 1)}, from ${find.data.from}. Put in above.`}
          />
        )}
      </div>
    </Card>
  );
}
