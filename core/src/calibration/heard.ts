import { Matrix } from 'ml-matrix';
import { type FlightNoise, whitened } from './flightNoise';

/** Freedoms of Student's law of a flight's own effect: so that a wrong flight is bounded (Lange et al., J. Am. Stat. Assoc. 1989). */
const freedoms = 4;

/**
 * What the readings of one flight say of unknowns and of the flight's own effects, boiled down once: S the slopes, N the
 * effects, r the residuals, each weighed by the rest of the noise. With it the flight at any weight of its own effects, and
 * about any point near by, costs a few small products (Woodbury's identity; Golub & Van Loan, ch. 2.1).
 */
export interface Heard {
  readonly ss: Matrix;
  readonly sn: Matrix;
  readonly nn: Matrix;
  readonly sr: Matrix;
  readonly nr: Matrix;
}

export function heardOf(
  slopes: readonly (readonly number[])[],
  residuals: readonly number[],
  { effects, rest }: FlightNoise,
): Heard {
  const covariance = new Matrix(rest as number[][]);
  const s = whitened(covariance, new Matrix(slopes as number[][]));
  const n = whitened(covariance, matrixOf(effects));
  const r = whitened(covariance, Matrix.columnVector(residuals as number[]));
  const [st, nt] = [s.transpose(), n.transpose()];
  return { ss: st.mmul(s), sn: st.mmul(n), nn: nt.mmul(n), sr: st.mmul(r), nr: nt.mmul(r) };
}

/** A flight at one weight of its own effects. */
export interface Said {
  readonly weight: number;
  /** The curvature of its misfit over the unknowns, and its pull downhill. */
  readonly curvature: Matrix;
  readonly pull: Matrix;
  /** (w·I + NᵀN)⁻¹: from what is missed to the effects that explain it best. Null for a flight without effects. */
  readonly toEffects: Matrix | null;
}

export function saidWith({ ss, sn, nn, sr, nr }: Heard, weight: number): Said {
  if (nn.rows === 0) return { weight, curvature: ss, pull: sr, toEffects: null };
  const bound = Matrix.add(Matrix.eye(nn.rows).mul(weight), nn);
  const toHalf = whitened(bound, Matrix.eye(nn.rows));
  const half = toHalf.mmul(sn.transpose());
  const back = half.transpose();
  return {
    weight,
    curvature: Matrix.sub(ss, back.mmul(half)),
    pull: Matrix.sub(sr, back.mmul(toHalf.mmul(nr))),
    toEffects: toHalf.transpose().mmul(toHalf),
  };
}

/**
 * The weight of a flight's own effects some way from where it was heard: (ν + k) / (ν + |u|²), where u is the effect that
 * explains its misses best, in deviations, and k how many directions of it they tell at all. No flight counts for more than one.
 */
export function weightOf({ sn, nn, nr }: Heard, { toEffects }: Said, moved: Matrix | null): number {
  if (!toEffects) return 1;
  const missed = moved ? Matrix.sub(nr, sn.transpose().mmul(moved)) : nr;
  const size = toEffects
    .mmul(missed)
    .to1DArray()
    .reduce((sum, u) => sum + u * u, 0);
  const told = toEffects.mmul(nn).trace();
  return Math.min(1, (freedoms + told) / (freedoms + size));
}

function matrixOf(rows: readonly (readonly number[])[]): Matrix {
  const columns = rows[0]?.length ?? 0;
  return columns === 0 ? new Matrix(rows.length, 0) : new Matrix(rows as number[][]);
}
