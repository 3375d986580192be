import { type Content, type Kept, type KeptRecord, type Kind, recordKinds } from '@acorn-tally/core';
import type { Calculator } from '../calculations/calculator';
import type { Reader, Transaction } from '../database/database';
import { NeedsFirst, NothingThere } from '../database/errors';
import {
  findIdempotentWrite,
  type IdempotentRequest,
  recordIdempotentWrite,
} from '../database/idempotentWrites';
import type { Page } from '../database/recordStore';
import { removeWhatGoesWith, requireReferences, requireUnused } from '../database/references';
import type { Stores } from '../database/stores';
import { recordHooks } from './recordHooks';
import { requireRules } from './rules';

/** A page of records, and what follows from some of them, by id. */
export interface ToldPage extends Page<object> {
  readonly told: Readonly<Record<string, object>>;
}

/** A record waits no longer for what is made once with it. */
const maxWaitMs = 1000;

interface Made {
  readonly made: object;
  /** What is still on its way. */
  readonly later: Promise<object> | null;
}

/** Keeps the records of one kind. What one request checks and writes is one transaction. */
export class Records<K extends Kind> {
  constructor(
    readonly kind: K,
    private readonly stores: Stores,
    private readonly calculator: Calculator,
  ) {}

  async list(limit: number, cursor: string | null): Promise<ToldPage> {
    const { items, ...page } = await this.stores.database.read((reader) =>
      this.store.list(reader, limit, cursor),
    );
    const told = items.flatMap((record) => {
      const about = this.beside?.computed?.(record);
      return about ? [[record.id, about] as const] : [];
    });
    return {
      ...page,
      items: items.map((record) => this.beside?.toListItem?.(record) ?? record),
      told: Object.fromEntries(told),
    };
  }

  get(id: string): Promise<KeptRecord<K>> {
    return this.stores.database.read((reader) => this.store.get(reader, id)) as Promise<KeptRecord<K>>;
  }

  /** A record with all that is made once with it; what was still to follow is made now. */
  async getWhole(id: string): Promise<KeptRecord<K>> {
    const record = await this.get(id);
    if (!this.beside?.isProvisional?.(record)) return record;
    await this.follow(id, this.make(record as unknown as Content<K>));
    return this.get(id);
  }

  async create(content: Content<K>, id: string | undefined, once: IdempotentRequest | null): Promise<object> {
    const { database } = this.stores;
    const { made, later } = await this.made(content, once);
    const written = await database.write((transaction) =>
      this.writtenOnce(transaction, once, content, async () => {
        await this.require(transaction, content, null);
        return this.store.insert(transaction, { ...content, ...made } as never, id);
      }),
    );
    if (later) void this.follow((written as Kept).id, later).catch(() => undefined);
    return written;
  }

  async replace(
    id: string,
    version: number,
    content: Content<K>,
    once: IdempotentRequest | null,
  ): Promise<object> {
    const { made, later } = await this.remade(id, content, once);
    const written = await this.stores.database.write((transaction) =>
      this.writtenOnce(transaction, once, content, async () => {
        await this.require(transaction, content, id);
        return this.store.replace(transaction, id, version, { ...content, ...made } as never);
      }),
    );
    if (later) void this.follow(id, later).catch(() => undefined);
    return written;
  }

  remove(id: string, version: number | null): Promise<void> {
    return this.stores.database.write(async (transaction) => {
      await this.store.remove(transaction, id, version);
      await requireUnused(transaction, this.kind, id);
      await removeWhatGoesWith(transaction, this.kind, id, this.stores.instant());
    });
  }

  /** Brings a record back, not under one that is itself removed. */
  restore(id: string): Promise<KeptRecord<K>> {
    return this.stores.database.write(async (transaction) => {
      const record = (await this.store.restore(transaction, id)) as KeptRecord<K>;
      await this.require(transaction, record, id).catch((error) => {
        throw error instanceof NothingThere
          ? new NeedsFirst(recordKinds[this.kind].noun, error.field)
          : error;
      });
      return record;
    });
  }

  private get store() {
    return this.stores.of(this.kind);
  }

  private get beside() {
    return recordHooks[this.kind];
  }

  private async require(reader: Reader, content: Content<K>, id: string | null): Promise<void> {
    await requireReferences(reader, this.kind, content);
    await requireRules(this.kind, content, reader, this.stores, id);
  }

  private make(content: Content<K>): Promise<object> {
    const make = this.beside?.onCreate;
    if (!make) throw new RangeError(`Nothing is made with a record of ${this.kind}.`);
    return make(content, this.stores, this.calculator);
  }

  /** Writes what was made for a record that has only what stands in its place; it is no new version of it. */
  private async follow(id: string, making: Promise<object>): Promise<void> {
    const made = await making;
    await this.stores.database.write(async (transaction) => {
      const [record] = await this.store.getMany(transaction, [id]);
      if (record && this.beside?.isProvisional?.(record as KeptRecord<K>))
        await this.store.fill(transaction, id, made);
    });
  }

  /**
   * What is made once with a record, before that waits for its turn; not for what was written already. A record never waits long for
   * it: what is not made in time, since others are computing, follows later.
   */
  private async made(content: Content<K>, once: IdempotentRequest | null): Promise<Made> {
    const { onCreate: made, provisional } = this.beside ?? {};
    if (!made) return { made: {}, later: null };
    const { database } = this.stores;
    const isWritten = await database.read(async (reader) => {
      const before = once && (await findIdempotentWrite(reader, once));
      if (!before) await this.require(reader, content, null);
      return before !== null;
    });
    if (isWritten) return { made: {}, later: null };
    const making = this.make(content);
    if (!provisional) return { made: await making, later: null };
    const late = new Promise<null>((resolve) => setTimeout(resolve, maxWaitMs, null));
    const inTime = await Promise.race([making.catch(() => null), late]);
    if (inTime) return { made: inTime, later: null };
    return { made: await provisional(content, this.stores), later: making };
  }

  /** What a new content asks to be made anew; nothing where it leaves that as it was. */
  private async remade(id: string, content: Content<K>, once: IdempotentRequest | null): Promise<Made> {
    const nothing: Made = { made: {}, later: null };
    const { mustRecreate: remade } = this.beside ?? {};
    if (!remade) return nothing;
    const { database } = this.stores;
    const [kept] = await database.read((reader) => this.store.getMany(reader, [id]));
    return kept && remade(content, kept as KeptRecord<K>) ? this.made(content, once) : nothing;
  }

  /** Asked again with the same key, it is told what was written then, and nothing is written. */
  private async writtenOnce(
    transaction: Transaction,
    once: IdempotentRequest | null,
    content: Content<K>,
    write: () => Promise<Kept>,
  ): Promise<object> {
    const before = once && (await findIdempotentWrite(transaction, once));
    if (before)
      return { ...(await this.stillMade(transaction, before.id)), ...this.store.whole(content), ...before };
    const written = await write();
    if (once) await recordIdempotentWrite(transaction, once, written);
    return written;
  }

  /** What was made with a record then, as long as it is there. */
  private async stillMade(reader: Reader, id: string): Promise<object> {
    if (!this.beside?.onCreate) return {};
    const [record] = await this.store.getMany(reader, [id]);
    return record ?? {};
  }
}
