import { jayOnTheFell } from '../../fixtures/jay';
import { belowZeroS, drainPieces, isLowLanding, passed, sheetFindings } from './reading';
import { type TestFlight, testFlightFault } from './testFlight';

const test1: TestFlight = {
  pattern: 'low-hover',
  heightM: 2,
  startCharge: 0.98,
  endCharge: 0,
  durationS: 1437,
  checkpoints: [
    { timeS: 720, charge: 0.5, cellVoltageV: 3.7 },
    { timeS: 1120, charge: 0.2, kind: 'low-warning' },
    { timeS: 1240, charge: 0.1, kind: 'forced-landing' },
    { timeS: 1412, kind: 'empty' },
    { timeS: 1437, kind: 'motors-out', cellVoltageV: 3 },
  ],
};

test('drain piece by piece: 48 % in 12 min are 4 % a minute, by hand; equal readings make one piece', () => {
  const pieces = drainPieces(test1);
  expect(pieces[0]).toEqual({ fromS: 0, untilS: 720, chargePerS: expect.closeTo(0.04 / 60, 12) });
  expect(pieces).toHaveLength(4);
  const flat = drainPieces({ ...test1, checkpoints: [{ timeS: 300, charge: 0.98 }] });
  expect(flat).toEqual([{ fromS: 0, untilS: 1437, chargePerS: expect.closeTo(0.98 / 1437, 12) }]);
});

test('0:25 in the air below 0 %; a flight that landed at 20 % has none', () => {
  expect(belowZeroS(test1)).toBe(25);
  expect(belowZeroS({ ...test1, endCharge: 0.2, checkpoints: null })).toBeNull();
  // Put down as the gauge came to 0 %.
  expect(belowZeroS({ ...test1, checkpoints: null })).toBeNull();
});

test('it landed itself at 10 where the sheet says 5: told; a warning within one per cent is none', () => {
  const aircraft = { ...jayOnTheFell.aircraft, forcedLandingCharge: 0.05, lowWarningCharge: 0.21 };
  expect(sheetFindings(test1, aircraft)).toEqual([
    {
      kind: 'forced-landing',
      field: 'forcedLandingCharge',
      signCharge: 0.1,
      readCharge: 0.1,
      sheetCharge: 0.05,
      isAssumed: false,
    },
  ]);
  // The sheet is silent and 10 % is assumed anyway.
  expect(sheetFindings(test1, jayOnTheFell.aircraft)).toEqual([]);
});

test('it asked to go home at 26 % in a hover at 2 m: 10 for its landing and 2 for the way down leave a margin of 14 %, by hand', () => {
  // 50 to 26 % in 360 s are 4 % a minute; 2 m at 3 m/s and 20 s to land are 20.7 s, 1.4 %. 26 − 10 − 1.4 = 14.6, said as 15 %.
  const asked: TestFlight = {
    ...test1,
    pattern: 'low-hover',
    heightM: 2,
    checkpoints: [
      { timeS: 720, charge: 0.5 },
      { timeS: 1080, charge: 0.26, kind: 'own-return' },
    ],
  };
  const [found] = sheetFindings(asked, jayOnTheFell.aircraft);
  expect(found).toEqual({
    kind: 'own-return',
    field: 'ownCallMarginCharge',
    signCharge: 0.26,
    readCharge: expect.closeTo(0.15, 9),
    sheetCharge: 0.07,
    isAssumed: true,
  });
  // Once it stands on the sheet there is nothing to find; away from home nothing can be said.
  expect(sheetFindings(asked, { ...jayOnTheFell.aircraft, ownCallMarginCharge: 0.15 })).toEqual([]);
  expect(sheetFindings({ ...asked, pattern: 'there-and-back' }, jayOnTheFell.aircraft)).toEqual([]);
});

test('milestones: read where they were read, straight between readings, and not told where they were not passed', () => {
  expect(passed(test1, { charge: 0.5 })).toEqual({ timeS: 720, cellVoltageV: 3.7 });
  // 10 % at 20:40 and 0 % at 23:32: 5 % half-way.
  expect(passed(test1, { charge: 0.05 })).toEqual({ timeS: 1326, cellVoltageV: null });
  expect(passed(test1, { kind: 'motors-out' })).toEqual({ timeS: 1437, cellVoltageV: 3 });
  expect(passed(test1, { kind: 'own-return' })).toBeNull();
  expect(passed({ ...test1, endCharge: 0.2, checkpoints: [] }, { charge: 0.1 })).toBeNull();
});

test('readings lie within the flight, in order, and say something', () => {
  expect(testFlightFault(test1)).toBeNull();
  const fault = (checkpoints: TestFlight['checkpoints']) => testFlightFault({ ...test1, checkpoints });
  expect(fault([{ timeS: 1500, charge: 0.5 }])).toMatchObject({ path: 'checkpoints.0' });
  expect(
    fault([
      { timeS: 500, charge: 0.5 },
      { timeS: 400, charge: 0.4 },
    ]),
  ).toMatchObject({ path: 'checkpoints.1' });
  expect(fault([{ timeS: 500 }])?.message).toContain('needs');
});

test('a landing below 15 % counts as low', () => {
  expect([0.2, 0.15, 0.149, 0].map((endCharge) => isLowLanding({ endCharge }))).toEqual([
    false,
    false,
    true,
    true,
  ]);
});
