import type { AirAtHeight } from '../air/conditions';
import { airspeedForGroundspeedMps, groundspeedMps, windAlongTrack } from '../air/windTriangle';
import { maxAirspeedMps, type Style } from '../aircraft/aircraft';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Quantity } from '../units/quantity';
import type { AircraftInAir } from './aircraftInAir';
import type { PowerLeg } from './bundles';
import { stylePowerW } from './powertrain';
import {
  atAirspeed,
  defaultManner,
  type FlownStyle,
  flownStyle,
  heldGroundMps,
  type Manner,
  topAirspeedMps,
} from './styles';

/** A stretch of a flight in one style, for a time; on a track where it goes somewhere, at its own height if given. */
export interface FlightLeg extends Manner {
  readonly style: Style;
  readonly durationS: number;
  /** Degrees true over ground. Without a track the wind is met from all sides in turn. */
  readonly trackDeg?: number | null;
  readonly heightM?: number | null;
}

/** Of a round, which is flown again and again. */
export const maxLegs = 64;

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
  inAir: AircraftInAir,
  legs: readonly FlightLeg[],
  workingHeightM: number,
  recordingLoadW: number,
): Outcome<readonly PowerLeg[]> {
  const powers: PowerLeg[] = [];
  for (const leg of legs) {
    const air = inAir.atmosphere(leg.heightM ?? workingHeightM);
    const style = legStyle(inAir, leg, air);
    if (!style.ok) return style;
    const powerW = stylePowerW(inAir.powertrain, air, style.value, recordingLoadW);
    powers.push({ durationS: leg.durationS, powerW });
  }
  return success(powers);
}

/** A leg on a track holds one airspeed: the given one, or what its speed over ground takes in this wind. */
function legStyle(inAir: AircraftInAir, leg: FlightLeg, air: AirAtHeight): Outcome<FlownStyle> {
  const { aircraft, coefficients } = inAir;
  if (leg.trackDeg == null || leg.style === 'hover') return flownStyle(inAir, leg, air);
  const { headwindMps, crosswindMps } = windAlongTrack(air.windMps, air.windFromDeg, leg.trackDeg);
  const topMps = topAirspeedMps(inAir, leg.style, air.windMps);
  const wantedMps = heldGroundMps(
    defaultManner(leg.style, leg.handling).groundMps,
    maxAirspeedMps(aircraft, leg.style),
    coefficients.styleSpeedRatio,
  );
  const airspeedMps =
    leg.airspeedMps ?? Math.min(topMps, airspeedForGroundspeedMps(wantedMps, headwindMps, crosswindMps));
  const groundMps = groundspeedMps(airspeedMps, headwindMps, crosswindMps);
  if (!(groundMps > 0)) return unflyable(leg, airspeedMps, air.windMps, -groundMps);
  if (leg.airspeedMps != null) return flownStyle(inAir, leg, air);
  return success(atAirspeed(inAir, leg, airspeedMps, topMps));
}

function unflyable(leg: FlightLeg, airspeedMps: number, windMps: number, driftMps: number) {
  return refuse(
    'leg-unflyable',
    'On track {trackDeg} {style} flying at {airspeedMps:1} makes no way against {windMps:1} of wind: it drifts back at {driftMps:1}.',
    { trackDeg: leg.trackDeg ?? 0, style: leg.style, airspeedMps, windMps, driftMps },
  );
}
