import { agedPack } from '../battery/keeping';
import type { FitRequest } from '../calibration/fit';
import { maxFlightsOfFit } from '../calibration/limits';
import type { PlannedFlight } from '../calibration/nextTests';
import type { CalibrationFlight } from '../calibration/predicted';
import type { PackAsKept } from '../calibration/unknowns';
import type { AircraftRecord, BatteryRecord, TestFlightContent } from '../records/records';
import { patternMix } from '../testFlights/testFlight';

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
