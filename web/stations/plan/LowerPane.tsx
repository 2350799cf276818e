// The lower card of a worksheet: the part to play, the numbers to write down, what the lens sees, or one of the readings.
import { Tabs } from 'radix-ui';
import { lazy, Suspense } from 'react';
import type { Schemas } from '~/api/client';
import { useGround } from '~/api/queries';
import { Card } from '~/kit/Card';
import { Skeleton } from '~/kit/Skeleton';
import { laneOf, StaveLanes } from '~/pictures/StaveLanes';
import { useSession } from '~/shell/session';
import { Numbers } from './Numbers';
import { Readings, type ReadingView } from './Readings';
import type { Planning } from './usePlan';

const CameraWindow = lazy(() => import('~/stage/CameraWindow'));

const VIEWS = {
  sheet: 'Thumb sheet',
  numbers: 'Numbers',
  lens: 'Lens',
  reveal: 'Reveal',
  depth: 'Depth',
  room: 'Room',
  wind: 'Wind',
  edit: 'Edit',
  variants: 'Variants',
};

export type LowerView = keyof typeof VIEWS;

type Props = {
  view: LowerView;
  onView: (view: LowerView) => void;
  plan: Schemas['Plan'] | null;
  reading: Schemas['Reading'] | null;
  site: Schemas['Site'];
  time: number | null;
  onTime: (time: number) => void;
  pull: Planning['pull'];
  onVariant: (variant: Schemas['Variant']) => void;
};

export function LowerPane({ view, onView, plan, reading, site, time, onTime, pull, onVariant }: Props) {
  const { units } = useSession();
  return (
    <Card className="min-h-72 lg:min-h-0 grid" label={VIEWS[view]}>
      <Tabs.Root
        className="min-h-0 min-w-0 grid grid-rows-[auto_1fr]"
        value={view}
        onValueChange={(next) => onView(next as LowerView)}
      >
        <Tabs.List className="flex flex-wrap border-b border-line" aria-label="What is shown below">
          {(Object.keys(VIEWS) as LowerView[]).map((one) => (
            <Tabs.Trigger
              key={one}
              value={one}
              data-tab={one}
              className={`min-h-11 px-3 cursor-pointer bg-transparent ${one === view ? 'font-semibold text-ink shadow-[inset_0_-3px_0_var(--larkspur)]' : 'text-ink-soft'}`}
            >
              {VIEWS[one]}
            </Tabs.Trigger>
          ))}
        </Tabs.List>
        <Tabs.Content value={view} tabIndex={-1} className="min-h-60 lg:min-h-0 min-w-0">
          {plan && view === 'sheet' && <Part plan={plan} time={time} onTime={onTime} pull={pull} />}
          {plan && view === 'lens' && (
            <Lens plan={plan} reading={reading} site={site} time={time} onTime={onTime} />
          )}
          {plan && view === 'numbers' && <Numbers numbers={plan.numbers} units={units} onTime={onTime} />}
          {plan && view !== 'sheet' && view !== 'numbers' && view !== 'lens' && (
            <Readings view={view as ReadingView} plan={plan} reading={reading} onVariant={onVariant} />
          )}
        </Tabs.Content>
      </Tabs.Root>
    </Card>
  );
}

type PartProps = Pick<Props, 'time' | 'onTime' | 'pull'> & { plan: Schemas['Plan'] };

/** What each finger plays, and when. */
function Part({ plan, time, onTime, pull }: PartProps) {
  return (
    <StaveLanes
      lanes={plan.presses.map(laneOf)}
      planned={{ t: plan.samples.t, fingers: plan.fingers }}
      flown={null}
      from={0}
      to={plan.phases.duration_s}
      hold={[plan.phases.hold_from_s, plan.phases.hold_to_s]}
      grips={plan.handles
        .filter((handle) => handle.sheet === 'thumbs')
        .map((handle) => ({
          id: handle.id,
          label: handle.label,
          t: handle.t_s,
          stave: handle.finger,
          onMove: (t_s) => pull({ handle: handle.id, to: { t_s } }),
          onStep: (right) => pull({ handle: handle.id, by: { right, up: 0 } }),
        }))}
      time={time}
      onTime={onTime}
    />
  );
}

type LensProps = Pick<Props, 'reading' | 'site' | 'time' | 'onTime'> & { plan: Schemas['Plan'] };

const NO_GROUND: number[][] = [];

/** The flight as the lens sees it. */
function Lens({ plan, reading, site, time, onTime }: LensProps) {
  const ground = useGround(site, true);
  return (
    <Suspense fallback={<Skeleton className="h-full" />}>
      <CameraWindow
        plan={plan}
        site={site.document}
        ground={ground.data?.ground ?? NO_GROUND}
        time={time}
        onTime={onTime}
        safe={reading?.edit.safe ?? null}
      />
    </Suspense>
  );
}
