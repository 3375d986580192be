import type { Battery } from './battery';

export type Chemistry = 'lithium-polymer' | 'high-voltage lithium-polymer' | 'lithium-ion';

/**
 * Rest voltage of a cell against its charge, at 0, 5, 10, 20 … 100 %. Typical tables (common practice, about ±0.03 V).
 */
const tables: Readonly<Record<Chemistry, readonly number[]>> = {
  'lithium-polymer': [3.27, 3.61, 3.69, 3.73, 3.77, 3.8, 3.84, 3.87, 3.95, 4.02, 4.11, 4.2],
  'high-voltage lithium-polymer': [3.2, 3.55, 3.66, 3.72, 3.77, 3.81, 3.87, 3.95, 4.03, 4.12, 4.22, 4.35],
  'lithium-ion': [3.0, 3.2, 3.35, 3.47, 3.55, 3.61, 3.68, 3.77, 3.86, 3.97, 4.07, 4.2],
};
const nodes = [0, 0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6, 0.7, 0.8, 0.9, 1];

/**
 * The chemistry shows in two numbers of the label: cells charged above 4.25 V are high-voltage; else 3.65 V nominal and
 * less is lithium-ion, more is lithium-polymer.
 */
export function chemistryOf(
  battery: Pick<Battery, 'nominalVoltageV' | 'cellCount' | 'fullCellVoltageV'>,
): Chemistry {
  if (battery.fullCellVoltageV > 4.25) return 'high-voltage lithium-polymer';
  return battery.nominalVoltageV / battery.cellCount > 3.65 ? 'lithium-polymer' : 'lithium-ion';
}

/**
 * Rest voltage of one cell in volts at a charge 0–1, straight between the nodes of its table. A full voltage that
 * differs from the table's lifts the upper half of the curve in proportion.
 */
export function openCircuitVoltage(
  chemistry: Chemistry,
  fullCellVoltageV: number,
): (charge: number) => number {
  const table = tables[chemistry];
  const lift = fullCellVoltageV - (table[table.length - 1] as number);
  const volts = table.map((volt, i) => volt + lift * Math.max(0, ((nodes[i] as number) - 0.5) / 0.5));
  return (charge) => {
    const clamped = Math.min(1, Math.max(0, charge));
    const i = clamped < 0.1 ? Math.floor(clamped * 20) : Math.min(10, 1 + Math.floor(clamped * 10));
    const [from, to] = [nodes[i] as number, nodes[i + 1] as number];
    const share = (clamped - from) / (to - from);
    return (volts[i] as number) * (1 - share) + (volts[i + 1] as number) * share;
  };
}
