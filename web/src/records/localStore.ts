import type { DBSchema, IDBPDatabase } from 'idb';
import type { Step } from './changes';
import type { LocalStore, StoredState } from './dependencies';
import { keyOf } from './kinds';
import { openedOnce } from './openedOnce';
import type { PendingWrite } from './outbox';

type KeptStep = Step & { readonly tab: string; readonly isUndone: boolean };
type KeptWaiting = PendingWrite & { readonly tab: string; readonly name: string };

interface Kept extends DBSchema {
  /** What is not yet on the server, by tab and record. */
  waiting: { key: [string, string]; value: KeptWaiting };
  /** What can be undone or redone, by tab and ordinal. */
  steps: { key: [string, number]; value: KeptStep };
}

/** Which tabs there are: the name of this one, and whether another lives. */
export interface Tabs {
  own(): Promise<string>;
  /** Of some names those whose tab is gone. */
  gone(names: readonly string[]): Promise<readonly string[]>;
}

/**
 * What is kept in the browser's database. Each tab keeps what is its own; what a tab left unsent that is gone, another takes over
 * when it starts. Only what changed since it was last written is written.
 */
export function localStoreIn(name: string, tabs: Tabs): LocalStore {
  let written: StoredState = { waiting: [], done: [], undone: [] };
  const open = openedOnce(async () => {
    const { openDB } = await import('idb');
    return openDB<Kept>(name, 1, {
      upgrade(database) {
        database.createObjectStore('waiting', { keyPath: ['tab', 'name'] });
        database.createObjectStore('steps', { keyPath: ['tab', 'ordinal'] });
      },
    });
  });
  return {
    async read() {
      const [database, own] = await Promise.all([open(), tabs.own()]);
      const [waiting, steps] = await Promise.all([database.getAll('waiting'), database.getAll('steps')]);
      const others = [...new Set([...waiting, ...steps].map(({ tab }) => tab))].filter((tab) => tab !== own);
      const gone = await tabs.gone(others);
      const left = waiting.filter(({ tab }) => gone.includes(tab));
      await takeOver(
        database,
        own,
        left,
        steps.filter(({ tab }) => gone.includes(tab)),
      );
      const mine = steps.filter(({ tab }) => tab === own);
      written = {
        waiting: [...left, ...waiting.filter(({ tab }) => tab === own)].map(asWaiting),
        done: mine.filter(({ isUndone }) => !isUndone).map(asStep),
        undone: mine
          .filter(({ isUndone }) => isUndone)
          .map(asStep)
          .reverse(),
      };
      return written;
    },

    async write(next) {
      const [database, own] = await Promise.all([open(), tabs.own()]);
      const transaction = database.transaction(['waiting', 'steps'], 'readwrite');
      const [waiting, steps] = [transaction.objectStore('waiting'), transaction.objectStore('steps')];
      const [before, after] = [byName(written.waiting), byName(next.waiting)];
      const [stepsBefore, stepsAfter] = [byOrdinal(written), byOrdinal(next)];
      const work: Promise<unknown>[] = [];
      for (const [at, one] of after)
        if (before.get(at) !== one) work.push(waiting.put({ ...one, tab: own, name: at }));
      for (const at of before.keys()) if (!after.has(at)) work.push(waiting.delete([own, at]));
      for (const [at, { step, isUndone }] of stepsAfter) {
        const known = stepsBefore.get(at);
        if (known?.step !== step || known.isUndone !== isUndone)
          work.push(steps.put({ ...step, tab: own, isUndone }));
      }
      for (const at of stepsBefore.keys()) if (!stepsAfter.has(at)) work.push(steps.delete([own, at]));
      await Promise.all([...work, transaction.done]);
      written = next;
    },
  };
}

async function takeOver(
  database: IDBPDatabase<Kept>,
  own: string,
  waiting: readonly KeptWaiting[],
  steps: readonly KeptStep[],
): Promise<void> {
  const transaction = database.transaction(['waiting', 'steps'], 'readwrite');
  await Promise.all([
    ...waiting.flatMap((one) => [
      transaction.objectStore('waiting').delete([one.tab, one.name]),
      transaction.objectStore('waiting').put({ ...one, tab: own }),
    ]),
    ...steps.map(({ tab, ordinal }) => transaction.objectStore('steps').delete([tab, ordinal])),
    transaction.done,
  ]);
}

const byName = (waiting: readonly PendingWrite[]) =>
  new Map(waiting.map((one) => [keyOf(one.kind, one.id), one]));

function byOrdinal({ done, undone }: StoredState) {
  return new Map(
    [
      ...done.map((step) => ({ step, isUndone: false })),
      ...undone.map((step) => ({ step, isUndone: true })),
    ].map((one) => [one.step.ordinal, one]),
  );
}

function asWaiting({ tab: _t, name: _n, ...waiting }: KeptWaiting): PendingWrite {
  return waiting;
}

function asStep({ tab: _t, isUndone: _u, ...step }: KeptStep): Step {
  return step;
}
