import { gaugeOf } from '../../battery/gauge';
import { plannedTurnBack } from '../../estimate/plannedTurnBack';
import { mayFail } from '../../statistics/orderStatistic';
import { quantile } from '../../statistics/quantile';
import { areAlikeLaden, type Pack, type Take } from '../request/problem';
import { workOf } from '../request/work';
import type { Fleet, PackState } from './fleet';
import {
  beforeTakeoff,
  type FlightSoFar,
  type FlownTake,
  flyTake,
  longestTake,
  type TakeContext,
} from './fly';

/** A flight as it takes off. */
export interface Departure {
  readonly pack: Pack;
  readonly takes: readonly Take[];
  readonly weather: number;
  readonly state: PackState;
}

/** A flight flown step by step, take by take: in the likeliest world (null where it fails) and in every draw. */
export interface ExactFlight {
  readonly middle: readonly FlownTake[] | null;
  readonly drawn: readonly (readonly FlownTake[] | null)[];
  /** Share of draws in which it must turn back before its last take ends. */
  readonly chanceEarly: number;
}

export function exactFlight(fleet: Fleet, departure: Departure): ExactFlight {
  const drawn = fleet.draws.map((draw) => flownIn(fleet, departure, draw));
  return { middle: flownIn(fleet, departure, fleet.likeliest), drawn, chanceEarly: shareOfNull(drawn) };
}

/**
 * The same where the way home keeps the reserve after every take, in as many draws as the confidence asks for and in the
 * likeliest world; else null, as soon as that is known. Draws in the order given, the hardest first.
 */
export function sureFlight(
  fleet: Fleet,
  departure: Departure,
  order: readonly number[] = fleet.draws,
): ExactFlight | null {
  const middle = flownIn(fleet, departure, fleet.likeliest);
  if (!middle) return null;
  const maxFailures = mayFail(fleet.problem.confidence, order.length);
  const drawn: (readonly FlownTake[] | null)[] = [];
  let failures = 0;
  for (const draw of order) {
    const flown = flownIn(fleet, departure, draw);
    if (!flown && ++failures > maxFailures) return null;
    drawn[draw] = flown;
  }
  return { middle, drawn, chanceEarly: failures / Math.max(1, order.length) };
}

/** Whether a flight is sure, looked at no further than it takes to know; of those draws alone, of which so many may fail. */
export function isSure(
  fleet: Fleet,
  departure: Departure,
  draws: readonly number[] = fleet.draws,
  maxFailures = mayFail(fleet.problem.confidence, draws.length),
): boolean {
  if (!flownIn(fleet, departure, fleet.likeliest)) return false;
  let failures = 0;
  for (const [i, draw] of draws.entries()) {
    if (failures + draws.length - i <= maxFailures) return true;
    if (!flownIn(fleet, departure, draw) && ++failures > maxFailures) return false;
  }
  return true;
}

function flownIn(fleet: Fleet, { pack, takes, weather, state }: Departure, draw: number) {
  fleet.problem.work.add(takes.length);
  const context = fleet.contexts(pack, state, weather).of(draw);
  return context && flown(context, fleet.rules(pack.kind), takes);
}

function flown(
  context: TakeContext,
  rules: ReturnType<Fleet['rules']>,
  takes: readonly Take[],
): readonly FlownTake[] | null {
  if (!areAlikeLaden(takes)) return null;
  const found: FlownTake[] = [];
  let flight: FlightSoFar = beforeTakeoff(context);
  for (const take of takes) {
    const next = flyTake(context, rules, flight, take);
    if (!next.ok) return null;
    found.push(next.value);
    flight = next.value;
  }
  return found;
}

/** How much longer the last take could go on at the confidence, and the gauge to turn back at from it. */
export function lastTake(fleet: Fleet, { pack, takes, weather, state }: Departure, exact: ExactFlight) {
  const { confidence } = fleet.problem;
  const rules = fleet.rules(pack.kind);
  const contexts = fleet.contexts(pack, state, weather);
  const last = takes.at(-1) as Take;
  const longestIn = (draw: number) => {
    const context = contexts.of(draw);
    const before = draw < fleet.likeliest ? exact.drawn[draw] : exact.middle;
    // A draw that failed at the last take still says how long that could be; one that failed before says nothing is left.
    const soFar = before ? (before.at(-2) ?? null) : context && upToLast(context, rules, takes);
    const flight = takes.length === 1 ? context && beforeTakeoff(context) : soFar;
    return context && flight ? longestTake(context, rules, flight, last) : null;
  };
  const drawn = fleet.draws.map(longestIn);
  const likeliest = longestIn(fleet.likeliest);
  fleet.problem.work.add(workOf.longestTake * (drawn.length + 1));
  const durations = drawn.map((one) => one?.durationS ?? 0).sort((a, b) => a - b);
  const surely = durations[mayFail(confidence, durations.length)] ?? 0;
  return {
    durationS: Math.min(surely, likeliest?.durationS ?? 0),
    turnBackCharge: plannedTurnBack(
      likeliest?.turnBackCharge ?? null,
      drawn.map((one) => one?.turnBackCharge ?? null),
      confidence,
    ),
  };
}

function upToLast(context: TakeContext, rules: ReturnType<Fleet['rules']>, takes: readonly Take[]) {
  return flown(context, rules, takes.slice(0, -1))?.at(-1) ?? null;
}

/** Gauges at touch-down, of the draws that end the last take; what fails must turn back before and lands with the reserve. */
export function touchdownGauges(fleet: Fleet, departure: Departure, { drawn }: ExactFlight): number[] {
  const { pack, state, weather } = departure;
  const contexts = fleet.contexts(pack, state, weather);
  return drawn.flatMap((takes, draw) => {
    const down = takes?.at(-1)?.touchdown;
    const context = down && contexts.of(draw);
    return down && context ? [gaugeOf(down.charge, context.cells.hidden)] : [];
  });
}

/** The gauge nine of ten touch down with more than, never above the likeliest. */
export function touchdownP10(gauges: readonly number[], p50: number): number {
  return gauges.length > 0 ? Math.min(p50, quantile(gauges, 0.1)) : p50;
}

function shareOfNull(values: readonly unknown[]): number {
  return values.filter((value) => value === null).length / Math.max(1, values.length);
}
