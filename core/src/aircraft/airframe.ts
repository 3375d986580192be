import { type Assumed, because, type ValuesOf } from '../units/assumed';
import { gravityMps2 } from '../units/physics';
import type { Aircraft } from './aircraft';
import { reversalPriors } from './turn';

/** What the power laws need to know of an aircraft, complete. SI. */
export interface Airframe {
  readonly massKg: number;
  readonly discAreaM2: number;
  readonly dragAreaM2: number;
  readonly auxiliaryPowerW: number;
  readonly profileShareOfHover: number;
  readonly thrustCoefficient: number;
  /** Energy a reversal costs, over ½·m·V². */
  readonly reversalCostRatio: number;
}

/** What the box cannot tell of an airframe, with how far off each guess may be. */
export const airframePriors = {
  discLoadingRatio: {
    value: 1,
    spread: 0.2,
    kind: 'relative',
    scope: 'aircraft',
    because: because(
      'assumed: camera drones lie near {cameraNpm2}, racing style near {racingNpm2}; used only without a rotor diameter',
      { cameraNpm2: 55, racingNpm2: 135 },
    ),
    betterBy: 'rotor-diameter',
  },
  dragAreaRatio: {
    value: 1,
    spread: 0.25,
    kind: 'relative',
    scope: 'aircraft',
    because: because('assumed: {areaM2} at {massKg}, growing with frontal area as mass^(2/3)', {
      areaM2: 0.0105,
      massKg: 0.249,
    }),
    betterBy: 'fast-test',
  },
  auxiliaryPowerRatio: {
    value: 1,
    spread: 0.3,
    kind: 'relative',
    scope: 'aircraft',
    because: because('assumed: avionics, gimbal and link draw about 4 W, and 6 W more for each {massKg}', {
      massKg: 0.9,
    }),
    betterBy: 'hover-test',
  },
  profileShareOfHover: {
    value: 0.3,
    spread: 0.05,
    kind: 'absolute',
    scope: 'aircraft',
    min: 0.1,
    max: 0.5,
    because: 'Leishman, Principles of Helicopter Aerodynamics, ch. 2: about 0.3 of hover rotor power',
    betterBy: 'fast-test',
  },
  thrustCoefficient: {
    value: 0.012,
    spread: 0.3,
    kind: 'relative',
    scope: 'aircraft',
    because: because('assumed: hovering small rotors; gives tip speeds near {tipMps} at {loadingNpm2}', {
      tipMps: 60,
      loadingNpm2: 55,
    }),
    betterBy: 'fast-test',
  },
  ...reversalPriors,
} as const satisfies Record<string, Assumed>;

export type AirframeCoefficients = ValuesOf<typeof airframePriors>;

const defaultDiscLoadingNpm2 = { camera: 55, racing: 135 } as const;

/** Completes the spec sheet with what must be assumed; what the sheet gives has no spread. */
export function airframeOf(aircraft: Aircraft, coefficients: AirframeCoefficients): Airframe {
  return {
    massKg: aircraft.takeoffMassKg,
    discAreaM2: discAreaM2(aircraft, coefficients.discLoadingRatio),
    dragAreaM2: aircraft.dragAreaM2 ?? defaultDragAreaM2(aircraft.takeoffMassKg) * coefficients.dragAreaRatio,
    auxiliaryPowerW:
      aircraft.auxiliaryPowerW ??
      defaultAuxiliaryPowerW(aircraft.takeoffMassKg) * coefficients.auxiliaryPowerRatio,
    profileShareOfHover: coefficients.profileShareOfHover,
    thrustCoefficient: coefficients.thrustCoefficient,
    reversalCostRatio: coefficients.reversalCostRatio,
  };
}

/** An airframe with what hangs on it. Its rotors, drag and electronics stay what they were. */
export function laden(airframe: Airframe, addedMassKg: number): Airframe {
  return addedMassKg === 0 ? airframe : { ...airframe, massKg: airframe.massKg + addedMassKg };
}

/** Disc area of all rotors in m², from their diameter or a typical disc loading of the kind. */
export function discAreaM2(aircraft: Aircraft, discLoadingRatio: number): number {
  if (aircraft.rotorDiameterM != null) {
    return aircraft.rotorCount * Math.PI * (aircraft.rotorDiameterM / 2) ** 2;
  }
  return (aircraft.takeoffMassKg * gravityMps2) / (defaultDiscLoadingNpm2[aircraft.kind] * discLoadingRatio);
}

/** Diameter of one rotor in m, from the sheet or from the disc area. */
export function rotorDiameterM(aircraft: Aircraft, airframe: Pick<Airframe, 'discAreaM2'>): number {
  return aircraft.rotorDiameterM ?? 2 * Math.sqrt(airframe.discAreaM2 / (aircraft.rotorCount * Math.PI));
}

export function defaultDragAreaM2(massKg: number): number {
  return 0.0105 * (massKg / 0.249) ** (2 / 3);
}

export function defaultAuxiliaryPowerW(massKg: number): number {
  return 4 + 6 * (massKg / 0.9);
}
