import { type Battery, labelEnergyWh } from './battery';

/** Energy on the label for each kilogram of a pack with its case (assumed: packs that are bought for drones give 190 to 240). */
const specificEnergyWhpkg = 210;

/** Mass of a pack as it was weighed, else by its energy on the label, kg. Example: 17 Wh → 81 g. */
export function packMassKg(
  battery: Pick<Battery, 'massKg' | 'ratedCapacityMah' | 'nominalVoltageV'>,
): number {
  return battery.massKg ?? labelEnergyWh(battery) / specificEnergyWhpkg;
}
