import type { Battery } from '../battery/battery';
import type { BatteryKeeping } from '../battery/keeping';
import { chargedFull } from '../battery/selfDischarge';

/** A new pack has the air's temperature until somebody says where it waits. */
export const newAndFull = { startCharge: chargedFull, startTemperatureC: null, cycles: 0 } as const;

/** The pack of the class that most begin with, to begin the batteries of an aircraft that has none. */
export const defaultPack: Battery = {
  ...newAndFull,
  ratedCapacityMah: 2300,
  cellCount: 2,
  nominalVoltageV: 7.7,
  fullCellVoltageV: 4.4,
};

/** How a new pack is kept until its owner says otherwise: nothing is claimed of it, and the estimate errs short. */
export const defaultKeeping: BatteryKeeping = { keptAt: 'outside' };
