import type { Assumed } from '../units/assumed';

/** What the error of a wind reading is guessed from, m/s: a meter at the spot, or a forecast or station elsewhere. */
export const windGuesses = {
  handWindErrorMps: {
    value: 0,
    spread: 0.7,
    kind: 'absolute',
    scope: 'flight',
    because:
      'assumed: a few minutes of a hand-held meter against the mean of the flight, or an eighth of a stronger wind (Stull; common practice)',
    betterBy: 'wind-at-height',
  },
  forecastWindErrorMps: {
    value: 0,
    spread: 1.5,
    kind: 'absolute',
    scope: 'flight',
    because: 'assumed: a forecast, or a station some way off, against the wind at this place (Stull)',
    betterBy: 'wind-at-height',
  },
} as const satisfies Record<string, Assumed>;

/** The error of a reading as a vector: by how many of its deviations it is stronger, and turned aside. */
export const windReadingPriors = {
  windAlongDeviations: {
    value: 0,
    spread: 1,
    kind: 'absolute',
    scope: 'flight',
    because: 'see what it is guessed from',
    betterBy: 'wind-at-height',
  },
  windAcrossDeviations: {
    value: 0,
    spread: 1,
    kind: 'absolute',
    scope: 'flight',
    because: 'see what it is guessed from',
    betterBy: 'wind-at-height',
  },
} as const satisfies Record<string, Assumed>;

/** A strong wind is read no better than to this share of it. */
const spreadFraction = 0.12;
/** And its direction, seen from elsewhere or felt on a cheek, no better than to so many degrees. */
const directionSpreadDeg = 20;
/** Masts and forecasts give the wind at about 10 m (WMO No. 8); lower it is a hand's, higher the aircraft's own. */
const isFromElsewhere = (readingHeightM: number) => readingHeightM > 5 && readingHeightM <= 15;

export interface WindReading {
  readonly speedMps: number;
  readonly fromDeg: number;
  readonly readingHeightM: number;
}

/**
 * The wind there is where another was read: the error is a vector, so that calm is not taken as calm, and the direction of a
 * light wind is hardly known.
 */
export function windBehind(
  { speedMps, fromDeg, readingHeightM }: WindReading,
  alongDeviations: number,
  acrossDeviations: number,
): { readonly speedMps: number; readonly fromDeg: number } {
  if (alongDeviations === 0 && acrossDeviations === 0) return { speedMps, fromDeg };
  const { handWindErrorMps, forecastWindErrorMps } = windGuesses;
  const least = (isFromElsewhere(readingHeightM) ? forecastWindErrorMps : handWindErrorMps).spread;
  const alongMps = speedMps + alongDeviations * Math.max(least, spreadFraction * speedMps);
  const acrossMps =
    acrossDeviations * Math.max(least, Math.tan((directionSpreadDeg * Math.PI) / 180) * speedMps);
  return {
    speedMps: Math.hypot(alongMps, acrossMps),
    fromDeg: (fromDeg + (Math.atan2(acrossMps, alongMps) * 180) / Math.PI + 360) % 360,
  };
}
