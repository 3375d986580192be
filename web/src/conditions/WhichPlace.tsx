import type { DayAtPlace } from '@acorn-tally/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { LinkButton } from '../parts/LinkButton';
import { useRemoval } from '../parts/useRemoval';
import { edited, making } from '../records/changes';
import { useRecords } from '../records/records';
import { comesOrGoes } from '../records/undoHistory';
import { movedClocks } from '../state/movedClocks';
import styles from './WhichDay.module.css';

/** At which place the day is; another begins with the ground of this one. */
export function WhichPlace({ conditions }: { readonly conditions: DayAtPlace }) {
  const { places, days, shoots, editEach, fresh, doAll } = useRecords();
  const moveTo = (next: string) => {
    const [from, to] = [placeId, next].map((id) => places.find((one) => one.id === id));
    const day = days.filter(({ id }) => id === dayId);
    if (from && to) editEach(movedClocks(day, shoots, from, to), 'where the day is', { apart: true });
  };
  const remove = useRemoval();
  const { id: dayId, placeId, place: name, weather } = conditions;
  const another = () => {
    const { elevationM, roughnessM } = weather;
    const made = fresh('places', { name: `Place ${places.length + 1}`, elevationM, roughnessM });
    const moved = edited(useRecords.getState(), 'days', dayId, { placeId: made.id });
    doAll([making('places', made), ...(moved ? [moved] : [])], 'another place', comesOrGoes);
  };
  return (
    <div className={styles.which}>
      {places.length > 1 && (
        <ChoiceField
          label="This day is at"
          value={placeId}
          options={places.map((one) => ({ value: one.id, label: one.name }))}
          onChange={moveTo}
        />
      )}
      <LinkButton onClick={another}>
        <IconPlus size={15} aria-hidden /> Another place
      </LinkButton>
      {places.length > 1 && (
        <LinkButton onClick={() => remove('places', [placeId], name)}>
          <IconTrash size={15} aria-hidden /> Remove {name}
        </LinkButton>
      )}
    </div>
  );
}
