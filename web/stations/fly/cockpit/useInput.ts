// The fingers of whoever sits here: keys, a controller, pads and wheel, wired to the page while a flight lasts.
import { useEffect, useMemo, useRef } from 'react';
import { Input, KEY_FEEL, type KeyFeel, type Mapping, type Pads, usual } from '~/flight/input';
import { keepMapping, keptMapping } from './practiceStore';

const feelKey = (user: number) => `keys ${user}`;
const padKey = (user: number, name: string) => `pad ${user} ${name}`;

export function useInput(pads: Pads, wheel: 1 | -1, user: number) {
  const input = useMemo(() => new Input(pads, wheel, usual(pads)), [pads, wheel]);
  const known = useRef('');

  useEffect(() => {
    void keptMapping(feelKey(user)).then(
      (feel) => {
        if (feel !== undefined) input.feel = feel as KeyFeel;
      },
      () => {},
    );
    // A controller shows itself with its first press: then what it was taught is looked up.
    const look = () => {
      const name = navigator.getGamepads?.().find((one) => one !== null)?.id ?? '';
      if (name === '' || name === known.current) return;
      known.current = name;
      void keptMapping(padKey(user, name)).then(
        (mapping) => {
          if (mapping !== undefined) input.mapping = mapping as Mapping;
        },
        () => {},
      );
    };
    look();
    window.addEventListener('gamepadconnected', look);
    return () => window.removeEventListener('gamepadconnected', look);
  }, [input, user]);

  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if ((event.target as HTMLElement).closest('input, textarea, [role="dialog"], [role="listbox"]')) return;
      if (input.key(event.key, event.type === 'keydown', event.timeStamp)) event.preventDefault();
    };
    const letGo = () => input.letGo();
    window.addEventListener('keydown', onKey);
    window.addEventListener('keyup', onKey);
    window.addEventListener('blur', letGo);
    return () => {
      window.removeEventListener('keydown', onKey);
      window.removeEventListener('keyup', onKey);
      window.removeEventListener('blur', letGo);
    };
  }, [input]);

  return {
    input,
    teach: (mapping: Mapping, name: string) => {
      input.mapping = mapping;
      void keepMapping(padKey(user, name), mapping).catch(() => {});
    },
    feel: (feel: KeyFeel) => {
      input.feel = feel;
      void keepMapping(feelKey(user), feel).catch(() => {});
    },
    usualFeel: KEY_FEEL,
  };
}
