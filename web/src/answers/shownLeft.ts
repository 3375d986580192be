import {
  type BatteryRecord,
  defaultLeftTo,
  type LeftTo,
  type ListedTest,
  median,
  type ShownLeft,
  type Style,
  shownLeft,
  shownOverCame,
  testRequestFor,
} from '@acorn-tally/core';
import { isHover } from '../parts/testWords';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { countsNow } from './counted';

/** What an aircraft showed as left in a test against what came; nothing where its battery or aircraft is gone. */
export function shownIn(record: ListedTest, battery: BatteryRecord | null): ShownLeft[] {
  const { aircraftId, test } = record;
  const aircraft = useRecords.getState().aircraft.find(({ id }) => id === aircraftId);
  // A record that came broken takes down the view of its own, not this one.
  if (!aircraft || !battery || !test?.checkpoints?.some(({ leftS }) => leftS != null)) return [];
  return shownLeft(test, testRequestFor(record, aircraft, battery), beliefAbout(aircraft).middle);
}

export interface ShownByStyle {
  readonly style: Style;
  /** To what the minutes count. */
  readonly leftTo: LeftTo;
  readonly flights: number;
  /** Shown over what came, the median of its flights. */
  readonly ratio: number;
}

/** How the display of one aircraft errs in the tests that count, by how it was flown. */
export function shownByStyle(
  tests: readonly ListedTest[],
  batteries: readonly BatteryRecord[],
): ShownByStyle[] {
  const byStyle = new Map<string, { style: Style; leftTo: LeftTo; ratios: number[] }>();
  for (const record of tests) {
    if (!countsNow(record)) continue;
    const battery = batteries.find(({ id }) => id === record.batteryId) ?? null;
    const ratio = shownOverCame(shownIn(record, battery));
    if (ratio === null) continue;
    const style = isHover(record.test.pattern) ? 'hover' : (record.test.mode ?? 'normal');
    const leftTo = record.test.leftTo ?? defaultLeftTo;
    const kind = byStyle.get(`${style} ${leftTo}`) ?? { style, leftTo, ratios: [] };
    byStyle.set(`${style} ${leftTo}`, { ...kind, ratios: [...kind.ratios, ratio] });
  }
  return [...byStyle.values()].map(({ style, leftTo, ratios }) => ({
    style,
    leftTo,
    flights: ratios.length,
    ratio: median(ratios),
  }));
}

/** To what the minutes count that an aircraft shows as left. */
export const leftToNames: Readonly<Record<LeftTo, string>> = {
  return: 'its automatic return',
  landing: 'its forced landing',
  empty: 'an empty battery',
};

/** "a hover", "normal mode". */
export function flownIn(style: Style): string {
  return style === 'hover' ? 'a hover' : `${style} mode`;
}
