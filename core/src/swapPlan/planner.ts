import type { Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { Belief } from '../belief/belief';
import { confidenceOf, isTestOnly, type Policy } from '../reserve/policy';
import { type Outcome, type RefusalCode, refuse, success } from '../units/outcome';
import { type Sentence, sentence } from '../units/sentence';
import { type DrawnBattery, drawnFleet } from './drawnFleet';
import { DrawnFlight } from './drawnFlight';
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

/** One battery in the air. Times in seconds from the first take-off, of the flight as planned, in the likeliest world. */
export interface PlannedFlight {
  readonly batteryId: string;
  readonly takeoffS: number;
  readonly turnBackS: number;
  readonly touchdownS: number;
  /** When the next take-off can be. */
  readonly swappedS: number;
  /** The gauge to turn back at from its last shot, whatever is left of it; with the pilot's confidence the reserve is then intact. */
  readonly turnBackCharge: number | null;
  /** What it touches down with after its last shot: nine of ten with more than p10. */
  readonly touchdownCharge: { readonly p10: number; readonly p50: number };
  /** How much longer its last shot could go on at the pilot's confidence. */
  readonly spareS: number;
  /** Share of draws in which it must turn back before its last shot ends; at most one less the confidence. */
  readonly chanceEarly: number;
  /** Times within the flight, from its own take-off. */
  readonly shots: readonly PlannedShot[];
}

export interface PlannedShot {
  readonly shotId: string;
  readonly startS: number;
  readonly endS: number;
  readonly chargeAfter: number;
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
 * Next-fit in the pilot's own order, at his confidence: a shot goes on the battery in the air if it still fits, else on the
 * first charged one it fits on; a battery flies once. It fits where after it the way home keeps the reserve in as many draws
 * as the confidence asks for. What fits nowhere is left out with the reason, and the order goes on.
 */
export function planSwaps(request: PlanRequest, belief: Belief): Outcome<SwapPlan> {
  if (isTestOnly(request.policy)) {
    return refuse(
      'policy-for-tests-only',
      'A plan never flies down to the forced landing or to empty: choose a reserve.',
    );
  }
  const confidence = confidenceOf(request.policy);
  const fleet = drawnFleet(request, belief);
  const flights: DrawnFlight[] = [];
  const unplaced: UnplacedShot[] = [];
  for (const shot of request.shots) {
    const current = flights[flights.length - 1];
    const extended = current?.with(shot, confidence);
    if (extended?.ok) {
      flights[flights.length - 1] = extended.value;
      continue;
    }
    const used = new Set(flights.map((flight) => flight.battery.id));
    const fit = firstFit(
      fleet.filter(({ battery }) => !used.has(battery.id)),
      shot,
      confidence,
    );
    if (fit) flights.push(fit);
    else unplaced.push({ shotId: shot.id, reason: reasonFor(shot, fleet, used, confidence) });
  }
  return success(timed(request, flights, unplaced, confidence));
}

function firstFit(candidates: readonly DrawnBattery[], shot: Shot, confidence: number): DrawnFlight | null {
  for (const candidate of candidates) {
    const fit = new DrawnFlight(candidate).with(shot, confidence);
    if (fit.ok) return fit.value;
  }
  return null;
}

/** Why a shot is on no battery: none left, none lasts, or the air forbids it. */
function reasonFor(
  shot: Shot,
  fleet: readonly DrawnBattery[],
  used: ReadonlySet<string>,
  confidence: number,
): UnplacedReason {
  const tries = fleet.map((candidate) => {
    const fresh = new DrawnFlight(candidate);
    return { fresh, outcome: fresh.with(shot, confidence) };
  });
  const wouldFit = tries.filter(({ outcome, fresh }) => outcome.ok && used.has(fresh.battery.id));
  if (wouldFit.length > 0) {
    const names = wouldFit.map(({ fresh }) => fresh.battery.label).join(', ');
    return sentence(
      'no-battery-left',
      'No charged battery left for it; it would fit on {names}, flown already.',
      { names },
    );
  }
  const refusals = tries.flatMap(({ outcome }) => (outcome.ok ? [] : [outcome.refusal]));
  return (
    longestPossible(
      shot,
      tries.map(({ fresh }) => fresh),
      confidence,
    ) ??
    refusals[0] ??
    sentence('no-battery', 'No battery at hand.')
  );
}

/** How long it could last at most, on the best battery; null where the middle flight cannot even be begun on any. */
function longestPossible(
  shot: Shot,
  fresh: readonly DrawnFlight[],
  confidence: number,
): UnplacedReason | null {
  const [best] = fresh
    .flatMap((flight) => {
      const longest = flight.longest(shot, confidence);
      return longest ? [{ label: flight.battery.label, possibleS: longest.durationS }] : [];
    })
    .sort((a, b) => b.possibleS - a.possibleS);
  if (!best) return null;
  return best.possibleS >= 1
    ? sentence(
        'too-long-for-all',
        'Takes {durationS} there; the best battery, {label}, has {possibleS} before it must turn back.',
        { durationS: shot.durationS, ...best },
      )
    : sentence(
        'out-of-reach',
        'No battery gets there and back with the reserve so surely; the best is {label}.',
        {
          label: best.label,
        },
      );
}

function timed(
  request: PlanRequest,
  drawn: readonly DrawnFlight[],
  unplaced: readonly UnplacedShot[],
  confidence: number,
): SwapPlan {
  let clockS = 0;
  const flights = drawn.map((flight): PlannedFlight => {
    const takeoffS = clockS;
    const planned = flight.planned(takeoffS, request.swapTimeS, confidence);
    clockS = planned.swappedS;
    return planned;
  });
  const used = new Set(flights.map((flight) => flight.batteryId));
  return {
    flights,
    unplaced,
    unusedBatteryIds: request.batteries.map(({ id }) => id).filter((id) => !used.has(id)),
    doneS: flights[flights.length - 1]?.touchdownS ?? 0,
  };
}
