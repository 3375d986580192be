import type { AirAtHeight } from '../air/conditions';
import type { Airframe } from '../aircraft/airframe';
import { type Airflow, rotorPowerW } from '../aircraft/rotorPower';
import { reversalPowerW, turnLoadFactor } from '../aircraft/turn';
import { normalMean } from '../statistics/gaussHermite';
import type { FlownStyle } from './styles';

/** An airframe whose losses are known: electrical power is auxiliary plus scale × ideal rotor power. */
export interface Powertrain {
  readonly airframe: Airframe;
  /** Electrical over ideal rotor power, solved from the box. */
  readonly scale: number;
  /** What this flight takes over what the box implies, see flight/luck. */
  readonly flightRatio: number;
}

export function electricalPowerW(powertrain: Powertrain, flow: Airflow, recordingLoadW = 0): number {
  const { airframe, scale, flightRatio } = powertrain;
  return flightRatio * (airframe.auxiliaryPowerW + recordingLoadW + scale * rotorPowerW(airframe, flow));
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

/** Mean electrical power of a style in W: over its airspeeds, gusts, circle and reversals. */
export function stylePowerW(
  powertrain: Powertrain,
  air: AirAtHeight,
  style: FlownStyle,
  recordingLoadW: number,
): number {
  const mean = style.stretches.reduce((sum, { airspeedMps, turningMps, share }) => {
    const flow = { airspeedMps, loadFactor: turnLoadFactor(turningMps, style.circleRadiusM) };
    return sum + share * gustyPowerW(powertrain, air, flow, recordingLoadW);
  }, 0);
  const { airframe, scale, flightRatio } = powertrain;
  const reversalsW = reversalPowerW(airframe.massKg, style.reversalSpeedMps, style.reversalsPerMin);
  return mean + flightRatio * scale * airframe.reversalCostRatio * reversalsW;
}
