import type { Fit, FitRequest } from '../calibration/fit';
import { modelVersion } from '../calibration/modelVersion';
import { fingerprint } from '../units/fingerprint';
import type { Kept } from './records';

/** A flight that a fit was made of, and a short text that differs once anything of it does that the fit depends on. */
export interface FlightState {
  readonly id: string;
  readonly state: string;
}

/** A fit as it is kept: with the flights it was made of as they were then. It is never changed. */
export interface FitContent {
  readonly aircraftId: string;
  readonly madeAt: string;
  /** Of spec sheet and model together: another one would make another fit of the same flights. */
  readonly basisState: string;
  readonly flights: readonly FlightState[];
  readonly fit: Fit;
}

/** What a fit of these flights would rest on; a fit with the same one is that very fit, but for cycles and months that were added since. */
export function basisOf({
  aircraft,
  batteries,
  flights,
}: FitRequest): Pick<FitContent, 'basisState' | 'flights'> {
  const packs = new Map(batteries.map(({ cycles: _c, ageYears: _a, ...pack }) => [pack.id, pack]));
  return {
    basisState: fingerprint(JSON.stringify([modelVersion, aircraft])),
    flights: flights
      .filter(({ excludedReason }) => excludedReason == null)
      .map((flight) => ({
        id: flight.id,
        state: fingerprint(JSON.stringify([flight, packs.get(flight.batteryId)])),
      })),
  };
}

export interface FitChanges {
  readonly added: number;
  readonly changed: number;
  readonly gone: number;
  /** The spec sheet or the model is another. */
  readonly otherBasis: boolean;
}

/** What is different now from what a fit was made of; null where nothing is. */
export function changesSince(
  then: Pick<FitContent, 'basisState' | 'flights'>,
  now: Pick<FitContent, 'basisState' | 'flights'>,
): FitChanges | null {
  const before = new Map(then.flights.map(({ id, state }) => [id, state]));
  const after = new Set(now.flights.map(({ id }) => id));
  const changes = {
    added: now.flights.filter(({ id }) => !before.has(id)).length,
    changed: now.flights.filter(({ id, state }) => before.has(id) && before.get(id) !== state).length,
    gone: then.flights.filter(({ id }) => !after.has(id)).length,
    otherBasis: then.basisState !== now.basisState,
  };
  const same = changes.added + changes.changed + changes.gone === 0 && !changes.otherBasis;
  return same ? null : changes;
}

/** A fit as a list gives it: without what came of each flight, which grows with their number and follows from them again. */
export type ListedFit = Kept &
  Omit<FitContent, 'fit'> & { readonly fit: Omit<Fit, 'flights' | 'nextTests' | 'findings'> };

export function listedFit({ fit, ...record }: Kept & FitContent): ListedFit {
  const { flights: _f, nextTests: _n, findings: _w, ...short } = fit;
  return { ...record, fit: short };
}
