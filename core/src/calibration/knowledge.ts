import type { Knowledge, Learned } from '../belief/belief';

/** Deviations of the priors: their names, their likeliest values, their covariance, and its lower triangle by row. */
export interface FitPosterior extends Learned {
  readonly covariance: readonly (readonly number[])[];
}

/** As much of a fit as a belief is made of. */
export interface Taught {
  readonly id?: string | null;
  readonly flown: number;
  readonly posterior: Pick<FitPosterior, 'names' | 'mean' | 'covariance'>;
}

/** The belief's part of a fit of ours, as it is kept. */
export function knowledgeFrom({
  id,
  flown,
  posterior,
}: Taught & { readonly posterior: FitPosterior }): Knowledge {
  const { names, mean, factor } = posterior;
  return {
    basis: { source: 'fit', fitId: id ?? 'not kept', flights: flown },
    learned: { names, mean, factor },
  };
}
