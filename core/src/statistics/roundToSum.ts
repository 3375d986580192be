/**
 * Whole numbers that are close to the given parts and sum exactly to the rounded total, by the largest-remainder rule;
 * so that a column of seconds adds up to the second.
 */
export function roundToSum(parts: readonly number[], total: number): number[] {
  const floors = parts.map(Math.floor);
  const missing = Math.round(total) - floors.reduce((a, b) => a + b, 0);
  const byRemainder = parts
    .map((part, index) => ({ index, remainder: part - Math.floor(part) }))
    .sort((a, b) => b.remainder - a.remainder);
  if (missing < 0 || missing > parts.length) throw new RangeError(`Parts do not sum to ${total}.`);
  for (const { index } of byRemainder.slice(0, missing)) floors[index] = (floors[index] as number) + 1;
  return floors;
}
