import { gravityMps2 } from '../units/physics';

/** A level circle needs more thrust: load factor n = √(1 + (V²/(r·g))²). Source: any flight mechanics handbook. */
export function turnLoadFactor(speedMps: number, radiusM: number | null): number {
  if (radiusM === null) return 1;
  return Math.hypot(1, speedMps ** 2 / (radiusM * gravityMps2));
}

/**
 * A stop or reversal throws away the energy of motion, about ½·m·V² each: extra power in W.
 * Camera drones do not win it back (common practice).
 */
export function reversalPowerW(massKg: number, speedMps: number, reversalsPerMin: number): number {
  return (0.5 * massKg * speedMps ** 2 * reversalsPerMin) / 60;
}
