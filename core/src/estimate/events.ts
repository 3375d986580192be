import { spec } from '../aircraft/aircraft';
import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { cellVoltageV } from '../battery/pack';
import { endOf, momentAtCharge, powerAtCharge } from '../flight/drain';
import { ownReturnCharge, type Reckoning } from './reckon';
import type { Coefficients, EstimateRequest } from './request';

export type EventKind =
  | 'take-off'
  | 'half'
  | 'low-warning'
  | 'own-return'
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

/**
 * What happens in one flight, in order of time. Turn back and touch down are the plan's; the rest is what the aircraft
 * meets if the style is simply flown on until the motors stop.
 */
export function flightEvents(
  request: EstimateRequest,
  reckoning: Reckoning,
  coefficients: Coefficients,
): FlightEvent[] {
  const { curve, pack, end } = reckoning;
  const start = gaugeOf(curve.charge[0] ?? 0, pack.hidden);
  const ownReturn = ownReturnCharge(request, reckoning, coefficients);
  const atGauge = (kind: EventKind, gauge: number): FlightEvent => {
    const { timeS, charge, temperatureC } = momentAtCharge(curve, cellChargeOf(gauge, pack.hidden));
    const volts = cellVoltageV(pack, powerAtCharge(curve, charge), charge, temperatureC);
    return { kind, timeS, charge: gaugeOf(charge, pack.hidden), cellVoltageV: volts };
  };
  const last = endOf(curve);
  const passed = [
    atGauge('half', 0.5),
    atGauge('low-warning', spec(request.aircraft, 'lowWarningCharge')),
    ...(ownReturn === null ? [] : [atGauge('own-return', gaugeOf(ownReturn, pack.hidden))]),
    atGauge('forced-landing', spec(request.aircraft, 'forcedLandingCharge')),
    atGauge('empty', 0),
  ].filter((event) => event.charge < start);
  const turnGauge = gaugeOf(end.turnBack.charge, pack.hidden);
  const events: FlightEvent[] = [
    { ...atGauge('take-off', start), timeS: 0 },
    ...passed,
    { ...atGauge('turn-back', turnGauge), timeS: end.turnBack.timeS },
    { ...atGauge('touch-down', gaugeOf(end.touchdown.charge, pack.hidden)), timeS: end.touchdown.timeS },
    atGauge('motors-out', gaugeOf(last?.charge ?? 0, pack.hidden)),
  ];
  return events.sort((a, b) => a.timeS - b.timeS);
}
