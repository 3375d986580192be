import { type Atmosphere, atmosphereOver, type Conditions } from '../air/conditions';
import { type Aircraft, spec } from '../aircraft/aircraft';
import type { Battery } from '../battery/battery';
import { gaugeOf } from '../battery/gauge';
import { type Pack, type PackState, packOf } from '../battery/pack';
import { boxOf, cannotStart, stateAtTakeoff } from '../estimate/reckon';
import type { Coefficients } from '../estimate/request';
import { drain } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { mixPowerW } from '../flight/mix';
import type { Powertrain } from '../flight/powertrain';
import type { Policy } from '../reserve/policy';
import { type Position, returnLegs } from '../reserve/returnHome';
import { transitLegs } from '../reserve/transit';
import { flightEnd } from '../reserve/turnBack';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Shot } from './shot';

/** What one flight is flown with. */
export interface FlightKit {
  readonly aircraft: Aircraft;
  readonly powertrain: Powertrain;
  readonly pack: Pack;
  readonly atmosphere: Atmosphere;
  readonly policy: Policy;
  readonly returnHeightM: number;
  readonly takeoff: PackState;
  readonly coefficients: Coefficients;
}

/** A flight as far as it is planned. Times are seconds from take-off, charges the gauge's, 0–1. */
export interface FlightSoFar {
  readonly state: PackState;
  readonly position: Position;
  readonly shots: readonly FlownShot[];
}

export interface FlownShot {
  readonly shotId: string;
  readonly startS: number;
  readonly endS: number;
  readonly chargeAfter: number;
  /** If this shot is the last: touch-down and what is left then. */
  readonly touchdownS: number;
  readonly touchdownCharge: number;
  /** How much longer the shot could go on before the latest turn-back. */
  readonly spareS: number;
}

export function flightKit(
  aircraft: Aircraft,
  battery: Battery,
  conditions: Conditions,
  policy: Policy,
  returnHeightM: number,
  coefficients: Coefficients,
): Outcome<FlightKit> {
  const box = boxOf({ aircraft, battery }, coefficients);
  if (!box.ok) return box;
  const atmosphere = atmosphereOver(conditions, coefficients);
  if (!atmosphere.ok) return atmosphere;
  const pack = packOf(battery, aircraft.hiddenCharge ?? null, coefficients);
  return success({
    aircraft,
    powertrain: box.value.powertrain,
    pack,
    atmosphere: atmosphere.value,
    policy,
    returnHeightM,
    takeoff: stateAtTakeoff({ battery, conditions }, pack, coefficients),
    coefficients,
  });
}

export function beforeTakeoff(kit: FlightKit): FlightSoFar {
  return { state: kit.takeoff, position: { distanceM: 0, bearingDeg: 0, heightM: 0 }, shots: [] };
}

/**
 * Adds one shot to a flight: there, the shot, and then the way home must still touch down as the policy asks.
 * Refused, with how long the shot could last at most, when it does not.
 */
export function addShot(kit: FlightKit, flight: FlightSoFar, shot: Shot): Outcome<FlightSoFar> {
  const { aircraft, powertrain, pack, atmosphere, coefficients } = kit;
  const air = atmosphere(shot.heightM);
  const there = transitLegs(aircraft, powertrain, atmosphere, flight.position, shot);
  if (!there.ok) return there;
  const power = mixPowerW(aircraft, powertrain, air, [{ style: shot.style, share: 1 }], 0, coefficients);
  if (!power.ok) return power;
  const home = returnLegs(aircraft, powertrain, atmosphere, shot, kit.returnHeightM, coefficients);
  if (!home.ok) return home;
  const arrival = flyLegs(pack, there.value, air.temperatureC, flight.state);
  if (!arrival) return cannotLast(0, shot);
  const shotCurve = drain(pack, power.value, air.temperatureC, arrival);
  if (shotCurve.timeS.length === 0) return cannotStart(power.value);
  const end = flightEnd(pack, shotCurve, home.value, air.temperatureC, {
    policy: kit.policy,
    forcedLandingCharge: spec(aircraft, 'forcedLandingCharge'),
    takeoffCharge: kit.takeoff.charge,
  });
  if (!end.ok) return cannotLast(0, shot);
  const possibleS = end.value.turnBack.timeS - arrival.timeS;
  if (possibleS < shot.durationS) return cannotLast(possibleS, shot);
  const after = flyLegs(
    pack,
    [{ powerW: power.value, durationS: shot.durationS }],
    air.temperatureC,
    arrival,
  );
  const landed = after && flyLegs(pack, home.value, air.temperatureC, after);
  if (!after || !landed) return cannotLast(possibleS, shot);
  const flown: FlownShot = {
    shotId: shot.id,
    startS: arrival.timeS,
    endS: after.timeS,
    chargeAfter: gaugeOf(after.charge, pack.hidden),
    touchdownS: landed.timeS,
    touchdownCharge: gaugeOf(landed.charge, pack.hidden),
    spareS: possibleS - shot.durationS,
  };
  return success({ state: after, position: shot, shots: [...flight.shots, flown] });
}

function cannotLast(possibleS: number, shot: Shot) {
  return refuse('shot-too-long', 'Needs {neededS} there, has {possibleS}.', {
    possibleS,
    neededS: shot.durationS,
  });
}
