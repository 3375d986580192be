import { bendPriors, cellChargeOf, roundingCharge } from '../battery/gauge';
import type { World } from '../belief/belief';
import type { EstimateRequest } from '../estimate/request';
import { type Simulation, simulate } from '../estimate/simulate';
import { timesAtCharges } from '../flight/drain';
import { solveBetween } from '../statistics/solve';
import { type Outcome, refuse, success } from '../units/outcome';
import type { Reading } from './testFlight';

/** How far the model's own curve and a gauge's bend may leave a reading, as a share of its time (assumed). */
const bendFraction = bendPriors.gaugeBendRatio.spread;
const ratioBounds = { least: 0.2, most: 5 } as const;
const ratioTolerance = 1e-6;

/** What a flight took over what the model gives it, 1 where the model is right. */
export interface DrainFit {
  readonly powerRatio: number;
  /** Seconds from lift-off at which the fitted flight's gauge passes some falling charges. */
  readonly timesAt: (charges: readonly number[]) => readonly number[];
}

/**
 * The drain curve through a flight's readings: the model's, with its power scaled so that the readings are met on the whole
 * (the weighted mean of ln(time) over their computed time is nothing). A reading weighs by how well it is known: rounding makes
 * little of an early one. Refused where the flight cannot be flown in the model.
 */
export function fitDrain(
  request: EstimateRequest,
  readings: readonly Reading[],
  world: World,
): Outcome<DrainFit> {
  const start = readings[0] as Reading;
  const read = readings.filter(({ timeS, charge }) => timeS > 0 && charge < start.charge);
  const charges = read.map(({ charge }) => charge);
  const weights = read.map(({ charge }) => readingWeight(start.charge - charge));
  const offBy = (logRatio: number) => {
    const flown = flownAt(request, world, Math.exp(logRatio));
    // A pack that cannot even give the power lasts no time.
    if (!flown.ok) return -10;
    const times = flown.value.timesAt(charges);
    return read.reduce((sum, { timeS }, i) => {
      return sum + (weights[i] as number) * Math.log(Math.max(1, times[i] as number) / timeS);
    }, 0);
  };
  const asKnown = flownAt(request, world, 1);
  if (!asKnown.ok) return asKnown;
  const { least, most } = ratioBounds;
  const found = solveBetween(offBy, Math.log(least), Math.log(most), ratioTolerance);
  if (found === null) return notThisFlight();
  const fitted = flownAt(request, world, Math.exp(found));
  return fitted.ok ? fitted : notThisFlight();
}

function readingWeight(spentCharge: number): number {
  return 1 / ((roundingCharge / spentCharge) ** 2 + bendFraction ** 2);
}

function notThisFlight() {
  return refuse(
    'test-unlike-model',
    'No drain of this pack meets what was read: are the clock and the charges right?',
  );
}

/** The flight of a request with its power scaled, and when its gauge passes charges. Motors out ends it. */
export function flownAt(request: EstimateRequest, world: World, powerRatio: number): Outcome<DrainFit> {
  const flown = simulate(request, withPower(world, powerRatio));
  if (!flown.ok) return flown;
  return success({ powerRatio, timesAt: (charges) => gaugeTimes(flown.value, charges) });
}

/** A flight's own luck is what is fitted. */
function withPower({ deviations, coefficients }: World, powerRatio: number): World {
  return { deviations, coefficients: { ...coefficients, flightPowerRatio: powerRatio } };
}

function gaugeTimes({ curve, cells }: Simulation, charges: readonly number[]): readonly number[] {
  return timesAtCharges(
    curve,
    charges.map((charge) => cellChargeOf(charge, cells.hidden)),
  );
}
