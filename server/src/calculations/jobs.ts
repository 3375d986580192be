import {
  type Belief,
  beliefFrom,
  checkedKnowledge,
  type DrawCount,
  defaultDraws,
  drawCountOf,
  type EstimateRequest,
  estimateInFull,
  type Fit,
  type FitRequest,
  type FrozenEstimate,
  fitOf,
  fromTheBox,
  frozenEstimate,
  inSi,
  type Knowledge,
  noDraws,
  type Outcome,
  onlyPackOf,
  type PlanAircraft,
  type PlanRequest,
  type Projection,
  type ProjectionRequest,
  planSwaps,
  projections,
  type ReturnRequest,
  reaches,
  returnInFull,
  type SentFit,
  success,
} from '@acorn-tally/core';
import { planInSi } from './planInSi';
import { returnInSi } from './returnInSi';

interface Drawn {
  readonly draws?: number | null;
  readonly seed?: number | null;
}

/** What a request may bring of what flights taught. */
interface Known {
  readonly fit?: SentFit | null;
}

/** All that is computed for a request: pure, from plain values to plain values, so that any thread can do it. */
export const jobs = {
  estimates({ fit, draws, seed, ...request }: EstimateRequest & Drawn & Known) {
    return believed(fit, drawCountOf({ draws, seed }, request.policy), (belief) =>
      mapped(estimateInFull(withPack(request, fit), belief), (answer) => ({
        ...answer,
        cautions: answer.cautions.map(inSi),
      })),
    );
  },
  returns({ fit, draws, seed, ...request }: ReturnRequest & Drawn & Known) {
    return believed(fit, drawCountOf({ draws, seed }, request.policy), (belief) =>
      mapped(returnInFull(withPack(request, fit), belief), returnInSi),
    );
  },
  reaches({ fit, draws: _d, seed: _s, ...request }: ReturnRequest & Drawn & Known) {
    return believed(fit, noDraws, (belief) => reaches(withPack(request, fit), belief));
  },
  projections({ fit, ...request }: ProjectionRequest & Known): Outcome<{ readonly schools: Projection[] }> {
    return believed(fit, noDraws, (belief) =>
      success({ schools: projections(withPack(request, fit), belief) }),
    );
  },
  calibrations({ draws: _d, seed: _s, ...request }: FitRequest & Drawn): Outcome<Fit> {
    return fitOf(request);
  },
  swapPlans({ draws, seed, ...request }: PlanRequest & Drawn): Outcome<ReturnType<typeof planInSi>> {
    const beliefs: Record<string, Belief> = {};
    for (const { id, fit } of request.aircraft as readonly (PlanAircraft & Known)[]) {
      const known = fit ? checkedKnowledge(fit) : success(fromTheBox);
      if (!known.ok) return known;
      beliefs[id] = beliefFrom(known.value, drawCountOf({ draws, seed }, request.policy));
    }
    return mapped(planSwaps(request, beliefs), planInSi);
  },
  /** Of a test as it was flown, to be kept with it; by the fit that was current then. */
  testEstimates({
    request,
    known,
  }: {
    readonly request: EstimateRequest;
    readonly known: Knowledge;
  }): FrozenEstimate {
    return frozenEstimate(request, beliefFrom(known, defaultDraws));
  },
} as const;

/** The battery of the request; that of the fit where it knows one only and none is named. */
function withPack<Request extends { readonly batteryId?: string | null }>(
  request: Request,
  fit: SentFit | null | undefined,
): Request {
  return fit && request.batteryId == null ? { ...request, batteryId: onlyPackOf(fit) } : request;
}

/** By the fit that was sent, else from the box. */
function believed<Answer>(
  fit: SentFit | null | undefined,
  drawn: DrawCount,
  answer: (belief: Belief) => Outcome<Answer>,
): Outcome<Answer> {
  const known = fit ? checkedKnowledge(fit) : success(fromTheBox);
  return known.ok ? answer(beliefFrom(known.value, drawn)) : known;
}

function mapped<From, To>(outcome: Outcome<From>, map: (value: From) => To): Outcome<To> {
  return outcome.ok ? { ok: true, value: map(outcome.value) } : outcome;
}

export type JobName = keyof typeof jobs;
export type JobRequest<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0];
export type JobAnswer<Name extends JobName> = ReturnType<(typeof jobs)[Name]>;
