import { type Battery, batteryRanges } from './battery';
import type { BatteryKeeping } from './keeping';

/** What a pack was put through: flown or charged, down or up to a charge, until an instant (ISO 8601). */
export interface PackUse {
  readonly kind: 'flight' | 'charge';
  readonly endCharge: number;
  readonly endedAt: string;
}

/** What a flight that began at an instant does to its pack. */
export function flightUse(
  startedAt: string,
  { endCharge, durationS }: { readonly endCharge: number; readonly durationS: number },
): PackUse {
  const endedAt = new Date(Date.parse(startedAt) + durationS * 1000).toISOString();
  return { kind: 'flight', endCharge, endedAt };
}

interface KeptPack {
  readonly pack: Battery;
  readonly keeping?: BatteryKeeping | null;
}

/**
 * A pack as it stands after it was used: with the charge it ended at, read then, and one cycle more for each flight. What ended
 * before its gauge was last read is in that reading already; null where nothing is later.
 */
export function packAfter({ pack, keeping }: KeptPack, uses: readonly PackUse[]): KeptPack | null {
  const readMs = keeping?.chargedAt ? Date.parse(keeping.chargedAt) : -Infinity;
  const later = uses
    .filter(({ endedAt }) => Date.parse(endedAt) > readMs)
    .sort((a, b) => Date.parse(a.endedAt) - Date.parse(b.endedAt));
  const last = later[later.length - 1];
  if (!last) return null;
  const flights = later.filter(({ kind }) => kind === 'flight').length;
  const cycles = pack.cycles == null ? null : Math.min(batteryRanges.cycles.max, pack.cycles + flights);
  return {
    pack: { ...pack, startCharge: last.endCharge, cycles },
    keeping: { ...keeping, chargedAt: last.endedAt },
  };
}
