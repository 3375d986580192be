/** The middle value; the mean of the two middle ones for an even count. Refuses an empty list. */
export function median(values: readonly number[]): number {
  if (!(values.length > 0)) throw new RangeError('The median of no values does not exist.');
  const sorted = [...values].sort((a, b) => a - b);
  const middle = Math.floor(sorted.length / 2);
  const upper = sorted[middle] as number;
  return sorted.length % 2 ? upper : ((sorted[middle - 1] as number) + upper) / 2;
}
