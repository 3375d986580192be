import { type Draw, drawCoefficients, usualDraws, usualSeed } from '../estimate/draws';
import { usualCoefficients } from '../estimate/request';
import { usualConfidence } from '../reserve/policy';
import { quantiles } from '../statistics/quantile';
import { type Outcome, success } from '../units/outcome';
import type { ReturnRequest } from './request';
import { type ReturnHeightAdvice, returnHeightAdvice } from './returnHeight';
import { type OwnReturn, type ReturnNow, returnNow, turnBackCharge, turnBackOf } from './returnNow';
import { situationOf } from './situation';
import { type OwnAction, timetable } from './timetable';
import { lowOwnHeight, type WayOut, waysOut } from './waysOut';

/** The middle answer, which follows the hand; its band takes the draws. */
export interface ReturnAnswer {
  /** Whether it touches down at home with anything on the gauge. */
  readonly feasible: boolean;
  readonly home: ReturnNow;
  readonly turnBackCharge: { readonly p50: number | null };
  readonly turnBackS: number | null;
  readonly own: OwnReturn | null;
  readonly returnHeight: ReturnHeightAdvice;
  readonly waysOut: readonly WayOut[];
  readonly timetable: readonly OwnAction[];
  /** Why its own way home would hit something; null where it is clear. */
  readonly tooLow: string | null;
}

/** How far off it may be: nine of ten touch down above p10. */
export interface ReturnBand {
  /** The gauge at touch-down; null where that many do not come home at all. */
  readonly touchdownCharge: { readonly p10: number | null; readonly p90: number | null };
  /** The gauge to turn back at so that the reserve is intact with the pilot's confidence; null where there is none. */
  readonly turnBackCharge: number | null;
  /** Share of draws in which it does not come home from here with what it has. */
  readonly chanceNotHome: number;
}

export function returnAnswer(request: ReturnRequest, tallestM: number | null = null): Outcome<ReturnAnswer> {
  const situation = situationOf(request, usualCoefficients);
  if (!situation.ok) return situation;
  const home = returnNow(situation.value);
  const turnBack = turnBackOf(situation.value);
  return success({
    feasible: home.touchdownCharge !== null && home.touchdownCharge > 0,
    home,
    turnBackCharge: { p50: turnBack.charge },
    turnBackS: turnBack.timeS,
    own: turnBack.own,
    returnHeight: returnHeightAdvice(situation.value, tallestM),
    waysOut: waysOut(situation.value),
    timetable: timetable(situation.value, turnBack.own),
    tooLow: lowOwnHeight(situation.value),
  });
}

/** Below any gauge there is, for a flight that does not come home. */
const lost = -1;
/** Above any gauge there is, for one that could not even turn back at take-off. */
const never = 2;

/** The same way home with every draw. */
export function returnBand(request: ReturnRequest, draws: readonly Draw[]): ReturnBand {
  const flights = draws.map(({ coefficients }) => {
    const situation = situationOf(request, coefficients);
    if (!situation.ok) return { touchdown: lost, turnBack: never };
    return {
      touchdown: returnNow(situation.value).touchdownCharge ?? lost,
      turnBack: turnBackCharge(situation.value) ?? never,
    };
  });
  const touchdowns = flights.map(({ touchdown }) => touchdown);
  const [p10, p90] = quantiles(touchdowns, [0.1, 0.9]) as [number, number];
  const [surely] = quantiles(
    flights.map(({ turnBack }) => turnBack),
    [request.policy.confidence ?? usualConfidence],
  ) as [number];
  const ifHome = (gauge: number) => (gauge < -0.2 ? null : gauge);
  return {
    touchdownCharge: { p10: ifHome(p10), p90: ifHome(p90) },
    turnBackCharge: surely > 1 ? null : surely,
    chanceNotHome: touchdowns.filter((gauge) => gauge <= 0).length / flights.length,
  };
}

export interface FullReturn extends Omit<ReturnAnswer, 'turnBackCharge'> {
  readonly timeS: number;
  readonly energyWh: number;
  readonly touchdownCharge: ReturnBand['touchdownCharge'] & { readonly p50: number | null };
  readonly turnBackCharge: { readonly p50: number | null; readonly planned: number | null };
  readonly stillAirTurnBackCharge: number | null;
  readonly lateByS: number | null;
  readonly chanceNotHome: number;
}

/** What POST /returns answers: the way home with its band, from 512 seeded draws unless told otherwise. */
export function returnInFull(
  request: ReturnRequest,
  { draws = usualDraws, seed = usualSeed }: { readonly draws?: number; readonly seed?: number } = {},
): Outcome<FullReturn> {
  const answer = returnAnswer(request);
  if (!answer.ok) return answer;
  const band = returnBand(request, drawCoefficients(draws, seed));
  const { home, own } = answer.value;
  return success({
    ...answer.value,
    timeS: home.timeS,
    energyWh: home.energyWh,
    touchdownCharge: { ...band.touchdownCharge, p50: home.touchdownCharge },
    turnBackCharge: { ...answer.value.turnBackCharge, planned: band.turnBackCharge },
    stillAirTurnBackCharge: own?.charge ?? null,
    lateByS: own?.lateByS ?? null,
    chanceNotHome: band.chanceNotHome,
  });
}
