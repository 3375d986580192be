/**
 * The value below which a share p of a standard normal distribution lies, for p in (0, 1), to one part in ten million.
 * Source: Wichura, Algorithm AS 241 (PPND7), Applied Statistics 1988. Example: 0.9 → 1.2815516.
 */
export function normalQuantile(p: number): number {
  if (!(p > 0 && p < 1)) throw new RangeError(`A share between 0 and 1 is needed, not ${p}.`);
  const q = p - 0.5;
  if (Math.abs(q) <= 0.425) {
    const r = 0.180625 - q * q;
    return (
      (q * (((59.10937472 * r + 159.29113202) * r + 50.434271938) * r + 3.3871327179)) /
      (((67.1875636 * r + 78.757757664) * r + 17.895169469) * r + 1)
    );
  }
  const tail = Math.sqrt(-Math.log(q < 0 ? p : 1 - p));
  const size =
    tail <= 5
      ? (((0.17023821103 * (tail - 1.6) + 1.3067284816) * (tail - 1.6) + 2.75681539) * (tail - 1.6) +
          1.4234372777) /
        ((0.12021132975 * (tail - 1.6) + 0.7370016425) * (tail - 1.6) + 1)
      : (((0.017337203997 * (tail - 5) + 0.42868294337) * (tail - 5) + 3.081226386) * (tail - 5) +
          6.657905115) /
        ((0.012258202635 * (tail - 5) + 0.24197894225) * (tail - 5) + 1);
  return q < 0 ? -size : size;
}

/** Eight of ten of a normal lie within so many deviations of its middle. */
export const eightInTenDeviations = normalQuantile(0.9);
