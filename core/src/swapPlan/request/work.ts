import type { PlanEffort } from './request';

/**
 * What may be done for one request, in takes flown in one draw: some fifteen seconds of a small machine, and the same on any, so that
 * the same request has the same plan. A hundred takes on forty packs need a third of it for a first plan.
 */
const limits: Readonly<Record<PlanEffort, number>> = { quick: 300_000, usual: 1_200_000, long: 1_200_000 };
/** Of that the search may take so much, and giving its flights the best packs so much; the rest is for what is told of the plan. */
export const searchShare = 0.6;
export const packsShare = 0.7;
/** What other work costs, in takes flown: timing a flight; a stretch of a flight, and seeking its longest last take, in one draw. */
export const workOf = { timedFlight: 5, stretch: 0.2, longestTake: 8 } as const;

/** Counts the work on one request. */
export class Work {
  private done = 0;
  private wasCut = false;

  constructor(private readonly limit: number) {}

  static of(effort: PlanEffort): Work {
    return new Work(limits[effort]);
  }

  add(count: number): void {
    this.done += count;
  }

  /** What was done so far. */
  get count(): number {
    return this.done;
  }

  /** Whether a share of it is spent; who asks stops for it, so that the answer is not all it could be. */
  isSpent(share = 1): boolean {
    const isSpent = this.done >= this.limit * share;
    if (isSpent) this.wasCut = true;
    return isSpent;
  }

  /** Whether nothing was left undone for lack of it. */
  get isComplete(): boolean {
    return !this.wasCut;
  }
}
