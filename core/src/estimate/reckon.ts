import { type Atmosphere, atmosphereOver, calmed } from '../air/conditions';
import { spec } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import { cellChargeOf } from '../battery/gauge';
import { emptyCellVoltageV, type Pack, type PackState, packOf } from '../battery/pack';
import { takeoffCharge } from '../battery/standing';
import { newBattery, type SolvedBox, solveBox } from '../flight/box';
import type { DrainCurve } from '../flight/drain';
import { legPowers } from '../flight/flightLegs';
import { flyRounds, type PowerLeg } from '../flight/legs';
import { mixPowerW } from '../flight/mix';
import type { Powertrain } from '../flight/powertrain';
import { type ReturnLeg, returnLegs, usualReturnHeightM } from '../reserve/returnHome';
import { chargeToComeHomeWith, type FlightEnd, flightEnd } from '../reserve/turnBack';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Coefficients, EstimateRequest } from './request';

/** What aircraft and air make of a flight, whatever the battery at hand: the same for all batteries of one type. */
export interface FlownStyleAndWayHome {
  readonly box: SolvedBox;
  readonly atmosphere: Atmosphere;
  /** One leg for a mix, which is flown at its mean power. */
  readonly round: readonly PowerLeg[];
  readonly wayHome: readonly ReturnLeg[];
}

/** One run of the model with one set of coefficients: the flight, and where it must end. */
export interface Reckoning extends FlownStyleAndWayHome {
  readonly powertrain: Powertrain;
  readonly pack: Pack;
  readonly curve: DrainCurve;
  readonly end: FlightEnd;
}

/** From the request to the latest turn-back: solve the box, meet the air, drain the pack, fly home. */
export function reckon(request: EstimateRequest, coefficients: Coefficients): Outcome<Reckoning> {
  const flown = styleAndWayHome(request, coefficients);
  return flown.ok ? flyBattery(request, flown.value, coefficients) : flown;
}

export function styleAndWayHome(
  request: EstimateRequest,
  coefficients: Coefficients,
): Outcome<FlownStyleAndWayHome> {
  const { aircraft, conditions, flight } = request;
  const box = boxOf(request, coefficients);
  if (!box.ok) return box;
  const atmosphere = atmosphereOver(conditions, coefficients);
  if (!atmosphere.ok) return atmosphere;
  const { powertrain } = box.value;
  const round = flownRound(request, powertrain, atmosphere.value, coefficients);
  if (!round.ok) return round;
  const from = { distanceM: flight.farthestM, bearingDeg: flight.bearingDeg, heightM: flight.heightM };
  const returnHeightM = flight.returnHeightM ?? usualReturnHeightM;
  const wayHome = returnLegs(aircraft, powertrain, atmosphere.value, from, returnHeightM, coefficients);
  if (!wayHome.ok) return wayHome;
  return success({
    box: box.value,
    atmosphere: atmosphere.value,
    round: round.value,
    wayHome: wayHome.value,
  });
}

export function flyBattery(
  request: EstimateRequest,
  flown: FlownStyleAndWayHome,
  coefficients: Coefficients,
): Outcome<Reckoning> {
  const { aircraft, battery, conditions, policy } = request;
  const pack = packOf(battery, aircraft.hiddenCharge ?? null, coefficients);
  const start = stateAtTakeoff(request, pack, coefficients);
  const curve = flyRounds(pack, flown.round, conditions.airTemperatureC, start);
  if (curve.timeS.length === 0) return cannotStart(Math.max(...flown.round.map((leg) => leg.powerW)));
  const end = flightEnd(pack, curve, flown.wayHome, conditions.airTemperatureC, {
    policy,
    forcedLandingCharge: spec(aircraft, 'forcedLandingCharge'),
    takeoffCharge: start.charge,
  });
  if (!end.ok) return end;
  const { box, atmosphere, round, wayHome } = flown;
  const { powertrain } = box;
  return success({ box, powertrain, atmosphere, round, wayHome, pack, curve, end: end.value });
}

/** The style of the flight as powers: a mix at its mean for ever, or a round of legs. */
export function flownRound(
  { aircraft, flight }: Pick<EstimateRequest, 'aircraft' | 'flight'>,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
  coefficients: Coefficients,
): Outcome<readonly PowerLeg[]> {
  const { heightM, mix, legs } = flight;
  const load = flight.recordingLoadW ?? 0;
  if (legs?.length) return legPowers(aircraft, powertrain, atmosphere, legs, heightM, load, coefficients);
  const power = mixPowerW(aircraft, powertrain, atmosphere(heightM), mix, load, coefficients);
  if (!power.ok) return power;
  return success([{ powerW: power.value, durationS: Number.POSITIVE_INFINITY }]);
}

/**
 * The cell charge at which the aircraft itself asks to come home: it reckons with still air (common practice) and with
 * its own forced landing as the end. Null where it never asks before that.
 */
export function ownReturnCharge(
  request: EstimateRequest,
  { powertrain, pack, curve, atmosphere }: Pick<Reckoning, 'powertrain' | 'pack' | 'curve' | 'atmosphere'>,
  coefficients: Coefficients,
): number | null {
  const { aircraft, flight, conditions } = request;
  const from = { distanceM: flight.farthestM, bearingDeg: flight.bearingDeg, heightM: flight.heightM };
  const returnHeightM = flight.returnHeightM ?? usualReturnHeightM;
  const legs = returnLegs(aircraft, powertrain, calmed(atmosphere), from, returnHeightM, coefficients);
  if (!legs.ok) return null;
  const ownEnd = spec(aircraft, 'forcedLandingCharge');
  return chargeToComeHomeWith(pack, curve, legs.value, conditions.airTemperatureC, ownEnd);
}

/** The powertrain that the box implies. The box's time is for the pack it was sold with, which may not be this one. */
export function boxOf(request: AircraftAndBattery, coefficients: Coefficients): Outcome<SolvedBox> {
  return solveBox(request.aircraft, boxBattery(request), coefficients);
}

type AircraftAndBattery = Pick<EstimateRequest, 'aircraft' | 'battery'>;

/** The new pack the box was measured with. Batteries with the same one are of one type: all else is solved alike for them. */
export function boxBattery({ aircraft, battery }: AircraftAndBattery): Battery {
  return newBattery({
    ...battery,
    ratedCapacityMah: aircraft.advertisedCapacityMah ?? battery.ratedCapacityMah,
  });
}

export function stateAtTakeoff(
  { battery, conditions }: Pick<EstimateRequest, 'battery' | 'conditions'>,
  pack: Pack,
  { standingLossRatio }: Coefficients,
): PackState {
  return {
    timeS: 0,
    charge: cellChargeOf(takeoffCharge(battery, standingLossRatio), pack.hidden),
    temperatureC: battery.startTemperatureC ?? conditions.airTemperatureC,
  };
}

export function cannotStart(powerW: number) {
  return refuse(
    'pack-cannot-deliver',
    'This pack cannot give the {powerW} this flight takes without falling under {emptyCellV:1} a cell: charge it, or warm it.',
    { powerW, emptyCellV: emptyCellVoltageV },
  );
}
