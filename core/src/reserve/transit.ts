import { groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { spec } from '../aircraft/aircraft';
import type { PowerLeg } from '../flight/bundles';
import { gustyPowerW, standingPowerW } from '../flight/powertrain';
import { type Outcome, refuse, success } from '../units/outcome';
import { track } from './plane';
import { type HomingAircraft, type Position, returnAirspeedMps } from './returnHome';

/**
 * From one working point to the next: up or down on the spot, then straight across at the return speed, the usual pace
 * of a camera drone between shots. Refused when the wind along the way leaves no progress.
 */
export function transitLegs(
  inAir: HomingAircraft,
  from: Position,
  to: Position,
): Outcome<readonly PowerLeg[]> {
  const { aircraft, powertrain, atmosphere } = inAir;
  const air = atmosphere(to.heightM);
  const middle = atmosphere((from.heightM + to.heightM) / 2);
  const riseM = to.heightM - from.heightM;
  const climbMps = spec(aircraft, riseM > 0 ? 'climbSpeedMps' : 'descentSpeedMps');
  const vertical = {
    durationS: Math.abs(riseM) / climbMps,
    powerW: standingPowerW(powertrain, middle, riseM > 0 ? climbMps : 0),
  };
  const { distanceM, trackDeg } = track(from, to);
  if (distanceM < 1) return success([vertical]);
  const airspeedMps = returnAirspeedMps(inAir);
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, trackDeg);
  const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
  if (!(groundMps > 0)) {
    return refuse(
      'point-unreachable',
      'It cannot get there: {airspeedMps:1} through the air against {windMps:1} of wind drifts back at {driftMps:1}.',
      { airspeedMps, windMps: air.windMps, driftMps: -groundMps },
    );
  }
  return success([
    vertical,
    { durationS: distanceM / groundMps, powerW: gustyPowerW(powertrain, air, { airspeedMps }) },
  ]);
}
