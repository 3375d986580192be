import { maxAirspeedMps } from '../aircraft/aircraft';
import type { CellState } from '../battery/cells';
import { cellChargeOf, trueGauge } from '../battery/gauge';
import type { World } from '../belief/belief';
import { type FlightContext, flightContext } from '../belief/flightContext';
import { type EstimateRequest, flightProblem, homeRule } from '../estimate/request';
import { cannotStart, flownRound } from '../estimate/simulate';
import type { PowerLeg } from '../flight/bundles';
import { type DrainCurve, momentAtCharge } from '../flight/drain';
import { flyRounds } from '../flight/legs';
import { gustyPowerW } from '../flight/powertrain';
import type { HomeRule } from '../reserve/homing';
import { type Outcome, success } from '../units/outcome';
import { flightTo, type ReturnRequest } from './request';

/** An aircraft out there in one world: what it is flown with, where it is, and how it got to its charge. */
export interface Situation extends FlightContext {
  readonly request: ReturnRequest;
  /** The flight that leads there, as an estimate is asked for it. */
  readonly estimateRequest: EstimateRequest;
  /** How the pilot has it come home. */
  readonly rule: HomeRule;
  /** The whole drain of that flight, from take-off. */
  readonly curve: DrainCurve;
  /** At the charge asked for. */
  readonly now: CellState;
  /** Whether any mode holds the style in this wind; if none does, there is no flight to turn back from. */
  readonly isStyleHeld: boolean;
}

/** Flies from take-off in the style given until the gauge shows the charge asked for, so that the pack is as warm as it then is. */
export function situationOf(request: ReturnRequest, world: World): Outcome<Situation> {
  const estimateRequest = flightTo(request);
  const solved = flightContext(estimateRequest, world, true);
  if (!solved.ok) return solved;
  const context = solved.value;
  const problem = flightProblem(estimateRequest.flight);
  if (problem) return { ok: false, refusal: problem };
  const style = flownRound(context, estimateRequest.flight);
  const round = style.ok ? style.value : [blownAway(context, estimateRequest.flight.heightM)];
  const { cells, takeoff, airC } = context;
  const curve = flyRounds(cells, round, airC, takeoff);
  // Blown away at full power, it is the wind that cannot be flown, not the pack.
  if (curve.timeS.length === 0) return style.ok ? cannotStart(context, estimateRequest.flight, round) : style;
  const charge = cellChargeOf(trueGauge(request.position.charge, context.gaugeErrorCharge), cells.hidden);
  const now =
    charge >= takeoff.charge ? { ...takeoff, charge } : { ...momentAtCharge(curve, charge), charge };
  return success({
    ...context,
    request,
    estimateRequest,
    rule: homeRule(estimateRequest),
    curve,
    now,
    isStyleHeld: style.ok,
  });
}

/** The same aircraft with the same drain, at another place. */
export function movedTo(situation: Situation, distanceM: number, bearingDeg: number): Situation {
  const { request, estimateRequest } = situation;
  return {
    ...situation,
    request: { ...request, position: { ...request.position, distanceM, bearingDeg } },
    estimateRequest: {
      ...estimateRequest,
      flight: { ...estimateRequest.flight, farthestM: distanceM, bearingDeg },
    },
  };
}

/** Where the wind is too strong for any mode it still flies, as hard against the wind as it can. */
function blownAway({ aircraft, powertrain, atmosphere }: FlightContext, heightM: number): PowerLeg {
  const airspeedMps = maxAirspeedMps(aircraft, 'hover');
  const powerW = gustyPowerW(powertrain, atmosphere(heightM), { airspeedMps });
  return { powerW, durationS: Number.POSITIVE_INFINITY };
}
