// What can be dragged on the site sheet: the start (distance and bearing), the end (arc or length), where the lens looks, and a subject
// of one's own. The handles stand where the plan on show has them; they are made anew with a plan, not with every change on its way to one.
import { type RefObject, useMemo } from 'react';
import type { Schemas } from '~/api/client';
import type { Handle } from '~/pictures/SiteSheet';
import { bearing, endAt, lengthTo, rounded, startAt, type Values } from './draft';
import type { Planning } from './usePlan';

type Subject = { east_m: number; north_m: number };

export function useHandles(
  plan: Schemas['Plan'] | null,
  parameters: Schemas['Parameter'][],
  ownPlace: Subject | null | undefined,
  now: RefObject<Values>,
  set: (values: Values) => void,
  change: Planning['change'],
): Handle[] {
  return useMemo(() => {
    const subject = plan?.subject;
    const samples = plan?.samples;
    if (!subject || !samples) return [];
    const value = (id: string, otherwise: number) => Number(now.current[id] ?? otherwise);
    const place = (step: (from: Subject) => Subject) =>
      change((draft) => ({
        ...draft,
        subject_at: {
          ...draft.subject_at,
          ...step({ east_m: draft.subject_at?.east_m ?? 0, north_m: draft.subject_at?.north_m ?? 0 }),
        },
      }));
    const shaped = plan.intent.parameters;
    const away = 'radius_m' in shaped && 'arc_deg' in shaped ? 'radius_m' : 'distance_m';
    const start = { east_m: samples.east_m[0] ?? 0, north_m: samples.north_m[0] ?? 0 };
    const end = { east: samples.east_m.at(-1) ?? 0, north: samples.north_m.at(-1) ?? 0 };
    const handles: Handle[] = [
      {
        id: 'start',
        label: away === 'radius_m' ? 'Start: radius and bearing' : 'Start: distance and bearing',
        east: start.east_m,
        north: start.north_m,
        onMove: (east, north) => set(startAt(subject, east, north, 0.5, away)),
        onNudge: (dx, dy) =>
          set({
            [away]: Math.max(2, value(away, 20) + dy),
            start_bearing_deg: Math.round(value('start_bearing_deg', 0) + 2 * dx),
          }),
      },
    ];
    if (away === 'radius_m') {
      handles.push({
        id: 'end',
        label: 'End: arc',
        ...end,
        onMove: (east, north) => set(endAt(subject, now.current, east, north)),
        onNudge: (dx, dy) => set({ arc_deg: Math.max(10, value('arc_deg', 180) + 5 * (dx + dy)) }),
      });
    } else if ('length_m' in shaped) {
      handles.push({
        id: 'end',
        label: 'End: length of the way',
        ...end,
        onMove: (east, north) => set(lengthTo(start, east, north)),
        onNudge: (dx, dy) => set({ length_m: Math.max(1, value('length_m', 20) + dx + dy) }),
      });
    }
    if (parameters.some((parameter) => parameter.id === 'heading_deg')) {
      const heading = samples.heading_deg[0] ?? 0;
      const ahead = (heading * Math.PI) / 180;
      // Before the subject, where the way that is flown has mostly ended.
      const far = Math.max(
        6,
        0.85 * Math.hypot(start.east_m - subject.east_m, start.north_m - subject.north_m),
      );
      handles.push({
        id: 'heading',
        label: 'Heading: where the lens looks at the start',
        east: start.east_m + far * Math.sin(ahead),
        north: start.north_m + far * Math.cos(ahead),
        onMove: (east, north) =>
          set({ heading_deg: rounded(bearing(east - start.east_m, north - start.north_m), 1) }),
        onNudge: (dx, dy) => set({ heading_deg: Math.round(heading + 2 * (dx + dy)) }),
      });
    }
    if (ownPlace) {
      handles.push({
        id: 'subject',
        label: 'Subject: its place',
        east: ownPlace.east_m,
        north: ownPlace.north_m,
        onMove: (east_m, north_m) => place(() => ({ east_m, north_m })),
        onNudge: (dx, dy) => place((from) => ({ east_m: from.east_m + dx, north_m: from.north_m + dy })),
      });
    }
    return handles;
  }, [plan, parameters, ownPlace, now, set, change]);
}
