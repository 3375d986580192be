import { airDensityKgm3, saturationVapourPa } from './density';
import { densityAltitudeM } from './densityAltitude';
import { windDeviationMps } from './gust';
import { pressureHeightM, standardPressurePa, stationPressurePa } from './pressure';
import { windAtHeightMps } from './windAtHeight';
import { windBehind } from './windReading';
import { airspeedForGroundspeedMps, groundspeedMps, windAlongTrack } from './windTriangle';

test.each([
  [500, 95_460.8],
  [1000, 89_874.6],
  [1524, 84_307.3],
  [2000, 79_495.2],
  [3000, 70_108.5],
])('pressure at %d m is %d Pa (ISO 2533; US Standard Atmosphere 1976)', (heightM, pascal) => {
  expect(standardPressurePa(heightM)).toBeCloseTo(pascal, 1);
  expect(pressureHeightM(pascal)).toBeCloseTo(heightM, 1);
});

test.each([
  [0, 1.225],
  [1000, 1.1116],
  [2000, 1.0065],
  [3000, 0.9091],
])('standard density at %d m is %d kg/m³ (ISO 2533, by the formula)', (heightM, density) => {
  const temperatureC = 15 - 0.0065 * heightM;
  expect(airDensityKgm3(standardPressurePa(heightM), temperatureC, 0)).toBeCloseTo(density, 4);
});

test('moist air: 1.199 kg/m³ at 101,325 Pa, 20 °C, 50 %; dry 1.2041 (CIPM-2007, from memory to 3 digits)', () => {
  expect(airDensityKgm3(101_325, 20, 0.5)).toBeCloseTo(1.199, 3);
  expect(airDensityKgm3(101_325, 20, 0)).toBeCloseTo(1.2041, 4);
});

test('a QNH shifts the pressure as an altimeter setting does (ICAO Doc 8896): standard QNH changes nothing', () => {
  expect(stationPressurePa(620, 1013.25)).toBeCloseTo(standardPressurePa(620), 6);
  expect(stationPressurePa(0, 990)).toBeCloseTo(99_000, 6);
});

test.each([
  [0.03, 1.97],
  [0.1, 2.37],
  [0.25, 2.97],
])('wind 2 m → 120 m over roughness %d m grows ×%d (log law; Wieringa 1992)', (roughnessM, factor) => {
  expect(windAtHeightMps(1, 2, 120, roughnessM, 1)).toBeCloseTo(factor, 2);
});

// Cionco (J. Appl. Meteorol. 4 (1965) 517): u = u_top·e^(a(z/h − 1)). By hand: over a town (z0 1 m) tops count as 5 m, so from
// 2 m to them e^(1.5·0.6) = 2.46, and from there to 60 m ln 60 / ln 5 = 2.544.
test('wind read between the houses is brought up to their tops first, and its doubt is wide', () => {
  expect(windAtHeightMps(1, 2, 60, 1, 1)).toBeCloseTo(2.4596 * 2.544, 2);
  expect(windAtHeightMps(1, 2, 2, 1, 1.7)).toBe(1);
  const doubt = (roughnessM: number) =>
    windAtHeightMps(1, 2, 60, roughnessM, 1.35) / windAtHeightMps(1, 2, 60, roughnessM, 1);
  expect(doubt(1)).toBeGreaterThan(1.8);
  expect(doubt(0.03)).toBeLessThan(1.25);
  // It grows all the way up, without a step at the tops.
  const up = Array.from({ length: 200 }, (_, i) => windAtHeightMps(3, 2, 0.25 * (i + 1), 1, 1));
  up.slice(1).forEach((wind, i) => {
    expect(wind).toBeGreaterThan(up[i] as number);
    expect(wind / (up[i] as number)).toBeLessThan(1.1);
  });
});

// Stull, and the vector's geometry: at 3 m/s the direction is known to about 20°, in calm air not at all, and calm is not calm.
test('a wind reading is off as a vector: in strong wind by an eighth and 20°, in calm air by 0.7 m/s from anywhere', () => {
  const read = (speedMps: number, readingHeightM: number) => (along: number, across: number) =>
    windBehind({ speedMps, fromDeg: 350, readingHeightM }, along, across);
  expect(read(3, 2)(0, 0)).toEqual({ speedMps: 3, fromDeg: 350 });
  expect(read(3, 2)(1, 0).speedMps).toBeCloseTo(3.7, 12);
  expect(read(10, 2)(1, 0).speedMps).toBeCloseTo(11.2, 12);
  expect(read(3, 10)(1, 0).speedMps).toBeCloseTo(4.5, 12);
  expect(read(10, 2)(0, 1).fromDeg).toBeCloseTo(10, 9);
  expect(read(0, 2)(-1, 0)).toEqual({ speedMps: 0.7, fromDeg: 170 });
  expect(read(0.5, 2)(-1, 0).fromDeg).toBeCloseTo(170, 9);
});

