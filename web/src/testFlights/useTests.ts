import {
  type BatteryRecord,
  type Comparison,
  compareTest,
  median,
  type TestFlightRecord,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { useRecords } from '../state/records';

export interface TestRow {
  readonly record: TestFlightRecord;
  readonly battery: BatteryRecord | null;
  readonly comparison: Comparison;
  readonly counts: boolean;
}

/** All test flights, the newest first, each held against the estimate frozen with it. */
export function useTests(): readonly TestRow[] {
  const { testFlights, batteries } = useRecords();
  return useMemo(() => {
    const byId = new Map(batteries.map((battery) => [battery.id, battery]));
    const rows = testFlights.map((record) => ({
      record,
      battery: byId.get(record.batteryId) ?? null,
      comparison: compareTest(
        record.test,
        record.estimate.answer?.curve ?? [],
        record.estimate.request.aircraft.advertisedFlightTimeS,
      ),
      counts: !record.excludedReason,
    }));
    return rows.sort((a, b) => (a.record.flownAt < b.record.flownAt ? 1 : -1));
  }, [testFlights, batteries]);
}

/** Half of the flights missed by less than this; null while none counts. */
export function medianMiss(rows: readonly TestRow[]): number | null {
  const misses = rows.flatMap(({ counts, comparison }) =>
    counts && comparison.missFraction !== null ? [Math.abs(comparison.missFraction)] : [],
  );
  return misses.length > 0 ? median(misses) : null;
}
