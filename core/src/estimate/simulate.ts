import { calmed } from '../air/conditions';
import { spec } from '../aircraft/aircraft';
import { emptyCellVoltageV } from '../battery/cells';
import type { World } from '../belief/belief';
import {
  type FlightContext,
  type SolvedAircraft,
  solvedAircraft,
  withBattery,
} from '../belief/flightContext';
import type { PowerLeg } from '../flight/bundles';
import type { DrainCurve } from '../flight/drain';
import { legPowers } from '../flight/flightLegs';
import { flyRounds } from '../flight/legs';
import { mixPowerW } from '../flight/mix';
import { byItself, type HomeRule } from '../reserve/homing';
import { type ReturnLeg, returnLegs } from '../reserve/returnHome';
import { chargeToComeHomeWith, type FlightEnd, flightEnd } from '../reserve/turnBack';
import { type Outcome, refuse, success } from '../units/outcome';
import { type EstimateRequest, type FlightPlan, homeRule } from './request';

/** What aircraft and air make of a flight, whatever the battery at hand: the same for all batteries of one type. */
export interface FlownStyleAndWayHome {
  readonly solved: SolvedAircraft;
  /** One leg for a mix, which is flown at its mean power. */
  readonly round: readonly PowerLeg[];
  readonly wayHome: readonly ReturnLeg[];
}

/** One battery flown: what for a band is made by the thousand. */
export interface FlownBattery {
  readonly context: FlightContext;
  readonly curve: DrainCurve;
  readonly end: FlightEnd;
}

/** A flight flown in one world: what it was flown with, its drain to the last, and where it must end. */
export interface Simulation extends FlightContext {
  readonly round: readonly PowerLeg[];
  readonly wayHome: readonly ReturnLeg[];
  readonly curve: DrainCurve;
  readonly end: FlightEnd;
}

/** From the request to the latest turn-back: solve the box, meet the air, drain the pack, fly home. */
export function simulate(request: EstimateRequest, world: World, fliesFaster = false): Outcome<Simulation> {
  const flown = styleAndWayHome(request, world, fliesFaster);
  if (!flown.ok) return flown;
  const battery = flyBattery(request, flown.value, world);
  if (!battery.ok) return battery;
  const { context, ...flight } = battery.value;
  const { round, wayHome } = flown.value;
  return success({ ...context, round, wayHome, ...flight });
}

export function styleAndWayHome(
  request: EstimateRequest,
  world: World,
  fliesFaster = false,
): Outcome<FlownStyleAndWayHome> {
  const solved = solvedAircraft(request, world, fliesFaster);
  if (!solved.ok) return solved;
  const round = flownRound(solved.value, request.flight);
  if (!round.ok) return round;
  const wayHome = wayHomeOf(solved.value, request.flight, homeRule(request));
  if (!wayHome.ok) return wayHome;
  return success({ solved: solved.value, round: round.value, wayHome: wayHome.value });
}

export function flyBattery(
  request: EstimateRequest,
  { solved, round, wayHome }: FlownStyleAndWayHome,
  world: World,
): Outcome<FlownBattery> {
  const context = withBattery(solved, request, world);
  const curve = flyRounds(context.cells, round, context.airC, context.takeoff);
  if (curve.timeS.length === 0) return cannotStart(context, request.flight, round);
  const end = flightEnd(context, curve, wayHome, request.policy);
  return end.ok ? success({ context, curve, end: end.value }) : end;
}

/** The style of the flight as powers: a mix at its mean for ever, or a round of legs. */
export function flownRound(solved: SolvedAircraft, flight: FlightPlan): Outcome<readonly PowerLeg[]> {
  const { heightM, mix, legs } = flight;
  const load = flight.recordingLoadW ?? 0;
  if (legs?.length) return legPowers(solved, legs, heightM, load);
  const power = mixPowerW(solved, heightM, mix, load);
  if (!power.ok) return power;
  return success([{ powerW: power.value, durationS: Number.POSITIVE_INFINITY }]);
}

/** The way home from the farthest point, at the working height. */
function wayHomeOf(
  solved: SolvedAircraft,
  { farthestM, bearingDeg, heightM }: Pick<FlightPlan, 'farthestM' | 'bearingDeg' | 'heightM'>,
  rule: HomeRule,
) {
  return returnLegs(solved, { distanceM: farthestM, bearingDeg, heightM }, rule);
}

/**
 * The cell charge at which the aircraft itself asks to come home: it assumes still air, and with its own forced landing and some
 * margin as the end (common practice). Null where it never asks before that.
 */
export function ownReturnCharge(
  context: FlightContext,
  curve: DrainCurve,
  request: Pick<EstimateRequest, 'flight' | 'policy' | 'site'>,
): number | null {
  const rule = byItself(homeRule(request));
  const legs = wayHomeOf({ ...context, atmosphere: calmed(context.atmosphere) }, request.flight, rule);
  if (!legs.ok) return null;
  const { aircraft, coefficients } = context;
  const margin = aircraft.ownCallMarginCharge ?? coefficients.ownCallMarginCharge;
  return chargeToComeHomeWith(context, curve, legs.value, spec(aircraft, 'forcedLandingCharge') + margin);
}

/** The pack gives too little for what is asked; where in still air it would do, it is the wind that asks too much. */
export function cannotStart(context: FlightContext, flight: FlightPlan, round: readonly PowerLeg[]) {
  const powerW = Math.max(...round.map((leg) => leg.powerW));
  const { atmosphere, cells, airC, takeoff } = context;
  const still = flownRound({ ...context, atmosphere: calmed(atmosphere) }, flight);
  const isWind = still.ok && flyRounds(cells, still.value, airC, takeoff).timeS.length > 0;
  if (isWind) {
    return refuse(
      'wind-beyond-pack',
      'Against {windMps:1} of wind at {heightM} this flight takes {powerW}, more than this pack can give.',
      { windMps: atmosphere(flight.heightM).windMps, heightM: flight.heightM, powerW },
    );
  }
  return refuse(
    'pack-cannot-deliver',
    'This pack cannot give the {powerW} this flight takes without falling under {emptyCellV:1} a cell.',
    { powerW, emptyCellV: emptyCellVoltageV },
  );
}
