import type { CellState } from '../battery/cells';
import { gaugeOf } from '../battery/gauge';
import type { FlightContext } from '../belief/flightContext';
import type { PowerLeg } from '../flight/bundles';
import { drain } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { mixPowerW } from '../flight/mix';
import type { Policy } from '../reserve/policy';
import { type Position, returnLegs } from '../reserve/returnHome';
import { transitLegs } from '../reserve/transit';
import { flightEnd, keepsReserve } from '../reserve/turnBack';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Shot } from './shot';

/** What one flight of shots is flown with in one world. */
export interface ShotContext extends FlightContext {
  readonly policy: Policy;
  readonly returnHeightM: number;
}

/** A flight as far as it is flown. Times are seconds from take-off, charges the gauge's, 0–1. */
export interface FlightSoFar {
  readonly state: CellState;
  readonly position: Position;
}

export interface FlownShot extends FlightSoFar {
  readonly arrival: CellState;
  /** If this shot is the last. */
  readonly touchdown: CellState;
}

export function beforeTakeoff({ takeoff }: Pick<ShotContext, 'takeoff'>): FlightSoFar {
  return { state: takeoff, position: { distanceM: 0, bearingDeg: 0, heightM: 0 } };
}

/**
 * Flies to a shot and takes it. Refused where the wind or the pack forbids it, or where the way home after it would no longer
 * touch down as the policy asks.
 */
export function flyShot(context: ShotContext, flight: FlightSoFar, shot: Shot): Outcome<FlownShot> {
  const ways = waysOf(context, flight, shot);
  if (!ways.ok) return ways;
  const { out, powerW, home } = ways.value;
  const { cells, airC, policy } = context;
  const arrival = flyLegs(cells, out, airC, flight.state);
  const state = arrival && flyLegs(cells, [{ powerW, durationS: shot.durationS }], airC, arrival);
  const touchdown = state && flyLegs(cells, home, airC, state);
  if (!touchdown || !keepsReserve(context, policy, state.charge, touchdown)) return tooLong(shot);
  return success({ arrival, state, touchdown, position: shot });
}

/** Until when a shot could go on, and where the gauge then stands. */
export interface LongestShot {
  readonly durationS: number;
  readonly turnBackCharge: number;
}

/** How long a shot could last before the way home must begin; null where it cannot even be begun. */
export function longestShot(context: ShotContext, flight: FlightSoFar, shot: Shot): LongestShot | null {
  const ways = waysOf(context, flight, shot);
  if (!ways.ok) return null;
  const { out, powerW, home } = ways.value;
  const { cells, airC, policy } = context;
  const arrival = flyLegs(cells, out, airC, flight.state);
  const curve = arrival && drain(cells, powerW, airC, arrival);
  if (!curve || curve.timeS.length === 0) return null;
  const end = flightEnd(context, curve, home, policy);
  if (!end.ok) return null;
  const { timeS, charge } = end.value.turnBack;
  return { durationS: timeS - arrival.timeS, turnBackCharge: gaugeOf(charge, cells.hidden) };
}

interface Ways {
  readonly out: readonly PowerLeg[];
  readonly powerW: number;
  readonly home: readonly PowerLeg[];
}

function waysOf(context: ShotContext, flight: FlightSoFar, shot: Shot): Outcome<Ways> {
  const out = transitLegs(context, flight.position, shot);
  if (!out.ok) return out;
  const power = mixPowerW(context, shot.heightM, [{ style: shot.style, share: 1 }], 0);
  if (!power.ok) return power;
  const home = returnLegs(context, shot, context.returnHeightM);
  if (!home.ok) return home;
  return success({ out: out.value, powerW: power.value, home: home.value });
}

function tooLong({ durationS }: Shot) {
  return refuse('shot-too-long', 'Needs {durationS} there, more than the battery has left.', { durationS });
}
