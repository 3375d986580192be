import { type DayAtPlace, dayAtPlace } from '@acorn-tally/core';
import { useMemo } from 'react';
import { useRecords } from '../records/records';
import { clockAt } from './clock';

export interface DayToChoose {
  readonly id: string;
  /** "Thu 26 Nov, Hollin Fell dairy". */
  readonly name: string;
  readonly conditions: DayAtPlace;
}

/** All days at their places, the earliest first. */
export function useDaysToChoose(): readonly DayToChoose[] {
  const days = useRecords((state) => state.days);
  const places = useRecords((state) => state.places);
  return useMemo(() => {
    const byId = new Map(places.map((place) => [place.id, place]));
    const whole = days.flatMap((day) => {
      const place = byId.get(day.placeId);
      return place ? [dayAtPlace(day, place)] : [];
    });
    return whole
      .sort((a, b) => Date.parse(a.at) - Date.parse(b.at))
      .map((conditions) => ({
        id: conditions.id,
        name: `${clockAt(conditions).format(conditions.at, 'ddd D MMM')}, ${conditions.place}`,
        conditions,
      }));
  }, [days, places]);
}
