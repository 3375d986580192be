import { create } from 'zustand';
import { ApiError } from '../api/client';
import {
  type Content,
  createRecord,
  type Kind,
  kinds,
  listAll,
  type RecordOf,
  removeRecord,
  replaceRecord,
  restoreRecord,
} from '../api/records';

type Data = { readonly [K in Kind]: readonly RecordOf<K>[] };

/** One step back: what it undoes, in words, and how. */
interface UndoStep {
  readonly label: string;
  readonly key: string;
  readonly at: number;
  /** Counts all steps ever made, from 1. */
  readonly ordinal: number;
  /** Whether the way back is offered at once, since something came, went, or changed in many places. */
  readonly offered: boolean;
  readonly undo: () => Promise<void> | void;
}

export interface Change<K extends Kind> {
  readonly id: string;
  readonly content: Partial<Content<K>>;
}

/** A change of one record of any kind. */
export type AnyChange = { readonly [K in Kind]: Change<K> & { readonly kind: K } }[Kind];

export type SaveState = 'saved' | 'saving' | 'failed';

export type Loading = 'loading' | 'ready' | 'failed';

interface Records extends Data {
  /** What the first view needs. */
  readonly loading: Loading;
  /** All the rest, which comes after it. */
  readonly loadingRest: Loading;
  readonly saving: SaveState;
  readonly trouble: string | null;
  readonly undoSteps: readonly UndoStep[];
  load(): Promise<void>;
  /** Changes a record at once on the screen and a moment later on the server; `offered` as in a step to undo. */
  edit<K extends Kind>(
    kind: K,
    id: string,
    change: Partial<Content<K>>,
    label: string,
    how?: { readonly offered: boolean },
  ): void;
  /** Changes several records of a kind as one step to undo. */
  editAll<K extends Kind>(kind: K, changes: readonly Change<K>[], label: string): void;
  /** The same with records of several kinds; nothing where there is none. */
  editEach(changes: readonly AnyChange[], label: string, how?: { readonly offered: boolean }): void;
  add<K extends Kind>(kind: K, content: Content<K>, label: string): Promise<RecordOf<K>>;
  remove(kind: Kind, id: string, label: string): Promise<void>;
  undo(): Promise<void>;
  /** Ends the step that typing goes on adding to, and gives the ordinal of the last one. */
  sealUndo(): number;
  /** Takes back whatever was changed after the step of that ordinal; whether there was anything. */
  undoSince(ordinal: number): boolean;
  /** Tries again to save what could not be saved. */
  retry(): Promise<void>;
  /** Saves what waits without waiting for what is under way: when the page is left. */
  saveAtOnce(): Promise<void>;
}

/** Typing in one field within this time is one step to undo. */
const sameStepMs = 2000;
const saveDelayMs = 350;
const undoDepth = 100;
/** Minutes are reckoned from these; they are read first. */
const firstKinds: readonly Kind[] = ['aircraft', 'batteries', 'conditions'];