describe('wind triangle', () => {
  test('course 090°, 120 kt, wind 045°/40: 88 kt over ground (worked example of FAA-H-8083-25, ch. 16)', () => {
    const { headwindMps, crosswindMps } = windAlongTrack(40, 45, 90);
    expect(groundspeedMps(120, headwindMps, crosswindMps)).toBeCloseTo(88, 0);
  });

  test('a 3-4-5 triangle: 5 m/s of airspeed across 4 m/s of wind leaves 3 m/s over ground (Pythagoras)', () => {
    const { headwindMps, crosswindMps } = windAlongTrack(4, 270, 0);
    expect(groundspeedMps(5, headwindMps, crosswindMps)).toBeCloseTo(3, 12);
    expect(airspeedForGroundspeedMps(3, headwindMps, crosswindMps)).toBeCloseTo(5, 12);
  });

  test('track 030°, 100 kt, wind 060°/20: 82 kt over ground (dead-reckoning rule, by the sine law by hand)', () => {
    // Drift angle asin(20·sin 30°/100) = 5.74°; groundspeed 100·cos 5.74° − 20·cos 30° = 82.18.
    const { headwindMps, crosswindMps } = windAlongTrack(20, 60, 30);
    expect(groundspeedMps(100, headwindMps, crosswindMps)).toBeCloseTo(82.18, 2);
  });

  test('what cannot be flown is negative by the drift, never NaN', () => {
    expect(groundspeedMps(8, 9.2, 0)).toBeCloseTo(-1.2, 12);
    expect(groundspeedMps(8, 0, 10)).toBeLessThan(0);
  });
});

test.each([
  [0, 611],
  [10, 1228],
  [20, 2339],
  [30, 4247],
])(
  'saturation vapour pressure at %d °C is %d Pa within the 0.4 % its paper states (steam tables: Haar, Gallagher & Kell 1984)',
  (temperatureC, pascal) => {
    expect(Math.abs(saturationVapourPa(temperatureC) / pascal - 1)).toBeLessThan(0.004);
  },
);

test.each([
  [1.1116, 1000],
  [1.0065, 2000],
  [0.9091, 3000],
])(
  'density %d kg/m³ is that of %d m in the standard atmosphere (ISO 2533, the table read backwards)',
  (density, heightM) => {
    expect(Math.abs(densityAltitudeM(density) - heightM)).toBeLessThan(1);
  },
);

test('density altitude grows by about 120 ft for each degree above standard (FAA-H-8083-25, ch. 11)', () => {
  const at = (aboveStandardC: number) => {
    const standardC = 15 - 0.0065 * 1524;
    return densityAltitudeM(airDensityKgm3(standardPressurePa(1524), standardC + aboveStandardC, 0));
  };
  const feetPerDegree = (at(10) - at(0)) / 10 / 0.3048;
  expect(feetPerDegree).toBeGreaterThan(110);
  expect(feetPerDegree).toBeLessThan(125);
});

test('the wind read at the flying height has no doubt about its growth, one read low has (by hand: 2.37^1.2)', () => {
  expect(windAtHeightMps(6, 60, 60, 0.1, 1.4)).toBeCloseTo(6, 12);
  expect(windAtHeightMps(1, 2, 120, 0.1, 1.2)).toBeCloseTo(2.367 ** 1.2, 2);
});

test('a gust three deviations up, or none read: 1/ln(z/z0) of the mean (Wieringa 1992, by hand 0.217 at 10 m over farmland)', () => {
  const reading = { meanMps: 6, heightM: 10, roughnessM: 0.1 };
  expect(windDeviationMps({ ...reading, gustMps: 9 }, 3)).toBeCloseTo(1, 12);
  expect(windDeviationMps({ ...reading, gustMps: null }, 3) / 6).toBeCloseTo(0.217, 3);
});

test('a gust below its wind cannot be: it counts as none read, never as a negative deviation', () => {
  const reading = { meanMps: 6, heightM: 10, roughnessM: 0.1 };
  const none = windDeviationMps({ ...reading, gustMps: null }, 2.5);
  expect(windDeviationMps({ ...reading, gustMps: 4 }, 2.5)).toBe(none);
  expect(none).toBeGreaterThan(0);
  // A gust as strong as the wind is a steady wind.
  expect(windDeviationMps({ ...reading, gustMps: 6 }, 2.5)).toBe(0);
});
