import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Learned, UnknownName } from '../belief/belief';
import { covarianceOf, whitener } from './flightNoise';
import { type FlightInformation, informationAt, studentWeight } from './flightStatistics';
import type { LinearFlight } from './search';

/** What is known of the unknowns after some flights: normal, about the likeliest (Laplace). Deviations of the priors. */
export interface Posterior {
  readonly mean: readonly number[];
  readonly covariance: Matrix;
}

/** The posterior at the mode of a search, from all its flights. */
export function posteriorOf(mode: readonly number[], flights: readonly LinearFlight[]): Posterior {
  const information = Matrix.eye(mode.length);
  for (const one of flights) information.add(one.information.curvature);
  return { mean: mode, covariance: inverseOf(information) };
}

/** How often the weights of the others are renewed at most when one flight is left out, and when they have settled. */
const maxRenewals = 4;
const settledWithin = 0.01;

/**
 * The posterior had one flight not been flown, from the flights as they are about the mode (no flight is flown again): the
 * others' weights are found anew, since a wrong flight among them shows more clearly without the one it pulled along.
 */
export function without(
  left: LinearFlight,
  mode: readonly number[],
  flights: readonly LinearFlight[],
  all: Sums = sumsOf(mode, flights),
): Posterior {
  const others = flights.filter((one) => one !== left);
  const prior = Matrix.columnVector(mode as number[]);
  let informations = others.map((one) => one.information);
  // One flight is taken from the sum of all, rather than all others added up for each: of two hundred there are many.
  const isIn = others.length < flights.length;
  let information = isIn ? Matrix.sub(all.information, left.information.curvature) : all.information;
  let pull = isIn ? Matrix.sub(all.pull, left.information.pull) : all.pull;
  for (let renewal = 0; ; renewal++) {
    const covariance = inverseOf(information);
    const moved = covariance.mmul(pull);
    const weights = others.map(({ flightStatistics }, i) =>
      studentWeight(flightStatistics, informations[i] as FlightInformation, moved),
    );
    const changed = informations.flatMap(({ weight }, i) =>
      Math.abs(weight - (weights[i] as number)) < settledWithin ? [] : [i],
    );
    if (changed.length === 0 || renewal === maxRenewals)
      return { mean: Matrix.add(prior, moved).to1DArray(), covariance };
    informations = [...informations];
    for (const i of changed) {
      const [before, after] = [
        informations[i] as FlightInformation,
        informationAt((others[i] as LinearFlight).flightStatistics, weights[i] as number),
      ];
      information = Matrix.sub(information, before.curvature).add(after.curvature);
      pull = Matrix.sub(pull, before.pull).add(after.pull);
      informations[i] = after;
    }
  }
}

/** What all flights of a search say together, with the prior. */
export interface Sums {
  readonly information: Matrix;
  readonly pull: Matrix;
}

export function sumsOf(mode: readonly number[], flights: readonly LinearFlight[]): Sums {
  const information = Matrix.eye(mode.length);
  const pull = Matrix.columnVector(mode as number[]).mul(-1);
  for (const one of flights) {
    information.add(one.information.curvature);
    pull.add(one.information.pull);
  }
  return { information, pull };
}

/** A flight seen from a posterior that does not know it: how far off its last mark is, and how far it may be. */
export function predictedTimes(
  { residuals, slopes, noise }: LinearFlight,
  mode: readonly number[],
  { mean, covariance }: Posterior,
): { readonly missLn: number; readonly spreadLn: number } {
  const last = residuals.length - 1;
  const slope = slopes[last] as readonly number[];
  const moved = mean.map((value, i) => value - (mode[i] as number));
  const off = (residuals[last] as number) - slope.reduce((sum, s, i) => sum + s * (moved[i] as number), 0);
  const known = varianceAlong(slope, covariance);
  return { missLn: off, spreadLn: Math.sqrt(known + covarianceOf(noise).get(last, last)) };
}

/** The variance of a sum of unknowns. */
export function varianceAlong(slope: readonly number[], covariance: Matrix): number {
  const s = Matrix.columnVector(slope as number[]);
  return s.transpose().mmul(covariance).mmul(s).get(0, 0);
}

/** As a belief is made of it: the lower triangle of the covariance. Null where the covariance is none. */
export function learnedFrom(
  names: readonly UnknownName[],
  mean: readonly number[],
  covariance: readonly (readonly number[])[],
): Learned | null {
  const symmetric = covariance.map((row, i) =>
    row.map((value, k) => (k < i ? value : (covariance[k]?.[i] as number))),
  );
  const decomposed = new CholeskyDecomposition(new Matrix(symmetric));
  if (!decomposed.isPositiveDefinite()) return null;
  const factor = decomposed.lowerTriangularMatrix.to2DArray().map((row, i) => row.slice(0, i + 1));
  return { names, mean, factor };
}

/** The inverse of a symmetric matrix, symmetric to the last digit. */
function inverseOf(symmetric: Matrix): Matrix {
  const half = whitener(symmetric)(Matrix.eye(symmetric.rows));
  return half.transpose().mmul(half);
}
