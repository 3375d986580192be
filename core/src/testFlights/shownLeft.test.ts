import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { lowCells } from './lowCells';
import { shownLeft, shownOverCame } from './shownLeft';
import { requestForTest, type TestFlight, testFlightFault } from './testFlight';

const { aircraft, battery, conditions } = jayOnTheFell;
/** To 0 %, landing itself at 10 %: 4 % a minute at first, faster at the end. */
const toZero: TestFlight = {
  pattern: 'low-hover',
  heightM: 5,
  startCharge: 0.98,
  endCharge: 0,
  durationS: 1410,
  checkpoints: [
    { timeS: 0, leftS: 28 * 60 },
    { timeS: 720, charge: 0.5, leftS: 14 * 60 },
    { timeS: 1240, charge: 0.1, kind: 'forced-landing' },
    { timeS: 1380, charge: 0.03 },
  ],
};
const of = (test: TestFlight, change: Partial<typeof aircraft> = {}) =>
  shownLeft(test, requestForTest(test, { ...aircraft, ...change }, battery, conditions), boxMiddle);

test('minutes left are held against what was noted: 28 shown where 20:40 came, by hand', () => {
  expect(testFlightFault(toZero)).toBeNull();
  expect(of(toZero)).toEqual([
    { timeS: 0, shownS: 1680, cameS: 1240 },
    { timeS: 720, shownS: 840, cameS: 520 },
  ]);
  // (1680 / 1240 + 840 / 520) / 2 = 1.485.
  expect(shownOverCame(of(toZero))).toBeCloseTo(1.485, 3);
  expect(of({ ...toZero, leftTo: 'empty' })[0]?.cameS).toBeCloseTo(1410, -2);
});

test('where it landed before, they are held against its own drain down to that charge', () => {
  const [noted, ...readings] = toZero.checkpoints ?? [];
  const landed: TestFlight = {
    ...toZero,
    endCharge: 0.26,
    durationS: 1035,
    checkpoints: [...(noted ? [noted] : []), ...readings.slice(0, 1)],
  };
  const [first] = of(landed);
  // At 4 % a minute 10 % come after 22:00; the drain quickens at the end, so somewhat before.
  expect(first?.cameS).toBeGreaterThan(1200);
  expect(first?.cameS).toBeLessThan(1320);
  // An aircraft that lands itself at 5 % has more before it.
  expect(of(landed, { forcedLandingCharge: 0.05 })[0]?.cameS ?? 0).toBeGreaterThan(first?.cameS ?? 0);
  // Its own call depends on where it is: nothing is told unless it was noted.
  expect(of({ ...landed, leftTo: 'return' })).toEqual([]);
  expect(of({ ...landed, checkpoints: null })).toEqual([]);
});

test('cells under 3.2 V, or 0.1 V apart, are told with their flight (common practice); a lithium-ion cell may come to 2.8 (from memory)', () => {
  const flight = (flownAt: string, lowestCellVoltageV: number, cellSpreadV: number) => ({
    flownAt,
    test: { checkpoints: [{ timeS: 60, lowestCellVoltageV, cellSpreadV }] },
  });
  const flown = [
    flight('2026-11-01', 3.3, 0.02),
    flight('2026-11-08', 3.05, 0.12),
    flight('2026-11-15', 3.5, 0.03),
  ];
  expect(lowCells(battery, flown)).toEqual({
    drained: expect.objectContaining({ flownAt: '2026-11-08', cellVoltageV: 3.05 }),
    apart: expect.objectContaining({ flownAt: '2026-11-08', spreadV: 0.12 }),
  });
  expect(lowCells({ ...battery, chemistry: 'lithium-ion' }, flown).drained).toBeNull();
  expect(lowCells({ ...battery, neverCellVoltageV: 3 }, flown).drained).toBeNull();
  expect(lowCells(battery, flown.slice(0, 1))).toEqual({ drained: null, apart: null });
  expect(lowCells(battery, [])).toEqual({ drained: null, apart: null });
});
