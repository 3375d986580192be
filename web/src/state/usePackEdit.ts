import type { Battery, BatteryKeeping, BatteryRecord } from '@acorn-tally/core';
import { useRecords } from '../records/records';

interface Parts {
  readonly pack?: Partial<Battery>;
  readonly keeping?: Partial<BatteryKeeping>;
}

/** Changes parts of a battery, named for undo. */
export function usePackEdit({ id, label }: BatteryRecord) {
  const edit = useRecords((state) => state.edit);
  const change = ({ pack, keeping }: Parts, what: string) =>
    edit(
      'batteries',
      id,
      (now) => ({
        ...(pack && { pack: { ...now.pack, ...pack } }),
        ...(keeping && { keeping: { ...now.keeping, ...keeping } }),
      }),
      `${what} of ${label}`,
    );
  return {
    change,
    changePack: (pack: Partial<Battery>, what: string) => change({ pack }, what),
    changeKeeping: (keeping: Partial<BatteryKeeping>, what: string) => change({ keeping }, what),
  };
}
