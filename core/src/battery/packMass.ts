/** Energy on the label for each kilogram of a pack with its case (assumed: packs that are bought for drones give 190 to 240). */
const specificEnergyWhpkg = 210;

/** Mass of a pack by its energy on the label, kg. Example: 17 Wh → 81 g. */
export function packMassKg(labelWh: number): number {
  return labelWh / specificEnergyWhpkg;
}
