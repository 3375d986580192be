/**
 * How rough the ground is decides how much stronger the wind is higher up. Roughness length z0 in metres by plain
 * description: Davenport classes as revised by Wieringa, 1992 (J. Wind Eng. Ind. Aerodyn. 41).
 */
export const roughnessClasses = [
  { roughnessM: 0.0002, name: 'open water' },
  { roughnessM: 0.03, name: 'short grass' },
  { roughnessM: 0.1, name: 'farmland, low crops' },
  { roughnessM: 0.25, name: 'hedges, orchards' },
  { roughnessM: 0.5, name: 'scattered trees, village' },
  { roughnessM: 1, name: 'wood or town' },
] as const;

/** Rougher than this there are houses, or trees as tall (the village class and the town’s). */
const villageRoughnessM = 0.5;

/** Whether the ground is as rough as a village or a town; unknown ground is not. */
export function hasHouses(roughnessM: number | null): boolean {
  return roughnessM !== null && roughnessM >= villageRoughnessM;
}

/** Assumed where the pilot does not say: farmland, the middle of the list. */
export const defaultRoughnessM = 0.1;
