import { type Battery, type KeptPlace, storageInDays, takeoffCharge } from '@acorn-tally/core';
import dayjs from 'dayjs';

/** "today 07:40", "yesterday 18:00", "Mon 23 Nov, 18:00", as seen from an hour. */
export function whenInWords(at: string, seenFrom: string): string {
  const days = dayjs(seenFrom).startOf('day').diff(dayjs(at).startOf('day'), 'day');
  const clock = dayjs(at).format('HH:mm');
  if (days === 0) return `today ${clock}`;
  if (days === 1) return `yesterday ${clock}`;
  if (days === -1) return `tomorrow ${clock}`;
  return `${dayjs(at).format('ddd D MMM')}, ${clock}`;
}

/** The gauge of a pack as it will be at an hour: "96 %". */
export function chargeInWords(pack: Battery): string {
  return `${Math.round(takeoffCharge(pack) * 100)} %`;
}

const week = 6;

/** "at storage by Sunday", "at storage by 12 Dec", or nothing for a pack that is there or keeps its charge. */
export function storageInWords(pack: Battery, at: string): string | null {
  const days = storageInDays(pack);
  if (days === null || days === 0) return null;
  const day = dayjs(at).add(days, 'day');
  return `at storage by ${day.format(days <= week ? 'dddd' : 'D MMM')}`;
}

export const placeNames: Record<KeptPlace, string> = {
  pocket: 'in a pocket',
  room: 'in a room',
  car: 'in a car',
  outside: 'outside',
  own: 'measured',
};
