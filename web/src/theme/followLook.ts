import { type Look, usePreferences } from '../state/preferences';

/** Puts the look on the page, now and whenever it changes: before React draws, since charts read their colours then. */
export function followLook(): void {
  const show = ({ look }: { readonly look: Look }) => {
    document.documentElement.dataset.look = look;
  };
  show(usePreferences.getState());
  usePreferences.subscribe(show);
}
