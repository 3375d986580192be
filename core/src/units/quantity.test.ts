import { minutesAndSeconds } from './clock';
import { type Quantity, readTyped, violation } from './quantity';

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
