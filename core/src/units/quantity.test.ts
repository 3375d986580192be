import fc from 'fast-check';
import { minutesAndSeconds } from './clock';
import { type Quantity, readTyped, shown, violation } from './quantity';
import {
  type ChosenUnits,
  imperialUnits,
  inChosenUnit,
  inChosenUnits,
  metricUnits,
  written,
} from './unitChoices';

const charge: Quantity = { label: 'Start charge', unit: '%', siPerUnit: 0.01, min: 0, max: 1, step: 1 };
const time: Quantity = {
  label: 'Time',
  unit: 'min',
  siPerUnit: 60,
  min: 30,
  max: 7200,
  step: 1,
  clock: true,
};

test.each([
  ['99', 0.99],
  [' 99 % ', 0.99],
  ['99,5', 0.995],
])('reads %j as a charge', (text, value) => {
  expect(readTyped(charge, text)).toEqual({ value });
});

test.each([
  ['18:06', 1086],
  ['18.1', 1086],
  ['18', 1080],
])('reads %j as minutes', (text, value) => {
  expect(readTyped(time, text)).toEqual({ value });
});

test.each([
  ['200', 'Start charge must be from 0 to 100 %, not 200 %.'],
  ['-5', 'Start charge must be from 0 to 100 %, not -5 %.'],
  ['lots', 'Start charge: a number in % is needed, not “lots”.'],
  ['5 kg', 'Start charge: a number in % is needed, not “5 kg”.'],
  ['', 'Start charge is empty.'],
  ['1e999', 'Start charge must be from 0 to 100 %, not Infinity %.'],
])('says what is wrong with %j', (text, message) => {
  expect(readTyped(charge, text)).toEqual({ message });
});

test('a value that is no number at all is refused', () => {
  for (const value of [Number.NaN, undefined, null, '5', {}]) {
    expect(violation(charge, value)).toBe('Start charge: a number is needed.');
  }
});

test('spans are written as pilots write them', () => {
  expect([0, 59.6, 910, -145, -0.2].map(minutesAndSeconds)).toEqual([
    '0:00',
    '1:00',
    '15:10',
    '−2:25',
    '0:00',
  ]);
});

const metres = (label: string): Quantity => ({ label, unit: 'm', siPerUnit: 1, min: 0, max: 500, step: 5 });
const wind: Quantity = { label: 'Wind', unit: 'm/s', siPerUnit: 1, min: 0, max: 40, step: 0.5 };
const air: Quantity = { label: 'Air', unit: '°C', siPerUnit: 1, min: -40, max: 55, step: 1 };
const mass: Quantity = { label: 'Mass', unit: 'g', siPerUnit: 0.001, min: 0.04, max: 25, step: 1 };

// Conversion factors: NIST Special Publication 811 (2008), appendix B.8.
test.each<[Quantity, string, number]>([
  [wind, '12 mph', 5.36448],
  [wind, '10 kt', 5.144444],
  [wind, '36 km/h', 10],
  [metres('Height'), '400 ft', 121.92],
  [metres('Height'), '0.25 mi', 402.336],
  [air, '23 °F', -5],
  [air, '-40f', -40],
  [mass, '0.55 lb', 0.2494758],
  [mass, '8.8 oz', 0.2494758],
  [{ ...time, clock: false }, '90 s', 90],
])('understands the unit typed after a number: %#', (quantity, text, si) => {
  const read = readTyped(quantity, text);
  expect('value' in read ? read.value : read).toBeCloseTo(si, 5);
});

test('a unit of another kind is not understood', () => {
  expect(readTyped(wind, '12 ft')).toEqual({ message: 'Wind: a number in m/s is needed, not “12 ft”.' });
});

test('in a chosen unit: the same SI value, its bounds typed as shown are taken, arrow keys go in round steps', () => {
  const mph = inChosenUnit(wind, imperialUnits);
  expect(mph).toMatchObject({ unit: 'mph', step: 1 });
  expect(shown(mph, 5.36448)).toBe('12');
  expect(readTyped(mph, shown(mph, wind.max))).toEqual({ value: wind.max });
  expect(readTyped(mph, '90')).toEqual({ message: 'Wind must be from 0 to 89.5 mph, not 90 mph.' });
  expect(inChosenUnit(air, imperialUnits)).toMatchObject({ unit: '°F', step: 2 });
  expect(shown(inChosenUnit(air, imperialUnits), -5)).toBe('23');
  expect(inChosenUnit(wind, metricUnits)).toBe(wind);
});

test('what is shown in a chosen unit and typed back moves by less than its last digit (seed 5)', () => {
  const choices = fc.record<ChosenUnits>({
    speed: fc.constantFrom('m/s', 'km/h', 'mph', 'kn'),
    distance: fc.constantFrom('m', 'ft'),
    temperature: fc.constantFrom('°C', '°F'),
    mass: fc.constantFrom('g', 'lb'),
  });
  const quantities = fc.constantFrom(wind, metres('Height'), air, mass);
  fc.assert(
    fc.property(quantities, choices, fc.double({ min: 0, max: 1, noNaN: true }), (quantity, chosen, at) => {
      const si = quantity.min + at * (quantity.max - quantity.min);
      const own = inChosenUnit(quantity, chosen);
      const read = readTyped(own, shown(own, si));
      const digit = own.digits === undefined ? Math.abs(si) * 1e-5 : 0.5 * 10 ** -own.digits * own.siPerUnit;
      expect('value' in read && Math.abs(read.value - si)).toBeLessThanOrEqual(digit + 1e-9);
    }),
    { seed: 5 },
  );
});

test('sentences of the core are rendered in the chosen units, and nothing else in them changes', () => {
  const say = (text: string) => inChosenUnits(text, imperialUnits);
  expect(say('The way home crawls: 150 m take 0:58 against the wind')).toBe(
    'The way home crawls: 492 ft take 0:58 against the wind',
  );
  expect(say('Gusts of 9 m/s at −5 °C, 1.17 kg/m³, 31:00 min, 2350 mAh, 249 g.')).toBe(
    'Gusts of 20 mph at 23 °F, 1.17 kg/m³, 31:00 min, 2350 mAh, 0.55 lb.',
  );
  expect(inChosenUnits('150 m', metricUnits)).toBe('150 m');
  expect(written('temperature', -0.2, metricUnits)).toBe('0 °C');
});

test('a difference of temperatures is shown and typed without a shifted zero: 10 °C colder is 18 °F colder', () => {
  const colder = { label: 'Colder by', unit: '°C', siPerUnit: 1, difference: true, min: 1, max: 40, step: 1 };
  expect(shown(inChosenUnit(colder, imperialUnits), 10)).toBe('18');
  expect(readTyped(colder, '18 °F')).toEqual({ value: 10 });
});
