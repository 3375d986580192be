import { fell, jay, jay1 } from '../testing/jay';
import { useRecords } from './records';

interface Sent {
  readonly method: string;
  readonly path: string;
  readonly body: { readonly version?: number; readonly label?: string } | null;
}

/** A server that keeps batteries and answers as ours does; it can be told to fail. */
function pretendServer() {
  const sent: Sent[] = [];
  let version = 1;
  let failing: { status: number; body: object } | 'gone' | null = null;
  globalThis.fetch = (async (path: string, { method, body }: { method: string; body: string | null }) => {
    const content = body ? JSON.parse(body) : null;
    sent.push({ method, path, body: content });
    if (failing === 'gone') throw new TypeError('no connection');
    if (failing) return new Response(JSON.stringify(failing.body), { status: failing.status });
    if (method === 'DELETE') return new Response(null, { status: 204 });
    if (method === 'PUT') version += 1;
    return new Response(JSON.stringify({ ...jay1, ...content, id: content ? jay1.id : 'new', version }));
  }) as unknown as typeof fetch;
  return { sent, fail: (how: typeof failing) => (failing = how) };
}

const label = () => useRecords.getState().batteries[0]?.label;
const rename = (to: string) => useRecords.getState().edit('batteries', jay1.id, { label: to }, 'label');
const soon = () => jest.advanceTimersByTimeAsync(400);

let server: ReturnType<typeof pretendServer>;
beforeEach(() => {
  jest.useFakeTimers();
  server = pretendServer();
  useRecords.setState({
    aircraft: [jay],
    batteries: [jay1],
    conditions: [fell],
    loading: 'ready',
    saving: 'saved',
    trouble: null,
    undoSteps: [],
  });
});
afterEach(() => jest.useRealTimers());

test('what is typed stands at once and is sent a moment later, once, with the version it was read with', async () => {
  rename('J');
  rename('Ja');
  rename('Jay one');
  expect(label()).toBe('Jay one');
  expect(server.sent).toEqual([]);
  await soon();
  expect(server.sent).toEqual([
    {
      method: 'PUT',
      path: '/api/v1/batteries/jay-1',
      body: expect.objectContaining({ label: 'Jay one', version: 1 }),
    },
  ]);
  expect(useRecords.getState().saving).toBe('saved');
  expect(useRecords.getState().batteries[0]?.version).toBe(2);
});

test('typing in one field is one step to undo; undo is saved as well', async () => {
  rename('Jay o');
  rename('Jay one');
  await soon();
  expect(useRecords.getState().undoSteps).toHaveLength(1);
  await useRecords.getState().undo();
  expect(label()).toBe('Jay 1');
  await soon();
  expect(server.sent.map(({ body }) => body?.label)).toEqual(['Jay one', 'Jay 1']);
  await useRecords.getState().undo();
  expect(label()).toBe('Jay 1');
});

test('with the server gone nothing typed is lost, and trying again saves it', async () => {
  server.fail('gone');
  rename('Jay one');
  await soon();
  expect(useRecords.getState()).toMatchObject({
    saving: 'failed',
    trouble: expect.stringContaining('does not answer'),
  });
  expect(label()).toBe('Jay one');
  server.fail(null);
  await useRecords.getState().retry();
  expect(useRecords.getState()).toMatchObject({ saving: 'saved', trouble: null });
});

test('a record changed elsewhere is not written over unasked: trying again takes its version, knowingly', async () => {
  server.fail({
    status: 409,
    body: { detail: 'Changed elsewhere.', current: { ...jay1, label: 'X', version: 7 } },
  });
  rename('Jay one');
  await soon();
  expect(useRecords.getState()).toMatchObject({ saving: 'failed', trouble: 'Changed elsewhere.' });
  server.fail(null);
  await useRecords.getState().retry();
  expect(server.sent.at(-1)?.body).toMatchObject({ label: 'Jay one', version: 7 });
});

test('what is removed is gone from the list and comes back with undo', async () => {
  await useRecords.getState().remove('batteries', jay1.id, 'removing Jay 1');
  expect(useRecords.getState().batteries).toEqual([]);
  await useRecords.getState().undo();
  expect(server.sent.map(({ method, path }) => `${method} ${path}`)).toEqual([
    'DELETE /api/v1/batteries/jay-1',
    'POST /api/v1/batteries/jay-1/restore',
  ]);
  expect(useRecords.getState().batteries).toHaveLength(1);
});

test('a sealed step is not added to, and what came after it is taken back as a whole, on the server too', async () => {
  rename('Jay one');
  const ordinal = useRecords.getState().sealUndo();
  rename('J');
  rename('');
  useRecords.getState().edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  expect(useRecords.getState().undoSteps.map(({ label }) => label)).toEqual(['label', 'label', 'name']);
  expect(useRecords.getState().undoSince(ordinal)).toBe(true);
  expect([label(), useRecords.getState().aircraft[0]?.name]).toEqual(['Jay one', 'Jay']);
  await soon();
  expect(server.sent.filter(({ path }) => path.includes('jay-1')).at(-1)?.body?.label).toBe('Jay one');
  expect(useRecords.getState().undoSince(ordinal)).toBe(false);
  await useRecords.getState().undo();
  expect(label()).toBe('Jay 1');
});

