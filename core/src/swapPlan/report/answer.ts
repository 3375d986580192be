import type { RefusalCode } from '../../units/outcome';
import type { Sentence } from '../../units/sentence';
import type { WaitReason } from '../search/schedule';

export { type WaitReason, waitReasons } from '../search/schedule';

/** One take in the air. Times are of the take itself; its set-up lies before. */
export interface TakeOfPlan {
  readonly shotId: string;
  /** From 1. */
  readonly take: number;
  readonly startAt: string;
  readonly endAt: string;
  readonly chargeAfter: number;
}

/** One battery in the air. Times of the flight as planned, in the likeliest world; charges are the gauge's. */
export interface FlightOfPlan {
  /** From 1, flown ones counted. */
  readonly number: number;
  readonly aircraftId: string;
  readonly batteryId: string;
  readonly launchPlaceId: string | null;
  readonly takeoffAt: string;
  readonly turnBackAt: string;
  readonly touchdownAt: string;
  readonly startCharge: number;
  readonly startTemperatureC: number;
  /** The gauge to turn back at from its last take; with the pilot's confidence the reserve is then intact. */
  readonly turnBackCharge: number | null;
  /** After its last take: nine of ten touch down with more than p10. */
  readonly touchdownCharge: { readonly p10: number; readonly p50: number };
  /** How much longer the last take could go on at the confidence. */
  readonly spareS: number;
  /** Share of draws in which it must turn back before its last take ends; at most one less the confidence. */
  readonly chanceEarly: number;
  readonly shots: readonly TakeOfPlan[];
  /** What it waits for on the ground though the crew is ready; null where it waits for nothing. */
  readonly wait?: WaitOfPlan | null;
}

export interface WaitOfPlan {
  /** Since when it could take off but for that. */
  readonly fromAt: string;
  readonly reason: WaitReason;
  /** Whose light or time it is. */
  readonly shotId: string | null;
}

export const spanKinds = ['ready', 'flying', 'cooling', 'charging', 'waiting'] as const;
export type SpanKind = (typeof spanKinds)[number];

/** What a battery does for a while: ready to be flown again, or waiting with too little. */
export interface SpanOfLane {
  readonly kind: SpanKind;
  readonly fromAt: string;
  readonly untilAt: string;
  readonly chargeFrom: number;
  readonly chargeTo: number;
  readonly chargerId?: string;
}

export interface Lane {
  readonly batteryId: string;
  /** From the start to the end of the plan without gap or overlap. */
  readonly spans: readonly SpanOfLane[];
}

/** Why a take is in no flight. */
export const unplacedCodes = [
  'no-battery',
  'no-pack-lasts',
  'out-of-reach',
  'window',
  'after-unplaced',
  'crew-hours',
  'order',
  'pinned',
  'no-weather',
  'packs-flown',
  'charging-too-slow',
  'search-stopped',
] as const;
export type UnplacedCode = (typeof unplacedCodes)[number] | RefusalCode;

export interface UnplacedTake {
  readonly shotId: string;
  readonly take: number;
  readonly reason: Sentence<UnplacedCode>;
  /** The smallest change found, by trying it, that places it; never a smaller reserve. */
  readonly remedy: Sentence<ChangeCode> | null;
}

/** What a pilot may change to get more of a plan. */
export const changeCodes = [
  'one-more-charger',
  'one-more-battery',
  'warm-packs',
  'start-earlier',
  'end-later',
  'other-launch-place',
  'all-from-place',
  'shorter-takes',
] as const;
export type ChangeCode = (typeof changeCodes)[number];

/** What a plan comes to, with what is flown already: takes placed, take-offs, and when all are down. */
export interface Outlook {
  readonly takesPlaced: number;
  readonly takeoffs: number;
  readonly endAt: string;
}

export interface PlanFigures {
  readonly takeoffs: number;
  /** No plan that places as much has fewer. */
  readonly takeoffsBound: number;
  readonly boundBy: 'columns' | 'packing';
  /** That nothing placed more, or as much with fewer take-offs. */
  readonly proved: boolean;
  readonly batteriesFlown: number;
  readonly endAt: string;
  /** In takes. */
  readonly mustsPlaced: number;
  readonly nicesPlaced: number;
}

/** What would be left of the plan if something were otherwise. */
export interface Robustness {
  readonly change: 'wind' | 'takes' | 'battery';
  readonly batteryId?: string;
  readonly takeoffs: number;
  readonly endAt: string;
  /** Shots that then lose a take they have in the plan. */
  readonly droppedShotIds: readonly string[];
  /** Whether the search for it stopped at its limit, so that more may be possible. */
  readonly atLeast: boolean;
}

export interface PacksBrought {
  readonly packs: number;
  readonly charging: boolean;
  /** Whole shots. */
  readonly shotsPlaced: number;
  readonly takeoffs: number;
  readonly endAt: string;
  readonly atLeast: boolean;
}

/** The shoot begun later for as much, with less waiting on the ground. */
export interface LaterStart {
  readonly startAt: string;
  readonly lessWaitingS: number;
}

export const planCautionCodes = ['in-the-dark', 'cold-pack', 'rules-first'] as const;
export type PlanCautionCode = (typeof planCautionCodes)[number];

export interface SwapPlan {
  /** Those of `flown` first, with what the request told of them. */
  readonly flights: readonly FlightOfPlan[];
  readonly lanes: readonly Lane[];
  readonly unplaced: readonly UnplacedTake[];
  readonly figures: PlanFigures;
  readonly robustness: readonly Robustness[];
  readonly packs: readonly PacksBrought[];
  /** The same shoot without pins and kept batteries; null where there are none. */
  readonly withoutPins: Outlook | null;
  readonly laterStart: LaterStart | null;
  readonly cautions: readonly Sentence<PlanCautionCode>[];
  /** Whether all was sought and tried that this effort seeks; false while it goes on, and where the request's work was spent before. */
  readonly complete: boolean;
}
