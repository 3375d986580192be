import { densityAltitudeM } from '../air/densityAltitude';
import { gaugeOf } from '../battery/gauge';
import { cellVoltageV } from '../battery/pack';
import { takeoffCharge } from '../battery/standing';
import { healthOf } from '../battery/wear';
import { meanPowerW } from '../flight/legs';
import { gustyPowerW } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import { type Caution, cautions } from './cautions';
import { type FlightEvent, flightEvents } from './events';
import { type LedgerLine, ledger } from './ledger';
import { type Reckoning, reckon } from './reckon';
import { type Coefficients, type EstimateRequest, flightProblem, usualCoefficients } from './request';

export interface CurvePoint {
  readonly timeS: number;
  /** The gauge, 0–1; below zero by what is hidden. */
  readonly charge: number;
  readonly cellVoltageV: number;
  readonly packTemperatureC: number;
  readonly powerW: number;
}

/** The answer for one battery, without the ledger: what a row of the Minutes view needs. */
export interface Estimate {
  readonly usableS: { readonly p50: number };
  readonly touchdownS: { readonly p50: number };
  /** The gauge at the turn back. */
  readonly turnBackCharge: { readonly p50: number };
  readonly events: readonly FlightEvent[];
  readonly curve: readonly CurvePoint[];
  readonly power: { readonly hoverW: number; readonly meanW: number };
  readonly air: {
    readonly densityKgm3: number;
    readonly windAtHeightMps: number;
    readonly gustAtHeightMps: number;
    readonly densityAltitudeM: number;
  };
  readonly health: number;
  /** Gauge at take-off, after what it lost standing. */
  readonly takeoffCharge: number;
  readonly cautions: readonly Caution[];
  readonly basis: { readonly source: 'box'; readonly flights: 0 };
}

export interface EstimateWithLedger extends Estimate {
  readonly ledger: readonly LedgerLine[];
}

/** Estimates one battery for one flight. What cannot be flown comes back as a refusal with its reason. */
export function estimate(
  request: EstimateRequest,
  coefficients: Coefficients = usualCoefficients,
): Outcome<Estimate> {
  const reckoned = reckonChecked(request, coefficients);
  return reckoned.ok ? success(answer(request, reckoned.value, coefficients)) : reckoned;
}

/** The same with the ledger from the box to the minutes to spend, which costs some hundred more flights. */
export function estimateWithLedger(
  request: EstimateRequest,
  coefficients: Coefficients = usualCoefficients,
): Outcome<EstimateWithLedger> {
  const reckoned = reckonChecked(request, coefficients);
  if (!reckoned.ok) return reckoned;
  return success({
    ...answer(request, reckoned.value, coefficients),
    ledger: ledger(request, reckoned.value, coefficients),
  });
}

function reckonChecked(request: EstimateRequest, coefficients: Coefficients): Outcome<Reckoning> {
  const problem = flightProblem(request.flight);
  return problem ? { ok: false, refusal: problem } : reckon(request, coefficients);
}

function answer(request: EstimateRequest, reckoning: Reckoning, coefficients: Coefficients): Estimate {
  const { powertrain, atmosphere, round, end, pack } = reckoning;
  const air = atmosphere(request.flight.heightM);
  const health = healthOf(request.battery, coefficients);
  const events = flightEvents(request, reckoning, coefficients);
  return {
    usableS: { p50: end.turnBack.timeS },
    touchdownS: { p50: end.touchdown.timeS },
    turnBackCharge: { p50: gaugeOf(end.turnBack.charge, pack.hidden) },
    events,
    curve: gaugeCurve(reckoning),
    power: {
      hoverW: gustyPowerW(powertrain, air, { airspeedMps: air.windMps }),
      meanW: meanPowerW(round),
    },
    air: {
      densityKgm3: air.densityKgm3,
      windAtHeightMps: air.windMps,
      gustAtHeightMps: air.gustMps,
      densityAltitudeM: densityAltitudeM(air.densityKgm3),
    },
    health,
    takeoffCharge: takeoffCharge(request.battery, coefficients.standingLossRatio),
    cautions: cautions(request, reckoning, events, health),
    basis: { source: 'box', flights: 0 },
  };
}

function gaugeCurve({ curve, pack }: Reckoning): CurvePoint[] {
  return curve.timeS.map((timeS, i) => {
    const [charge, packTemperatureC, powerW] = [curve.charge[i], curve.temperatureC[i], curve.powerW[i]] as [
      number,
      number,
      number,
    ];
    return {
      timeS,
      charge: gaugeOf(charge, pack.hidden),
      cellVoltageV: cellVoltageV(pack, powerW, charge, packTemperatureC),
      packTemperatureC,
      powerW,
    };
  });
}
