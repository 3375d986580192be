import { estimate, type NominalBelief } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { type Comparison, compareTest } from '../testFlights/compare';
import { type TestQuestion, testQuestions } from '../testFlights/questions';
import type { Kept, TestFlightContent, TestFlightRecord } from './records';

/** What a list tells of a test in place of the whole estimate that was frozen with it. */
export interface TestOutcome {
  readonly comparison: Comparison;
  /** What is odd about it, answered or not. */
  readonly questions: readonly TestQuestion[];
  /** Minutes on the box of the aircraft as it was then, in s. */
  readonly advertisedFlightTimeS: number;
}

/** A test with what came of it, without its estimate. */
export type ListedTest = Kept & TestFlightContent & { readonly outcome: TestOutcome };

/** What the frozen estimate of a test says of it, now. */
export function testOutcome({ estimate, ...record }: TestFlightRecord, nowMs: number): TestOutcome {
  const { aircraft, battery } = estimate.request;
  const { advertisedFlightTimeS } = aircraft;
  return {
    comparison: compareTest(record.test, estimate.answer?.curve ?? [], advertisedFlightTimeS),
    questions: testQuestions({ ...record, aircraft, battery }, nowMs),
    advertisedFlightTimeS,
  };
}

/** The outcome of a test whose estimate is still to be frozen, held against the middle flight. */
export function provisionalOutcome(
  record: TestFlightContent,
  request: EstimateRequest,
  middle: NominalBelief,
  nowMs: number,
): TestOutcome {
  const flown = estimate(request, middle);
  const { aircraft, battery } = request;
  const { advertisedFlightTimeS } = aircraft;
  return {
    comparison: compareTest(record.test, flown.ok ? flown.value.curve : [], advertisedFlightTimeS),
    questions: testQuestions({ ...record, aircraft, battery }, nowMs),
    advertisedFlightTimeS,
  };
}

export function listedTest(test: TestFlightRecord, nowMs: number): ListedTest {
  const { estimate: _, ...record } = test;
  return { ...record, outcome: testOutcome(test, nowMs) };
}
