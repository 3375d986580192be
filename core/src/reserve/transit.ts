import type { Atmosphere } from '../air/conditions';
import { groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { type Aircraft, spec } from '../aircraft/aircraft';
import type { PowerLeg } from '../flight/legs';
import { gustyPowerW, type Powertrain } from '../flight/powertrain';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Position } from './returnHome';

/**
 * From one working point to the next: up or down on the spot, then straight across at the return speed, the usual pace
 * of a camera drone between shots. Refused when the wind along the way leaves no progress.
 */
export function transitLegs(
  aircraft: Aircraft,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
  from: Position,
  to: Position,
): Outcome<readonly PowerLeg[]> {
  const air = atmosphere(to.heightM);
  const middle = atmosphere((from.heightM + to.heightM) / 2);
  const riseM = to.heightM - from.heightM;
  const climbMps = spec(aircraft, riseM > 0 ? 'climbSpeedMps' : 'descentSpeedMps');
  const vertical = {
    durationS: Math.abs(riseM) / climbMps,
    powerW: gustyPowerW(powertrain, middle, {
      airspeedMps: middle.windMps,
      climbMps: riseM > 0 ? climbMps : 0,
    }),
  };
  const { distanceM, trackDeg } = track(from, to);
  if (distanceM < 1) return success([vertical]);
  const airspeedMps = spec(aircraft, 'returnSpeedMps');
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

/** Distance and track between two points given from home, on the local plane. */
export function track(
  from: Position,
  to: Position,
): { readonly distanceM: number; readonly trackDeg: number } {
  const [a, b] = [plane(from), plane(to)];
  const [eastM, northM] = [b.eastM - a.eastM, b.northM - a.northM];
  const degrees = (Math.atan2(eastM, northM) * 180) / Math.PI;
  return { distanceM: Math.hypot(eastM, northM), trackDeg: (degrees + 360) % 360 };
}

function plane({ distanceM, bearingDeg }: Position) {
  const angle = (bearingDeg * Math.PI) / 180;
  return { eastM: distanceM * Math.sin(angle), northM: distanceM * Math.cos(angle) };
}
