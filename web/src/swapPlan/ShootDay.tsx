import type { DayAtPlace, ShootRecord } from '@acorn-tally/core';
import { ChoiceField } from '../fields/ChoiceField';
import { useRecords } from '../records/records';
import { clockAt } from '../state/clock';
import { useDaysToChoose } from '../state/days';

interface Props {
  readonly shoot: ShootRecord;
  readonly conditions: DayAtPlace;
}

/** The day a shoot is for, where there are several: on another it begins at the same time of day. */
export function ShootDay({ shoot, conditions }: Props) {
  const days = useDaysToChoose();
  const edit = useRecords((state) => state.edit);
  if (days.length < 2) return null;
  const moveTo = (dayId: string) => {
    const there = days.find(({ id }) => id === dayId);
    if (!there) return;
    const time = clockAt(conditions).field(shoot.startsAt).slice(11);
    const clock = clockAt(there.conditions);
    const date = clock.field(there.conditions.at).slice(0, 10);
    const startsAt = clock.read(`${date}T${time}`) ?? there.conditions.at;
    edit('shoots', shoot.id, { dayId, startsAt }, 'day of the shoot', { apart: true });
  };
  return (
    <ChoiceField
      stacked
      label="Day"
      value={shoot.dayId}
      options={days.map(({ id, name }) => ({ value: id, label: name }))}
      onChange={moveTo}
    />
  );
}
