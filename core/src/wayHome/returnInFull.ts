import { type Draw, drawCoefficients, usualDraws, usualSeed } from '../estimate/draws';
import { type Coefficients, usualCoefficients } from '../estimate/request';
import { usualConfidence } from '../reserve/policy';
import { quantiles } from '../statistics/quantile';
import { type Outcome, success } from '../units/outcome';
import { plannedTurnBack } from './plannedTurnBack';
import type { ReturnRequest } from './request';
import { type ReturnHeightAdvice, returnHeightAdvice } from './returnHeight';
import { type OwnReturn, type ReturnNow, returnNow, turnBackCharge, turnBackOf } from './returnNow';
import { situationOf } from './situation';
import { type OwnAction, timetable } from './timetable';
import { lowOwnHeight, type WayOut, waysOut } from './waysOut';

/** The middle answer, which follows the hand; its band takes the draws. */
export interface ReturnAnswer {
  /** Whether it is down at home before it lands itself, with anything on the gauge. */
  readonly feasible: boolean;
  readonly home: ReturnNow;
  readonly turnBackCharge: { readonly p50: number | null };
  readonly turnBackS: number | null;
  readonly own: OwnReturn | null;
  readonly returnHeight: ReturnHeightAdvice;
  readonly waysOut: readonly WayOut[];
  readonly timetable: readonly OwnAction[];
  /** Why its own way home would hit something; null where it is clear. */
  readonly tooLow: ReturnType<typeof lowOwnHeight>;
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

/** The same way home with every draw; the middle one lies within its band, and turns back no earlier than planned. */
export function returnBand(request: ReturnRequest, draws: readonly Draw[]): ReturnBand {
  const middle = ends(request, usualCoefficients);
  const flights = draws.map(({ coefficients }) => ends(request, coefficients));
  const touchdowns = flights.map(({ touchdown }) => touchdown);
  return {
    touchdownCharge: {
      p10: ifHome(Math.min(homeQuantile(touchdowns, 0.1), middle.touchdown)),
      p90: ifHome(Math.max(homeQuantile(touchdowns, 0.9), middle.touchdown)),
    },
    turnBackCharge: plannedTurnBack(
      middle.turnBack,
      flights.map(({ turnBack }) => turnBack),
      request.policy.confidence ?? usualConfidence,
    ),
    chanceNotHome: touchdowns.filter((gauge) => gauge <= 0).length / flights.length,
  };
}

function ends(request: ReturnRequest, coefficients: Coefficients) {
  const situation = situationOf(request, coefficients);
  if (!situation.ok) return { touchdown: lost, turnBack: null };
  return {
    touchdown: returnNow(situation.value).touchdownCharge ?? lost,
    turnBack: turnBackCharge(situation.value),
  };
}

const ifHome = (gauge: number) => (gauge === lost ? null : gauge);

/** A share's gauge, never straight between one that comes home and one that does not. */
function homeQuantile(touchdowns: readonly number[], share: number): number {
  const sorted = [...touchdowns].sort((a, b) => a - b);
  const below = sorted[Math.floor(share * (sorted.length - 1))] as number;
  return below === lost ? lost : (quantiles(touchdowns, [share])[0] as number);
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
