// Site: the place itself, drawn or imported, from above and from the side at once. Every change is read by the server, which says what
// can't be and offers the nearest that can; steps are undone and done again; nothing is kept until it is saved.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { Redo2, Undo2 } from 'lucide-react';
import { useEffect, useEffectEvent, useRef, useState } from 'react';
import { useNavigate, useParams } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { findSites, useSite, useSites } from '~/api/queries';
import { Button, buttonLook } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { began, done, type History, redone, undone } from '~/kit/history';
import { KEPT, Leaving } from '~/kit/Leaving';
import { Notice } from '~/kit/Notice';
import { PickFrom } from '~/kit/PickFrom';
import { Remove } from '~/kit/Remove';
import { Skeleton } from '~/kit/Skeleton';
import { useUnkept } from '~/kit/unkept';
import { useLatest } from '~/kit/useLatest';
import { useSession } from '~/shell/session';
import { day, hour, type Units, withUnit } from '~/units';
import { PlanNav } from '../PlanNav';
import { DrawBoard } from './DrawBoard';
import {
  added,
  type Chosen,
  changed,
  type Drawing,
  drawingOf,
  EMPTY,
  removed,
  seenFrom,
  spotsOf,
  standing,
  type Thing,
  type Tool,
  thingAt,
} from './drawing';
import { ImportPlaces } from './ImportPlaces';
import { SideView } from './SideView';
import { SiteLimits } from './SiteLimits';
import { ThingForm } from './ThingForm';

export default function SiteStation() {
  const params = useParams();
  const sites = useSites();
  const id = params.site === 'new' ? undefined : Number(params.site) || sites.data?.[0]?.id;
  const asked = useSite(id);
  if (sites.error) throw sites.error;
  if (asked.error) throw asked.error;
  if (!sites.data || (id !== undefined && !asked.data)) return <Skeleton className="h-[80vh] m-5" />;
  const site = id === undefined ? null : (asked.data ?? null);
  return <Board key={site === null ? 'new' : `${site.id} ${site.version}`} site={site} sites={sites.data} />;
}

const TOOLS: { id: Tool; name: string }[] = [
  { id: 'choose', name: 'Choose' },
  { id: 'subject', name: 'Subject' },
  { id: 'box', name: 'Building' },
  { id: 'cylinder', name: 'Mast' },
  { id: 'polygon', name: 'Outline' },
  { id: 'canopy', name: 'Trees' },
  { id: 'wire', name: 'Wire' },
  { id: 'people', name: 'People' },
  { id: 'water', name: 'Water' },
  { id: 'boundary', name: 'Boundary' },
  { id: 'observer', name: 'Observer' },
  { id: 'spot', name: 'Spot' },
  { id: 'take-off', name: 'Take-off' },
];

