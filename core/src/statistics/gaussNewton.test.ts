import { forwardDifferences, gaussNewton } from './gaussNewton';

const closely = { stopBelow: 1e-18, mostSteps: 200 };
const finely = (x: number) => 1e-7 * Math.max(1e-3, Math.abs(x));

function fitted(
  model: (b: readonly number[], x: number) => number,
  data: readonly (readonly [y: number, x: number])[],
  start: readonly number[],
) {
  const residualsAt = (b: readonly number[]) => data.map(([y, x]) => model(b, x) - y);
  return gaussNewton({ residualsAt, jacobianAt: forwardDifferences(residualsAt, finely) }, start, closely);
}

function expectDigits(found: readonly number[], certified: readonly number[], digits: number) {
  found.forEach((value, i) => {
    expect(Math.abs(value / (certified[i] as number) - 1)).toBeLessThan(0.5 * 10 ** -digits);
  });
}

// NIST StRD, non-linear regression, lower difficulty: Misra1a, from both of its starts.
test.each([[[500, 0.0001]], [[250, 0.0005]]])('Misra1a from %j to six digits (NIST StRD)', (start) => {
  const data = [
    [10.07, 77.6],
    [14.73, 114.9],
    [17.94, 141.1],
    [23.93, 190.8],
    [29.61, 239.9],
    [35.18, 289.0],
    [40.02, 332.8],
    [44.82, 378.4],
    [50.76, 434.8],
    [55.05, 477.3],
    [61.01, 536.8],
    [66.4, 593.1],
    [75.47, 689.1],
    [81.78, 760.0],
  ] as const;
  const { x, cost } = fitted(
    ([b1, b2], at) => (b1 as number) * (1 - Math.exp(-(b2 as number) * at)),
    data,
    start,
  );
  expectDigits(x, [238.94212918, 5.5015643181e-4], 6);
  expectDigits([2 * cost], [0.12455138894], 6);
});

// NIST StRD, non-linear regression, higher difficulty: Thurber, from both of its starts.
test.each([[[1000, 1000, 400, 40, 0.7, 0.3, 0.03]], [[1300, 1500, 500, 75, 1, 0.4, 0.05]]])(
  'Thurber from %j to six digits (NIST StRD)',
  (start) => {
    const data = [
      [80.574, -3.067],
      [84.248, -2.981],
      [87.264, -2.921],
      [87.195, -2.912],
      [89.076, -2.84],
      [89.608, -2.797],
      [89.868, -2.702],
      [90.101, -2.699],
      [92.405, -2.633],
      [95.854, -2.481],
      [100.696, -2.363],
      [101.06, -2.322],
      [401.672, -1.501],
      [390.724, -1.46],
      [567.534, -1.274],
      [635.316, -1.212],
      [733.054, -1.1],
      [759.087, -1.046],
      [894.206, -0.915],
      [990.785, -0.714],
      [1090.109, -0.566],
      [1080.914, -0.545],
      [1122.643, -0.4],
      [1178.351, -0.309],
      [1260.531, -0.109],
      [1273.514, -0.103],
      [1288.339, 0.01],
      [1327.543, 0.119],
      [1353.863, 0.377],
      [1414.509, 0.79],
      [1425.208, 0.963],
      [1421.384, 1.006],
      [1442.962, 1.115],
      [1464.35, 1.572],
      [1468.705, 1.841],
      [1447.894, 2.047],
      [1457.628, 2.2],
    ] as const;
    const model = (b: readonly number[], x: number) => {
      const [b1, b2, b3, b4, b5, b6, b7] = b as [number, number, number, number, number, number, number];
      return (b1 + x * (b2 + x * (b3 + x * b4))) / (1 + x * (b5 + x * (b6 + x * b7)));
    };
    const { x, cost } = fitted(model, data, start);
    expectDigits(
      x,
      [1288.13968, 1491.0792535, 583.23836877, 75.416644291, 0.96629502864, 0.39797285797, 0.049727297349],
      6,
    );
    expectDigits([2 * cost], [5642.7082397], 6);
  },
);

test('a whole step that leads uphill or out of the model is shortened: arctan, where Newton’s own runs away beyond 1.39', () => {
  const residualsAt = ([x]: readonly number[]) =>
    Math.abs(x as number) > 4 ? null : [Math.atan(x as number)];
  const { x, steps } = gaussNewton(
    { residualsAt, jacobianAt: ([at]) => [[1 / (1 + (at as number) ** 2)]] },
    [3],
    closely,
  );
  expect(Math.abs(x[0] as number)).toBeLessThan(1e-6);
  expect(steps).toBeGreaterThan(1);
  expect(() => gaussNewton({ residualsAt, jacobianAt: () => [[1]] }, [5], closely)).toThrow('begins');
});
