/**
 * The value below which a share of the sample lies, straight between neighbours in rank: definition 7 of Hyndman & Fan
 * (The American Statistician 1996). Refuses an empty sample.
 */
export function quantile(values: ArrayLike<number>, share: number): number {
  return quantiles(values, [share])[0] as number;
}

/** Several shares of one sample, which is sorted once. */
export function quantiles(values: ArrayLike<number>, shares: readonly number[]): number[] {
  if (!(values.length > 0)) throw new RangeError('A quantile of no values does not exist.');
  const sorted = new Float64Array(values).sort();
  return shares.map((share) => {
    const rank = share * (sorted.length - 1);
    const below = Math.floor(rank);
    const lower = sorted[below] as number;
    const upper = sorted[Math.min(below + 1, sorted.length - 1)] as number;
    return lower + (upper - lower) * (rank - below);
  });
}

export function median(values: ArrayLike<number>): number {
  return quantile(values, 0.5);
}
