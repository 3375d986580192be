const dayForm = /^(\d{4})-(\d\d)-(\d\d)$/;
const instantForm =
  /^(\d{4}-\d\d-\d\d)T([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-](0\d|1[0-4]):[0-5]\d)$/;

/** A day of the calendar: 2026-11-26, and no 30th of February. */
export function isDay(value: unknown): value is string {
  const match = typeof value === 'string' ? dayForm.exec(value) : null;
  if (!match) return false;
  const [year, month, day] = match.slice(1).map(Number) as [number, number, number];
  const date = new Date(Date.UTC(year, month - 1, day));
  return date.getUTCMonth() === month - 1 && date.getUTCDate() === day;
}

/**
 * An instant that every clock reads alike: date, time and offset as RFC 3339 has them, 2026-11-26T08:40:00+00:00. Other forms
 * of ISO 8601 (weeks, days of the year, no dashes) and times without an offset are none.
 */
export function isInstant(value: unknown): value is string {
  const match = typeof value === 'string' ? instantForm.exec(value) : null;
  return match !== null && isDay(match[1]) && Number.isFinite(Date.parse(value as string));
}

/** For sorting, earliest first, whatever offsets they are written with. */
export function compareInstants(a: string, b: string): number {
  return Date.parse(a) - Date.parse(b);
}
