import type { Battery, Chemistry } from './battery';

/**
 * Rest voltage of a cell against its charge, at 0, 5, 10, 20 … 100 %. Typical tables (common practice, about ±0.03 V).
 */
const tables: Readonly<Record<Chemistry, readonly number[]>> = {
  'lithium-polymer': [3.27, 3.61, 3.69, 3.73, 3.77, 3.8, 3.84, 3.87, 3.95, 4.02, 4.11, 4.2],
  'high-voltage lithium-polymer': [3.2, 3.55, 3.66, 3.72, 3.77, 3.81, 3.87, 3.95, 4.03, 4.12, 4.22, 4.35],
  'lithium-ion': [3.0, 3.2, 3.35, 3.47, 3.55, 3.61, 3.68, 3.77, 3.86, 3.97, 4.07, 4.2],
};
const nodes = [0, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

const evenSteps = 20;

/** The same lines at every 5 % of charge, where a look-up needs no search; all nodes lie on that grid. */
const evenTables: Readonly<Record<Chemistry, readonly number[]>> = {
  'lithium-polymer': evenNodes(tables['lithium-polymer']),
  'high-voltage lithium-polymer': evenNodes(tables['high-voltage lithium-polymer']),
  'lithium-ion': evenNodes(tables['lithium-ion']),
};

function evenNodes(volts: readonly number[]): number[] {
  return Array.from({ length: evenSteps + 1 }, (_, step) => {
    const charge = step / evenSteps;
    const after = Math.max(
      1,
      nodes.findIndex((node) => node >= charge - 1e-9),
    );
    const [from, to] = [nodes[after - 1] as number, nodes[after] as number];
    const share = (charge - from) / (to - from);
    return (volts[after - 1] as number) * (1 - share) + (volts[after] as number) * share;
  });
}

/** What tells the chemistry of a pack. */
export type PackLabel = Pick<Battery, 'nominalVoltageV' | 'cellCount' | 'fullCellVoltageV' | 'chemistry'>;

/** Nominal over full voltage: polymer cells have 0.87 to 0.88 of it, lithium-ion ones 0.85 to 0.868 (labels of the trade, from memory). */
const ionBelow = 0.869;

/**
 * The chemistry as told, or as it shows in two numbers of the label: cells of little nominal voltage for their full one are lithium-ion; of
 * the others those charged above 4.25 V are high-voltage.
 */
export function chemistryOf(battery: PackLabel): Chemistry {
  if (battery.chemistry) return battery.chemistry;
  const nominalOverFull = battery.nominalVoltageV / battery.cellCount / battery.fullCellVoltageV;
  if (nominalOverFull < ionBelow) return 'lithium-ion';
  return battery.fullCellVoltageV > 4.25 ? 'high-voltage lithium-polymer' : 'lithium-polymer';
}

/**
 * Rest voltages of one cell in volts at every 5 % of charge from 0 to 1. A full voltage that differs from the table's
 * lifts the upper half of the curve in proportion.
 */
export function restVoltagesV(chemistry: Chemistry, fullCellVoltageV: number): readonly number[] {
  const table = evenTables[chemistry];
  const lift = fullCellVoltageV - (table[evenSteps] as number);
  return table.map((volt, step) => volt + lift * Math.max(0, (2 * step) / evenSteps - 1));
}

/** Rest voltage of one cell in volts at a charge 0–1, straight between its nodes. */
export function openCircuitV(restVoltages: readonly number[], charge: number): number {
  const place = Math.min(1, Math.max(0, charge)) * evenSteps;
  const i = Math.min(evenSteps - 1, Math.floor(place));
  const low = restVoltages[i] as number;
  return low + (place - i) * ((restVoltages[i + 1] as number) - low);
}
