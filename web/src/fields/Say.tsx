import type { Sentence } from '@acorn-tally/core';
import { useWriter } from '../state/units';

/** What the core says, in the units the pilot chose. */
export function Say({ sentence }: { readonly sentence: Sentence }) {
  return useWriter().say(sentence);
}
