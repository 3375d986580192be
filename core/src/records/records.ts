import type { Conditions } from '../air/conditions';
import type { HourlyWeather } from '../air/hours';
import type { Site } from '../air/site';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { Charger } from '../battery/charging';
import type { BatteryKeeping } from '../battery/keeping';
import type { Belief } from '../belief/belief';
import type { Caution } from '../estimate/cautions';
import type { EstimateWithLedger } from '../estimate/estimate';
import { estimateInFull, type FullEstimate } from '../estimate/full';
import type { EstimateRequest, FlightPlan } from '../estimate/request';
import type { Policy } from '../reserve/policy';
import type { Shot } from '../swapPlan/shot';
import type { TestQuestionCode } from '../testFlights/questions';
import type { TestFlight } from '../testFlights/testFlight';
import { inSi, type Sentence } from '../units/sentence';
import type { LiftOffCard, LiftOffCheck } from './liftOff';

/** What every kept record carries besides its content. Times are ISO 8601. */
export interface Kept {
  readonly id: string;
  readonly createdAt: string;
  readonly updatedAt: string;
  /** Grows by one with each write; a write that names an older one is refused. */
  readonly version: number;
}

/** An aircraft with how it is usually flown. */
export interface AircraftContent {
  readonly name: string;
  readonly spec: Aircraft;
  readonly flight: FlightPlan;
  readonly policy: Policy;
  /** Since when it is no longer flown, ISO 8601; null while it is. */
  readonly retiredOn?: string | null;
}

export interface BatteryContent {
  readonly aircraftId: string;
  readonly label: string;
  readonly pack: Battery;
  readonly keeping?: BatteryKeeping | null;
}

export interface ChargerContent {
  readonly name: string;
  readonly charger: Charger;
}

/** A station or a file that gave the weather; what a stand-in made up is marked as practice wherever it shows. */
export interface WeatherSource {
  readonly name: string;
  readonly practice: boolean;
}

/** The four letters the practice weather station reports under; X is no country’s (ICAO Doc 7910). */
export const practiceStation = 'XPRA';

/** The weather at a place and hour, as set in the ribbon. */
export interface ConditionsContent {
  readonly place: string;
  readonly at: string;
  readonly weather: Conditions;
  readonly site?: Site | null;
  /** Where the weather was taken from; null when it was set by hand. */
  readonly weatherFrom?: WeatherSource | null;
  /** Rows of a forecast or a station in order of time, to scrub through. */
  readonly hours?: readonly HourlyWeather[] | null;
  readonly hoursFrom?: WeatherSource | null;
  /** What is ticked for the flight about to begin; it goes with the flight when that is recorded. */
  readonly liftOff?: LiftOffCard | null;
}

/** What was told then: in SI, and as a sentence for the reader's units; kept before 25 Nov 2026 it has its words only. */
export type FrozenWords = { readonly message: string } & Partial<Sentence>;

/** The estimate made when the test was recorded, kept as it was. */
export interface FrozenEstimate {
  readonly request: EstimateRequest;
  readonly answer:
    | (Omit<EstimateWithLedger, 'cautions' | 'turnBackCharge' | 'touchdownCharge'> &
        Partial<Pick<FullEstimate, 'curveBand' | 'turnBackCharge'>> & {
          readonly cautions: readonly (FrozenWords & Pick<Caution, 'about'>)[];
        })
    | null;
  /** Why there was none. */
  readonly refusal: string | FrozenWords | null;
}

/** The estimate of a test as it is kept: the same for the example and for what a pilot records. */
export function frozenEstimate(request: EstimateRequest, belief: Belief): FrozenEstimate {
  const outcome = estimateInFull(request, belief);
  if (!outcome.ok) return { request, answer: null, refusal: inSi(outcome.refusal) };
  return {
    request,
    answer: { ...outcome.value, cautions: outcome.value.cautions.map(inSi) },
    refusal: null,
  };
}

export interface TestFlightContent {
  readonly aircraftId: string;
  readonly batteryId: string;
  readonly flownAt: string;
  readonly test: TestFlight;
  readonly weather: Conditions;
  readonly note?: string | null;
  /** Why this flight does not count; null when it does. */
  readonly excludedReason?: string | null;
  /** What was ticked before lift-off; null when no card was used. */
  readonly liftOff?: readonly LiftOffCheck[] | null;
  /** Questions about it that the pilot answered with "it is right". */
  readonly confirmed?: readonly TestQuestionCode[] | null;
}

export interface ShootContent {
  readonly name: string;
  readonly aircraftId: string;
  /** In the order of use. */
  readonly batteryIds: readonly string[];
  readonly startsAt: string;
  readonly swapTimeS: number;
  readonly policy: Policy;
  readonly shots: readonly Shot[];
}

export type AircraftRecord = Kept & AircraftContent;
export type BatteryRecord = Kept & BatteryContent;
export type ChargerRecord = Kept & ChargerContent;
export type ConditionsRecord = Kept & ConditionsContent;
export type TestFlightRecord = Kept & TestFlightContent & { readonly estimate: FrozenEstimate };
export type ShootRecord = Kept & ShootContent;
