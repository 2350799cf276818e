// A file of places is looked at before it is taken: how much was found, what had to be assumed or mended, and then one step onto the site.
import { useMutation } from '@tanstack/react-query';
import { useRef } from 'react';
import { type Schemas, upload } from '~/api/client';
import { Button } from '~/kit/Button';
import { Card } from '~/kit/Card';
import { Notice } from '~/kit/Notice';
import type { Drawing } from './drawing';

type Props = {
  siteId: number | null;
  drawing: Drawing;
  /** The drawing as it would be, to be looked at; null once that is over. */
  onLook: (preview: Drawing | null) => void;
  onDone: (next: Drawing) => void;
};

export function ImportPlaces({ siteId, drawing, onLook, onDone }: Props) {
  const file = useRef<HTMLInputElement>(null);
  const look = useMutation({
    mutationFn: (chosen: File) => {
      const form = new FormData();
      form.set('file', chosen);
      if (siteId !== null) form.set('site_id', String(siteId));
      return upload('/site-imports', form, () => {});
    },
    onSuccess: (found) => onLook(withImport(drawing, found, isNew)),
  });
  const found = look.data;
  const isNew = siteId === null && drawing.document.solids.length === 0;
  const over = () => {
    onLook(null);
    look.reset();
  };
  return (
    <Card className="p-3 grid gap-2" label="From a file">
      <h2>From a file</h2>
      <p className="m-0 text-sm text-ink-soft">
        GeoJSON or KML. You look at it before anything is put on the site.
      </p>
      <input
        ref={file}
        type="file"
        accept=".json,.geojson,.kml"
        aria-label="GeoJSON or KML file"
        className="hidden"
        onChange={(event) => {
          const chosen = event.target.files?.[0];
          if (chosen) look.mutate(chosen);
          event.target.value = '';
        }}
      />
      <Button onClick={() => file.current?.click()} disabled={look.isPending}>
        {look.isPending ? 'Reading …' : 'Look into a file'}
      </Button>
      {look.error && <Notice error={look.error} />}
      {found && (
        <div role="status" className="grid gap-2">
          <p className="m-0">
            {found.found} found: {found.solids.length} that stand, {found.areas.length} areas,{' '}
            {found.subjects.length} to film, {found.observers.length} observers, {found.spots.length} spot
            heights.
          </p>
          {found.notes.map((note) => (
            <p key={note} className="m-0 text-sm border-l-3 border-pollen pl-2">
              {note}
            </p>
          ))}
          <p className="m-0 text-sm">
            It is drawn on the board as it would stand. Nothing is on the site yet.
          </p>
          <Button
            primary
            onClick={() => {
              over();
              onDone(withImport(drawing, found, isNew));
            }}
          >
            Put it on the site
          </Button>
          <Button onClick={over}>Leave it</Button>
        </div>
      )}
    </Card>
  );
}

/** The drawing with what a file brought; a new site takes the file's own take-off point too. */
export function withImport(drawing: Drawing, found: Schemas['SiteImport'], takeHome: boolean): Drawing {
  const { document } = drawing;
  // Shots aim by ids: what a file brings never takes one that stands on the site.
  const taken = new Set(
    [
      ...document.solids,
      ...(document.areas ?? []),
      ...(document.observers ?? []),
      ...drawing.subjects,
    ].flatMap((one) => ('id' in one && one.id ? [one.id] : [])),
  );
  const { name, ground, ...own } = takeHome ? found.own : {};
  const spots = [...(document.ground?.spots ?? []), ...found.spots];
  return {
    ...drawing,
    name: name ?? drawing.name,
    document: {
      ...document,
      ...own,
      home: takeHome ? found.home : document.home,
      solids: [...document.solids, ...withOwnIds(found.solids, taken)],
      areas: [...(document.areas ?? []), ...withOwnIds(found.areas, taken)],
      observers: [...(document.observers ?? []), ...withOwnIds(found.observers, taken)],
      ...(found.spots.length > 0 || ground?.profile
        ? { ground: { ...ground, ...(spots.length > 0 ? { spots } : {}) } }
        : {}),
    },
    subjects: [
      ...drawing.subjects,
      ...withOwnIds(found.subjects, taken).map(({ aim_m, ...subject }) => ({
        ...subject,
        up_m: subject.base_m + aim_m,
      })),
    ],
  };
}

/** The same things, each under an id that none had before: “stack”, then “stack-2”. */
function withOwnIds<Thing extends { id?: string }>(things: Thing[], taken: Set<string>): Thing[] {
  return things.map((thing) => {
    if (thing.id === undefined) return thing;
    let id = thing.id;
    for (let k = 2; taken.has(id); k++) id = `${thing.id}-${k}`;
    taken.add(id);
    return { ...thing, id };
  });
}
