import type {
  AircraftContent,
  BatteryContent,
  ChargerContent,
  ConditionsContent,
  FrozenEstimate,
  ShootContent,
  TestFlightContent,
} from '@acorn-tally/core';
import { Injectable } from '@nestjs/common';
import { Database } from './database';
import { RecordStore } from './recordStore';
import { References } from './references';
import { aircraft, batteries, chargers, conditions, shoots, testFlights } from './schema';

/** One store for each kind of record. */
@Injectable()
export class Stores {
  readonly aircraft: RecordStore<AircraftContent>;
  readonly batteries: RecordStore<BatteryContent>;
  readonly chargers: RecordStore<ChargerContent>;
  readonly conditions: RecordStore<ConditionsContent>;
  readonly testFlights: RecordStore<TestFlightContent, { readonly estimate: FrozenEstimate }>;
  readonly shoots: RecordStore<ShootContent>;
  readonly references: References;

  constructor(readonly database: Database) {
    this.references = new References(database);
    this.aircraft = new RecordStore(database, aircraft, 'aircraft');
    this.batteries = new RecordStore(database, batteries, 'battery');
    this.chargers = new RecordStore(database, chargers, 'charger');
    this.conditions = new RecordStore(database, conditions, 'conditions');
    this.testFlights = new RecordStore(database, testFlights, 'test flight');
    this.shoots = new RecordStore(database, shoots, 'shoot');
  }
}
