// A school and its people, for trainers: who is in it, invitations, settings, and the trail of what was done.
import { Navigate } from 'react-router';
import { useSession } from '~/shell/session';
import { Demo } from './Demo';
import { Invitations } from './Invitations';
import { People } from './People';
import { Settings } from './Settings';
import { Trail } from './Trail';

export default function SchoolPage() {
  const { user } = useSession();
  if (user.role !== 'trainer') return <Navigate to="/" replace />;
  return (
    <main className="p-5 grid gap-4 max-w-5xl mx-auto">
      <div>
        <h1>{user.school}</h1>
        <p className="m-0 text-sm text-ink-soft">
          Its people, its settings, and what was done. Only trainers see this.
        </p>
      </div>
      <People />
      <Invitations />
      <Settings />
      <Trail />
      <Demo />
    </main>
  );
}
