const radians = (degrees: number) => (degrees * Math.PI) / 180;

/**
 * The wind seen from a track: headwind (negative when it helps) and crosswind, both m/s.
 * Directions in degrees true; the wind is named by where it comes from.
 */
export function windAlongTrack(windMps: number, windFromDeg: number, trackDeg: number) {
  const angle = radians(windFromDeg - trackDeg);
  return { headwindMps: windMps * Math.cos(angle), crosswindMps: windMps * Math.sin(angle) };
}

/**
 * Wind triangle: what is left over ground when the nose is held into the crosswind,
 * groundspeed = √(airspeed² − crosswind²) − headwind, m/s. Zero or less means the track cannot be flown: the size is
 * how fast it drifts away. Source: any navigation handbook; FAA-H-8083-25 ch. 16.
 */
export function groundspeedMps(airspeedMps: number, headwindMps: number, crosswindMps: number): number {
  const crosswindLeft = airspeedMps ** 2 - crosswindMps ** 2;
  if (!(crosswindLeft > 0)) return airspeedMps - Math.hypot(headwindMps, crosswindMps);
  return Math.sqrt(crosswindLeft) - headwindMps;
}

/** The airspeed that gives a wanted groundspeed along a track. */
export function airspeedForGroundspeedMps(
  groundMps: number,
  headwindMps: number,
  crosswindMps: number,
): number {
  return Math.hypot(groundMps + headwindMps, crosswindMps);
}
