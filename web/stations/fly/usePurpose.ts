// What this session of practice is for: asked once a day, kept on the device until midnight, and with every pass that is flown.
import { useState } from 'react';
import { useToday } from '~/api/queries';
import { useSession } from '~/shell/session';

const today = () => new Date().toLocaleDateString('sv');

/** What was said today, else what is next for whoever flies; said anew by setting it. */
export function usePurpose(): [string, (purpose: string) => void] {
  const { user } = useSession();
  const key = `larkspur:purpose:${user.id}`;
  const [said, setSaid] = useState<string | null>(() => {
    try {
      const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
      const one = kept as { day?: string; text?: string } | null;
      return one?.day === today() && typeof one.text === 'string' ? one.text : null;
    } catch {
      return null;
    }
  });
  const next = useToday().data?.next?.said[0]?.title ?? '';
  const say = (text: string) => {
    setSaid(text);
    try {
      localStorage.setItem(key, JSON.stringify({ day: today(), text }));
    } catch {
      // A device that keeps nothing asks again.
    }
  };
  return [said ?? next, say];
}
