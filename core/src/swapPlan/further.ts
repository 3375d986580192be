import type { Conditions } from '../air/conditions';
import type { Belief } from '../belief/belief';
import type { PacksBrought, Robustness } from './answer';
import { isSure } from './exactFlight';
import { inCircumstances, type Pack, type Problem, problemOf, type Take } from './problem';
import { isBetter } from './rank';
import type { PlanRequest } from './request';
import { adapted, type Found, repaired } from './search';
import { type Planner, weightOf } from './seek';
import { shotRanges } from './shot';
import { instantAt } from './tell';
import { Verdicts } from './verdicts';

type Beliefs = Readonly<Record<string, Belief>>;

/** How often is tried for a plan that only says what would be; it begins with the plan there is. */
function triesFor(problem: Problem): number {
  return Math.max(3, Math.round(12 * Math.min(1, 20 / weightOf(problem))));
}
/** And how often a flight is flown that sums are unsure of: what the plan there is needs, above all. */
const mostJudged = 10;
/** Rounds of putting elsewhere what a flight that is not sure took. */
const maxRounds = 12;
/** So many numbers of packs are tried at most, the same steps apart. */
const mostBrought = 15;

/** What becomes of a plan if its request were another. The same takes are numbered alike. */
export function plannedOtherwise(planner: Planner, { draft }: Found, request: PlanRequest, beliefs: Beliefs) {
  const problem = problemOf(request, beliefs, planner.problem.work);
  const retold = draft.flatMap(({ pack, takes }) => {
    const { id } = (planner.problem.packs[pack] as Pack).battery;
    const there = problem.packs.find(({ battery }) => battery.id === id);
    return there
      ? [{ pack: there.index, takes: takes.map(({ index }) => problem.takes[index] as Take) }]
      : [];
  });
  const verdicts = new Verdicts(problem, planner.verdicts.draws);
  verdicts.mayFly(mostJudged);
  return { problem, found: surelyAdapted(verdicts, retold) };
}

/** A plan made the best of, each of its flights sure; where what was hoped for is not, no worse than the plan it began with. */
function surelyAdapted(verdicts: Verdicts, draft: Found['draft']): Found {
  const hoped = adapted(verdicts, draft, triesFor(verdicts.problem));
  const made = sure(verdicts, hoped);
  if (made === hoped) return made;
  const kept = sure(verdicts, adapted(verdicts, draft, 0));
  return isBetter(kept.rank, made.rank) ? kept : made;
}

/** With each flight flown step by step, in the draws of the search. */
function sure(verdicts: Verdicts, found: Found): Found {
  let now = found;
  for (let round = 0; ; round++) {
    const failing = now.schedule.flights.filter((flight) => !isSure(verdicts.fleet, flight));
    if (failing.length === 0) return now;
    for (const flight of failing) verdicts.showed(false, flight, 1.02);
    now = repaired(
      verdicts,
      now,
      failing.map(({ takes }) => takes),
      false,
    );
    // Then only flights that are known to be sure are left.
    if (round < maxRounds && !verdicts.problem.work.isSpent()) now = adapted(verdicts, now.draft, 0);
  }
}

const windier = 4 / 3;
const longer = 3 / 2;

/**
 * Whether it would still do with the wind a third stronger, with takes half as long again, and with each battery of it failing.
 * `met` hears plans that would do as things are. What the request's work does not reach is not told.
 */
