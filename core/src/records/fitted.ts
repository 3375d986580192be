import { agedPack } from '../battery/keeping';
import type { Fit, FitRequest } from '../calibration/fit';
import { maxFlightsOfFit } from '../calibration/limits';
import { modelVersion } from '../calibration/modelVersion';
import type { PlannedFlight } from '../calibration/nextTests';
import type { CalibrationFlight } from '../calibration/predicted';
import type { PackAsKept } from '../calibration/unknowns';
import { patternMix } from '../testFlights/testFlight';
import { fingerprint } from '../units/fingerprint';
import type { AircraftRecord, BatteryRecord, Kept, TestFlightContent } from './records';

/** A test flight with whether it counts: not excluded, and nothing odd about it unanswered. */
export type CountedTest = TestFlightContent & { readonly id: string; readonly counts: boolean };

/** What a fit of an aircraft is made of: its latest flights in the order in which they were flown, and its batteries. */
export function fitRequestFor(
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  tests: readonly CountedTest[],
  planned: PlannedFlight | null,
): FitRequest {
  const own = batteries.filter(({ aircraftId }) => aircraftId === aircraft.id);
  const known = new Set(own.map(({ id }) => id));
  const flown = tests
    .filter(({ aircraftId, batteryId }) => aircraftId === aircraft.id && known.has(batteryId))
    .sort((a, b) => Date.parse(a.flownAt) - Date.parse(b.flownAt) || (a.id < b.id ? -1 : 1))
    .slice(-maxFlightsOfFit);
  return {
    aircraft: aircraft.spec,
    batteries: own.map((battery) => ({ ...asKept(agedAtLastFlight(battery, flown)), id: battery.id })),
    flights: flown.map(flightToLearnFrom),
    planned,
  };
}

/** As old as it was when it flew last, so that a fit stays the same until another flight comes. */
function agedAtLastFlight(battery: BatteryRecord, flown: readonly CountedTest[]): BatteryRecord['pack'] {
  const last = flown.findLast(({ batteryId }) => batteryId === battery.id);
  return last ? agedPack(battery, last.flownAt) : battery.pack;
}

function asKept({
  startCharge: _c,
  startTemperatureC: _t,
  ...pack
}: BatteryRecord['pack']): Omit<PackAsKept, 'id'> {
  return { ...pack, daysSinceCharge: null };
}

/** A test flight as calibration takes it: readings apart from what the aircraft did of itself. */
export function flightToLearnFrom({
  id,
  batteryId,
  purpose,
  weather,
  test,
  counts,
  excludedReason,
}: CountedTest): CalibrationFlight {
  const marks = test.checkpoints ?? [];
  return {
    id,
    batteryId,
    purpose: purpose ?? 'test',
    conditions: weather,
    startCharge: test.startCharge,
    startTemperatureC: test.startTemperatureC ?? null,
    flight: { heightM: test.heightM, mix: patternMix(test), recordingLoadW: test.recordingLoadW ?? null },
    addedMassKg: test.addedMassKg ?? null,
    checkpoints: marks.map(({ timeS, charge, cellVoltageV }) => ({ timeS, charge, cellVoltageV })),
    events: marks.flatMap(({ kind, timeS, charge }) => (kind ? [{ kind, timeS, charge }] : [])),
    end: { timeS: test.durationS, charge: test.endCharge },
    excludedReason: counts ? null : (excludedReason ?? 'asked about'),
  };
}

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
