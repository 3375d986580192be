import lookUp from '@photostructure/tz-lookup';
import { isTimeZone } from '../units/timeZone';
import type { Site } from './site';
import type { Coordinates } from './sun';

/** The time zone of a place by its coordinates (borders of the IANA zones, by the package, to some kilometres). */
export function timeZoneAt({ latitudeDeg, longitudeDeg }: Coordinates): string {
  return lookUp(latitudeDeg, longitudeDeg);
}

/** The zone whose clocks a place goes by: as chosen, by its coordinates, or the one given where neither is known. */
export function timeZoneOf(site: Pick<Site, 'coordinates' | 'timeZone'> | null, otherwise: string): string {
  if (isTimeZone(site?.timeZone)) return site.timeZone;
  return site?.coordinates ? timeZoneAt(site.coordinates) : otherwise;
}
