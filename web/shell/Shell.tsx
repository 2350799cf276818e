// The top strip: the flower as home, five stations in the order of the work, and who is signed in.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { LogOut, Settings2 } from 'lucide-react';
import { useState } from 'react';
import { Link, Navigate, NavLink, Outlet, useLocation, useNavigate } from 'react-router';
import { answered, api, Problem, type Schemas } from '~/api/client';
import { useMe, useOperators, useToday } from '~/api/queries';
import { Button } from '~/kit/Button';
import { Choice } from '~/kit/Choice';
import { Pick } from '~/kit/Pick';
import { Sheet } from '~/kit/Sheet';
import { Skeleton } from '~/kit/Skeleton';
import { useKeys } from '~/kit/useKeys';
import { KeyList } from './KeyList';
import { NoNetwork } from './NoNetwork';
import { RunningNotice } from './RunningNotice';
import { SessionProvider, useSession } from './session';

const STATIONS = [
  { to: '/rig', name: 'Rig', key: '1' },
  { to: '/plan', name: 'Plan', key: '2' },
  { to: '/fly', name: 'Fly', key: '3' },
  { to: '/debrief', name: 'Debrief', key: '4' },
  { to: '/progress', name: 'Progress', key: '5' },
];

export function Shell() {
  const me = useMe();
  const location = useLocation();
  // A browser that knows it has no network asks nothing at all.
  if (me.isPending && me.fetchStatus === 'paused') return <NoNetwork />;
  if (me.isPending) return <Skeleton className="h-14 m-5" />;
  if (me.error instanceof Problem && me.error.status !== 401) throw me.error;
  if (!me.data) return <Navigate to="/sign-in" replace state={{ from: location.pathname }} />;
  return (
    <SessionProvider user={me.data}>
      <Strip />
      {me.data.second_factor_due && location.pathname !== '/account' && <Navigate to="/account" replace />}
      {me.data.role === 'trainer' && <RunningNotice />}
      <Outlet />
    </SessionProvider>
  );
}

function Strip() {
  const { user, seesClass } = useSession();
  const [keys, setKeys] = useState(false);
  const [settings, setSettings] = useState(false);
  const navigate = useNavigate();
  const today = useToday();
  const done = doneOf(today.data);
  useKeys({
    '?': () => setKeys(true),
    '0': () => navigate('/'),
    ...Object.fromEntries(STATIONS.map((station) => [station.key, () => navigate(station.to)])),
  });
  return (
    <header className="flex items-center gap-x-5 gap-y-0 flex-wrap px-5 border-b border-line bg-paper">
      <Link
        to="/"
        className="flex items-center gap-2 font-bold text-lg no-underline text-ink min-h-14"
        aria-label="Larkspur, Today"
      >
        <Flower />
        Larkspur
      </Link>
      <nav aria-label="Stations" className="flex grow overflow-x-auto">
        {STATIONS.map((station) => (
          <NavLink
            key={station.to}
            to={station.to}
            className={({ isActive }) =>
              `relative flex items-center gap-2 px-3 sm:px-4 min-h-14 no-underline whitespace-nowrap ${isActive ? 'text-ink font-semibold after:absolute after:inset-x-3 after:bottom-0 after:h-[3px] after:bg-larkspur after:rounded-t-md' : 'text-ink-soft'}`
            }
          >
            {({ isActive }) => (
              <>
                <StationPetal done={done[station.name] ?? false} active={isActive} />
                {station.name}
                {done[station.name] && <span className="sr-only">, done for this shot</span>}
              </>
            )}
          </NavLink>
        ))}
      </nav>
      <div className="flex items-center gap-2 min-h-14">
        {seesClass && <WhoseWork />}
        <button
          type="button"
          className="flex items-center gap-2 min-h-11 px-2 text-sm text-ink-soft cursor-pointer rounded-md hover:text-ink"
          onClick={() => setSettings(true)}
        >
          <span>
            {user.name}
            <span className="hidden xl:inline">
              {seesClass ? `, ${user.role}` : `, sticks mode ${user.stick_mode}`}
            </span>
          </span>
          <Settings2 size={18} aria-label="Your settings" />
        </button>
      </div>
      <KeyList open={keys} onClose={() => setKeys(false)} />
      <Preferences open={settings} onClose={() => setSettings(false)} />
    </header>
  );
}

