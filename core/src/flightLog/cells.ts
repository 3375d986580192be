import { readClockTime } from '../units/timeZone';
import { type LogUnit, perUnit } from './columns';

/** A number as logs write it; null for what is none. With a decimal comma points are thousands. */
export function numberIn(text: string, decimalComma: boolean): number | null {
  const plain = decimalComma ? text.replace(/\./g, '').replace(',', '.') : text;
  const found = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(?:%|[a-z°/]{1,6})?\s*$/i.exec(plain);
  return found ? Number(found[1]) : null;
}

/** Hours, minutes and seconds with colons: "1:02:03.5", "12:34". */
export function clockIn(text: string): number | null {
  const found = /^\s*(?:(\d{1,3}):)?(\d{1,3}):(\d{1,2}(?:[.,]\d+)?)\s*$/.exec(text);
  if (!found) return null;
  const [, hours = '0', minutes = '0', seconds = '0'] = found;
  return Number(hours) * 3600 + Number(minutes) * 60 + Number(seconds.replace(',', '.'));
}

/** A date with a time of day, s since 1970; in the zone where it names no offset. */
export function dateIn(text: string, timeZone: string): number | null {
  const trimmed = text.trim().replace(/(\d{4})[/.](\d{2})[/.](\d{2})/, '$1-$2-$3');
  if (!/^\d{4}-\d{2}-\d{2}[T ]\d{2}:\d{2}/.test(trimmed)) return null;
  if (/(?:Z|[+-]\d{2}:?\d{2})$/.test(trimmed)) {
    const ms = Date.parse(trimmed.replace(' ', 'T'));
    return Number.isFinite(ms) ? ms / 1000 : null;
  }
  const [minute = '', rest = ''] = [trimmed.slice(0, 16), trimmed.slice(16)];
  const at = readClockTime(minute, timeZone);
  const seconds = /^(?::(\d{2}(?:[.,]\d+)?))?$/.exec(rest);
  if (at === null || !seconds) return null;
  return Date.parse(at) / 1000 + Number((seconds[1] ?? '0').replace(',', '.'));
}

const onWords = /^(1|true|on|yes|armed|flying|in.?air|running)$/i;
const offWords = /^(0|false|off|no|disarmed|landed|on.?ground|stopped)$/i;

export function onOrOff(text: string): boolean | null {
  if (onWords.test(text.trim())) return true;
  return offWords.test(text.trim()) ? false : null;
}

/** A cell in SI by its unit; null where it cannot be read. */
export function cellIn(text: string, unit: LogUnit, decimalComma: boolean, timeZone: string): number | null {
  if (unit === 'clock') return clockIn(text);
  if (unit === 'date and time') return dateIn(text, timeZone);
  const number = numberIn(text, decimalComma);
  if (number === null) return null;
  // Divided, so that 70 % is 0.7 to the last digit.
  if (unit === '%') return number / 100;
  if (unit === '°C') return number;
  if (unit === '°F') return ((number - 32) * 5) / 9;
  return number * (perUnit[unit] ?? 1);
}
