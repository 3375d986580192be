import type { DBSchema, IDBPDatabase } from 'idb';
import { openedOnce } from '../records/openedOnce';
import type { FlightClock } from './clocks';
import type { ClockEvent } from './events';

interface Kept extends DBSchema {
  clocks: { key: string; value: FlightClock };
}

/** The clocks as this browser keeps them: every event is there before the next is made, whatever becomes of the page. */
export interface ClockShelf {
  all(): Promise<readonly FlightClock[]>;
  put(clock: FlightClock): Promise<void>;
  /** Adds to what is kept now, which another tab may have written; fails where that clock is not kept. */
  append(id: string, event: ClockEvent): Promise<void>;
  remove(id: string): Promise<void>;
  /** Tells of what another tab changed; returns the way to stop listening. */
  follow(changed: () => void): () => void;
}

export function clockShelfIn(name: string, channel: BroadcastChannel | null): ClockShelf {
  const open = openedOnce(
    async (): Promise<IDBPDatabase<Kept>> =>
      (await import('idb')).openDB<Kept>(name, 1, {
        upgrade: (database) => void database.createObjectStore('clocks', { keyPath: 'id' }),
      }),
  );
  const told = () => channel?.postMessage('changed');
  return {
    all: async () => (await open()).getAll('clocks'),
    async put(clock) {
      await (await open()).put('clocks', clock);
      told();
    },
    async append(id, event) {
      const transaction = (await open()).transaction('clocks', 'readwrite');
      const clock = await transaction.store.get(id);
      if (!clock) throw new Error('This clock is not kept.');
      await Promise.all([
        transaction.store.put({ ...clock, events: [...clock.events, event] }),
        transaction.done,
      ]);
      told();
    },
    async remove(id) {
      await (await open()).delete('clocks', id);
      told();
    },
    follow(changed) {
      channel?.addEventListener('message', changed);
      return () => channel?.removeEventListener('message', changed);
    },
  };
}
