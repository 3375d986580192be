import {
  type AircraftRecord,
  agedPack,
  type BatteryRecord,
  type Belief,
  type Coefficients,
  coefficientsFor,
  fromTheBox,
  healthOf,
  type Knowledge,
  knowledgeFrom,
  type ListedFit,
  middleBelief,
  modelVersion,
} from '@acorn-tally/core';
import { useRecords } from '../records/records';

/** What is known of an aircraft, and its middle for what follows the hand; the draws are the workers'. */
export interface Believed {
  readonly known: Knowledge;
  readonly middle: Belief;
}

/** From the box alone, whichever aircraft: no flight has taught anything yet. */
const boxOnly = believing(fromTheBox);

/** What fits made, by fit: they never change. */
const byFit = new Map<string, Believed>();

function believing(known: Knowledge): Believed {
  return { known, middle: middleBelief(known) };
}

/** The current fit of an aircraft; null where it flies from the box, or the fit was made with other laws. */
export function currentFit(aircraftId: string): ListedFit | null {
  const { aircraft, fits } = useRecords.getState();
  const record = aircraft.find((one) => one.id === aircraftId);
  return record ? currentOf(record, fits) : null;
}

/** The same among the fits that are given. */
export function currentOf(
  { id, currentFitId }: Pick<AircraftRecord, 'id' | 'currentFitId'>,
  fits: readonly ListedFit[],
): ListedFit | null {
  const fit = currentFitId ? fits.find((one) => one.id === currentFitId && one.aircraftId === id) : undefined;
  return fit?.fit.modelVersion === modelVersion ? fit : null;
}

/** What is believed of an aircraft by its current fit; where there is none, what is true of any. */
export function beliefAbout(aircraft: { readonly id: string } | null): Believed {
  const record = aircraft && currentFit(aircraft.id);
  return record ? beliefBy(record) : boxOnly;
}

export function beliefBy({ id, fit }: ListedFit): Believed {
  const believed = byFit.get(id) ?? believing(knowledgeFrom({ ...fit, id }));
  byFit.set(id, believed);
  return believed;
}

/** The likeliest constants of an aircraft, for what is told without draws. */
export function likeliest(aircraftId: string): Coefficients {
  return beliefAbout({ id: aircraftId }).middle.middle.coefficients;
}

/** The capacity left in a battery as a fraction of its label, as it is believed. */
export function believedHealth({ id, aircraftId, pack, keeping }: BatteryRecord): number {
  const { middle } = beliefAbout({ id: aircraftId }).middle;
  const now = agedPack({ pack, keeping }, new Date().toISOString());
  return healthOf(now, coefficientsFor(middle, id, pack).healthDeviations);
}

/** What the current fit says of a pack, whatever was typed; null where no flight of it taught anything. */
export function learntOf({ id, aircraftId }: Pick<BatteryRecord, 'id' | 'aircraftId'>) {
  const pack = currentFit(aircraftId)?.fit.batteries.find((one) => one.id === id);
  return pack && pack.learned > 0 ? pack : null;
}
