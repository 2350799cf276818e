// What to practise: a planned shot, a drill, or the site as it is; what is made hard about it, and what of the instruments is left.
import { useState } from 'react';
import { useNavigate } from 'react-router';
import type { Schemas } from '~/api/client';
import { useCrafts, useMoves, useRigs, useSites } from '~/api/queries';
import type { Aid } from '~/flight/session';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Field } from '~/kit/Field';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import { addressOf, type Grid } from './cockpit/wanted';
import { type Draught, DraughtDials } from './DraughtDials';
import { Preview } from './Preview';
import { usePurpose } from './usePurpose';
import { WindDials, withGusts } from './WindDials';

type Conditions = Schemas['Conditions'];

const HARD: { id: keyof Conditions & ('nose_in' | 'wheel_reversed' | 'heavy' | 'from_pad'); name: string }[] =
  [
    { id: 'from_pad', name: 'From the pad: take off, hover check, fly to the start' },
    { id: 'nose_in', name: 'Begin nose-in, facing you' },
    { id: 'wheel_reversed', name: 'The wheel the wrong way round' },
    { id: 'heavy', name: 'A heavy craft: it answers late' },
  ];

const INSTRUMENTS = [
  ['speed', 'speed'],
  ['height', 'height and tilt'],
  ['distance', 'distance'],
  ['battery', 'battery'],
  ['sheet', 'fingers as planned'],
  ['thumbs', 'the thumb sheet'],
] as const;

