import { asc, eq } from 'drizzle-orm';
import type { Reader, Transaction } from './database';
import { telemetry } from './schema';

/** So much of a flight's samples lies in one row, in characters, and the end of the piece that reaches it. */
const partLength = 262_144;

/** Keeps the samples of a flight, as they came in pieces, in the place of those it had; they go when its row goes. */
export async function keepSamples(
  transaction: Transaction,
  flightId: string,
  pieces: readonly string[],
): Promise<void> {
  await transaction.delete(telemetry).where(eq(telemetry.flightId, flightId));
  let part = 0;
  let text = '';
  for (const [i, piece] of pieces.entries()) {
    text += piece;
    if (text === '' || (text.length < partLength && i < pieces.length - 1)) continue;
    await transaction.insert(telemetry).values({ flightId, part, text });
    part++;
    text = '';
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
