import { and, eq, isNull } from 'drizzle-orm';
import { invalid } from '../http/problem';
import type { Database } from './database';
import { aircraft, batteries, shoots, testFlights } from './schema';

/** Who refers to a record, in words, so that nothing in use is deleted. */
export class References {
  constructor(private readonly database: Database) {}

  async toAircraft(id: string): Promise<string[]> {
    const { rows } = this.database;
    const packs = await rows
      .select({ label: batteries.label })
      .from(batteries)
      .where(and(eq(batteries.aircraftId, id), isNull(batteries.deletedAt)));
    const tests = await rows
      .select({ id: testFlights.id })
      .from(testFlights)
      .where(and(eq(testFlights.aircraftId, id), isNull(testFlights.deletedAt)));
    const plans = await rows
      .select({ name: shoots.name })
      .from(shoots)
      .where(and(eq(shoots.aircraftId, id), isNull(shoots.deletedAt)));
    return [
      ...packs.map((pack) => `battery ${pack.label}`),
      ...counted(tests.length),
      ...plans.map((plan) => `shoot ${plan.name}`),
    ];
  }

  async toBattery(id: string): Promise<string[]> {
    const { rows } = this.database;
    const tests = await rows
      .select({ id: testFlights.id })
      .from(testFlights)
      .where(and(eq(testFlights.batteryId, id), isNull(testFlights.deletedAt)));
    const plans = await rows.select().from(shoots).where(isNull(shoots.deletedAt));
    const users = plans.filter((plan) => plan.batteryIds.includes(id)).map((plan) => `shoot ${plan.name}`);
    return [...counted(tests.length), ...users];
  }

  /** Refuses a reference to an aircraft that is not there. */
  async requireAircraft(id: string): Promise<void> {
    const found = await this.database.rows
      .select({ id: aircraft.id })
      .from(aircraft)
      .where(and(eq(aircraft.id, id), isNull(aircraft.deletedAt)));
    if (found.length === 0)
      throw invalid([{ path: 'aircraftId', message: 'There is no such aircraft.', received: id }]);
  }

  /** Refuses batteries that are not there or belong to another aircraft. */
  async requireBatteriesOf(aircraftId: string, ids: readonly string[], path: string): Promise<void> {
    const own = await this.database.rows
      .select({ id: batteries.id })
      .from(batteries)
      .where(and(eq(batteries.aircraftId, aircraftId), isNull(batteries.deletedAt)));
    const known = new Set(own.map((battery) => battery.id));
    const strange = ids.filter((id) => !known.has(id));
    if (strange.length === 0) return;
    throw invalid(
      strange.map((id) => ({ path, message: 'This aircraft has no such battery.', received: id })),
    );
  }
}

function counted(tests: number): string[] {
  if (tests === 0) return [];
  return [tests === 1 ? 'one test flight' : `${tests} test flights`];
}
