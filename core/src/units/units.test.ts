import { daysInWords, minutesAndSeconds, readClock } from './clock';
import { readCompass } from './compass';
import { type Quantity, readTyped, withUnit } from './quantity';
import {
  type Dimension,
  dimensionOf,
  imperialUnits,
  metricUnits,
  unitFor,
  unitNamed,
  written,
} from './units';

const any = (unit: string, siPerUnit: number): Quantity => ({
  label: 'It',
  unit,
  siPerUnit,
  min: -1e6,
  max: 1e6,
  step: 1,
});

// Factors to SI of NIST SP 811 (2008), appendix B.8, to the digits printed there; knots and nautical miles of the SI Brochure.
test.each([
  ['1 mph', 'm/s', 1, 0.44704],
  ['1 km/h', 'm/s', 1, 0.2777778],
  ['1 kn', 'm/s', 1, 0.5144444],
  ['1 kt', 'm/s', 1, 0.5144444],
  ['1 ft', 'm', 1, 0.3048],
  ['1 mi', 'm', 1, 1609.344],
  ['1 yd', 'm', 1, 0.9144],
  ['1 km', 'm', 1, 1000],
  ['32 °F', '°C', 1, 0],
  ['212 °F', '°C', 1, 100],
  ['-40 °F', '°C', 1, -40],
  ['1 lb', 'g', 0.001, 0.45359237],
  ['1 oz', 'g', 0.001, 0.02834952],
  ['1 kg', 'g', 0.001, 1],
  ['1 in', 'mm', 0.001, 0.0254],
  ['1 cm', 'mm', 0.001, 0.01],
  ['1 in²', 'cm²', 1e-4, 0.00064516],
  ['29.92 inHg', 'hPa', 1, 1013.208],
  ['1013 mbar', 'hPa', 1, 1013],
  ['1 lb/ft³', 'kg/m³', 1, 16.01846],
  ['1 lb/ft²', 'N/m²', 1, 47.88026],
  ['2.35 Ah', 'mAh', 1, 2350],
  ['90 s', 'min', 60, 90],
  ['0.5 h', 'min', 60, 1800],
  ['96 h', 'd', 1, 4],
  ['2 weeks', 'd', 1, 14],
])('%s, typed where %s are wanted, is what the handbook says', (typed, unit, siPerUnit, si) => {
  const read = readTyped(any(unit, siPerUnit), typed);
  expect('value' in read ? read.value : read.message).toBeCloseTo(
    si,
    Math.abs(si) > 100 ? 2 : Math.abs(si) > 10 ? 5 : 6,
  );
});

test('a unit of another kind is none: feet are no speed, and millibars no height', () => {
  for (const [unit, word] of [
    ['m/s', 'ft'],
    ['m', 'mbar'],
    ['°C', 'kg'],
    ['hPa', 'in²'],
  ] as const)
    expect(unitNamed(unit, word)).toBeNull();
});

test('what was chosen, what follows it, and what has but one unit', () => {
  const names = (dimensions: Dimension[], units = imperialUnits) =>
    dimensions.map((dimension) => unitFor(dimension, units).name);
  expect(names(['speed', 'distance', 'temperature', 'mass', 'pressure'])).toEqual([
    'mph',
    'ft',
    '°F',
    'lb',
    'inHg',
  ]);
  expect(names(['span', 'area', 'density', 'discLoading'])).toEqual(['in', 'in²', 'lb/ft³', 'lb/ft²']);
  expect(names(['span', 'area', 'density', 'discLoading'], metricUnits)).toEqual([
    'mm',
    'cm²',
    'kg/m³',
    'N/m²',
  ]);
  expect(names(['time', 'days', 'capacity'])).toEqual(['min', 'd', 'mAh']);
  expect(dimensionOf('mΩ')).toBeNull();
});

// One rounding rule for each quantity and unit: what is a whole metre is a whole foot, what has one decimal in m/s has one in mph.
test.each([
  ['distance', 60, 0, '60 m', '197 ft'],
  ['speed', 3, 1, '3.0 m/s', '6.7 mph'],
  ['temperature', -4, 0, '−4 °C', '25 °F'],
  ['pressure', 1008, 0, '1008 hPa', '29.77 inHg'],
  ['mass', 0.249, 0, '249 g', '0.55 lb'],
  ['span', 0.12, 0, '120 mm', '4.7 in'],
  ['area', 0.0105, 0, '105 cm²', '16.3 in²'],
  ['density', 1.17, 2, '1.17 kg/m³', '0.0730 lb/ft³'],
] as const)(
  'a %s of %d is written with as many digits as say as much',
  (dimension, si, digits, metric, imperial) => {
    expect(written(dimension, si, metricUnits, digits)).toBe(metric);
    expect(written(dimension, si, imperialUnits, digits)).toBe(imperial);
  },
);

test('no unit, no word: a count stands alone', () => {
  expect(withUnit(any('', 1), 12)).toBe('12');
});

// The compass card: 16 points, 22.5° apart, from north by east.
test.each([
  ['N', 0],
  ['NNE', 22.5],
  ['e', 90],
  ['SSW', 202.5],
  ['WSW', 247.5],
  ['W', 270],
  ['NNW', 337.5],
  ['south-west', 225],
  ['north east', 45],
])('the wind from %s is from %d°', (words, degrees) => {
  expect(readCompass(words)).toBe(degrees);
});

test('what is no point of the compass is none', () => {
  for (const words of ['', 'NS', 'WE', 'NNNE', 'windward', 'x']) expect(readCompass(words)).toBeNull();
});

test('spans and days in words', () => {
  expect([0, 59.6, 910, -75, 6000].map(minutesAndSeconds)).toEqual([
    '0:00',
    '1:00',
    '15:10',
    '−1:15',
    '100:00',
  ]);
  expect(['18:06', '0:59', '100:00', '1:60', '18', 'soon'].map(readClock)).toEqual([
    1086,
    59,
    6000,
    null,
    null,
    null,
  ]);
  expect([0.5, 0.94, 1, 1.4, 3].map(daysInWords)).toEqual(['12 h', '23 h', '1 day', '1 day', '3 days']);
});
