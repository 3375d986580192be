import { gaugeOf } from '../../battery/gauge';
import { lastTake, touchdownGauges, touchdownP10 } from '../physics/exactFlight';
import type { FlownTake, TakeContext } from '../physics/fly';
import type { Problem } from '../request/problem';
import type { Planner } from '../search/planner';
import type { TimedFlight, Wait } from '../search/schedule';
import type { Candidate } from '../search/search';
import type { FlightOfPlan, SwapPlan, WaitOfPlan } from './answer';
import { cautionsOf } from './cautions';
import { instantAt } from './instant';
import { lanesOf } from './lanes';

/** A plan by itself, before anything is asked of what would be. */
export function describePlan(planner: Planner, found: Candidate, isLast: boolean): SwapPlan {
  const { problem } = planner;
  const { flown, takes, request } = problem;
  const { schedule, draft } = found;
  const planned = schedule.flights.map((flight, i) => describeFlight(planner, flight, flown.length + i + 1));
  const flights = [...((request.flown ?? []) as readonly FlightOfPlan[]), ...planned];
  const placed = placedTakes(problem, found);
  const bound = isLast
    ? planner.bound(found)
    : { takeoffs: Math.min(1, draft.length), by: 'packing' as const, isBest: false };
  const isAllPlaced = placed.size === takes.length;
  return {
    flights,
    lanes: lanesOf(
      problem,
      schedule,
      planned.map(({ touchdownCharge }) => touchdownCharge.p50),
    ),
    unplaced: [],
    figures: {
      takeoffs: flights.length,
      takeoffsBound: flown.length + bound.takeoffs,
      boundBy: bound.by,
      proved: bound.isBest || (isAllPlaced && bound.takeoffs === draft.length),
      batteriesFlown: new Set(flights.map(({ batteryId }) => batteryId)).size,
      endAt: flights.length > 0 ? instantAt(problem, schedule.endS) : request.startAt,
      mustsPlaced: takes.filter(({ must, index }) => must && placed.has(index)).length,
      nicesPlaced: takes.filter(({ must, index }) => !must && placed.has(index)).length,
    },
    robustness: [],
    packs: [],
    withoutPins: null,
    laterStart: null,
    complete: false,
    cautions: cautionsOf(problem, schedule),
  };
}

/** Takes that are flown, or have a place. */
export function placedTakes({ flownTakes }: Problem, { draft }: Candidate): ReadonlySet<number> {
  return new Set([...flownTakes, ...draft.flatMap(({ takes }) => takes.map(({ index }) => index))]);
}

/** A flight that is sure, flown step by step in every draw. */
function describeFlight(planner: Planner, timed: TimedFlight, number: number): FlightOfPlan {
  const { problem, fleet } = planner;
  const { pack, takes, takeoffS, state, weather } = timed;
  const exact = planner.flown(timed);
  const middle = exact?.middle;
  if (!middle) throw new Error('A flight that is described is sure.');
  const { cells, takeoff } = fleet.contexts(pack, state, weather).of(fleet.likeliest) as TakeContext;
  const last = middle.at(-1) as FlownTake;
  const gauge = (charge: number) => gaugeOf(charge, cells.hidden);
  const p50 = gauge(last.touchdown.charge);
  const longest = lastTake(fleet, timed, exact);
  const at = (seconds: number) => instantAt(problem, takeoffS + seconds);
  return {
    number,
    aircraftId: (problem.aircraft[pack.aircraftIndex] as Problem['aircraft'][number]).id,
    batteryId: pack.battery.id,
    launchPlaceId: problem.places[takes[0]?.placeIndex ?? 0]?.id ?? null,
    takeoffAt: at(0),
    turnBackAt: at(last.state.timeS),
    touchdownAt: at(last.touchdown.timeS),
    startCharge: gauge(takeoff.charge),
    startTemperatureC: state.temperatureC,
    turnBackCharge: longest.turnBackCharge,
    touchdownCharge: { p10: touchdownP10(touchdownGauges(fleet, timed, exact), p50), p50 },
    spareS: Math.max(0, longest.durationS - (takes.at(-1)?.shot.durationS ?? 0)),
    chanceEarly: exact.chanceEarly,
    shots: takes.map(({ shot, number: take }, i) => {
      const { begun, state: done } = middle[i] as FlownTake;
      return {
        shotId: shot.id,
        take,
        startAt: at(begun.timeS),
        endAt: at(done.timeS),
        chargeAfter: gauge(done.charge),
      };
    }),
    wait: timed.wait && describeWait(problem, timed.wait),
  };
}

function describeWait(problem: Problem, { fromS, reason, take }: Wait): WaitOfPlan {
  return { fromAt: instantAt(problem, fromS), reason, shotId: take?.shot.id ?? null };
}
