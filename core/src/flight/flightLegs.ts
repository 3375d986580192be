import type { AirAtHeight, Atmosphere } from '../air/conditions';
import { airspeedForGroundspeedMps, groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { type Aircraft, maxAirspeedMps } from '../aircraft/aircraft';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import type { PowerLeg } from './legs';
import { type Powertrain, stylePowerW } from './powertrain';
import {
  type FlownStyle,
  flownStyle,
  type StyleCoefficients,
  type StyleShare,
  usualGroundMps,
} from './styles';

/** A stretch of a flight in one style, for a time; on a track where it goes somewhere, at its own height if given. */
export interface FlightLeg extends Omit<StyleShare, 'share'> {
  readonly durationS: number;
  /** Degrees true over ground. Without a track the wind is met from all sides in turn. */
  readonly trackDeg?: number | null;
  readonly heightM?: number | null;
}

export const flightLegRanges = {
  durationS: {
    label: 'Time of the leg',
    unit: 'min',
    siPerUnit: 60,
    min: 5,
    max: 3600,
    step: 1,
    clock: true,
  },
  trackDeg: { label: 'Track', unit: '°', siPerUnit: 1, min: 0, max: 360, step: 10, compass: true },
} as const satisfies Record<string, Quantity>;

/** Legs as powers, each with the wind at its height; refused when the wind lets one of them not be flown. */
export function legPowers(
  aircraft: Aircraft,
  powertrain: Powertrain,
  atmosphere: Atmosphere,
  legs: readonly FlightLeg[],
  workingHeightM: number,
  recordingLoadW: number,
  coefficients: StyleCoefficients,
): Outcome<readonly PowerLeg[]> {
  const powers: PowerLeg[] = [];
  for (const leg of legs) {
    const air = atmosphere(leg.heightM ?? workingHeightM);
    const style = legStyle(aircraft, leg, air, coefficients);
    if (!style.ok) return style;
    const powerW = stylePowerW(powertrain, air, style.value, recordingLoadW);
    powers.push({ durationS: leg.durationS, powerW });
  }
  return success(powers);
}

/** A leg on a track holds one airspeed: the given one, or what its speed over ground takes in this wind. */
function legStyle(
  aircraft: Aircraft,
  leg: FlightLeg,
  air: AirAtHeight,
  coefficients: StyleCoefficients,
): Outcome<FlownStyle> {
  if (leg.trackDeg == null || leg.style === 'hover') return flownStyle(aircraft, leg, air, coefficients);
  const topMps = maxAirspeedMps(aircraft, leg.style);
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, leg.trackDeg);
  const wantedMps = usualGroundMps(leg.style, topMps, coefficients.styleSpeedRatio);
  const airspeedMps =
    leg.airspeedMps ?? Math.min(topMps, airspeedForGroundspeedMps(wantedMps, headwindMps, crosswindMps));
  const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
  if (!(groundMps > 0)) return unflyable(leg, airspeedMps, air.windMps, -groundMps);
  return flownStyle(aircraft, { ...leg, airspeedMps }, air, coefficients);
}

function unflyable(leg: FlightLeg, airspeedMps: number, windMps: number, driftMps: number) {
  return refuse(
    'leg-unflyable',
    'On track {trackDeg} {style} flying at {airspeedMps:1} makes no way against {windMps:1} of wind: it drifts back at {driftMps:1}.',
    { trackDeg: leg.trackDeg ?? 0, style: leg.style, airspeedMps, windMps, driftMps },
  );
}
