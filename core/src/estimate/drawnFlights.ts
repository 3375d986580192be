import { cellChargeOf, gaugeOf, shownGauge, trueGauge } from '../battery/gauge';
import type { Belief, World } from '../belief/belief';
import { boxBattery, otherPackKg } from '../belief/flightContext';
import { timesAtCharges } from '../flight/drain';
import type { Outcome } from '../units/outcome';
import { type EstimateRequest, homeRule } from './request';
import { type FlownStyleAndWayHome, flyBattery, styleAndWayHome } from './simulate';

/** What one draw makes of one battery's flight. Nothing can be spent where the draw makes the flight impossible. */
export interface DrawnFlight {
  readonly usableS: number;
  readonly touchdownS: number;
  /** The last moment that still comes home with what is held back. */
  readonly latestS: number;
  /** The gauge at the turn back, 0–1; null where even turning at take-off would be too late. */
  readonly turnBackCharge: number | null;
  /** When the gauge passes each of `gaugeMarks`. */
  readonly gaugeTimesS: readonly number[];
}

/** Gauge readings at which the band of the charge curve is drawn. */
export const gaugeMarks = Array.from({ length: 11 }, (_, i) => 1 - i / 10);

const impossible: DrawnFlight = {
  usableS: 0,
  touchdownS: 0,
  latestS: 0,
  turnBackCharge: null,
  gaugeTimesS: gaugeMarks.map(() => 0),
};

/**
 * Flies every battery in every draw of a belief: by battery, then by draw. What depends only on aircraft, air, flight and
 * type of battery is computed once a draw for all batteries of the type. The key of it names whole values, so that a field
 * somebody adds parts batteries that differ in it, never mixes them.
 */
export function drawnFlights(
  requests: readonly EstimateRequest[],
  belief: Belief,
  marks: readonly number[] = gaugeMarks,
): DrawnFlight[][] {
  const types = requests.map((request) =>
    JSON.stringify([
      request.aircraft,
      request.conditions,
      request.flight,
      homeRule(request),
      boxBattery(request),
      otherPackKg(request),
    ]),
  );
  const flights: DrawnFlight[][] = requests.map(() => []);
  for (const world of belief.draws) {
    const shared = new Map<string, Outcome<FlownStyleAndWayHome>>();
    requests.forEach((request, i) => {
      const type = types[i] as string;
      const flown = shared.get(type) ?? styleAndWayHome(request, world, true);
      shared.set(type, flown);
      flights[i]?.push(flown.ok ? drawnFlight(request, flown.value, world, marks) : impossible);
    });
  }
  return flights;
}

function drawnFlight(
  request: EstimateRequest,
  flown: FlownStyleAndWayHome,
  world: World,
  marks: readonly number[],
): DrawnFlight {
  const flight = flyBattery(request, flown, world);
  if (!flight.ok) return impossible;
  const { end, curve, context } = flight.value;
  const { gaugeErrorCharge } = context;
  const { hidden } = context.cells;
  return {
    usableS: end.turnBack.timeS,
    touchdownS: end.touchdown.timeS,
    latestS: end.latest.timeS,
    turnBackCharge: shownGauge(gaugeOf(end.turnBack.charge, hidden), gaugeErrorCharge),
    gaugeTimesS: timesAtCharges(
      curve,
      marks.map((gauge) => cellChargeOf(trueGauge(gauge, gaugeErrorCharge), hidden)),
    ),
  };
}
