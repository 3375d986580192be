import { type Look, looks, useChosen } from '../state/chosen';

/** Paper by day, dusk in the evening, sunlight in the field. The colours themselves are in tokens.css. */
export function LookChoice() {
  const { look, choose } = useChosen();
  return (
    <label className="look">
      Look
      <select value={look} onChange={(event) => choose({ look: event.target.value as Look })}>
        {looks.map((name) => (
          <option key={name} value={name}>
            {name}
          </option>
        ))}
      </select>
    </label>
  );
}

/** Puts the look on the page, now and whenever it changes: before React draws, since charts read their colours then. */
export function followLook(): void {
  const show = ({ look }: { readonly look: Look }) => {
    document.documentElement.dataset.look = look;
  };
  show(useChosen.getState());
  useChosen.subscribe(show);
}
