import { keptBy } from '../statistics/orderStatistic';

/** Above any gauge there is: a flight that could not even turn back at take-off. */
const never = 2;

/**
 * The gauge to turn back at so that the reserve is intact with a confidence, from the middle flight and the drawn ones; null
 * where there is none. One that some draw has: never between a flight that is possible and one that is not. Never less than the
 * middle one.
 */
export function plannedTurnBack(
  middle: number | null,
  drawn: readonly (number | null)[],
  confidence: number,
): number | null {
  const surely = keptBy(
    confidence,
    drawn.map((charge) => charge ?? never),
  );
  const planned = Math.max(surely, middle ?? never);
  return planned > 1 ? null : planned;
}
