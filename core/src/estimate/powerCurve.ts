import { stillAir } from '../air/conditions';
import { maxAirspeedMps } from '../aircraft/aircraft';
import { type CellState, type Cells, cellsOf } from '../battery/cells';
import { cellChargeOf } from '../battery/gauge';
import type { Belief } from '../belief/belief';
import { boxBattery, flightContext } from '../belief/flightContext';
import { asSold, boxDensityKgm3, boxTemperatureC } from '../flight/box';
import { drain, momentAtCharge } from '../flight/drain';
import { gustyPowerW } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import type { EstimateRequest } from './request';

/** Power and minutes to gauge 0 % at one airspeed held all the time. */
export interface AtAirspeed {
  readonly airspeedMps: number;
  readonly powerW: number;
  readonly lastsS: number;
}

export interface AirspeedCurve {
  readonly points: readonly AtAirspeed[];
  /** Where it lasts longest: least power. */
  readonly longest: AtAirspeed;
  /** Where it goes farthest over ground on a charge, against the wind if there is one; null where none makes way. */
  readonly farthest: AtAirspeed | null;
}

export interface PowerCurve {
  /** The air of the box, and a new full battery. */
  readonly box: AirspeedCurve;
  /** This air with its gusts at the working height, and this battery as it is. */
  readonly today: AirspeedCurve;
  readonly windMps: number;
}

const stepMps = 0.25;

/** Power against airspeed, as on the box and today; the two speeds a pilot should know stand at its least and its tangent. */
export function powerCurve(
  request: EstimateRequest,
  { middle }: Pick<Belief, 'middle'>,
): Outcome<PowerCurve> {
  const { aircraft, flight } = request;
  const context = flightContext(request, middle);
  if (!context.ok) return context;
  const { powertrain, boxPowertrain, atmosphere, cells, takeoff, airC, coefficients } = context.value;
  const topMps = maxAirspeedMps(aircraft, 'fast');
  const speeds = Array.from({ length: Math.floor(topMps / stepMps) + 1 }, (_, i) => i * stepMps);
  const curve = (
    powerAt: (airspeedMps: number) => number,
    lastsS: (powerW: number) => number,
    windMps: number,
  ) =>
    marked(
      speeds.map((airspeedMps) => {
        const powerW = powerAt(airspeedMps);
        return { airspeedMps, powerW, lastsS: lastsS(powerW) };
      }),
      windMps,
    );
  const boxAir = stillAir(boxTemperatureC, boxDensityKgm3)(0);
  const air = atmosphere(flight.heightM);
  const fresh = cellsOf(boxBattery(request), asSold, aircraft.hiddenCharge ?? null, coefficients);
  const full = { timeS: 0, charge: 1, temperatureC: boxTemperatureC };
  return success({
    box: curve(
      (airspeedMps) => gustyPowerW(boxPowertrain, boxAir, { airspeedMps }),
      (powerW) => untilGaugeZeroS(fresh, powerW, boxTemperatureC, full),
      0,
    ),
    today: curve(
      (airspeedMps) => gustyPowerW(powertrain, air, { airspeedMps }),
      (powerW) => untilGaugeZeroS(cells, powerW, airC, takeoff),
      air.windMps,
    ),
    windMps: air.windMps,
  });
}

function untilGaugeZeroS(cells: Cells, powerW: number, airC: number, start: CellState): number {
  const curve = drain(cells, powerW, airC, start);
  return curve.timeS.length === 0 ? 0 : momentAtCharge(curve, cellChargeOf(0, cells.hidden)).timeS;
}

function marked(points: readonly AtAirspeed[], headwindMps: number): AirspeedCurve {
  const best = (worth: (point: AtAirspeed) => number) =>
    points.reduce((best, point) => (worth(point) > worth(best) ? point : best), points[0] as AtAirspeed);
  const rangeM = (point: AtAirspeed) => (point.airspeedMps - headwindMps) * point.lastsS;
  const farthest = best(rangeM);
  return {
    points,
    longest: best((point) => point.lastsS),
    farthest: rangeM(farthest) > 0 ? farthest : null,
  };
}
