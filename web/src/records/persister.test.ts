import type { StoredState } from './dependencies';
import { Persister } from './persister';

const nothing: StoredState = { waiting: [], done: [], undone: [] };

test('a write that failed is tried again by itself, and only then all is kept', async () => {
  let isFull = true;
  let writes = 0;
  const waits: (() => void)[] = [];
  const kept: boolean[] = [];
  const local = {
    read: async () => nothing,
    async write() {
      writes += 1;
      if (isFull) throw new Error('quota');
    },
  };
  const store = { get: () => nothing, restore() {}, setKept: (isKept: boolean) => void kept.push(isKept) };
  const keeper = new Persister(local, store, (_, run) => {
    waits.push(run);
    return () => undefined;
  });
  await keeper.restore();
  await keeper.keep();
  expect([writes, kept.at(-1)]).toEqual([1, false]);
  isFull = false;
  for (const run of waits.splice(0)) run();
  await new Promise((resolve) => setTimeout(resolve));
  expect([writes, kept.at(-1)]).toEqual([2, true]);
});
