import { type HotkeyItem, useHotkeys } from '@mantine/hooks';

/** What a key does; as in "k", "?", "mod+Z". */
export type Keys = Readonly<Record<string, () => void>>;

/**
 * Runs an action for a key, unless a text is being typed, which has keys of its own. Signs that need Shift on some keyboards
 * are heard with it and without.
 */
export function useKeys(actions: Keys): void {
  const items = Object.entries(actions).flatMap(([key, action]): HotkeyItem[] => {
    const heard = (event: KeyboardEvent) => {
      if (isTyping(event.target, key)) return;
      event.preventDefault();
      action();
    };
    const options = { preventDefault: false };
    const item = (one: string): HotkeyItem => [one, heard, options];
    return /^[^a-z0-9]$/i.test(key) ? [item(key), item(`shift+${key}`)] : [item(key)];
  });
  useHotkeys(items, [], true);
}

/**
 * In a field whose text can be changed; a list to choose from is none, and while it is closed nothing is typed in it that its
 * own undo could take back.
 */
function isTyping(target: EventTarget | null, key: string): boolean {
  if (!(target instanceof HTMLElement)) return false;
  const isClosedList = target.matches(
    '[aria-haspopup="listbox"][aria-expanded="false"], [aria-haspopup="listbox"]:not([aria-expanded])',
  );
  if (isClosedList && key.startsWith('mod+')) return false;
  return target.matches(
    'input:not([type="radio"], [type="checkbox"], [readonly]), textarea, [contenteditable="true"]',
  );
}
