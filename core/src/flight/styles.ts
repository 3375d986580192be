import type { AirAtHeight } from '../air/conditions';
import {
  type Aircraft,
  holdingAirspeedMps,
  holdingMode,
  maxAirspeedMps,
  type Style,
} from '../aircraft/aircraft';
import type { Assumed, ValuesOf } from '../units/assumed';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import type { AircraftInAir } from './aircraftInAir';
import type { movingPriors } from './moving';

/** Of a mix: each style several times over. */
export const maxShares = 32;

/** How hard it is flown by hand in manual mode. */
export const handlings = ['calm', 'lively', 'acrobatic'] as const;
export type Handling = (typeof handlings)[number];
/** Where nobody says, the thirstiest is assumed: too short is the safer side. */
export const defaultHandling: Handling = 'acrobatic';

/** How a style is flown, where the pilot says more of it than its name. */
export interface Manner {
  /** Airspeed held, m/s. When absent the style's usual speed over ground is held, whatever the wind. */
  readonly airspeedMps?: number | null;
  readonly reversalsPerMin?: number | null;
  readonly circleRadiusM?: number | null;
  /** Of manual flying only. */
  readonly handling?: Handling | null;
}

/** One part of how a flight is flown. Shares of a mix sum to 1. */
export interface StyleShare extends Manner {
  readonly style: Style;
  readonly share: number;
}

export const styleShareRanges = {
  share: { label: 'Share', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 5 },
  airspeedMps: { label: 'Airspeed', unit: 'm/s', siPerUnit: 1, min: 0, max: 60, step: 0.5 },
  reversalsPerMin: { label: 'Reversals a minute', unit: '', siPerUnit: 1, min: 0, max: 60, step: 1 },
  circleRadiusM: { label: 'Circle radius', unit: 'm', siPerUnit: 1, min: 2, max: 1000, step: 1 },
} as const satisfies Record<string, Quantity>;

interface UsualManner {
  readonly groundMps: number;
  readonly reversalsPerMin: number;
}

/**
 * How a style is usually flown where the pilot does not say: speed over ground and reversals a minute.
 * Assumed, from how camera work is described (common practice); the speed never exceeds 0.9 of the mode's top speed.
 */
const defaultManners: Readonly<Record<Style, UsualManner>> = {
  hover: { groundMps: 0, reversalsPerMin: 0 },
  slow: { groundMps: 2.5, reversalsPerMin: 1 },
  normal: { groundMps: 6, reversalsPerMin: 2 },
  fast: { groundMps: 13, reversalsPerMin: 2 },
  manual: { groundMps: 14, reversalsPerMin: 8 },
};
const gentlerManual: Readonly<Record<Exclude<Handling, 'acrobatic'>, UsualManner>> = {
  calm: { groundMps: 8, reversalsPerMin: 3 },
  lively: { groundMps: 12, reversalsPerMin: 7 },
};

/** The speed over ground and the reversals of a style where the pilot names none. */
export function defaultManner(style: Style, handling: Handling | null = null): UsualManner {
  const how = handling ?? defaultHandling;
  return style === 'manual' && how !== 'acrobatic' ? gentlerManual[how] : defaultManners[style];
}

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
export type StyleCoefficients = ValuesOf<typeof stylePriors & typeof speedPriors & typeof movingPriors>;

/** A part of a style at one airspeed; a circle is turned at the speed over ground where that is what is held. */
export interface StyleStretch {
  readonly airspeedMps: number;
  readonly turningMps: number;
  readonly share: number;
}

/** A style made definite for one aircraft: stretches at these airspeeds, each with its share of the time. */
export interface FlownStyle {
  readonly stretches: readonly StyleStretch[];
  readonly reversalSpeedMps: number;
  readonly reversalsPerMin: number;
  readonly circleRadiusM: number | null;
  /** The speed over ground that is held whatever the wind; null where an airspeed is. */
  readonly heldGroundMps: number | null;
  /** Power over that of the same speeds held steadily: how a pilot flies by hand. */
  readonly powerRatio: number;
}

/**
 * A given airspeed is held as it is. Else the speed over ground is held, upwind, downwind and across in turn, with the
 * airspeed that takes, up to the mode's top. Wind that the mode cannot stand against is a refusal, or flown in a faster one.
 */
