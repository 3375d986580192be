import type { Belief } from '../belief/belief';
import { isTestOnly } from '../reserve/policy';
import { type Outcome, refuse, success } from '../units/outcome';
import type { SwapPlan } from './answer';
import { packsBrought, robustnessOf } from './further';
import { type Problem, problemOf } from './problem';
import type { PlanRequest } from './request';
import type { Found } from './search';
import { Planner } from './seek';
import { unplacedTakes } from './unplaced';

/** A plan on the way: a better one may come, none will, or all that is asked of it is told. */
export const planStages = ['better', 'best', 'whole'] as const;
export type PlanStage = (typeof planStages)[number];

/** A request, planned as far as it is known. */
export interface PlanSoFar {
  readonly plan: SwapPlan;
  readonly stage: PlanStage;
}

/**
 * Which takes on which battery, when, and what charges meanwhile, at the pilot's confidence. Ranks plans by `rank`; what is told
 * is flown step by step in every draw of the beliefs, and a flight that is not sure is never told. The request contradicts
 * itself nowhere (`contradictions`). Beliefs by aircraft id, with draws. Same request, same plan.
 */
export function planSwaps(
  request: PlanRequest,
  beliefs: Readonly<Record<string, Belief>>,
): Outcome<SwapPlan> {
  const plans = plansOf(request, beliefs);
  if (!plans.ok) return plans;
  let last: SwapPlan | null = null;
  for (const { plan } of plans.value) last = plan;
  return success(last as SwapPlan);
}

/**
 * The same as it gets better: first the plan alone, anew whenever a better one is found; last with all that is asked of it.
 * `onTry` hears how far the search is, as a share of its tries.
 */
export function plansOf(
  request: PlanRequest,
  beliefs: Readonly<Record<string, Belief>>,
  onTry?: (share: number) => void,
): Outcome<Generator<PlanSoFar, void>> {
  if (isTestOnly(request.policy)) {
    return refuse(
      'policy-for-tests-only',
      'A plan never flies down to the forced landing or to empty: choose a reserve.',
    );
  }
  const problem = problemOf(request, beliefs);
  if (problem.beliefs.some(({ draws }) => draws.length === 0))
    throw new RangeError('A plan at a confidence needs draws.');
  return success(plans(problem, beliefs, onTry));
}

/** So often what is asked of a plan may show a better one. */
const maxRounds = 4;

function* plans(
  problem: Problem,
  beliefs: Readonly<Record<string, Belief>>,
  onTry?: (share: number) => void,
): Generator<PlanSoFar, void> {
  const planner = new Planner(problem);
  let last: Found | null = null;
  for (last of planner.better(onTry)) yield { plan: planner.toldOnTheWay(last), stage: 'better' };
  let found = last as Found;
  for (let round = 0; ; round++) {
    const plan = planner.told(found);
    yield { plan, stage: 'best' };
    const met: Found[] = [];
    const robustness = robustnessOf(planner, found, beliefs, met);
    const packs = packsBrought(planner, found, met);
    // Fewer packs cannot do better: a plan that does was overlooked.
    const better = round < maxRounds ? planner.betterOf(met, found) : null;
    if (!better) {
      const unplaced = unplacedTakes(planner, found, beliefs);
      const complete = problem.work.isComplete;
      yield { plan: { ...plan, unplaced, robustness, packs, complete }, stage: 'whole' };
      return;
    }
    found = better;
  }
}
