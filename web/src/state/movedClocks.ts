import {
  type DayAtPlace,
  type DayRecord,
  dayAtPlace,
  type PlaceRecord,
  type ShootRecord,
} from '@acorn-tally/core';
import type { Edit } from '../records/state';
import { atAnotherHour } from './atTheHour';
import { clockAt, sameClockTime } from './clock';

/**
 * What changes when days come under the clocks of another zone or place: what their clocks showed they go on showing, with the weather
 * of the hour that is then, and so do all times of the shoots on them.
 */
export function movedClocks(
  days: readonly DayRecord[],
  shoots: readonly ShootRecord[],
  from: PlaceRecord,
  to: PlaceRecord,
): Edit[] {
  const [before, after] = [clockAt(siteOf(from)), clockAt(siteOf(to))];
  const isOther = before.timeZone !== after.timeZone;
  const moved = (at: string) => (isOther ? sameClockTime(at, before, after) : at);
  const maybe = (at: string | null | undefined) => (at == null ? at : moved(at));
  const ofDays = days.map((day): Edit => {
    const there = dayAtPlace(day, to);
    const weather = atAnotherHour(there, moved(day.at));
    return { kind: 'days', id: day.id, content: { ...weather, placeId: to.id } };
  });
  if (!isOther) return ofDays;
  const begun = shoots.filter(({ dayId }) => days.some(({ id }) => id === dayId));
  const ofShoots = begun.map(({ id, startsAt, endsAt, shots }): Edit => {
    const windows = shots.map((shot) => ({
      ...shot,
      earliestAt: maybe(shot.earliestAt),
      latestAt: maybe(shot.latestAt),
    }));
    return {
      kind: 'shoots',
      id,
      content: { startsAt: moved(startsAt), endsAt: maybe(endsAt) ?? null, shots: windows },
    };
  });
  return [...ofDays, ...ofShoots];
}

function siteOf({ coordinates, timeZone }: PlaceRecord): Pick<DayAtPlace, 'site'> {
  return { site: { coordinates, timeZone } };
}
