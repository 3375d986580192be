import { compareInstants, type TestPattern } from '@acorn-tally/core';
import type { TestRow } from './useTests';

/** Which tests are listed, and in what order; an empty text is all. */
export interface Listing {
  readonly aircraftId: string;
  readonly batteryId: string;
  readonly pattern: TestPattern | '';
  readonly which: (typeof whichTests)[number];
  readonly order: (typeof orders)[number];
}

export const whichTests = ['all', 'counted', 'left out', 'work'] as const;
export const orders = ['newest', 'oldest', 'longest', 'worst estimated'] as const;
export const everyTest: Listing = {
  aircraftId: '',
  batteryId: '',
  pattern: '',
  which: 'all',
  order: 'newest',
};

export function listed(rows: readonly TestRow[], listing: Listing): TestRow[] {
  const { aircraftId, batteryId, pattern, which, order } = listing;
  const shown = rows.filter(({ record, counts }) => {
    const isWork = record.purpose === 'work';
    return (
      (aircraftId === '' || record.aircraftId === aircraftId) &&
      (batteryId === '' || record.batteryId === batteryId) &&
      (pattern === '' || record.test.pattern === pattern) &&
      (which === 'all' || (which === 'work' ? isWork : counts === (which === 'counted')))
    );
  });
  return shown.sort(by[order]);
}

const miss = ({ comparison }: TestRow) => Math.abs(comparison.missFraction ?? 0);
const newest = (a: TestRow, b: TestRow) => compareInstants(b.record.flownAt, a.record.flownAt);
const by: Readonly<Record<Listing['order'], (a: TestRow, b: TestRow) => number>> = {
  newest,
  oldest: (a, b) => newest(b, a),
  longest: (a, b) => b.record.test.durationS - a.record.test.durationS,
  'worst estimated': (a, b) => miss(b) - miss(a),
};
