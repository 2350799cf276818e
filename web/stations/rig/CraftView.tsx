// The craft itself: its envelope in each mode, its gimbal and camera, entered by form or measured by a step test; and rigs that
// come in as files.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { answered, api, Problem, type Schemas, upload } from '~/api/client';
import { LIMITS } from '~/api/limits';
import { useCrafts } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Field } from '~/kit/Field';
import { KEPT } from '~/kit/Leaving';
import { Notice } from '~/kit/Notice';
import { NumberInput } from '~/kit/NumberInput';
import { Pick } from '~/kit/Pick';
import { valueAt, withValue } from '~/kit/places';
import { Remove } from '~/kit/Remove';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { figure, withUnit } from '~/units';
import type { Mode, RigDraft } from './useRigDraft';

type Document = Schemas['CraftDocument'];

const MODES: Mode[] = ['slow', 'standard', 'fast'];

/** A number of the form: its place in the document, what it is called, its unit. */
type NumberField = [place: string, label: string, unit: string];

const ENVELOPE: NumberField[] = [
  ['run_mps', 'Top speed ahead', 'm/s'],
  ['slide_mps', 'Top speed sideways', 'm/s'],
  ['climb_mps', 'Climb', 'm/s'],
  ['sink_mps', 'Sink', 'm/s'],
  ['turn_dps', 'Turn', 'deg/s'],
  ['accelerate_mps2', 'Gain of speed', 'm/s2'],
  ['brake_mps2', 'Braking', 'm/s2'],
  ['climb_accelerate_mps2', 'Change of climb', 'm/s2'],
  ['turn_accelerate_dps2', 'Change of turn', 'deg/s2'],
  ['lag_s.travel', 'Time constant, travel', 's'],
  ['lag_s.climb', 'Time constant, climb', 's'],
  ['lag_s.turn', 'Time constant, turn', 's'],
  ['gimbal.top_rate_dps', 'Gimbal rate', 'deg/s'],
  ['gimbal.cushion_s', 'Gimbal cushion', 's'],
];

/** What else is stated of a craft. */
const FACTS: NumberField[] = [
  ['mass_kg', 'Mass', 'kg'],
  ['stock.width_m', 'Width, tip to tip', 'm'],
  ['stock.wind_limit_mps', 'Wind it may fly in', 'm/s'],
  ['stock.gust_coupling', 'Share of a gust that reaches it', ''],
  ['stock.battery_min', 'Battery, hovering', 'min'],
  ['stock.tilt_range_deg.low', 'Gimbal down to', 'deg'],
  ['stock.tilt_range_deg.high', 'Gimbal up to', 'deg'],
  ['gimbal_top_dps', 'Gimbal rate at most', 'deg/s'],
  ['turn_top_dps', 'Turn rate at most', 'deg/s'],
  ['gimbal_units.rate_per_dps', 'Its own number for 1°/s', ''],
  ['gimbal_units.cushion_per_s', 'Its own number for a cushion of 1 s', ''],
  ['camera.sensor_mm.width', 'Sensor width', 'mm'],
  ['camera.sensor_mm.height', 'Sensor height', 'mm'],
];

const CONVENTIONS = {
  'half-stick': 'Output at half stick, 0.5 straight',
  'half-stick-percent': 'The same times 100, 50 straight',
  'soft-expo': '0 straight, larger softer',
  rates: 'Rate about the centre, and at full stick',
};

export function CraftView({ draft }: { draft: RigDraft }) {
  const crafts = useCrafts();
  if (crafts.error) throw crafts.error;
  const craft = crafts.data?.find((one) => one.id === draft.rig.craft_id);
  if (craft === undefined) return <Skeleton className="h-96" />;
  return <CraftForm key={`${craft.id} ${craft.version}`} craft={craft} mode={draft.mode} />;
}

