import type { Assumed } from '../units/assumed';
import { gravityMps2 } from '../units/physics';

export const reversalPriors = {
  reversalCostRatio: {
    value: 1,
    spread: 0.4,
    kind: 'relative',
    scope: 'aircraft',
    because:
      'assumed: a stop throws away the energy of motion; some is won back by flaring, some more is spent',
    betterBy: 'style-test',
  },
} as const satisfies Record<string, Assumed>;

/** A level circle needs more thrust: load factor n = √(1 + (V²/(r·g))²). Source: any flight mechanics handbook. */
export function turnLoadFactor(speedMps: number, radiusM: number | null): number {
  if (radiusM === null) return 1;
  const pull = speedMps ** 2 / (radiusM * gravityMps2);
  return Math.sqrt(1 + pull * pull);
}

/**
 * A stop or reversal throws away the energy of motion, about ½·m·V² each: extra rotor power in W, before the losses of motors and
 * blades. Camera drones do not win it back (common practice).
 */
export function reversalPowerW(massKg: number, speedMps: number, reversalsPerMin: number): number {
  return (0.5 * massKg * speedMps ** 2 * reversalsPerMin) / 60;
}
