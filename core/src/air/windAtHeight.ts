import type { Assumed } from '../units/assumed';

export const windPriors = {
  windReadingRatio: {
    value: 1,
    spread: 0.12,
    kind: 'relative',
    scope: 'flight',
    because:
      'assumed: one reading of a few minutes against the mean of the flight; gusty air and a hand-held meter differ so much',
    betterBy: 'wind-at-height',
  },
  windGrowthExponent: {
    value: 1,
    spread: 0.2,
    kind: 'absolute',
    scope: 'flight',
    min: 0.3,
    max: 1.7,
    because:
      'assumed: roughness is chosen one class too smooth or too rough, and air is seldom neutral (Wieringa 1992 for the classes)',
    betterBy: 'wind-at-height',
  },
} as const satisfies Record<string, Assumed>;

/**
 * Wind grows with height by the logarithmic law u(z) = u_ref · ln(z/z0) / ln(z_ref/z0), neutral air, up to about
 * 150 m. Source: Wieringa 1992. Example: 2 m → 120 m over farmland (z0 0.10 m) is ×2.37. The exponent, 1 in the law,
 * carries the doubt about the growth: none where the wind was read at the flying height.
 */
export function windAtHeightMps(
  readingMps: number,
  readingHeightM: number,
  heightM: number,
  roughnessM: number,
  growthExponent: number,
): number {
  const height = Math.max(heightM, lowestScalableM(roughnessM));
  const growth = Math.log(height / roughnessM) / Math.log(readingHeightM / roughnessM);
  return readingMps * growth ** growthExponent;
}

/**
 * Below about five roughness lengths the wind is sheltered by the things that make the ground rough, and the law says
 * nothing: a reading taken there cannot be scaled up, and flight below it is reckoned with the wind at that height.
 */
export function lowestScalableM(roughnessM: number): number {
  return 5 * roughnessM;
}

export function isSheltered(readingHeightM: number, roughnessM: number): boolean {
  return readingHeightM < lowestScalableM(roughnessM);
}
