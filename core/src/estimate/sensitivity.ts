import { healthGuesses } from '../battery/wear';
import type { Belief } from '../belief/belief';
import { type PriorName, priorNames, priors } from '../belief/priors';
import { luckPriors } from '../flight/luck';
import { ranks } from '../statistics/ranks';
import type { Assumed } from '../units/assumed';

/** What a pilot can do to know an aircraft better, in words; each assumed constant names the one that would help. */
export const waysToKnow = {
  'hover-test': 'Fly one hover test',
  'fast-test': 'Fly one fast test, there and back',
  'wind-hover-test': 'Fly one hover test in this wind',
  'style-test': 'Fly one test the way you will film',
  'wind-at-height': 'Measure the wind aloft',
  'pack-test': 'Time this pack once from full',
  'cold-test': 'Fly one test with a cold pack',
  'zero-test': 'Note when the gauge reads 0 % in a low test over grass',
  'charge-read': 'Read the charge just before take-off',
  'rotor-diameter': 'Measure the rotors',
  'landing-time': 'Time three landings',
  'spec-sheet': 'Look up its return speed',
  'own-call': 'Note the gauge when it asks to go home',
} as const;
export type WayToKnow = keyof typeof waysToKnow;

/** Those that are read or measured; the others are flown, and a flight has its own luck. */
export const readings: ReadonlySet<WayToKnow> = new Set([
  'wind-at-height',
  'charge-read',
  'rotor-diameter',
  'landing-time',
  'spec-sheet',
  'own-call',
] as const);

export interface Sensitivity {
  readonly input: WayToKnow;
  /** By how much the planned minutes would grow: what is kept for doubt and would be no more. */
  readonly seconds: number;
}

const chanceShare = 9;

/**
 * What would gain most planned minutes: each constant's share of the variance of the ranks, by least squares on its draws,
 * which are all but independent, summed by what would teach it. Known exactly, a share s taken away narrows what is kept for
 * doubt by 1 − √(1 − s). A reading teaches all of its share; a test flight has its own luck and its pack's, so of a variance v
 * of ln(time) it teaches v/(v + l²), l the spread of what it cannot tell apart (a normal prior and one reading). A share
 * that chance alone would give (r² below 9/n, three standard errors) is no finding. Source: Saltelli et al., Global
 * Sensitivity Analysis, ch. 1 (standardised rank regression coefficients). Empty where the answer does not vary. What flights
 * taught has draws that hang together: which test would teach more of it, the fit says (`calibration/nextTests`).
 */
export function sensitivityOf(values: readonly number[], belief: Belief, doubtS: number): Sensitivity[] {
  const shares = new Map<WayToKnow, number>();
  const places = ranks(values);
  for (const name of priorNames) {
    if (belief.learned.includes(name)) continue;
    const input = (priors[name] as Assumed).betterBy as WayToKnow | null;
    const share = shareOfVariance(places, belief, name);
    if (input && share > chanceShare / values.length) shares.set(input, (shares.get(input) ?? 0) + share);
  }
  const spread = relativeSpread(values);
  return [...shares]
    .map(([input, share]) => {
      const taught = readings.has(input) ? share : share * taughtByAFlight(share * spread ** 2);
      return { input, seconds: doubtS * (1 - Math.sqrt(Math.max(0, 1 - taught))) };
    })
    .filter(({ seconds }) => seconds >= 1)
    .sort((a, b) => b.seconds - a.seconds);
}

/** What one flight cannot tell from what it is to teach: its luck, and what its pack has over its label. */
const untold = Math.hypot(luckPriors.flightPowerRatio.spread, healthGuesses.capacityRatio.spread);

/** The share of a variance of ln(time) that one flight teaches. */
function taughtByAFlight(variance: number): number {
  return variance / (variance + untold ** 2);
}

/** Standard deviation over mean; 0 where there is no mean. */
function relativeSpread(values: readonly number[]): number {
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  const variance = values.reduce((sum, value) => sum + (value - mean) ** 2, 0) / values.length;
  return mean > 0 ? Math.sqrt(variance) / mean : 0;
}

/** r² of ranks against those of the draws of one constant; nothing where the values do not vary. */
function shareOfVariance(values: readonly number[], belief: Belief, name: PriorName): number {
  const count = values.length;
  const deviations = belief.places[name];
  let [x, y, xx, yy, xy] = [0, 0, 0, 0, 0];
  for (let k = 0; k < count; k++) {
    const value = values[k] as number;
    const deviation = deviations[k] as number;
    x += deviation;
    y += value;
    xx += deviation * deviation;
    yy += value * value;
    xy += deviation * value;
  }
  const varianceOfValues = yy / count - (y / count) ** 2;
  if (!(varianceOfValues > 1e-9)) return 0;
  return (xy / count - (x * y) / count ** 2) ** 2 / (varianceOfValues * (xx / count - (x / count) ** 2));
}
