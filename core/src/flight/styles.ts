import type { AirAtHeight } from '../air/conditions';
import { maxAirspeedMps, type Style } from '../aircraft/aircraft';
import type { Assumed, ValuesOf } from '../units/assumed';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import type { AircraftInAir } from './aircraftInAir';

/** Of a mix: each style several times over. */
export const mostShares = 32;

/** One part of how a flight is flown. Shares of a mix sum to 1. */
export interface StyleShare {
  readonly style: Style;
  readonly share: number;
  /** Airspeed held, m/s. When absent the style's usual speed over ground is held, whatever the wind. */
  readonly airspeedMps?: number | null;
  readonly reversalsPerMin?: number | null;
  readonly circleRadiusM?: number | null;
}

export const styleShareRanges = {
  share: { label: 'Share', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 5 },
  airspeedMps: { label: 'Airspeed', unit: 'm/s', siPerUnit: 1, min: 0, max: 60, step: 0.5 },
  reversalsPerMin: { label: 'Reversals a minute', unit: '', siPerUnit: 1, min: 0, max: 60, step: 1 },
  circleRadiusM: { label: 'Circle radius', unit: 'm', siPerUnit: 1, min: 2, max: 1000, step: 1 },
} as const satisfies Record<string, Quantity>;

/**
 * How a style is usually flown where the pilot does not say: speed over ground and reversals a minute.
 * Assumed, from how camera work is described (common practice); the speed never exceeds 0.9 of the mode's top speed.
 */
const usual: Readonly<Record<Style, { readonly groundMps: number; readonly reversalsPerMin: number }>> = {
  hover: { groundMps: 0, reversalsPerMin: 0 },
  slow: { groundMps: 2.5, reversalsPerMin: 1 },
  normal: { groundMps: 6, reversalsPerMin: 2 },
  fast: { groundMps: 13, reversalsPerMin: 2 },
  manual: { groundMps: 14, reversalsPerMin: 8 },
};

export const stylePriors = {
  styleSpeedRatio: {
    value: 1,
    spread: 0.25,
    kind: 'relative',
    scope: 'aircraft',
    because: 'assumed: how fast a style is flown differs by pilot and subject (common practice)',
    betterBy: 'style-test',
  },
} as const satisfies Record<string, Assumed>;

/** What one flight's own speed is guessed from: from the speed that is known of it, or from how its style is usually flown. */
export const speedGuesses = {
  styleFlownRatio: {
    value: 1,
    spread: 0.08,
    kind: 'relative',
    scope: 'flight',
    because: 'assumed: one pilot flies one style some 8 % faster or slower from flight to flight',
    betterBy: null,
  },
  notedAirspeedRatio: {
    value: 1,
    spread: 0.05,
    kind: 'relative',
    scope: 'flight',
    because: 'assumed: an airspeed is read off a screen now and then, and held so well',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;

/** The own speed of a flight as one unknown: by how many of its own deviations it is faster than known. */
export const speedPriors = {
  ownSpeedDeviations: {
    value: 0,
    spread: 1,
    kind: 'absolute',
    scope: 'flight',
    because: 'see what it is guessed from',
    betterBy: null,
  },
} as const satisfies Record<string, Assumed>;
export type StyleCoefficients = ValuesOf<typeof stylePriors & typeof speedPriors>;

/** A part of a style at one airspeed; a circle is turned at the speed over ground where that is what is held. */
interface Stretch {
  readonly airspeedMps: number;
  readonly turningMps: number;
  readonly share: number;
}

/** A style made definite for one aircraft: stretches at these airspeeds, each with its share of the time. */
export interface FlownStyle {
  readonly stretches: readonly Stretch[];
  readonly reversalSpeedMps: number;
  readonly reversalsPerMin: number;
  readonly circleRadiusM: number | null;
}

/**
 * A given airspeed is held as it is. Else the speed over ground is held, upwind, downwind and across in turn, with the
 * airspeed that takes, up to the mode's top. Wind that the mode cannot stand against is a refusal.
 */
export function flownStyle(
  { aircraft, coefficients }: Pick<AircraftInAir, 'aircraft' | 'coefficients'>,
  share: Omit<StyleShare, 'share'>,
  air: AirAtHeight,
): Outcome<FlownStyle> {
  const topMps = maxAirspeedMps(aircraft, share.style);
  const reversalsPerMin = share.reversalsPerMin ?? usual[share.style].reversalsPerMin;
  const circleRadiusM = share.circleRadiusM ?? null;
  if (share.airspeedMps != null) {
    if (share.airspeedMps > topMps) return beyondMode(share.style, share.airspeedMps, topMps);
    const own = Math.exp(speedGuesses.notedAirspeedRatio.spread * coefficients.ownSpeedDeviations);
    const airspeedMps = Math.min(share.airspeedMps * own, topMps);
    const stretches = [{ airspeedMps, turningMps: airspeedMps, share: 1 }];
    return success({ stretches, reversalSpeedMps: airspeedMps, reversalsPerMin, circleRadiusM });
  }
  if (air.windMps > topMps) return windBeyondMode(share.style, air.windMps, topMps);
  const own = Math.exp(speedGuesses.styleFlownRatio.spread * coefficients.ownSpeedDeviations);
  const groundMps = usualGroundMps(share.style, topMps, coefficients.styleSpeedRatio * own);
  return success({
    stretches: stretchesOverGround(groundMps, air.windMps, topMps),
    reversalSpeedMps: groundMps,
    reversalsPerMin,
    circleRadiusM,
  });
}

/** What a style holds over ground where the pilot does not say, m/s. */
export function usualGroundMps(style: Style, topMps: number, styleSpeedRatio: number): number {
  return Math.min(usual[style].groundMps * styleSpeedRatio, 0.9 * topMps);
}

/** A quarter of the time upwind, a quarter downwind, half across. */
function stretchesOverGround(groundMps: number, windMps: number, topMps: number): FlownStyle['stretches'] {
  const stretch = (airspeedMps: number, share: number): Stretch => ({
    airspeedMps: Math.min(airspeedMps, topMps),
    turningMps: Math.max(0, groundMps - Math.max(0, airspeedMps - topMps)),
    share,
  });
  if (groundMps === 0) return [stretch(windMps, 1)];
  if (windMps === 0) return [stretch(groundMps, 1)];
  return [
    stretch(groundMps + windMps, 0.25),
    stretch(Math.abs(groundMps - windMps), 0.25),
    stretch(Math.hypot(groundMps, windMps), 0.5),
  ];
}

function beyondMode(style: Style, airspeedMps: number, topMps: number) {
  return refuse(
    'beyond-mode-airspeed',
    '{airspeedMps:1} is more than {style} mode flies ({maxAirspeedMps:1}).',
    { airspeedMps, style, maxAirspeedMps: topMps },
  );
}

function windBeyondMode(style: Style, windMps: number, topMps: number) {
  const driftMps = windMps - topMps;
  return refuse(
    'wind-beyond-mode',
    '{windMps:1} of wind is more than {style} flying stands against ({maxAirspeedMps:1}): it drifts back at {driftMps:1}.',
    { windMps, style, maxAirspeedMps: topMps, driftMps },
  );
}