export function flownStyle(
  inAir: Pick<AircraftInAir, 'aircraft' | 'coefficients' | 'fliesFaster'>,
  share: Omit<StyleShare, 'share'>,
  air: AirAtHeight,
): Outcome<FlownStyle> {
  const { aircraft, coefficients } = inAir;
  const ownTopMps = maxAirspeedMps(aircraft, share.style);
  if (share.airspeedMps != null) {
    if (share.airspeedMps > ownTopMps) return beyondMode(share.style, share.airspeedMps, ownTopMps);
    return success(atAirspeed(inAir, share, share.airspeedMps, ownTopMps));
  }
  const topMps = topAirspeedMps(inAir, share.style, air.windMps);
  if (air.windMps > topMps) return windBeyondMode(aircraft, share.style, air.windMps, topMps);
  const { groundMps: usualMps } = defaultManner(share.style, share.handling);
  const own = Math.exp(speedGuesses.styleFlownRatio.spread * coefficients.ownSpeedDeviations);
  const groundMps = heldGroundMps(usualMps, ownTopMps, coefficients.styleSpeedRatio * own);
  return success({
    stretches: stretchesOverGround(groundMps, air.windMps, topMps),
    heldGroundMps: groundMps,
    ...turnsOf(inAir, share, groundMps),
  });
}

/** A style flown at one airspeed, up to a top. */
export function atAirspeed(
  inAir: Pick<AircraftInAir, 'coefficients'>,
  share: Omit<StyleShare, 'share'>,
  heldMps: number,
  topMps: number,
): FlownStyle {
  const own = Math.exp(speedGuesses.notedAirspeedRatio.spread * inAir.coefficients.ownSpeedDeviations);
  const airspeedMps = Math.min(heldMps * own, topMps);
  const stretches = [{ airspeedMps, turningMps: airspeedMps, share: 1 }];
  return { stretches, heldGroundMps: null, ...turnsOf(inAir, share, airspeedMps) };
}

/** The airspeed a style may take in a wind: its mode's, or where that drifts and the pilot changes over, a faster one's. */
export function topAirspeedMps(
  { aircraft, fliesFaster }: Pick<AircraftInAir, 'aircraft' | 'fliesFaster'>,
  style: Style,
  windMps: number,
): number {
  return fliesFaster ? holdingAirspeedMps(aircraft, style, windMps) : maxAirspeedMps(aircraft, style);
}

function turnsOf(
  { coefficients }: Pick<AircraftInAir, 'coefficients'>,
  { style, reversalsPerMin, circleRadiusM, handling }: Omit<StyleShare, 'share'>,
  reversalSpeedMps: number,
) {
  return {
    reversalSpeedMps,
    reversalsPerMin: reversalsPerMin ?? defaultManner(style, handling).reversalsPerMin,
    circleRadiusM: circleRadiusM ?? null,
    powerRatio: style === 'manual' ? coefficients.manualPowerRatio : 1,
  };
}

/** What is held over ground of a usual speed in a mode with some top speed, m/s. */
export function heldGroundMps(defaultMps: number, topMps: number, styleSpeedRatio: number): number {
  return Math.min(defaultMps * styleSpeedRatio, 0.9 * topMps);
}

/** A quarter of the time upwind, a quarter downwind, half across. */
function stretchesOverGround(groundMps: number, windMps: number, topMps: number): FlownStyle['stretches'] {
  const stretch = (airspeedMps: number, share: number): StyleStretch => ({
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

/** Refused is the style, not the way home: with what would hold instead. */
function windBeyondMode(aircraft: Aircraft, style: Style, windMps: number, topMps: number) {
  const numbers = { windMps, maxAirspeedMps: topMps, driftMps: windMps - topMps };
  if (style === 'hover')
    return refuse(
      'wind-beyond-mode',
      'No mode holds a hover ({maxAirspeedMps:1}) against {windMps:1} of wind: it drifts back at {driftMps:1}. Fly lower.',
      numbers,
    );
  const mode = holdingMode(aircraft, style, windMps);
  return refuse(
    'wind-beyond-mode',
    '{style} mode ({maxAirspeedMps:1}) cannot hold against {windMps:1} of wind: it drifts back at {driftMps:1}. {lever}',
    {
      ...numbers,
      style: style.charAt(0).toUpperCase() + style.slice(1),
      lever: mode ? `Fly lower, or this part in ${mode}.` : 'Fly lower.',
    },
  );
}
