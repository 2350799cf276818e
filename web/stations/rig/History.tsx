// How a rig became what it is: every version with who, when and why, what it changed, and how scores moved since.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Link, useNavigate } from 'react-router';
import { answered, api, type Schemas } from '~/api/client';
import { useRigHistory } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { KEPT } from '~/kit/Leaving';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { day, figure } from '~/units';
import { Changes } from './Changes';
import type { RigDraft } from './useRigDraft';

export function History({ draft }: { draft: RigDraft }) {
  const history = useRigHistory(draft.rig.id);
  const client = useQueryClient();
  const navigate = useNavigate();
  const back = useMutation({
    mutationFn: async (version: Schemas['RigVersion']) => {
      const older = await answered(api.GET('/rigs/{rig}', { params: { path: { rig: version.id } } }));
      return answered(
        api.POST('/rigs/{rig}/versions', {
          params: { path: { rig: history.data?.[0]?.id ?? draft.rig.id } },
          body: {
            settings: older.settings,
            focal_mm: older.camera.focal_mm,
            operator_id: draft.rig.operator_id,
            reason: `Back to version ${version.version}`,
          },
        }),
      );
    },
    onSuccess: (saved) => {
      for (const key of ['rigs', 'shots', 'history']) void client.invalidateQueries({ queryKey: [key] });
      navigate(`/rig/history?rig=${saved.id}&mode=${draft.mode}`, { state: KEPT });
    },
  });
  if (history.error) throw history.error;
  if (!history.data) return <Skeleton className="h-96" />;
  const greatest = Math.max(
    4,
    ...history.data.map(({ since }) => Math.abs(since?.change ?? 0) + (since?.margin ?? 0)),
  );
  return (
    <div className="grid gap-3 max-w-5xl">
      {back.error && <Notice error={back.error} />}
      {history.data.map((version, i) => (
        <Card key={version.id} className="p-3 grid gap-2 md:grid-cols-[15rem_1fr_auto]">
          <div data-version={version.version}>
            <h2>Version {version.version}</h2>
            <p className="m-0">{version.reason}</p>
            <p className="m-0 text-sm text-ink-soft">
              {day(version.at)}, {version.author ?? 'nobody named'}. {version.takes}{' '}
              {version.takes === 1 ? 'take' : 'takes'} flown with it.
            </p>
            {version.held.map((one) => (
              <p key={`${one.grip} ${one.touch}`} className="m-0 text-sm text-ink-soft">
                {one.takes} with {one.grip}, wheel {one.touch}: {figure(one.score, 0)} on average.
              </p>
            ))}
          </div>
          <div className="grid gap-2 content-start">
            <Changes changes={version.changes} />
            {version.since !== null && (
              <div className="grid gap-1">
                <Since since={version.since} greatest={greatest} />
                <p className="m-0 text-sm">{version.since.words}</p>
              </div>
            )}
          </div>
          <div className="grid gap-2 content-start">
            {version.id !== draft.rig.id && (
              <Link
                className={buttonLook()}
                to={`/rig/compare?rig=${draft.rig.id}&mode=${draft.mode}&with=${version.id}`}
              >
                Compare
              </Link>
            )}
            {i > 0 && draft.rig.mine && (
              <Button onClick={() => back.mutate(version)} disabled={back.isPending}>
                Go back to this
              </Button>
            )}
          </div>
        </Card>
      ))}
    </div>
  );
}

/** The change of scores with its interval about nought: left fell, right rose. */
function Since({ since, greatest }: { since: Schemas['SinceChange']; greatest: number }) {
  if (since.change === null || since.margin === null) return null;
  const at = (points: number) => 120 + (110 * points) / greatest;
  const told = Math.abs(since.change) > since.margin;
  const color = !told ? 'var(--ink-soft)' : since.change > 0 ? 'var(--leaf)' : 'var(--brick)';
  return (
    <svg width={240} height={22} role="img" aria-label={since.words} className="max-w-full">
      <path d="M120 2V20" stroke="var(--line)" strokeWidth={1.5} />
      <path
        d={`M${at(since.change - since.margin)} 11H${at(since.change + since.margin)}`}
        stroke={color}
        strokeWidth={3}
      />
      <circle cx={at(since.change)} cy={11} r={6} fill={color} />
    </svg>
  );
}
