/**
 * Wind grows with height by the logarithmic law u(z) = u_ref · ln(z/z0) / ln(z_ref/z0), neutral air, up to about
 * 150 m. Source: Wieringa 1992. Example: 2 m → 120 m over farmland (z0 0.10 m) is ×2.37.
 */
export function windAtHeightMps(
  readingMps: number,
  readingHeightM: number,
  heightM: number,
  roughnessM: number,
): number {
  const height = Math.max(heightM, lowestScalableM(roughnessM));
  return (readingMps * Math.log(height / roughnessM)) / Math.log(readingHeightM / roughnessM);
}

/**
 * Below about five roughness lengths the wind is sheltered by the things that make the ground rough, and the law says
 * nothing: a reading taken there cannot be scaled up, and flight below it is reckoned with the wind at that height.
 */
export function lowestScalableM(roughnessM: number): number {
  return 5 * roughnessM;
}

export function isSheltered(readingHeightM: number, roughnessM: number): boolean {
  return readingHeightM < lowestScalableM(roughnessM);
}
