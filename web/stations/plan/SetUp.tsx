// Where and with what: the shot, its site and subject, craft and mode, the subject's place in the frame, and the wind.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useNavigate } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { findShots, findSites, siteQuery } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Choice } from '~/kit/Choice';
import { Dial } from '~/kit/Dial';
import { KEPT } from '~/kit/Leaving';
import { Pick } from '~/kit/Pick';
import { PickFrom } from '~/kit/PickFrom';
import { Remove } from '~/kit/Remove';
import { useSession } from '~/shell/session';
import type { Draft } from './draft';
import type { Planning } from './usePlan';

type Props = {
  draft: Draft;
  change: Planning['change'];
  /** Where the subject of the plan stands. */
  subject: Schemas['Plan']['subject'];
  site: Schemas['Site'];
  sites: Schemas['SiteName'][];
  rigs: Schemas['Rig'][];
  shots: Schemas['Shot'][];
  shot: Schemas['Shot'] | null;
};

const OWN_PLACE = 'own-place';

const NEW = { value: 'new', label: 'A new shot' };

export function SetUp(props: Props) {
  const { draft, change, subject, site, sites, rigs, shots, shot } = props;
  const { units, whose } = useSession();
  const navigate = useNavigate();
  const client = useQueryClient();
  const aim =
    draft.aim?.x === undefined || Math.abs(draft.aim.x - 0.5) < 0.01
      ? 'centre'
      : draft.aim.x < 0.5
        ? 'left'
        : 'right';
  const { home } = site.document;
  const weather = useMutation({
    mutationFn: () =>
      answered(
        api.GET('/weather', {
          params: { query: { lat: home.lat, lon: home.lon, at: new Date().toISOString() } },
        }),
      ),
    onSuccess: (found) =>
      change({
        kind: 'wind',
        wind: { from_deg: found.from_deg, mean_mps: found.mean_mps, gust_mps: found.gust_mps },
      }),
  });
  const choosePlace = (id: string) => {
    if (id !== OWN_PLACE) return change({ kind: 'put', put: { subject_id: id, subject_at: null } });
    const subject_at = {
      east_m: Math.round(subject?.east_m ?? 20),
      north_m: Math.round(subject?.north_m ?? 20),
      base_m: subject?.ground_m ?? 0,
      aim_m: 1,
    };
    change({ kind: 'put', put: { subject_id: null, subject_at } });
  };
  return (
    <Card className="p-3 grid gap-3">
      <h2>Where and with what</h2>
      {shots.length > 0 && (
        <PickFrom
          label="Shot"
          hideLabel
          now={shot ? { value: String(shot.id), label: shot.title } : NEW}
          besides={[NEW]}
          latest={shots.map((item) => ({ value: String(item.id), label: item.title }))}
          find={findShots(whose)}
          onChange={(value) => navigate(`/plan/${value}`)}
        />
      )}
      <Choice
        label="Subject’s place in the frame"
        value={aim}
        onChange={(next) =>
          change({
            kind: 'put',
            put: { aim: next === 'centre' ? null : { x: next === 'left' ? 0.3333 : 0.6667, y: 0.5 } },
          })
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
        onChange={(mode) => change({ kind: 'put', put: { mode } })}
        options={[
          { value: 'slow', label: 'Slow' },
          { value: 'standard', label: 'Standard' },
          { value: 'fast', label: 'Fast' },
        ]}
      />
      <PickFrom
        label="Site"
        now={{ value: String(site.id), label: site.name }}
        latest={sites.map((item) => ({ value: String(item.id), label: item.name }))}
        find={findSites}
        onChange={async (value) => {
          const next = await client.fetchQuery(siteQuery(Number(value)));
          change({
            kind: 'put',
            put: { site_id: next.id, subject_id: next.subjects[0]?.id ?? null, subject_at: null },
          });
        }}
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
        onChange={(value) => change({ kind: 'put', put: { rig_id: Number(value) } })}
        options={[
          ...rigs.map((item) => ({
            value: String(item.id),
            label: `${item.craft}, version ${item.version}`,
            group: item.operator ?? 'The school\u2019s',
          })),
          // A shot may stand on a version that is nobody's latest.
          ...(shot && !rigs.some((item) => item.id === shot.rig_id)
            ? [
                {
                  value: String(shot.rig_id),
                  label: `${shot.craft}, version ${shot.rig_version}`,
                  group: 'As the shot was kept',
                },
              ]
            : []),
        ]}
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
          change({ kind: 'wind', wind: { mean_mps: mean, gust_mps: Math.round(15 * mean) / 10 } })
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
        onChange={(from) => change({ kind: 'wind', wind: { from_deg: from } })}
      />
      <Dial
        label="Gusts"
        value={draft.wind?.gust_mps ?? 0}
        unit="m/s"
        least={0}
        most={18}
        step={0.5}
        units={units}
        onChange={(gust) =>
          change({ kind: 'wind', wind: { gust_mps: Math.max(draft.wind?.mean_mps ?? 0, gust) } })
        }
      />
      <Button onClick={() => weather.mutate()} disabled={weather.isPending}>
        {weather.data?.simulated ? `${weather.data.source}, simulated` : 'Ask the weather (simulated)'}
      </Button>
      {shot && (
        <Remove
          what="this shot"
          ask={() => answered(api.DELETE('/shots/{shot}', { params: { path: { shot: shot.id } } }))}
          words="Days that had it in them fly it no more. A shot that was flown stays, for its takes are judged against it."
          onRemoved={() => {
            for (const key of ['shots', 'days', 'day', 'today'])
              void client.invalidateQueries({ queryKey: [key] });
            navigate('/plan/new', { state: KEPT });
          }}
        />
      )}
    </Card>
  );
}
