import type { DayAtPlace } from '@acorn-tally/core';
import { IconPlus, IconTrash } from '@tabler/icons-react';
import { ChoiceField } from '../fields/ChoiceField';
import { LinkButton } from '../parts/LinkButton';
import { useRemoval } from '../parts/useRemoval';
import { contentOf } from '../records/kinds';
import { useRecords } from '../records/records';
import { clockAt } from '../state/clock';
import { useDaysToChoose } from '../state/days';
import { usePreferences } from '../state/preferences';
import styles from './WhichDay.module.css';

const dayMs = 86_400_000;

/** Which day it is: the others are a choice away; another begins as the one after this. */
export function WhichDay({ conditions }: { readonly conditions: DayAtPlace }) {
  const days = useDaysToChoose();
  const { days: records, add } = useRecords();
  const choose = usePreferences((state) => state.choose);
  const remove = useRemoval();
  const day = records.find(({ id }) => id === conditions.id);
  if (!day) return null;
  const another = () => {
    const clock = clockAt(conditions);
    const next = new Date(Date.parse(day.at) + dayMs).toISOString();
    // What was forecast or reported was for this day.
    const content = {
      ...contentOf<'days'>(day),
      at: clock.read(clock.field(next)) ?? next,
      weatherFrom: null,
      hours: null,
      hoursFrom: null,
    };
    choose({ dayId: add('days', content, 'another day').id });
  };
  const removeIt = () => {
    if (remove('days', [day.id], 'this day')) choose({ dayId: null });
  };
  return (
    <div className={styles.which}>
      {days.length > 1 && (
        <ChoiceField
          label="Day"
          value={day.id}
          options={days.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(dayId) => choose({ dayId })}
        />
      )}
      <LinkButton onClick={another}>
        <IconPlus size={15} aria-hidden /> Another day
      </LinkButton>
      {days.length > 1 && (
        <LinkButton onClick={removeIt}>
          <IconTrash size={15} aria-hidden /> Remove this day
        </LinkButton>
      )}
    </div>
  );
}
