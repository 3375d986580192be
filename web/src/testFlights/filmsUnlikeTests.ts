import type { AircraftRecord, ListedTest } from '@acorn-tally/core';
import { countsNow } from '../answers/counted';
import { isHover } from '../parts/testWords';

/** Less of a flight is hovered than this: it is filmed moving. */
const movingBelow = 0.7;

/** Whether the flight that is planned moves, and none of those that count did. */
export function filmsUnlikeTests(
  { id, flight }: Pick<AircraftRecord, 'id' | 'flight'>,
  testFlights: readonly ListedTest[],
): boolean {
  const whole = flight.mix.reduce((sum, { share }) => sum + share, 0);
  const hovered = flight.mix.reduce((sum, { style, share }) => sum + (style === 'hover' ? share : 0), 0);
  const counted = testFlights.filter((one) => one.aircraftId === id && countsNow(one));
  return (
    hovered < movingBelow * whole && counted.length > 0 && counted.every(({ test }) => isHover(test.pattern))
  );
}
