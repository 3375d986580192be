import { type Look, useChosen } from '../state/chosen';

/** Puts the look on the page, now and whenever it changes: before React draws, since charts read their colours then. */
export function followLook(): void {
  const show = ({ look }: { readonly look: Look }) => {
    document.documentElement.dataset.look = look;
  };
  show(useChosen.getState());
  useChosen.subscribe(show);
}