function Board({ site, sites }: { site: Schemas['Site'] | null; sites: Schemas['SiteName'][] }) {
  const { units, user } = useSession();
  const navigate = useNavigate();
  const client = useQueryClient();
  const [history, setHistory] = useState<History<Drawing>>(() =>
    began(site === null ? EMPTY : drawingOf(site)),
  );
  const [held, setHeld] = useState<Drawing | null>(null);
  /** What a file would make of the site, while somebody looks at it. */
  const [preview, setPreview] = useState<Drawing | null>(null);
  const [chosen, setChosen] = useState<Chosen | null>(null);
  /** Whether what is chosen was put there just now. */
  const fresh = useRef(false);
  const [tool, setTool] = useState<Tool>('choose');
  const [snap, setSnap] = useState(true);
  const [theirs, setTheirs] = useState<Schemas['Site'] | null>(null);
  const drawing = preview ?? held ?? history.now;
  // What is only looked at is not changed.
  const step = (next: Drawing) => {
    if (preview !== null) return;
    setHeld(null);
    setHistory((now) => done(now, next));
  };
  const hold = (next: Drawing) => preview === null && setHeld(next);

  const undo = () => {
    setChosen(null);
    setHistory(undone);
  };
  const redo = () => {
    setChosen(null);
    setHistory(redone);
  };
  const choose = (next: Chosen | null) => preview === null && setChosen(next);
  const make = ({ list, item }: { list: Chosen['list']; item: Thing }) => {
    const next = added(history.now, list, item);
    fresh.current = true;
    step(next.drawing);
    setChosen(next.chosen);
    setTool('choose');
  };

  const takeOff = async ([east_m, north_m]: [number, number]) => {
    setTool('choose');
    setChosen(null);
    const now = history.now;
    const read = await answered(
      api.POST('/site-readings', {
        body: {
          ...now.document,
          take_off: { east_m, north_m },
        },
      }),
    );
    if (read.home) step(seenFrom(now, read.home, [east_m, north_m], read.take_off_up_m));
  };

  const reading = useLatest(async ({ now, of }: { now: Drawing; of: Chosen | null }) => {
    const thing = of === null ? undefined : thingAt(now, of);
    const at = thing && 'base_m' in thing && 'east_m' in thing ? { at: [[thing.east_m, thing.north_m]] } : {};
    const said = await answered(api.POST('/site-readings', { body: { ...now.document, ...at } }));
    return { said, of, place: JSON.stringify(at) };
  }, 'larkspur:site');
  const { ask } = reading;
  useEffect(() => ask({ now: history.now, of: chosen }), [ask, history.now, chosen]);
  const ground = groundUnder(reading.value, history.now, chosen);
  const foot = footOf(history.now, chosen);
  const which = chosen === null ? '' : `${chosen.list} ${chosen.index}`;
  const stood = useRef<{ which: string; place: string; onGround: boolean } | null>(null);
  // What was just put on the site stands on its ground, and what stood there goes on standing where it is taken to: no step of its own.
  const stand = useEffectEvent(() => {
    if (chosen === null || foot === null || ground === null) return;
    const before = stood.current?.which === which ? stood.current : null;
    const follows = fresh.current || (before !== null && before.place !== foot.place && before.onGround);
    fresh.current = false;
    if (follows) setHistory((now) => ({ ...now, now: standing(now.now, chosen, ground) }));
    stood.current = {
      which,
      place: foot.place,
      onGround: follows || Math.abs(foot.base - ground) <= ON_GROUND,
    };
  });
  // biome-ignore lint/correctness/useExhaustiveDependencies: looked at when it was taken elsewhere, raised, or its ground is known
  useEffect(() => stand(), [ground, which, foot?.place, foot?.base]);
  const fault = reading.value?.said.fault ?? null;
  const lies = reading.value?.said.ground ?? NO_GROUND;

  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (target.closest('input, textarea, [role="dialog"], [role="listbox"]')) return;
    if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z') {
      event.preventDefault();
      if (event.shiftKey) redo();
      else undo();
    } else if (event.key === 'Delete' && chosen) {
      setChosen(null);
      step(removed(history.now, chosen));
    }
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);

  const dirty = history.past.length > 0;
  const { left, letGo } = useUnkept(
    `larkspur:site:${user.id}:${site?.id ?? 'new'}`,
    { drawing: history.now },
    dirty,
    isDrawing,
  );

  const save = useMutation({
    mutationFn: (over: number | null) => {
      const body = { ...history.now, version: over ?? site?.version ?? 0 };
      return site === null
        ? answered(api.POST('/sites', { body }))
        : answered(api.PUT('/sites/{site}', { params: { path: { site: site.id } }, body }));
    },
    onSuccess: (kept) => {
      letGo();
      setTheirs(null);
      client.setQueryData(['site', kept.id], kept);
      void client.invalidateQueries({ queryKey: ['sites'] });
      navigate(`/plan/sites/${kept.id}`, { replace: true, state: KEPT });
    },
    onError: (error) => {
      if (error instanceof Problem && error.status === 409) {
        setTheirs((error.details as unknown as Schemas['SiteChanged']).latest);
      }
    },
  });
  const repair = () => {
    const at = fault?.place.match(/^document\.(solids|areas)\.(\d+)\.points$/);
    if (at && fault?.repair)
      step(
        changed(
          history.now,
          { list: at[1] as 'solids' | 'areas', index: Number(at[2]) },
          { points: fault.repair },
        ),
      );
  };
  const list = thingsOf(drawing, units);

  return (
    <main className="p-5 pt-3 grid gap-3 lg:grid-cols-[1fr_310px] lg:grid-rows-[auto_1fr] lg:h-[calc(100vh-57px)] lg:min-h-[700px]">
      <Leaving dirty={dirty} what="The site as you drew it" onLose={letGo} />
      <div className="lg:col-span-2 flex flex-wrap justify-between items-end gap-3">
        <div className="min-w-0 grow">
          <input
            aria-label="Name of the site"
            className="w-full text-xl font-bold bg-transparent border-0 border-b border-transparent hover:border-line focus:border-petal p-0 text-ink"
            value={drawing.name}
            maxLength={120}
            onChange={(event) => step({ ...history.now, name: event.target.value })}
          />
          <p className="m-0 text-sm text-ink-soft min-h-5">
            {site === null ? 'Not kept yet' : `Version ${site.version}${dirty ? ', changed here' : ''}`}
          </p>
        </div>
        <div className="flex flex-wrap gap-2">
          <PlanNav now="sites" shot={null} />
          <Button onClick={undo} disabled={history.past.length === 0} aria-label="Undo">
            <Undo2 size={18} aria-hidden />
          </Button>
          <Button onClick={redo} disabled={history.future.length === 0} aria-label="Do again">
            <Redo2 size={18} aria-hidden />
          </Button>
          {site && (
            <a className={buttonLook()} href={`/api/v1/sites/${site.id}/file`} download>
              GeoJSON
            </a>
          )}
          <Button
            primary
            onClick={() => save.mutate(null)}
            disabled={save.isPending || fault !== null || (!dirty && site !== null)}
          >
            Save the site
          </Button>
        </div>
      </div>
      <div className="grid gap-3 min-w-0 min-h-0 lg:grid-rows-[auto_minmax(300px,1fr)_150px]">
        <div className="flex flex-wrap gap-1" role="toolbar" aria-label="Tools">
          {TOOLS.map((one) => (
            <button
              key={one.id}
              type="button"
              aria-pressed={tool === one.id}
              className={`min-h-11 px-2 text-sm rounded-md border cursor-pointer ${tool === one.id ? 'bg-haze border-petal font-semibold' : 'bg-card border-line text-ink-soft'}`}
              onClick={() => setTool(one.id)}
            >
              {one.name}
            </button>
          ))}
          <button
            type="button"
            aria-pressed={snap}
            className={`min-h-11 px-2 text-sm rounded-md border cursor-pointer ml-auto ${snap ? 'bg-haze border-petal font-semibold' : 'bg-card border-line text-ink-soft'}`}
            onClick={() => setSnap(!snap)}
          >
            Snap
          </button>
        </div>
        <Card className="grid min-h-96 lg:min-h-0 overflow-hidden" label="From above">
          <DrawBoard
            // What is looked at is fitted to the board by itself.
            key={preview === null ? 'drawn' : 'looked at'}
            drawing={drawing}
            chosen={preview === null ? chosen : null}
            tool={preview === null ? tool : 'choose'}
            snap={snap}
            units={units}
            onChoose={choose}
            onDrag={hold}
            onDone={step}
            onMade={make}
            onTakeOff={takeOff}
          />
        </Card>
        <Card
          caption="From the south"
          className="grid grid-rows-[auto_1fr] min-h-40 lg:min-h-0 overflow-hidden"
        >
          <SideView
            drawing={drawing}
            chosen={chosen}
            ground={lies}
            units={units}
            onChoose={choose}
            onDrag={hold}
            onDone={step}
          />
        </Card>
      </div>
      <aside className="grid gap-3 content-start min-h-0 lg:overflow-auto lg:pr-1">
        {left && (
          <Card className="p-3 grid gap-2" label="Left here">
            <p className="m-0 text-sm">
              You left a drawing of this site here on {day(left.at, HERE)} at {hour(left.at, HERE)}, and did
              not save it.
            </p>
            <div className="flex flex-wrap gap-2">
              <Button
                primary
                onClick={() => {
                  setChosen(null);
                  step(left.drawing);
                  letGo();
                }}
              >
                Go on with that
              </Button>
              <Button onClick={letGo}>Let it go</Button>
            </div>
          </Card>
        )}
        {fault && (
          <div className="grid gap-2">
            <Notice text={`${fault.message} Expected ${fault.expected}.`} />
            {fault.repair && <Button onClick={repair}>Untangle it</Button>}
          </div>
        )}
        {theirs ? (
          <Card className="p-3 grid gap-2" label="Somebody saved first">
            <Notice error={save.error} />
            <Button onClick={() => save.mutate(theirs.version)}>Save mine over it</Button>
            <Button
              onClick={() => {
                step(drawingOf(theirs));
                setTheirs(null);
                save.reset();
              }}
            >
              Look at theirs
            </Button>
          </Card>
        ) : (
          save.error && <Notice error={save.error} />
        )}
        {chosen && preview === null && (
          <ThingForm drawing={drawing} chosen={chosen} ground={ground} onDone={step} onChoose={choose} />
        )}
        <Card className="p-3 grid gap-2">
          <h2>Site</h2>
          <PickFrom
            label="Site"
            hideLabel
            now={site === null ? NEW : { value: String(site.id), label: site.name }}
            besides={[NEW]}
            latest={sites.map((one) => ({ value: String(one.id), label: one.name }))}
            find={findSites}
            onChange={(value) => navigate(`/plan/sites/${value}`)}
          />
          <ul className="m-0 p-0 list-none max-h-60 overflow-auto">
            {list.map((one) => (
              <li key={`${one.at.list} ${one.at.index}`}>
                <button
                  type="button"
                  className={`w-full text-left min-h-9 px-2 rounded-md cursor-pointer ${chosen?.list === one.at.list && chosen.index === one.at.index ? 'bg-haze font-semibold' : 'bg-transparent'}`}
                  onClick={() => choose(one.at)}
                >
                  {one.name} <span className="text-sm text-ink-soft">{one.kind}</span>
                </button>
              </li>
            ))}
            {list.length === 0 && (
              <li className="text-ink-soft">
                Nothing yet. Take a tool and press where it stands, or look into a file.
              </li>
            )}
          </ul>
        </Card>
        <ImportPlaces
          siteId={site?.id ?? null}
          drawing={history.now}
          onLook={setPreview}
          onDone={(next) => {
            setPreview(null);
            setHistory((now) => done(now, next));
          }}
        />
        <SiteLimits drawing={history.now} onDone={step} />
        {site && (
          <Remove
            what="this site"
            ask={() => answered(api.DELETE('/sites/{site}', { params: { path: { site: site.id } } }))}
            words="What was drawn here goes with it. A site stays as long as a shot is planned or a day is flown at it."
            onRemoved={() => {
              client.removeQueries({ queryKey: ['site', site.id] });
              void client.invalidateQueries({ queryKey: ['sites'] });
              navigate('/plan/sites');
            }}
          />
        )}
      </aside>
    </main>
  );
}

