import { usualConfidence } from '../reserve/policy';
import { quantiles } from '../statistics/quantile';
import { type DrawnFlight, gaugeMarks } from './drawnFlights';
import type { Draw } from './draws';
import type { Estimate } from './estimate';
import { type Sensitivity, sensitivityOf } from './sensitivity';

/** How far off the middle values may be: nine flights of ten lie above p10, one of ten above p90. */
export interface Band {
  readonly usableS: { readonly p10: number; readonly p90: number; readonly planned: number };
  readonly touchdownS: { readonly p10: number; readonly p90: number };
  /** The gauge to turn back at, so that the reserve is intact with the pilot's confidence. */
  readonly turnBackCharge: { readonly planned: number };
  /** Chance that a turn back at the planned minute touches down below what is held back. */
  readonly chanceBelowReserve: number;
  /** Share of draws in which the flight cannot be flown or does not come home at all. */
  readonly chanceImpossible: number;
  readonly sensitivity: readonly Sensitivity[];
  /** Between which times eight of ten flights pass each gauge reading. */
  readonly curve: readonly { readonly charge: number; readonly p10S: number; readonly p90S: number }[];
}

/**
 * The band of a battery from its drawn flights. The middle value is the flight with every constant at its middle, not
 * the median of the draws (a strong wind parts them by a few per cent), so that it can be shown before the draws are in; where
 * the draws lie all to one side, the band is stretched to hold it.
 */
export function bandOf(
  middle: Pick<Estimate, 'usableS' | 'touchdownS' | 'turnBackCharge' | 'takeoffCharge'>,
  flights: readonly DrawnFlight[],
  draws: readonly Draw[],
  confidence: number = usualConfidence,
): Band {
  const usables = flights.map(({ usableS }) => usableS);
  const [p10, p90, surely] = quantiles(usables, [0.1, 0.9, 1 - confidence]) as [number, number, number];
  const planned = Math.min(surely, middle.usableS.p50);
  const touchdowns = flights.map(({ touchdownS }) => touchdownS);
  const [down10, down90] = quantiles(touchdowns, [0.1, 0.9]) as [number, number];
  const gauges = flights.map(({ turnBackCharge }) => turnBackCharge);
  const [surelyCharge] = quantiles(gauges, [confidence]) as [number];
  const shareOf = (test: (flight: DrawnFlight) => boolean) => flights.filter(test).length / flights.length;
  const spreadS = p90 - p10;
  return {
    usableS: {
      p10: Math.min(p10, middle.usableS.p50),
      p90: Math.max(p90, middle.usableS.p50),
      planned,
    },
    touchdownS: {
      p10: Math.min(down10, middle.touchdownS.p50),
      p90: Math.max(down90, middle.touchdownS.p50),
    },
    turnBackCharge: { planned: Math.max(surelyCharge, middle.turnBackCharge.p50) },
    chanceBelowReserve: shareOf(({ latestS }) => latestS < planned || latestS === 0),
    chanceImpossible: shareOf(({ touchdownS }) => touchdownS === 0),
    sensitivity: sensitivityOf(usables, draws, spreadS),
    curve: curveBand(flights, middle.takeoffCharge),
  };
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
