import {
  type Belief,
  beliefFrom,
  contradictions,
  drawsFor,
  type Knowledge,
  type Outcome,
  type PlanRequest,
  type PlanSoFar,
  plansOf,
  type SwapPlan,
  success,
  type WhatHelps,
  whatHelps,
} from '@acorn-tally/core';
import { expose } from 'comlink';

function beliefsOf(
  known: Readonly<Record<string, Knowledge>>,
  { policy }: Pick<PlanRequest, 'policy'>,
): Record<string, Belief> {
  const draws = drawsFor(policy);
  return Object.fromEntries(
    Object.entries(known).map(([id, knowledge]) => [id, beliefFrom(knowledge, draws)]),
  );
}

/** Tells a share only when it has grown by a twentieth: what is told crosses from one thread to another. */
function inSteps(tell: (share: number) => void): (share: number) => void {
  let told = -1;
  return (share) => {
    const step = Math.floor(share * 20);
    if (step === told) return;
    told = step;
    tell(share);
  };
}

/** Plans away from the thread that draws; one that is no longer wanted is ended as a whole. */
const planner = {
  /** Tells each plan that is better than the one before, and how far it is. Null where the request contradicts itself. */
  plan(
    request: PlanRequest,
    known: Readonly<Record<string, Knowledge>>,
    better: (planned: PlanSoFar) => void,
    sought: (share: number) => void,
  ): Outcome<SwapPlan> | null {
    if (contradictions(request).length > 0) return null;
    const plans = plansOf(request, beliefsOf(known, request), inSteps(sought));
    if (!plans.ok) return plans;
    let last: SwapPlan | null = null;
    for (const planned of plans.value) {
      last = planned.plan;
      if (planned.stage !== 'whole') better(planned);
    }
    return success(last as SwapPlan);
  },

  /** What would help a plan, each thing tried. */
  helps(request: PlanRequest, known: Readonly<Record<string, Knowledge>>, plan: SwapPlan): WhatHelps {
    return whatHelps(request, beliefsOf(known, request), plan);
  },
};

export type Planning = typeof planner;

expose(planner);
