import type { ValuesOf } from '../units/assumed';
import type { Battery } from './battery';
import { coldCapacityFraction, coldPriors } from './coldCapacity';
import { gaugePriors } from './gauge';
import { chemistryOf, openCircuitV, restVoltagesV } from './openCircuit';
import { packMassKg } from './packMass';
import { type CellResistance, cellResistance, resistanceOhm, resistancePriors } from './resistance';
import { standingPriors } from './selfDischarge';
import { type PackThermals, packThermals, thermalPriors } from './thermal';

export const cellPriors = {
  ...resistancePriors,
  ...coldPriors,
  ...thermalPriors,
  ...gaugePriors,
  ...standingPriors,
} as const;
export type CellCoefficients = ValuesOf<typeof cellPriors>;

/** Common practice: at 3.0 V a cell the aircraft falls; at 3.2 V wear begins. */
export const emptyCellVoltageV = 3;

/** A pack ready to be drained: plain numbers, for the inner loop. Charge is the cell's own, 0–1, not the gauge's. */
export interface Cells {
  readonly cellCount: number;
  /** What it can give of its charge when warm. */
  readonly warmCapacityAh: number;
  readonly capacityLossPerK: number;
  readonly hidden: number;
  readonly thermals: PackThermals;
  readonly restVoltagesV: readonly number[];
  readonly resistance: CellResistance;
}

/** What changes in a pack as it is flown. */
export interface CellState {
  readonly timeS: number;
  readonly charge: number;
  readonly temperatureC: number;
}

/**
 * Builds the pack of a battery with that share of its label left. `hiddenCharge` is what the spec sheet says stays below
 * 0 %, if it says. `gaugeBendRatio` is how much more than that its gauge counts down in one flight.
 */
export function cellsOf(
  battery: Battery,
  health: number,
  hiddenCharge: number | null,
  coefficients: CellCoefficients,
  gaugeBendRatio = 1,
): Cells {
  const labelAh = battery.ratedCapacityMah / 1000;
  const chemistry = chemistryOf(battery);
  return {
    cellCount: battery.cellCount,
    warmCapacityAh: labelAh * health * gaugeBendRatio,
    capacityLossPerK: coefficients.capacityLossPerK,
    hidden: hiddenCharge ?? coefficients.hiddenCharge,
    thermals: packThermals(packMassKg(battery), coefficients.packCoolingRatio),
    restVoltagesV: restVoltagesV(chemistry, battery.fullCellVoltageV),
    resistance: cellResistance({ chemistry, capacityAh: labelAh, health }, coefficients),
  };
}

/** What the pack can give of its whole charge at a temperature, Ah. */
export function capacityAh(cells: Cells, temperatureC: number): number {
  return cells.warmCapacityAh * coldCapacityFraction(temperatureC, cells.capacityLossPerK);
}

/**
 * Current in A at constant power: V = OCV − I·R with P/cells = V·I, the smaller root
 * I = (OCV − √(OCV² − 4·R·P/cells)) / 2R. Zero when the cell cannot give that power at all.
 * A plain number, not an object: drains are flown by the ten thousand.
 * Source: Plett, Battery Management Systems vol. 1, ch. 2.
 */
export function loadCurrentA(cells: Cells, powerW: number, charge: number, temperatureC: number): number {
  const openV = openCircuitV(cells.restVoltagesV, charge);
  const cellW = powerW / cells.cellCount;
  const root = openV * openV - 4 * resistanceOhm(cells.resistance, charge, temperatureC) * cellW;
  if (!(root >= 0)) return 0;
  return (2 * cellW) / (openV + Math.sqrt(root));
}

/** The same while the aircraft stays up: zero as well where the cell would fall under 3.0 V. */
export function currentA(cells: Cells, powerW: number, charge: number, temperatureC: number): number {
  const ampere = loadCurrentA(cells, powerW, charge, temperatureC);
  return powerW < emptyCellVoltageV * cells.cellCount * ampere ? 0 : ampere;
}

/** Heat in the whole pack, W: what the cells give less what arrives, cells·I·OCV − P = cells·I²·R. */
export function cellHeatW(cells: Cells, powerW: number, charge: number, ampere: number): number {
  return cells.cellCount * ampere * openCircuitV(cells.restVoltagesV, charge) - powerW;
}

/** Voltage of a cell under load, V; its rest voltage where the power cannot be given. */
export function cellVoltageV(cells: Cells, powerW: number, charge: number, temperatureC: number): number {
  const ampere = currentA(cells, powerW, charge, temperatureC);
  return ampere > 0 ? powerW / cells.cellCount / ampere : openCircuitV(cells.restVoltagesV, charge);
}
