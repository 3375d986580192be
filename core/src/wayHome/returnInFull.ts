import { cellChargeOf, trueGauge } from '../battery/gauge';
import type { Belief, World } from '../belief/belief';
import { plannedTurnBack } from '../estimate/plannedTurnBack';
import { momentAtCharge } from '../flight/drain';
import { confidenceOf } from '../reserve/policy';
import { countdownS } from '../reserve/returnHome';
import { keptBy, reachedBy } from '../statistics/orderStatistic';
import { type Outcome, success } from '../units/outcome';
import type { Sentence } from '../units/sentence';
import { type MindCode, toMind } from './mind';
import type { ReturnRequest } from './request';
import { type ReturnHeightAdvice, returnHeightAdvice } from './returnHeight';
import {
  type OwnReturn,
  ownCallS,
  ownReturnOf,
  type ReturnNow,
  returnNow,
  turnBackCharge,
} from './returnNow';
import { type Situation, situationOf } from './situation';
import { type OwnAction, timetable } from './timetable';
import { lowOwnHeight, type WayOut, waysOut } from './waysOut';

/** The middle answer, which follows the hand; its band takes the draws. */
export interface ReturnAnswer {
  /** Whether it is down at home before it lands itself, with anything on the gauge. */
  readonly feasible: boolean;
  readonly home: ReturnNow;
  readonly turnBackCharge: { readonly p50: number | null };
  readonly own: OwnReturn | null;
  /** Null where nobody has said what stands there. */
  readonly returnHeight: ReturnHeightAdvice | null;
  readonly waysOut: readonly WayOut[];
  readonly timetable: readonly OwnAction[];
  /** What practice knows of such a way home. */
  readonly mind: readonly Sentence<MindCode>[];
  /** Why its own way home would hit something; null where it is clear. */
  readonly tooLow: ReturnType<typeof lowOwnHeight>;
}

/** How far off it may be, and what to act on: nine of ten touch down above p10. */
export interface ReturnBand {
  /** The gauge at touch-down; null where that many do not come home at all. */
  readonly touchdownCharge: { readonly p10: number | null; readonly p90: number | null };
  /** The gauge to turn back at: of the middle flight, and so that the reserve is intact with the pilot's confidence; null where there is none. */
  readonly turnBackCharge: { readonly p50: number | null; readonly planned: number | null };
  /** When the middle flight comes to that gauge; null where there is none. */
  readonly turnBackS: number | null;
  /** How much later the aircraft sets off by its own call, countdown included; negative when earlier, null when it never asks. */
  readonly lateByS: number | null;
  /** Share of draws in which that is later at all; null where there is no gauge to turn back at. */
  readonly chanceOwnLate: number | null;
  /** Share of draws in which it does not come home from here with what it has. */
  readonly chanceNotHome: number;
}

export function returnAnswer(
  request: ReturnRequest,
  { middle }: Pick<Belief, 'middle'>,
  tallestM: number | null = null,
): Outcome<ReturnAnswer> {
  const outcome = situationOf(request, middle);
  if (!outcome.ok) return outcome;
  const situation = outcome.value;
  const home = returnNow(situation);
  const own = ownReturnOf(situation);
  return success({
    feasible: home.touchdownCharge !== null && home.touchdownCharge > 0,
    home,
    turnBackCharge: { p50: turnBackCharge(situation) },
    own,
    returnHeight: returnHeightAdvice(situation, tallestM),
    waysOut: waysOut(situation),
    timetable: timetable(situation, own),
    mind: toMind(situation),
    tooLow: lowOwnHeight(situation),
  });
}

/** Below any gauge there is, for a flight that does not come home. */
const lost = -1;

/** The same way home in every draw; the middle one lies within its band, and turns back no earlier than planned. */
export function returnBand(request: ReturnRequest, belief: Belief): ReturnBand {
  const middle = ends(request, belief.middle);
  const flights = belief.draws.map((world) => ends(request, world));
  const touchdowns = flights.map(({ touchdown }) => touchdown);
  const planned = plannedTurnBack(
    middle.turnBack,
    flights.map(({ turnBack }) => turnBack),
    confidenceOf(request.policy),
  );
  return {
    touchdownCharge: {
      p10: ifHome(Math.min(reachedBy(0.9, touchdowns), middle.touchdown)),
      p90: ifHome(Math.max(keptBy(0.9, touchdowns), middle.touchdown)),
    },
    turnBackCharge: { p50: middle.turnBack, planned },
    ...(planned !== null && middle.situation
      ? turnedAt(middle.situation, planned)
      : { turnBackS: null, lateByS: null }),
    chanceOwnLate: planned === null ? null : shareLate(flights, planned),
    chanceNotHome: touchdowns.filter((gauge) => gauge <= 0).length / flights.length,
  };
}

/** When the flight's gauge comes to a charge, and how much later the aircraft would set off by itself. */
function turnedAt(situation: Situation, charge: number): Pick<ReturnBand, 'turnBackS' | 'lateByS'> {
  const { curve, cells, gaugeErrorCharge } = situation;
  const shown = trueGauge(charge, gaugeErrorCharge);
  const { timeS: turnBackS } = momentAtCharge(curve, cellChargeOf(shown, cells.hidden));
  const ownS = ownCallS(situation);
  return { turnBackS, lateByS: ownS === null ? null : ownS + countdownS - turnBackS };
}

function shareLate(flights: readonly Ends[], planned: number): number {
  const isLate = ({ situation }: Ends) =>
    situation !== null && (turnedAt(situation, planned).lateByS ?? 0) > 0;
  return flights.filter(isLate).length / flights.length;
}

interface Ends {
  readonly touchdown: number;
  readonly turnBack: number | null;
  readonly situation: Situation | null;
}

function ends(request: ReturnRequest, world: World): Ends {
  const outcome = situationOf(request, world);
  if (!outcome.ok) return { touchdown: lost, turnBack: null, situation: null };
  const situation = outcome.value;
  return {
    touchdown: returnNow(situation).touchdownCharge ?? lost,
    turnBack: turnBackCharge(situation),
    situation,
  };
}

const ifHome = (gauge: number) => (gauge === lost ? null : gauge);

export interface FullReturn extends Omit<ReturnAnswer, 'turnBackCharge'> {
  readonly timeS: number;
  readonly energyWh: number;
  readonly touchdownCharge: ReturnBand['touchdownCharge'] & { readonly p50: number | null };
  readonly turnBackCharge: ReturnBand['turnBackCharge'];
  readonly turnBackS: number | null;
  readonly stillAirTurnBackCharge: number | null;
  readonly lateByS: number | null;
  readonly chanceNotHome: number;
}

/** What POST /returns answers: the way home with its band. */
export function returnInFull(request: ReturnRequest, belief: Belief): Outcome<FullReturn> {
  // An empty list says that nothing stands there.
  const answer = returnAnswer(request, belief, request.obstacles?.length === 0 ? 0 : null);
  if (!answer.ok) return answer;
  const { touchdownCharge, ...band } = returnBand(request, belief);
  const { home, own } = answer.value;
  return success({
    ...answer.value,
    ...band,
    timeS: home.timeS,
    energyWh: home.energyWh,
    touchdownCharge: { ...touchdownCharge, p50: home.touchdownCharge },
    stillAirTurnBackCharge: own?.charge ?? null,
  });
}
