import { normalQuantile } from '../statistics/normalQuantile';
import { sobolPoints } from '../statistics/sobol';
import { drawn } from '../units/assumed';
import { type Coefficients, priors, usualCoefficients } from './request';

/** One way the assumed constants may really be: their values, and which share of its prior lies below each. */
export interface Draw {
  readonly coefficients: Coefficients;
  readonly shares: readonly number[];
}

export const usualDraws = 512;
export const usualSeed = 1;

const names = Object.keys(priors) as (keyof typeof priors)[];

let lastDrawn: { readonly count: number; readonly seed: number; readonly draws: readonly Draw[] } | null =
  null;

/**
 * Draws of all assumed constants at once from their priors. The same seed gives the same draws, everywhere; the last
 * ones are kept, since estimate after estimate asks for them.
 */
export function drawCoefficients(count: number, seed: number): readonly Draw[] {
  if (lastDrawn?.count === count && lastDrawn.seed === seed) return lastDrawn.draws;
  const draws = freshDraws(count, seed);
  lastDrawn = { count, seed, draws };
  return draws;
}

function freshDraws(count: number, seed: number): Draw[] {
  return sobolPoints(count, names.length, seed).map((shares) => {
    const coefficients: { -readonly [Name in keyof Coefficients]: number } = { ...usualCoefficients };
    names.forEach((name, i) => {
      coefficients[name] = drawn(priors[name], normalQuantile(shares[i] as number));
    });
    return { shares, coefficients };
  });
}