export function robustnessOf(planner: Planner, found: Found, beliefs: Beliefs, met: Found[]): Robustness[] {
  const { problem } = planner;
  const { request } = problem;
  const told = (change: Robustness['change'], otherwise: Found, battery?: Pack): Robustness => {
    const has = placedTakes(problem, otherwise);
    const dropped = [...placedTakes(problem, found)].filter((index) => !has.has(index));
    return {
      change,
      ...(battery ? { batteryId: battery.battery.id } : {}),
      takeoffs: problem.flown.length + otherwise.draft.length,
      endAt: instantAt(problem, otherwise.schedule.endS),
      droppedShotIds: [...new Set(dropped.map((index) => (problem.takes[index] as Take).shot.id))],
    };
  };
  const flown = [...new Set(found.draft.map(({ pack }) => pack))].sort((a, b) => a - b);
  const changes = [
    () => told('wind', plannedOtherwise(planner, found, inWind(request, windier), beliefs).found),
    () => told('takes', plannedOtherwise(planner, found, withTakes(request, longer), beliefs).found),
    ...flown.map((pack) => () => {
      const without = inCircumstances(problem, { grounded: new Set([pack]) });
      const otherwise = inTheseCircumstances(planner, without, found);
      met.push(otherwise);
      return told('battery', otherwise, problem.packs[pack]);
    }),
  ];
  return changes.flatMap((tried) => (problem.work.isSpent() ? [] : [tried()]));
}

/** Shots done against packs brought, the best first; with the chargers, and without any. `met` as there. */
export function packsBrought(planner: Planner, found: Found, met: Found[]): PacksBrought[] {
  const { problem } = planner;
  const best = [...problem.packs].sort((a, b) => worthOf(b) - worthOf(a) || a.index - b.index);
  const ways = problem.chargingPlaces.length > 0 ? [false, true] : [false];
  return ways.flatMap((charging) => {
    const brought: PacksBrought[] = [];
    let last = found;
    for (let packs = best.length; packs >= 1; packs -= Math.ceil(best.length / mostBrought)) {
      if (problem.work.isSpent()) break;
      const circumstances = inCircumstances(problem, {
        grounded: new Set(best.slice(packs).map(({ index }) => index)),
        ...(charging ? {} : { chargingPlaces: [] }),
      });
      last = inTheseCircumstances(planner, circumstances, last);
      met.push(last);
      brought.unshift(toldBrought(problem, last, packs, charging));
    }
    return brought;
  });
}

function toldBrought(problem: Problem, found: Found, packs: number, charging: boolean): PacksBrought {
  const has = placedTakes(problem, found);
  const left = problem.takes.filter(({ index }) => !has.has(index)).map(({ shotIndex }) => shotIndex);
  return {
    packs,
    charging,
    shotsPlaced: problem.request.shots.length - new Set(left).size,
    takeoffs: problem.flown.length + found.draft.length,
    endAt: instantAt(problem, found.schedule.endS),
  };
}

function inTheseCircumstances({ verdicts: known, fine }: Planner, problem: Problem, { draft }: Found): Found {
  const verdicts = new Verdicts(problem, known.draws, known);
  verdicts.mayFly(mostJudged, fine);
  return surelyAdapted(verdicts, draft);
}

function worthOf({ battery, startCharge }: Pack): number {
  return battery.ratedCapacityMah * (battery.health ?? 1) * startCharge;
}

export function placedTakes({ flownTakes }: Problem, { draft }: Found): ReadonlySet<number> {
  return new Set([...flownTakes, ...draft.flatMap(({ takes }) => takes.map(({ index }) => index))]);
}

function inWind(request: PlanRequest, times: number): PlanRequest {
  const windier = <Weather extends Conditions>(weather: Weather): Weather => ({
    ...weather,
    wind: {
      ...weather.wind,
      speedMps: weather.wind.speedMps * times,
      gustMps: weather.wind.gustMps == null ? null : weather.wind.gustMps * times,
    },
  });
  const { conditions, hours } = request;
  return {
    ...request,
    conditions: conditions ? windier(conditions) : null,
    hours: hours ? hours.map(windier) : null,
  };
}

function withTakes(request: PlanRequest, times: number): PlanRequest {
  const lasts = (durationS: number) => Math.min(shotRanges.durationS.max, durationS * times);
  return { ...request, shots: request.shots.map((shot) => ({ ...shot, durationS: lasts(shot.durationS) })) };
}
