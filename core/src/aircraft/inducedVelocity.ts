/**
 * The air a rotor throws down, by momentum theory (Glauert): v_i = (T / 2ρA) / √((V cos a)² + (V sin a + Vc + v_i)²),
 * with the disc tilted forward by a. In hover v_i = v_h = √(T / 2ρA); far faster than v_h it tends to v_h²/V.
 * Valid for hover, forward flight and climb; a descent is computed as hover. Solved by a damped Newton iteration,
 * at most 60 steps, from the closed form for a level disc. Source: Leishman, Principles of Helicopter Aerodynamics, ch. 2.
 */
export function inducedVelocityMps(flow: {
  readonly thrustN: number;
  readonly densityKgm3: number;
  readonly discAreaM2: number;
  /** Air past the disc, V cos a, and down through it, V sin a + Vc. */
  readonly alongDiscMps: number;
  readonly throughDiscMps: number;
}): number {
  const hoverSquared = flow.thrustN / (2 * flow.densityKgm3 * flow.discAreaM2);
  const along = flow.alongDiscMps;
  const through = flow.throughDiscMps;
  let induced = levelInducedMps(hoverSquared, along);
  for (let step = 0; step < 60; step++) {
    const flowSquared = along ** 2 + (through + induced) ** 2;
    const flowSpeed = Math.sqrt(flowSquared);
    const error = induced - hoverSquared / flowSpeed;
    const slope = 1 + (hoverSquared * (through + induced)) / (flowSquared * flowSpeed);
    const change = error / slope;
    induced = Math.max(induced - change, induced / 10);
    if (Math.abs(change) < 1e-7 * (1 + induced)) break;
  }
  return induced;
}

/** v_i² = −V²/2 + √(V⁴/4 + v_h⁴), written so that it keeps its digits when V is large. */
function levelInducedMps(hoverSquared: number, airspeedMps: number): number {
  const half = airspeedMps ** 2 / 2;
  return hoverSquared / Math.sqrt(half + Math.sqrt(half * half + hoverSquared * hoverSquared));
}
