/**
 * The mean of f over a normal distribution by the five-node Gauss–Hermite rule, exact for polynomials up to degree 9.
 * Nodes and weights: Abramowitz & Stegun, Handbook of Mathematical Functions, table 25.10, scaled by √2 and 1/√π.
 */
const nodes: readonly (readonly [standardDeviations: number, weight: number])[] = [
  [-2.8569700138728, 0.01125741132772],
  [-1.3556261799743, 0.22207592200561],
  [0, 0.53333333333333],
  [1.3556261799743, 0.22207592200561],
  [2.8569700138728, 0.01125741132772],
];

export function normalMean(f: (x: number) => number, mean: number, standardDeviation: number): number {
  if (standardDeviation === 0) return f(mean);
  return nodes.reduce((sum, [z, weight]) => sum + weight * f(mean + z * standardDeviation), 0);
}
