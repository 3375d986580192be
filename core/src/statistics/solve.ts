/**
 * The root of a continuous function between two bounds of opposite sign, by the method of Ridders (IEEE Trans. Circuits
 * Syst. 1979): quadratic convergence, bracketed so that it cannot run away, bounded in steps so that it cannot hang.
 * Returns null when the bounds do not bracket a root.
 */
export function solveBetween(
  f: (x: number) => number,
  low: number,
  high: number,
  tolerance: number,
  maxSteps = 60,
): number | null {
  let [a, b] = [low, high];
  let [fa, fb] = [f(a), f(b)];
  if (fa === 0) return a;
  if (fb === 0) return b;
  if (!(fa * fb < 0)) return null;
  let best = Number.POSITIVE_INFINITY;
  for (let step = 0; step < maxSteps; step++) {
    const middle = (a + b) / 2;
    const fm = f(middle);
    const x = middle + ((middle - a) * Math.sign(fa - fb) * fm) / Math.sqrt(fm * fm - fa * fb);
    if (Math.abs(x - best) <= tolerance) return x;
    best = x;
    const fx = f(x);
    if (fx === 0) return x;
    if (fm * fx < 0) [a, fa, b, fb] = [middle, fm, x, fx];
    else if (fa * fx < 0) [b, fb] = [x, fx];
    else [a, fa] = [x, fx];
    if (Math.abs(b - a) <= tolerance) return x;
  }
  return best;
}

/**
 * The root of a nearly straight function by the secant method, from a guess and a guess of the slope: three or four
 * evaluations where `solveBetween` takes ten. The last step is taken unchecked, so the root is far closer than the
 * tolerance. Null when it does not settle within some steps; then bracket the root.
 */
export function solveNear(
  f: (x: number) => number,
  guess: number,
  slope: number,
  tolerance: number,
  maxSteps = 8,
): number | null {
  let [a, fa] = [guess, f(guess)];
  let b = a - fa / slope;
  for (let step = 0; step < maxSteps; step++) {
    if (!Number.isFinite(b)) return null;
    if (Math.abs(b - a) <= tolerance) return b;
    const fb = f(b);
    const next = fb === fa ? b : b - (fb * (b - a)) / (fb - fa);
    [a, fa, b] = [b, fb, next];
  }
  return null;
}
