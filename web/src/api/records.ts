import {
  type FitRecord,
  type FrozenEstimate,
  type Kind,
  listedFit,
  listedTest,
  recordKinds,
  type Site,
  type TestFlightRecord,
  type TestOutcome,
} from '@acorn-tally/core';
import { call } from './client';
import { rememberZone } from './zones';

/** A record as a list gives it. */
export type Listed = { readonly id: string };

const pathOf = (kind: Kind) => `/${recordKinds[kind].path}`;

/** All records of a kind; those that cannot be read as they are kept are told by their ids. */
export async function listAll(
  kind: Kind,
): Promise<{ readonly records: readonly Listed[]; readonly damagedIds: readonly string[] }> {
  const records: Listed[] = [];
  const damagedIds: string[] = [];
  let cursor: string | null = null;
  do {
    const query: string = cursor === null ? '' : `?cursor=${encodeURIComponent(cursor)}`;
    const page: Page = await call<Page>('GET', `${pathOf(kind)}${query}`);
    records.push(...page.items.map((item) => withTold(item, page.told[item.id])));
    damagedIds.push(...page.damaged.map(({ id }) => id));
    cursor = page.nextCursor;
  } while (cursor !== null);
  return { records, damagedIds };
}

/** Sent again with the same key it is made once. */
export async function createRecord(kind: Kind, body: object, key: string): Promise<Listed> {
  return asListed(kind, await call('POST', pathOf(kind), body, key));
}

/** Writes the whole record over the version it names. */
export async function replaceRecord(
  kind: Kind,
  id: string,
  version: number,
  body: object,
  key: string,
): Promise<Listed> {
  return asListed(kind, await call('PUT', `${pathOf(kind)}/${id}`, { ...body, version }, key));
}

/** Only while it is the version that was seen, where one was. */
export function removeRecord(kind: Kind, id: string, version: number | null): Promise<void> {
  return call('DELETE', `${pathOf(kind)}/${id}${version === null ? '' : `?version=${version}`}`);
}

export async function restoreRecord(kind: Kind, id: string): Promise<Listed> {
  return asListed(kind, await call('POST', `${pathOf(kind)}/${id}/restore`));
}

/** The estimate kept with a test flight when it was recorded. */
export function frozenEstimateOf(testFlightId: string): Promise<FrozenEstimate> {
  return call('GET', `${pathOf('testFlights')}/${testFlightId}/estimate`);
}

/** What a list tells beside its records: the outcome of a test, the zone in which the coordinates of a place lie. */
interface Page {
  readonly items: readonly Listed[];
  readonly nextCursor: string | null;
  readonly told: Readonly<Record<string, Partial<TestOutcome> & { readonly timeZone?: string }>>;
  readonly damaged: readonly { readonly id: string }[];
}

function withTold(item: Listed, told: Page['told'][string] | undefined): Listed {
  if (!told) return item;
  const { timeZone, ...outcome } = told;
  if (timeZone === undefined) return { ...item, outcome } as Listed;
  const { coordinates } = item as Listed & Pick<Site, 'coordinates'>;
  if (coordinates) rememberZone(coordinates, timeZone);
  return item;
}

/** One record as a list would give it: by itself a test flight comes with its whole estimate, a fit with all its flights. */
export function asListed(kind: Kind, record: unknown): Listed {
  if (kind === 'testFlights') return listedTest(record as TestFlightRecord, Date.now());
  if (kind === 'fits') return listedFit(record as FitRecord);
  return record as Listed;
}
