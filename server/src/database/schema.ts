import type {
  AircraftContent,
  BatteryContent,
  ChargerContent,
  DayContent,
  FitContent,
  FrozenEstimate,
  KeptPlanContent,
  LiftOffContent,
  PlaceContent,
  ShootContent,
  TestFlightContent,
  TimedChargeContent,
} from '@acorn-tally/core';
import { customType, index, integer, primaryKey, real, sqliteTable, text } from 'drizzle-orm/sqlite-core';

/** The columns of every record. A deleted one stays for thirty days, so that it can be brought back. */
const kept = {
  id: text().primaryKey(),
  createdAt: text().notNull(),
  updatedAt: text().notNull(),
  version: integer().notNull(),
  deletedAt: text(),
};

/** JSON as text. What is none is given as it stands, so that the check of its record says so and the others are read. */
const json = customType<{ data: unknown; driverData: string }>({
  dataType: () => 'text',
  toDriver: (value) => JSON.stringify(value),
  fromDriver: (kept) => {
    try {
      return JSON.parse(kept);
    } catch {
      return kept;
    }
  },
});

/** A value that is read and written whole, never searched: see docs/decisions/001. */
const whole = <T>() => json().$type<T>().notNull();
const maybeWhole = <T>() => json().$type<T>();

export const aircraft = sqliteTable('aircraft', {
  ...kept,
  name: text().notNull(),
  spec: whole<AircraftContent['spec']>(),
  flight: whole<AircraftContent['flight']>(),
  policy: whole<AircraftContent['policy']>(),
  retiredOn: text(),
  currentFitId: text(),
  takesFits: integer({ mode: 'boolean' }),
  recordings: maybeWhole<AircraftContent['recordings']>(),
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

export const places = sqliteTable('places', {
  ...kept,
  name: text().notNull(),
  elevationM: real().notNull(),
  roughnessM: real(),
  coordinates: maybeWhole<PlaceContent['coordinates']>(),
  timeZone: text(),
  tallestM: real(),
  ceilingM: real(),
  obstacles: maybeWhole<PlaceContent['obstacles']>(),
  landingPlaces: maybeWhole<PlaceContent['landingPlaces']>(),
  launchPlaces: maybeWhole<PlaceContent['launchPlaces']>(),
  home: maybeWhole<PlaceContent['home']>(),
  below: text().$type<PlaceContent['below']>(),
});

export const days = sqliteTable(
  'days',
  {
    ...kept,
    placeId: text()
      .notNull()
      .references(() => places.id),
    at: text().notNull(),
    weather: whole<DayContent['weather']>(),
    weatherFrom: maybeWhole<DayContent['weatherFrom']>(),
    hours: maybeWhole<DayContent['hours']>(),
    hoursFrom: maybeWhole<DayContent['hoursFrom']>(),
  },
  (table) => [index('days_by_place').on(table.placeId)],
);

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
    purpose: text().$type<TestFlightContent['purpose']>(),
    test: whole<TestFlightContent['test']>(),
    weather: whole<TestFlightContent['weather']>(),
    note: text(),
    excludedReason: text(),
    liftOff: maybeWhole<TestFlightContent['liftOff']>(),
    confirmed: maybeWhole<TestFlightContent['confirmed']>(),
    source: maybeWhole<TestFlightContent['source']>(),
    estimatedAt: text(),
    estimate: whole<FrozenEstimate>(),
  },
  (table) => [
    index('test_flights_by_aircraft').on(table.aircraftId),
    index('test_flights_by_battery').on(table.batteryId),
  ],
);

/** The samples a flight was read from, in parts; no record of its own. */
export const telemetry = sqliteTable(
  'telemetry',
  {
    flightId: text()
      .notNull()
      .references(() => testFlights.id, { onDelete: 'cascade' }),
    part: integer().notNull(),
    text: text().notNull(),
  },
  (table) => [primaryKey({ columns: [table.flightId, table.part] })],
);

