import type { Pack, Problem, Take } from '../request/problem';
import type { Candidate } from '../search/search';
import type { LaterStart, Outlook, PacksBrought, Robustness } from './answer';
import { placedTakes } from './describe';
import { instantAt } from './instant';
import {
  asGoodAs,
  type Beliefs,
  ifAtHand,
  ifRequested,
  inStrongerWind,
  type Otherwise,
  outlookOf,
  type PlanInHand,
  withLongerTakes,
  withoutPins,
} from './whatIf';

/** So many numbers of packs are tried at most, the same steps apart. */
const maxBrought = 15;

/** What would be left of a plan if something were otherwise. */
interface TriedChange extends Pick<Robustness, 'change' | 'batteryId'> {
  readonly otherwise: Otherwise;
}

/** With the wind a third stronger, and with takes half as long again. What the request's work does not reach is left out. */
export function outlooksInRougherConditions(plan: PlanInHand, beliefs: Beliefs): TriedChange[] {
  const { request, work } = plan.planner.problem;
  const changes = { wind: inStrongerWind(request), takes: withLongerTakes(request) };
  return (['wind', 'takes'] as const).flatMap((change) =>
    work.isSpent()
      ? []
      : [{ change, otherwise: ifRequested(plan, changes[change], beliefs, asGoodAs(plan.found)) }],
  );
}

/** With each battery of it failing: none can do better than the plan. `met` hears plans that would do as things are. */
export function outlooksIfBatteriesFail(plan: PlanInHand, met: Candidate[]): TriedChange[] {
  const { problem } = plan.planner;
  const flown = [...new Set(plan.found.draft.map(({ pack }) => pack))].sort((a, b) => a - b);
  return flown.flatMap((pack) => {
    if (problem.work.isSpent()) return [];
    const otherwise = ifAtHand(plan, { excludedPacks: new Set([pack]) }, asGoodAs(plan.found));
    met.push(otherwise.found);
    return [{ change: 'battery' as const, batteryId: (problem.packs[pack] as Pack).battery.id, otherwise }];
  });
}

/** Whether a plan would still do, by what was tried. */
export function robustnessOf(plan: PlanInHand, tried: readonly TriedChange[]): Robustness[] {
  return tried.map(({ otherwise, ...what }) => {
    const { takeoffs, endAt } = outlookOf(otherwise);
    const droppedShotIds = droppedShots(plan, otherwise.found);
    return { ...what, takeoffs, endAt, droppedShotIds, atLeast: otherwise.atLeast };
  });
}

function droppedShots({ planner: { problem }, found }: PlanInHand, otherwise: Candidate): string[] {
  const has = placedTakes(problem, otherwise);
  const dropped = [...placedTakes(problem, found)].filter((index) => !has.has(index));
  return [...new Set(dropped.map((index) => (problem.takes[index] as Take).shot.id))];
}

/** Shots done against packs brought, the best first; with the chargers, and without any. `met` as there. */
export function packsBrought(plan: PlanInHand, met: Candidate[]): PacksBrought[] {
  const { problem } = plan.planner;
  const best = [...problem.packs].sort((a, b) => worthOf(b) - worthOf(a) || a.index - b.index);
  const ways = problem.chargingPlaces.length > 0 ? [false, true] : [false];
  return ways.flatMap((charging) => {
    const brought: PacksBrought[] = [];
    let last = plan.found;
    for (let packs = best.length; packs >= 1; packs -= Math.ceil(best.length / maxBrought)) {
      if (problem.work.isSpent()) break;
      const excludedPacks = new Set(best.slice(packs).map(({ index }) => index));
      const chargers = charging ? {} : { chargingPlaces: [] };
      const otherwise = ifAtHand(
        { planner: plan.planner, found: last },
        { excludedPacks, ...chargers },
        asGoodAs(last),
      );
      last = otherwise.found;
      met.push(last);
      brought.unshift({ packs, charging, ...broughtTo(problem, otherwise) });
    }
    return brought;
  });
}

function broughtTo(problem: Problem, otherwise: Otherwise) {
  const { takeoffs, endAt } = outlookOf(otherwise);
  const has = placedTakes(problem, otherwise.found);
  const left = problem.takes.filter(({ index }) => !has.has(index)).map(({ shotIndex }) => shotIndex);
  const shotsPlaced = problem.request.shots.length - new Set(left).size;
  return { shotsPlaced, takeoffs, endAt, atLeast: otherwise.atLeast };
}

function worthOf({ battery, startCharge }: Pack): number {
  return battery.ratedCapacityMah * (battery.health ?? 1) * startCharge;
}

/** What the shoot would come to without what the pilot pinned; null where nothing is pinned. As pinned, it is such a plan too. */
export function outlookWithoutPins(plan: PlanInHand, beliefs: Beliefs): Outlook | null {
  const { request, work } = plan.planner.problem;
  const free = withoutPins(request);
  return free && !work.isSpent() ? outlookOf(ifRequested(plan, free, beliefs)) : null;
}

/** Less of a wait is not worth telling. */
const minWaitS = 600;
const startStepS = 300;

/** A later start for the same flights in the same order, down in the same minute; null where nothing is gained. */
export function laterStartOf({ planner, found }: PlanInHand): LaterStart | null {
  const { problem } = planner;
  if (problem.flown.length > 0) return null;
  const waits = found.schedule.flights.map(({ wait, takeoffS }) => (wait ? takeoffS - wait.fromS : 0));
  const longestS = Math.floor(Math.max(0, ...waits) / startStepS) * startStepS;
  for (let laterS = longestS; laterS >= minWaitS; laterS -= startStepS)
    if (planner.isAsGoodBegunLater(found, laterS))
      return { startAt: instantAt(problem, laterS), lessWaitingS: laterS };
  return null;
}
