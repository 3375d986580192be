import { gaugeOf } from '../battery/gauge';
import { plannedTurnBack } from '../estimate/plannedTurnBack';
import { mayFail } from '../statistics/orderStatistic';
import { quantile } from '../statistics/quantile';
import type { Fleet, PackState } from './fleet';
import {
  beforeTakeoff,
  type FlightSoFar,
  type FlownTake,
  flyTake,
  longestTake,
  type TakeContext,
} from './fly';
import { areAlikeLaden, type Pack, type Take } from './problem';
import { workOf } from './work';

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

export function exactFlight(fleet: Fleet, { pack, takes, weather, state }: Departure): ExactFlight {
  const rules = fleet.rules(pack.kind);
  const flights = fleet
    .contexts(pack, state, weather)
    .map((context) => context && flown(context, rules, takes));
  fleet.problem.work.add(takes.length * flights.length);
  const drawn = flights.slice(0, -1);
  return { middle: flights.at(-1) ?? null, drawn, chanceEarly: shareOfNull(drawn) };
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

/** What is known of the draws of a flight before it is flown: how many fail, and which are open; the others fly. */
export interface Foreseen {
  readonly failed: number;
  readonly open: readonly number[];
}

/**
 * Whether the way home keeps the reserve after every take, in as many draws as the confidence asks for and in the likeliest
 * world; looked at no further than it takes to know. All draws are open unless something is known of them.
 */
export function isSure(
  fleet: Fleet,
  { pack, takes, weather, state }: Departure,
  foreseen: Foreseen | null = null,
): boolean {
  const { confidence } = fleet.problem;
  const rules = fleet.rules(pack.kind);
  const contexts = fleet.contexts(pack, state, weather);
  const flies = (context: TakeContext | null | undefined) => {
    fleet.problem.work.add(takes.length);
    return context != null && flown(context, rules, takes) !== null;
  };
  const mostFailing = mayFail(confidence, contexts.length - 1);
  if (!flies(contexts.at(-1))) return false;
  const open = foreseen?.open ?? contexts.slice(1).map((_, d) => d);
  let failed = foreseen?.failed ?? 0;
  for (let i = 0; i < open.length && failed <= mostFailing; i++) {
    if (failed + open.length - i <= mostFailing) return true;
    if (!flies(contexts[open[i] as number])) failed++;
  }
  return failed <= mostFailing;
}

/** How much longer the last take could go on at the confidence, and the gauge to turn back at from it. */
export function lastTake(fleet: Fleet, { pack, takes, weather, state }: Departure, exact: ExactFlight) {
  const { confidence } = fleet.problem;
  const rules = fleet.rules(pack.kind);
  const last = takes.at(-1) as Take;
  const longest = fleet.contexts(pack, state, weather).map((context, d) => {
    const before = d < exact.drawn.length ? exact.drawn[d] : exact.middle;
    // A draw that failed at the last take still says how long that could be; one that failed before says nothing is left.
    const soFar = before ? (before.at(-2) ?? null) : context && upToLast(context, rules, takes);
    const flight = takes.length === 1 ? context && beforeTakeoff(context) : soFar;
    return context && flight ? longestTake(context, rules, flight, last) : null;
  });
  fleet.problem.work.add(workOf.longestTake * longest.length);
  const likeliest = longest.at(-1) ?? null;
  const drawn = longest.slice(0, -1);
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
  return drawn.flatMap((takes, d) => {
    const down = takes?.at(-1)?.touchdown;
    const context = contexts[d];
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
