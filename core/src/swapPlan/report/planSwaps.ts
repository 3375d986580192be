import type { Belief } from '../../belief/belief';
import { plannedPolicyProblem } from '../../reserve/policy';
import { type Outcome, success } from '../../units/outcome';
import { problemOf } from '../request/problem';
import type { PlanRequest } from '../request/request';
import { Planner } from '../search/planner';
import { placesMore } from '../search/rank';
import type { Candidate } from '../search/search';
import type { SwapPlan } from './answer';
import { describePlan } from './describe';
import {
  laterStartOf,
  outlooksIfBatteriesFail,
  outlooksInRougherConditions,
  outlookWithoutPins,
  packsBrought,
  robustnessOf,
} from './outlooks';
import { unplacedTakes } from './unplaced';
import type { Beliefs } from './whatIf';

/** A plan on the way: a better one may come, none will, or all that is asked of it is told. */
export const planStages = ['better', 'best', 'whole'] as const;
export type PlanStage = (typeof planStages)[number];

/** A request, planned as far as it is known. */
export interface PlanSoFar {
  readonly plan: SwapPlan;
  readonly stage: PlanStage;
}

/**
 * Which takes on which battery, when, and what charges meanwhile, at the pilot's confidence. Ranks plans by `rank`; every flight it
 * names is flown step by step in every draw of the beliefs, and one that is not sure is never named. The request contradicts
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
 * The same as it gets better: first the plan alone, anew whenever a better one is found; then with why takes are left out of it; last
 * with all that is asked of it. `onTry` hears how far the search is, as a share of its tries.
 */
export function plansOf(
  request: PlanRequest,
  beliefs: Beliefs,
  onTry?: (share: number) => void,
): Outcome<Generator<PlanSoFar, void>> {
  const refusal = plannedPolicyProblem(request.policy);
  if (refusal) return { ok: false, refusal };
  const problem = problemOf(request, beliefs);
  if (problem.beliefs.some(({ draws }) => draws.length === 0))
    throw new RangeError('A plan at a confidence needs draws.');
  return success(plans(new Planner(problem), beliefs, onTry));
}

/** So often what would be with fewer batteries may show a plan that places more, and one that is better in details only once. */
const maxRounds = 4;

function* plans(
  planner: Planner,
  beliefs: Beliefs,
  onTry?: (share: number) => void,
): Generator<PlanSoFar, void> {
  let last: Candidate | null = null;
  for (last of planner.better(onTry)) yield { plan: describePlan(planner, last, false), stage: 'better' };
  let found = last as Candidate;
  let rougher: ReturnType<typeof outlooksInRougherConditions> | null = null;
  for (let round = 0; ; round++) {
    const planned = { planner, found };
    const alone = describePlan(planner, found, true);
    yield { plan: alone, stage: 'best' };
    const plan = { ...alone, unplaced: unplacedTakes(planned, beliefs) };
    if (plan.unplaced.length > 0) yield { plan, stage: 'best' };
    rougher ??= outlooksInRougherConditions(planned, beliefs);
    const met: Candidate[] = [];
    const failing = outlooksIfBatteriesFail(planned, met);
    const packs = packsBrought(planned, met);
    // Fewer packs cannot do better: a plan that does was overlooked.
    const better = planner.betterOf(met, found);
    const isMore = better !== null && placesMore(better.rank, found.rank);
    if (better && round < (isMore ? maxRounds : 1)) {
      found = better;
      if (isMore) rougher = null;
      continue;
    }
    const whole = {
      ...plan,
      robustness: robustnessOf(planned, [...rougher, ...failing]),
      packs,
      withoutPins: outlookWithoutPins(planned, beliefs),
      laterStart: laterStartOf(planned),
      complete: planner.problem.work.isComplete,
    };
    yield { plan: whole, stage: 'whole' };
    return;
  }
}
