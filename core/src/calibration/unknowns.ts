import type { Battery } from '../battery/battery';
import { defaultHealth, healthSpread } from '../battery/wear';
import { healthOfPack, type UnknownName, type World, worldAt, worldMoved } from '../belief/belief';
import { type PriorName, priorNames, priors } from '../belief/priors';
import type { Assumed } from '../units/assumed';

/** A battery of the aircraft, whatever it holds today. */
export type PackAsKept = Omit<Battery, 'startCharge' | 'startTemperatureC'> & { readonly id: string };

/**
 * What timed flights can teach of an aircraft. The return and standing constants are of an aircraft too, but no reading of a
 * flight that stays out shows them: they keep their priors.
 */
export const learnable = [
  'boxTimeRatio',
  'dragAreaRatio',
  'auxiliaryPowerRatio',
  'profileShareOfHover',
  'thrustCoefficient',
  'discLoadingRatio',
  'reversalCostRatio',
  'styleSpeedRatio',
  'hiddenCharge',
  'resistanceRatio',
  'activationEnergyJpmol',
  'capacityLossPerK',
  'packCoolingRatio',
  'boxPairRatio',
  'movingPowerRatio',
  'manualPowerRatio',
  'windSavingShare',
] as const satisfies readonly PriorName[];
export type Learnable = (typeof learnable)[number];

/**
 * What differs from flight to flight, moves all its marks together, and no flight teaches for the next one. The bend of the
 * gauge is not among them: near marks share it more than far ones (`flightNoise`).
 */
export const ofOneFlight: readonly PriorName[] = priorNames.filter(
  (name) => (priors[name] as Assumed).scope === 'flight' && name !== 'gaugeBendRatio',
);

/**
 * The unknowns of a fit in order, the aircraft's first and the healths of flown packs last: so drawn by a lower triangle, what
 * is solved from the box is the same for all packs. In deviations of their priors: the prior is ½|z|².
 */
export function unknownsOf(flownIds: readonly string[]): readonly UnknownName[] {
  return [...learnable, ...flownIds.map(healthOfPack)];
}

/** The world of an aircraft at some unknowns, for a pack of which nothing was learnt and a flight without luck. */
export function aircraftWorld(z: readonly number[]): World {
  const deviations: Record<string, number> = {};
  learnable.forEach((name, i) => {
    deviations[name] = z[i] as number;
  });
  return worldAt(deviations);
}

/** The same for one flight: with the pack that flew, and with its own deviations where some are given. */
export function flightWorld(
  world: World,
  packDeviations: number,
  own: Readonly<Partial<Record<PriorName, number>>> = {},
): World {
  return worldMoved(world, { ...own, healthDeviations: packDeviations });
}

/** ln(health) of a pack some deviations above its middle, and one of them. */
export function lnHealth(pack: PackAsKept) {
  return { middle: Math.log(defaultHealth(pack)), spread: healthSpread(pack) };
}
