import { spec } from '../aircraft/aircraft';
import type { CellState } from '../battery/cells';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { drain, endOf } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { type ReturnLeg, waitLeg } from '../reserve/returnHome';
import { solveBetween } from '../statistics/solve';
import type { Situation } from './situation';

export interface FlownLeg extends ReturnLeg {
  /** The gauge at its end, 0–1, below zero by what is hidden. */
  readonly chargeAfter: number;
}

/** Where and how an aircraft comes down by itself before it is down where it was to land. */
export interface ForcedLanding {
  /** The gauge at which it begins. */
  readonly charge: number;
  /** From the beginning of the way, s. */
  readonly timeS: number;
  readonly during: ReturnLeg['kind'];
  /** How far it then still is from where it was to land; 0 when it is over it. */
  readonly shortM: number;
  readonly heightM: number;
  /** How long it stays up if it is held up by hand from there, until the motors stop: an emergency, never planned. */
  readonly heldS: number;
  /** The gauge it would still be down with where it was to land, if it were held up by hand; null where it gives out before. */
  readonly heldCharge: number | null;
}

/** A way as it is flown: how far its legs go, and how it ends. */
export interface FlownWay {
  /** Up to the one on which it comes down by itself, or the pack gives out. */
  readonly legs: readonly FlownLeg[];
  /** The gauge when it is down where it was to land; null when it does not get there, or comes down by itself before. */
  readonly touchdownCharge: number | null;
  readonly forcedLanding: ForcedLanding | null;
}

/**
 * Flies legs from a state to where they lead. An aircraft that reaches its forced-landing charge comes down where it then is,
 * whatever the rest of the way would have taken (common practice: it can be steered aside and held up for a while, in an emergency); so a way
 * that passes that charge before it is down is not home.
 */
export function flyWay(situation: Situation, legs: readonly ReturnLeg[], from: CellState): FlownWay {
  const { cells, aircraft, airC } = situation;
  const forced = cellChargeOf(spec(aircraft, 'forcedLandingCharge'), cells.hidden);
  const flown: FlownLeg[] = [];
  let state = from;
  for (const [i, leg] of legs.entries()) {
    const next = flyLegs(cells, [leg], airC, state);
    if (!next || next.charge < forced - chargeTolerance) {
      const forcedLanding = landsItself(situation, legs, i, state, forced);
      return { legs: flown, touchdownCharge: null, forcedLanding };
    }
    flown.push({ ...leg, chargeAfter: gaugeOf(next.charge, cells.hidden) });
    state = next;
  }
  return { legs: flown, touchdownCharge: gaugeOf(state.charge, cells.hidden), forcedLanding: null };
}

/** A reserve of just the forced-landing charge is met by whoever meets it to what the turn back is solved to. */
const chargeTolerance = 1e-4;

/** Null where the pack cannot give the leg's power before it comes to that. */
function landsItself(
  situation: Situation,
  legs: readonly ReturnLeg[],
  at: number,
  before: CellState,
  forced: number,
): ForcedLanding | null {
  const { cells, airC } = situation;
  const leg = legs[at] as ReturnLeg;
  const after = (durationS: number) => flyLegs(cells, [{ ...leg, durationS }], airC, before);
  const spare = (durationS: number) => (after(durationS)?.charge ?? 0) - forced;
  const untilS = before.charge <= forced ? 0 : (solveBetween(spare, 0, leg.durationS, 0.05) ?? leg.durationS);
  const begun = untilS === 0 ? before : after(untilS);
  if (!begun) return null;
  const rest = [{ ...leg, durationS: leg.durationS - untilS }, ...legs.slice(at + 1)];
  const share = leg.durationS > 0 ? untilS / leg.durationS : 0;
  const heightM = leg.fromHeightM + share * (leg.heightM - leg.fromHeightM);
  const hover = waitLeg(situation, heightM, 0);
  const end = endOf(drain(cells, hover.powerW, airC, begun));
  const down = flyLegs(cells, rest, airC, begun);
  return {
    charge: gaugeOf(Math.min(forced, begun.charge), cells.hidden),
    timeS: total(legs.slice(0, at)) + untilS,
    during: leg.kind,
    shortM: metresLeft(rest),
    heightM,
    heldS: end ? end.timeS - begun.timeS : 0,
    heldCharge: down && gaugeOf(down.charge, cells.hidden),
  };
}

function metresLeft(legs: readonly ReturnLeg[]): number {
  return legs.reduce((sum, { durationS, groundMps }) => sum + durationS * groundMps, 0);
}

export function total(legs: readonly { readonly durationS: number }[]): number {
  return legs.reduce((sum, { durationS }) => sum + durationS, 0);
}
