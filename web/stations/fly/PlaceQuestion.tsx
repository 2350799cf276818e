// A log that lies elsewhere than its plan: where it lies as it is written, where by another reading of its numbers, and which is meant.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { answered, api, type Schemas } from '~/api/client';
import { Button } from '~/kit/Button';
import { Notice } from '~/kit/Notice';
import { useSession } from '~/shell/session';
import { withUnit } from '~/units';

type Reading = Schemas['PlaceReading'];

export function PlaceQuestion({ item }: { item: Schemas['Import'] }) {
  const { units } = useSession();
  const client = useQueryClient();
  const say = useMutation({
    mutationFn: (reading: string) =>
      answered(
        api.PUT('/imports/{import}/reading', {
          params: { path: { import: item.id } },
          body: { reading: reading as 'as-written' },
        }),
      ),
    onSuccess: () => void client.invalidateQueries({ queryKey: ['imports'] }),
  });
  const away = (one: Reading) =>
    one.up_m === 0
      ? `${withUnit(Math.hypot(one.east_m, one.north_m), 'm', units, 0)} from its plan`
      : `${withUnit(Math.abs(one.up_m), 'm', units, 0)} ${one.up_m > 0 ? 'too high' : 'too low'}`;
  return (
    <div className="grid gap-2 p-3 rounded-md border border-pollen" data-place={item.id}>
      <p className="m-0">{item.message}</p>
      <div className="grid gap-3 grid-cols-[120px_1fr] items-center">
        <Places readings={item.readings} />
        <div className="grid gap-2">
          {item.readings.map((one, index) => (
            <Button
              key={one.id}
              primary={index > 0}
              onClick={() => say.mutate(one.id)}
              disabled={say.isPending}
            >
              {one.id === 'as-written' ? 'Judge it as it is written' : `Yes: ${one.words}`}: {away(one)}
            </Button>
          ))}
          <Button onClick={() => say.mutate('without-plan')} disabled={say.isPending}>
            It is another flight: judge it by the move it looks like
          </Button>
        </div>
      </div>
      {say.error && <Notice error={say.error} />}
    </div>
  );
}

/** The plan in the middle, the log by each reading about it: places from above, heights as a post. */
function Places({ readings }: { readings: Reading[] }) {
  const most = Math.max(
    1,
    ...readings.map((one) => Math.max(Math.hypot(one.east_m, one.north_m), Math.abs(one.up_m))),
  );
  const scale = 46 / most;
  return (
    <svg
      width={120}
      height={120}
      viewBox="-60 -60 120 120"
      role="img"
      aria-label="Where the log lies by each reading"
    >
      <rect x={-59} y={-59} width={118} height={118} fill="var(--ground)" opacity={0.5} rx={4} />
      <circle r={5} fill="none" stroke="var(--larkspur)" strokeWidth={2} />
      <text y={16} textAnchor="middle" fontSize={9} fill="var(--ink-soft)">
        plan
      </text>
      {readings.map((one, index) => {
        const x = one.east_m * scale;
        const y = one.up_m === 0 ? -one.north_m * scale : -one.up_m * scale;
        return (
          <g key={one.id}>
            <path d={`M0 0L${x} ${y}`} stroke="var(--line)" strokeDasharray="3 3" />
            <circle cx={x} cy={y} r={4} fill={index === 0 ? 'var(--brick)' : 'var(--leaf)'} />
          </g>
        );
      })}
    </svg>
  );
}
