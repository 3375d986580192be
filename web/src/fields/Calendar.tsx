import '@mantine/dates/styles.css';
import { DatePicker } from '@mantine/dates';

interface Props {
  /** "2026-11-26", or empty. */
  readonly day: string;
  readonly onPick: (day: string) => void;
}

/** The days of a month; weeks begin as they do where the pilot lives. */
export function Calendar({ day, onPick }: Props) {
  return (
    <DatePicker
      value={day || null}
      defaultDate={day || undefined}
      firstDayOfWeek={firstDayOfWeek(navigator.language)}
      onChange={(picked) => picked !== null && onPick(picked)}
    />
  );
}

/** Sunday is 0; Monday where the browser does not know. */
function firstDayOfWeek(locale: string): 0 | 1 | 2 | 3 | 4 | 5 | 6 {
  const where = new Intl.Locale(locale) as Intl.Locale & {
    getWeekInfo?: () => { readonly firstDay: number };
    readonly weekInfo?: { readonly firstDay: number };
  };
  const first = (where.getWeekInfo?.() ?? where.weekInfo)?.firstDay ?? 1;
  return (first % 7) as 0 | 1 | 2 | 3 | 4 | 5 | 6;
}
