import { type ChosenUnits, type Dimension, inChosenUnits, written } from '@acorn-tally/core';
import { useMemo } from 'react';
import { useChosen } from './chosen';

/** How numbers are written here: in the units the pilot chose. */
export interface Writer {
  readonly units: ChosenUnits;
  /** A sentence whose numbers are metric, each with its unit after it. */
  say(sentence: string): string;
  /** One value in SI with its unit. */
  write(dimension: Dimension, si: number, digits?: number): string;
}

export function useWriter(): Writer {
  const units = useChosen((state) => state.units);
  return useMemo(() => writerOf(units), [units]);
}

export function writerOf(units: ChosenUnits): Writer {
  return {
    units,
    say: (sentence) => inChosenUnits(sentence, units),
    write: (dimension, si, digits) => written(dimension, si, units, digits),
  };
}
