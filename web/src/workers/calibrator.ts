import {
  type Fit,
  type FitPosterior,
  type FitRequest,
  fitOf,
  type NextTest,
  nextTestsAfter,
  type Outcome,
} from '@acorn-tally/core';
import { expose } from 'comlink';

/** Learns from flights away from the thread that draws; one that is no longer wanted is ended as a whole. */
const calibrator = {
  fit(request: FitRequest, progress: (share: number) => void): Outcome<Fit> {
    return fitOf(request, progress);
  },

  /** Which test would narrow the planned flight most, after a fit. */
  nextTests(request: FitRequest, posterior: FitPosterior): NextTest[] {
    return nextTestsAfter(request, posterior);
  },
};

export type Calibrator = typeof calibrator;

expose(calibrator);
