import { type Content, type Kind, kinds } from '@acorn-tally/core';
import { create } from 'zustand';
import { listAll } from '../api/records';
import { type Change, done, edited, making, reversed, rewritten } from './changes';
import type { Dependencies, RemoteChange, StoredState } from './dependencies';
import {
  type AnyRecord,
  byMaking,
  contentOf,
  type Data,
  drop,
  find,
  keyOf,
  noData,
  put,
  type RecordOf,
} from './kinds';
import { removingWhole, usersOf } from './needs';
import { type Base, type PendingWrite, pendingAfterEdit, pendingOver, saysTheSame } from './outbox';
import { Persister } from './persister';
import { Saver } from './saver';
import type { Edit, Records } from './state';
import { comesOrGoes, History, type How, keyOfStep, numberedBefore } from './undoHistory';

/** Minutes are computed from these; they are read first. */
const firstKinds: readonly Kind[] = ['places', 'days', 'aircraft', 'batteries', 'fits'];
const otherKinds = kinds.filter((kind) => !firstKinds.includes(kind));

/** All records as they are shown, and the one way to change them. */
export function recordsStore({ local, channel, newId, now, later }: Dependencies) {
  return create<Records>((set, get) => {
    const history = new History();
    const keep = () => void keeper.keep();
    const saver = new Saver({ get, set, keep }, { channel, newId, later });
    const show = (kind: Kind, data: Data) => set({ [kind]: data[kind] } as Partial<Records>);

    const asNew = (id: string) => {
      const at = new Date(now()).toISOString();
      return { id, createdAt: at, updatedAt: at, version: 0 };
    };

    /** Shows changes, and lets their records wait to be sent. */
    const apply = (changes: readonly Change[]) => {
      for (const change of changes) {
        const { kind, id } = change;
        const before = find(get(), kind, id);
        show(kind, done(get(), change));
        const after = find(get(), kind, id);
        if (!before && !after) continue;
        const mine = after ? contentOf(after) : null;
        const next = { kind, id, base: baseOf(before, change), mine, shown: after ?? null, key: newId() };
        saver.setWaiting(kind, id, pendingAfterEdit(get().waiting[keyOf(kind, id)], next));
      }
      keep();
      saver.sendSoon();
    };

    const doStep = (changes: readonly Change[], label: string, key: string, how: How) => {
      set(({ undoSteps }) => ({
        undoSteps: history.with(undoSteps, { changes, label, key, at: now() }, how),
        redoSteps: [],
      }));
      apply(changes);
    };

    /** A record as it is shown while a change of it waits, over what the server has; null where it is to go. */
    const asShown = ({ id, mine, shown }: PendingWrite, there: AnyRecord | undefined) =>
      mine && ({ ...asNew(id), ...shown, ...there, ...mine } as AnyRecord);

    /** What a list gives, with what waits here over it. */
    const takeList = (kind: Kind, records: readonly AnyRecord[]) => {
      const { waiting } = get();
      const others = records.filter(({ id }) => !waiting[keyOf(kind, id)]);
      const mine = Object.values(waiting).flatMap((one) => {
        if (one.kind !== kind) return [];
        return (
          asShown(
            one,
            records.find(({ id }) => id === one.id),
          ) ?? []
        );
      });
      set({ [kind]: [...others, ...mine].sort(byMaking) } as Partial<Records>);
    };

    /** What another tab wrote is shown here too, unless it is being changed here. */
    const hear = ({ kind, id, record }: RemoteChange) => {
      if (get().waiting[keyOf(kind, id)]) return;
      saver.answers += 1;
      if (record && record.version < (find(get(), kind, id)?.version ?? 0)) return;
      show(kind, record ? put(get(), kind, record as never) : drop(get(), kind, id));
    };

    /** What an earlier page left in this browser comes under what was done in this one. */
    const restore = (left: StoredState) => {
      const { waiting, undoSteps, redoSteps, loading } = get();
      const since = [...undoSteps, ...redoSteps];
      const steps = numberedBefore([...left.done, ...left.undone], since);
      const [done, undone] = [steps.slice(0, left.done.length), steps.slice(left.done.length)];
      const restored = left.waiting.map((one) => {
        const next = waiting[keyOf(one.kind, one.id)];
        return next ? pendingOver(one, next) : one;
      });
      set({
        waiting: { ...waiting, ...Object.fromEntries(restored.map((one) => [keyOf(one.kind, one.id), one])) },
        undoSteps: [...done, ...undoSteps],
        redoSteps: since.length > 0 ? redoSteps : undone,
      });
      if (since.length === 0) history.goOnFrom(steps);
      if (loading === 'loading') return;
      for (const one of restored) {
        const record = asShown(one, find(get(), one.kind, one.id));
        show(one.kind, record ? put(get(), one.kind, record as never) : drop(get(), one.kind, one.id));
      }
      saver.sendSoon();
    };

    const keeper = new Persister(
      local,
      {
        get: () => {
          const { waiting, undoSteps, redoSteps } = get();
          return { waiting: Object.values(waiting), done: undoSteps, undone: redoSteps };
        },
        restore,
        setKept: (isKept) => set({ isKept }),
      },
      later,
    );

    /** What this browser kept is taken up once, before anything that the server tells is shown. */
    let restored: Promise<void> | null = null;
    const restoreOnce = () => {
      restored ??= keeper.restore().then(() => channel.listen(hear));
      return restored;
    };

    /** Lists that were on their way while something was written are old, and are read again. */
    const read = async (some: readonly Kind[]): Promise<void> => {
      const answersBefore = saver.answers;
      const asked = Promise.all(some.map(async (kind) => [kind, await listAll(kind)] as const));
      const [lists] = await Promise.all([asked, restoreOnce()]);
      if (saver.answers !== answersBefore) return read(some);
      for (const [kind, { records }] of lists) takeList(kind, records as readonly AnyRecord[]);
      const damaged = lists.flatMap(([, { damagedIds }]) => damagedIds);
      set(({ damagedIds }) => ({ damagedIds: [...new Set([...damagedIds, ...damaged])] }));
    };

    return {
      ...noData,
      loading: 'loading',
      loadingRest: 'loading',
      damagedIds: [],
      waiting: {},
      isKept: true,
      failures: 0,
      trouble: null,
      undoSteps: [],
      redoSteps: [],

      async load() {
        set({ loading: 'loading', loadingRest: 'loading', trouble: null });
        try {
          await read(firstKinds);
          set({ loading: 'ready' });
        } catch (error) {
          return set({ loading: 'failed', trouble: (error as Error).message });
        }
        try {
          await read(otherKinds);
          set({ loadingRest: 'ready' });
        } catch (error) {
          set({ loadingRest: 'failed', trouble: (error as Error).message });
        }
        void saver.sendAll();
      },

      async refresh() {
        if (get().loadingRest === 'ready') await read(kinds).catch(() => undefined);
      },

      edit(kind, id, content, label, how) {
        const record = find(get(), kind, id);
        if (!record) return;
        const fields = typeof content === 'function' ? content(record) : content;
        get().editEach([{ kind, id, content: fields } as unknown as Edit], label, how);
      },

      editAll(kind, edits, label) {
        get().editEach(
          edits.map((one) => ({ ...one, kind }) as unknown as Edit),
          label,
          comesOrGoes,
        );
      },

      editEach(edits, label, how) {
        const changes = edits.flatMap(
          ({ kind, id, content }) => edited(get(), kind, id, content as never) ?? [],
        );
        get().doAll(changes, label, how);
      },

      fresh<K extends Kind>(_kind: K, content: Content<K>, more: object = {}) {
        return { ...asNew(newId()), ...content, ...more } as unknown as RecordOf<K>;
      },

      add(kind, content, label) {
        const record = get().fresh(kind, content);
        get().doAll([making(kind, record)], label, comesOrGoes);
        return record;
      },

      doAll(changes, label, how = {}) {
        if (changes.length > 0) doStep(changes, label, keyOfStep(changes, label), how);
      },

      removeAll(kind, ids, label) {
        const users = ids.flatMap((id) => usersOf(get(), kind, id));
        if (users.length > 0) return { ok: false, users: [...new Set(users)] };
        const gone = ids.flatMap((id) => removingWhole(get(), kind, id));
        get().doAll(gone, label, comesOrGoes);
        return { ok: true };
      },

      undo() {
        const { undoSteps, redoSteps } = get();
        const last = undoSteps.at(-1);
        if (!last) return;
        history.seal();
        set({ undoSteps: undoSteps.slice(0, -1), redoSteps: [...redoSteps, last] });
        apply(reversed(last.changes));
      },

      redo() {
        const { undoSteps, redoSteps } = get();
        const next = redoSteps.at(-1);
        if (!next) return;
        history.seal();
        set({ undoSteps: [...undoSteps, next], redoSteps: redoSteps.slice(0, -1) });
        apply(next.changes);
      },

      beginTyping: () => history.beginTyping(),
      endTyping: () => history.endTyping(),

      undoSince(ordinal) {
        const steps = get().undoSteps;
        const after = steps.filter((step) => step.ordinal > ordinal);
        set({ undoSteps: steps.filter((step) => step.ordinal <= ordinal) });
        for (const step of after.reverse()) apply(reversed(step.changes));
        return after.length > 0;
      },

      async retry() {
        for (const one of Object.values(get().waiting))
          if (one.halt?.why === 'refused')
            saver.setWaiting(one.kind, one.id, { ...one, halt: null, key: newId() });
        set({ trouble: null });
        await saver.sendAll();
      },

      saveAtOnce: () => saver.sendAtOnce(),

      settle(kind, id, content) {
        const one = get().waiting[keyOf(kind, id)];
        if (one?.halt?.why !== 'changed') return;
        const { theirs } = one.halt;
        const base: Base = theirs ?? (one.base === 'never' ? 'never' : 'removed');
        const before = find(get(), kind, id);
        const after = content && ({ ...asNew(id), ...before, ...theirs, ...content } as AnyRecord);
        show(kind, after ? put(get(), kind, after as never) : drop(get(), kind, id));
        const next = { kind, id, base, mine: content, shown: after, key: newId(), sent: [], halt: null };
        saver.setWaiting(kind, id, saysTheSame(content, theirs) ? null : next);
        if (before && content) {
          const changes = [rewritten(kind, id, contentOf(before), content)];
          const label = 'choosing between two versions';
          const step = { changes, label, key: keyOfStep(changes, label), at: now() };
          set(({ undoSteps }) => ({
            undoSteps: history.with(undoSteps, step, { apart: true }),
            redoSteps: [],
          }));
        }
        keep();
        void saver.sendAll();
      },

      complain: (trouble) => set({ trouble }),
    };
  });
}

/** What the server has of a record before a change of it that is the first to wait. */
function baseOf(before: AnyRecord | undefined, change: Change): Base {
  const record = before ?? (change.what === 'edit' ? undefined : change.record);
  if (!record || record.version === 0) return 'never';
  return before ? before : 'removed';
}
