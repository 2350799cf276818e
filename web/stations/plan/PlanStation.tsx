// Plan: opens the shot that is asked for, the latest one or a new one, with what its worksheet needs.
import { useParams, useSearchParams } from 'react-router';
import { useFirstDraft, useMoves, useRigs, useShot, useShots, useSite, useSites } from '~/api/queries';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { DamagedShot } from './DamagedShot';
import { draftOf, newDraft, type Values } from './draft';
import { Worksheet } from './Worksheet';

export default function PlanStation() {
  const params = useParams();
  const [search] = useSearchParams();
  const shotId = params.shot !== undefined && params.shot !== 'new' ? Number(params.shot) : undefined;
  const { whose } = useSession();
  const sites = useSites();
  const rigs = useRigs();
  const moves = useMoves();
  const shots = useShots(whose);
  const wanted = shotId ?? (params.shot === 'new' ? undefined : shots.data?.find((one) => !one.damaged)?.id);
  const shot = useShot(wanted);
  // A new shot begins where the last one was, or where there is something to film.
  const siteId =
    shot.data?.site_id ??
    shots.data?.[0]?.site_id ??
    (sites.data?.find((one) => one.subjects > 0) ?? sites.data?.[0])?.id;
  const site = useSite(siteId);
  const asked = moves.data?.find((item) => item.id === search.get('move'))?.id ?? 'orbit';
  const isNew = shots.data !== undefined && wanted === undefined;
  const begun = isNew && site.data && rigs.data?.[0] ? newDraft(site.data, rigs.data[0], asked) : null;
  // Where it flies as it is; a combination is put together by hand.
  const flies = useFirstDraft(begun === null || begun.parts !== undefined ? null : begun);
  if (shot.error) throw shot.error;
  if (site.error) throw site.error;
  const ready = shots.data && (wanted === undefined || shot.data) && (siteId === undefined || site.data);
  if (!ready || !sites.data || !rigs.data || !moves.data || flies.isLoading)
    return <Skeleton className="h-[80vh] m-5" />;
  if (!site.data || !rigs.data[0]) {
    return (
      <main className="p-5">
        <Notice tone="soft" text="Your school has no site or no rig yet; a shot needs both." />
      </main>
    );
  }
  if (shot.data?.damaged) return <DamagedShot shot={shot.data} />;
  const first = shot.data
    ? draftOf(shot.data, changesIn(search))
    : { ...newDraft(site.data, rigs.data[0], asked), ...flies.data };
  return (
    <Worksheet
      key={shot.data ? `${shot.data.id}-${search}` : `new-${asked}`}
      first={first}
      shot={shot.data ?? null}
      shots={shots.data}
      sites={sites.data}
      rigs={rigs.data}
      moves={moves.data}
    />
  );
}

/** Parameters that an advice elsewhere asks to change, from the address. */
function changesIn(search: URLSearchParams): Values {
  return Object.fromEntries(
    [...search]
      .filter(([key]) => key !== 'move')
      .map(([key, value]) => [key, Number.isNaN(Number(value)) ? value : Number(value)]),
  );
}