const HERE = Intl.DateTimeFormat().resolvedOptions().timeZone;

const NEW = { value: 'new', label: 'A new site' };

const NO_GROUND: number[][] = [];

/** How high the ground lies where the chosen thing stands, m; null until that is known of just this place. */
function groundUnder(
  read: { said: Schemas['SiteReading']; of: Chosen | null; place: string } | null,
  now: Drawing,
  chosen: Chosen | null,
): number | null {
  const thing = chosen === null ? undefined : thingAt(now, chosen);
  if (read === null || thing === undefined || !('base_m' in thing && 'east_m' in thing)) return null;
  const asked = JSON.stringify({ at: [[thing.east_m, thing.north_m]] });
  return read.place === asked ? read.said.foot_m : null;
}

/** A foot so near to the ground stands on it, m. */
const ON_GROUND = 0.06;

/** Where the chosen thing stands and how high its foot is; null where it has none. */
function footOf(now: Drawing, chosen: Chosen | null): { place: string; base: number } | null {
  const thing = chosen === null ? undefined : thingAt(now, chosen);
  return thing !== undefined && 'base_m' in thing && 'east_m' in thing
    ? { place: `${thing.east_m} ${thing.north_m}`, base: Number(thing.base_m) }
    : null;
}

/** What a device kept of a drawing, if it is one. */
const isDrawing = ({ drawing }: { drawing?: Partial<Drawing> }) =>
  typeof drawing?.name === 'string' &&
  Array.isArray(drawing.subjects) &&
  Array.isArray(drawing.document?.solids);

function thingsOf(drawing: Drawing, units: Units): { at: Chosen; name: string; kind: string }[] {
  const { document } = drawing;
  return [
    ...drawing.subjects.map((one, index) => ({
      at: { list: 'subjects', index } as Chosen,
      name: one.name,
      kind: 'aimed at',
    })),
    ...document.solids.slice(0, 300).map((one, index) => ({
      at: { list: 'solids', index } as Chosen,
      name: one.name,
      kind: one.role === 'subject' ? 'filmed' : one.shape === 'wire' ? 'wire' : 'in the way',
    })),
    ...(document.areas ?? []).map((one, index) => ({
      at: { list: 'areas', index } as Chosen,
      name: one.name,
      kind: one.kind,
    })),
    ...(document.observers ?? []).map((one, index) => ({
      at: { list: 'observers', index } as Chosen,
      name: one.name,
      kind: 'watches',
    })),
    ...spotsOf(drawing).map((one, index) => ({
      at: { list: 'spots', index } as Chosen,
      name: `Spot ${index + 1}`,
      kind: withUnit(one.up_m, 'm', units),
    })),
  ];
}
