import type { DayRecord } from '@acorn-tally/core';
import type { Data } from '../records/kinds';

/** A day whose place cannot be read, or was removed elsewhere, cannot be shown. */
export function daysWithPlace({ days, places }: Pick<Data, 'days' | 'places'>): readonly DayRecord[] {
  return days.filter(({ placeId }) => places.some(({ id }) => id === placeId));
}
