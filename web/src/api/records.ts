import {
  type AircraftContent,
  type AircraftRecord,
  type BatteryContent,
  type BatteryRecord,
  type ChargerContent,
  type ChargerRecord,
  type ConditionsContent,
  type ConditionsRecord,
  type FrozenEstimate,
  type Kept,
  type ListedTest,
  listedTest,
  type ShootContent,
  type ShootRecord,
  type TestFlightContent,
  type TestFlightRecord,
  type TestOutcome,
} from '@acorn-tally/core';
import { call } from './client';
import { rememberZone } from './zones';

/** Every kind of record: its content as sent, and the record as kept. */
export interface Kinds {
  aircraft: { content: AircraftContent; record: AircraftRecord };
  batteries: { content: BatteryContent; record: BatteryRecord };
  chargers: { content: ChargerContent; record: ChargerRecord };
  conditions: { content: ConditionsContent; record: ConditionsRecord };
  /** The estimate frozen with a flight is read by itself. */
  testFlights: { content: TestFlightContent; record: ListedTest };
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
    const page = await call<Page<K>>('GET', `${paths[kind]}${query}`);
    items.push(...page.items.map((item) => withTold(item, page.told[item.id])));
    cursor = page.nextCursor;
  } while (cursor !== null);
  return items;
}

export async function createRecord<K extends Kind>(kind: K, content: Content<K>): Promise<RecordOf<K>> {
  return asListed(kind, await call('POST', paths[kind], content));
}

/** The estimate kept with a test flight when it was recorded. */
export function frozenEstimateOf(testFlightId: string): Promise<FrozenEstimate> {
  return call('GET', `${paths.testFlights}/${testFlightId}/estimate`);
}

/** What a list tells beside its records: the outcome of a test, the zone in which the coordinates of a place lie. */
interface Page<K extends Kind> {
  readonly items: readonly RecordOf<K>[];
  readonly nextCursor: string | null;
  readonly told: Readonly<Record<string, Partial<TestOutcome> & { readonly timeZone?: string }>>;
}

function withTold<K extends Kind>(item: RecordOf<K>, told: Page<K>['told'][string] | undefined): RecordOf<K> {
  if (!told) return item;
  const { timeZone, ...outcome } = told;
  if (timeZone === undefined) return { ...item, outcome };
  const { site } = item as Partial<ConditionsRecord>;
  if (site?.coordinates) rememberZone(site.coordinates, timeZone);
  return item;
}

/** One record as a list would give it: by itself a test flight comes with its whole estimate. */
function asListed<K extends Kind>(kind: K, record: unknown): RecordOf<K> {
  const listed = kind === 'testFlights' ? listedTest(record as TestFlightRecord, Date.now()) : record;
  return listed as RecordOf<K>;
}

/** Writes the whole record over the version it names. */
export function replaceRecord<K extends Kind>(kind: K, record: RecordOf<K>): Promise<Kept> {
  return call('PUT', `${paths[kind]}/${record.id}`, { ...contentOf(record), version: record.version });
}

export function removeRecord(kind: Kind, id: string): Promise<void> {
  return call('DELETE', `${paths[kind]}/${id}`);
}

export async function restoreRecord<K extends Kind>(kind: K, id: string): Promise<RecordOf<K>> {
  return asListed(kind, await call('POST', `${paths[kind]}/${id}/restore`));
}

function contentOf(record: Kept & { readonly outcome?: unknown }): object {
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, outcome: _o, ...content } = record;
  return content;
}
