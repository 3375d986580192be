import type { DayAtPlace } from '@acorn-tally/core';
import { LinkButton } from '../parts/LinkButton';
import { Note } from '../parts/Note';
import { clockAt } from '../state/clock';
import { useDay } from '../state/current';
import { usePreferences } from '../state/preferences';

/** Says so where a shoot is for another day than the one that the ribbon shows. */
export function OtherDay({ conditions }: { readonly conditions: DayAtPlace }) {
  const shown = useDay();
  const choose = usePreferences((state) => state.choose);
  if (!shown || shown.id === conditions.id) return null;
  const when = clockAt(conditions).format(conditions.at, 'ddd D MMM');
  return (
    <Note>
      This shoot is planned with the weather of {when} at {conditions.place}, not with what stands above.{' '}
      <LinkButton onClick={() => choose({ dayId: conditions.id })}>Show that day</LinkButton>
    </Note>
  );
}
