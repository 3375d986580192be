import { spec } from '../aircraft/aircraft';
import type { CellState } from '../battery/cells';
import { cellChargeOf } from '../battery/gauge';
import type { Belief } from '../belief/belief';
import type { PowerLeg } from '../flight/bundles';
import { flyLegs } from '../flight/legs';
import { gustyPowerW } from '../flight/powertrain';
import { heightHomeM } from '../reserve/homing';
import { minAtHome } from '../reserve/policy';
import {
  cruiseHomeMps,
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
 * The reach in 72 directions: the longest cruise home that leaves the reserve, by its own groundspeed there. Where the airspeed is held
 * whatever the direction, its power is the same, so it is solved once. Out and back the same charge is shared by both ways.
 */
export function reachOf(situation: Situation): Reach {
  const bearingsDeg = Array.from({ length: reachBearings }, (_, i) => (i * 360) / reachBearings);
  const { request, now, takeoff, rule } = situation;
  const { heightM } = request.position;
  const homeHeightM = heightHomeM(request.aircraft, { distanceM: Number.POSITIVE_INFINITY, heightM }, rule);
  const climb = upAndDown(situation, 0, heightM).filter(({ kind }) => kind === 'rise');
  const homeS = longestByPower(situation, now, homeHeightM, []);
  const outAndBackS = longestByPower(situation, takeoff, homeHeightM, climb);
  return {
    bearingsDeg,
    fromChargeM: bearingsDeg.map((bearingDeg) => {
      const home = cruiseHome(situation, bearingDeg + 180, homeHeightM);
      const farM = home.groundMps > 0 ? homeS(home.powerW) * home.groundMps : 0;
      const isNear = farM < spec(request.aircraft, 'lowReturnRadiusM');
      return isNear ? Math.max(farM, nearM(situation, bearingDeg)) : farM;
    }),
    outAndBackM: bearingsDeg.map((bearingDeg) => {
      const home = cruiseHome(situation, bearingDeg + 180, homeHeightM);
      const outMps = groundOutMps(situation, bearingDeg);
      if (!(outMps > 0 && home.groundMps > 0)) return 0;
      const outW = gustyPowerW(situation.powertrain, situation.atmosphere(heightM), {
        airspeedMps: returnAirspeedMps(situation),
      });
      // A metre takes so long there and back; at the mean of both powers, weighed by their times.
      const [outS, backS] = [1 / outMps, 1 / home.groundMps];
      const meanW = (outW * outS + home.powerW * backS) / (outS + backS);
      return outAndBackS(meanW) / (outS + backS);
    }),
  };
}

/**
 * The longest cruise, s, that may lie between what comes before it and the descent, so that the reserve is left: by its power, solved
 * once for each. Nothing when not even the rest of the way, without a cruise, leaves it.
 */
function longestByPower(
  situation: Situation,
  from: CellState,
  cruiseHeightM: number,
  before: readonly PowerLeg[],
): (powerW: number) => number {
  const { cells, airC, request } = situation;
  const rest = upAndDown(situation, request.position.heightM, cruiseHeightM);
  const vertical = rest.filter(({ kind }) => kind === 'rise' || kind === 'come-down');
  const down = rest.filter(({ kind }) => kind === 'descend' || kind === 'land');
  const reserve = reserveCharge(situation);
  const known = new Map<string, number>();
  return (powerW) => {
    const key = powerW.toFixed(3);
    const spare = (durationS: number) => {
      const end = flyLegs(cells, [...before, ...vertical, { powerW, durationS }, ...down], airC, from);
      return (end?.charge ?? 0) - reserve;
    };
    const longest = () =>
      spare(0) >= 0 ? (solveBetween(spare, 0, longestCruiseS, 0.05) ?? longestCruiseS) : 0;
    const found = known.get(key) ?? longest();
    known.set(key, found);
    return found;
  };
}

/** To a height, down and land: a way home of no distance. */
function upAndDown(situation: Situation, fromHeightM: number, heightM: number): readonly ReturnLeg[] {
  const cruise = { distanceM: 0, trackDeg: 0, heightM, airspeedMps: returnAirspeedMps(situation) };
  const legs = legsAcross(situation, fromHeightM, cruise);
  return legs.ok ? legs.value : [];
}

function cruiseHome(situation: Situation, trackDeg: number, heightM: number) {
  const { powertrain, atmosphere, rule } = situation;
  const airspeedMps = cruiseHomeMps(situation, rule, { trackDeg, heightM });
  const { groundMps } = progressAlong(atmosphere, { trackDeg, heightM, airspeedMps });
  return { groundMps, powerW: gustyPowerW(powertrain, atmosphere(heightM), { airspeedMps }) };
}

/** How fast it gets out there, at the working height. */
function groundOutMps(situation: Situation, trackDeg: number): number {
  const { atmosphere, request } = situation;
  const airspeedMps = returnAirspeedMps(situation);
  return progressAlong(atmosphere, { trackDeg, heightM: request.position.heightM, airspeedMps }).groundMps;
}

/** Nearer than the low-return radius it comes home lower, or lands where it is: that much is always allowed, m. */
function nearM(situation: Situation, bearingDeg: number): number {
  const { request, aircraft, rule, now, cells, airC } = situation;
  const isHome = (distanceM: number) => {
    const from = { distanceM, bearingDeg, heightM: request.position.heightM };
    const legs = returnLegs(situation, from, rule);
    const end = legs.ok && flyLegs(cells, legs.value, airC, now);
    return end && end.charge >= reserveCharge(situation);
  };
  const radii = [spec(aircraft, 'lowReturnRadiusM'), spec(aircraft, 'landInPlaceRadiusM')];
  return radii.find(isHome) ?? 0;
}

/** The cell charge to touch down with, which no forced landing forestalls. */
function reserveCharge({ request: { aircraft, policy }, cells }: Situation): number {
  return cellChargeOf(minAtHome(policy, spec(aircraft, 'forcedLandingCharge')), cells.hidden);
}
