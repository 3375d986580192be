import type { Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import { type Coefficients, usualCoefficients } from '../estimate/request';
import { isTestOnly, type Policy } from '../reserve/policy';
import { usualReturnHeightM } from '../reserve/returnHome';
import { type Outcome, type Refusal, type RefusalCode, refuse, success } from '../units/outcome';
import { numbersOf, type Sentence, sentence } from '../units/sentence';
import {
  addShot,
  beforeTakeoff,
  type FlightKit,
  type FlightSoFar,
  type FlownShot,
  flightKit,
} from './flyShots';
import type { Shot } from './shot';

export interface PlanBattery extends Battery {
  readonly id: string;
  readonly label: string;
}

export interface PlanRequest {
  readonly aircraft: Aircraft;
  /** In the order they are to be used. */
  readonly batteries: readonly PlanBattery[];
  /** In the order they are to be flown. */
  readonly shots: readonly Shot[];
  readonly conditions: Conditions;
  readonly policy: Policy;
  readonly swapTimeS: number;
  readonly returnHeightM?: number | null;
}

/** One battery in the air. Times in seconds from the first take-off. */
export interface PlannedFlight {
  readonly batteryId: string;
  readonly takeoffS: number;
  readonly turnBackS: number;
  readonly touchdownS: number;
  /** When the next take-off can be. */
  readonly swappedS: number;
  readonly touchdownCharge: number;
  readonly spareS: number;
  /** Times within the flight, from its own take-off. */
  readonly shots: readonly FlownShot[];
}

/** Why a shot is on no battery. */
export type UnplacedReason = Sentence<
  RefusalCode | 'no-battery' | 'no-battery-left' | 'too-long-for-all' | 'out-of-reach'
>;

export interface UnplacedShot {
  readonly shotId: string;
  readonly reason: UnplacedReason;
}

export interface SwapPlan {
  readonly flights: readonly PlannedFlight[];
  readonly unplaced: readonly UnplacedShot[];
  /** Batteries that stay charged. */
  readonly unusedBatteryIds: readonly string[];
  readonly doneS: number;
}

/**
 * Next-fit in the pilot's own order: a shot goes on the battery in the air if it still fits, else on the first charged
 * one it fits on; a battery flies once. What fits nowhere is left out with the reason, and the order goes on.
 */
export function planSwaps(
  request: PlanRequest,
  coefficients: Coefficients = usualCoefficients,
): Outcome<SwapPlan> {
  if (isTestOnly(request.policy)) {
    return refuse(
      'policy-for-tests-only',
      'A plan never flies down to the forced landing or to empty: choose a reserve.',
    );
  }
  const fleet = request.batteries.map((battery) => charged(request, battery, coefficients));
  const flights: OpenFlight[] = [];
  const unplaced: UnplacedShot[] = [];
  for (const shot of request.shots) {
    const current = flights.pop();
    const extended = current?.kit.ok ? addShot(current.kit.value, current.flight, shot) : null;
    if (current && extended?.ok) {
      flights.push({ ...current, flight: extended.value });
      continue;
    }
    if (current) flights.push(current);
    const used = new Set(flights.map((flight) => flight.battery.id));
    const fresh = fleet.filter((candidate) => !used.has(candidate.battery.id)).map((c) => tryFresh(c, shot));
    const fit = fresh.find((candidate) => candidate.outcome.ok);
    if (fit?.outcome.ok) flights.push({ ...fit.candidate, flight: fit.outcome.value });
    else unplaced.push({ shotId: shot.id, reason: reasonFor(shot, fleet, used) });
  }
  return success(timed(request, flights, unplaced));
}

interface Charged {
  readonly battery: PlanBattery;
  readonly kit: Outcome<FlightKit>;
}

interface OpenFlight extends Charged {
  readonly flight: FlightSoFar;
}

function charged(request: PlanRequest, battery: PlanBattery, coefficients: Coefficients): Charged {
  const { aircraft, conditions, policy } = request;
  const returnHeightM = request.returnHeightM ?? usualReturnHeightM;
  return { battery, kit: flightKit(aircraft, battery, conditions, policy, returnHeightM, coefficients) };
}

function tryFresh(candidate: Charged, shot: Shot): { candidate: Charged; outcome: Outcome<FlightSoFar> } {
  const { kit } = candidate;
  return { candidate, outcome: kit.ok ? addShot(kit.value, beforeTakeoff(kit.value), shot) : kit };
}

/** Why a shot is on no battery: none left, none lasts, or the air forbids it. */
function reasonFor(shot: Shot, fleet: readonly Charged[], used: ReadonlySet<string>): UnplacedReason {
  const none = sentence('no-battery', 'No battery at hand.');
  if (fleet.length === 0) return none;
  const tries = fleet.map((candidate) => tryFresh(candidate, shot));
  const wouldFit = tries.filter(({ outcome, candidate }) => outcome.ok && used.has(candidate.battery.id));
  if (wouldFit.length > 0) {
    const names = wouldFit.map(({ candidate }) => candidate.battery.label).join(', ');
    return sentence(
      'no-battery-left',
      'No charged battery left for it; it would fit on {names}, flown already.',
      { names },
    );
  }
  const refusals = tries.flatMap(({ outcome, candidate }) =>
    outcome.ok ? [] : [{ label: candidate.battery.label, refusal: outcome.refusal }],
  );
  return longestPossible(shot, refusals) ?? refusals[0]?.refusal ?? none;
}

function longestPossible(
  shot: Shot,
  refusals: readonly { readonly label: string; readonly refusal: Refusal }[],
): UnplacedReason | null {
  const [best] = refusals
    .filter(({ refusal }) => refusal.code === 'shot-too-long')
    .map(({ label, refusal }) => ({ label, possibleS: numbersOf(refusal).possibleS ?? 0 }))
    .sort((a, b) => b.possibleS - a.possibleS);
  if (!best) return null;
  return best.possibleS >= 1
    ? sentence(
        'too-long-for-all',
        'Takes {durationS} there; the best battery, {label}, has {possibleS} before it must turn back.',
        { durationS: shot.durationS, ...best },
      )
    : sentence('out-of-reach', 'No battery gets there and back with the reserve; the best is {label}.', {
        label: best.label,
      });
}

function timed(
  request: PlanRequest,
  open: readonly OpenFlight[],
  unplaced: readonly UnplacedShot[],
): SwapPlan {
  let clockS = 0;
  const flights = open.map(({ battery, flight }): PlannedFlight => {
    const last = flight.shots[flight.shots.length - 1] as FlownShot;
    const takeoffS = clockS;
    clockS += last.touchdownS + request.swapTimeS;
    return {
      batteryId: battery.id,
      takeoffS,
      turnBackS: takeoffS + last.endS,
      touchdownS: takeoffS + last.touchdownS,
      swappedS: clockS,
      touchdownCharge: last.touchdownCharge,
      spareS: last.spareS,
      shots: flight.shots,
    };
  });
  const used = new Set(flights.map((flight) => flight.batteryId));
  return {
    flights,
    unplaced,
    unusedBatteryIds: request.batteries.map(({ id }) => id).filter((id) => !used.has(id)),
    doneS: flights[flights.length - 1]?.touchdownS ?? 0,
  };
}
