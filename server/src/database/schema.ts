import type {
  AircraftContent,
  BatteryContent,
  ChargerContent,
  ConditionsContent,
  FrozenEstimate,
  ShootContent,
  TestFlightContent,
} from '@acorn-tally/core';
import { index, integer, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** The columns of every record. A deleted one stays for thirty days, so that it can be brought back. */
const kept = {
  id: text().primaryKey(),
  createdAt: text().notNull(),
  updatedAt: text().notNull(),
  version: integer().notNull(),
  deletedAt: text(),
};

/** A value that is read and written whole, never searched: see docs/decisions/001. */
const whole = <T>() => text({ mode: 'json' }).$type<T>().notNull();
const maybeWhole = <T>() => text({ mode: 'json' }).$type<T>();

export const aircraft = sqliteTable('aircraft', {
  ...kept,
  name: text().notNull(),
  spec: whole<AircraftContent['spec']>(),
  flight: whole<AircraftContent['flight']>(),
  policy: whole<AircraftContent['policy']>(),
  retiredOn: text(),
});

export const batteries = sqliteTable(
  'batteries',
  {
    ...kept,
    aircraftId: text()
      .notNull()
      .references(() => aircraft.id),
    label: text().notNull(),
    pack: whole<BatteryContent['pack']>(),
    keeping: maybeWhole<BatteryContent['keeping']>(),
  },
  (table) => [index('batteries_by_aircraft').on(table.aircraftId)],
);

export const chargers = sqliteTable('chargers', {
  ...kept,
  name: text().notNull(),
  charger: whole<ChargerContent['charger']>(),
});

export const conditions = sqliteTable('conditions', {
  ...kept,
  place: text().notNull(),
  at: text().notNull(),
  weather: whole<ConditionsContent['weather']>(),
  site: maybeWhole<ConditionsContent['site']>(),
  weatherFrom: maybeWhole<ConditionsContent['weatherFrom']>(),
  hours: maybeWhole<ConditionsContent['hours']>(),
  hoursFrom: maybeWhole<ConditionsContent['hoursFrom']>(),
  liftOff: maybeWhole<ConditionsContent['liftOff']>(),
});

export const testFlights = sqliteTable(
  'test_flights',
  {
    ...kept,
    aircraftId: text()
      .notNull()
      .references(() => aircraft.id),
    batteryId: text()
      .notNull()
      .references(() => batteries.id),
    flownAt: text().notNull(),
    test: whole<TestFlightContent['test']>(),
    weather: whole<TestFlightContent['weather']>(),
    note: text(),
    excludedReason: text(),
    liftOff: maybeWhole<TestFlightContent['liftOff']>(),
    confirmed: maybeWhole<TestFlightContent['confirmed']>(),
    estimate: whole<FrozenEstimate>(),
  },
  (table) => [
    index('test_flights_by_aircraft').on(table.aircraftId),
    index('test_flights_by_battery').on(table.batteryId),
  ],
);

export const shoots = sqliteTable(
  'shoots',
  {
    ...kept,
    name: text().notNull(),
    aircraftId: text()
      .notNull()
      .references(() => aircraft.id),
    batteryIds: whole<ShootContent['batteryIds']>(),
    startsAt: text().notNull(),
    swapTimeS: integer().notNull(),
    policy: whole<ShootContent['policy']>(),
    shots: whole<ShootContent['shots']>(),
  },
  (table) => [index('shoots_by_aircraft').on(table.aircraftId)],
);

export const tables = { aircraft, batteries, chargers, conditions, testFlights, shoots };
