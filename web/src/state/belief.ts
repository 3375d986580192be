import {
  type BatteryRecord,
  type Belief,
  beliefFrom,
  type Coefficients,
  coefficientsFor,
  fromTheBox,
  healthOf,
  type Knowledge,
  noDraws,
} from '@acorn-tally/core';

/** What is known of an aircraft, and its middle for what follows the hand; the draws are the workers'. */
export interface Believed {
  readonly known: Knowledge;
  readonly middle: Belief;
}

/** From the box alone, whichever aircraft: no flight has taught anything yet. */
const boxOnly: Believed = { known: fromTheBox, middle: beliefFrom(fromTheBox, noDraws) };

/** What is believed of an aircraft; where there is none, what is true of any. */
export function beliefAbout(_aircraft: { readonly id: string } | null): Believed {
  return boxOnly;
}

/** The likeliest constants of an aircraft, for what is told without draws. */
export function likeliest(aircraftId: string): Coefficients {
  return beliefAbout({ id: aircraftId }).middle.middle.coefficients;
}

/** The capacity left in a battery as a fraction of its label, as it is believed. */
export function believedHealth({ id, aircraftId, pack }: BatteryRecord): number {
  const { middle } = beliefAbout({ id: aircraftId }).middle;
  return healthOf(pack, coefficientsFor(middle, id, pack).healthDeviations);
}
