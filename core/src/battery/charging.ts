import type { Quantity } from '../units/quantity';

export const powerSources = ['mains', 'car', 'power bank', 'generator'] as const;
export type PowerSource = (typeof powerSources)[number];

/** A charger as its label and its owner say. */
export interface Charger {
  /** Packs it charges at the same time; one for a hub that takes them in turn. */
  readonly atOnce: number;
  readonly emptyToFullS: number;
  /** The energy of the pack that takes so long, Wh; every pack does where absent. */
  readonly timedWh?: number | null;
  /** What it gives each pack, W; then it is that which tells the time. */
  readonly powerW?: number | null;
  /** Of which aircraft packs fit it; of all where absent. */
  readonly aircraftIds?: readonly string[] | null;
  readonly power: PowerSource;
  /** When the power ends, ISO 8601; null for as long as wanted. */
  readonly powerUntil?: string | null;
}

export const chargerRanges = {
  atOnce: { label: 'Packs at once', unit: '', siPerUnit: 1, min: 1, max: 12, step: 1, whole: true },
  emptyToFullS: { label: 'Empty to full', unit: 'min', siPerUnit: 60, min: 300, max: 36_000, step: 1 },
  timedWh: { label: 'Timed with a pack of', unit: 'Wh', siPerUnit: 1, min: 1, max: 2000, step: 1 },
  powerW: { label: 'Charging power', unit: 'W', siPerUnit: 1, min: 1, max: 2000, step: 1 },
} as const satisfies Record<string, Quantity>;

/** Up to here the current is constant, and it ends at this share of it (assumed, common practice for lithium cells). */
const taperFromCharge = 0.8;
const endCurrentRatio = 0.1;

/** Share of the whole time that the constant part takes per unit of charge: see below. */
const taperChargeSpan = 1 - taperFromCharge;
const taperTimes = (taperChargeSpan * Math.log(1 / endCurrentRatio)) / (1 - endCurrentRatio);
const wholeTimes = taperFromCharge + taperTimes;

/**
 * Seconds to charge from one gauge to another, 0–1: constant current up to 80 %, then a current that falls exponentially
 * to a tenth. With the constant rate r the taper's charge is r·τ·(1 − i/i0), so τ = 0.2/(0.9 r) and it lasts τ·ln 10; r is
 * what makes empty to full last as the charger's label says. Constant current, constant voltage: common practice.
 * Example: 54 min empty to full; 80 % after 33 min.
 */
export function chargingTimeS(fromCharge: number, toCharge: number, emptyToFullS: number): number {
  return Math.max(0, atS(toCharge, emptyToFullS) - atS(fromCharge, emptyToFullS));
}

/** Seconds from empty until a charge is reached. */
function atS(charge: number, emptyToFullS: number): number {
  const unitS = emptyToFullS / wholeTimes;
  const held = Math.min(1, Math.max(0, charge));
  if (held <= taperFromCharge) return held * unitS;
  const taperS = (taperChargeSpan / (1 - endCurrentRatio)) * unitS;
  const currentRatio = 1 - ((held - taperFromCharge) / taperChargeSpan) * (1 - endCurrentRatio);
  return taperFromCharge * unitS - taperS * Math.log(currentRatio);
}

/** The gauge after charging for a time from another: the inverse of the law above. Example: half an hour of 54 min from 0 → 73 %. */
export function chargeAfterCharging(fromCharge: number, durationS: number, emptyToFullS: number): number {
  const unitS = emptyToFullS / wholeTimes;
  const sinceEmptyS = atS(fromCharge, emptyToFullS) + Math.max(0, durationS);
  if (sinceEmptyS <= taperFromCharge * unitS) return sinceEmptyS / unitS;
  const taperS = (taperChargeSpan / (1 - endCurrentRatio)) * unitS;
  const currentRatio = Math.exp((taperFromCharge * unitS - sinceEmptyS) / taperS);
  return Math.min(1, taperFromCharge + (taperChargeSpan * (1 - currentRatio)) / (1 - endCurrentRatio));
}

/**
 * Seconds from empty to full that a pack takes on a charger: by its power, which is given in full until the taper; else as long as its
 * minutes say, in proportion to the energy of the pack they were timed with. Example: 54 min with 18 Wh are 117 min with 39 Wh.
 */
export function emptyToFullOf(
  { emptyToFullS, timedWh, powerW }: Pick<Charger, 'emptyToFullS' | 'timedWh' | 'powerW'>,
  packWh: number,
): number {
  if (powerW != null) return (wholeTimes * packWh * 3600) / powerW;
  return timedWh != null ? (emptyToFullS * packWh) / timedWh : emptyToFullS;
}

/** Whether the packs of an aircraft fit a charger. */
export function fitsCharger({ aircraftIds }: Pick<Charger, 'aircraftIds'>, aircraftId: string): boolean {
  return aircraftIds == null || aircraftIds.includes(aircraftId);
}

export interface ChargingEnd {
  readonly label: string;
  readonly startsS: number;
  readonly endsS: number;
}

/** Packs in their order on a charger that takes some at once: when each begins and is full, in seconds from the start. */
export function chargingRound(
  charger: Pick<Charger, 'atOnce' | 'emptyToFullS' | 'timedWh' | 'powerW'>,
  packs: readonly { readonly label: string; readonly charge: number; readonly energyWh: number }[],
  toCharge = 1,
): ChargingEnd[] {
  const freeS = Array.from({ length: charger.atOnce }, () => 0);
  return packs.map(({ label, charge, energyWh }) => {
    const place = freeS.indexOf(Math.min(...freeS));
    const startsS = freeS[place] as number;
    const endsS = startsS + chargingTimeS(charge, toCharge, emptyToFullOf(charger, energyWh));
    freeS[place] = endsS;
    return { label, startsS, endsS };
  });
}
