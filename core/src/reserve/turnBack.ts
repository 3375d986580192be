import { type Aircraft, spec } from '../aircraft/aircraft';
import type { CellState, Cells } from '../battery/cells';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import type { PowerLeg } from '../flight/bundles';
import { type DrainCurve, endOf, momentAtCharge } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { solveBetween, solveNear } from '../statistics/solve';
import { type Outcome, refuse, success } from '../units/outcome';
import { isTestOnly, minAtTouchdown, type Policy } from './policy';

/** The end of the useful flight and of the whole one. */
export interface FlightEnd {
  readonly turnBack: CellState;
  /** The last moment at which the way home still ends with what is held back; the turn back is there or before. */
  readonly latest: CellState;
  readonly touchdown: CellState;
}

/** What decides where a flight must end, beside the drain itself and the policy. */
export interface FlownCells {
  readonly aircraft: Aircraft;
  readonly cells: Cells;
  readonly airC: number;
  /** Where the drain may begin later, half out, half home counts from here. */
  readonly takeoff: Pick<CellState, 'charge'>;
}

/**
 * The latest moment of a drain at which the way home may begin so that it touches down as the policy asks.
 * Refused when even turning back where the drain begins would be too late.
 */
export function flightEnd(
  { aircraft, cells, airC, takeoff }: FlownCells,
  curve: DrainCurve,
  wayHome: readonly PowerLeg[],
  policy: Policy,
): Outcome<FlightEnd> {
  const reserve = minAtTouchdown(policy, spec(aircraft, 'forcedLandingCharge'));
  if (isTestOnly(policy)) return testEnd(cells, curve, policy, reserve);
  const home = (charge: number) => flyLegs(cells, wayHome, airC, momentAtCharge(curve, charge));
  const start = curve.charge[0] ?? 0;
  const least = latestCharge(cells, home, start, reserve);
  if (least === null) return tooLittle(cells, start, reserve, home(start), wayHome);
  const half = halfCharge(takeoff, cellChargeOf(reserve, cells.hidden));
  const turnCharge = policy.kind === 'half-out-half-home' ? Math.max(least, half) : least;
  const touchdown = home(turnCharge);
  if (!touchdown || turnCharge > start) return tooLittle(cells, start, reserve, touchdown, wayHome);
  const turnBack = momentAtCharge(curve, turnCharge);
  const latest = turnCharge === least ? turnBack : momentAtCharge(curve, least);
  return success({ turnBack, latest, touchdown });
}

/** Whether a flight that turns back at a cell charge, and then touches down so, has done as the policy asks. */
export function keepsReserve(
  { aircraft, cells, takeoff }: FlownCells,
  policy: Policy,
  turnBackCharge: number,
  touchdown: CellState,
): boolean {
  const least = cellChargeOf(minAtTouchdown(policy, spec(aircraft, 'forcedLandingCharge')), cells.hidden);
  if (touchdown.charge < least) return false;
  return policy.kind !== 'half-out-half-home' || turnBackCharge >= halfCharge(takeoff, least);
}

/** Half of what is spendable: the cell charge at which half out, half home turns back. */
function halfCharge(takeoff: Pick<CellState, 'charge'>, minCharge: number): number {
  return (takeoff.charge + minCharge) / 2;
}

/** The smallest cell charge from which the way home still ends at the reserve; null when even the first does not. */
function latestCharge(
  cells: Cells,
  home: (charge: number) => CellState | null,
  start: number,
  reserve: number,
): number | null {
  const spare = (charge: number) => gaugeOf(home(charge)?.charge ?? 0, cells.hidden) - reserve;
  const floor = cellChargeOf(reserve, cells.hidden);
  if (start < floor) return null;
  const near = solveNear(spare, floor, 1 / (1 - cells.hidden), 1e-3);
  if (near !== null && near >= floor && near <= start) return near;
  if (spare(floor) >= 0) return floor;
  return spare(start) >= 0 ? solveBetween(spare, floor, start, 1e-6) : null;
}

/**
 * The charge at which the way home would end at a gauge, whatever the policy says; null where it cannot be met on this
 * curve. Used for the aircraft's own prompt, which assumes still air.
 */
export function chargeToComeHomeWith(
  { cells, airC }: Pick<FlownCells, 'cells' | 'airC'>,
  curve: DrainCurve,
  wayHome: readonly PowerLeg[],
  gaugeAtTouchdown: number,
): number | null {
  const home = (charge: number) => flyLegs(cells, wayHome, airC, momentAtCharge(curve, charge));
  return latestCharge(cells, home, curve.charge[0] ?? 0, gaugeAtTouchdown);
}

function testEnd(cells: Cells, curve: DrainCurve, policy: Policy, reserve: number): Outcome<FlightEnd> {
  const last = endOf(curve);
  if (!last) return tooLittle(cells, 0, reserve, null, []);
  const end = policy.kind === 'empty' ? last : momentAtCharge(curve, cellChargeOf(reserve, cells.hidden));
  return success({ turnBack: end, latest: end, touchdown: end });
}

function tooLittle(
  cells: Cells,
  startCharge: number,
  reserve: number,
  atTouchdown: CellState | null,
  wayHome: readonly PowerLeg[],
) {
  const wayHomeS = wayHome.reduce((sum, leg) => sum + leg.durationS, 0);
  const numbers = { startCharge: gaugeOf(startCharge, cells.hidden), reserveCharge: reserve, wayHomeS };
  if (!atTouchdown)
    return refuse(
      'charge-too-low',
      'Nothing to spend: from {startCharge} the way home alone ({wayHomeS}) would not get home, and {reserveCharge} is held back.',
      numbers,
    );
  return refuse(
    'charge-too-low',
    'Nothing to spend: from {startCharge} the way home alone ({wayHomeS}) would touch down with {touchdownCharge}, and {reserveCharge} is held back.',
    { ...numbers, touchdownCharge: gaugeOf(atTouchdown.charge, cells.hidden) },
  );
}
