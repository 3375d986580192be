import { type Content, type Kind, type Kinds, kinds, recordKinds } from '@acorn-tally/core';
import type { Database } from './database';
import { purgeIdempotentWrites } from './idempotentWrites';
import { Links } from './links';
import { type Check, RecordStore, type RecordTable } from './recordStore';
import { purge } from './references';
import { shootBatteries, tables } from './schema';

type StoreOf<K extends Kind> = RecordStore<Content<K>, Kinds[K]['made']>;

const batteriesOfShoots = new Links(
  'batteryIds',
  shootBatteries,
  { name: 'shootId', column: shootBatteries.shootId },
  { name: 'batteryId', column: shootBatteries.batteryId },
);

/** One store for each kind of record. What is read is looked through by `checks` once. */
export class Stores {
  private readonly stores: { readonly [K in Kind]: StoreOf<K> };

  constructor(
    readonly database: Database,
    checks: Readonly<Record<Kind, Check>>,
    private readonly now: () => Date = () => new Date(),
  ) {
    this.stores = Object.fromEntries(
      kinds.map((kind) => [
        kind,
        new RecordStore(
          tables[kind] as unknown as RecordTable,
          recordKinds[kind].noun,
          kind === 'shoots' ? batteriesOfShoots : null,
          checks[kind],
          now,
        ),
      ]),
    ) as never;
  }

  of<K extends Kind>(kind: K): StoreOf<K> {
    return this.stores[kind];
  }

  /** Parts for good from what can no longer be brought back. */
  async purge(): Promise<void> {
    const before = this.of('aircraft').oldestUndone();
    await this.database.write(async (transaction) => {
      await purge(transaction, before);
      await purgeIdempotentWrites(transaction, before);
    });
  }

  instant(): string {
    return this.now().toISOString();
  }
}
