import type { Atmosphere } from '../air/conditions';
import { groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { type Aircraft, spec, usualSpec } from '../aircraft/aircraft';
import type { PowerLeg } from '../flight/legs';
import { gustyPowerW, type Powertrain } from '../flight/powertrain';
import type { Assumed, ValuesOf } from '../units/assumed';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';

/** Where the aircraft is, seen from home: bearing in degrees true, height above take-off. */
export interface Position {
  readonly distanceM: number;
  readonly bearingDeg: number;
  readonly heightM: number;
}

export const positionRanges = {
  distanceM: { label: 'Distance out', unit: 'm', siPerUnit: 1, min: 0, max: 10_000, step: 10 },
  bearingDeg: { label: 'Bearing', unit: '°', siPerUnit: 1, min: 0, max: 360, step: 10 },
  heightM: { label: 'Height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 5 },
  returnHeightM: { label: 'Return height', unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 5 },
} as const satisfies Record<string, Quantity>;

/** Assumed where the pilot does not say; above most trees and houses. */
export const usualReturnHeightM = 30;

export const returnPriors = {
  landingAllowanceS: {
    value: 20,
    spread: 0.35,
    kind: 'relative',
    because: 'assumed: hovering over the spot, aligning and setting down (common practice)',
    betterBy: 'landing-time',
  },
  returnSpeedRatio: {
    value: 1,
    spread: 0.12,
    kind: 'relative',
    because: 'assumed: 8 m/s where the spec sheet is silent; aircraft come home at 7 to 10 (common practice)',
    betterBy: 'spec-sheet',
  },
} as const satisfies Record<string, Assumed>;
export type ReturnCoefficients = ValuesOf<typeof returnPriors>;

export interface ReturnLeg extends PowerLeg {
  readonly kind: 'rise' | 'cruise' | 'descend' | 'land';
  readonly heightM: number;
  readonly groundMps: number;
}

/**
 * The way home as legs: rise to the return height if below it, cruise, descend, land, each with the wind at its height.
 * Very near it lands where it is; a little farther it rises only to the low height (spec-sheet radii). Refused, with the
 * drift, when the wind along the track leaves no way over ground.
 */
export function returnLegs(
  aircraft: Aircraft,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
  from: Position,
  returnHeightM: number,
  coefficients: ReturnCoefficients,
): Outcome<readonly ReturnLeg[]> {
  const cruiseHeightM = heightOfReturn(aircraft, from, returnHeightM);
  const standing = (
    kind: ReturnLeg['kind'],
    durationS: number,
    heightM: number,
    climbMps: number,
  ): ReturnLeg => {
    const air = atmosphere(heightM);
    const powerW = gustyPowerW(powertrain, air, { airspeedMps: air.windMps, climbMps });
    return { kind, durationS, powerW, heightM, groundMps: 0 };
  };
  const cruise = cruiseLeg(aircraft, powertrain, atmosphere, from, cruiseHeightM, coefficients);
  if (!cruise.ok) return cruise;
  const climbMps = spec(aircraft, 'climbSpeedMps');
  const riseM = cruiseHeightM - from.heightM;
  const legs = [
    standing('rise', riseM / climbMps, (cruiseHeightM + from.heightM) / 2, climbMps),
    cruise.value,
    standing('descend', cruiseHeightM / spec(aircraft, 'descentSpeedMps'), cruiseHeightM / 2, 0),
    standing('land', coefficients.landingAllowanceS, 0, 0),
  ];
  return success(legs.filter((leg) => leg.durationS > 0));
}

/** Aircraft do not come down to the return height: above it they stay. */
function heightOfReturn(aircraft: Aircraft, from: Position, returnHeightM: number): number {
  if (from.distanceM <= spec(aircraft, 'landInPlaceRadiusM')) return from.heightM;
  const near = from.distanceM <= spec(aircraft, 'lowReturnRadiusM');
  return Math.max(from.heightM, near ? spec(aircraft, 'lowReturnHeightM') : returnHeightM);
}

function cruiseLeg(
  aircraft: Aircraft,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
  from: Position,
  heightM: number,
  { returnSpeedRatio }: ReturnCoefficients,
): Outcome<ReturnLeg> {
  const air = atmosphere(heightM);
  const airspeedMps = aircraft.returnSpeedMps ?? usualSpec.returnSpeedMps * returnSpeedRatio;
  const landsInPlace = from.distanceM <= spec(aircraft, 'landInPlaceRadiusM');
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, from.bearingDeg + 180);
  const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
  if (!landsInPlace && !(groundMps > 0)) return notHome(airspeedMps, air.windMps, heightM, -groundMps);
  const powerW = gustyPowerW(powertrain, air, { airspeedMps });
  const durationS = landsInPlace ? 0 : from.distanceM / groundMps;
  return success({ kind: 'cruise', durationS, powerW, heightM, groundMps });
}

function notHome(airspeedMps: number, windMps: number, heightM: number, driftMps: number) {
  return refuse(
    'home-unreachable',
    `It does not come home: ${Number(airspeedMps.toFixed(1))} m/s of return speed against ${windMps.toFixed(1)} m/s of wind at ${heightM} m drifts back at ${driftMps.toFixed(1)} m/s. Fly lower, nearer, or downwind of home less far.`,
    { returnSpeedMps: airspeedMps, windMps, heightM, driftMps },
  );
}
