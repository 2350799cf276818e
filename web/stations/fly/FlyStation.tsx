// Fly: where a move is learnt before a battery is spent on it. Practise with the sticks, rehearse dry, train the eye; and the ways to a
// take without them: a simulated operator, and logs of real passes.
import { useNavigate, useParams, useSearchParams } from 'react-router';
import { findShots, useShot, useShots } from '~/api/queries';
import { Choice } from '~/kit/Choice';
import { PickFrom } from '~/kit/PickFrom';
import { Skeleton } from '~/kit/Skeleton';
import { useSession } from '~/shell/session';
import { Choose } from './Choose';
import { ImportLogs } from './ImportLogs';
import { SimulatedOperator } from './SimulatedOperator';
import { SpotIt } from './SpotIt';

const WAYS = [
  { value: 'sticks', label: 'Sticks in hand' },
  { value: 'eye', label: 'Spot it' },
  { value: 'logs', label: 'Logs and simulated hands' },
] as const;

type Way = (typeof WAYS)[number]['value'];

export default function FlyStation() {
  const { shot: param } = useParams();
  const [search, setSearch] = useSearchParams();
  const { whose } = useSession();
  const shots = useShots(whose);
  const navigate = useNavigate();
  const asked = useShot(param === undefined ? undefined : Number(param));
  const shot = asked.data ?? (param === undefined ? shots.data?.[0] : undefined);
  const way = (WAYS.find((one) => one.value === search.get('by'))?.value ?? 'sticks') as Way;
  if (shots.error) throw shots.error;
  if (asked.error) throw asked.error;
  if (!shots.data || (param !== undefined && !asked.data)) return <Skeleton className="h-[70vh] m-5" />;
  return (
    <main className="p-5 grid gap-3 items-start max-w-6xl mx-auto">
      <div className="flex flex-wrap gap-3 items-end justify-between">
        <div>
          <h1>Fly</h1>
          <p className="m-0 text-sm text-ink-soft">Learn a move before a battery is spent on it.</p>
        </div>
        <div className="w-[30rem] max-w-full">
          <Choice
            label="How"
            hideLabel
            value={way}
            onChange={(by) => setSearch({ by }, { replace: true })}
            options={[...WAYS]}
          />
        </div>
        {shots.data.length > 0 && (
          <div className="w-80 max-w-full">
            <PickFrom
              label="Shot"
              now={shot ? { value: String(shot.id), label: shot.title } : null}
              latest={shots.data.map((item) => ({ value: String(item.id), label: item.title }))}
              find={findShots(whose)}
              onChange={(value) => navigate(`/fly/${value}?by=${way}`, { replace: true })}
            />
          </div>
        )}
      </div>
      {way === 'sticks' && <Choose shot={shot} key={shot?.id ?? 'none'} />}
      {way === 'eye' && <SpotIt shot={shot} key={shot?.id ?? 'none'} />}
      {way === 'logs' && (
        <div className="grid gap-3 lg:grid-cols-2 items-start">
          <SimulatedOperator shot={shot} />
          <ImportLogs shot={shot} />
        </div>
      )}
    </main>
  );
}
