import {
  type Battery,
  type BatteryContent,
  type ClassTemplate,
  type Coefficients,
  type KeptPlace,
  storageInDays,
  takeoffCharge,
} from '@acorn-tally/core';
import type { Clock } from '../state/clock';
import type { Writer } from '../state/units';

/** "that day 07:40", "the day before 18:00", "Mon 23 Nov, 18:00", as seen from the hour of the conditions, which need not be today. */
export function whenInWords(at: string, seenFrom: string, clock: Clock): string {
  const dayNumber = (one: string) => Date.parse(clock.format(one, 'YYYY-MM-DD')) / 86_400_000;
  const days = dayNumber(seenFrom) - dayNumber(at);
  const time = clock.format(at, 'HH:mm');
  if (days === 0) return `that day ${time}`;
  if (days === 1) return `the day before ${time}`;
  if (days === -1) return `the day after ${time}`;
  return `${clock.format(at, 'ddd D MMM')}, ${time}`;
}

/** Where a pack waits; one that was never said to wait anywhere has the air's temperature, unless it was measured. */
export function keptPlaceOf({ pack, keeping }: Pick<BatteryContent, 'pack' | 'keeping'>): KeptPlace {
  return keeping?.keptAt ?? (pack.startTemperatureC == null ? 'outside' : 'own');
}

/** The gauge of a pack as it will be at an hour: "96 %". */
export function chargeInWords(pack: Battery, coefficients: Coefficients): string {
  return `${Math.round(takeoffCharge(pack, coefficients) * 100)} %`;
}

const week = 6;

/** "at storage by Sunday", "at storage by 12 Dec", or nothing for a pack that is there or keeps its charge. */
export function storageInWords(
  pack: Battery,
  coefficients: Coefficients,
  at: string,
  clock: Clock,
): string | null {
  const days = storageInDays(pack, coefficients);
  if (days === null || days === 0) return null;
  const then = new Date(Date.parse(at) + days * 86_400_000).toISOString();
  return `storage level by ${clock.format(then, days <= week ? 'dddd' : 'D MMM')}`;
}

export const placeNames: Record<KeptPlace, string> = {
  pocket: 'in a pocket',
  room: 'in a room',
  car: 'in a car',
  outside: 'outside',
  own: 'measured',
};

/** A class by its mass in the pilot's units: "249 g camera", "0.55 lb camera". */
export function classInWords({ spec, what }: ClassTemplate, write: Writer['write']): string {
  return `${write('mass', spec.takeoffMassKg)} ${what}`;
}

/** A health with its spread, as flights taught it: "91 % ±3". */
export function healthInWords({
  value,
  spread,
}: {
  readonly value: number;
  readonly spread: number;
}): string {
  return `${Math.round(value * 100)} % ±${spreadInWords({ spread })}`;
}

/** A spread in whole per cent, never none. */
export function spreadInWords({ spread }: { readonly spread: number }): string {
  return String(Math.max(1, Math.round(spread * 100)));
}
