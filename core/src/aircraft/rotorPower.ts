import { standard } from '../air/pressure';
import { gravityMps2 } from '../units/physics';
import type { Airframe } from './airframe';
import { inducedVelocityMps } from './inducedVelocity';

/** How the air moves past an aircraft at one moment. SI; a descent counts as level flight (no windmilling credit). */
export interface Airflow {
  readonly airspeedMps: number;
  readonly climbMps: number;
  readonly densityKgm3: number;
  /** Thrust over weight that a turn asks for, 1 when straight. */
  readonly loadFactor: number;
}

/**
 * Ideal rotor power in W before the losses of motors and blades, the sum of four laws:
 * induced T·v_i (Glauert), profile (Stepniewski; Leishman ch. 5), parasite ½ρ·CdA·V³ and climb m·g·Vc.
 * Thrust carries weight times load factor, and drag. The scale that turns it into electrical power is solved from the
 * box, see flight/powertrain.
 */
export function rotorPowerW(airframe: Airframe, flow: Airflow): number {
  const weightN = airframe.massKg * gravityMps2;
  const dragN = 0.5 * flow.densityKgm3 * airframe.dragAreaM2 * flow.airspeedMps ** 2;
  const liftN = weightN * flow.loadFactor;
  const thrustN = Math.sqrt(liftN * liftN + dragN * dragN);
  const climbMps = Math.max(0, flow.climbMps);
  const inducedMps = inducedVelocityMps({
    thrustN,
    densityKgm3: flow.densityKgm3,
    discAreaM2: airframe.discAreaM2,
    alongDiscMps: (flow.airspeedMps * liftN) / thrustN,
    throughDiscMps: (flow.airspeedMps * dragN) / thrustN + climbMps,
  });
  return (
    thrustN * inducedMps +
    profilePowerW(airframe, thrustN, flow) +
    dragN * flow.airspeedMps +
    weightN * climbMps
  );
}

/**
 * Profile power, the drag of the blades: P_hover · (T/mg)^1.5 · √(ρ0/ρ) · (1 + 4.65 µ²), µ the airspeed over the tip
 * speed. P_hover is the given share of all rotor power in hover at sea level. Valid to µ about 0.4; above, µ is held.
 */
function profilePowerW(airframe: Airframe, thrustN: number, flow: Airflow): number {
  const weightN = airframe.massKg * gravityMps2;
  const share = airframe.profileShareOfHover;
  const hoverInducedMps = Math.sqrt(weightN / (2 * standard.densityKgm3 * airframe.discAreaM2));
  const hoverW = (share / (1 - share)) * weightN * hoverInducedMps;
  const tipMps = tipSpeedMps(airframe, thrustN, flow.densityKgm3);
  const advance = Math.min(flow.airspeedMps / tipMps, 0.4);
  return (
    hoverW *
    (thrustN / weightN) *
    Math.sqrt(thrustN / weightN) *
    Math.sqrt(standard.densityKgm3 / flow.densityKgm3) *
    (1 + 4.65 * advance ** 2)
  );
}

/** Blade tip speed from the definition of the thrust coefficient, C_T = T / (ρ A (ΩR)²). */
function tipSpeedMps(airframe: Airframe, thrustN: number, densityKgm3: number): number {
  return Math.sqrt(thrustN / (densityKgm3 * airframe.discAreaM2 * airframe.thrustCoefficient));
}
