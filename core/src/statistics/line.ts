/** A straight line y = intercept + slope · x, and how far the points lie from it (residual standard deviation). */
export interface Line {
  readonly slope: number;
  readonly intercept: number;
  /** Zero where two points leave nothing over. */
  readonly residualDeviation: number;
}

/**
 * The line of least squares through points, from sums about the means, which keeps the digits (Draper & Smith, Applied
 * Regression Analysis, ch. 1). Null for fewer than two different x.
 */
export function lineThrough(points: readonly (readonly [x: number, y: number])[]): Line | null {
  const count = points.length;
  const meanX = points.reduce((sum, [x]) => sum + x, 0) / count;
  const meanY = points.reduce((sum, [, y]) => sum + y, 0) / count;
  const sxx = points.reduce((sum, [x]) => sum + (x - meanX) ** 2, 0);
  if (!(sxx > 0)) return null;
  const slope = points.reduce((sum, [x, y]) => sum + (x - meanX) * (y - meanY), 0) / sxx;
  const intercept = meanY - slope * meanX;
  const left = points.reduce((sum, [x, y]) => sum + (y - intercept - slope * x) ** 2, 0);
  return { slope, intercept, residualDeviation: count > 2 ? Math.sqrt(left / (count - 2)) : 0 };
}

/** 0 for nothing. */
export function mean(values: ArrayLike<number>): number {
  let sum = 0;
  for (let i = 0; i < values.length; i++) sum += values[i] as number;
  return sum / Math.max(1, values.length);
}

/** Mean and standard deviation of a sample; the deviation of a single value is not known. */
export function meanAndScatter(values: readonly number[]): { mean: number; scatter: number | null } {
  const middle = mean(values);
  if (values.length < 2) return { mean: middle, scatter: null };
  const squares = values.reduce((sum, value) => sum + (value - middle) ** 2, 0);
  return { mean: middle, scatter: Math.sqrt(squares / (values.length - 1)) };
}
