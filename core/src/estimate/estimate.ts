import { densityAltitudeM } from '../air/densityAltitude';
import { cellVoltageV } from '../battery/cells';
import { gaugeOf } from '../battery/gauge';
import { type Basis, type Belief, worldAt } from '../belief/belief';
import { meanPowerW } from '../flight/bundles';
import { standingPowerW } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import { type Caution, cautions } from './cautions';
import { type FlightEvent, passedEvents } from './events';
import { type LedgerLine, ledger } from './ledger';
import { type EstimateRequest, flightProblem } from './request';
import { type Simulation, simulate } from './simulate';

export interface CurvePoint {
  readonly timeS: number;
  /** The gauge, 0–1; below zero by what is hidden. */
  readonly charge: number;
  readonly cellVoltageV: number;
  readonly packTemperatureC: number;
  readonly powerW: number;
}

/** The middle flight of one battery, without the ledger: what stands at once, while its band is being computed. */
export interface Estimate {
  readonly usableS: { readonly p50: number };
  readonly touchdownS: { readonly p50: number };
  /** The gauge at the turn back. */
  readonly turnBackCharge: { readonly p50: number };
  readonly touchdownCharge: { readonly p50: number };
  /** What is passed whatever is planned; the turn back and the planned minute are `asPlanned`’s. */
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
  readonly basis: Basis;
}

export interface EstimateWithLedger extends Estimate {
  readonly ledger: readonly LedgerLine[];
}

/** Estimates one battery for one flight. What cannot be flown comes back as a refusal with its reason. */
export function estimate(request: EstimateRequest, belief: NominalBelief): Outcome<Estimate> {
  const simulated = simulateChecked(request, belief);
  return simulated.ok ? success(answer(request, simulated.value, belief)) : simulated;
}

/** The same with the ledger from the box to the middle flight, which costs some hundred more flights. */
export function estimateWithLedger(
  request: EstimateRequest,
  belief: NominalBelief,
): Outcome<EstimateWithLedger> {
  const simulated = simulateChecked(request, belief);
  if (!simulated.ok) return simulated;
  return success({
    ...answer(request, simulated.value, belief),
    ledger: ledger(request, simulated.value, asTheBoxHasIt(request, belief)),
  });
}

/** The same flight had nothing been learnt; null where nothing was, or the box alone could not fly it. */
function asTheBoxHasIt(request: EstimateRequest, { basis }: NominalBelief): Simulation | null {
  if (basis.source === 'box') return null;
  const simulated = simulate(request, worldAt({}));
  return simulated.ok ? simulated.value : null;
}

/** A middle estimate asks for no draws. */
export type NominalBelief = Pick<Belief, 'basis' | 'middle'>;

function simulateChecked(request: EstimateRequest, { middle }: NominalBelief): Outcome<Simulation> {
  const problem = flightProblem(request.flight);
  return problem ? { ok: false, refusal: problem } : simulate(request, middle);
}

function answer(request: EstimateRequest, simulation: Simulation, { basis }: NominalBelief): Estimate {
  const { powertrain, atmosphere, round, end, cells, takeoff } = simulation;
  const air = atmosphere(request.flight.heightM);
  return {
    usableS: { p50: end.turnBack.timeS },
    touchdownS: { p50: end.touchdown.timeS },
    turnBackCharge: { p50: gaugeOf(end.turnBack.charge, cells.hidden) },
    touchdownCharge: { p50: gaugeOf(end.touchdown.charge, cells.hidden) },
    events: passedEvents(simulation, request),
    curve: gaugeCurve(simulation),
    power: {
      hoverW: standingPowerW(powertrain, air),
      meanW: meanPowerW(round),
    },
    air: {
      densityKgm3: air.densityKgm3,
      windAtHeightMps: air.windMps,
      gustAtHeightMps: air.gustMps,
      densityAltitudeM: densityAltitudeM(air.densityKgm3),
    },
    health: simulation.health,
    takeoffCharge: gaugeOf(takeoff.charge, cells.hidden),
    cautions: cautions(request, simulation),
    basis,
  };
}

function gaugeCurve({ curve, cells }: Simulation): CurvePoint[] {
  return curve.timeS.map((timeS, i) => {
    const [charge, packTemperatureC, powerW] = [curve.charge[i], curve.temperatureC[i], curve.powerW[i]] as [
      number,
      number,
      number,
    ];
    return {
      timeS,
      charge: gaugeOf(charge, cells.hidden),
      cellVoltageV: cellVoltageV(cells, powerW, charge, packTemperatureC),
      packTemperatureC,
      powerW,
    };
  });
}
