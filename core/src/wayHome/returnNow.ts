import { spec } from '../aircraft/aircraft';
import type { CellState } from '../battery/cells';
import { gaugeOf, shownGauge } from '../battery/gauge';
import { ownReturnCharge } from '../estimate/simulate';
import { momentAtCharge } from '../flight/drain';
import { byItself } from '../reserve/homing';
import { isTestOnly, minAtHome, type Policy } from '../reserve/policy';
import { countdownS, returnLegs, waitLeg } from '../reserve/returnHome';
import { flightEnd } from '../reserve/turnBack';
import type { Refusal } from '../units/outcome';
import { sentence } from '../units/sentence';
import { type FlownLeg, type FlownWay, type ForcedLanding, flyWay, total } from './flyWay';
import { landsItselfInWords } from './forcedLandingWords';
import type { Situation } from './situation';

/** The way home begun now, as the pilot has it come home. */
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

export function homeLegs(situation: Situation, rule = situation.rule) {
  return returnLegs(situation, situation.request.position, rule);
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

export interface OwnReturn {
  /** The gauge at which the aircraft asks to come home, assuming still air, its own forced landing and its margin. */
  readonly charge: number;
  /** Whether the margin it keeps was looked up or noted; it is assumed otherwise. */
  readonly isMarginKnown: boolean;
  readonly timeS: number;
  /** What its automatic return, begun after its countdown, really touches down with; null when it does not come home. */
  readonly touchdownCharge: number | null;
  /** Where it comes down by itself on that way; null when it does not. */
  readonly forcedLanding: ForcedLanding | null;
}

/** The gauge at the latest turn back; null when even from take-off it would be too late. */
export function turnBackCharge(situation: Situation): number | null {
  const turnBack = latestTurnBack(situation, homeLegs(situation));
  return turnBack && shownGauge(gaugeOf(turnBack.charge, situation.cells.hidden), situation.gaugeErrorCharge);
}

function latestTurnBack(situation: Situation, legs: ReturnType<typeof homeLegs>): CellState | null {
  const { aircraft, request, curve, isStyleHeld } = situation;
  if (!legs.ok || !isStyleHeld) return null;
  const policy = toBeHome(request.policy, spec(aircraft, 'forcedLandingCharge'));
  const end = flightEnd(situation, curve, legs.value, policy);
  return end.ok ? end.value.turnBack : null;
}

/** A test may end in the air; a way home ends at home, with the forced landing's charge at least. */
function toBeHome(policy: Policy, forcedLandingCharge: number): Policy {
  if (!isTestOnly(policy)) return policy;
  return { ...policy, kind: 'touch-down-charge', reserveCharge: minAtHome(policy, forcedLandingCharge) };
}

/** When it asks to come home, s from take-off; null when it never does. */
export function ownCallS(situation: Situation): number | null {
  const asked = ownReturnCharge(situation, situation.curve, situation.estimateRequest);
  return asked === null ? null : momentAtCharge(situation.curve, asked).timeS;
}

/** Its call is computed for still air at this density (common practice); what follows is flown in the wind there is. */
export function ownReturnOf(situation: Situation): OwnReturn | null {
  const { cells, curve, request, estimateRequest } = situation;
  const asked = ownReturnCharge(situation, curve, estimateRequest);
  if (asked === null) return null;
  const when = momentAtCharge(curve, asked);
  const wait = waitLeg(situation, request.position.heightM, countdownS);
  const legs = homeLegs(situation, byItself(situation.rule));
  const way = legs.ok ? flyWay(situation, [wait, ...legs.value], when) : null;
  return {
    charge: gaugeOf(asked, cells.hidden),
    isMarginKnown: request.aircraft.ownCallMarginCharge != null,
    timeS: when.timeS,
    touchdownCharge: way?.touchdownCharge ?? null,
    forcedLanding: way?.forcedLanding ?? null,
  };
}
