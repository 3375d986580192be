/**
 * Values of a sample that a share of it keeps: always one of the sample, never one between two (order statistics; David & Nagaraja,
 * Order Statistics, 3rd ed., ch. 1). Where some of a sample are worse than any number, they are put in as worst and stay so.
 */

/** The largest value that at least a share of the sample has or passes. Example: 0.9 of ten values → the second smallest. */
export function reachedBy(share: number, values: ArrayLike<number>): number {
  const sorted = sortedOf(values);
  return sorted[Math.min(sorted.length - 1, mayFail(share, sorted.length))] as number;
}

/** The smallest value that at least a share of the sample has or stays below. Example: 0.9 of ten values → the second largest. */
export function keptBy(share: number, values: ArrayLike<number>): number {
  const sorted = sortedOf(values);
  return sorted[Math.max(0, sorted.length - 1 - mayFail(share, sorted.length))] as number;
}

/** How many of a sample may fail so that a share does not. */
export function mayFail(share: number, count: number): number {
  return Math.floor((1 - share) * count + 1e-9);
}

function sortedOf(values: ArrayLike<number>): Float64Array {
  if (!(values.length > 0)) throw new RangeError('Of no values there is no order.');
  return new Float64Array(values).sort();
}
