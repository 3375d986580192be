import { quantiles } from '../statistics/quantile';

/** Above any gauge there is: a flight that could not even turn back at take-off. */
const never = 2;

/**
 * The gauge to turn back at so that the reserve is intact with a confidence, from the middle flight and the drawn ones; null
 * where there is none. Never less than the middle one.
 */
export function plannedTurnBack(
  middle: number | null,
  drawn: readonly (number | null)[],
  confidence: number,
): number | null {
  const [surely = never] = quantiles(
    drawn.map((charge) => charge ?? never),
    [confidence],
  );
  const planned = Math.max(surely, middle ?? never);
  return planned > 1 ? null : planned;
}
