import { readClockTime } from '../units/timeZone';
import { type LogUnit, perUnit } from './columns';

/** How dates of a column are written where their texts leave it open. */
export interface DateForm {
  /** 11/25/2026, where others write 25/11/2026. */
  readonly monthFirst: boolean;
  /** Where they name no offset. */
  readonly timeZone: string;
}

/** No number, clock or date is longer. */
const maxCellLength = 64;

/** A number as logs write it; null for what is none. With a decimal comma points are thousands. */
export function numberIn(text: string, decimalComma: boolean): number | null {
  if (text.length > maxCellLength) return null;
  const plain = decimalComma ? text.replace(/\./g, '').replace(',', '.') : text;
  const found = /^\s*([+-]?(?:\d+\.?\d*|\.\d+)(?:e[+-]?\d+)?)\s*(?:%|[a-zµμ°/]{1,6})?\s*$/i.exec(plain);
  return found ? Number(found[1]) : null;
}

/** Hours, minutes and seconds with colons: "1:02:03.5", "12:34", "1:02:03 PM". */
export function clockIn(text: string): number | null {
  if (text.length > maxCellLength) return null;
  const found = /^\s*(?:(\d{1,3}):)?(\d{1,3}):(\d{1,2}(?:[.,]\d+)?)\s*([ap]\.?m\.?)?\s*$/i.exec(text);
  if (!found) return null;
  const [, hours = '0', minutes = '0', seconds = '0', half] = found;
  return hourOf(hours, half) * 3600 + Number(minutes) * 60 + Number(seconds.replace(',', '.'));
}

/** Of a clock of twice twelve hours 12 is the first: 12:30 AM is half past midnight. */
function hourOf(hours: string, half: string | undefined): number {
  if (!half) return Number(hours);
  return (Number(hours) % 12) + (/^p/i.test(half) ? 12 : 0);
}

const yearFirst = /^(\d{4})([-/.]?)(\d{1,2})\2(\d{1,2})(?=[T ]|$)/;
const yearLast = /^(\d{1,2})([-/.])(\d{1,2})\2(\d{4})(?=[T, ]|$)/;

/** A date as "2026-11-25"; null where the text begins with none. */
function dayIn(text: string, monthFirst: boolean): { readonly day: string; readonly rest: string } | null {
  const [first, last] = [yearFirst.exec(text), yearLast.exec(text)];
  const rest = text.slice((first ?? last)?.[0].length ?? 0).replace(/^[T,]?\s*/, '');
  const two = (part: string | undefined) => (part ?? '').padStart(2, '0');
  if (first) return { day: `${first[1]}-${two(first[3])}-${two(first[4])}`, rest };
  if (!last) return null;
  // Points and hyphens have the day first wherever they are used (common practice).
  const [day, month] = monthFirst && last[2] === '/' ? [last[3], last[1]] : [last[1], last[3]];
  return { day: `${last[4]}-${two(month)}-${two(day)}`, rest };
}

/** Whether a date with the year last can only have the month first, or only the day; null where it may be either. */
export function monthFirstIn(text: string): boolean | null {
  const last = yearLast.exec(text.trim().slice(0, maxCellLength));
  if (!last) return null;
  return Number(last[3]) > 12 ? true : Number(last[1]) > 12 ? false : null;
}

const timeOfDay =
  /^(\d{1,2}):?(\d{2})(?::?(\d{2})(?:[.,](\d+))?)?\s*([ap]\.?m\.?)?\s*(Z|UTC|GMT|[+-]\d{2}:?\d{2})?$/i;

/** A date with a time of day, s since 1970: "2026-11-25 10:10:03.5", "25.11.2026 10:10", "11/25/2026 10:10 AM", "20261125T101003Z". */
export function dateIn(text: string, form: DateForm): number | null {
  if (text.length > maxCellLength) return null;
  const found = dayIn(text.trim(), form.monthFirst);
  const time = found && timeOfDay.exec(found.rest);
  if (!found || !time) return null;
  const [, hours = '', minutes = '', seconds = '00', fraction = '0', half, offset] = time;
  const hour = String(hourOf(hours, half)).padStart(2, '0');
  const own = offset && (/^[+-]/.test(offset) ? offset : 'Z');
  const at = readClockTime(`${found.day}T${hour}:${minutes}:${seconds}${own ?? ''}`, form.timeZone);
  return at === null ? null : Date.parse(at) / 1000 + Number(`0.${fraction}`);
}

/** A date alone, as midnight of its zone, s since 1970. */
export function dayAloneIn(text: string, form: DateForm): number | null {
  if (text.length > maxCellLength) return null;
  const found = dayIn(text.trim(), form.monthFirst);
  const at = found && found.rest === '' ? readClockTime(found.day, form.timeZone) : null;
  return at === null ? null : Date.parse(at) / 1000;
}

const onWords = /^(1|true|on|yes|armed|flying|in.?air|running)$/i;
const offWords = /^(0|false|off|no|disarmed|landed|on.?ground|stopped)$/i;

export function onOrOff(text: string): boolean | null {
  if (text.length > maxCellLength) return null;
  if (onWords.test(text.trim())) return true;
  return offWords.test(text.trim()) ? false : null;
}

/** A cell in SI by its unit; null where it cannot be read. */
export function cellIn(text: string, unit: LogUnit, decimalComma: boolean, form: DateForm): number | null {
  if (unit === 'clock') return clockIn(text);
  if (unit === 'date and time') return dateIn(text, form);
  if (unit === 'date') return dayAloneIn(text, form);
  const number = numberIn(text, decimalComma);
  if (number === null) return null;
  // Divided, so that 70 % is 0.7 to the last digit.
  if (unit === '%') return number / 100;
  if (unit === '°C') return number;
  if (unit === '°F') return ((number - 32) * 5) / 9;
  return number * (perUnit[unit] ?? 1);
}
