import {
  type Content,
  type Kept,
  type KeptRecord,
  type Kind,
  kinds,
  type ListedFit,
  type ListedTest,
} from '@acorn-tally/core';

export type { Content, Kind } from '@acorn-tally/core';

/** A record as it is shown. The estimate frozen with a flight is read by itself; what came of each flight of a fit follows again. */
export type RecordOf<K extends Kind> = K extends 'testFlights'
  ? ListedTest
  : K extends 'fits'
    ? ListedFit
    : KeptRecord<K>;
export type AnyRecord = RecordOf<Kind>;
export type Data = { readonly [K in Kind]: readonly RecordOf<K>[] };

export const noData = Object.fromEntries(kinds.map((kind) => [kind, []])) as unknown as Data;

/** One record of any kind, as a key of a map. */
export const keyOf = (kind: Kind, id: string) => `${kind} ${id}`;

export function find<K extends Kind>(data: Data, kind: K, id: string): RecordOf<K> | undefined {
  return (data[kind] as readonly RecordOf<K>[]).find((record) => record.id === id);
}

/** A record in its place; a new or restored one goes where the time at which it was made belongs. */
export function put<K extends Kind>(data: Data, kind: K, record: RecordOf<K>): Data {
  const records = data[kind] as readonly AnyRecord[];
  const known = records.some(({ id }) => id === record.id);
  const next = known
    ? records.map((old) => (old.id === record.id ? record : old))
    : [...records, record].sort(byMaking);
  return { ...data, [kind]: next };
}

export function drop(data: Data, kind: Kind, id: string): Data {
  return { ...data, [kind]: (data[kind] as readonly AnyRecord[]).filter((record) => record.id !== id) };
}

export function byMaking(a: Kept, b: Kept): number {
  return a.createdAt === b.createdAt ? (a.id < b.id ? -1 : 1) : a.createdAt < b.createdAt ? -1 : 1;
}

/** What of a record is written: not what keeping it adds, nor what follows from it. */
export function contentOf<K extends Kind>(record: RecordOf<K>): Content<K> {
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = record;
  const { outcome: _o, ...written } = content as typeof content & { readonly outcome?: unknown };
  return written as unknown as Content<K>;
}