function CraftForm({ craft, mode }: { craft: Schemas['Craft']; mode: Mode }) {
  const { units, user } = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const [document, setDocument] = useState<Document>(craft.document);
  const [measured, setMeasured] = useState<Record<string, Schemas['StepFit'][]>>(craft.measured ?? {});
  const [name, setName] = useState('');
  const keep = useMutation({
    mutationFn: (asNew: boolean) =>
      asNew
        ? answered(
            api.POST('/crafts', {
              body: {
                document: { ...document, stock: { ...document.stock, craft: name.trim() } },
                measured: Object.keys(measured).length > 0 ? measured : null,
              },
            }),
          )
        : answered(
            api.PUT('/crafts/{craft}', {
              params: { path: { craft: craft.id } },
              body: {
                document,
                version: craft.version,
                measured: Object.keys(measured).length > 0 ? measured : null,
              },
            }),
          ),
    onSuccess: async (_, asNew) => {
      for (const key of ['crafts', 'reading', 'sheet']) void client.invalidateQueries({ queryKey: [key] });
      await client.invalidateQueries({ queryKey: ['rigs'] });
      if (!asNew) return;
      const rigs = await answered(api.GET('/rigs'));
      const made = rigs.find((rig) => rig.craft === name.trim());
      if (made !== undefined) navigate(`/rig?rig=${made.id}&mode=${mode}`, { state: KEPT });
    },
  });
  const share = useMutation({
    mutationFn: () =>
      answered(api.POST('/crafts/{craft}/sharing', { params: { path: { craft: craft.id } } })),
    onSuccess: () => {
      for (const key of ['crafts', 'rigs']) void client.invalidateQueries({ queryKey: [key] });
    },
  });
  const test = useMutation({
    mutationFn: (log: File) => {
      const form = new FormData();
      form.append('log', log);
      form.append('mode', mode);
      return upload('/crafts/{craft}/step-tests', form, () => {}, { craft: craft.id });
    },
    onSuccess: (fitted) => {
      setDocument({
        ...document,
        gimbal_top_dps: Math.max(document.gimbal_top_dps, fitted.document.gimbal_top_dps),
        turn_top_dps: Math.max(document.turn_top_dps, fitted.document.turn_top_dps),
        stock: {
          ...document.stock,
          modes: { ...document.stock.modes, [mode]: fitted.document.stock.modes[mode] },
        },
      });
      setMeasured({ ...measured, [mode]: fitted.fits });
    },
  });
  const places = keep.error instanceof Problem ? keep.error.details.errors.map((error) => error.place) : [];
  const bad = (place: string) => places.some((one) => one === place);
  const number = (label: string, place: string, unit: string, spots = 2) => (
    <NumberInput
      label={label}
      value={valueAt(document, place)}
      unit={unit}
      units={units}
      places={spots}
      className="w-full min-h-8"
      warn={bad(`document.${place}`)}
      limits={LIMITS.craft[place]}
      onChange={(next) => setDocument(withValue(document, place, next))}
    />
  );
  const list = (label: string, key: 'focal_mm' | 'frame_rates' | 'apertures') => (
    <Field
      label={label}
      defaultValue={document.camera[key].join(', ')}
      problem={bad(`document.camera.${key}`) ? 'Numbers with commas between them.' : undefined}
      onBlur={(event) => {
        const numbers = event.target.value
          .split(/[\s,;]+/)
          .map(Number)
          .filter((value) => value > 0);
        setDocument({ ...document, camera: { ...document.camera, [key]: numbers } });
      }}
    />
  );
  const changed = JSON.stringify(document) !== JSON.stringify(craft.document);
  return (
    <div className="grid gap-3 lg:grid-cols-[1.3fr_1fr] items-start">
      <Card caption={`Envelope of the ${craft.name}`} aside="the most that may be set in each mode">
        <div className="px-3 pb-3 overflow-x-auto">
          <table className="w-full text-sm">
            <thead>
              <tr>
                <th className="text-left font-normal text-ink-soft" />
                {MODES.map((one) => (
                  <th
                    key={one}
                    className={`text-right ${one === mode ? 'font-semibold' : 'font-normal text-ink-soft'}`}
                  >
                    {one}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {ENVELOPE.map(([place, label, unit]) => (
                <tr key={place} className="border-t border-line">
                  <th scope="row" className="text-left font-normal">
                    {label}
                  </th>
                  {MODES.map((one) => (
                    <td key={one}>{number(`${label}, ${one}`, `stock.modes.${one}.${place}`, unit)}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
      </Card>
      <div className="grid gap-3">
        <Card caption="Airframe, gimbal and camera">
          <div className="px-3 pb-3 grid gap-2">
            <dl className="grid grid-cols-[1fr_7rem] m-0 text-sm items-center">
              {FACTS.map(([place, label, unit]) => (
                <div key={place} className="contents">
                  <dt>{label}</dt>
                  <dd className="m-0">{number(label, place, unit, unit === '' ? 1 : 2)}</dd>
                </div>
              ))}
            </dl>
            <Choice
              label="Kind"
              value={document.kind}
              onChange={(kind) => setDocument({ ...document, kind })}
              options={[
                { value: 'camera', label: 'Camera craft' },
                { value: 'ducted', label: 'Ducted' },
              ]}
            />
            <Pick
              label="How its screens state a curve"
              value={document.convention}
              onChange={(convention) => setDocument({ ...document, convention })}
              options={Object.entries(CONVENTIONS).map(([value, label]) => ({ value, label }))}
            />
            {list('Focal lengths, mm', 'focal_mm')}
            <div className="grid grid-cols-2 gap-2">
              {list('Frames a second', 'frame_rates')}
              {list('Apertures, f/', 'apertures')}
            </div>
            <Field
              label="Resolutions, pixels"
              defaultValue={document.camera.resolutions.map((one) => one.join('\u00d7')).join(', ')}
              problem={
                places.some((place) => place.startsWith('document.camera.resolutions'))
                  ? 'Such as 3840×2160, with commas between them.'
                  : undefined
              }
              onBlur={(event) => {
                const resolutions = event.target.value
                  .split(/[,;]+/)
                  .map((one) => one.split(/[x\u00d7*]/i).map((value) => Math.round(Number(value))))
                  .filter((one) => one.length === 2 && one.every((value) => value > 0));
                setDocument({ ...document, camera: { ...document.camera, resolutions } });
              }}
            />
          </div>
        </Card>
        <Card caption="Measure it: a step test" aside={`${mode} mode`}>
          <div className="px-3 pb-3 grid gap-2">
            <p className="m-0 text-sm text-ink-soft">
              In the open, high and still: one finger to full travel, held until the speed no longer grows,
              let go, at rest again; each way six times, then the next finger. The log needs its stick
              columns. Keep the craft in sight.
            </p>
            <input
              type="file"
              aria-label={`Log of a step test in ${mode} mode`}
              accept=".csv,.gpx,.kml,.geojson"
              className="min-h-11 py-2"
              onChange={(event) => event.target.files?.[0] && test.mutate(event.target.files[0])}
            />
            {test.error && <Notice error={test.error} />}
            {test.data !== undefined && test.data.unlike.length > 0 && (
              <div className="grid gap-2" data-unlike={test.data.unlike.length}>
                {test.data.unlike.map((sentence) => (
                  <Notice key={sentence} text={sentence} />
                ))}
                <Button
                  onClick={() => {
                    setDocument(craft.document);
                    setMeasured(craft.measured ?? {});
                    test.reset();
                  }}
                >
                  Another log: put the numbers back
                </Button>
              </div>
            )}
            {measured[mode] !== undefined && <Fits fits={measured[mode]} />}
          </div>
        </Card>
        <Card className="p-3 grid gap-2">
          {keep.error && <Notice error={keep.error} />}
          {keep.data && !changed && <Notice tone="leaf" text="Kept." />}
          {craft.mine ? (
            <Button primary disabled={!changed || keep.isPending} onClick={() => keep.mutate(false)}>
              Keep these numbers for the {craft.name}
            </Button>
          ) : (
            <p className="m-0 text-sm text-ink-soft">
              A trainer corrects the school’s craft. You may enter your own:
            </p>
          )}
          {!craft.shared && (
            <p className="m-0 text-sm text-ink-soft">
              Seen by whoever entered it, and by trainers, until a trainer shares it with the school.
            </p>
          )}
          {!craft.shared && user.role === 'trainer' && (
            <Button onClick={() => share.mutate()} disabled={share.isPending}>
              Share it with the school
            </Button>
          )}
          {share.error && <Notice error={share.error} />}
          {craft.mine && (
            <Remove
              what="this craft"
              words="The craft and its rigs are removed for good. Where a shot is planned or a take was flown with it, it stays."
              ask={() => answered(api.DELETE('/crafts/{craft}', { params: { path: { craft: craft.id } } }))}
              onRemoved={() => {
                for (const key of ['crafts', 'rigs']) void client.invalidateQueries({ queryKey: [key] });
                navigate('/rig', { state: KEPT });
              }}
            />
          )}
          <Field
            label="Or enter them as another craft, called"
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
          <Button disabled={name.trim() === '' || keep.isPending} onClick={() => keep.mutate(true)}>
            Enter it
          </Button>
        </Card>
        <RigFiles />
      </div>
    </div>
  );
}

function Fits({ fits }: { fits: Schemas['StepFit'][] }) {
  const { units } = useSession();
  const said = (one: Schemas['Measured'] | null, unit: string, places = 2) =>
    one === null ? 'not felt' : `${withUnit(one.value, unit, units, places)} ± ${figure(one.sd, places)}`;
  return (
    <table className="w-full text-sm" data-fits>
      <thead>
        <tr className="text-left text-ink-soft">
          <th className="font-normal">Finger</th>
          <th className="font-normal text-right">Top</th>
          <th className="font-normal text-right">Time constant</th>
          <th className="font-normal text-right">To rest</th>
        </tr>
      </thead>
      <tbody>
        {fits.map((fit) => (
          <tr key={fit.finger} className="border-t border-line">
            <th scope="row" className="text-left font-normal" style={{ color: `var(--${fit.finger})` }}>
              {fit.finger}
              <span className="text-ink-soft"> ×{fit.steps}</span>
            </th>
            <td className="figure text-right">{said(fit.top ?? fit.top_back, fit.unit)}</td>
            <td className="figure text-right">{said(fit.lag_s, 's')}</td>
            <td className="figure text-right">{said(fit.stop_way, fit.unit === 'm/s' ? 'm' : 'deg', 1)}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}

function RigFiles() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const take = useMutation({
    mutationFn: async (file: File) => {
      let body: Schemas['RigFile'];
      try {
        body = JSON.parse(await file.text());
      } catch {
        throw new Problem(422, {
          type: 'urn:larkspur:problem:refused',
          title: 'No rig file',
          status: 422,
          detail: `${file.name} is not JSON, so it is no rig file. Nothing was changed.`,
          errors: [],
        });
      }
      return answered(api.POST('/rig-files', { body }));
    },
    onSuccess: (rig) => {
      for (const key of ['rigs', 'crafts']) void client.invalidateQueries({ queryKey: [key] });
      navigate(`/rig?rig=${rig.id}`, { state: KEPT });
    },
  });
  return (
    <Card caption="A rig from a file">
      <div className="px-3 pb-3 grid gap-2">
        <input
          type="file"
          aria-label="Rig file"
          accept=".json"
          className="min-h-11 py-2"
          onChange={(event) => event.target.files?.[0] && take.mutate(event.target.files[0])}
        />
        {take.error && <Notice error={take.error} />}
      </div>
    </Card>
  );
}

/** Where the school has no craft: one is entered by name and begins as a middling one, or comes in with a rig file. */
export function FirstCraft() {
  const client = useQueryClient();
  const navigate = useNavigate();
  const [name, setName] = useState('');
  const begin = useMutation({
    mutationFn: async () => {
      const document = await answered(
        api.GET('/crafts/ordinary', { params: { query: { name: name.trim() } } }),
      );
      return answered(api.POST('/crafts', { body: { document } }));
    },
    onSuccess: async () => {
      for (const key of ['crafts', 'rigs']) await client.invalidateQueries({ queryKey: [key] });
      navigate('/rig/craft');
    },
  });
  return (
    <main className="p-5 grid gap-3 max-w-xl mx-auto">
      <h1>Rig</h1>
      <p className="m-0">
        The school has no craft yet. Enter the first: it begins with middling numbers, and you put its own in
        their place, from its papers or by a step test.
      </p>
      <Card className="p-3 grid gap-2">
        <Field label="What it is called" value={name} onChange={(event) => setName(event.target.value)} />
        {begin.error && <Notice error={begin.error} />}
        <Button primary disabled={name.trim() === '' || begin.isPending} onClick={() => begin.mutate()}>
          Enter it
        </Button>
      </Card>
      <RigFiles />
    </main>
  );
}
