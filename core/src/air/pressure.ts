import { gravityMps2 } from '../units/physics';

/**
 * Air pressure falls with height as in the ICAO standard atmosphere: p = p0 · (1 − L·h/T0)^(g/(R·L)).
 * Valid from −5,000 m to 11,000 m (the troposphere layer). Source: ISO 2533:1975, the same as the US Standard
 * Atmosphere 1976 there. Example: 1,000 m → 89,874.6 Pa.
 */
export const standard = {
  pressurePa: 101_325,
  temperatureK: 288.15,
  lapseKpm: 0.0065,
  dryAirJpkgK: 287.05287,
  densityKgm3: 1.225,
} as const;

/** What an altimeter is set to in the standard atmosphere, in whole hectopascals. */
export const standardQnhHpa = Math.round(standard.pressurePa / 100);

const exponent = gravityMps2 / (standard.dryAirJpkgK * standard.lapseKpm);

export function standardPressurePa(elevationM: number): number {
  return standard.pressurePa * (1 - (standard.lapseKpm * elevationM) / standard.temperatureK) ** exponent;
}

/** The height at which the standard atmosphere has this pressure, in metres. */
export function pressureHeightM(pressurePa: number): number {
  return (
    (standard.temperatureK / standard.lapseKpm) * (1 - (pressurePa / standard.pressurePa) ** (1 / exponent))
  );
}

/**
 * Pressure at a place from its elevation and, where known, the QNH: the sea-level setting that makes a standard
 * altimeter show the elevation (ICAO Doc 8896). Without a QNH the standard atmosphere stands.
 */
export function stationPressurePa(elevationM: number, qnhHpa: number | null): number {
  if (qnhHpa === null) return standardPressurePa(elevationM);
  return standardPressurePa(elevationM + pressureHeightM(qnhHpa * 100));
}
