import '@mantine/core/styles/Checkbox.css';
import { type BatteryRecord, type PackUse, packAfter } from '@acorn-tally/core';
import { Checkbox } from '@mantine/core';
import { useState } from 'react';
import { percent } from '../fields/percent';
import { type Change, edited } from '../records/changes';
import { useRecords } from '../records/records';

interface Used extends PackUse {
  readonly batteryId: string;
}

/**
 * How packs stand after they were used, and whether their records are to say so: kept unless the pilot says no. `changes` go into the
 * step that records what was flown or charged, so that one undo takes back both.
 */
export function usePacksAfter(uses: readonly Used[]) {
  const batteries = useRecords((state) => state.batteries);
  const [refused, setRefused] = useState<readonly string[]>([]);
  const next = batteries.flatMap((battery) => {
    const own = uses.filter(({ batteryId }) => batteryId === battery.id);
    const after = packAfter(battery, own);
    return after ? [{ battery, ...after, isFlown: own.some(({ kind }) => kind === 'flight') }] : [];
  });
  const take = (id: string, isTaken: boolean) =>
    setRefused(isTaken ? refused.filter((one) => one !== id) : [...refused, id]);
  const changes = (): Change[] =>
    next
      .filter(({ battery }) => !refused.includes(battery.id))
      .flatMap(
        ({ battery, pack, keeping }) =>
          edited(useRecords.getState(), 'batteries', battery.id, { pack, keeping }) ?? [],
      );
  return { next, refused, take, changes };
}

export type AfterUse = ReturnType<typeof usePacksAfter>;

/** "Jay 1 has 19 % now, 13 cycles", to be kept or not. */
export function PacksAfter({ after: { next, refused, take } }: { readonly after: AfterUse }) {
  return next.map(({ battery, pack, isFlown }) => (
    <Checkbox
      key={battery.id}
      label={wordsFor(battery, pack.startCharge, isFlown ? pack.cycles : null)}
      checked={!refused.includes(battery.id)}
      onChange={(event) => take(battery.id, event.currentTarget.checked)}
    />
  ));
}

function wordsFor({ label }: BatteryRecord, charge: number, cycles: number | null | undefined): string {
  return `${label} has ${percent(charge)} now${cycles == null ? '' : `, ${cycles} cycles`}`;
}
