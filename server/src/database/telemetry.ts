import { asc, eq } from 'drizzle-orm';
import type { Reader, Transaction } from './database';
import { telemetry } from './schema';

/** So much of a flight's samples lies in one row, in characters. */
const partLength = 262_144;

/** Keeps the samples of a flight in the place of those it had; they go when its row goes. */
export async function keepSamples(transaction: Transaction, flightId: string, text: string): Promise<void> {
  await transaction.delete(telemetry).where(eq(telemetry.flightId, flightId));
  for (let part = 0; part * partLength < text.length; part++) {
    const piece = text.slice(part * partLength, (part + 1) * partLength);
    await transaction.insert(telemetry).values({ flightId, part, text: piece });
  }
}

/** The samples of a flight; null where none are kept. */
export async function samplesOf(reader: Reader, flightId: string): Promise<string | null> {
  const rows = await reader
    .select({ text: telemetry.text })
    .from(telemetry)
    .where(eq(telemetry.flightId, flightId))
    .orderBy(asc(telemetry.part));
  return rows.length === 0 ? null : rows.map(({ text }) => text).join('');
}
