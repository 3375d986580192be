import type { Assumed } from '../units/assumed';

export const thermalPriors = {
  packCoolingRatio: {
    value: 1,
    spread: 0.4,
    kind: 'relative',
    because:
      'assumed: 10 W/m²K over the pack, its mass and shape; free convection of air lies between 5 and 25 (Incropera, ch. 1)',
    betterBy: 'cold-test',
  },
} as const satisfies Record<string, Assumed>;

const specificHeatJpkgK = 1000;
const specificEnergyWhpkg = 210;
const packDensityKgm3 = 2000;
/** Surface of a flat box over that of a cube of the same volume (assumed). */
const flatness = 1.2;
const heatTransferWpm2K = 10;

export interface PackThermals {
  readonly heatCapacityJpK: number;
  readonly coolingWpK: number;
}

/**
 * How a pack holds and sheds heat, from its energy on the label: mass at 210 Wh/kg, 1,000 J/kgK, shed over its
 * surface (all assumed). Example: 17 Wh → 83 g, 83 J/K, about 0.09 W/K, so it forgets its warmth in a quarter hour.
 */
export function packThermals(labelWh: number, coolingRatio: number): PackThermals {
  const massKg = labelWh / specificEnergyWhpkg;
  const surfaceM2 = flatness * 6 * (massKg / packDensityKgm3) ** (2 / 3);
  return {
    heatCapacityJpK: massKg * specificHeatJpkgK,
    coolingWpK: heatTransferWpm2K * coolingRatio * surfaceM2,
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
