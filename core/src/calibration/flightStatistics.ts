import { Matrix } from 'ml-matrix';
import { type FlightNoise, whitener } from './flightNoise';

/** Freedoms of Student's law of a flight's own effect: so that a wrong flight is bounded (Lange et al., J. Am. Stat. Assoc. 1989). */
const freedoms = 4;

/**
 * What the readings of one flight say of unknowns and of the flight's own effects, boiled down once: S the slopes, N the
 * effects, r the residuals, each weighed by the rest of the noise. With it the flight at any weight of its own effects, and
 * about any point near by, costs a few small products (Woodbury's identity; Golub & Van Loan, ch. 2.1).
 */
export interface FlightStatistics {
  readonly ss: Matrix;
  readonly sn: Matrix;
  readonly nn: Matrix;
  readonly sr: Matrix;
  readonly nr: Matrix;
}

export function flightStatisticsOf(
  slopes: readonly (readonly number[])[],
  residuals: readonly number[],
  { effects, rest }: FlightNoise,
): FlightStatistics {
  const unknowns = slopes[0]?.length ?? 0;
  const own = effects[0]?.length ?? 0;
  const all = slopes.map((row, i) => [...row, ...(effects[i] as number[]), residuals[i] as number]);
  const weighed = whitener(new Matrix(rest as number[][]))(new Matrix(all));
  const products = weighed.transpose().mmul(weighed);
  const block = (fromRow: number, toRow: number, fromColumn: number, toColumn: number) =>
    toRow === fromRow || toColumn === fromColumn
      ? new Matrix(toRow - fromRow, toColumn - fromColumn)
      : products.subMatrix(fromRow, toRow - 1, fromColumn, toColumn - 1);
  const [effectsEnd, end] = [unknowns + own, unknowns + own + 1];
  return {
    ss: block(0, unknowns, 0, unknowns),
    sn: block(0, unknowns, unknowns, effectsEnd),
    nn: block(unknowns, effectsEnd, unknowns, effectsEnd),
    sr: block(0, unknowns, effectsEnd, end),
    nr: block(unknowns, effectsEnd, effectsEnd, end),
  };
}

/** A flight at one weight of its own effects. */
export interface FlightInformation {
  readonly weight: number;
  /** The curvature of its misfit over the unknowns, and its pull downhill. */
  readonly curvature: Matrix;
  readonly pull: Matrix;
  /** (w·I + NᵀN)⁻¹: from what is missed to the effects that explain it best. Null for a flight without effects. */
  readonly toEffects: Matrix | null;
  /** How many directions of its own effects its readings tell: the trace of that times NᵀN. */
  readonly effectiveEffects: number;
}

export function informationAt({ ss, sn, nn, sr, nr }: FlightStatistics, weight: number): FlightInformation {
  if (nn.rows === 0) return { weight, curvature: ss, pull: sr, toEffects: null, effectiveEffects: 0 };
  const bound = nn.clone();
  for (let i = 0; i < nn.rows; i++) bound.set(i, i, bound.get(i, i) + weight);
  const toHalf = whitener(bound)(Matrix.eye(nn.rows));
  const half = toHalf.mmul(sn.transpose());
  const back = half.transpose();
  const toEffects = toHalf.transpose().mmul(toHalf);
  return {
    weight,
    curvature: back.mmul(half).mul(-1).add(ss),
    pull: back.mmul(toHalf.mmul(nr)).mul(-1).add(sr),
    toEffects,
    effectiveEffects: nn.rows - weight * toEffects.trace(),
  };
}

/**
 * The weight of a flight's own effects some way from where its statistics were taken: (ν + k) / (ν + |u|²), where u is the effect that
 * explains its misses best, in deviations, and k how many directions of it they tell at all. No flight counts for more than one.
 */
export function studentWeight(
  { sn, nr }: FlightStatistics,
  { toEffects, effectiveEffects: told }: FlightInformation,
  moved: Matrix | null,
): number {
  if (!toEffects) return 1;
  const missed = moved ? Matrix.sub(nr, sn.transpose().mmul(moved)) : nr;
  const explained = toEffects.mmul(missed);
  let size = 0;
  for (let i = 0; i < explained.rows; i++) size += explained.get(i, 0) ** 2;
  return Math.min(1, (freedoms + told) / (freedoms + size));
}
