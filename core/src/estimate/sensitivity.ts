import type { Draw } from './draws';
import { priors } from './request';

/** What a pilot can do to know an aircraft better, in words; each assumed constant names the one that would help. */
export const waysToKnow = {
  'hover-test': 'Fly one hover test',
  'fast-test': 'Fly one fast test, there and back',
  'style-test': 'Fly one test the way you will film',
  'wind-at-height': 'Measure the wind at your flying height',
  'pack-test': 'Time this pack once from full',
  'cold-test': 'Fly one test with a cold pack',
  'zero-test': 'Note when the gauge reads 0 % in a low test over grass',
  'charge-read': 'Read the charge just before take-off',
  'rotor-diameter': 'Measure the rotors',
  'landing-time': 'Time three landings',
} as const;
export type WayToKnow = keyof typeof waysToKnow;

export interface Sensitivity {
  readonly input: WayToKnow;
  /** By how much the band from P10 to P90 would narrow if it were known exactly. */
  readonly seconds: number;
}

const inputs = Object.values(priors).map((prior) => prior.betterBy satisfies WayToKnow);

/**
 * Which input, if known better, narrows the band most: each constant's share of the variance by least squares on its
 * deviations, which the draws keep all but independent, summed by what would teach it. A share s of the variance taken
 * away narrows the band by 1 − √(1 − s). Source: Saltelli et al., Global Sensitivity Analysis, ch. 1 (standardised
 * regression coefficients). Empty where the answer does not vary.
 */
export function sensitivityOf(
  values: readonly number[],
  draws: readonly Draw[],
  spreadS: number,
): Sensitivity[] {
  const shares = new Map<WayToKnow, number>();
  const variance = covariance(values, values);
  if (!(variance > 0)) return [];
  inputs.forEach((input, i) => {
    const deviations = draws.map((draw) => draw.deviations[i] as number);
    const share = covariance(values, deviations) ** 2 / (variance * covariance(deviations, deviations));
    shares.set(input, (shares.get(input) ?? 0) + share);
  });
  return [...shares]
    .map(([input, share]) => ({ input, seconds: spreadS * (1 - Math.sqrt(Math.max(0, 1 - share))) }))
    .filter(({ seconds }) => seconds >= 1)
    .sort((a, b) => b.seconds - a.seconds);
}

function covariance(a: readonly number[], b: readonly number[]): number {
  let sumA = 0;
  let sumB = 0;
  let sumAB = 0;
  for (let i = 0; i < a.length; i++) {
    const x = a[i] as number;
    const y = b[i] as number;
    sumA += x;
    sumB += y;
    sumAB += x * y;
  }
  return sumAB / a.length - (sumA / a.length) * (sumB / b.length);
}
