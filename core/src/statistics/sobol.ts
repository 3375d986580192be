import { joeKuo } from './joeKuo';

/**
 * Sobol points: quasi-random draws that fill the unit cube evenly, so that some hundreds do the work of many thousand
 * random ones. Direction numbers of Joe & Kuo (SIAM J. Sci. Comput. 2008), Gray-code order of Antonov & Saleev (1979),
 * and a digital shift by the seed, which keeps the evenness and lets the draws differ from seed to seed.
 */
export const sobolDimensions = joeKuo.length + 1;
const bits = 32;

/**
 * Points in (0, 1), by point and then dimension. The same seed gives the same points, and a dimension more leaves the others
 * as they were. Dimensions beyond the table are Latin hypercube draws (McKay et al., Technometrics 1979): each axis evenly
 * filled, which is what padding Sobol points takes (Owen, Ann. Stat. 1998).
 */
export function sobolPoints(count: number, dimensions: number, seed: number): number[][] {
  const shifts = wholeNumbers(seed, dimensions);
  const axes = Array.from({ length: dimensions }, (_, d) =>
    d < sobolDimensions ? sobolAxis(count, d, shifts[d] as number) : latinAxis(count, shifts[d] as number),
  );
  return Array.from({ length: count }, (_, i) => axes.map((axis) => axis[i] as number));
}

function sobolAxis(count: number, dimension: number, shift: number): number[] {
  const directions = directionNumbers(dimension);
  let state = 0;
  return Array.from({ length: count }, (_, i) => {
    // In Gray-code order point i differs from the one before in the direction of the lowest set bit of i.
    const changed = 31 - Math.clz32(i & -i);
    if (i > 0) state = (state ^ (directions[changed] as number)) >>> 0;
    return (((state ^ shift) >>> 0) + 0.5) / 2 ** bits;
  });
}

/** One point in the middle of each of `count` equal strips, in an order drawn by the seed (Fisher & Yates). */
function latinAxis(count: number, seed: number): number[] {
  const strips = Array.from({ length: count }, (_, i) => i);
  wholeNumbers(seed, count).forEach((whole, i) => {
    const other = i + (whole % (count - i));
    [strips[i], strips[other]] = [strips[other] as number, strips[i] as number];
  });
  return strips.map((strip) => (strip + 0.5) / count);
}

function directionNumbers(dimension: number): number[] {
  const primitive = joeKuo[dimension - 1];
  if (!primitive) return Array.from({ length: bits }, (_, i) => (1 << (bits - 1 - i)) >>> 0);
  const [degree, inner, initial] = primitive;
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
