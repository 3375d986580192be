import {
  type BatteryRecord,
  type Comparison,
  compareInstants,
  type ListedTest,
  median,
  type TestQuestion,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { openQuestions } from '../answers/counted';
import { useRecords } from '../records/records';

export interface TestRow {
  readonly record: ListedTest;
  readonly battery: BatteryRecord | null;
  readonly comparison: Comparison;
  readonly counts: boolean;
  /** What is odd about it and not yet answered; until then it does not count. */
  readonly questions: readonly TestQuestion[];
}

/** All test flights, the newest first, each held against the estimate frozen with it. */
export function useTests(): readonly TestRow[] {
  const { testFlights, batteries } = useRecords();
  return useMemo(() => {
    const byId = new Map(batteries.map((battery) => [battery.id, battery]));
    const rows = testFlights.map((record) => {
      const questions = openQuestions(record);
      return {
        record,
        battery: byId.get(record.batteryId) ?? null,
        comparison: record.outcome.comparison,
        counts: !record.excludedReason && questions.length === 0,
        questions,
      };
    });
    return rows.sort((a, b) => compareInstants(b.record.flownAt, a.record.flownAt));
  }, [testFlights, batteries]);
}

/** Half of the flights missed by less than this; null while none counts. */
export function medianMiss(rows: readonly TestRow[]): number | null {
  const misses = rows.flatMap(({ counts, comparison }) =>
    counts && comparison.missFraction !== null ? [Math.abs(comparison.missFraction)] : [],
  );
  return misses.length > 0 ? median(misses) : null;
}
