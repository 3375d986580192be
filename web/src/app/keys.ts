import { useEffect } from 'react';

/** Runs an action for a key, unless the key is meant for a field or a dialog. */
export function useKeys(actions: Readonly<Record<string, () => void>>): void {
  useEffect(() => {
    const listen = (event: KeyboardEvent) => {
      const undo = (event.ctrlKey || event.metaKey) && event.key.toLowerCase() === 'z';
      if (isTyping(event.target) || event.altKey || ((event.ctrlKey || event.metaKey) && !undo)) return;
      const action = actions[undo ? 'Ctrl+Z' : event.key.length === 1 ? event.key.toLowerCase() : event.key];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, [actions]);
}

function isTyping(target: EventTarget | null): boolean {
  if (!(target instanceof HTMLElement)) return false;
  return target.matches(
    'input:not([type="radio"], [type="checkbox"], [type="range"]), textarea, select, [contenteditable]',
  );
}
