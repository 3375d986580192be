import { tzOffset } from '@date-fns/tz';
import { isDay } from './instant';

const msPerMin = 60_000;
const msPerDay = 86_400_000;

/** Whether the machine knows a time zone of this name (IANA time zone database). */
export function isTimeZone(name: unknown): name is string {
  if (typeof name !== 'string') return false;
  try {
    new Intl.DateTimeFormat('en', { timeZone: name });
    return true;
  } catch {
    return false;
  }
}

/** Minutes by which clocks in a zone are ahead of UTC at an instant. */
export function offsetMin(at: string | number, timeZone: string): number {
  return tzOffset(timeZone, new Date(at));
}

/** What the clocks of a zone show at an instant: "2026-11-26T08:40". */
export function clockTime(at: string, timeZone: string): string {
  return new Date(Date.parse(at) + offsetMin(at, timeZone) * msPerMin).toISOString().slice(0, 16);
}

const form = /^(\d{4}-\d\d-\d\d)(?:[T ](\d\d):(\d\d)(?::(\d\d)(?:\.\d+)?)?)?(Z|[+-]\d\d:?\d\d)?$/;

/**
 * The instant a clock time names, in UTC: "2026-11-26 08:40" by the clocks of the zone, or by its own offset where it has one;
 * null where it is none. An hour that comes twice is its first; one that is left out in spring is told as the clocks go
 * on (RFC 5545, 3.3.5).
 */
export function readClockTime(text: string, timeZone: string): string | null {
  const match = form.exec(text.trim());
  if (!match || !isDay(match[1])) return null;
  const [, day, hour = '00', minute = '00', second = '00', offset] = match;
  if (Number(hour) > 23 || Number(minute) > 59 || Number(second) > 59) return null;
  const wallMs = Date.parse(`${day}T${hour}:${minute}:${second}Z`);
  const ms = offset === undefined ? byClocks(wallMs, timeZone) : wallMs - ownOffsetMin(offset) * msPerMin;
  return new Date(ms).toISOString();
}

function byClocks(wallMs: number, timeZone: string): number {
  const before = offsetMin(wallMs - msPerDay, timeZone);
  const after = offsetMin(wallMs + msPerDay, timeZone);
  const shown = [before, after].find(
    (minutes) => offsetMin(wallMs - minutes * msPerMin, timeZone) === minutes,
  );
  return wallMs - (shown ?? before) * msPerMin;
}

/** Minutes ahead of UTC of an offset as instants have it: "+05:45", "Z". */
export function ownOffsetMin(offset: string): number {
  if (offset === 'Z') return 0;
  const [hours, minutes] = [Number(offset.slice(1, 3)), Number(offset.slice(-2))];
  return (offset.startsWith('-') ? -1 : 1) * (hours * 60 + minutes);
}

/** The same instant, written with the offset of a zone: "2026-11-26T07:00:00+11:00". */
export function withOffset(at: string, timeZone: string): string {
  const minutes = offsetMin(at, timeZone);
  const two = (value: number) => String(Math.floor(value)).padStart(2, '0');
  const size = Math.abs(minutes);
  return `${clockTime(at, timeZone)}:00${minutes < 0 ? '-' : '+'}${two(size / 60)}:${two(size % 60)}`;
}
