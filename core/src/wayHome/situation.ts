import { type Atmosphere, atmosphereOver } from '../air/conditions';
import { maxAirspeedMps } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { type Pack, type PackState, packOf } from '../battery/pack';
import { boxOf, cannotStart, flownRound, stateAtTakeoff } from '../estimate/reckon';
import { type Coefficients, type EstimateRequest, flightProblem } from '../estimate/request';
import { type DrainCurve, momentAtCharge } from '../flight/drain';
import { flyRounds, type PowerLeg } from '../flight/legs';
import { gustyPowerW, type Powertrain } from '../flight/powertrain';
import { type Outcome, success } from '../units/outcome';
import { flightTo, type ReturnRequest } from './request';

/** An aircraft out there with one set of coefficients: what it is, the air, its pack, and how it got to its charge. */
export interface Situation {
  readonly request: ReturnRequest;
  readonly flight: EstimateRequest;
  readonly powertrain: Powertrain;
  readonly atmosphere: Atmosphere;
  readonly pack: Pack;
  /** The whole drain of the flight that leads there, from take-off. */
  readonly curve: DrainCurve;
  readonly takeoff: PackState;
  /** At the charge asked for. */
  readonly now: PackState;
  /** Whether the style can be held in this wind; if not, there is no flight to turn back from. */
  readonly isStyleHeld: boolean;
  readonly coefficients: Coefficients;
}

/** Flies from take-off in the style given until the gauge shows the charge asked for, so that the pack is as warm as it then is. */
export function situationOf(request: ReturnRequest, coefficients: Coefficients): Outcome<Situation> {
  const flight = flightTo(request);
  const { aircraft, battery, conditions } = request;
  const box = boxOf(request, coefficients);
  if (!box.ok) return box;
  const atmosphere = atmosphereOver(conditions, coefficients);
  if (!atmosphere.ok) return atmosphere;
  const { powertrain } = box.value;
  const problem = flightProblem(flight.flight);
  if (problem) return { ok: false, refusal: problem };
  const style = flownRound(flight, powertrain, atmosphere.value, coefficients);
  const round = style.ok ? style.value : [blownAway(flight, powertrain, atmosphere.value)];
  const pack = packOf(battery, aircraft.hiddenCharge ?? null, coefficients);
  const takeoff = stateAtTakeoff(request, pack, coefficients);
  const curve = flyRounds(pack, round, conditions.airTemperatureC, takeoff);
  if (curve.timeS.length === 0) return cannotStart(Math.max(...round.map(({ powerW }) => powerW)));
  const charge = cellChargeOf(request.position.charge, pack.hidden);
  const now =
    charge >= takeoff.charge ? { ...takeoff, charge } : { ...momentAtCharge(curve, charge), charge };
  return success({
    request,
    flight,
    powertrain,
    atmosphere: atmosphere.value,
    pack,
    curve,
    takeoff,
    now,
    isStyleHeld: style.ok,
    coefficients,
  });
}

/** Where the wind is too strong for the style it still flies, as hard against the wind as its mode lets it. */
function blownAway(
  { aircraft, flight }: EstimateRequest,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
): PowerLeg {
  const airspeedMps = maxAirspeedMps(aircraft, 'hover');
  const powerW = gustyPowerW(powertrain, atmosphere(flight.heightM), { airspeedMps });
  return { powerW, durationS: Number.POSITIVE_INFINITY };
}
