/**
 * Sobol points: quasi-random draws that fill the unit cube evenly, so that some hundreds do the work of many thousand
 * random ones. Direction numbers of Joe & Kuo (SIAM J. Sci. Comput. 2008), Gray-code order of Antonov & Saleev (1979),
 * and a digital shift by the seed, which keeps the evenness and lets the draws differ from seed to seed.
 */
interface Primitive {
  readonly degree: number;
  /** The inner coefficients of the primitive polynomial as bits. */
  readonly inner: number;
  readonly initial: readonly number[];
}

const primitives: readonly Primitive[] = [
  [1, 0, [1]],
  [2, 1, [1, 3]],
  [3, 1, [1, 3, 1]],
  [3, 2, [1, 1, 1]],
  [4, 1, [1, 1, 3, 3]],
  [4, 4, [1, 3, 5, 13]],
  [5, 2, [1, 1, 5, 5, 17]],
  [5, 4, [1, 1, 5, 5, 5]],
  [5, 7, [1, 1, 7, 11, 19]],
  [5, 11, [1, 1, 5, 1, 1]],
  [5, 13, [1, 1, 1, 3, 11]],
  [5, 14, [1, 3, 5, 5, 31]],
  [6, 1, [1, 3, 3, 9, 7, 49]],
  [6, 13, [1, 1, 1, 15, 21, 21]],
  [6, 16, [1, 3, 1, 13, 27, 49]],
  [6, 19, [1, 1, 1, 15, 7, 5]],
  [6, 22, [1, 3, 1, 15, 13, 25]],
  [6, 25, [1, 1, 5, 5, 19, 61]],
  [7, 1, [1, 3, 7, 11, 23, 15, 103]],
  [7, 4, [1, 3, 7, 13, 13, 15, 69]],
].map(([degree, inner, initial]) => ({ degree, inner, initial }) as Primitive);

/** The first dimension needs no polynomial. */
export const sobolDimensions = primitives.length + 1;
const bits = 32;

/** Points in (0, 1), by point and then dimension. The same seed gives the same points; throws beyond 21 dimensions. */
export function sobolPoints(count: number, dimensions: number, seed: number): number[][] {
  if (!(dimensions <= sobolDimensions)) {
    throw new RangeError(`Sobol points have at most ${sobolDimensions} dimensions, not ${dimensions}.`);
  }
  const directions = Array.from({ length: dimensions }, (_, d) => directionNumbers(d));
  const shifts = wholeNumbers(seed, dimensions);
  const state = directions.map(() => 0);
  const points: number[][] = [];
  for (let i = 0; i < count; i++) {
    // In Gray-code order point i differs from the one before in the direction of the lowest set bit of i.
    const changed = 31 - Math.clz32(i & -i);
    const point: number[] = [];
    for (let d = 0; d < dimensions; d++) {
      if (i > 0) state[d] = ((state[d] as number) ^ (directions[d]?.[changed] as number)) >>> 0;
      point.push(((((state[d] as number) ^ (shifts[d] as number)) >>> 0) + 0.5) / 2 ** bits);
    }
    points.push(point);
  }
  return points;
}

function directionNumbers(dimension: number): number[] {
  const primitive = primitives[dimension - 1];
  if (!primitive) return Array.from({ length: bits }, (_, i) => (1 << (bits - 1 - i)) >>> 0);
  const { degree, inner, initial } = primitive;
  const of = initial.map((m, i) => (m << (bits - 1 - i)) >>> 0);
  for (let i = degree; i < bits; i++) {
    let value = (of[i - degree] as number) ^ ((of[i - degree] as number) >>> degree);
    for (let k = 1; k < degree; k++) if ((inner >> (degree - 1 - k)) & 1) value ^= of[i - k] as number;
    of.push(value >>> 0);
  }
  return of;
}

/** Whole numbers of 32 bits from a seed (the mixing function of splitmix32, common practice). */
function wholeNumbers(seed: number, count: number): number[] {
  return Array.from({ length: count }, (_, i) => {
    let z = (seed + (i + 1) * 0x9e3779b9) >>> 0;
    z = Math.imul(z ^ (z >>> 16), 0x21f0aaad);
    z = Math.imul(z ^ (z >>> 15), 0x735a2d97);
    return (z ^ (z >>> 15)) >>> 0;
  });
}