export function Choose({ shot }: { shot: Schemas['Shot'] | undefined }) {
  const { units } = useSession();
  const navigate = useNavigate();
  const moves = useMoves();
  const rigs = useRigs();
  const sites = useSites();
  const crafts = useCrafts();
  const [what, setWhat] = useState<'shot' | 'drill' | 'free'>(shot === undefined ? 'drill' : 'shot');
  const [drill, setDrill] = useState('square-fixed-heading');
  const [rigId, setRigId] = useState<number | null>(null);
  const [siteId, setSiteId] = useState<number | null>(null);
  const [mode, setMode] = useState<'slow' | 'standard' | 'fast'>('standard');
  const [model, setModel] = useState<'own' | 'free' | 'rates'>('own');
  const [hard, setHard] = useState<Conditions>({});
  const [wind, setWind] = useState({ mean_mps: 0, from_deg: 240 });
  const [windOwn, setWindOwn] = useState(false);
  const [gimbal, setGimbal] = useState(false);
  const [draught, setDraught] = useState<Draught | null>(null);
  const [battery, setBattery] = useState(0);
  const [reserve, setReserve] = useState(25);
  const [call, setCall] = useState(false);
  const [purpose, setPurpose] = usePurpose();
  const [hidden, setHidden] = useState<Record<string, boolean>>({});
  const [grid, setGrid] = useState<Grid>('thirds');
  const [stretch, setStretch] = useState<{ from_s: number; to_s: number } | null>(null);
  const [pilot, setPilot] = useState<{ east_m: number; north_m: number } | null>(null);
  const [seed, setSeed] = useState(() => 1 + Math.floor(999 * Math.random()));

  const drills = (moves.data ?? []).filter((move) => move.group === 'drill');
  const rig = rigs.data?.find((one) => one.id === (rigId ?? shot?.rig_id)) ?? rigs.data?.[0];
  const site = sites.data?.find((one) => one.id === (siteId ?? shot?.site_id)) ?? sites.data?.[0];
  const ducted = crafts.data?.find((one) => one.id === rig?.craft_id)?.document.kind === 'ducted';
  const asked = what === 'shot' ? shot !== undefined : rig !== undefined && site !== undefined;

  const conditions: Conditions = {
    ...hard,
    ...(model === 'free' ? { model } : model === 'rates' && ducted ? { model } : {}),
    ...(windOwn ? { wind: withGusts(wind) } : {}),
    ...(gimbal ? { gimbal_high_deg: 0 } : {}),
    ...(draught !== null ? { draught } : {}),
    ...(battery > 0 ? { battery_min: battery } : {}),
    ...(reserve !== 25 ? { reserve: reserve / 100 } : {}),
    ...(call ? { calls: true } : {}),
    ...(Object.values(hidden).some(Boolean) ? { hidden } : {}),
    ...(stretch !== null && what !== 'free' ? { loop: stretch } : {}),
    ...(pilot !== null ? { pilot } : {}),
  };
  const exercise: Schemas['ExerciseWanted'] =
    what === 'shot'
      ? { shot_id: shot?.id ?? 0, conditions, seed }
      : {
          kind: what === 'free' ? 'free' : 'plan',
          draft: {
            site_id: site?.id ?? 0,
            rig_id: rig?.id ?? 0,
            mode,
            move: what === 'free' ? 'hover' : drill,
          },
          conditions,
          seed,
        };
  const aids: Aid[] = what === 'free' ? [] : ['ghost', 'ghost-fingers', 'cue-sound'];
  const go = (dry: boolean) => navigate(addressOf({ exercise, aids, grid, dry, purpose: purpose.trim() }));
  const ready = asked && purpose.trim() !== '';

  return (
    <div className="grid gap-3 lg:grid-cols-[1.4fr_1fr] items-start">
      {asked && <Preview wanted={exercise} />}
      <Card className="p-4 grid gap-3">
        <h2>Take the sticks</h2>
        <Choice
          label="What"
          hideLabel
          value={what}
          onChange={setWhat}
          options={[
            { value: 'shot', label: 'The shot' },
            { value: 'drill', label: 'A drill' },
            { value: 'free', label: 'The site as it is' },
          ]}
        />
        {what === 'shot' &&
          (shot === undefined ? (
            <p className="m-0">There is no shot yet. Fly a drill, or plan one first.</p>
          ) : (
            <p className="m-0">
              <b>{shot.title}</b>, as it is planned. What moves goes its planned way.
            </p>
          ))}
        {what !== 'shot' && (
          <div className="grid gap-3 sm:grid-cols-2">
            {what === 'drill' && (
              <Pick
                label="Drill"
                value={drill}
                onChange={setDrill}
                options={drills.map((one) => ({ value: one.id, label: one.name }))}
              />
            )}
            <Pick
              label="Site"
              value={String(site?.id ?? '')}
              onChange={(value) => setSiteId(Number(value))}
              options={(sites.data ?? []).map((one) => ({ value: String(one.id), label: one.name }))}
            />
            <Pick
              label="Rig"
              value={String(rig?.id ?? '')}
              onChange={(value) => setRigId(Number(value))}
              options={(rigs.data ?? []).map((one) => ({
                value: String(one.id),
                label: `${one.craft}, version ${one.version}${one.operator === null ? '' : ` of ${one.operator}`}`,
              }))}
            />
            <Pick
              label="Mode"
              value={mode}
              onChange={(value) => setMode(value as 'slow')}
              options={['slow', 'standard', 'fast'].map((one) => ({ value: one, label: one }))}
            />
          </div>
        )}
        <Choice
          label="Lines over the picture"
          value={grid}
          onChange={setGrid}
          options={[
            { value: 'thirds', label: 'Thirds' },
            { value: 'diagonals', label: 'Diagonals' },
            { value: 'middle', label: 'Middle' },
            { value: 'none', label: 'None' },
          ]}
        />
        <Field
          label="What this session is for"
          value={purpose}
          maxLength={200}
          placeholder="what should be better afterwards?"
          onChange={(event) => setPurpose(event.target.value)}
        />
        <div className="flex flex-wrap gap-2">
          <Button primary disabled={!ready} onClick={() => go(false)} data-fly>
            Fly it
          </Button>
          <Button disabled={!ready || what === 'free'} onClick={() => go(true)} data-dry>
            Rehearse it dry
          </Button>
        </div>
        <p className="m-0 text-sm text-ink-soft">
          Craft, air and site are simulated. What you fly is kept as a take that says it was practised here.
        </p>
      </Card>
      <Card className="p-4 grid gap-3 lg:col-span-2">
        <h2>Hard on purpose</h2>
        <div className="grid gap-x-6 gap-y-2 md:grid-cols-3 items-start">
          <div className="grid gap-1">
            {HARD.map((one) => (
              <Check
                key={one.id}
                name={one.name}
                on={hard[one.id] === true}
                onChange={(on) => setHard({ ...hard, [one.id]: on || undefined })}
              />
            ))}
            <Check name="A gimbal that stops at level" on={gimbal} onChange={setGimbal} />
            <Check name="The spotter calls “aircraft”" on={call} onChange={setCall} />
          </div>
          <div className="grid gap-2">
            <Choice
              label="How the craft answers"
              value={model}
              onChange={setModel}
              options={[
                { value: 'own', label: ducted ? 'Levels itself' : 'Holds its place' },
                ducted
                  ? { value: 'rates', label: 'Does not level' }
                  : { value: 'free', label: 'No positioning' },
              ]}
            />
            <Check name="Another wind than planned" on={windOwn} onChange={setWindOwn} />
            {windOwn && <WindDials wind={wind} onChange={setWind} units={units} />}
            <Check
              name="A draught that pushes in one place"
              on={draught !== null}
              onChange={(on) =>
                setDraught(on ? { east_m: 0, north_m: 6, radius_m: 3, toward_deg: 90, speed_mps: 1.5 } : null)
              }
            />
            {draught !== null && <DraughtDials draught={draught} onChange={setDraught} units={units} />}
          </div>
          <div className="grid gap-2">
            <Dial
              label="Minutes of battery; 0 as the rig says"
              value={battery}
              unit="min"
              least={0}
              most={20}
              step={0.5}
              units={units}
              onChange={(value) => setBattery(Math.max(0, value))}
            />
            <Dial
              label="Of it the reserve, in which you should be down"
              value={reserve}
              unit="%"
              least={0}
              most={90}
              step={5}
              places={0}
              units={units}
              onChange={(value) => setReserve(Math.min(90, Math.max(0, Math.round(value))))}
            />
            <Check
              name="Only a stretch of it, again and again"
              on={stretch !== null}
              onChange={(on) => setStretch(on ? { from_s: 4, to_s: 10 } : null)}
            />
            {stretch !== null && (
              <>
                <Dial
                  label="From second"
                  value={stretch.from_s}
                  unit="s"
                  least={0}
                  most={120}
                  step={0.5}
                  units={units}
                  onChange={(from_s) => setStretch({ from_s, to_s: Math.max(stretch.to_s, from_s + 2) })}
                />
                <Dial
                  label="To second"
                  value={stretch.to_s}
                  unit="s"
                  least={2}
                  most={122}
                  step={0.5}
                  units={units}
                  onChange={(to_s) =>
                    setStretch({ to_s, from_s: Math.max(0, Math.min(stretch.from_s, to_s - 2)) })
                  }
                />
              </>
            )}
            <Check
              name="You stand elsewhere than at take-off"
              on={pilot !== null}
              onChange={(on) => setPilot(on ? { east_m: 0, north_m: -10 } : null)}
            />
            {pilot !== null && (
              <>
                <Dial
                  label="East of take-off"
                  value={pilot.east_m}
                  unit="m"
                  least={-100}
                  most={100}
                  step={1}
                  units={units}
                  onChange={(east_m) => setPilot({ ...pilot, east_m })}
                />
                <Dial
                  label="North of take-off"
                  value={pilot.north_m}
                  unit="m"
                  least={-100}
                  most={100}
                  step={1}
                  units={units}
                  onChange={(north_m) => setPilot({ ...pilot, north_m })}
                />
              </>
            )}
            <fieldset className="border-0 p-0 m-0 grid grid-cols-2 gap-x-3">
              <legend className="text-sm text-ink-soft">Taken away while flying</legend>
              {INSTRUMENTS.map(([id, name]) => (
                <Check
                  key={id}
                  name={name}
                  on={hidden[id] === true}
                  onChange={(on) => setHidden({ ...hidden, [id]: on })}
                />
              ))}
            </fieldset>
            <Dial
              label="Seed: the same seed has the same air"
              value={seed}
              unit=""
              least={1}
              most={999}
              step={1}
              places={0}
              units={units}
              onChange={(value) => setSeed(Math.max(1, Math.round(value)))}
            />
          </div>
        </div>
      </Card>
    </div>
  );
}

function Check({ name, on, onChange }: { name: string; on: boolean; onChange: (on: boolean) => void }) {
  return (
    <label className="flex gap-2 items-center min-h-9">
      <input
        type="checkbox"
        className="size-5 accent-larkspur"
        checked={on}
        onChange={(event) => onChange(event.target.checked)}
      />
      {name}
    </label>
  );
}
