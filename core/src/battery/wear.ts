import type { Assumed } from '../units/assumed';
import type { Battery } from './battery';

/** What the health of one battery is guessed from: its cycles, its label, or one measurement. */
export const healthGuesses = {
  wearPerCycle: {
    value: 0.2 / 300,
    spread: 0.4,
    kind: 'relative',
    scope: 'battery',
    because: 'assumed: about 20 % of the capacity by 300 cycles; packs differ widely',
    betterBy: 'pack-test',
  },
  capacityRatio: {
    value: 1,
    spread: 0.03,
    kind: 'relative',
    scope: 'battery',
    because: 'assumed: cell data sheets give a least and a typical capacity some 3 % apart (from memory)',
    betterBy: 'pack-test',
  },
  measuredHealthRatio: {
    value: 1,
    spread: 0.03,
    kind: 'relative',
    scope: 'battery',
    because:
      'assumed: a health that was measured rests on one or two charges or timed flights, which repeat within some 3 %',
    betterBy: 'pack-test',
  },
} as const satisfies Record<string, Assumed>;

/** The health of one battery as one unknown: by how many of its own deviations it lies above its middle. */
export const healthPriors = {
  healthDeviations: {
    value: 0,
    spread: 1,
    kind: 'absolute',
    scope: 'battery',
    because: 'see what it is guessed from',
    betterBy: 'pack-test',
  },
} as const satisfies Record<string, Assumed>;

const leastHealth = 0.4;

type HealthSigns = Pick<Battery, 'health' | 'cycles'>;

/**
 * Capacity left as a fraction of the label: measured where it was, else new less wear per cycle × cycles; 0.4 at least.
 * Log-normal about that middle, so many of its deviations above it.
 */
export function healthOf(battery: HealthSigns, healthDeviations: number): number {
  const middle = usualHealth(battery);
  return Math.max(leastHealth, middle * Math.exp(healthSpread(battery) * healthDeviations));
}

/** The health believed of a pack from its measurement or its cycles alone. */
export function usualHealth({ health, cycles }: HealthSigns): number {
  return health ?? Math.max(leastHealth, 1 - healthGuesses.wearPerCycle.value * (cycles ?? 0));
}

/** One deviation of ln(health): of the measurement, or of the label and the wear together. */
export function healthSpread(battery: HealthSigns): number {
  if (battery.health != null) return healthGuesses.measuredHealthRatio.spread;
  const { value, spread } = healthGuesses.wearPerCycle;
  const ofWear = (spread * value * (battery.cycles ?? 0)) / usualHealth(battery);
  return Math.hypot(healthGuesses.capacityRatio.spread, ofWear);
}
