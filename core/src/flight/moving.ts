import { type Assumed, because, type ValuesOf } from '../units/assumed';

/** What a flown flight takes over the steady ideal one that the laws of the rotor describe. */
export const movingPriors = {
  movingPowerRatio: {
    value: 1.04,
    spread: 0.08,
    kind: 'relative',
    scope: 'aircraft',
    because:
      'assumed: a flown flight turns, brakes and corrects; timed ones take some 4 % more than the laws of steady flight (common practice)',
    betterBy: 'style-test',
  },
  manualPowerRatio: {
    value: 1,
    spread: 0.15,
    kind: 'relative',
    scope: 'aircraft',
    because:
      'assumed: bursts of thrust cost more than their mean, and pilots differ in how hard they fly by hand',
    betterBy: 'style-test',
  },
  windSavingShare: {
    value: 0.2,
    spread: 0.2,
    kind: 'absolute',
    scope: 'aircraft',
    min: 0,
    max: 1,
    because: because(
      'assumed: a hover in {windMps} was measured 2 % longer than in calm air, where steady flow alone would give 10 %: holding attitude in gusts takes the rest (common practice)',
      { windMps: 5 },
    ),
    betterBy: 'wind-hover-test',
  },
} as const satisfies Record<string, Assumed>;
export type MovingCoefficients = ValuesOf<typeof movingPriors>;

/** How a power law met in the air departs from the box's steady flight. */
export interface Unsteadiness {
  /** Rotor power of a flown flight over the steady one, where it is fully under way. */
  readonly movingRatio: number;
  /** Of what wind saves over the same flight in calm air, the share that comes to be. */
  readonly windSavingShare: number;
}

/** The flight on the box: one speed held, in still air. */
export const steady: Unsteadiness = { movingRatio: 1, windSavingShare: 1 };

export function unsteadinessOf(coefficients: MovingCoefficients): Unsteadiness {
  return { movingRatio: coefficients.movingPowerRatio, windSavingShare: coefficients.windSavingShare };
}

/** Half of the moving ratio is at work at this airspeed, m/s (assumed): a slow shot turns and corrects too. */
const halfUnderWayMps = 2;

/** Rotor power at an airspeed over the steady one: 1 at rest, the whole moving ratio at speed. */
export function movingRatioAt(airspeedMps: number, { movingRatio }: Unsteadiness): number {
  const squared = airspeedMps * airspeedMps;
  return 1 + (movingRatio - 1) * (squared / (squared + halfUnderWayMps * halfUnderWayMps));
}

/** Mean power in wind where the same flight in calm air would take `calmW`: what wind saves comes to be in part only. */
export function windyPowerW(windyW: number, calmW: number, { windSavingShare }: Unsteadiness): number {
  return windyW + (1 - windSavingShare) * Math.max(0, calmW - windyW);
}
