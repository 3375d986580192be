import { type ChosenUnits, type Dimension, inWords, type Sentence, written } from '@acorn-tally/core';
import { useMemo } from 'react';
import { usePreferences } from './preferences';

/** How numbers are written here: in the units the pilot chose. */
export interface Writer {
  readonly units: ChosenUnits;
  /** What the core says, in these units. */
  say(sentence: Sentence): string;
  /** One value in SI with its unit. */
  write(dimension: Dimension, si: number, digits?: number): string;
}

export function useWriter(): Writer {
  const units = usePreferences((state) => state.units);
  return useMemo(() => writerOf(units), [units]);
}

export function writerOf(units: ChosenUnits): Writer {
  return {
    units,
    say: (sentence) => inWords(sentence, units),
    write: (dimension, si, digits) => written(dimension, si, units, digits),
  };
}
