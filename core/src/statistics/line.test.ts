import { lineThrough, meanAndScatter } from './line';

/** NIST StRD, Norris: 36 observations of linear regression at the lower level of difficulty, [x, y]. */
const norris = [
  [0.2, 0.1],
  [337.4, 338.8],
  [118.2, 118.1],
  [884.6, 888.0],
  [10.1, 9.2],
  [226.5, 228.1],
  [666.3, 668.5],
  [996.3, 998.5],
  [448.6, 449.1],
  [777.0, 778.9],
  [558.2, 559.2],
  [0.4, 0.3],
  [0.6, 0.1],
  [775.5, 778.1],
  [666.9, 668.8],
  [338.0, 339.3],
  [447.5, 448.9],
  [11.6, 10.8],
  [556.0, 557.7],
  [228.1, 228.3],
  [995.8, 998.0],
  [887.6, 888.8],
  [120.2, 119.6],
  [0.3, 0.3],
  [0.3, 0.6],
  [556.8, 557.6],
  [339.1, 339.3],
  [887.2, 888.0],
  [999.0, 998.5],
  [779.0, 778.9],
  [11.1, 10.2],
  [118.3, 117.6],
  [229.2, 228.9],
  [669.1, 668.4],
  [448.9, 449.2],
  [0.5, 0.2],
] as const;

test('the line through NIST’s Norris data has the certified slope, intercept and residual deviation', () => {
  const line = lineThrough(norris);
  expect(line?.slope).toBeCloseTo(1.00211681802045, 11);
  expect(line?.intercept).toBeCloseTo(-0.262323073774029, 9);
  expect(line?.residualDeviation).toBeCloseTo(0.884796396144373, 10);
});

test('one point, or points above each other, make no line; two leave nothing over', () => {
  expect(lineThrough([[1, 2]])).toBeNull();
  expect(
    lineThrough([
      [1, 2],
      [1, 3],
    ]),
  ).toBeNull();
  expect(
    lineThrough([
      [1, 2],
      [3, 6],
    ]),
  ).toEqual({ slope: 2, intercept: 0, residualDeviation: 0 });
});

test('mean and scatter of 2, 4, 4, 4, 5, 5, 7, 9 are 5 and √(32/7) by hand; one value has no scatter', () => {
  const { mean, scatter } = meanAndScatter([2, 4, 4, 4, 5, 5, 7, 9]);
  expect(mean).toBe(5);
  expect(scatter).toBeCloseTo(Math.sqrt(32 / 7), 12);
  expect(meanAndScatter([3])).toEqual({ mean: 3, scatter: null });
});
