import type { DBSchema, IDBPDatabase } from 'idb';
import { keyOf } from './kinds';
import { openedOnce } from './openedOnce';
import { useRecords } from './records';

interface UnsentSamples {
  readonly id: string;
  readonly samples: Blob;
  /** The days on which the server said that it has no such flight. */
  readonly missingOn?: readonly string[];
}
interface Kept extends DBSchema {
  waiting: { key: string; value: UnsentSamples };
}

/**
 * A flight that was taken back may come again, so its samples wait for it. They go when the server did not know it on so many
 * different days: one wrong clock, or a server that does not answer, deletes nothing.
 */
const maxMissingDays = 30;

const open = openedOnce(
  async (): Promise<IDBPDatabase<Kept>> =>
    (await import('idb')).openDB<Kept>('acorn-tally-samples', 1, {
      upgrade: (database) => void database.createObjectStore('waiting', { keyPath: 'id' }),
    }),
);

/** Keeps the samples of a flight in this browser until the server has them. */
export async function keepSamples(id: string, samples: Blob): Promise<void> {
  await (await open()).put('waiting', { id, samples });
  await sendSamples();
}

let sending: Promise<void> | null = null;

/** Sends what waits, of flights that are on the server; what cannot be sent now waits on. */
export function sendSamples(): Promise<void> {
  sending ??= sendAll().finally(() => {
    sending = null;
  });
  return sending;
}

async function sendAll(): Promise<void> {
  const database = await open();
  for (const unsent of await database.getAll('waiting')) {
    const { id, samples } = unsent;
    if (keyOf('testFlights', id) in useRecords.getState().waiting) continue;
    const response = await fetch(`/api/v1/test-flights/${id}/samples`, {
      method: 'PUT',
      headers: { 'content-type': 'text/csv' },
      body: samples,
    }).catch(() => null);
    // What the server will never take, goes.
    const isOver = response !== null && (response.ok || response.status === 400 || response.status === 413);
    const missingOn = missingDays(unsent, response);
    if (isOver || missingOn.length > maxMissingDays) await database.delete('waiting', id);
    else if (missingOn.length > (unsent.missingOn?.length ?? 0))
      await database.put('waiting', { ...unsent, missingOn });
  }
}

function missingDays({ missingOn = [] }: UnsentSamples, response: Response | null): readonly string[] {
  const today = new Date().toISOString().slice(0, 10);
  return response?.status === 404 && !missingOn.includes(today) ? [...missingOn, today] : missingOn;
}

/** Tries again whenever something else was saved. */
export function followSamples(): () => void {
  void sendSamples();
  return useRecords.subscribe((now, before) => {
    if (now.waiting !== before.waiting) void sendSamples();
  });
}

/** The samples the server keeps of a flight; null where it keeps none. */
export async function samplesAt(id: string): Promise<Blob | null> {
  const response = await fetch(`/api/v1/test-flights/${id}/samples`);
  if (response.status === 404) return null;
  if (!response.ok) throw new Error('The samples could not be read.');
  return response.blob();
}
