import type { Atmosphere } from '../air/conditions';
import { airspeedForGroundspeedMps, groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { maxAirspeedMps, spec } from '../aircraft/aircraft';
import type { AircraftInAir } from '../flight/aircraftInAir';
import type { PowerLeg } from '../flight/bundles';
import { gustyPowerW, standingPowerW } from '../flight/powertrain';
import { type Assumed, because, type ValuesOf } from '../units/assumed';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import { airspeedHomeMps, type HomeRule, heightHomeM } from './homing';

/** Where the aircraft is, seen from home: bearing in degrees true, height above take-off. */
export interface Position {
  readonly distanceM: number;
  readonly bearingDeg: number;
  readonly heightM: number;
}

export const positionRanges = {
  distanceM: { label: 'Distance out', unit: 'm', siPerUnit: 1, min: 0, max: 10_000, step: 10 },
  bearingDeg: { label: 'Bearing', unit: '°', siPerUnit: 1, min: 0, max: 360, step: 10, compass: true },
  heightM: { label: 'Height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 5 },
  returnHeightM: { label: 'Return height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 5 },
} as const satisfies Record<string, Quantity>;

/** The aircraft asks to come home, and sets off after ten seconds unless it is told otherwise (common practice). */
export const countdownS = 10;

export const returnPriors = {
  landingAllowanceS: {
    value: 20,
    spread: 0.35,
    kind: 'relative',
    scope: 'aircraft',
    because: 'assumed: hovering over the spot, aligning and setting down (common practice)',
    betterBy: 'landing-time',
  },
  returnSpeedRatio: {
    value: 1,
    spread: 0.12,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed: {usualMps} where the spec sheet is silent; aircraft come home at {leastMps} to {mostMps} (common practice)',
      { usualMps: 8, leastMps: 7, mostMps: 10 },
    ),
    betterBy: 'spec-sheet',
  },
} as const satisfies Record<string, Assumed>;

/** Decides no minutes, only when the aircraft speaks up. */
export const ownCallPriors = {
  ownCallMarginCharge: {
    value: 0.07,
    spread: 0.03,
    kind: 'absolute',
    scope: 'aircraft',
    min: 0,
    max: 0.2,
    because:
      'assumed: aircraft ask to come home with some 4 to 10 % of charge more than the way and their forced landing take in still air (common practice)',
    betterBy: 'own-call',
  },
} as const satisfies Record<string, Assumed>;
export type ReturnCoefficients = ValuesOf<typeof returnPriors>;
/** An aircraft in the air that is to come home. */
export type HomingAircraft = AircraftInAir<ReturnCoefficients>;

export interface ReturnLeg extends PowerLeg {
  readonly kind: 'wait' | 'rise' | 'come-down' | 'cruise' | 'descend' | 'land';
  /** Height at its beginning and at its end, m above take-off. */
  readonly fromHeightM: number;
  readonly heightM: number;
  readonly groundMps: number;
}

/** How a way is flown across: at what airspeed and height, along which track and how far. */
export interface Cruise {
  readonly distanceM: number;
  readonly trackDeg: number;
  readonly heightM: number;
  readonly airspeedMps: number;
}

/** The wind met on a way, and what is left of the airspeed over ground; not above zero where it does not get there. */
export interface GroundProgress {
  readonly groundMps: number;
  readonly windMps: number;
  readonly headwindMps: number;
  readonly crosswindMps: number;
}

/**
 * The way home from a place: up or down to the height it is flown at, across, down and land, each with the wind at its height. Very
 * near it lands where it is. Refused, with the drift, when the wind along the track leaves no way over ground.
 */
export function returnLegs(
  inAir: HomingAircraft,
  from: Position,
  rule: HomeRule,
): Outcome<readonly ReturnLeg[]> {
  const { aircraft } = inAir;
  const landsInPlace = from.distanceM <= spec(aircraft, 'landInPlaceRadiusM');
  const way = { trackDeg: from.bearingDeg + 180, heightM: heightHomeM(aircraft, from, rule) };
  return legsAcross(inAir, from.heightM, {
    ...way,
    distanceM: landsInPlace ? 0 : from.distanceM,
    airspeedMps: cruiseHomeMps(inAir, rule, way),
  });
}

/**
 * The airspeed of a way home along a track. By hand the stick is held forward. By itself some types hold their return speed through the
 * air, others over ground, up to what normal mode flies; where nobody knows which, the one that takes more of the pack a metre.
 */
export function cruiseHomeMps(
  inAir: HomingAircraft,
  { comesHome }: HomeRule,
  way: Pick<Cruise, 'trackDeg' | 'heightM'>,
): number {
  const { aircraft, atmosphere, coefficients, powertrain } = inAir;
  const throughAirMps = airspeedHomeMps(aircraft, comesHome, coefficients.returnSpeedRatio);
  if (comesHome !== 'by-itself' || aircraft.returnHolds === 'airspeed') return throughAirMps;
  const air = atmosphere(way.heightM);
  if (air.windMps === 0) return throughAirMps;
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, way.trackDeg);
  const overGroundMps = Math.min(
    airspeedForGroundspeedMps(throughAirMps, headwindMps, crosswindMps),
    Math.max(throughAirMps, maxAirspeedMps(aircraft, 'normal')),
  );
  if (aircraft.returnHolds === 'ground-speed') return overGroundMps;
  const perMetre = (airspeedMps: number) => {
    const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
    return groundMps > 0
      ? gustyPowerW(powertrain, air, { airspeedMps }) / groundMps
      : Number.POSITIVE_INFINITY;
  };
  return perMetre(overGroundMps) > perMetre(throughAirMps) ? overGroundMps : throughAirMps;
}

/** Up or down to the height of the cruise, across, down and land; refused, with the drift, where the wind is too strong. */
export function legsAcross(
  inAir: HomingAircraft,
  fromHeightM: number,
  cruise: Cruise,
): Outcome<readonly ReturnLeg[]> {
  const { aircraft, powertrain, atmosphere, coefficients } = inAir;
  const progress = progressAlong(atmosphere, cruise);
  if (cruise.distanceM > 0 && !(progress.groundMps > 0)) return notHome(cruise, progress);
  const air = atmosphere(cruise.heightM);
  const riseM = cruise.heightM - fromHeightM;
  const [kind, verticalMps] =
    riseM >= 0
      ? (['rise', spec(aircraft, 'climbSpeedMps')] as const)
      : (['come-down', -spec(aircraft, 'descentSpeedMps')] as const);
  const downS = cruise.heightM / spec(aircraft, 'descentSpeedMps');
  const legs: readonly ReturnLeg[] = [
    {
      kind,
      durationS: riseM / verticalMps,
      powerW: standingW(inAir, (cruise.heightM + fromHeightM) / 2, Math.max(0, verticalMps)),
      fromHeightM,
      heightM: cruise.heightM,
      groundMps: 0,
    },
    {
      kind: 'cruise',
      durationS: cruise.distanceM > 0 ? cruise.distanceM / progress.groundMps : 0,
      powerW: gustyPowerW(powertrain, air, { airspeedMps: cruise.airspeedMps }),
      fromHeightM: cruise.heightM,
      heightM: cruise.heightM,
      groundMps: progress.groundMps,
    },
    {
      kind: 'descend',
      durationS: downS,
      powerW: standingW(inAir, cruise.heightM / 2, 0),
      fromHeightM: cruise.heightM,
      heightM: 0,
      groundMps: 0,
    },
    {
      kind: 'land',
      durationS: coefficients.landingAllowanceS,
      powerW: standingW(inAir, 0, 0),
      fromHeightM: 0,
      heightM: 0,
      groundMps: 0,
    },
  ];
  return success(legs.filter((leg) => leg.durationS > 0));
}

/** A hover in the wind at a height, before anything else is done. */
export function waitLeg(inAir: HomingAircraft, heightM: number, durationS: number): ReturnLeg {
  const powerW = standingW(inAir, heightM, 0);
  return { kind: 'wait', durationS, powerW, fromHeightM: heightM, heightM, groundMps: 0 };
}

/** Its own return speed through the air: the usual pace between shots too. */
export function returnAirspeedMps({
  aircraft,
  coefficients,
}: Pick<HomingAircraft, 'aircraft' | 'coefficients'>): number {
  return airspeedHomeMps(aircraft, 'by-itself', coefficients.returnSpeedRatio);
}

export function progressAlong(
  atmosphere: Atmosphere,
  { trackDeg, heightM, airspeedMps }: Omit<Cruise, 'distanceM'>,
): GroundProgress {
  const air = atmosphere(heightM);
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, trackDeg);
  const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
  return { groundMps, windMps: air.windMps, headwindMps, crosswindMps: Math.abs(crosswindMps) };
}

function standingW({ powertrain, atmosphere }: HomingAircraft, heightM: number, climbMps: number): number {
  return standingPowerW(powertrain, atmosphere(heightM), climbMps);
}

/** A crosswind worth naming. */
const namedFromMps = 0.5;

function notHome({ airspeedMps, heightM }: Cruise, progress: GroundProgress) {
  const { groundMps, windMps, headwindMps, crosswindMps } = progress;
  const driftMps = -groundMps;
  // What is spent on holding the track against the wind across is missing along it.
  if (crosswindMps > namedFromMps)
    return refuse(
      'home-unreachable',
      'It does not come home: {returnSpeedMps:1} of return speed against {headwindMps:1} of headwind and {crosswindMps:1} across at {heightM} drifts back at {driftMps:1}.',
      { returnSpeedMps: airspeedMps, headwindMps, crosswindMps, heightM, driftMps },
    );
  return refuse(
    'home-unreachable',
    'It does not come home: {returnSpeedMps:1} of return speed against {windMps:1} of wind at {heightM} drifts back at {driftMps:1}.',
    { returnSpeedMps: airspeedMps, windMps, heightM, driftMps },
  );
}
