import type { ValuesOf } from '../units/assumed';
import type { Battery } from './battery';
import { coldCapacityFraction, coldPriors } from './coldCapacity';
import { gaugePriors } from './gauge';
import { chemistryOf, openCircuitVoltage } from './openCircuit';
import { cellResistance, resistancePriors } from './resistance';
import { type PackThermals, packThermals, thermalPriors } from './thermal';
import { healthOf, wearPriors } from './wear';

export const packPriors = {
  ...resistancePriors,
  ...coldPriors,
  ...thermalPriors,
  ...wearPriors,
  ...gaugePriors,
} as const;
export type PackCoefficients = ValuesOf<typeof packPriors>;

/** Common practice: at 3.0 V a cell the aircraft falls; at 3.2 V wear begins. */
export const emptyCellVoltageV = 3;

/** A pack ready to be drained. Charge is the cell's own, 0–1, not the gauge's. */
export interface Pack {
  readonly cellCount: number;
  /** What it can give of its charge at a temperature. */
  readonly capacityAh: (temperatureC: number) => number;
  readonly hidden: number;
  readonly thermals: PackThermals;
  readonly openCircuitV: (charge: number) => number;
  readonly resistanceOhm: (charge: number, temperatureC: number) => number;
}

/** What changes in a pack as it is flown. */
export interface PackState {
  readonly timeS: number;
  readonly charge: number;
  readonly temperatureC: number;
}

/** Builds the pack of a battery. `hiddenCharge` is what the spec sheet says stays below 0 %, if it says. */
export function packOf(battery: Battery, hiddenCharge: number | null, coefficients: PackCoefficients): Pack {
  const health = healthOf(battery, coefficients.wearPerCycle);
  const labelAh = battery.ratedCapacityMah / 1000;
  return {
    cellCount: battery.cellCount,
    capacityAh: (temperatureC) =>
      labelAh * health * coldCapacityFraction(temperatureC, coefficients.capacityLossPerK),
    hidden: hiddenCharge ?? coefficients.hiddenCharge,
    thermals: packThermals(labelAh * battery.nominalVoltageV, coefficients.packCoolingRatio),
    openCircuitV: openCircuitVoltage(chemistryOf(battery), battery.fullCellVoltageV),
    resistanceOhm: cellResistance({ capacityAh: labelAh, health }, coefficients),
  };
}

/** One moment of a pack under load. */
export interface PackLoad {
  readonly currentA: number;
  readonly cellVoltageV: number;
  /** Heat in the whole pack, W. */
  readonly heatW: number;
}

/**
 * Current at constant power: V = OCV − I·R with P/cells = V·I, the smaller root
 * I = (OCV − √(OCV² − 4·R·P/cells)) / 2R. Null when the cell cannot give that power at all, or only below 3.0 V.
 * Source: Plett, Battery Management Systems vol. 1, ch. 2.
 */
export function loadAt(pack: Pack, powerW: number, charge: number, temperatureC: number): PackLoad | null {
  const openV = pack.openCircuitV(charge);
  const ohm = pack.resistanceOhm(charge, temperatureC);
  const root = openV ** 2 - (4 * ohm * powerW) / pack.cellCount;
  if (!(root >= 0)) return null;
  const currentA = (2 * powerW) / pack.cellCount / (openV + Math.sqrt(root));
  const cellVoltageV = openV - currentA * ohm;
  if (cellVoltageV < emptyCellVoltageV) return null;
  return { currentA, cellVoltageV, heatW: pack.cellCount * currentA ** 2 * ohm };
}
