import { clockTime, offsetMin, readClockTime, type Site, withOffset } from '@acorn-tally/core';
import dayjs from 'dayjs';
import utc from 'dayjs/plugin/utc';
import { useMemo } from 'react';
import { zoneOf } from '../api/zones';
import { useConditions } from './current';

dayjs.extend(utc);

/** The clocks of the place where it is flown: every time of day here is read and written by them. */
export interface Clock {
  readonly timeZone: string;
  /** An instant in words, by a pattern of dayjs. */
  format(at: string, pattern: string): string;
  /** "2026-11-26T08:40", as fields for date and time have it. */
  field(at: string): string;
  /** The instant such a text means, with the place's offset; null where it is none. */
  read(text: string): string | null;
  /** "Sydney time" where these clocks then show another hour than the browser's; else null. */
  note(at: string): string | null;
}

export const browserTimeZone = Intl.DateTimeFormat().resolvedOptions().timeZone;

export function clockOf(timeZone: string, here = browserTimeZone): Clock {
  return {
    timeZone,
    format: (at, pattern) => dayjs(at).utcOffset(offsetMin(at, timeZone)).format(pattern),
    field: (at) => clockTime(at, timeZone),
    read: (text) => {
      const at = readClockTime(text, timeZone);
      return at && withOffset(at, timeZone);
    },
    note: (at) => (offsetMin(at, timeZone) === offsetMin(at, here) ? null : `${cityOf(timeZone)} time`),
  };
}

/** "Australia/Lord_Howe" → "Lord Howe". */
function cityOf(timeZone: string): string {
  return (timeZone.split('/').pop() ?? timeZone).replace(/_/g, ' ');
}

export function clockAt(conditions: { readonly site: Site | null } | null): Clock {
  return clockOf(zoneOf(conditions?.site ?? null, browserTimeZone));
}

export function useClock(): Clock {
  const site = useConditions()?.site ?? null;
  return useMemo(() => clockAt({ site }), [site]);
}

/** The instant at which other clocks show what these showed: 07:00 stays 07:00 when the place turns out to be elsewhere. */
export function sameClockTime(at: string, from: Clock, to: Clock): string {
  return to.read(from.field(at)) ?? at;
}
