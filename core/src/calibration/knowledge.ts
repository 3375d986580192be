import { fromTheBox, type Knowledge, type Learned, packOfHealth } from '../belief/belief';
import { modelVersion } from './modelVersion';

/** Deviations of the priors: their names, their likeliest values, their covariance, and its lower triangle by row. */
export interface FitPosterior extends Learned {
  readonly covariance: readonly (readonly number[])[];
}

/** As much of a fit as a belief is made of. */
export interface SentFit {
  readonly id?: string | null;
  readonly modelVersion: string;
  readonly flown: number;
  readonly posterior: Pick<FitPosterior, 'names' | 'mean' | 'covariance'>;
}

/** A fit of ours as it is kept. */
export type KeptFit = SentFit & { readonly posterior: FitPosterior };

/** The belief's part of a fit of ours; from the box where it was made with other laws, whose deviations mean something else. */
export function knowledgeFrom({ id, modelVersion: its, flown, posterior }: KeptFit): Knowledge {
  if (its !== modelVersion) return fromTheBox;
  const { names, mean, factor } = posterior;
  return {
    basis: { source: 'fit', fitId: id ?? 'not kept', flights: flown },
    learned: { names, mean, factor },
  };
}

/** The pack that a fit knows, where it knows one only: then who names none means that one. */
export function onlyPackOf({ posterior }: Pick<SentFit, 'posterior'>): string | null {
  const packs = posterior.names.map(packOfHealth).filter((id) => id !== null);
  return packs.length === 1 ? (packs[0] as string) : null;
}
