import {
  type AircraftRecord,
  type Band,
  type BatteryRecord,
  type DayAtPlace,
  waysToKnow,
} from '@acorn-tally/core';
import { type ToLearn, useNextTests, useToLearn } from '../answers/learning';
import { testInWords } from '../parts/testWords';
import { useRecords } from '../records/records';

export interface Asked {
  readonly battery: BatteryRecord;
  readonly aircraft: AircraftRecord;
  readonly conditions: DayAtPlace;
}

/** Something a pilot can find out, and the minutes to plan on that it would gain about. */
export interface BatteryGain {
  readonly way: string;
  readonly seconds: number;
}

/**
 * What would gain minutes to plan on, most first: before a fit what the draws tell apart; after one what is to be read, and the
 * tests to fly next. And what there is to learn from flights already.
 */
export function useGains(
  { battery, aircraft, conditions }: Asked,
  band: Band | null,
): { readonly gains: readonly BatteryGain[]; readonly learn: ToLearn } {
  const batteries = useRecords((state) => state.batteries);
  const learn = useToLearn(aircraft);
  const tests = useNextTests(learn, learn.current?.fit.posterior ?? null, aircraft, battery, conditions);
  const labelOf = (id: string) => batteries.find((one) => one.id === id)?.label ?? 'another pack';
  const gains = [
    ...(band?.sensitivity ?? []).map(({ input, seconds }) => ({ way: waysToKnow[input], seconds })),
    ...(tests ?? []).map((test) => ({
      way: `Fly a test: ${testInWords(test, labelOf)}`,
      seconds: test.gainsS,
    })),
  ];
  return { gains: gains.sort((a, b) => b.seconds - a.seconds), learn };
}
