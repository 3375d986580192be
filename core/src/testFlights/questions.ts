import type { Conditions } from '../air/conditions';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import { type Sentence, sentence } from '../units/sentence';
import { straightLine } from './straightLine';
import type { TestFlight } from './testFlight';

export const testQuestionCodes = [
  'dated-later',
  'longer-than-box',
  'shorter-than-box',
  'gust-below-wind',
  'reading-too-early',
] as const;
export type TestQuestionCode = (typeof testQuestionCodes)[number];
export type TestQuestion = Sentence<TestQuestionCode>;

/** What a test may say of a box before it is asked about: no pack outlasts its box by more, however it is flown. */
const maxOfBox = 1.25;
/** The hardest flying takes a whole charge in a third of the box's time (common practice); less is a slip. */
const minOfBox = 0.2;
/** Clocks differ by this much. */
const clockSlackMs = 300_000;

/** What there is to ask about a test: what was flown, with what, in what weather, and when. */
export interface AskedTest {
  readonly test: TestFlight;
  readonly weather: Conditions;
  readonly flownAt: string;
  readonly aircraft: Pick<Aircraft, 'advertisedFlightTimeS' | 'advertisedCapacityMah'>;
  readonly battery: Pick<Battery, 'ratedCapacityMah'>;
}

/**
 * What is so odd about a test that it is asked before it counts: it is dated in the future, it would last far beyond the box
 * or not a fifth of it, or its gust is weaker than its wind. Empty for a test like any other.
 */
export function testQuestions(
  { test, weather, flownAt, aircraft, battery }: AskedTest,
  nowMs: number,
): TestQuestion[] {
  const { fullGaugeS: wholeS } = straightLine(test);
  const packRatio = battery.ratedCapacityMah / (aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah);
  const boxFraction = wholeS / (aircraft.advertisedFlightTimeS * packRatio);
  const { speedMps, gustMps } = weather.wind;
  const early = earlyReading(test);
  const found = [
    Date.parse(flownAt) > nowMs + clockSlackMs &&
      sentence('dated-later', 'It is dated later than now: was it flown already?'),
    boxFraction > maxOfBox &&
      sentence(
        'longer-than-box',
        'At this rate a whole charge would last {wholeS}, {boxFraction} of the box: are the time and both charges right?',
        { wholeS, boxFraction },
      ),
    boxFraction < minOfBox &&
      sentence(
        'shorter-than-box',
        'At this rate a whole charge would last only {wholeS}, {boxFraction} of the box: are the time and both charges right?',
        { wholeS, boxFraction },
      ),
    early !== null &&
      sentence('reading-too-early', 'At {readS} the gauge stood at {charge} already: is that time right?', {
        readS: early.timeS,
        charge: `${Math.round(early.charge * 100)} %`,
      }),
    gustMps != null &&
      gustMps < speedMps &&
      sentence(
        'gust-below-wind',
        'Gusts of {gustMps:1} are weaker than the wind of {speedMps:1}: which of them is wrong?',
        { gustMps, speedMps },
      ),
  ];
  return found.filter((one) => one !== false);
}

/** No flight spends its charge so many times faster at first than on the whole (assumed). */
const maxRateFactor = 4;

/** A reading that lies far too early for what the whole flight spent; null where none does. */
function earlyReading({ startCharge, endCharge, durationS, checkpoints }: TestFlight) {
  const meanRate = (startCharge - endCharge) / durationS;
  for (const { timeS, charge } of checkpoints ?? []) {
    if (charge == null || !(startCharge - charge > 0.05)) continue;
    if ((startCharge - charge) / Math.max(1, timeS) > maxRateFactor * meanRate) return { timeS, charge };
  }
  return null;
}
