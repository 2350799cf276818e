// Rig: the settings of a craft, what they do, whether they suit the shots, and how they became what they are. Which rig, which
// mode and which view stand in the address, so that a trainer can send it.
import { Download, FileText } from 'lucide-react';

import { Link, useParams, useSearchParams } from 'react-router';
import type { Schemas } from '~/api/client';
import { useRig, useRigs } from '~/api/queries';
import { buttonLook } from '~/kit/Button';
import { Choice } from '~/kit/Choice';
import { Leaving } from '~/kit/Leaving';
import { Pick } from '~/kit/Pick';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { Advise } from './Advise';
import { Compare } from './Compare';
import { CraftView, FirstCraft } from './CraftView';
import { Ducted } from './Ducted';
import { History } from './History';
import { Numbers } from './Numbers';
import { SaveBar } from './SaveBar';
import { TryIt } from './TryIt';
import { type Mode, useRigDraft } from './useRigDraft';

const VIEWS = {
  numbers: 'Numbers',
  try: 'Try it',
  advise: 'Advise',
  ducted: 'Throttle',
  compare: 'Compare',
  history: 'History',
  craft: 'Craft',
};

type View = keyof typeof VIEWS;

export default function RigStation() {
  const { whose } = useSession();
  const [search] = useSearchParams();
  const rigs = useRigs(whose);
  const asked = Number(search.get('rig')) || undefined;
  const id = asked ?? rigs.data?.[0]?.id;
  const rig = useRig(id);
  if (rigs.error) throw rigs.error;
  if (rig.error) throw rig.error;
  if (rigs.data?.length === 0 && asked === undefined) {
    return <FirstCraft />;
  }
  if (!rigs.data || !rig.data) return <Skeleton className="h-[80vh] m-5" />;
  return <Bench key={rig.data.id} rig={rig.data} rigs={rigs.data} />;
}

/** Whether an address shows the same rig: by its number, or as the first of all where this one is shown so. */
function isOf(rig: number, search: string): boolean {
  const named = (of: string) => new URLSearchParams(of).get('rig');
  return named(search) === String(rig) || (named(search) === null && named(window.location.search) === null);
}

function Bench({ rig, rigs }: { rig: Schemas['RigDetail']; rigs: Schemas['Rig'][] }) {
  const params = useParams();
  const [search] = useSearchParams();
  const view = (params.view ?? 'numbers') as View;
  const mode =
    (['slow', 'standard', 'fast'] as const).find((one) => one === search.get('mode')) ?? 'standard';
  const draft = useRigDraft(rig, mode);
  return (
    <main className="p-5 grid gap-3">
      <Leaving
        dirty={draft.changed}
        what="The rig as you changed it"
        staysAt={(next) => next.pathname.startsWith('/rig') && isOf(rig.id, next.search)}
      />
      <Head rig={rig} rigs={rigs} view={view} mode={mode} />
      {view === 'numbers' && <Numbers draft={draft} />}
      {view === 'try' && <TryIt draft={draft} />}
      {view === 'advise' && <Advise draft={draft} />}
      {view === 'ducted' && <Ducted draft={draft} />}
      {view === 'compare' && <Compare draft={draft} first={Number(search.get('with')) || undefined} />}
      {view === 'history' && <History draft={draft} />}
      {view === 'craft' && <CraftView draft={draft} />}
      {(view === 'numbers' || view === 'ducted' || view === 'try') && <SaveBar draft={draft} />}
    </main>
  );
}

type HeadProps = { rig: Schemas['RigDetail']; rigs: Schemas['Rig'][]; view: View; mode: Mode };

/** Which rig, which mode, which view. Not drawn again while a curve is pulled. */
function Head({ rig, rigs, view, mode }: HeadProps) {
  const [search, setSearch] = useSearchParams();
  const at = (next: View) => `/rig${next === 'numbers' ? '' : `/${next}`}?rig=${rig.id}&mode=${mode}`;
  const put = (key: string, value: string) => {
    const next = new URLSearchParams(search);
    next.set(key, value);
    setSearch(next, { replace: true });
  };
  const options = rigs.some((one) => one.id === rig.id)
    ? rigs
    : [{ ...rig, operator: rig.operator } as Schemas['Rig'], ...rigs];
  return (
    <>
      <div className="flex flex-wrap gap-4 items-end justify-between">
        <div className="min-w-0">
          <h1>{rig.craft}</h1>
          <p className="m-0 text-sm text-ink-soft">
            {rig.operator ?? 'The school’s'}, version {rig.version}: {rig.reason}.
          </p>
        </div>
        <div className="flex flex-wrap gap-3 items-end">
          <div className="w-64">
            <Pick
              label="Rig"
              value={String(rig.id)}
              onChange={(value) => put('rig', value)}
              options={options.map((item) => ({
                value: String(item.id),
                label: `${item.craft}, version ${item.version}`,
                group: item.operator ?? 'The school’s',
              }))}
            />
          </div>
          <div className="w-72">
            <Choice
              label="Flight mode"
              value={mode}
              onChange={(value) => put('mode', value)}
              options={[
                { value: 'slow', label: 'Slow' },
                { value: 'standard', label: 'Standard' },
                { value: 'fast', label: 'Fast' },
              ]}
            />
          </div>
        </div>
      </div>
      <div className="flex flex-wrap gap-2 items-center justify-between">
        <nav aria-label="Views of this rig" className="flex flex-wrap gap-1">
          {(Object.keys(VIEWS) as View[])
            .filter((one) => one !== 'ducted' || rig.kind === 'ducted')
            .map((one) => (
              <Link
                key={one}
                to={at(one)}
                aria-current={one === view ? 'page' : undefined}
                className={`inline-flex items-center min-h-11 px-3 rounded-md no-underline ${one === view ? 'bg-haze text-ink font-semibold' : 'text-ink-soft'}`}
              >
                {VIEWS[one]}
              </Link>
            ))}
        </nav>
        <div className="flex flex-wrap gap-2">
          <a className={buttonLook()} href={`/api/v1/rigs/${rig.id}/card`} target="_blank" rel="noreferrer">
            <FileText size={17} aria-hidden />
            Field card
          </a>
          <a className={buttonLook()} href={`/api/v1/rigs/${rig.id}/file`} download>
            <Download size={17} aria-hidden />
            Rig file
          </a>
        </div>
      </div>
    </>
  );
}
