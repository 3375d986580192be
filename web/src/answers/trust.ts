import { type AircraftRecord, type Basis, minutesAndSeconds } from '@acorn-tally/core';
import { countInWords } from '../fields/percent';
import { currentFit } from '../state/belief';

/** "nine flights", "one flight". */
export function flightsInWords(count: number): string {
  return `${countInWords(count)} ${count === 1 ? 'flight' : 'flights'}`;
}

/** "the box only", "nine flights". */
export function basisInWords(basis: Basis): string {
  return basis.source === 'box' ? 'the spec sheet only' : flightsInWords(basis.flights);
}

/** What the minutes of an aircraft rest on: "from the box only", "from nine flights of Jay, typical miss 0:35". */
export function trustInWords({ id, name }: Pick<AircraftRecord, 'id' | 'name'>): string {
  const record = currentFit(id);
  if (!record) return 'spec sheet only, no test flights yet';
  const { flown, leaveOneOut } = record.fit;
  const miss = leaveOneOut ? `, typical miss ${minutesAndSeconds(leaveOneOut.medianMissS)}` : '';
  return `from ${flightsInWords(flown)} of ${name}${miss}`;
}
