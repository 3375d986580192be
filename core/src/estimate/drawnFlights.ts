import { cellChargeOf, gaugeOf } from '../battery/gauge';
import { timesAtCharges } from '../flight/drain';
import type { Outcome } from '../units/outcome';
import type { Draw } from './draws';
import { boxBattery, type FlownStyleAndWayHome, flyBattery, styleAndWayHome } from './reckon';
import type { EstimateRequest } from './request';

/** What one draw makes of one battery's flight. Nothing can be spent where the draw makes the flight impossible. */
export interface DrawnFlight {
  readonly usableS: number;
  readonly touchdownS: number;
  /** The last moment that still comes home with what is held back. */
  readonly latestS: number;
  /** The gauge at the turn back, 0–1. */
  readonly turnBackCharge: number;
  /** When the gauge passes each of `gaugeMarks`. */
  readonly gaugeTimesS: readonly number[];
}

/** Gauge readings at which the band of the charge curve is drawn. */
export const gaugeMarks = Array.from({ length: 11 }, (_, i) => 1 - i / 10);

const impossible: DrawnFlight = {
  usableS: 0,
  touchdownS: 0,
  latestS: 0,
  turnBackCharge: 1,
  gaugeTimesS: gaugeMarks.map(() => 0),
};

/**
 * Flies every battery with every draw: by battery, then by draw. What depends only on aircraft, air, flight and type of
 * battery is reckoned once a draw for all batteries of the type. The key of it names whole values, so that a field somebody
 * adds parts batteries that differ in it, never mixes them.
 */
export function drawnFlights(
  requests: readonly EstimateRequest[],
  draws: readonly Draw[],
  marks: readonly number[] = gaugeMarks,
): DrawnFlight[][] {
  const types = requests.map((request) =>
    JSON.stringify([request.aircraft, request.conditions, request.flight, boxBattery(request)]),
  );
  const flights: DrawnFlight[][] = requests.map(() => []);
  for (const draw of draws) {
    const shared = new Map<string, Outcome<FlownStyleAndWayHome>>();
    requests.forEach((request, i) => {
      const type = types[i] as string;
      const flown = shared.get(type) ?? styleAndWayHome(request, draw.coefficients);
      shared.set(type, flown);
      flights[i]?.push(flown.ok ? drawnFlight(request, flown.value, draw, marks) : impossible);
    });
  }
  return flights;
}

function drawnFlight(
  request: EstimateRequest,
  flown: FlownStyleAndWayHome,
  { coefficients }: Draw,
  marks: readonly number[],
): DrawnFlight {
  const reckoned = flyBattery(request, flown, coefficients);
  if (!reckoned.ok) return impossible;
  const { end, curve, pack } = reckoned.value;
  return {
    usableS: end.turnBack.timeS,
    touchdownS: end.touchdown.timeS,
    latestS: end.latest.timeS,
    turnBackCharge: gaugeOf(end.turnBack.charge, pack.hidden),
    gaugeTimesS: timesAtCharges(
      curve,
      marks.map((gauge) => cellChargeOf(gauge, pack.hidden)),
    ),
  };
}
