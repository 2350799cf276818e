// Signing out, once the page that was left has asked whether it may be: the session ends, and what the device kept of days with it.
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useEffect } from 'react';
import { useNavigate } from 'react-router';
import { answered, api } from '~/api/client';

export default function SignOut() {
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
  useEffect(() => leave(), [leave]);
  return <p className="m-0 p-5 text-ink-soft">Signing out …</p>;
}
