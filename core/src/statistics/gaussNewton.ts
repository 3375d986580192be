import { Matrix, QrDecomposition } from 'ml-matrix';

/** Residuals at a point and how they change, to be made small; null where there is no answer. */
export interface LeastSquares {
  readonly residualsAt: (x: readonly number[]) => readonly number[] | null;
  /** By residual, then by unknown. */
  readonly jacobianAt: (x: readonly number[], residuals: readonly number[]) => readonly (readonly number[])[];
}

export interface Settled {
  readonly x: readonly number[];
  readonly residuals: readonly number[];
  /** Half the sum of the squares. */
  readonly cost: number;
  readonly steps: number;
  /** How much the last step lowered the cost; what is not below `stopBelow` was stopped by the number of steps. */
  readonly fell: number;
}

const firstDamping = 1e-3;
const maxTries = 16;

/**
 * Gauss–Newton, damped by Marquardt's scaling only where a whole step leads uphill (Nocedal & Wright, Numerical Optimization,
 * ch. 10): each step is a least-squares problem solved by QR, and is taken only if the cost falls. Deterministic. It ends when
 * a step lowers the cost by less than `stopBelow`, or after `mostSteps`. Throws where there is no residual at the start.
 */
export function gaussNewton(
  { residualsAt, jacobianAt }: LeastSquares,
  start: readonly number[],
  { stopBelow, mostSteps }: { readonly stopBelow: number; readonly mostSteps: number },
): Settled {
  let x = start;
  const first = residualsAt(x);
  if (!first) throw new RangeError('There are no residuals where the search begins.');
  let residuals = first;
  let cost = halfSquare(residuals);
  let damping = 0;
  let fell = Number.POSITIVE_INFINITY;
  let steps = 0;
  while (fell >= stopBelow && steps < mostSteps) {
    const jacobian = jacobianAt(x, residuals);
    steps++;
    fell = 0;
    for (let tries = 0; tries < maxTries; tries++) {
      const step = dampedStep(jacobian, residuals, damping);
      const next = x.map((value, i) => value + (step[i] as number));
      const there = residualsAt(next);
      const costThere = there ? halfSquare(there) : Number.POSITIVE_INFINITY;
      if (there && costThere <= cost) {
        fell = cost - costThere;
        [x, residuals, cost] = [next, there, costThere];
        damping = damping <= firstDamping ? 0 : damping / 10;
        break;
      }
      damping = Math.max(firstDamping, damping * 10);
    }
  }
  return { x, residuals, cost, steps, fell };
}

/** Forward differences: one more evaluation for each unknown. */
export function forwardDifferences(
  residualsAt: LeastSquares['residualsAt'],
  stepOf: (x: number) => number,
): LeastSquares['jacobianAt'] {
  return (x, residuals) => {
    const columns = x.map((value, i) => {
      const step = stepOf(value);
      const moved = residualsAt(x.map((one, k) => (k === i ? one + step : one)));
      return residuals.map((before, k) => (((moved?.[k] as number) ?? before) - before) / step);
    });
    return residuals.map((_, k) => columns.map((column) => column[k] as number));
  };
}

function dampedStep(
  jacobian: readonly (readonly number[])[],
  residuals: readonly number[],
  damping: number,
): number[] {
  const unknowns = jacobian[0]?.length ?? 0;
  const scales = Array.from({ length: unknowns }, (_, i) =>
    Math.sqrt(damping * jacobian.reduce((sum, row) => sum + (row[i] as number) ** 2, 0)),
  );
  const damped = damping === 0 ? [] : scales.map((scale, i) => scales.map((_, k) => (k === i ? scale : 0)));
  const a = new Matrix([...jacobian, ...damped] as number[][]);
  const b = Matrix.columnVector([...residuals.map((value) => -value), ...damped.map(() => 0)]);
  return new QrDecomposition(a).solve(b).to1DArray();
}

function halfSquare(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value * value, 0) / 2;
}
