import type { Battery } from './battery';

export const batteryStates = ['in use', 'retired', 'damaged'] as const;
export type BatteryState = (typeof batteryStates)[number];

export const keptPlaces = ['pocket', 'room', 'car', 'outside', 'own'] as const;
export type KeptPlace = (typeof keptPlaces)[number];

/** How a pack is kept and what its owner noted; times are ISO 8601. What is absent is not known. */
export interface BatteryKeeping {
  readonly state?: BatteryState | null;
  /** When its gauge last stood at the start charge: charged, landed or read. */
  readonly chargedAt?: string | null;
  /** Where it waits, which tells its temperature; "own" where the pilot measured it. */
  readonly keptAt?: KeptPlace | null;
  readonly boughtOn?: string | null;
  /** When the health was measured by a test; without it a health is the pilot's own guess. */
  readonly healthMeasuredOn?: string | null;
  readonly notes?: string | null;
}

/** A damaged, puffed or retired pack is not flown, so it is neither counted nor planned. */
export function isFlown(keeping: BatteryKeeping | null | undefined): boolean {
  return (keeping?.state ?? 'in use') === 'in use';
}

const pocketC = 25;
const roomC = 20;

/**
 * Temperature in °C of a pack by where it waits, in air of `airC`: an inner pocket 25, a room 20, a car that was driven
 * to the site half-way between a room and the air, outside the air's (all assumed). Null where it is the pilot's own reading.
 */
export function keptTemperatureC(keptAt: KeptPlace, airC: number): number | null {
  const temperatures: Record<KeptPlace, number | null> = {
    pocket: pocketC,
    room: roomC,
    car: (roomC + airC) / 2,
    outside: airC,
    own: null,
  };
  return temperatures[keptAt];
}

const msPerDay = 86_400_000;
const daysPerYear = 365.25;

/** Days from one instant to a later one; 0 when it is not later. */
export function daysBetween(from: string, to: string): number {
  return Math.max(0, (Date.parse(to) - Date.parse(from)) / msPerDay);
}

/** The pack as old as it is at an instant, where somebody noted when it was bought. */
export function agedPack(
  { pack, keeping }: { readonly pack: Battery; readonly keeping?: BatteryKeeping | null },
  at: string,
): Battery {
  if (!keeping?.boughtOn) return pack;
  return { ...pack, ageYears: daysBetween(keeping.boughtOn, at) / daysPerYear };
}

/** The pack as it will be at an hour: how old, how long it will have stood by then, and how warm it will be where it waits. */
export function packAt(
  pack: Battery,
  keeping: BatteryKeeping | null | undefined,
  at: string,
  airC: number,
): Battery {
  const aged = agedPack({ pack, keeping }, at);
  const keptC = keeping?.keptAt ? keptTemperatureC(keeping.keptAt, airC) : null;
  return {
    ...aged,
    daysSinceCharge: keeping?.chargedAt
      ? Math.min(365, daysBetween(keeping.chargedAt, at))
      : (pack.daysSinceCharge ?? null),
    startTemperatureC: keptC ?? pack.startTemperatureC ?? null,
  };
}
