import { type Kind, recordKinds } from '@acorn-tally/core';
import type { AnyRecord } from '../records/kinds';

type Content = Readonly<Record<string, unknown>>;
interface Row {
  readonly record: AnyRecord;
  readonly isDeleted: boolean;
}

export interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: Content | null;
}

/**
 * A server as ours is to its clients (held to it by server/contract.test): versions, deletion that can be undone, ids of the client, and each key
 * once. It can be gone, or do what is asked and lose the answer.
 */
export class PretendServer {
  private readonly rows = new Map<string, Row>();
  private readonly answered = new Map<string, { status: number; body: unknown }>();
  private count = 0;
  readonly sent: Sent[] = [];
  /** Each write that was taken: what stood before, null for a new record, and what stands since. */
  readonly taken: { readonly before: AnyRecord | null; readonly after: AnyRecord }[] = [];
  mood: 'well' | 'gone' | 'losing answers' | { readonly status: number; readonly body: object } = 'well';

  /** Takes the place of the browser's way to the network. */
  readonly fetch = (async (url: string, init: { method: string; body: string | null; headers: Content }) => {
    const [path = '', query = ''] = url.replace('/api/v1/', '').split('?');
    const body = init.body ? JSON.parse(init.body) : null;
    this.sent.push({ method: init.method, path, body });
    await Promise.resolve();
    if (this.mood === 'gone') throw new TypeError('no connection');
    const key = init.headers['idempotency-key'] as string | undefined;
    const { status, body: answer } =
      typeof this.mood === 'object'
        ? this.mood
        : this.once(key, () => this.answer(init.method, path, query, body));
    // A list is on its way for longer than what is written meanwhile.
    if (init.method === 'GET')
      for (let i = 0; i < 3; i++) await new Promise((resolve) => setImmediate(resolve));
    if (this.mood === 'losing answers') throw new TypeError('connection reset');
    return new Response(status === 204 ? null : JSON.stringify(answer), { status });
  }) as unknown as typeof fetch;

  /** Something that was written elsewhere. */
  put(kind: Kind, record: AnyRecord): void {
    this.rows.set(`${recordKinds[kind].path}/${record.id}`, { record, isDeleted: false });
  }

  read(kind: Kind, id: string): AnyRecord | null {
    const row = this.rows.get(`${recordKinds[kind].path}/${id}`);
    return row && !row.isDeleted ? row.record : null;
  }

  private once(key: string | undefined, work: () => { status: number; body: unknown }) {
    const known = key && this.answered.get(key);
    if (known) return known;
    const answer = work();
    if (key && answer.status < 300) this.answered.set(key, answer);
    return answer;
  }

  private answer(
    method: string,
    path: string,
    query: string,
    body: Content | null,
  ): { status: number; body: unknown } {
    const [kindPath = '', id, action] = path.split('/');
    if (id === undefined) return method === 'GET' ? this.list(kindPath) : this.make(kindPath, body ?? {});
    const at = `${kindPath}/${id}`;
    const row = this.rows.get(at);
    if (action === 'restore') {
      if (!row) return { status: 404, body: {} };
      this.rows.set(at, { ...row, isDeleted: false });
      this.taken.push({ before: null, after: row.record });
      return { status: 201, body: row.record };
    }
    if (!row || row.isDeleted) return { status: 404, body: { title: 'There is no such record.' } };
    const version = method === 'DELETE' ? new URLSearchParams(query).get('version') : body?.version;
    if (version !== null && Number(version) !== row.record.version)
      return { status: 409, body: { detail: 'Changed elsewhere.', current: row.record } };
    if (method === 'DELETE') {
      this.rows.set(at, { ...row, isDeleted: true });
      return { status: 204, body: null };
    }
    const record = { ...row.record, ...body, version: row.record.version + 1 } as AnyRecord;
    this.rows.set(at, { record, isDeleted: false });
    this.taken.push({ before: row.record, after: record });
    return { status: 200, body: record };
  }

  private make(kindPath: string, body: Content) {
    const taken = this.rows.get(`${kindPath}/${body.id}`);
    if (taken) return { status: 409, body: { current: taken.record, removed: taken.isDeleted || undefined } };
    const at = `2026-11-26T09:00:00.${String(this.count++).padStart(3, '0')}Z`;
    const record = { ...body, createdAt: at, updatedAt: at, version: 1 } as unknown as AnyRecord;
    this.rows.set(`${kindPath}/${record.id}`, { record, isDeleted: false });
    this.taken.push({ before: null, after: record });
    return { status: 201, body: record };
  }

  private list(kindPath: string) {
    const rows = [...this.rows].filter(([at, { isDeleted }]) => at.startsWith(`${kindPath}/`) && !isDeleted);
    const items = rows.map(([, { record }]) => record);
    return { status: 200, body: { items, nextCursor: null, told: {}, damaged: [] } };
  }
}
