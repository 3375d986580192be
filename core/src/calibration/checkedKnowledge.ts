import { type Knowledge, packOfHealth, type UnknownName } from '../belief/belief';
import { priors } from '../belief/priors';
import { type Outcome, refuse, success } from '../units/outcome';
import type { SentFit } from './knowledge';
import { modelVersion } from './modelVersion';
import { learnedFrom } from './posterior';

/** What is not symmetric to this is no covariance. */
const symmetricWithin = 1e-9;
/** Flights never make a prior wider, and no aircraft lies so many deviations away from it. */
const maxVariance = 1.0001;
const maxDeviations = 20;

/**
 * The belief's part of a fit that was sent: drawn by its covariance, whatever else it says. Refused where its numbers do not go
 * together, its covariance is none, or it names what this model does not know.
 */
export function checkedKnowledge({ id, modelVersion: its, flown, posterior }: SentFit): Outcome<Knowledge> {
  if (its !== modelVersion) {
    return refuse(
      'not-a-fit',
      'This fit was made with version {its} of the model, and this is version {ours}: fit the flights anew.',
      { its, ours: modelVersion },
    );
  }
  const { names, mean, covariance } = posterior;
  const isWhole =
    names.length > 0 &&
    mean.length === names.length &&
    covariance.length === names.length &&
    covariance.every(
      (row, i) =>
        row.length === names.length &&
        row.every((value, k) => Math.abs(value - (covariance[k]?.[i] ?? Number.NaN)) <= symmetricWithin),
    );
  const isSane =
    mean.every((value) => Math.abs(value) <= maxDeviations) &&
    covariance.every((row, i) => (row[i] as number) <= maxVariance);
  const learned = isWhole && isSane ? learnedFrom(names, mean, covariance) : null;
  if (!learned) {
    return refuse(
      'not-a-fit',
      'The posterior of this fit is none: it takes as many means as names, each within 20 deviations of its prior, and their covariance, symmetric, positive, and no wider than the prior.',
    );
  }
  const strange = names.find((name) => !isKnown(name));
  if (strange !== undefined || new Set(names).size < names.length) {
    return refuse(
      'not-a-fit',
      'The posterior of this fit names what this model does not know, or one thing twice: {name}.',
      {
        name: strange ?? 'twice the same',
      },
    );
  }
  return success({ basis: { source: 'fit', fitId: id ?? 'not kept', flights: flown }, learned });
}

function isKnown(name: UnknownName): boolean {
  return Object.hasOwn(priors, name) || packOfHealth(name) !== null;
}
