import { spec } from '../aircraft/aircraft';
import { type CellState, cellVoltageV } from '../battery/cells';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { voltRuleOf } from '../battery/voltRule';
import { endOf, momentAtCharge, momentAtVolts, powerAtCharge } from '../flight/drain';
import type { EstimateRequest } from './request';
import { ownReturnCharge, type Simulation } from './simulate';

export type EventKind =
  | 'take-off'
  | 'half'
  | 'land-volts'
  | 'low-warning'
  | 'own-return'
  | 'planned-minute'
  | 'turn-back'
  | 'touch-down'
  | 'forced-landing'
  | 'empty'
  | 'motors-out';

/** Charge is the gauge's, 0–1, below zero by what is hidden. */
export interface FlightEvent {
  readonly kind: EventKind;
  readonly timeS: number;
  readonly charge: number;
  readonly cellVoltageV: number;
}

/** What the aircraft meets, in order of time, if the style is simply flown on until the motors stop. */
export function passedEvents(
  simulation: Simulation,
  request: Pick<EstimateRequest, 'flight' | 'policy' | 'site'>,
): FlightEvent[] {
  const { curve, cells, aircraft } = simulation;
  const start = gaugeOf(curve.charge[0] ?? 0, cells.hidden);
  const ownReturn = ownReturnCharge(simulation, curve, request);
  const passing = (kind: EventKind, gauge: number) => eventAtGauge(simulation, kind, gauge);
  const passed = [
    passing('half', 0.5),
    passing('low-warning', spec(aircraft, 'lowWarningCharge')),
    ...(ownReturn === null ? [] : [passing('own-return', gaugeOf(ownReturn, cells.hidden))]),
    passing('forced-landing', spec(aircraft, 'forcedLandingCharge')),
    passing('empty', 0),
    ...landVolts(simulation),
  ].filter((event) => event.charge < start);
  const events = [
    { ...passing('take-off', start), timeS: 0 },
    ...passed,
    passing('motors-out', gaugeOf(endOf(curve)?.charge ?? 0, cells.hidden)),
  ];
  return inOrder(events);
}

/** The first moment at which a cell under load is down to where its pilot lands by volts; none where the flight ends above. */
function landVolts(simulation: Simulation): FlightEvent[] {
  const { curve, cells, battery } = simulation;
  const low = momentAtVolts(cells, curve, voltRuleOf(battery).landCellVoltageV);
  return low ? [eventOf(simulation, 'land-volts', low)] : [];
}

/** The moment the flight's gauge passes a reading. */
function eventAtGauge(simulation: Simulation, kind: EventKind, gauge: number): FlightEvent {
  const { curve, cells } = simulation;
  return eventOf(simulation, kind, momentAtCharge(curve, cellChargeOf(gauge, cells.hidden)));
}

/** A moment as an event; its voltage under what the flight's style takes at that charge. */
export function eventOf(
  { cells, curve }: Simulation,
  kind: EventKind,
  { timeS, charge, temperatureC }: CellState,
): FlightEvent {
  const volts = cellVoltageV(cells, powerAtCharge(curve, charge), charge, temperatureC);
  return { kind, timeS, charge: gaugeOf(charge, cells.hidden), cellVoltageV: volts };
}

export function inOrder(events: readonly FlightEvent[]): FlightEvent[] {
  return [...events].sort((a, b) => a.timeS - b.timeS);
}
