import { type Assumed, because } from '../units/assumed';

export const thermalPriors = {
  packCoolingRatio: {
    value: 1,
    spread: 0.5,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed: about 0.6 of the pack’s surface in the rotors’ wash and the wind of flight, {washMps}; and its mass and shape',
      { washMps: 5 },
    ),
    betterBy: 'cold-test',
  },
} as const satisfies Record<string, Assumed>;

const specificHeatJpkgK = 1000;
const packDensityKgm3 = 2000;
/** Surface of a flat box over that of a cube of the same volume, and its length over the cube's edge (assumed). */
const flatness = 1.2;
const lengthRatio = 2;
const exposedShare = 0.6;
const washMps = 5;

interface AirProperties {
  readonly conductivityWpmK: number;
  readonly viscosityM2ps: number;
  readonly prandtl: number;
}

/** Air near 0 °C (Incropera, table A.4): conductivity in W/mK, kinematic viscosity in m²/s, Prandtl number. */
const coolAir: AirProperties = { conductivityWpmK: 0.0241, viscosityM2ps: 13.5e-6, prandtl: 0.715 };

/**
 * Heat a plate sheds to air that flows along it, W/m²K: 0.664 · k/L · √(V·L/ν) · Pr^⅓, mean over the plate, laminar (below
 * Re 5·10⁵). Source: Incropera & DeWitt, Fundamentals of Heat and Mass Transfer, eq. 7.30. Example: 5 m/s along 7 cm → 33.
 */
export function plateCoolingWpm2K(
  airspeedMps: number,
  lengthM: number,
  air: AirProperties = coolAir,
): number {
  const reynolds = (airspeedMps * lengthM) / air.viscosityM2ps;
  return ((0.664 * air.conductivityWpmK) / lengthM) * Math.sqrt(reynolds) * Math.cbrt(air.prandtl);
}

export interface PackThermals {
  readonly heatCapacityJpK: number;
  readonly coolingWpK: number;
}

/**
 * How a pack holds and sheds heat in flight: 1,000 J/kgK, shed to the air that flows along it (all assumed). Example: 81 g
 * (17 Wh), 81 J/K, about 0.17 W/K, so it forgets its warmth in eight minutes.
 */
export function packThermals(massKg: number, coolingRatio: number): PackThermals {
  const edgeM = Math.cbrt(massKg / packDensityKgm3);
  const exposedM2 = exposedShare * flatness * 6 * edgeM ** 2;
  return {
    heatCapacityJpK: massKg * specificHeatJpkgK,
    coolingWpK: plateCoolingWpm2K(washMps, lengthRatio * edgeM) * coolingRatio * exposedM2,
  };
}

/**
 * Pack temperature in °C after a time with constant heating: the exact solution of m·c·dT/dt = heat − hA·(T − T_air),
 * so any step is stable.
 */
export function warmedC(
  thermals: PackThermals,
  fromC: number,
  airC: number,
  heatW: number,
  durationS: number,
): number {
  const settledC = airC + heatW / thermals.coolingWpK;
  return (
    settledC + (fromC - settledC) * Math.exp((-durationS * thermals.coolingWpK) / thermals.heatCapacityJpK)
  );
}
