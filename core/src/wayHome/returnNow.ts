import { spec } from '../aircraft/aircraft';
import { gaugeOf } from '../battery/gauge';
import type { PackState } from '../battery/pack';
import { ownReturnCharge } from '../estimate/reckon';
import { momentAtCharge } from '../flight/drain';
import { isTestOnly, leastAtHome, type Policy } from '../reserve/policy';
import { countdownS, type ReturnLeg, returnLegs, waitLeg } from '../reserve/returnHome';
import { flightEnd } from '../reserve/turnBack';
import type { Refusal } from '../units/outcome';
import { sentence } from '../units/sentence';
import { type FlownLeg, type FlownWay, type ForcedLanding, flyWay, total } from './flyWay';
import { landsItselfInWords } from './forcedLandingWords';
import type { Situation } from './situation';

/** The way home begun now, by the aircraft's own rules. */
export interface ReturnNow {
  readonly legs: readonly FlownLeg[];
  readonly timeS: number;
  readonly energyWh: number;
  /** Null when it does not come down at home as it should: the wind is too strong, it lands itself before, or the pack gives out. */
  readonly touchdownCharge: number | null;
  readonly forcedLanding: ForcedLanding | null;
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
  if (!legs.ok)
    return {
      legs: [],
      timeS: 0,
      energyWh: 0,
      touchdownCharge: null,
      forcedLanding: null,
      notHome: legs.refusal,
    };
  const way = flyWay(situation, legs.value, situation.now);
  return {
    ...way,
    timeS: total(legs.value),
    energyWh: legs.value.reduce((sum, { durationS, powerW }) => sum + (durationS * powerW) / 3600, 0),
    notHome: whyNotHome(situation, way),
  };
}

function whyNotHome(
  { request }: Situation,
  { touchdownCharge, forcedLanding, legs }: FlownWay,
): Refusal | null {
  if (touchdownCharge !== null) return null;
  if (forcedLanding) return landsItselfInWords(forcedLanding, 'home', request.below ?? null);
  const onLeg = (['rise', 'cruise', 'descend', 'land'] as const).find(
    (kind) => !legs.some((leg) => leg.kind === kind),
  );
  return sentence('pack-gives-out', 'It does not come home: the pack gives out on the way ({onLeg}).', {
    onLeg: onLeg ?? 'before touch-down',
  });
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
  /** Where it comes down by itself on that way; null when it does not. */
  readonly forcedLanding: ForcedLanding | null;
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
  const forcedLandingCharge = spec(request.aircraft, 'forcedLandingCharge');
  const end = flightEnd(pack, curve, legs.value, request.conditions.airTemperatureC, {
    policy: toBeHome(request.policy, forcedLandingCharge),
    forcedLandingCharge,
    takeoffCharge: takeoff.charge,
  });
  return end.ok ? end.value.turnBack : null;
}

/** A test may end in the air; a way home ends at home, with the forced landing's charge at least. */
function toBeHome(policy: Policy, forcedLandingCharge: number): Policy {
  if (!isTestOnly(policy)) return policy;
  return { ...policy, kind: 'touch-down-charge', reserveCharge: leastAtHome(policy, forcedLandingCharge) };
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
  const way = legs && flyWay(situation, [wait, ...legs], when);
  return {
    charge: gaugeOf(asked, pack.hidden),
    timeS: when.timeS,
    touchdownCharge: way?.touchdownCharge ?? null,
    forcedLanding: way?.forcedLanding ?? null,
    lateByS: turnBackS === null ? null : when.timeS + countdownS - turnBackS,
  };
}
