import { jayOnTheFell } from '../../fixtures/jay';
import { writeInSi } from '../units/sentence';
import { type AskedTest, testQuestions } from './questions';

const now = Date.parse('2026-11-26T12:00:00Z');
const { aircraft, battery, conditions } = jayOnTheFell;
const hover = {
  pattern: 'low-hover',
  heightM: 2,
  startCharge: 0.98,
  endCharge: 0.25,
  durationS: 16 * 60,
} as const;
const ask = (change: Partial<AskedTest> = {}) =>
  testQuestions(
    { test: hover, weather: conditions, flownAt: '2026-11-26T10:00:00Z', aircraft, battery, ...change },
    now,
  );

test('a usual test is not asked about', () => {
  expect(ask()).toEqual([]);
});

test('100:00 from 99 to 60 % would be 256 min of a box of 31 (taken without a word until 25 Nov 2026)', () => {
  const [question] = ask({ test: { ...hover, startCharge: 0.99, endCharge: 0.6, durationS: 6000 } });
  // By hand: 100 min for 39 % are 256:25 for all, 827 % of 31:00.
  expect(question && writeInSi(question)).toBe(
    'At this rate a whole charge would last 256:25, 827 % of the box: are the time and both charges right?',
  );
});

test('what is far too short is asked as well; hard flying in a third of the box is not, nor a larger pack that lasts longer', () => {
  const codes = (durationS: number, more: Partial<AskedTest> = {}) =>
    ask({ test: { ...hover, durationS }, ...more }).map(({ code }) => code);
  expect(codes(4 * 60)).toEqual(['shorter-than-box']);
  expect(codes(8 * 60)).toEqual([]);
  // A pack half as large again as the box's: 32 min for 73 % are 141 % of the box, and 94 % of its own due.
  const large = {
    battery: { ...battery, ratedCapacityMah: 3525 },
    aircraft: { ...aircraft, advertisedCapacityMah: 2350 },
  };
  expect(codes(32 * 60, large)).toEqual([]);
  expect(codes(32 * 60)).toEqual(['longer-than-box']);
});

test('a reading that comes four times too early for what the whole flight spent is asked; one that spent next to nothing is not', () => {
  // By hand: 73 % in 960 s are 0.076 % a second, so 20 % gone are due at 263 s and four times too early before 66 s.
  const codes = (timeS: number, charge: number) =>
    ask({ test: { ...hover, checkpoints: [{ timeS, charge }] } }).map(({ code }) => code);
  expect(codes(60, 0.78)).toEqual(['reading-too-early']);
  expect(codes(72, 0.78)).toEqual([]);
  expect(codes(5, 0.94)).toEqual([]);
});

test('dated tomorrow, and a gust below the wind, are asked; a clock five minutes fast is not', () => {
  const codes = (change: Partial<AskedTest>) => ask(change).map(({ code }) => code);
  expect(codes({ flownAt: '2026-11-27T10:00:00Z' })).toEqual(['dated-later']);
  expect(codes({ flownAt: '2026-11-26T12:04:00Z' })).toEqual([]);
  // The same instant in another zone is no later.
  expect(codes({ flownAt: '2026-11-26T21:00:00+11:00' })).toEqual([]);
  expect(codes({ weather: { ...conditions, wind: { ...conditions.wind, gustMps: 2 } } })).toEqual([
    'gust-below-wind',
  ]);
});
