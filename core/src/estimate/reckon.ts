import { type Atmosphere, atmosphereOver } from '../air/conditions';
import { type Aircraft, spec } from '../aircraft/aircraft';
import { cellChargeOf } from '../battery/gauge';
import { type Pack, type PackState, packOf } from '../battery/pack';
import { type SolvedBox, solveBox } from '../flight/box';
import { type DrainCurve, drain } from '../flight/drain';
import { mixPowerW } from '../flight/mix';
import type { Powertrain } from '../flight/powertrain';
import { type ReturnLeg, returnLegs, usualReturnHeightM } from '../reserve/returnHome';
import { type FlightEnd, flightEnd } from '../reserve/turnBack';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Coefficients, EstimateRequest } from './request';

/** One run of the model with one set of coefficients: the flight, and where it must end. */
export interface Reckoning {
  readonly powertrain: Powertrain;
  readonly hoverTimeIgnored: boolean;
  readonly atmosphere: Atmosphere;
  readonly pack: Pack;
  readonly meanPowerW: number;
  readonly curve: DrainCurve;
  readonly wayHome: readonly ReturnLeg[];
  readonly end: FlightEnd;
}

/** From the request to the latest turn-back: solve the box, meet the air, drain the pack, fly home. */
export function reckon(request: EstimateRequest, coefficients: Coefficients): Outcome<Reckoning> {
  const { aircraft, battery, conditions, flight, policy } = request;
  const box = boxOf(request, coefficients);
  if (!box.ok) return box;
  const atmosphere = atmosphereOver(conditions, coefficients.gustPeakFactor);
  if (!atmosphere.ok) return atmosphere;
  const { powertrain, hoverTimeIgnored } = box.value;
  const air = atmosphere.value(flight.heightM);
  const power = mixPowerW(aircraft, powertrain, air, flight.mix, flight.recordingLoadW ?? 0);
  if (!power.ok) return power;
  const pack = packOf(battery, aircraft.hiddenCharge ?? null, coefficients);
  const curve = drain(pack, power.value, air.temperatureC, stateAtTakeoff(request, pack));
  if (curve.length === 0) return cannotStart(power.value);
  const wayHome = legsHome(request, powertrain, atmosphere.value);
  if (!wayHome.ok) return wayHome;
  const end = flightEnd(pack, curve, wayHome.value, air.temperatureC, {
    policy,
    forcedLandingCharge: spec(aircraft, 'forcedLandingCharge'),
    takeoffCharge: cellChargeOf(battery.startCharge, pack.hidden),
  });
  if (!end.ok) return end;
  return success({
    powertrain,
    hoverTimeIgnored,
    atmosphere: atmosphere.value,
    pack,
    meanPowerW: power.value,
    curve,
    wayHome: wayHome.value,
    end: end.value,
  });
}

/** The powertrain that the box implies. The box's time is for the pack it was sold with, which may not be this one. */
export function boxOf(
  request: { readonly aircraft: Aircraft; readonly battery: EstimateRequest['battery'] },
  coefficients: Coefficients,
): Outcome<SolvedBox> {
  const { aircraft, battery } = request;
  const ratedCapacityMah = aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah;
  return solveBox(aircraft, { ...battery, ratedCapacityMah }, coefficients);
}

function legsHome(
  { aircraft, flight }: EstimateRequest,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
): Outcome<readonly ReturnLeg[]> {
  const from = { distanceM: flight.farthestM, bearingDeg: flight.bearingDeg, heightM: flight.heightM };
  return returnLegs(aircraft, powertrain, atmosphere, from, flight.returnHeightM ?? usualReturnHeightM);
}

export function stateAtTakeoff(
  { battery, conditions }: Pick<EstimateRequest, 'battery' | 'conditions'>,
  pack: Pack,
): PackState {
  return {
    timeS: 0,
    charge: cellChargeOf(battery.startCharge, pack.hidden),
    temperatureC: battery.startTemperatureC ?? conditions.airTemperatureC,
  };
}

export function cannotStart(powerW: number) {
  return refuse(
    'pack-cannot-deliver',
    `This pack cannot give the ${Math.round(powerW)} W this flight takes without falling under 3.0 V a cell: charge it, or warm it.`,
    { powerW },
  );
}
