import type { Battery, Chemistry } from './battery';
import { chemistryOf, type PackLabel } from './openCircuit';

/** Volts of a cell under load: land from here on, and never let it come to there. */
export interface VoltRule {
  readonly landCellVoltageV: number;
  readonly neverCellVoltageV: number;
}

/**
 * What stands beside the gauge where the pilot has no rule of his own: polymer cells land at 3.4 V under load and wear below 3.2
 * (common practice); lithium-ion ones give on to lower volts, 3.0 and 2.8 (from memory of their data sheets).
 */
const usual: Readonly<Record<Chemistry, VoltRule>> = {
  'high-voltage lithium-polymer': { landCellVoltageV: 3.4, neverCellVoltageV: 3.2 },
  'lithium-polymer': { landCellVoltageV: 3.4, neverCellVoltageV: 3.2 },
  'lithium-ion': { landCellVoltageV: 3, neverCellVoltageV: 2.8 },
};

export function defaultVoltRule(battery: PackLabel): VoltRule {
  return usual[chemistryOf(battery)];
}

export function voltRuleOf(
  battery: PackLabel & Pick<Battery, 'landCellVoltageV' | 'neverCellVoltageV'>,
): VoltRule {
  const { landCellVoltageV, neverCellVoltageV } = defaultVoltRule(battery);
  return {
    landCellVoltageV: battery.landCellVoltageV ?? landCellVoltageV,
    neverCellVoltageV: battery.neverCellVoltageV ?? neverCellVoltageV,
  };
}

/** Cells of a pack that differ by more than this under load are worth a word (assumed; common practice names 0.1 V). */
export const wideCellSpreadV = 0.1;
