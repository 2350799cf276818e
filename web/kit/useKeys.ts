// Keys of a station: one letter, sign or name (space, left, right) each, off while something is being typed.
import { useEffect } from 'react';

const NAMES: Record<string, string> = { ' ': 'space', ArrowLeft: 'left', ArrowRight: 'right' };

export function useKeys(keys: Record<string, () => void>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const target = event.target as HTMLElement;
      if (event.ctrlKey || event.metaKey || event.altKey) return;
      if (target.closest('input, textarea, [contenteditable], [role="dialog"], [role="listbox"]')) return;
      if (event.key === ' ' && target.closest('button, a')) return;
      if (event.key.startsWith('Arrow') && target.closest('[role="slider"], [role="radio"], [data-handle]'))
        return;
      const action = keys[NAMES[event.key] ?? event.key];
      if (action !== undefined) {
        event.preventDefault();
        action();
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  }, [keys]);
}
