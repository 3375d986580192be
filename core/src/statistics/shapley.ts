/**
 * Shapley values: each player's average marginal contribution over all orders of joining, so that no share depends
 * on an order. `worth` takes the bit mask of the players present and is called once for each of the 2^n coalitions.
 * The shares sum to worth(all) − worth(none). Source: Shapley, A Value for n-Person Games, 1953.
 */
export function shapleyValues(playerCount: number, worth: (present: number) => number): number[] {
  const worths = Array.from({ length: 1 << playerCount }, (_, present) => worth(present));
  const weights = coalitionWeights(playerCount);
  return Array.from({ length: playerCount }, (_, player) => {
    const bit = 1 << player;
    return worths.reduce((sum, without, present) => {
      if (present & bit) return sum;
      const gain = (worths[present | bit] as number) - without;
      return sum + (weights[bitCount(present)] as number) * gain;
    }, 0);
  });
}

/** weights[k] = k! (n − k − 1)! / n!, the chance that exactly a given k players came before. */
function coalitionWeights(playerCount: number): number[] {
  const factorial = (n: number): number => (n <= 1 ? 1 : n * factorial(n - 1));
  return Array.from(
    { length: playerCount },
    (_, size) => (factorial(size) * factorial(playerCount - size - 1)) / factorial(playerCount),
  );
}

function bitCount(mask: number): number {
  return mask === 0 ? 0 : (mask & 1) + bitCount(mask >> 1);
}
