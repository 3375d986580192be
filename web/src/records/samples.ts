import type { DBSchema, IDBPDatabase } from 'idb';
import { keyOf } from './kinds';
import { useRecords } from './records';

interface Kept extends DBSchema {
  waiting: { key: string; value: { readonly id: string; readonly samples: Blob; readonly at: number } };
}

/** So long samples wait for their flight to come to the server, or to come back to it. */
const keptMs = 30 * 86_400_000;

let opened: Promise<IDBPDatabase<Kept>> | null = null;
function open(): Promise<IDBPDatabase<Kept>> {
  opened ??= import('idb').then(({ openDB }) =>
    openDB<Kept>('acorn-tally-samples', 1, {
      upgrade: (database) => void database.createObjectStore('waiting', { keyPath: 'id' }),
    }),
  );
  return opened;
}

/** Keeps the samples of a flight in this browser until the server has them. */
export async function keepSamples(id: string, samples: Blob): Promise<void> {
  await (await open()).put('waiting', { id, samples, at: Date.now() });
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
  for (const { id, samples, at } of await database.getAll('waiting')) {
    if (keyOf('testFlights', id) in useRecords.getState().waiting) continue;
    const response = await fetch(`/api/v1/test-flights/${id}/samples`, {
      method: 'PUT',
      headers: { 'content-type': 'text/csv' },
      body: samples,
    }).catch(() => null);
    // Taken back it may come again, so its samples stay a while; what the server will never take, goes.
    const isOver = response !== null && (response.ok || response.status === 400 || response.status === 413);
    if (isOver || Date.now() - at > keptMs) await database.delete('waiting', id);
  }
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
