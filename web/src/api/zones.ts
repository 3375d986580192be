import { type Coordinates, isTimeZone, type Site } from '@acorn-tally/core';

/**
 * Zones by coordinates that were asked for. The map of all borders is large and seldom needed: the server tells the zone with
 * the place, and where a place is moved it is looked up there.
 */
const known = new Map<string, string>();

const keyOf = ({ latitudeDeg, longitudeDeg }: Coordinates) => `${latitudeDeg} ${longitudeDeg}`;

export function rememberZone(coordinates: Coordinates, timeZone: string): void {
  known.set(keyOf(coordinates), timeZone);
}

/** The zone whose clocks a place goes by: as chosen, by its coordinates, or the one given where neither is known. */
export function zoneOf(site: Pick<Site, 'coordinates' | 'timeZone'> | null, otherwise: string): string {
  if (isTimeZone(site?.timeZone)) return site.timeZone;
  return (site?.coordinates && known.get(keyOf(site.coordinates))) ?? otherwise;
}
