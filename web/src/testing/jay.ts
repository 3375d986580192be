import {
  type AircraftRecord,
  asPlanned,
  type BatteryRecord,
  bandsOf,
  type DayRecord,
  dayAtPlace,
  type EstimateRequest,
  estimate,
  type PlaceRecord,
  plannedIn,
} from '@acorn-tally/core';
import { answered } from '../../../core/fixtures/answered';
import { boxDrawn } from '../../../core/fixtures/beliefs';
import type { ShownFlight } from '../charts/flightLines';

/** The Jay of the example, for tests of the interface. */
const kept = { createdAt: '2026-11-25T08:00:00Z', updatedAt: '2026-11-25T08:00:00Z', version: 1 };

export const jay: AircraftRecord = {
  ...kept,
  id: 'jay',
  name: 'Jay',
  spec: {
    kind: 'camera',
    takeoffMassKg: 0.249,
    rotorCount: 4,
    advertisedFlightTimeS: 1860,
    advertisedSpeedMps: 5.5,
  },
  flight: { heightM: 30, farthestM: 100, bearingDeg: 0, mix: [{ style: 'hover', share: 1 }] },
  policy: { kind: 'touch-down-charge', reserveCharge: 0.25 },
};

export const jay1: BatteryRecord = {
  ...kept,
  id: 'jay-1',
  aircraftId: 'jay',
  label: 'Jay 1',
  pack: {
    ratedCapacityMah: 2350,
    nominalVoltageV: 7.7,
    cellCount: 2,
    fullCellVoltageV: 4.4,
    startCharge: 0.9,
  },
};

export const fellPlace: PlaceRecord = { ...kept, id: 'fell', name: 'Hollin Fell dairy', elevationM: 0 };

export const fellDay: DayRecord = {
  ...kept,
  id: 'fell-day',
  placeId: 'fell',
  at: '2026-11-26T08:40:00Z',
  weather: { airTemperatureC: 15, wind: { speedMps: 2, fromDeg: 0, readingHeightM: 10 } },
};

export const fell = dayAtPlace(fellDay, fellPlace);

export const jayRequest: EstimateRequest = {
  aircraft: jay.spec,
  battery: jay1.pack,
  conditions: fell.weather,
  flight: jay.flight,
  policy: jay.policy,
};

const belief = boxDrawn(64);
const middle = answered(estimate(jayRequest, belief));
const [band] = bandsOf([jayRequest], belief);
const planned = band ? plannedIn(band) : null;

/** Its flight before and after it is known what to plan. */
export const flightUnplanned: ShownFlight = {
  estimate: middle,
  events: middle.events,
  planned: null,
  fresh: false,
};
export const flightAsPlanned: ShownFlight = {
  estimate: middle,
  events: planned ? answered(asPlanned(jayRequest, belief, planned)).events : [],
  planned,
  fresh: true,
};
