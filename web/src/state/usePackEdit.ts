import type { Battery, BatteryKeeping, BatteryRecord } from '@acorn-tally/core';
import { useRecords } from './records';

/** Changes parts of a battery, named for undo. */
export function usePackEdit(battery: BatteryRecord) {
  const edit = useRecords((state) => state.edit);
  const { id, label, pack, keeping } = battery;
  return {
    changePack: (part: Partial<Battery>, what: string) =>
      edit('batteries', id, { pack: { ...pack, ...part } }, `${what} of ${label}`),
    changeKeeping: (part: Partial<BatteryKeeping>, what: string) =>
      edit('batteries', id, { keeping: { ...keeping, ...part } }, `${what} of ${label}`),
    change: (part: { pack?: Partial<Battery>; keeping?: Partial<BatteryKeeping> }, what: string) =>
      edit(
        'batteries',
        id,
        { pack: { ...pack, ...part.pack }, keeping: { ...keeping, ...part.keeping } },
        `${what} of ${label}`,
      ),
  };
}
