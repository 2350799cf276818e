// Keys of a station: one letter, sign or name (space, left, right, enter, escape) each, off while something is being typed.
import { useEffect, useEffectEvent } from 'react';

const NAMES: Record<string, string> = {
  ' ': 'space',
  ArrowLeft: 'left',
  ArrowRight: 'right',
  Enter: 'enter',
  Escape: 'escape',
};

export function useKeys(keys: Record<string, () => void>): void {
  const onKey = useEffectEvent((event: KeyboardEvent) => {
    const target = event.target as HTMLElement;
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    if (target.closest('input, textarea, [contenteditable], [role="dialog"], [role="listbox"]')) return;
    if ((event.key === ' ' || event.key === 'Enter') && target.closest('button, a')) return;
    if (event.key.startsWith('Arrow') && target.closest('[role="slider"], [role="radio"], [data-handle]'))
      return;
    const action = keys[NAMES[event.key] ?? event.key];
    if (action !== undefined) {
      event.preventDefault();
      action();
    }
  });
  useEffect(() => {
    const listen = (event: KeyboardEvent) => onKey(event);
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
}
