import type { LandingPlace } from '../air/obstacle';
import type { Site } from '../air/site';
import type { FlightPlan } from '../estimate/request';
import type { DayAtPlace } from '../records/day';
import { type Place, relativeTo, reverseBearing } from '../reserve/plane';
import { siteFrom } from '../wayHome/movedHome';

/** Where home is when it is not the place of the take-off. Flights, shots and places are kept as seen from the take-off. */
export function movedHomeOf(conditions: DayAtPlace): LandingPlace | null {
  return conditions.site?.home ?? null;
}

/** "home", or what the other home is called. */
export function homeName(conditions: DayAtPlace): string {
  return movedHomeOf(conditions)?.name ?? 'home';
}

/** Anything with a place, seen from where home is. */
export function fromHome<Thing extends Place>(conditions: DayAtPlace, thing: Thing): Thing {
  const home = movedHomeOf(conditions);
  return home ? relativeTo(home, thing) : thing;
}

/** And back: as it is kept, from the place of the take-off. */
export function fromTakeoff<Thing extends Place>(conditions: DayAtPlace, thing: Thing): Thing {
  const home = movedHomeOf(conditions);
  return home ? relativeTo(reverseBearing(home), thing) : thing;
}

export function flightFromHome(conditions: DayAtPlace, flight: FlightPlan): FlightPlan {
  const place = { distanceM: flight.farthestM, bearingDeg: flight.bearingDeg };
  const { distanceM: farthestM, bearingDeg } = fromHome(conditions, place);
  return { ...flight, farthestM, bearingDeg };
}

export function siteFromHome(conditions: DayAtPlace): Site | null {
  const home = movedHomeOf(conditions);
  return home && conditions.site ? siteFrom(home, conditions.site) : (conditions.site ?? null);
}
