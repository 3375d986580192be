import type { Conditions } from '../air/conditions';
import type { HourlyWeather } from '../air/hours';
import type { LaunchPlace, Site } from '../air/site';
import type { Aircraft } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import type { ChargeMark } from '../battery/chargeTiming';
import type { Charger } from '../battery/charging';
import type { BatteryKeeping } from '../battery/keeping';
import type { Belief } from '../belief/belief';
import type { Caution } from '../estimate/cautions';
import type { EstimateWithLedger } from '../estimate/estimate';
import { estimateInFull, type FullEstimate } from '../estimate/full';
import type { EstimateRequest, FlightPlan } from '../estimate/request';
import type { Policy } from '../reserve/policy';
import type { SwapPlan } from '../swapPlan/report/answer';
import type { FlightLock, Moving, PlanOrder, PlanRequest, SwapTime } from '../swapPlan/request/request';
import type { Shot } from '../swapPlan/request/shot';
import type { TestQuestionCode } from '../testFlights/questions';
import type { TestFlight } from '../testFlights/testFlight';
import type { Quantity } from '../units/quantity';
import { inSi, type Sentence } from '../units/sentence';
import type { FitContent } from './fitted';
import type { LiftOffCheck } from './liftOff';

/** What every kept record carries besides its content. Times are ISO 8601. */
export interface Kept {
  readonly id: string;
  readonly createdAt: string;
  readonly updatedAt: string;
  /** Grows by one with each write; a write that names an older one is refused. */
  readonly version: number;
}

/** What a recording setting of an aircraft draws, as the pilot learnt it. */
export interface Recording {
  readonly name: string;
  readonly loadW: number;
}
export const maxRecordings = 20;

