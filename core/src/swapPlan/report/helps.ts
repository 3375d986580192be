import type { Sentence } from '../../units/sentence';
import { problemOf, type Take } from '../request/problem';
import type { PlanRequest } from '../request/request';
import { Planner } from '../search/planner';
import type { ChangeCode, Outlook, SwapPlan } from './answer';
import {
  allFromOnePlace,
  type Beliefs,
  dependsOnStartTime,
  ifRequested,
  oneMoreBattery,
  oneMoreCharger,
  outlookOf,
  shifted,
  warmPacks,
} from './whatIf';

export interface WhatHelps {
  readonly asIs: Outlook;
  /** Each change tried by itself. */
  readonly changes: readonly { readonly change: Sentence<ChangeCode>; readonly outlook: Outlook }[];
  /** Begun earlier or later, where that can make a difference. */
  readonly starts: readonly { readonly startAt: string; readonly outlook: Outlook }[];
}

const shiftsMin = [-90, -60, -30, 30, 60, 90];

/** What would help a plan of a request: each thing tried, beginning with the plan as it is; no more than its work allows. */
export function whatHelps(request: PlanRequest, beliefs: Beliefs, plan: SwapPlan): WhatHelps {
  const planner = new Planner(problemOf(request, beliefs), 'quick');
  const planned = { planner, found: asDescribed(planner, plan) };
  const tried = (other: PlanRequest) => outlookOf(ifRequested(planned, other, beliefs));
  const { mustsPlaced, nicesPlaced, takeoffs, endAt } = plan.figures;
  const asIs = { takesPlaced: mustsPlaced + nicesPlaced, takeoffs, endAt };
  const whileWork = <Answer>(make: () => Answer): Answer[] =>
    planner.problem.work.isSpent() ? [] : [make()];
  // What is brought more may stay in the bag.
  const brought = [oneMoreCharger, oneMoreBattery].flatMap((changesOf) => changesOf(request));
  const others = [warmPacks, allFromOnePlace].flatMap((changesOf) => changesOf(request));
  return {
    asIs,
    changes: [...brought, ...others].flatMap((change) =>
      whileWork(() => {
        const outlook = tried(change.request);
        const isLess = brought.includes(change) && isWorse(outlook, asIs);
        return { change: change.sentence, outlook: isLess ? asIs : outlook };
      }),
    ),
    starts: dependsOnStartTime(request)
      ? shiftsMin.flatMap((minutes) =>
          whileWork(() => {
            const startAt = shifted(request.startAt, minutes * 60);
            return { startAt, outlook: tried({ ...request, startAt }) };
          }),
        )
      : [],
  };
}

/** A plan that was described, as the search has one. */
function asDescribed({ search, problem }: Planner, { flights }: SwapPlan) {
  const { packs, takes, flown } = problem;
  const draft = flights.slice(flown.length).map(({ batteryId, shots }) => ({
    pack: packs.findIndex(({ battery }) => battery.id === batteryId),
    takes: shots.map(
      ({ shotId, take }) => takes.find(({ shot, number }) => shot.id === shotId && number === take) as Take,
    ),
  }));
  return search.prefixes(draft);
}

function isWorse(one: Outlook, other: Outlook): boolean {
  if (one.takesPlaced !== other.takesPlaced) return one.takesPlaced < other.takesPlaced;
  return one.takeoffs > other.takeoffs;
}
