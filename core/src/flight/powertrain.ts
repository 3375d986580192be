import type { AirAtHeight } from '../air/conditions';
import type { Airframe } from '../aircraft/airframe';
import { type Airflow, rotorPowerW } from '../aircraft/rotorPower';
import { reversalPowerW, turnLoadFactor } from '../aircraft/turn';
import { normalMean } from '../statistics/gaussHermite';
import { movingRatioAt, type Unsteadiness, windyPowerW } from './moving';
import type { FlownStyle, StyleStretch } from './styles';

/** An airframe whose losses are known: electrical power is auxiliary plus scale × ideal rotor power. */
export interface Powertrain {
  readonly airframe: Airframe;
  /** Electrical over ideal rotor power, solved from the box. */
  readonly scale: number;
  /** What this flight takes over what the box implies, see flight/luck. */
  readonly flightRatio: number;
  /** How it departs from steady flight, see flight/moving. */
  readonly unsteadiness: Unsteadiness;
}

export function electricalPowerW(powertrain: Powertrain, flow: Airflow, recordingLoadW = 0): number {
  const { airframe, scale, flightRatio, unsteadiness } = powertrain;
  const rotorW = movingRatioAt(flow.airspeedMps, unsteadiness) * rotorPowerW(airframe, flow);
  return flightRatio * (airframe.auxiliaryPowerW + recordingLoadW + scale * rotorW);
}

/**
 * Mean power in gusty air: the airspeed is spread by the wind's deviation, five-node Gauss–Hermite. The curve is convex
 * away from its minimum, so gusts cost.
 */
export function gustyPowerW(
  powertrain: Powertrain,
  air: AirAtHeight,
  flow: { readonly airspeedMps: number; readonly climbMps?: number; readonly loadFactor?: number },
  recordingLoadW = 0,
): number {
  const powerAt = (airspeedMps: number) =>
    electricalPowerW(
      powertrain,
      {
        airspeedMps: Math.abs(airspeedMps),
        climbMps: flow.climbMps ?? 0,
        densityKgm3: air.densityKgm3,
        loadFactor: flow.loadFactor ?? 1,
      },
      recordingLoadW,
    );
  return normalMean(powerAt, flow.airspeedMps, air.windDeviationMps);
}

/** Holding a place in the wind at a height, W, or climbing from it. */
export function standingPowerW(powertrain: Powertrain, air: AirAtHeight, climbMps = 0): number {
  const inWindW = gustyPowerW(powertrain, air, { airspeedMps: air.windMps, climbMps });
  if (air.windMps === 0) return inWindW;
  const calmW = gustyPowerW(powertrain, calm(air), { airspeedMps: 0, climbMps });
  return windyPowerW(inWindW, calmW, powertrain.unsteadiness);
}

function calm(air: AirAtHeight): AirAtHeight {
  return { ...air, windMps: 0, windDeviationMps: 0 };
}

/** Mean electrical power of a style in W: over its airspeeds, gusts, circle and reversals. */
export function stylePowerW(
  powertrain: Powertrain,
  air: AirAtHeight,
  style: FlownStyle,
  recordingLoadW: number,
): number {
  const powerAt = ({ airspeedMps, turningMps }: Omit<StyleStretch, 'share'>, inAir: AirAtHeight) => {
    const flow = { airspeedMps, loadFactor: turnLoadFactor(turningMps, style.circleRadiusM) };
    return gustyPowerW(powertrain, inAir, flow, recordingLoadW);
  };
  const windyW = style.stretches.reduce((sum, stretch) => sum + stretch.share * powerAt(stretch, air), 0);
  const { airframe, scale, flightRatio, unsteadiness } = powertrain;
  const { heldGroundMps } = style;
  const isWindMet = heldGroundMps !== null && air.windMps > 0;
  const meanW = isWindMet
    ? windyPowerW(
        windyW,
        powerAt({ airspeedMps: heldGroundMps, turningMps: heldGroundMps }, calm(air)),
        unsteadiness,
      )
    : windyW;
  const reversalsW = reversalPowerW(airframe.massKg, style.reversalSpeedMps, style.reversalsPerMin);
  return style.powerRatio * meanW + flightRatio * scale * airframe.reversalCostRatio * reversalsW;
}
