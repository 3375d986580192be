import type { Kept } from '@acorn-tally/core';
import type { RecordStore } from '../database/recordStore';
import { inUse } from './problem';
import type { RecordService, ToldPage } from './recordController';

/**
 * Keeps records of one kind. A kind with rules of its own extends it: `check` before each write, `complete` for what is
 * made once with the record, `listed` and `told` for what a list leaves out and adds, `usersOf` before a deletion.
 */
export class StoredRecords<Content extends object, Made extends object = object>
  implements RecordService<Content>
{
  constructor(protected readonly store: RecordStore<Content, Made>) {}

  async list(limit: number, cursor: string | null): Promise<ToldPage<Kept & Content>> {
    const { items, nextCursor } = await this.store.list(limit, cursor);
    const told = items.flatMap((record) => {
      const about = this.told(record);
      return about ? [[record.id, about] as const] : [];
    });
    return { items: items.map((record) => this.listed(record)), nextCursor, told: Object.fromEntries(told) };
  }

  get(id: string) {
    return this.store.get(id);
  }

  async create(content: Content): Promise<Kept & Content & Made> {
    await this.check(content);
    return this.store.create(await this.complete(content));
  }

  async replace(id: string, version: number, content: Content): Promise<Kept & Content & Made> {
    await this.check(content);
    return this.store.replace(id, version, content);
  }

  async remove(id: string): Promise<void> {
    const { noun } = this.store;
    const users = await this.usersOf(id);
    if (users.length > 0) throw inUse(noun, users);
    await this.store.remove(id);
  }

  restore(id: string) {
    return this.store.restore(id);
  }

  /** What follows from a record and a list tells beside it, by its id: no part of what is kept, nor of what is sent back. */
  protected told(_record: Kept & Content & Made): object | null {
    return null;
  }

  /** A record as a list shows it: what is large may come with the record only. */
  protected listed(record: Kept & Content & Made): Kept & Content {
    return record;
  }

  protected async complete(content: Content): Promise<Content & Made> {
    return content as Content & Made;
  }

  protected async check(_content: Content): Promise<void> {}

  protected async usersOf(_id: string): Promise<string[]> {
    return [];
  }
}
