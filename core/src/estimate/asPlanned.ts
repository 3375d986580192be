import { cellChargeOf } from '../battery/gauge';
import type { Belief } from '../belief/belief';
import { momentAtCharge, momentAtTime } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { isTestOnly } from '../reserve/policy';
import { type Outcome, success } from '../units/outcome';
import type { PlannedFigures } from './band';
import { type Caution, ownReturnCaution } from './cautions';
import { eventOf, type FlightEvent, inOrder, passedEvents } from './events';
import type { EstimateRequest } from './request';
import { type Simulation, simulate } from './simulate';

/** The middle flight as it is planned to be flown: when it turns back, and what it then touches down with. */
export interface FlightAsPlanned {
  /** Everything that happens, in order of time. Nothing is turned or touched down where the flight is not to be planned. */
  readonly events: readonly FlightEvent[];
  /** What is to be told only when one knows where to turn. */
  readonly cautions: readonly Caution[];
}

/**
 * The middle flight turned back at the planned charge. The planned minute is another moment, mostly before: the one is to
 * plan with, the other to fly by. A test flies to its own end.
 */
export function asPlanned(
  request: EstimateRequest,
  belief: Pick<Belief, 'middle'>,
  planned: PlannedFigures,
): Outcome<FlightAsPlanned> {
  const simulated = simulate(request, belief.middle);
  if (!simulated.ok) return simulated;
  const simulation = simulated.value;
  const events = inOrder([
    ...passedEvents(simulation, request),
    ...turnAndTouchdown(request, simulation, planned.turnBackCharge),
    ...(planned.usableS > 0 ? [plannedMinute(simulation, planned.usableS)] : []),
  ]);
  return success({ events, cautions: ownReturnCaution(request, simulation, events) });
}

function turnAndTouchdown(
  { policy }: EstimateRequest,
  simulation: Simulation,
  turnBackCharge: number | null,
): FlightEvent[] {
  const { cells, curve, airC, wayHome, end } = simulation;
  if (turnBackCharge === null) return [];
  const isTest = isTestOnly(policy);
  const turn = isTest ? end.turnBack : momentAtCharge(curve, cellChargeOf(turnBackCharge, cells.hidden));
  const down = isTest ? end.touchdown : flyLegs(cells, wayHome, airC, turn);
  return [eventOf(simulation, 'turn-back', turn), ...(down ? [eventOf(simulation, 'touch-down', down)] : [])];
}

function plannedMinute(simulation: Simulation, timeS: number): FlightEvent {
  return eventOf(simulation, 'planned-minute', momentAtTime(simulation.curve, timeS));
}
