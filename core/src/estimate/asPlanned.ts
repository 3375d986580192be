import { type CellState, cellVoltageV } from '../battery/cells';
import { gaugeOf } from '../battery/gauge';
import type { Belief } from '../belief/belief';
import { type DrainCurve, momentAtCharge, powerAtCharge } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { isTestOnly } from '../reserve/policy';
import { type Outcome, success } from '../units/outcome';
import type { Planned } from './band';
import { type Caution, ownReturnCaution } from './cautions';
import { eventAtGauge, type FlightEvent, inOrder, passedEvents } from './events';
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
  planned: Planned,
): Outcome<FlightAsPlanned> {
  const simulated = simulate(request, belief.middle);
  if (!simulated.ok) return simulated;
  const simulation = simulated.value;
  const events = inOrder([
    ...passedEvents(simulation, request.flight),
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
  const { cells, airC, wayHome, end } = simulation;
  if (turnBackCharge === null) return [];
  const turn = isTestOnly(policy)
    ? eventOf(simulation, 'turn-back', end.turnBack)
    : eventAtGauge(simulation, 'turn-back', turnBackCharge);
  const home = isTestOnly(policy)
    ? end.touchdown
    : flyLegs(cells, wayHome, airC, momentAtTime(simulation.curve, turn.timeS));
  return home ? [turn, eventOf(simulation, 'touch-down', home)] : [turn];
}

function plannedMinute(simulation: Simulation, timeS: number): FlightEvent {
  return eventOf(simulation, 'planned-minute', momentAtTime(simulation.curve, timeS));
}

/** A moment as an event; its voltage under what the flight's style takes at that charge. */
function eventOf(
  { cells, curve }: Simulation,
  kind: FlightEvent['kind'],
  { timeS, charge, temperatureC }: CellState,
): FlightEvent {
  const volts = cellVoltageV(cells, powerAtCharge(curve, charge), charge, temperatureC);
  return { kind, timeS, charge: gaugeOf(charge, cells.hidden), cellVoltageV: volts };
}

/** The state of the pack at a time of the drain, straight between its points. */
function momentAtTime(curve: DrainCurve, timeS: number): CellState {
  const after = curve.timeS.findIndex((one) => one >= timeS);
  const last = curve.timeS.length - 1;
  const at = after < 0 ? last : after;
  const [t0, t1] = [curve.timeS[Math.max(0, at - 1)] as number, curve.timeS[at] as number];
  const [q0, q1] = [curve.charge[Math.max(0, at - 1)] as number, curve.charge[at] as number];
  const share = t1 > t0 ? Math.min(1, (timeS - t0) / (t1 - t0)) : 0;
  return momentAtCharge(curve, q0 + (q1 - q0) * share);
}
