import type { Conditions } from '../../air/conditions';
import type { LaunchPlace } from '../../air/site';
import type { Coordinates } from '../../air/sun';
import type { Aircraft } from '../../aircraft/aircraft';
import type { Battery } from '../../battery/battery';
import { chargerRanges } from '../../battery/charging';
import type { Policy } from '../../reserve/policy';
import type { Quantity } from '../../units/quantity';
import type { Shot } from './shot';

export interface PlanAircraft {
  readonly id: string;
  readonly spec: Aircraft;
  readonly returnHeightM?: number | null;
  readonly recordingLoadW?: number | null;
  /** What hangs on it all day: guards, a filter, a light. */
  readonly addedMassKg?: number | null;
}

/** A battery as it is at the start of the shoot, and how warm it waits; as it is then where absent. */
export interface PlanBattery extends Battery {
  readonly id: string;
  readonly aircraftId: string;
  readonly label: string;
  readonly waitingTemperatureC?: number | null;
}

export interface PlanCharger {
  readonly id: string;
  readonly name: string;
  readonly packsAtOnce: number;
  readonly emptyToFullS: number;
  /** As a charger of the kit has them. */
  readonly timedWh?: number | null;
  readonly powerW?: number | null;
  readonly aircraftIds?: readonly string[] | null;
  /** To plug a pack in, and again to take it out before its take-off. */
  readonly handlingS?: number | null;
  /** When it has power; always where absent. */
  readonly fromAt?: string | null;
  readonly untilAt?: string | null;
}

/** Landing to lift-off as a whole, or in its parts. */
export interface SwapTime {
  readonly landToLiftOffS?: number | null;
  readonly landS?: number | null;
  readonly changeS?: number | null;
  readonly satellitesS?: number | null;
}

/** A flight, counted from 1, that is flown with one battery. */
export interface FlightLock {
  readonly flightNumber: number;
  readonly batteryId: string;
}

/** What is read of a flight that was flown; one as it was answered has all of it. */
export interface FlownFlight {
  /** From 1. */
  readonly number: number;
  readonly batteryId: string;
  readonly takeoffAt: string;
  readonly touchdownAt: string;
  /** Where it is known. */
  readonly startCharge?: number | null;
  /** As the gauge showed it. */
  readonly touchdownCharge: { readonly p50: number };
  readonly shots: readonly { readonly shotId: string; readonly take: number }[];
}

export const planOrders = ['kept', 'free'] as const;
export type PlanOrder = (typeof planOrders)[number];

/** How long is sought, counted in tries, so that the same request has the same plan. */
export const planEfforts = ['quick', 'usual', 'long'] as const;
export type PlanEffort = (typeof planEfforts)[number];

export interface WeatherFrom extends Conditions {
  readonly at: string;
}

/** From one launch place to another: packing up, and then on foot or by car. */
export interface Moving {
  readonly speedMps?: number | null;
  readonly packUpS?: number | null;
}

/** What a shoot is planned from. SI; times ISO 8601; distances and bearings of shots from their launch place. */
export interface PlanRequest {
  readonly startAt: string;
  /** When all must be down; a day later where absent. */
  readonly endAt?: string | null;
  readonly order: PlanOrder;
  readonly effort?: PlanEffort | null;
  readonly aircraft: readonly PlanAircraft[];
  readonly batteries: readonly PlanBattery[];
  readonly chargers?: readonly PlanCharger[] | null;
  /** Rest before a flown pack is charged. */
  readonly coolingS?: number | null;
  readonly launchPlaces?: readonly LaunchPlace[] | null;
  readonly moving?: Moving | null;
  readonly swap: SwapTime;
  readonly shots: readonly Shot[];
  readonly locks?: readonly FlightLock[] | null;
  /** Flights done already, from the first on. */
  readonly flown?: readonly FlownFlight[] | null;
  readonly coordinates?: Coordinates | null;
  /** Of all that stands there; a way home by hand may be flown as low as is clear of it. */
  readonly tallestM?: number | null;
  /** One weather for all of it, or rows by time. */
  readonly conditions?: Conditions | null;
  readonly hours?: readonly WeatherFrom[] | null;
  readonly policy: Policy;
}

export const defaultCoolingS = 900;
export const defaultHandlingS = 60;
/** On foot with the gear (common practice). */
export const defaultMoving = { speedMps: 1.2, packUpS: 180 } as const;
export const dayS = 86_400;
/** A longer shoot is two: light and weather are looked through from its start to its end. */
export const longestShootS = 2 * dayS;

export const maxPlanned = {
  aircraft: 2,
  batteries: 40,
  chargers: 12,
  shots: 100,
  takes: 100,
  places: 50,
  hours: 240,
};

const span = (label: string, max: number): Quantity => ({
  label,
  unit: 's',
  siPerUnit: 1,
  min: 0,
  max,
  step: 10,
});
export const planRanges = {
  packsAtOnce: chargerRanges.atOnce,
  emptyToFullS: chargerRanges.emptyToFullS,
  handlingS: span('Handling', 1800),
  coolingS: span('Cooling', 14_400),
  speedMps: { label: 'Walking speed', unit: 'm/s', siPerUnit: 1, min: 0.1, max: 40, step: 0.1 },
  packUpS: span('Packing up', 7200),
  landToLiftOffS: span('Landing to lift-off', 3600),
  landS: span('Landing', 3600),
  changeS: span('Changing the battery', 3600),
  satellitesS: span('Waiting for satellites', 3600),
} as const satisfies Record<string, Quantity>;

export function swapS({ landToLiftOffS, landS, changeS, satellitesS }: SwapTime): number {
  return landToLiftOffS ?? (landS ?? 0) + (changeS ?? 0) + (satellitesS ?? 0);
}
