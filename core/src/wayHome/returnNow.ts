import { spec } from '../aircraft/aircraft';
import { gaugeOf } from '../battery/gauge';
import type { PackState } from '../battery/pack';
import { ownReturnCharge } from '../estimate/reckon';
import { momentAtCharge } from '../flight/drain';
import { countdownS, type ReturnLeg, returnLegs, waitLeg } from '../reserve/returnHome';
import { flightEnd } from '../reserve/turnBack';
import type { Refusal } from '../units/outcome';
import { type FlownLeg, flown, type Situation, touchdownCharge } from './situation';

/** The way home begun now, by the aircraft's own rules. */
export interface ReturnNow {
  readonly legs: readonly FlownLeg[];
  readonly timeS: number;
  readonly energyWh: number;
  /** Null when it does not come down at home: the wind is too strong, or the pack gives out. */
  readonly touchdownCharge: number | null;
  /** Why it does not come home; null when it does. */
  readonly notHome: Refusal | null;
}

export function homeLegs({ request, flight, powertrain, atmosphere, coefficients }: Situation) {
  const returnHeightM = flight.flight.returnHeightM as number;
  const { aircraft, position } = request;
  return returnLegs(aircraft, powertrain, atmosphere, position, returnHeightM, coefficients);
}

export function returnNow(situation: Situation): ReturnNow {
  const legs = homeLegs(situation);
  if (!legs.ok) return { legs: [], timeS: 0, energyWh: 0, touchdownCharge: null, notHome: legs.refusal };
  const done = flown(situation, legs.value, situation.now);
  const total = (pick: (leg: ReturnLeg) => number) => legs.value.reduce((sum, leg) => sum + pick(leg), 0);
  const isHome = done.length === legs.value.length;
  const timeS = total(({ durationS }) => durationS);
  return {
    legs: done,
    timeS,
    energyWh: total(({ durationS, powerW }) => (durationS * powerW) / 3600),
    touchdownCharge: isHome ? (done[done.length - 1]?.chargeAfter ?? null) : null,
    notHome: isHome ? null : packGivesOut(done, timeS),
  };
}

function packGivesOut(done: readonly FlownLeg[], timeS: number): Refusal {
  const onLeg = ['rise', 'cruise', 'descend', 'land'].find((kind) => !done.some((leg) => leg.kind === kind));
  return {
    code: 'pack-gives-out',
    message: `It does not come home: the pack gives out on the way (${onLeg ?? 'before touch-down'}).`,
    numbers: { wayHomeS: timeS },
  };
}

/** When the way home from here must begin at the latest, by our reckoning and by the aircraft's own for still air. */
export interface TurnBack {
  /** The gauge at the latest turn back; null when even from take-off it would be too late. */
  readonly charge: number | null;
  readonly timeS: number | null;
  readonly own: OwnReturn | null;
}

export interface OwnReturn {
  /** The gauge at which the aircraft asks to come home, reckoning with still air and its own forced landing. */
  readonly charge: number;
  readonly timeS: number;
  /** What its own return, begun after its countdown, really touches down with; null when it does not come home. */
  readonly touchdownCharge: number | null;
  /** How much later than our turn back it sets off, countdown included; negative when it is earlier. */
  readonly lateByS: number | null;
}

export function turnBackOf(situation: Situation): TurnBack {
  const legs = homeLegs(situation);
  const turnBack = latestTurnBack(situation, legs);
  const timeS = turnBack?.timeS ?? null;
  const charge = turnBack && gaugeOf(turnBack.charge, situation.pack.hidden);
  return { charge, timeS, own: ownReturn(situation, legs.ok ? legs.value : null, timeS) };
}

/** The gauge at the latest turn back alone; null when even from take-off it would be too late. */
export function turnBackCharge(situation: Situation): number | null {
  const turnBack = latestTurnBack(situation, homeLegs(situation));
  return turnBack && gaugeOf(turnBack.charge, situation.pack.hidden);
}

function latestTurnBack(
  { pack, curve, request, takeoff, isStyleHeld }: Situation,
  legs: ReturnType<typeof homeLegs>,
): PackState | null {
  if (!legs.ok || !isStyleHeld) return null;
  const end = flightEnd(pack, curve, legs.value, request.conditions.airTemperatureC, {
    policy: request.policy,
    forcedLandingCharge: spec(request.aircraft, 'forcedLandingCharge'),
    takeoffCharge: takeoff.charge,
  });
  return end.ok ? end.value.turnBack : null;
}

/** Its call is reckoned for still air at this density (common practice); what follows is flown in the wind there is. */
function ownReturn(
  situation: Situation,
  legs: readonly ReturnLeg[] | null,
  turnBackS: number | null,
): OwnReturn | null {
  const { pack, curve, request, powertrain, atmosphere, flight, coefficients } = situation;
  const asked = ownReturnCharge(flight, situation, coefficients);
  if (asked === null) return null;
  const when = momentAtCharge(curve, asked);
  const wait = waitLeg(powertrain, atmosphere, request.position.heightM, countdownS);
  return {
    charge: gaugeOf(asked, pack.hidden),
    timeS: when.timeS,
    touchdownCharge: legs && touchdownCharge(situation, [wait, ...legs], when),
    lateByS: turnBackS === null ? null : when.timeS + countdownS - turnBackS,
  };
}
