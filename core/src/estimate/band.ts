import type { Belief } from '../belief/belief';
import { confidenceOf, type Policy } from '../reserve/policy';
import { reachedBy } from '../statistics/orderStatistic';
import { quantiles } from '../statistics/quantile';
import { type DrawnFlight, drawnFlights, gaugeMarks } from './drawnFlights';
import { type Estimate, estimate } from './estimate';
import { plannedTurnBack } from './plannedTurnBack';
import type { EstimateRequest } from './request';
import { type Sensitivity, sensitivityOf } from './sensitivity';

/** What to act on: the minute to plan on, and the gauge to turn back at; null where the flight is not to be planned. */
export interface PlannedFigures {
  readonly usableS: number;
  readonly turnBackCharge: number | null;
}

/** What a band says to act on. */
export function plannedIn({
  usableS,
  turnBackCharge,
}: Pick<Band, 'usableS' | 'turnBackCharge'>): PlannedFigures {
  return { usableS: usableS.planned, turnBackCharge: turnBackCharge.planned };
}

/** The middle flight, how far off it may be, and what to act on: nine flights of ten lie above p10, one of ten above p90. */
export interface Band {
  readonly usableS: {
    readonly p10: number;
    readonly p50: number;
    readonly p90: number;
    /** That long at least last as many flights as the pilot's confidence asks for; 0 where the flight is not to be planned. */
    readonly planned: number;
  };
  readonly touchdownS: { readonly p10: number; readonly p50: number; readonly p90: number };
  /** The gauge to turn back at: turning there, as many flights as the confidence asks for land with the reserve intact. */
  readonly turnBackCharge: { readonly p50: number; readonly planned: number | null };
  /** Chance that a turn back at the planned minute touches down below what is held back. */
  readonly chanceBelowReserve: number;
  /** Share of draws in which the flight cannot be flown or does not come home at all. */
  readonly chanceImpossible: number;
  readonly sensitivity: readonly Sensitivity[];
  /** Between which times eight of ten flights pass each gauge reading. */
  readonly curve: readonly { readonly charge: number; readonly p10S: number; readonly p90S: number }[];
}

/** The bands of batteries which share most of the work; null for one whose flight is refused. */
export function bandsOf(requests: readonly EstimateRequest[], belief: Belief): (Band | null)[] {
  const flights = drawnFlights(requests, belief);
  return requests.map((request, i) => {
    const middle = estimate(request, belief);
    return middle.ok ? bandOf(middle.value, flights[i] ?? [], belief, request.policy) : null;
  });
}

/**
 * The band of a battery from its drawn flights. The middle value is the flight with every constant at its middle, not
 * the median of the draws (a strong wind parts them by a few per cent), so that it can be shown before the draws are in; where
 * the draws lie all to one side, the band is stretched to hold it, and what is planned never passes it.
 */
export function bandOf(
  middle: Pick<Estimate, 'usableS' | 'touchdownS' | 'turnBackCharge' | 'takeoffCharge'>,
  flights: readonly DrawnFlight[],
  belief: Belief,
  policy: Policy,
): Band {
  const confidence = confidenceOf(policy);
  const usables = flights.map(({ usableS }) => usableS);
  // Flights that are impossible last no time at all, so they count as worst.
  const surely = reachedBy(confidence, usables);
  const [p10, p90] = quantiles(usables, [0.1, 0.9]) as [number, number];
  const touchdowns = flights.map(({ touchdownS }) => touchdownS);
  const [down10, down90] = quantiles(touchdowns, [0.1, 0.9]) as [number, number];
  const gauges = flights.map(({ turnBackCharge }) => turnBackCharge);
  const turnBackCharge = plannedTurnBack(middle.turnBackCharge.p50, gauges, confidence);
  const planned = turnBackCharge === null ? 0 : Math.min(surely, middle.usableS.p50);
  const shareOf = (test: (flight: DrawnFlight) => boolean) => flights.filter(test).length / flights.length;
  return {
    usableS: around(p10, middle.usableS.p50, p90, { planned }),
    touchdownS: around(down10, middle.touchdownS.p50, down90, {}),
    turnBackCharge: { p50: middle.turnBackCharge.p50, planned: planned > 0 ? turnBackCharge : null },
    chanceBelowReserve: shareOf(({ latestS }) => latestS < planned || latestS === 0),
    chanceImpossible: shareOf(({ touchdownS }) => touchdownS === 0),
    sensitivity: sensitivityOf(usables, belief, middle.usableS.p50 - planned),
    curve: curveBand(flights, middle.takeoffCharge),
  };
}

function around<More extends object>(p10: number, p50: number, p90: number, more: More) {
  return { p10: Math.min(p10, p50), p50, p90: Math.max(p90, p50), ...more };
}

function curveBand(flights: readonly DrawnFlight[], takeoffCharge: number): Band['curve'] {
  const flown = flights.filter(({ touchdownS }) => touchdownS > 0);
  if (flown.length === 0) return [];
  return gaugeMarks.flatMap((charge, i) => {
    if (charge > takeoffCharge) return [];
    const times = flown.map(({ gaugeTimesS }) => gaugeTimesS[i] as number);
    const [p10S, p90S] = quantiles(times, [0.1, 0.9]) as [number, number];
    return [{ charge, p10S, p90S }];
  });
}

/**
 * What is planned while a newer band is on its way: it follows the middle by the ratio it last had to it. Null before there
 * is a band.
 */
export function provisionalPlan(
  { usableS, turnBackCharge }: Pick<Estimate, 'usableS' | 'turnBackCharge'>,
  band: Pick<Band, 'usableS' | 'turnBackCharge'> | null,
): PlannedFigures | null {
  if (!band) return null;
  const { p50, planned } = band.usableS;
  return {
    usableS: p50 > 0 ? (usableS.p50 * planned) / p50 : 0,
    turnBackCharge: provisionalTurnBack(turnBackCharge.p50, band.turnBackCharge),
  };
}

/** The same of the charge alone; null where there was none, or is none now. */
export function provisionalTurnBack(
  middleNow: number | null,
  { p50, planned }: { readonly p50: number | null; readonly planned: number | null },
): number | null {
  if (middleNow === null || p50 === null || planned === null) return null;
  return Math.min(1, (middleNow * planned) / p50);
}