export const timedCharges = sqliteTable(
  'timed_charges',
  {
    ...kept,
    chargerId: text()
      .notNull()
      .references(() => chargers.id),
    batteryId: text()
      .notNull()
      .references(() => batteries.id),
    way: text().$type<TimedChargeContent['way']>().notNull(),
    startedAt: text().notNull(),
    marks: whole<TimedChargeContent['marks']>(),
    note: text(),
  },
  (table) => [
    index('timed_charges_by_charger').on(table.chargerId),
    index('timed_charges_by_battery').on(table.batteryId),
  ],
);

/** Kept whole: a fit is read as it was made, and never changed. */
export const fits = sqliteTable(
  'fits',
  {
    ...kept,
    aircraftId: text()
      .notNull()
      .references(() => aircraft.id),
    madeAt: text().notNull(),
    basisState: text().notNull(),
    flights: whole<FitContent['flights']>(),
    fit: whole<FitContent['fit']>(),
  },
  (table) => [index('fits_by_aircraft').on(table.aircraftId)],
);

export const shoots = sqliteTable(
  'shoots',
  {
    ...kept,
    name: text().notNull(),
    aircraftId: text()
      .notNull()
      .references(() => aircraft.id),
    dayId: text()
      .notNull()
      .references(() => days.id),
    startsAt: text().notNull(),
    swapTimeS: real().notNull(),
    policy: whole<ShootContent['policy']>(),
    shots: whole<ShootContent['shots']>(),
    endsAt: text(),
    order: text().$type<ShootContent['order']>(),
    chargerIds: maybeWhole<ShootContent['chargerIds']>(),
    coolingS: real(),
    otherAircraftId: text().references(() => aircraft.id),
    swapParts: maybeWhole<ShootContent['swapParts']>(),
    moving: maybeWhole<ShootContent['moving']>(),
    locks: maybeWhole<ShootContent['locks']>(),
    leftOutIds: maybeWhole<ShootContent['leftOutIds']>(),
  },
  (table) => [index('shoots_by_aircraft').on(table.aircraftId), index('shoots_by_day').on(table.dayId)],
);

/** The batteries of a shoot, in the order of use. */
export const shootBatteries = sqliteTable(
  'shoot_batteries',
  {
    shootId: text()
      .notNull()
      .references(() => shoots.id, { onDelete: 'cascade' }),
    batteryId: text()
      .notNull()
      .references(() => batteries.id),
    position: integer().notNull(),
  },
  (table) => [
    primaryKey({ columns: [table.shootId, table.position] }),
    index('shoot_batteries_by_battery').on(table.batteryId),
  ],
);

/** Kept whole: what the pilot read is never changed. */
export const plans = sqliteTable(
  'plans',
  {
    ...kept,
    shootId: text()
      .notNull()
      .references(() => shoots.id),
    keptAt: text().notNull(),
    request: whole<KeptPlanContent['request']>(),
    plan: whole<KeptPlanContent['plan']>(),
  },
  (table) => [index('plans_by_shoot').on(table.shootId)],
);

export const liftOffs = sqliteTable(
  'lift_offs',
  {
    ...kept,
    batteryId: text()
      .notNull()
      .references(() => batteries.id),
    ticked: whole<LiftOffContent['ticked']>(),
  },
  (table) => [index('lift_offs_by_battery').on(table.batteryId)],
);

/** What became of a write that named a key of its own: asked again with the same key, it is answered from here. */
export const writtenOnce = sqliteTable('written_once', {
  key: text().primaryKey(),
  /** What was asked, as a hash: the same key for another request is refused. */
  asked: text().notNull(),
  recordId: text().notNull(),
  version: integer().notNull(),
  createdAt: text().notNull(),
  updatedAt: text().notNull(),
});

export const tables = {
  places,
  days,
  aircraft,
  batteries,
  chargers,
  testFlights,
  timedCharges,
  fits,
  shoots,
  plans,
  liftOffs,
};