test('what was undone by hand meanwhile is not taken back a second time, nor anything before it', async () => {
  rename('Jay one');
  const ordinal = useRecords.getState().sealUndo();
  rename('J');
  await useRecords.getState().undo();
  await useRecords.getState().undo();
  expect(label()).toBe('Jay 1');
  rename('Jay two');
  const later = useRecords.getState().sealUndo();
  expect(later).toBeGreaterThan(ordinal);
  expect(useRecords.getState().undoSince(later)).toBe(false);
  expect(label()).toBe('Jay two');
});

test('what several records wait with is sent at once: a page that is left never sees the first answer (all but one were lost until 25 Nov 2026)', async () => {
  const answers: (() => void)[] = [];
  const answer = globalThis.fetch;
  globalThis.fetch = (async (...sent: Parameters<typeof fetch>) => {
    const answered = answer(...sent);
    await new Promise<void>((resolve) => answers.push(resolve));
    return answered;
  }) as typeof fetch;
  rename('Jay one');
  useRecords.getState().edit('aircraft', jay.id, { name: 'Jackdaw' }, 'name');
  void useRecords.getState().saveAtOnce();
  expect(server.sent.map(({ path }) => path)).toEqual(['/api/v1/batteries/jay-1', '/api/v1/aircraft/jay']);
  for (const give of answers) give();
  await soon();
  expect(useRecords.getState().saving).toBe('saved');
});

test('a change of several kinds is one step: one undo takes all of it back, and no change is no step', async () => {
  useRecords.getState().editEach(
    [
      { kind: 'batteries', id: jay1.id, content: { label: 'Jay one' } },
      { kind: 'conditions', id: fell.id, content: { place: 'Lower gate' } },
    ],
    'a move',
  );
  expect([label(), useRecords.getState().conditions[0]?.place]).toEqual(['Jay one', 'Lower gate']);
  expect(useRecords.getState().undoSteps.map((step) => step.label)).toEqual(['a move']);
  await useRecords.getState().undo();
  expect([label(), useRecords.getState().conditions[0]?.place]).toEqual(['Jay 1', 'Hollin Fell dairy']);
  useRecords.getState().editEach([], 'nothing');
  expect(useRecords.getState().undoSteps).toEqual([]);
});

test('what Minutes need is read first and stands before the rest has come; a rest that fails is told, and Minutes stay', async () => {
  jest.useRealTimers();
  const asked: string[] = [];
  let answerRest: (response: Response) => void = () => undefined;
  const page = (items: object[]) => new Response(JSON.stringify({ items, nextCursor: null, told: {} }));
  globalThis.fetch = ((path: string) => {
    asked.push(path.replace('/api/v1/', ''));
    const items = path.includes('batteries') ? [jay1] : path.includes('aircraft') ? [jay] : [fell];
    if (/aircraft|batteries|conditions/.test(path)) return Promise.resolve(page(items));
    if (path.includes('shoots')) return new Promise((resolve) => (answerRest = resolve));
    return Promise.resolve(page([]));
  }) as unknown as typeof fetch;
  const loaded = useRecords.getState().load();
  expect(asked).toEqual(['aircraft', 'batteries', 'conditions']);
  while (asked.length < 6) await new Promise((resolve) => setTimeout(resolve, 1));
  expect(useRecords.getState()).toMatchObject({ loading: 'ready', loadingRest: 'loading' });
  expect(label()).toBe('Jay 1');
  answerRest(new Response(JSON.stringify({ title: 'The shoots cannot be read.' }), { status: 500 }));
  await loaded;
  expect(useRecords.getState()).toMatchObject({
    loading: 'ready',
    loadingRest: 'failed',
    trouble: 'The shoots cannot be read.',
  });
});

test('the way back is offered for what comes, goes or changes in many places, not for what is typed', async () => {
  const offered = () => useRecords.getState().undoSteps.at(-1)?.offered;
  const { edit, editAll, remove, add } = useRecords.getState();
  rename('Jay one');
  expect(offered()).toBe(false);
  edit('batteries', jay1.id, { label: 'Jay' }, 'splitting', { offered: true });
  expect(offered()).toBe(true);
  rename('Jay two');
  editAll('batteries', [{ id: jay1.id, content: { label: 'all' } }], 'charging');
  expect(offered()).toBe(true);
  const { id: _i, createdAt: _c, updatedAt: _u, version: _v, ...content } = jay1;
  for (const step of [
    () => add('batteries', content, 'adding'),
    () => remove('batteries', jay1.id, 'removing'),
  ]) {
    rename('x');
    expect(offered()).toBe(false);
    await step();
    expect(offered()).toBe(true);
  }
});
