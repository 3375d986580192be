import { ranks } from '../statistics/ranks';
import type { Draw } from './draws';
import { priors } from './request';

/** What a pilot can do to know an aircraft better, in words; each assumed constant names the one that would help. */
export const waysToKnow = {
  'hover-test': 'Fly one hover test',
  'fast-test': 'Fly one fast test, there and back',
  'style-test': 'Fly one test the way you will film',
  'wind-at-height': 'Measure the wind aloft',
  'pack-test': 'Time this pack once from full',
  'cold-test': 'Fly one test with a cold pack',
  'zero-test': 'Note when the gauge reads 0 % in a low test over grass',
  'charge-read': 'Read the charge just before take-off',
  'rotor-diameter': 'Measure the rotors',
  'landing-time': 'Time three landings',
  'spec-sheet': 'Look up its return speed',
} as const;
export type WayToKnow = keyof typeof waysToKnow;

export interface Sensitivity {
  readonly input: WayToKnow;
  /** By how much the band from P10 to P90 would narrow if it were known exactly. */
  readonly seconds: number;
}

const inputs = Object.values(priors).map((prior) => prior.betterBy satisfies WayToKnow);

const chanceShare = 9;

/**
 * Which input, if known better, narrows the band most: each constant's share of the variance of the ranks, by least
 * squares on its draws, which are all but independent, summed by what would teach it. A share s taken
 * away narrows the band by 1 − √(1 − s). A share that chance alone would give (r² below 9/n, three standard errors) is
 * no finding. Source: Saltelli et al., Global Sensitivity Analysis, ch. 1 (standardised rank regression coefficients).
 * Empty where the answer does not vary.
 */
export function sensitivityOf(
  values: readonly number[],
  draws: readonly Draw[],
  spreadS: number,
): Sensitivity[] {
  const shares = new Map<WayToKnow, number>();
  const places = ranks(values);
  inputs.forEach((input, i) => {
    const share = shareOfVariance(places, draws, i);
    if (share > chanceShare / draws.length) shares.set(input, (shares.get(input) ?? 0) + share);
  });
  return [...shares]
    .map(([input, share]) => ({ input, seconds: spreadS * (1 - Math.sqrt(Math.max(0, 1 - share))) }))
    .filter(({ seconds }) => seconds >= 1)
    .sort((a, b) => b.seconds - a.seconds);
}

/** r² of ranks against the draws of one constant; nothing where the values do not vary. */
function shareOfVariance(values: readonly number[], draws: readonly Draw[], constant: number): number {
  const count = values.length;
  let [x, y, xx, yy, xy] = [0, 0, 0, 0, 0];
  for (let k = 0; k < count; k++) {
    const value = values[k] as number;
    const drawn = draws[k]?.shares[constant] as number;
    x += drawn;
    y += value;
    xx += drawn * drawn;
    yy += value * value;
    xy += drawn * value;
  }
  const varianceOfValues = yy / count - (y / count) ** 2;
  if (!(varianceOfValues > 1e-9)) return 0;
  return (xy / count - (x * y) / count ** 2) ** 2 / (varianceOfValues * (xx / count - (x / count) ** 2));
}
