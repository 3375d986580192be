import { spec } from '../aircraft/aircraft';
import type { CellState } from '../battery/cells';
import { cellChargeOf } from '../battery/gauge';
import type { Belief } from '../belief/belief';
import type { PowerLeg } from '../flight/bundles';
import { flyLegs } from '../flight/legs';
import { gustyPowerW } from '../flight/powertrain';
import { leastAtHome } from '../reserve/policy';
import {
  legsAcross,
  progressAlong,
  type ReturnLeg,
  returnAirspeedMps,
  returnLegs,
} from '../reserve/returnHome';
import { solveBetween } from '../statistics/solve';
import { type Outcome, success } from '../units/outcome';
import type { ReturnRequest } from './request';
import { type Situation, situationOf } from './situation';

export const reachBearings = 72;

/** How far it may be in each direction, m; bearings in degrees true from home, in even steps from north. */
export interface Reach {
  readonly bearingsDeg: readonly number[];
  /** From the charge it has: the farthest it may be there and still come home with what is held back. */
  readonly fromChargeM: readonly number[];
  /** From take-off: the farthest out and straight back again. */
  readonly outAndBackM: readonly number[];
}

/** The reach in the wind there is, and what it would be without. */
export interface Reaches {
  readonly inWind: Reach;
  readonly inStillAir: Reach;
}

/** Of the middle flight: the reach is to look at, the turn back to act on. */
export function reaches(request: ReturnRequest, { middle }: Pick<Belief, 'middle'>): Outcome<Reaches> {
  const windy = situationOf(request, middle);
  if (!windy.ok) return windy;
  const { conditions } = request;
  const calm = { ...conditions, wind: { ...conditions.wind, speedMps: 0, gustMps: 0 } };
  const still = situationOf({ ...request, conditions: calm }, middle);
  if (!still.ok) return still;
  return success({ inWind: reachOf(windy.value), inStillAir: reachOf(still.value) });
}

const longestCruiseS = 7200;

/**
 * The reach in 72 directions. The cruise home costs the same power whatever its direction, since the airspeed is held; so the
 * longest cruise that leaves the reserve is solved once, and each direction's distance is that time by its own
 * groundspeed. Out and back the same time is shared by both groundspeeds: D = T / (1/out + 1/home).
 */
export function reachOf(situation: Situation): Reach {
  const bearingsDeg = Array.from({ length: reachBearings }, (_, i) => (i * 360) / reachBearings);
  const homeS = longestHomeS(situation);
  const outAndBackS = longestOutAndBackS(situation);
  return {
    bearingsDeg,
    fromChargeM: bearingsDeg.map((bearingDeg) => farthestM(situation, bearingDeg, homeS)),
    outAndBackM: bearingsDeg.map((bearingDeg) => farthestOutAndBackM(situation, bearingDeg, outAndBackS)),
  };
}

interface Longest {
  readonly cruiseHeightM: number;
  /** Null when not even the rest of the way, without a cruise, leaves the reserve. */
  readonly cruiseS: number | null;
}

function longestHomeS(situation: Situation): Longest {
  const { request, returnHeightM, now } = situation;
  const cruiseHeightM = Math.max(request.position.heightM, returnHeightM);
  return {
    cruiseHeightM,
    cruiseS: longestCruise(situation, now, request.position.heightM, cruiseHeightM, []),
  };
}

/** Out at the working height after the climb, home by the far rule. */
function longestOutAndBackS(situation: Situation): Longest {
  const { request, takeoff } = situation;
  const { cruiseHeightM } = longestHomeS(situation);
  const climb = across(situation, 0, request.position.heightM).filter(({ kind }) => kind === 'rise');
  return {
    cruiseHeightM,
    cruiseS: longestCruise(situation, takeoff, request.position.heightM, cruiseHeightM, climb),
  };
}

/** The longest cruise, s, that may lie between what comes before it and the descent, so that the reserve is left. */
function longestCruise(
  situation: Situation,
  from: CellState,
  fromHeightM: number,
  cruiseHeightM: number,
  before: readonly PowerLeg[],
): number | null {
  const { cells, airC } = situation;
  const rest = across(situation, fromHeightM, cruiseHeightM);
  const powerW = cruisePowerW(situation, cruiseHeightM);
  const reserve = reserveCharge(situation);
  const spare = (durationS: number) => {
    const rise = rest.filter(({ kind }) => kind === 'rise');
    const down = rest.filter(({ kind }) => kind !== 'rise');
    const legs = [...before, ...rise, { powerW, durationS }, ...down];
    const end = flyLegs(cells, legs, airC, from);
    return (end?.charge ?? 0) - reserve;
  };
  if (!(spare(0) >= 0)) return null;
  return solveBetween(spare, 0, longestCruiseS, 0.05) ?? longestCruiseS;
}

/** Up to a height, down and land: a way home of no distance. */
function across(situation: Situation, fromHeightM: number, heightM: number): readonly ReturnLeg[] {
  const cruise = { distanceM: 0, trackDeg: 0, heightM, airspeedMps: returnAirspeedMps(situation) };
  const legs = legsAcross(situation, fromHeightM, cruise);
  return legs.ok ? legs.value : [];
}

function cruisePowerW(situation: Situation, heightM: number): number {
  const { powertrain, atmosphere } = situation;
  return gustyPowerW(powertrain, atmosphere(heightM), { airspeedMps: returnAirspeedMps(situation) });
}

/** Nearer than the low-return radius the aircraft comes home lower, or lands where it is: that much is always allowed. */
function farthestM(situation: Situation, bearingDeg: number, { cruiseHeightM, cruiseS }: Longest): number {
  const far = cruiseS === null ? 0 : cruiseS * groundMps(situation, bearingDeg + 180, cruiseHeightM);
  const isNear = far < spec(situation.request.aircraft, 'lowReturnRadiusM');
  return isNear ? Math.max(far, nearM(situation, bearingDeg)) : far;
}

/** How far it comes home by the near rules alone, m. */
function nearM(situation: Situation, bearingDeg: number): number {
  const { request, aircraft, returnHeightM, now, cells, airC } = situation;
  const isHome = (distanceM: number) => {
    const from = { distanceM, bearingDeg, heightM: request.position.heightM };
    const legs = returnLegs(situation, from, returnHeightM);
    const end = legs.ok && flyLegs(cells, legs.value, airC, now);
    return end && end.charge >= reserveCharge(situation);
  };
  const radii = [spec(aircraft, 'lowReturnRadiusM'), spec(aircraft, 'landInPlaceRadiusM')];
  return radii.find(isHome) ?? 0;
}

/** The cell charge to touch down with, which no forced landing forestalls. */
function reserveCharge({ request: { aircraft, policy }, cells }: Situation): number {
  return cellChargeOf(leastAtHome(policy, spec(aircraft, 'forcedLandingCharge')), cells.hidden);
}

function farthestOutAndBackM(
  situation: Situation,
  bearingDeg: number,
  { cruiseHeightM, cruiseS }: Longest,
): number {
  if (cruiseS === null) return 0;
  const outMps = groundMps(situation, bearingDeg, situation.request.position.heightM);
  const homeMps = groundMps(situation, bearingDeg + 180, cruiseHeightM);
  return outMps > 0 && homeMps > 0 ? cruiseS / (1 / outMps + 1 / homeMps) : 0;
}

function groundMps(situation: Situation, trackDeg: number, heightM: number): number {
  const airspeedMps = returnAirspeedMps(situation);
  return Math.max(0, progressAlong(situation.atmosphere, { trackDeg, heightM, airspeedMps }).groundMps);
}
