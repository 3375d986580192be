import fc from 'fast-check';
import { everyQuantity, ranges } from '../../fixtures/quantities';
import { holds } from '../../fixtures/seeds';
import { minutesAndSeconds } from './clock';
import { numberMarksOf } from './numeral';
import { inChosenUnit, type Quantity, readTyped, shown, violation, withUnit } from './quantity';
import { type ChosenUnits, digitsOf, imperialUnits, metricUnits, written } from './units';

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

test('what is longer than any number with its unit is no number', () => {
  expect(readTyped(wind, `12${'m/s'.padStart(38)}`)).toEqual({ value: 12 });
  expect(readTyped(wind, `12${'m/s'.padStart(39)}`)).toEqual({
    message: expect.stringContaining('a number in m/s is needed'),
  });
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

test('what is shown in a chosen unit and typed back moves by no more than half its last digit (seed 5)', () => {
  const choices = fc.record<ChosenUnits>({
    speed: fc.constantFrom('m/s', 'km/h', 'mph', 'kn'),
    distance: fc.constantFrom('m', 'ft'),
    temperature: fc.constantFrom('°C', '°F'),
    mass: fc.constantFrom('g', 'lb'),
    pressure: fc.constantFrom('hPa', 'inHg'),
  });
  holds(
    fc.property(
      fc.constantFrom(...everyQuantity),
      choices,
      fc.double({ min: 0, max: 1, noNaN: true }),
      (quantity, chosen, at) => {
        const own = inChosenUnit(quantity, chosen);
        const drawn = quantity.min + at * (quantity.max - quantity.min);
        const si = quantity.whole ? Math.round(drawn / quantity.siPerUnit) * quantity.siPerUnit : drawn;
        const text = shown(own, si);
        const read = readTyped(own, text);
        const decimals = quantity.clock ? 0 : (own.digits ?? digitsOf(own.unit));
        const digit = quantity.clock ? 0.5 : 0.5 * 10 ** -decimals * own.siPerUnit;
        expect('value' in read && Math.abs(read.value - si)).toBeLessThanOrEqual(digit + 1e-9);
        // One rule a unit: never more decimals than it has, never a nought behind them.
        if (!quantity.clock) expect(text).toMatch(new RegExp(`^-?\\d+(\\.\\d{0,${decimals}}[1-9])?$`));
      },
    ),
    { seed: 5, numRuns: 400 },
  );
});

test('false decimals of 25 Nov 2026: a temperature, a height, an assumed drag area', () => {
  expect(withUnit(inChosenUnit(air, imperialUnits), (28 - 32) / 1.8)).toBe('28 °F');
  expect(withUnit(inChosenUnit(metres('Height'), imperialUnits), 18.288)).toBe('60 ft');
  expect(withUnit(ranges.aircraft.dragAreaM2, 0.0611554)).toBe('612 cm²');
  expect(withUnit(inChosenUnit(ranges.aircraft.dragAreaM2, imperialUnits), 0.0611554)).toBe('94.8 in²');
});

test('QNH, rotors and drag follow the units too (NIST SP 811, app. B.8: 29.92 inHg are 1013.2 hPa, 1 in 25.4 mm)', () => {
  const typed = (quantity: Quantity, text: string) => readTyped(inChosenUnit(quantity, imperialUnits), text);
  expect(typed(ranges.conditions.qnhHpa, '29.92')).toEqual({ value: expect.closeTo(1013.2, 1) });
  expect(typed(ranges.aircraft.rotorDiameterM, '4.7')).toEqual({ value: expect.closeTo(0.11938, 6) });
  expect(typed(ranges.aircraft.dragAreaM2, '16.3')).toEqual({ value: expect.closeTo(0.010516, 6) });
});

describe('thousands and decimals as the locale has them, as a whole or not at all', () => {
  const distance: Quantity = { label: 'Distance', unit: 'm', siPerUnit: 1, min: 0, max: 10_000, step: 10 };
  const typed = (text: string, locale: string) => readTyped(distance, text, numberMarksOf(locale));
  test.each([
    ['en-GB', '1,200', 1200],
    ['en-GB', '1200', 1200],
    ['en-GB', '1.2', 1.2],
    ['en-GB', '1,2', 1.2],
    ['en-GB', '1,200.5', 1200.5],
    ['en-GB', '1.200,5', 1200.5],
    ['en-GB', '0,250', 0.25],
    ['en-US', '9,999', 9999],
    ['de-DE', '1.200', 1200],
    ['de-DE', '1,200', 1.2],
    ['de-DE', '62,5', 62.5],
    ['de-CH', '1’200', 1200],
    ['fr-FR', '1 200', 1200],
    ['fr-FR', '1\u202f200,5', 1200.5],
    ['pt-BR', '1.200,75', 1200.75],
    ['en-GB', '1,200 m', 1200],
    ['en-GB', '0.5 km', 500],
  ])('%s: %j is %d', (locale, text, value) => {
    expect(typed(text, locale)).toEqual({ value });
  });

  test('12,000 is twelve thousand, so beyond the range, and never twelve (until 25 Nov 2026 it was)', () => {
    expect(typed('12,000', 'en-GB')).toEqual({
      message: 'Distance must be from 0 to 10000 m, not 12000 m.',
    });
  });

  test('what may be two numbers is asked, with both; where only one can be meant, it is that one', () => {
    // In French a point stands for neither thousands nor decimals.
    expect(typed('1.200', 'fr-FR')).toEqual({
      message: 'Distance: does “1.200” mean 1.2 or 1200 m?',
      either: [1.2, 1200],
    });
    expect(typed('12.000', 'fr-FR')).toEqual({ value: 12 });
    expect(readTyped(distance, '1,200')).toMatchObject({ either: [1.2, 1200] });
  });

  test.each(['1,20,000', '1.2.3', '1,200,00', ',', '.', '1,', '1 20', '--1', '1,2,', '12e', '1'.repeat(60)])(
    'no number: %s',
    (text) => {
      const read = typed(text, 'en-GB');
      if (text === '1,') expect(read).toEqual({ value: 1 });
      else expect('message' in read && read.message.length).toBeLessThan(120);
    },
  );
});

test('directions may be points of the compass, days hours and weeks', () => {
  const from = (text: string) => readTyped(ranges.wind.fromDeg, text);
  expect(['W', 'wsw', 'NE', 'south-west', 'north', '270', '270°', 'NNE'].map(from)).toEqual(
    [270, 247.5, 45, 225, 0, 270, 270, 22.5].map((value) => ({ value })),
  );
  expect(from('west of it')).toMatchObject({ message: expect.stringContaining('a number in ° is needed') });
  const days = (text: string) => readTyped(ranges.battery.daysSinceCharge, text);
  expect(['96 h', '4', '2 weeks', '1.5 days'].map(days)).toEqual([4, 4, 14, 1.5].map((value) => ({ value })));
});

test('written values carry the unit that was chosen, and no minus before nothing', () => {
  expect(written('temperature', -0.2, metricUnits)).toBe('0 °C');
  expect(written('distance', 150, imperialUnits)).toBe('492 ft');
  expect(written('density', 1.17, imperialUnits, 2)).toBe('0.0730 lb/ft³');
  expect(written('pressure', 1013.25, imperialUnits)).toBe('29.92 inHg');
});

test('a difference of temperatures is shown and typed without a shifted zero: 10 °C colder is 18 °F colder', () => {
  const colder = { label: 'Colder by', unit: '°C', siPerUnit: 1, difference: true, min: 1, max: 40, step: 1 };
  expect(shown(inChosenUnit(colder, imperialUnits), 10)).toBe('18');
  expect(readTyped(colder, '18 °F')).toEqual({ value: 10 });
});
