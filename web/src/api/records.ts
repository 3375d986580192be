import type {
  AircraftContent,
  AircraftRecord,
  BatteryContent,
  BatteryRecord,
  ChargerContent,
  ChargerRecord,
  ConditionsContent,
  ConditionsRecord,
  Kept,
  ShootContent,
  ShootRecord,
  TestFlightContent,
  TestFlightRecord,
} from '@acorn-tally/core';
import { call } from './client';

/** Every kind of record: its content as sent, and the record as kept. */
export interface Kinds {
  aircraft: { content: AircraftContent; record: AircraftRecord };
  batteries: { content: BatteryContent; record: BatteryRecord };
  chargers: { content: ChargerContent; record: ChargerRecord };
  conditions: { content: ConditionsContent; record: ConditionsRecord };
  testFlights: { content: TestFlightContent; record: TestFlightRecord };
  shoots: { content: ShootContent; record: ShootRecord };
}
export type Kind = keyof Kinds;
export type Content<K extends Kind> = Kinds[K]['content'];
export type RecordOf<K extends Kind> = Kinds[K]['record'];

const paths: Record<Kind, string> = {
  aircraft: '/aircraft',
  batteries: '/batteries',
  chargers: '/chargers',
  conditions: '/conditions',
  testFlights: '/test-flights',
  shoots: '/shoots',
};

export const kinds = Object.keys(paths) as readonly Kind[];

export async function listAll<K extends Kind>(kind: K): Promise<RecordOf<K>[]> {
  const items: RecordOf<K>[] = [];
  let cursor: string | null = null;
  do {
    const query: string = cursor === null ? '' : `?cursor=${encodeURIComponent(cursor)}`;
    const page = await call<{ items: RecordOf<K>[]; nextCursor: string | null }>(
      'GET',
      `${paths[kind]}${query}`,
    );
    items.push(...page.items);
    cursor = page.nextCursor;
  } while (cursor !== null);
  return items;
}

export function createRecord<K extends Kind>(kind: K, content: Content<K>): Promise<RecordOf<K>> {
  return call('POST', paths[kind], content);
}

/** Writes the whole record over the version it names. */
export function replaceRecord<K extends Kind>(kind: K, record: RecordOf<K>): Promise<RecordOf<K>> {
  return call('PUT', `${paths[kind]}/${record.id}`, { ...contentOf(record), version: record.version });
}

export function removeRecord(kind: Kind, id: string): Promise<void> {
  return call('DELETE', `${paths[kind]}/${id}`);
}

export function restoreRecord<K extends Kind>(kind: K, id: string): Promise<RecordOf<K>> {
  return call('POST', `${paths[kind]}/${id}/restore`);
}

function contentOf(record: Kept & { readonly estimate?: unknown }): object {
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, estimate: _e, ...content } = record;
  return content;
}
