// Shape it: what the shot is of, with which craft, and a dial for every parameter of the move.
import { useNavigate } from 'react-router';
import type { Problem, Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { Pick } from '~/kit/Pick';
import { useSession } from '~/shell/session';
import type { Values } from './draft';
import type { Draft } from './usePlan';

type Props = {
  draft: Draft;
  setDraft: (change: (now: Draft) => Draft) => void;
  set: (values: Values) => void;
  values: Values;
  parameters: Schemas['Parameter'][];
  plan: Schemas['Plan'] | null;
  site: Schemas['Site'];
  sites: Schemas['Site'][];
  rigs: Schemas['Rig'][];
  shots: Schemas['Shot'][];
  shot: Schemas['Shot'] | null;
  problem: Problem | null;
};

/** Ends of the tracks: the useful middle of what the move allows; anything allowed can still be typed. */
const TRACK: Record<string, [number, number]> = {
  radius_m: [4, 80],
  height_m: [1, 60],
  arc_deg: [20, 400],
  pace_mps: [0.3, 9],
  start_bearing_deg: [0, 360],
  ease_s: [0.5, 6],
};

const OWN_PLACE = 'own-place';

export function Shape({
  draft,
  setDraft,
  set,
  values,
  parameters,
  plan,
  site,
  sites,
  rigs,
  shots,
  shot,
  problem,
}: Props) {
  const { units } = useSession();
  const navigate = useNavigate();
  const wrong = (id: string) => problem?.details.errors.some((error) => error.place.endsWith(id)) ?? false;
  const aim =
    draft.aim?.x === undefined || Math.abs(draft.aim.x - 0.5) < 0.01
      ? 'centre'
      : draft.aim.x < 0.5
        ? 'left'
        : 'right';
  const choosePlace = (id: string) => {
    if (id === OWN_PLACE) {
      const now = plan?.subject;
      setDraft((d) => ({
        ...d,
        subject_id: null,
        subject_at: {
          east_m: Math.round(now?.east_m ?? 20),
          north_m: Math.round(now?.north_m ?? 20),
          base_m: now?.ground_m ?? 0,
          aim_m: 1,
        },
      }));
    } else {
      setDraft((d) => ({ ...d, subject_id: id, subject_at: null }));
    }
  };
  return (
    <Card className="p-3 grid gap-3">
      <h2>Shape it</h2>
      {shots.length > 0 && (
        <Pick
          label="Shot"
          hideLabel
          value={shot ? String(shot.id) : 'new'}
          onChange={(value) => navigate(`/plan/${value}`)}
          options={[
            { value: 'new', label: 'A new shot' },
            ...shots.map((item) => ({ value: String(item.id), label: item.title })),
          ]}
        />
      )}
      {parameters
        .filter((parameter) => parameter.choices === undefined)
        .map((parameter) => {
          const track = TRACK[parameter.id] ?? [parameter.least ?? 0, parameter.most ?? 1];
          const value = Number(values[parameter.id] ?? track[0]);
          return (
            <Dial
              key={parameter.id}
              label={parameter.label}
              value={parameter.id === 'start_bearing_deg' ? ((value % 360) + 360) % 360 : value}
              unit={parameter.unit ?? ''}
              least={Math.min(track[0], value)}
              most={Math.max(track[1], value)}
              step={parameter.step ?? 0.1}
              units={units}
              places={parameter.unit === 'deg' ? 0 : 1}
              band={parameter.id === 'ease_s' ? [2.2, 4] : undefined}
              warn={wrong(parameter.id)}
              onChange={(next) => set({ [parameter.id]: Number(next.toFixed(3)) })}
            />
          );
        })}
      {parameters
        .filter((parameter) => parameter.choices !== undefined)
        .map((parameter) => (
          <Choice
            key={parameter.id}
            label={parameter.label}
            value={String(values[parameter.id] ?? parameter.choices?.[0])}
            onChange={(next) => set({ [parameter.id]: next })}
            options={(parameter.choices ?? []).map((choice) => ({
              value: choice,
              label: choice === 'counterclockwise' ? 'Counter\u00adclockwise' : 'Clockwise',
            }))}
          />
        ))}
      <Choice
        label="Subject’s place in the frame"
        value={aim}
        onChange={(next) =>
          setDraft((d) => ({
            ...d,
            aim: next === 'centre' ? null : { x: next === 'left' ? 0.3333 : 0.6667, y: 0.5 },
          }))
        }
        options={[
          { value: 'left', label: 'Left third' },
          { value: 'centre', label: 'Middle' },
          { value: 'right', label: 'Right third' },
        ]}
      />
      <Choice
        label="Flight mode"
        value={draft.mode}
        onChange={(mode) => setDraft((d) => ({ ...d, mode }))}
        options={[
          { value: 'slow', label: 'Slow' },
          { value: 'standard', label: 'Standard' },
          { value: 'fast', label: 'Fast' },
        ]}
      />
      <Pick
        label="Site"
        value={String(site.id)}
        onChange={(value) => {
          const next = sites.find((item) => String(item.id) === value);
          if (next)
            setDraft((d) => ({
              ...d,
              site_id: next.id,
              subject_id: next.subjects[0]?.id ?? null,
              subject_at: null,
            }));
        }}
        options={sites.map((item) => ({ value: String(item.id), label: item.name }))}
      />
      <Pick
        label="Subject"
        value={draft.subject_at ? OWN_PLACE : (draft.subject_id ?? OWN_PLACE)}
        onChange={choosePlace}
        options={[
          ...site.subjects.map((item) => ({ value: item.id, label: item.name })),
          { value: OWN_PLACE, label: 'A place of your own: drag it' },
        ]}
      />
      <Pick
        label="Craft"
        value={String(draft.rig_id)}
        onChange={(value) => setDraft((d) => ({ ...d, rig_id: Number(value) }))}
        options={rigs.map((item) => ({
          value: String(item.id),
          label: `${item.craft}, version ${item.version}`,
        }))}
      />
      <Dial
        label="Wind at 10 m"
        value={draft.wind?.mean_mps ?? 0}
        unit="m/s"
        least={0}
        most={12}
        step={0.5}
        units={units}
        onChange={(mean) =>
          setDraft((d) => ({
            ...d,
            wind: { from_deg: d.wind?.from_deg ?? 0, mean_mps: mean, gust_mps: Math.round(15 * mean) / 10 },
          }))
        }
      />
      <Dial
        label="Wind from"
        value={draft.wind?.from_deg ?? 0}
        unit="deg"
        least={0}
        most={359}
        step={5}
        places={0}
        units={units}
        onChange={(from) =>
          setDraft((d) => ({
            ...d,
            wind: { mean_mps: d.wind?.mean_mps ?? 0, gust_mps: d.wind?.gust_mps ?? 0, from_deg: from },
          }))
        }
      />
    </Card>
  );
}
