import type { Assumed } from '../units/assumed';

export const windPriors = {
  windGrowthExponent: {
    value: 1,
    spread: 0.35,
    kind: 'absolute',
    scope: 'flight',
    min: 0.1,
    max: 1.9,
    because:
      'assumed: roughness is chosen one class too smooth or too rough, and air is seldom neutral: on a clear morning the wind grows far faster (Wieringa 1992; Stull)',
    betterBy: 'wind-at-height',
  },
} as const satisfies Record<string, Assumed>;

/**
 * Wind grows with height by the logarithmic law u(z) = u_ref · ln(z/z0) / ln(z_ref/z0), neutral air, up to about
 * 150 m. Source: Wieringa 1992. Example: 2 m → 120 m over farmland (z0 0.10 m) is ×2.37. The exponent, 1 in the law,
 * carries the doubt about the growth: none where the wind was read at the flying height. A reading from below the tops of what
 * makes the ground rough is brought up to them first (`canopyRatio`).
 */
export function windAtHeightMps(
  readingMps: number,
  readingHeightM: number,
  heightM: number,
  roughnessM: number,
  growthExponent: number,
): number {
  const growth = growthFromGround(heightM, roughnessM) / growthFromGround(readingHeightM, roughnessM);
  return readingMps * growth ** growthExponent;
}

/**
 * Below about five roughness lengths the wind is sheltered by the things that make the ground rough, and the logarithmic law says
 * nothing.
 */
export function lowestScalableM(roughnessM: number): number {
  return 5 * roughnessM;
}

/** Wind at a height over that at the lowest height the law holds for. */
function growthFromGround(heightM: number, roughnessM: number): number {
  const lowestM = lowestScalableM(roughnessM);
  if (heightM < lowestM) return canopyRatio(heightM, lowestM);
  return Math.log(heightM / roughnessM) / Math.log(lowestM / roughnessM);
}

/**
 * Between houses and trees the wind falls off as e^(a(z/h − 1)) from their tops down (Cionco, J. Appl. Meteorol. 4 (1965) 517; a about
 * 1.5 in open villages and woods, from memory); the doubt about the growth holds that too.
 */
function canopyRatio(heightM: number, topM: number): number {
  return Math.exp(attenuation * (heightM / topM - 1));
}
const attenuation = 1.5;
