import dayjs from 'dayjs';
import customParseFormat from 'dayjs/plugin/customParseFormat';

dayjs.extend(customParseFormat);

/** Whether days are written before their month where the pilot lives. */
export function dayComesFirst(locale: string): boolean {
  const parts = new Intl.DateTimeFormat(locale, { day: 'numeric', month: 'numeric' }).formatToParts(0);
  const place = (type: string) => parts.findIndex((part) => part.type === type);
  return place('day') < place('month');
}

/** How a day and, with it, a time of day stand in a field: always by 24 hours. */
export function momentPattern(dayFirst: boolean, withTime: boolean): string {
  return `${dayFirst ? 'D MMM YYYY' : 'MMM D, YYYY'}${withTime ? ', HH:mm' : ''}`;
}

const dayFirstDays = ['D MMM YYYY', 'D MMMM YYYY', 'D.M.YYYY', 'D/M/YYYY', 'D-M-YYYY', 'D MMM', 'D MMMM'];
const monthFirstDays = ['MMM D YYYY', 'MMMM D YYYY', 'M/D/YYYY', 'M-D-YYYY', 'MMM D', 'MMMM D'];

/**
 * A day, or a day and a time, as a person writes it: "26 Nov 2026, 8:40", "26.11.2026 0840", "2026-11-26 08:40". Without a
 * year it is that of what stood before; a time alone is of the day that stood before.
 *
 * @returns "2026-11-26" or "2026-11-26T08:40"; null where it is neither
 */
export function readMoment(
  text: string,
  before: string,
  dayFirst: boolean,
  withTime: boolean,
): string | null {
  const words = text
    .trim()
    .replace(/(\d)T(\d)/i, '$1 $2')
    .replace(/,/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/^(mon|tue|wed|thu|fri|sat|sun)[a-z]*\.? /i, '');
  if (!withTime) return readDay(words, before, dayFirst);
  // Four figures in a row are a time only where the year stands already.
  const [, date = '', hour, minute] =
    /^(.*?)\s*\b(\d{1,2})[:.](\d{2})$/.exec(words) ?? /^(.*\d{4}) (\d{2})(\d{2})$/.exec(words) ?? [];
  if (hour === undefined || minute === undefined || Number(hour) > 23 || Number(minute) > 59) return null;
  const day = date === '' ? before.slice(0, 10) || null : readDay(date, before, dayFirst);
  return day && `${day}T${hour.padStart(2, '0')}:${minute}`;
}

function readDay(words: string, before: string, dayFirst: boolean): string | null {
  if (/^\d{4}-\d{2}-\d{2}$/.test(words)) return dayjs(words, 'YYYY-MM-DD', true).isValid() ? words : null;
  const plain = words
    .replace(/\b0(\d)\b/g, '$1')
    .replace(/[a-z]+/gi, (word) => word.charAt(0).toUpperCase() + word.slice(1).toLowerCase());
  const year = before.slice(0, 4) || String(new Date().getFullYear());
  const patterns = dayFirst ? [...dayFirstDays, ...monthFirstDays] : [...monthFirstDays, ...dayFirstDays];
  const days = patterns.map((pattern) =>
    pattern.includes('Y') ? dayjs(plain, pattern, true) : dayjs(`${plain} ${year}`, `${pattern} YYYY`, true),
  );
  return days.find((day) => day.isValid())?.format('YYYY-MM-DD') ?? null;
}

/** What is kept, as it is written in a field. */
export function writeMoment(kept: string, dayFirst: boolean, withTime: boolean): string {
  return kept === '' ? '' : dayjs(kept).format(momentPattern(dayFirst, withTime));
}
