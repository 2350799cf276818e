// The shot from above and from the side, with the handles that the move has there.
import type { Schemas } from '~/api/client';
import { Card } from '~/kit/Card';
import { SideSheet } from '~/pictures/SideSheet';
import { type SheetHandle, SiteSheet } from '~/pictures/SiteSheet';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';
import type { Planning } from './usePlan';

type Props = {
  plan: Schemas['Plan'] | null;
  site: Schemas['Site'];
  wind: Schemas['Wind'] | null;
  /** Where a subject of one's own stands: it is dragged like a handle, but it is no parameter of the move. */
  ownPlace: Schemas['OwnPlace'] | null;
  time: number | null;
  pull: Planning['pull'];
  change: Planning['change'];
};

export function SheetsPane({ plan, site, wind, ownPlace, time, pull, change }: Props) {
  const { units } = useSession();
  const handles: SheetHandle[] = (plan?.handles ?? [])
    .filter((handle) => handle.sheet === 'above')
    .map((handle) => ({
      id: handle.id,
      label: handle.label,
      east: handle.east_m,
      north: handle.north_m,
      onMove: (east_m, north_m) => pull({ handle: handle.id, to: { east_m, north_m } }),
      onStep: (right, up) => pull({ handle: handle.id, by: { right, up } }),
    }));
  if (ownPlace)
    handles.push({
      id: 'subject',
      label: 'Subject: its place',
      east: ownPlace.east_m,
      north: ownPlace.north_m,
      onMove: (east_m, north_m) => change({ kind: 'place', place: { east_m, north_m } }),
      onStep: (right, up) =>
        change({
          kind: 'place',
          place: { east_m: ownPlace.east_m + right, north_m: ownPlace.north_m + up },
        }),
    });
  const look = 'grid grid-rows-[auto_1fr] min-h-64 lg:min-h-0 overflow-hidden';
  return (
    <div className="grid gap-3 sm:grid-cols-[1.25fr_1fr] min-h-0">
      <Card caption={`From above, ${units === 'feet' ? 'feet' : 'metres'}`} className={look}>
        <SiteSheet
          site={site.document}
          subject={plan?.subject ?? null}
          subjectWay={plan?.subject_way}
          planned={plan?.samples ?? null}
          wind={wind}
          hfov={plan?.camera.hfov_deg ?? 70}
          time={time}
          handles={handles}
          units={units}
          label={`Site sheet of ${site.name}`}
        />
      </Card>
      <Card
        caption={plan?.unrolled ? 'From the side, unrolled along the way' : 'From the side'}
        className={look}
      >
        {plan && (
          <SideSheet
            plan={plan}
            site={site.document}
            time={time}
            units={units}
            handles={plan.handles
              .filter((handle) => handle.sheet === 'side')
              .map((handle) => ({
                id: handle.id,
                label: handle.label,
                east: handle.east_m,
                north: handle.north_m,
                up: handle.up_m,
                tilt: handle.tilt_deg,
                text:
                  handle.tilt_deg === null
                    ? withUnit(handle.up_m - (plan.subject?.ground_m ?? 0), 'm', units)
                    : withUnit(handle.tilt_deg, 'deg', units, 0),
                onMove: (value) =>
                  pull({
                    handle: handle.id,
                    to: handle.tilt_deg === null ? { up_m: value } : { tilt_deg: value },
                  }),
                onStep: (up) => pull({ handle: handle.id, by: { right: 0, up } }),
              }))}
          />
        )}
      </Card>
    </div>
  );
}