/** An aircraft with how it is usually flown. */
export interface AircraftContent {
  readonly name: string;
  readonly spec: Aircraft;
  readonly flight: FlightPlan;
  readonly policy: Policy;
  /** Since when it is no longer flown, ISO 8601; null while it is. */
  readonly retiredOn?: string | null;
  /** The fit its estimates are made with; from the box alone where absent, or where it is no more. */
  readonly currentFitId?: string | null;
  /** Settings whose draw is known. */
  readonly recordings?: readonly Recording[] | null;
  /** Whether a new fit is taken as soon as flights make one, or is offered first. */
  readonly takesFits?: boolean | null;
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

/** Where it is flown: all that stays from day to day. */
export interface PlaceContent extends Site {
  readonly name: string;
  /** Of the ground at take-off, m above the sea. */
  readonly elevationM: number;
  /** Of the ground around, m; see `air/roughness`. */
  readonly roughnessM?: number | null;
  readonly launchPlaces?: readonly LaunchPlace[] | null;
}

export const launchPlaceRanges = {
  eastM: { label: 'East of the place', unit: 'm', siPerUnit: 1, min: -10_000, max: 10_000, step: 10 },
  northM: { label: 'North of the place', unit: 'm', siPerUnit: 1, min: -10_000, max: 10_000, step: 10 },
} as const satisfies Record<string, Quantity>;

export const maxLaunchPlaces = 50;

/** What the air does, without the ground it does it over. */
export type Weather = Omit<Conditions, keyof Ground>;
export type Ground = Pick<Conditions, 'elevationM' | 'roughnessM'>;

/** A day at a place: its chosen hour, the weather then, and the hours it may be scrubbed through. */
export interface DayContent {
  readonly placeId: string;
  readonly at: string;
  readonly weather: Weather;
  /** Where the weather was taken from; null when it was set by hand. */
  readonly weatherFrom?: WeatherSource | null;
  /** Rows of a forecast or a station in order of time. */
  readonly hours?: readonly HourlyWeather[] | null;
  readonly hoursFrom?: WeatherSource | null;
}

/** The card of a flight about to begin, for one battery; it goes with the flight when that is recorded. */
export interface LiftOffContent {
  readonly batteryId: string;
  readonly ticked: readonly LiftOffCheck[];
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

/** Which flight of which file; the hash tells the same file under another name. */
export interface LogSource {
  readonly name: string;
  readonly hash: string;
  /** From 1, in order of time. */
  readonly flightNumber: number;
}

export const logSourceRanges = {
  flightNumber: {
    label: 'Flight of the file',
    unit: '',
    siPerUnit: 1,
    min: 1,
    max: 10_000,
    step: 1,
    whole: true,
  },
} as const satisfies Record<string, Quantity>;

/** Flown to be timed, or for work. */
export const purposes = ['test', 'work'] as const;
export type Purpose = (typeof purposes)[number];

export interface TestFlightContent {
  readonly aircraftId: string;
  readonly batteryId: string;
  readonly flownAt: string;
  /** A test where absent. */
  readonly purpose?: Purpose | null;
  readonly test: TestFlight;
  readonly weather: Conditions;
  readonly note?: string | null;
  /** Why this flight does not count; null when it does. */
  readonly excludedReason?: string | null;
  /** What was ticked before lift-off; null when no card was used. */
  readonly liftOff?: readonly LiftOffCheck[] | null;
  /** Questions about it that the pilot answered with "it is right". */
  readonly confirmed?: readonly TestQuestionCode[] | null;
  /** The file it was read from; null where it was timed or typed. */
  readonly source?: LogSource | null;
  /**
   * When its estimate was asked for anew, ISO 8601; null while it is the one made when it was recorded. A write that names
   * another instant than is kept makes the estimate anew.
   */
  readonly estimatedAt?: string | null;
}

/** How a pack is charged: on its charger or hub, or by a cable to the aircraft. */
export const chargingWays = ['hub', 'cable'] as const;
export type ChargingWay = (typeof chargingWays)[number];

/** A charge that was timed: the gauge of one pack on one charger, read now and then. */
export interface TimedChargeContent {
  readonly chargerId: string;
  readonly batteryId: string;
  readonly way: ChargingWay;
  readonly startedAt: string;
  /** In order of time, from the first reading. */
  readonly marks: readonly ChargeMark[];
  readonly note?: string | null;
}

export const maxChargeMarks = 200;

export interface ShootContent {
  readonly name: string;
  readonly aircraftId: string;
  /** The day it is for: its weather and its place. */
  readonly dayId: string;
  /** In the order of use. */
  readonly batteryIds: readonly string[];
  readonly startsAt: string;
  readonly swapTimeS: number;
  readonly policy: Policy;
  readonly shots: readonly Shot[];
  /** When all must be down, ISO 8601; a day later where absent. */
  readonly endsAt?: string | null;
  /** Kept where absent. */
  readonly order?: PlanOrder | null;
  /** What packs are charged with meanwhile; nothing where absent, and one that is no more is passed over. */
  readonly chargerIds?: readonly string[] | null;
  readonly coolingS?: number | null;
  /** One that flies in turn with the first; batteries may then be of either. */
  readonly otherAircraftId?: string | null;
  /** What a swap is made of, where the pilot tells its parts; `swapTimeS` is their sum then. */
  readonly swapParts?: SwapTime | null;
  /** How the crew comes from one launch place to another, where it is not the usual way. */
  readonly moving?: Moving | null;
  /** Flights that are flown with one battery, whatever else. */
  readonly locks?: readonly FlightLock[] | null;
  /** Shots that stay in the list and are not planned. */
  readonly leftOutIds?: readonly string[] | null;
}

/** What of a plan is kept. */
export type PlanAsRead = Pick<SwapPlan, 'flights' | 'lanes' | 'figures' | 'cautions'>;

/** A plan as the pilot read and kept it, with the request it answers; of a shoot the newest holds. */
export interface KeptPlanContent {
  readonly shootId: string;
  readonly keptAt: string;
  readonly request: PlanRequest;
  readonly plan: PlanAsRead;
}

export type AircraftRecord = Kept & AircraftContent;
export type BatteryRecord = Kept & BatteryContent;
export type ChargerRecord = Kept & ChargerContent;
export type PlaceRecord = Kept & PlaceContent;
export type DayRecord = Kept & DayContent;
export type LiftOffRecord = Kept & LiftOffContent;
export type TestFlightRecord = Kept & TestFlightContent & { readonly estimate: FrozenEstimate };
export type FitRecord = Kept & FitContent;
export type TimedChargeRecord = Kept & TimedChargeContent;
export type ShootRecord = Kept & ShootContent;
export type KeptPlanRecord = Kept & KeptPlanContent;