/** Which stations are done for the shot at hand. */
function doneOf(today: Schemas['Today'] | undefined): Record<string, boolean> {
  const shot = today?.shot;
  const takes = today?.takes.filter((take) => take.shot_id === shot?.id) ?? [];
  return {
    Rig: shot != null,
    Plan: shot != null,
    Fly: (shot?.takes ?? 0) > 0,
    Debrief: takes.some((take) => take.decision !== null),
    Progress: takes.some((take) => take.decision === 'keep'),
  };
}

function WhoseWork() {
  const { whose, setWhose } = useSession();
  const operators = useOperators(true);
  return (
    <div className="w-44">
      <Pick
        label="Whose work is shown"
        hideLabel
        value={String(whose ?? 'all')}
        onChange={(value) => setWhose(value === 'all' ? undefined : Number(value))}
        options={[
          { value: 'all', label: 'The whole class' },
          ...(operators.data ?? []).map((operator) => ({ value: String(operator.id), label: operator.name })),
        ]}
      />
    </div>
  );
}

function Preferences({ open, onClose }: { open: boolean; onClose: () => void }) {
  const { user } = useSession();
  const client = useQueryClient();
  const navigate = useNavigate();
  const change = useMutation({
    mutationFn: (body: Schemas['Preferences']) => answered(api.PATCH('/me', { body })),
    onSuccess: (next) => client.setQueryData(['me'], next),
  });
  return (
    <Sheet open={open} onClose={onClose} title={user.name}>
      <p className="m-0 text-sm text-ink-soft">
        {user.school}, {user.role}. {user.email}
      </p>
      <Choice
        label="Light"
        value={user.theme}
        onChange={(theme) => change.mutate({ theme })}
        options={[
          { value: 'light', label: 'Desk' },
          { value: 'dark', label: 'Edit room' },
          { value: 'field', label: 'Field' },
        ]}
      />
      <Choice
        label="Units"
        value={user.units}
        onChange={(units) => change.mutate({ units })}
        options={[
          { value: 'metric', label: 'Metres, m/s' },
          { value: 'feet', label: 'Feet, mph' },
        ]}
      />
      <Choice
        label="Stick mode"
        value={String(user.stick_mode)}
        onChange={(mode) => change.mutate({ stick_mode: Number(mode) as 1 | 2 | 3 | 4 })}
        options={['1', '2', '3', '4'].map((mode) => ({ value: mode, label: mode }))}
      />
      <div className="flex flex-wrap gap-x-5">
        <Link to="/account" className="min-h-11 content-center" onClick={onClose}>
          Your account
        </Link>
        {user.role === 'trainer' && (
          <Link to="/school" className="min-h-11 content-center" onClick={onClose}>
            The school and its people
          </Link>
        )}
      </div>
      <Button
        onClick={() => {
          // The page that is left may ask first: what it holds is not kept yet. Signing out is done where that has led.
          onClose();
          navigate('/sign-out', { state: { signOut: true } });
        }}
      >
        <LogOut size={18} aria-hidden />
        Sign out
      </Button>
    </Sheet>
  );
}

function StationPetal({ done, active }: { done: boolean; active: boolean }) {
  return (
    <svg width={12} height={17} viewBox="-6 -16 12 17" aria-hidden="true">
      <path
        d="M0 0C6 -4 6 -11 0 -15C-6 -11 -6 -4 0 0Z"
        fill={active ? 'var(--larkspur)' : done ? 'var(--petal)' : 'none'}
        stroke={active ? 'var(--larkspur)' : 'var(--petal)'}
        strokeWidth={1.5}
      />
    </svg>
  );
}

function Flower() {
  return (
    <svg width={28} height={28} viewBox="-50 -50 100 100" aria-hidden="true">
      {[0, 72, 144, 216, 288].map((angle) => (
        <path
          key={angle}
          d="M0 -14C14 -25 11 -41 0 -46C-11 -41 -14 -25 0 -14Z"
          transform={`rotate(${angle})`}
          fill="var(--larkspur)"
        />
      ))}
      <circle r={6} fill="var(--pollen)" />
    </svg>
  );
}
