import { kelvin } from '../units/temperature';
import { standard } from './pressure';

const waterVapourJpkgK = 461.495;

/**
 * Saturation vapour pressure over water in Pa: e = 610.94 · exp(17.625·t/(t + 243.04)), t in °C from −40 to 50.
 * Source: Alduchov & Eskridge, Improved Magnus Form Approximation, J. Appl. Meteorol. 1996.
 */
export function saturationVapourPa(temperatureC: number): number {
  return 610.94 * Math.exp((17.625 * temperatureC) / (temperatureC + 243.04));
}

/**
 * Density of moist air in kg/m³, as the sum of two ideal gases. Humid air is lighter than dry air.
 * Humidity is a fraction 0–1. Example: 101,325 Pa, 20 °C, 50 % → 1.199 (CIPM-2007 gives the same to three digits).
 */
export function airDensityKgm3(pressurePa: number, temperatureC: number, relativeHumidity: number): number {
  const vapourPa = relativeHumidity * saturationVapourPa(temperatureC);
  const temperatureK = kelvin(temperatureC);
  return (
    (pressurePa - vapourPa) / (standard.dryAirJpkgK * temperatureK) +
    vapourPa / (waterVapourJpkgK * temperatureK)
  );
}
