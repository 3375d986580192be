/**
 * Close to the ground a rotor floats on its own cushion and needs less power for the same thrust:
 * P_in / P_out = (1 − (R / 4z)²)^1.5, R the rotor radius, z its height over the ground, both in metres. For one rotor;
 * valid from half a radius up, where it is held below. Never credited in an estimate: a test flown low reads long by it.
 * Source: Cheeseman & Bennett, ARC R&M 3021, 1955, with ideal power ∝ T^1.5. Example: z = R → 0.908.
 */
export function groundEffectPowerRatio(heightM: number, rotorDiameterM: number): number {
  const radiusM = rotorDiameterM / 2;
  const nearness = radiusM / (4 * Math.max(heightM, radiusM / 2));
  return (1 - nearness * nearness) ** 1.5;
}

/** Common practice: from two rotor diameters up it is not felt. */
export function isInGroundEffect(heightM: number, rotorDiameterM: number): boolean {
  return heightM < 2 * rotorDiameterM;
}
