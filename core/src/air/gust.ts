import type { Assumed } from '../units/assumed';
import { lowestScalableM } from './windAtHeight';

/** How many standard deviations of the wind a reported gust lies above the mean. */
export const gustPriors = {
  gustPeakFactor: {
    value: 2.5,
    spread: 0.15,
    kind: 'relative',
    scope: 'flight',
    because:
      'assumed: a three-second gust in ten minutes lies 2.2 to 3 deviations above the mean (from memory)',
    betterBy: 'wind-at-height',
  },
} as const satisfies Record<string, Assumed>;

/**
 * Standard deviation of the wind in m/s: (gust − mean) / peak factor where a gust was read; else from the
 * turbulence intensity 1/ln(z/z0) of neutral air (Wieringa 1992). It hardly changes with height in the lowest 100 m.
 * A gust weaker than the mean cannot be, so it does not count.
 */
export function windDeviationMps(
  reading: {
    readonly meanMps: number;
    readonly gustMps: number | null;
    readonly heightM: number;
    readonly roughnessM: number;
  },
  peakFactor: number,
): number {
  const { gustMps, meanMps } = reading;
  if (gustMps !== null && gustMps >= meanMps) return (gustMps - meanMps) / peakFactor;
  // Below the tops of what makes the ground rough as much as at them.
  const heightM = Math.max(reading.heightM, lowestScalableM(reading.roughnessM));
  return meanMps / Math.log(heightM / reading.roughnessM);
}
