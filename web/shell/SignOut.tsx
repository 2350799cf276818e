// Signing out, once the page that was left has asked whether it may be: the session ends, and what the device kept of days with it. A link
// from elsewhere that leads here signs nobody out.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { Navigate, useLocation, useNavigate } from 'react-router';
import { answered, api } from '~/api/client';

export default function SignOut() {
  const asked = (useLocation().state as { signOut?: boolean } | null)?.signOut === true;
  const client = useQueryClient();
  const navigate = useNavigate();
  const { mutate: leave } = useMutation({
    mutationFn: () => answered(api.DELETE('/session')),
    onSettled: () => {
      // Loaded only here: the store of the field is of no use to most pages.
      void import('~/stations/plan/day/fieldStore').then((field) => field.forgetDays());
      client.clear();
      navigate('/sign-in', { replace: true });
    },
  });
  useEffect(() => {
    if (asked) leave();
  }, [asked, leave]);
  if (!asked) return <Navigate to="/" replace />;
  return <p className="m-0 p-5 text-ink-soft">Signing out …</p>;
}
