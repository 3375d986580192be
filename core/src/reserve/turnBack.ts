import { cellChargeOf, gaugeOf } from '../battery/gauge';
import type { Pack, PackState } from '../battery/pack';
import { type DrainCurve, endOf, momentAtCharge } from '../flight/drain';
import { flyLegs, type PowerLeg } from '../flight/legs';
import { solveBetween, solveNear } from '../statistics/solve';
import { type Outcome, refuse, success } from '../units/outcome';
import { isTestOnly, leastAtTouchdown, type Policy } from './policy';

/** The end of the useful flight and of the whole one. */
export interface FlightEnd {
  readonly turnBack: PackState;
  /** The last moment at which the way home still ends with what is held back; the turn back is there or before. */
  readonly latest: PackState;
  readonly touchdown: PackState;
}

/** What decides where a flight must end, beside the drain itself. */
export interface EndRule {
  readonly policy: Policy;
  readonly forcedLandingCharge: number;
  /** Cell charge at take-off, where the drain may begin later: half out, half home counts from there. */
  readonly takeoffCharge: number;
}

/**
 * The latest moment of a drain at which the way home may begin so that it touches down as the policy asks.
 * Refused when even turning back where the drain begins would be too late.
 */
export function flightEnd(
  pack: Pack,
  curve: DrainCurve,
  wayHome: readonly PowerLeg[],
  airC: number,
  rule: EndRule,
): Outcome<FlightEnd> {
  const { policy } = rule;
  const reserve = leastAtTouchdown(policy, rule.forcedLandingCharge);
  if (isTestOnly(policy)) return testEnd(pack, curve, policy, reserve);
  const home = (charge: number) => flyLegs(pack, wayHome, airC, momentAtCharge(curve, charge));
  const start = curve.charge[0] ?? 0;
  const least = latestCharge(pack, home, start, reserve);
  if (least === null) return tooLittle(pack, start, reserve, home(start), wayHome);
  const half = (rule.takeoffCharge + cellChargeOf(reserve, pack.hidden)) / 2;
  const turnCharge = policy.kind === 'half-out-half-home' ? Math.max(least, half) : least;
  const touchdown = home(turnCharge);
  if (!touchdown || turnCharge > start) return tooLittle(pack, start, reserve, touchdown, wayHome);
  const turnBack = momentAtCharge(curve, turnCharge);
  const latest = turnCharge === least ? turnBack : momentAtCharge(curve, least);
  return success({ turnBack, latest, touchdown });
}

/** The smallest cell charge from which the way home still ends at the reserve; null when even the first does not. */
function latestCharge(
  pack: Pack,
  home: (charge: number) => PackState | null,
  start: number,
  reserve: number,
): number | null {
  const spare = (charge: number) => gaugeOf(home(charge)?.charge ?? 0, pack.hidden) - reserve;
  const floor = cellChargeOf(reserve, pack.hidden);
  if (start < floor) return null;
  const near = solveNear(spare, floor, 1 / (1 - pack.hidden), 1e-3);
  if (near !== null && near >= floor && near <= start) return near;
  if (spare(floor) >= 0) return floor;
  return spare(start) >= 0 ? solveBetween(spare, floor, start, 1e-6) : null;
}

/**
 * The charge at which the way home would end at a gauge, whatever the policy says; null where it cannot be met on this
 * curve. Used for the aircraft's own prompt, which reckons with still air.
 */
export function chargeToComeHomeWith(
  pack: Pack,
  curve: DrainCurve,
  wayHome: readonly PowerLeg[],
  airC: number,
  gaugeAtTouchdown: number,
): number | null {
  const home = (charge: number) => flyLegs(pack, wayHome, airC, momentAtCharge(curve, charge));
  return latestCharge(pack, home, curve.charge[0] ?? 0, gaugeAtTouchdown);
}

function testEnd(pack: Pack, curve: DrainCurve, policy: Policy, reserve: number): Outcome<FlightEnd> {
  const last = endOf(curve);
  if (!last) return tooLittle(pack, 0, reserve, null, []);
  const end = policy.kind === 'empty' ? last : momentAtCharge(curve, cellChargeOf(reserve, pack.hidden));
  return success({ turnBack: end, latest: end, touchdown: end });
}

function tooLittle(
  pack: Pack,
  startCharge: number,
  reserve: number,
  atTouchdown: PackState | null,
  wayHome: readonly PowerLeg[],
) {
  const wayHomeS = wayHome.reduce((sum, leg) => sum + leg.durationS, 0);
  const numbers = { startCharge: gaugeOf(startCharge, pack.hidden), reserveCharge: reserve, wayHomeS };
  if (!atTouchdown)
    return refuse(
      'charge-too-low',
      'Nothing to spend: from {startCharge} the way home alone ({wayHomeS}) would not get home, and {reserveCharge} is held back.',
      numbers,
    );
  return refuse(
    'charge-too-low',
    'Nothing to spend: from {startCharge} the way home alone ({wayHomeS}) would touch down with {touchdownCharge}, and {reserveCharge} is held back.',
    { ...numbers, touchdownCharge: gaugeOf(atTouchdown.charge, pack.hidden) },
  );
}