export const useRecords = create<Records>((set, get) => {
  const unsaved = new Map<string, Kind>();
  let timer: ReturnType<typeof setTimeout> | undefined;
  let running: Promise<void> = Promise.resolve();
  let lastOrdinal = 0;
  let sealedOrdinal = 0;

  const put = <K extends Kind>(kind: K, record: RecordOf<K>) =>
    set((state) => ({ [kind]: upsert<RecordOf<Kind>>(state[kind], record) }) as Partial<Records>);
  const find = <K extends Kind>(kind: K, id: string) => get()[kind].find((record) => record.id === id);

  const pushUndo = (label: string, key: string, offered: boolean, undo: UndoStep['undo']) =>
    set(({ undoSteps }) => {
      const last = undoSteps[undoSteps.length - 1];
      const now = Date.now();
      if (last && last.ordinal > sealedOrdinal && last.key === key && now - last.at < sameStepMs) {
        return { undoSteps: [...undoSteps.slice(0, -1), { ...last, at: now }] };
      }
      lastOrdinal += 1;
      return {
        undoSteps: [...undoSteps, { label, key, at: now, ordinal: lastOrdinal, offered, undo }].slice(
          -undoDepth,
        ),
      };
    });

  const saveSoon = (kind: Kind, id: string) => {
    unsaved.set(id, kind);
    set({ saving: 'saving' });
    clearTimeout(timer);
    timer = setTimeout(() => void saveAll(), saveDelayMs);
  };

  const saveAll = () => {
    clearTimeout(timer);
    running = running.then(saveWaiting);
    return running;
  };

  /** All that wait are sent at once, not one after the other: a page that is being left gives no second chance. */
  const saveWaiting = async () => {
    const waiting = [...unsaved];
    unsaved.clear();
    await Promise.all(waiting.map(([id, kind]) => saveOne(kind, id)));
    if (unsaved.size === 0) set({ saving: 'saved', trouble: null });
  };

  const saveOne = async (kind: Kind, id: string) => {
    const record = find(kind, id);
    if (!record) return;
    try {
      const written = await replaceRecord(kind, record);
      const newer = find(kind, id);
      if (newer) put(kind, { ...newer, version: written.version, updatedAt: written.updatedAt } as never);
    } catch (error) {
      unsaved.set(id, kind);
      if (error instanceof ApiError && error.status === 409) takeVersion(kind, id, error.current);
      set({ saving: 'failed', trouble: (error as Error).message });
    }
  };

  /** After a stale write: a retry then writes over the newer version, knowingly. */
  const takeVersion = (kind: Kind, id: string, current: unknown) => {
    const newer = find(kind, id);
    const version = (current as { version?: number } | null)?.version;
    if (newer && version !== undefined) put(kind, { ...newer, version } as never);
  };

  const change = (kind: Kind, id: string, content: object) => {
    const record = find(kind, id);
    if (!record) return;
    put(kind, { ...record, ...content } as never);
    saveSoon(kind, id);
  };

  return {
    aircraft: [],
    batteries: [],
    chargers: [],
    conditions: [],
    testFlights: [],
    shoots: [],
    loading: 'loading',
    loadingRest: 'loading',
    saving: 'saved',
    trouble: null,
    undoSteps: [],

    async load() {
      set({ loading: 'loading', loadingRest: 'loading', trouble: null });
      try {
        set({ ...(await read(firstKinds)), loading: 'ready' });
      } catch (error) {
        set({ loading: 'failed', trouble: (error as Error).message });
        return;
      }
      try {
        set({ ...(await read(kinds.filter((kind) => !firstKinds.includes(kind)))), loadingRest: 'ready' });
      } catch (error) {
        set({ loadingRest: 'failed', trouble: (error as Error).message });
      }
    },

    edit(kind, id, content, label, how) {
      get().editEach([{ kind, id, content } as unknown as AnyChange], label, how);
    },

    editAll(kind, changes, label) {
      get().editEach(
        changes.map((one) => ({ kind, ...one }) as unknown as AnyChange),
        label,
        { offered: true },
      );
    },

    editEach(changes, label, how = { offered: false }) {
      if (changes.length === 0) return;
      const before = changes.flatMap(({ kind, id, content }) => {
        const record = find(kind, id) as unknown as Record<string, unknown> | undefined;
        if (!record) return [];
        const old = Object.fromEntries(Object.keys(content).map((key) => [key, record[key] ?? null]));
        return [{ kind, id, content: old }];
      });
      for (const { kind, id, content } of changes) change(kind, id, content);
      const names = changes.map(({ kind, id }) => `${kind} ${id}`).join(' ');
      pushUndo(label, `${names} ${label}`, how.offered, () => {
        for (const { kind, id, content } of before) change(kind, id, content);
      });
    },

    async add(kind, content, label) {
      const record = await createRecord(kind, content);
      put(kind, record);
      pushUndo(label, `add ${record.id}`, true, async () => {
        await saveAll();
        await removeRecord(kind, record.id);
        set((state) => ({ [kind]: state[kind].filter(({ id }) => id !== record.id) }) as Partial<Records>);
      });
      return record;
    },

    async remove(kind, id, label) {
      await saveAll();
      await removeRecord(kind, id);
      set((state) => ({ [kind]: state[kind].filter((record) => record.id !== id) }) as Partial<Records>);
      pushUndo(label, `remove ${id}`, true, async () => put(kind, await restoreRecord(kind, id)));
    },

    async undo() {
      const steps = get().undoSteps;
      const last = steps[steps.length - 1];
      if (!last) return;
      set({ undoSteps: steps.slice(0, -1) });
      try {
        await last.undo();
      } catch (error) {
        set({ trouble: (error as Error).message });
      }
    },

    sealUndo() {
      sealedOrdinal = lastOrdinal;
      return lastOrdinal;
    },

    undoSince(ordinal) {
      const steps = get().undoSteps;
      const later = steps.filter((step) => step.ordinal > ordinal);
      set({ undoSteps: steps.filter((step) => step.ordinal <= ordinal) });
      for (const step of later.reverse()) void step.undo();
      return later.length > 0;
    },

    async retry() {
      set({ saving: 'saving' });
      await saveAll();
    },

    saveAtOnce() {
      clearTimeout(timer);
      return saveWaiting();
    },
  };
});

/** Replaces a record in place; a new or restored one goes where its id, which grows with time, belongs. */
function upsert<R extends { readonly id: string }>(records: readonly R[], record: R): R[] {
  if (records.some(({ id }) => id === record.id)) {
    return records.map((old) => (old.id === record.id ? record : old));
  }
  return [...records, record].sort((a, b) => (a.id < b.id ? -1 : 1));
}

async function read(some: readonly Kind[]): Promise<Partial<Data>> {
  const lists = await Promise.all(some.map(async (kind) => [kind, await listAll(kind)] as const));
  return Object.fromEntries(lists) as unknown as Partial<Data>;
}
