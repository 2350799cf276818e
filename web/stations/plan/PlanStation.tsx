// Plan: opens the shot that is asked for, the latest one or a new one, with what its worksheet needs.
import { type ComponentProps, useState } from 'react';
import { Navigate, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '~/api/client';
import { useFirstDraft, useMoves, useRigs, useShot, useShots, useSite, useSites } from '~/api/queries';
import { Notice } from '~/kit/Notice';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { DamagedShot } from './DamagedShot';
import { type Draft, draftOf, newDraft, type Values } from './draft';
import { Worksheet } from './Worksheet';

export default function PlanStation() {
  const params = useParams();
  const [search] = useSearchParams();
  const { whose } = useSession();
  const sites = useSites();
  const rigs = useRigs();
  const moves = useMoves();
  const shots = useShots(whose);
  const given = params.shot !== undefined && params.shot !== 'new' ? Number(params.shot) : undefined;
  if (!shots.data || !sites.data || !rigs.data || !moves.data) return <Waiting />;
  const all = { shots: shots.data, sites: sites.data, rigs: rigs.data, moves: moves.data };
  if (given !== undefined) return <KeptShot id={given} search={search} {...all} />;
  const last = params.shot === undefined ? shots.data.find((one) => !one.damaged) : undefined;
  // By its own address, so that it stays the one on the sheet when somebody keeps another.
  if (last) return <Navigate to={{ pathname: `/plan/${last.id}`, search: search.toString() }} replace />;
  const asked = moves.data.find((item) => item.id === search.get('move'))?.id ?? 'orbit';
  // A new shot begins where the last one was, or where there is something to film.
  const siteId = shots.data[0]?.site_id ?? (sites.data.find((one) => one.subjects > 0) ?? sites.data[0])?.id;
  if (siteId === undefined || !rigs.data[0])
    return (
      <main className="p-5">
        <Notice tone="soft" text="Your school has no site or no rig yet; a shot needs both." />
      </main>
    );
  return <NewShot key={asked} move={asked} siteId={siteId} rig={rigs.data[0]} {...all} />;
}

type All = Pick<ComponentProps<typeof Worksheet>, 'shots' | 'sites' | 'rigs' | 'moves'>;

function KeptShot({ id, search, ...all }: { id: number; search: URLSearchParams } & All) {
  const shot = useShot(id);
  const site = useSite(shot.data?.site_id);
  if (shot.error) throw shot.error;
  if (site.error) throw site.error;
  if (!shot.data || !site.data) return <Waiting />;
  if (shot.data.damaged) return <DamagedShot shot={shot.data} />;
  const first = draftOf(shot.data, changesIn(search));
  return <Worksheet key={`${id}-${search}`} first={first} shot={shot.data} {...all} />;
}

type Begun = { move: string; siteId: number; rig: Schemas['Rig'] };

/** What a new shot begins with is settled once: whatever others keep meanwhile, the sheet stays as it is drawn. */
function NewShot({ move, siteId, rig, ...all }: Begun & All) {
  const [at] = useState(siteId);
  const site = useSite(at);
  const [begun, setBegun] = useState<Draft | null>(null);
  if (begun === null && site.data) setBegun(newDraft(site.data, rig, move));
  // Where it flies as it is; a combination is put together by hand.
  const flies = useFirstDraft(begun === null || begun.parts !== undefined ? null : begun);
  if (site.error) throw site.error;
  if (begun === null || flies.isLoading) return <Waiting />;
  return <Worksheet first={{ ...begun, ...flies.data }} shot={null} {...all} />;
}

function Waiting() {
  return <Skeleton className="h-[80vh] m-5" />;
}

/** Parameters that an advice elsewhere asks to change, from the address. */
function changesIn(search: URLSearchParams): Values {
  return Object.fromEntries(
    [...search]
      .filter(([key]) => key !== 'move')
      .map(([key, value]) => [key, Number.isNaN(Number(value)) ? value : Number(value)]),
  );
}
