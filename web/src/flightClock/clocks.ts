import type { ChargingWay, Conditions, SignKind, TestFlight } from '@acorn-tally/core';
import type { ClockEvent } from './events';
import type { Expected } from './expected';

/** What is timed, all that is needed of it kept with it: a running clock asks no server. */
interface Timed {
  /** As in "Jay 1". */
  readonly label: string;
  /** As in "low hover". */
  readonly what: string;
  readonly batteryId: string;
  readonly cellCount: number;
  readonly startCharge: number;
  readonly stopCharge: number;
  readonly expected: Expected | null;
}

export interface TimedFlight extends Timed {
  readonly kind: 'flight';
  readonly aircraftId: string;
  /** As it is to be flown, down to its stop. */
  readonly test: TestFlight;
  readonly weather: Conditions;
  /** To its own forced landing: a test only. */
  readonly toForcedLanding: boolean;
}

export interface TimedCharge extends Timed {
  readonly kind: 'charge';
  readonly chargerId: string;
  readonly way: ChargingWay;
}

export type Plan = TimedFlight | TimedCharge;

/** A clock of this browser: what it times, and what was noted. It goes when its record is kept, or it is thrown away. */
export interface FlightClock {
  readonly id: string;
  readonly plan: Plan;
  readonly events: readonly ClockEvent[];
}

/** What the aircraft does that a pilot notes in the air; motors out is told afterwards. */
export const signsInTheAir = [
  'low-warning',
  'own-return',
  'forced-landing',
  'empty',
] as const satisfies readonly SignKind[];
export type SignInTheAir = (typeof signsInTheAir)[number];

export const maxClocks = 2;
