import { type Assumed, because } from '../units/assumed';
import type { Battery, Chemistry } from './battery';
import { chemistryOf, type PackLabel } from './openCircuit';

/** Cycles until a fifth of the capacity is gone (assumed, common practice). */
const cyclesToFifth: Readonly<Record<Chemistry, number>> = {
  'high-voltage lithium-polymer': 250,
  'lithium-polymer': 130,
  'lithium-ion': 450,
};

/** What the health of one battery is guessed from: its cycles and its age, its label, or one measurement. */
export const healthGuesses = {
  wearPerCycle: {
    value: 0.2 / cyclesToFifth['high-voltage lithium-polymer'],
    spread: 0.4,
    kind: 'relative',
    scope: 'battery',
    because: because(
      'assumed: about 20 % of the capacity by {cameraCount} cycles; a plain pack made for racing comes there by {racingCount}, a lithium-ion one by {ionCount}; packs differ widely',
      {
        cameraCount: cyclesToFifth['high-voltage lithium-polymer'],
        racingCount: cyclesToFifth['lithium-polymer'],
        ionCount: cyclesToFifth['lithium-ion'],
      },
    ),
    betterBy: 'pack-test',
  },
  ageLoss: {
    value: 0.035,
    spread: 0.5,
    kind: 'relative',
    scope: 'battery',
    because:
      'assumed: cells lose capacity by standing too, about as years to the power of ¾ (Schmalstieg et al., J. Power Sources 2014, from memory): some 8 % in three years',
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

const minHealth = 0.4;

type HealthSigns = PackLabel & Pick<Battery, 'health' | 'cycles' | 'ageYears'>;

/** The power of the years that a standing cell ages by (Schmalstieg et al. 2014). */
const agePower = 0.75;

/**
 * Capacity left as a fraction of the label: measured where it was, else new less what cycles and years took; 0.4 at least.
 * Log-normal about that middle, so many of its deviations above it.
 */
export function healthOf(battery: HealthSigns, healthDeviations: number): number {
  const middle = defaultHealth(battery);
  return Math.max(minHealth, middle * Math.exp(healthSpread(battery) * healthDeviations));
}

/** The health believed of a pack from its measurement, or from its cycles and its age. */
export function defaultHealth(battery: HealthSigns): number {
  return battery.health ?? Math.max(minHealth, 1 - lostByCycles(battery) - lostByAge(battery));
}

function lostByCycles(battery: HealthSigns): number {
  const asLong = cyclesToFifth['high-voltage lithium-polymer'] / cyclesToFifth[chemistryOf(battery)];
  return healthGuesses.wearPerCycle.value * asLong * (battery.cycles ?? 0);
}

function lostByAge({ ageYears }: HealthSigns): number {
  return healthGuesses.ageLoss.value * (ageYears ?? 0) ** agePower;
}

/** One deviation of ln(health): of the measurement, or of the label, the wear and the age together. */
export function healthSpread(battery: HealthSigns): number {
  if (battery.health != null) return healthGuesses.measuredHealthRatio.spread;
  const health = defaultHealth(battery);
  const { wearPerCycle, ageLoss, capacityRatio } = healthGuesses;
  return Math.hypot(
    capacityRatio.spread,
    (wearPerCycle.spread * lostByCycles(battery)) / health,
    (ageLoss.spread * lostByAge(battery)) / health,
  );
}
