import {
  beliefFrom,
  drawCountOf,
  type EstimateRequest,
  estimateInFull,
  type FrozenEstimate,
  fromTheBox,
  frozenEstimate,
  inSi,
  noDraws,
  type Outcome,
  type ProjectionRequest,
  projections,
  type ReturnRequest,
  reaches,
  returnInFull,
  usualDraws,
} from '@acorn-tally/core';
import { returnInSi } from './returnInSi';

interface Drawn {
  readonly draws?: number | null;
  readonly seed?: number | null;
}

/** All that is reckoned for a request: pure, from plain values to plain values, so that any thread can do it. */
export const jobs = {
  estimates({ draws, seed, ...request }: EstimateRequest & Drawn) {
    return mapped(
      estimateInFull(request, beliefFrom(fromTheBox, drawCountOf({ draws, seed }))),
      (answer) => ({
        ...answer,
        cautions: answer.cautions.map(inSi),
      }),
    );
  },
  returns({ draws, seed, ...request }: ReturnRequest & Drawn) {
    return mapped(returnInFull(request, beliefFrom(fromTheBox, drawCountOf({ draws, seed }))), returnInSi);
  },
  reaches({ draws: _d, seed: _s, ...request }: ReturnRequest & Drawn) {
    return reaches(request, beliefFrom(fromTheBox, noDraws));
  },
  projections(request: ProjectionRequest) {
    return projections(request, beliefFrom(fromTheBox, noDraws));
  },
  /** Of a test as it was flown, to be kept with it. */
  testEstimates(request: EstimateRequest): FrozenEstimate {
    return frozenEstimate(request, beliefFrom(fromTheBox, usualDraws));
  },
} as const;

function mapped<From, To>(outcome: Outcome<From>, map: (value: From) => To): Outcome<To> {
  return outcome.ok ? { ok: true, value: map(outcome.value) } : outcome;
}

export type JobName = keyof typeof jobs;
export type Asked<Name extends JobName> = Parameters<(typeof jobs)[Name]>[0];
export type Answered<Name extends JobName> = ReturnType<(typeof jobs)[Name]>;
