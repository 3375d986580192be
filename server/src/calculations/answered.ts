import type { Outcome } from '@acorn-tally/core';
import { refused } from '../http/problem';

/** The value of an outcome; a refusal becomes a 422 with its reason and numbers. */
export function answered<T>(outcome: Outcome<T>): T {
  if (outcome.ok) return outcome.value;
  throw refused(outcome.refusal);
}
