import type { Battery } from '../battery/battery';
import { healthSpread, usualHealth } from '../battery/wear';
import { type UnknownName, type World, worldAt } from '../belief/belief';
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

export function healthOfPack(id: string): UnknownName {
  return `healthDeviations of ${id}`;
}

/** The world of one flight: the aircraft's unknowns, the health of the pack that flew, and the flight's own deviations. */
export function worldOf(
  z: readonly number[],
  packPlace: number | null,
  own: Readonly<Partial<Record<PriorName, number>>> = {},
): World {
  const deviations: Record<string, number> = { ...own };
  learnable.forEach((name, i) => {
    deviations[name] = z[i] as number;
  });
  if (packPlace !== null) deviations.healthDeviations = z[packPlace] as number;
  return worldAt(deviations);
}

/** ln(health) of a pack some deviations above its middle, and one of them. */
export function lnHealth(pack: Pick<Battery, 'health' | 'cycles'>) {
  return { middle: Math.log(usualHealth(pack)), spread: healthSpread(pack) };
}
