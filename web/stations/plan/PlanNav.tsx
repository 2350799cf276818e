// The four rooms of Plan: the shot, its site, its light, its day. Which shot is at hand goes along from one to the other.

import { NavLink } from 'react-router';

const VIEWS = [
  { to: (shot: number | null) => `/plan${shot === null ? '' : `/${shot}`}`, name: 'Shot', id: 'shot' },
  { to: () => '/plan/sites', name: 'Site', id: 'sites' },
  {
    to: (shot: number | null) => `/plan/light${shot === null ? '' : `/${shot}`}`,
    name: 'Light',
    id: 'light',
  },
  { to: () => '/plan/days', name: 'Day', id: 'days' },
];

export function PlanNav({ now, shot, site }: { now: string; shot: number | null; site?: number }) {
  return (
    <nav aria-label="Rooms of Plan" className="flex gap-1 rounded-md border border-line bg-card">
      {VIEWS.map((view) => (
        <NavLink
          key={view.id}
          to={view.id === 'sites' && site !== undefined ? `/plan/sites/${site}` : view.to(shot)}
          aria-current={view.id === now ? 'page' : undefined}
          className={`inline-flex items-center min-h-11 px-4 rounded-md no-underline ${view.id === now ? 'bg-haze text-ink font-semibold' : 'text-ink-soft'}`}
        >
          {view.name}
        </NavLink>
      ))}
    </nav>
  );
}
