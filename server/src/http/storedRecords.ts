import type { Kept } from '@acorn-tally/core';
import type { RecordStore } from '../database/recordStore';
import { inUse } from './problem';
import type { RecordService } from './recordController';

/**
 * Keeps records of one kind. A kind with rules of its own extends it: `check` before each write, `complete` for what is
 * made once with the record, `usersOf` before a deletion.
 */
export class StoredRecords<Content extends object, Made extends object = object>
  implements RecordService<Content>
{
  constructor(protected readonly store: RecordStore<Content, Made>) {}

  list(limit: number, cursor: string | null) {
    return this.store.list(limit, cursor);
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

  protected async complete(content: Content): Promise<Content & Made> {
    return content as Content & Made;
  }

  protected async check(_content: Content): Promise<void> {}

  protected async usersOf(_id: string): Promise<string[]> {
    return [];
  }
}
