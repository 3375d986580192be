import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { nominal } from '../units/assumed';
import type { Battery } from './battery';
import { chargingRound, chargingTimeS, emptyToFullOf, fitsCharger } from './charging';
import { unfitToFly } from './fitToFly';
import { flyingOrder } from './flyingOrder';
import { isFlown, packAt } from './keeping';
import { warmedInPocketC } from './pocketWarmth';
import { standingPriors, takeoffCharge } from './selfDischarge';
import { storageAdvice, storageInDays } from './storage';
import { defaultHealth } from './wear';

const usual = nominal(standingPriors);
const jay: Battery = {
  ratedCapacityMah: 2350,
  nominalVoltageV: 7.7,
  cellCount: 2,
  fullCellVoltageV: 4.4,
  cycles: 12,
  startCharge: 1,
};
const with_ = (part: Partial<Battery>): Battery => ({ ...jay, ...part });

describe('charging', () => {
  const labelS = 54 * 60;

  test('empty to full lasts what the charger’s label says (common practice: 50 to 56 min), and parts add up (seed 3)', () => {
    expect(chargingTimeS(0, 1, labelS)).toBeCloseTo(labelS, 6);
    const charge = fc.double({ min: 0, max: 1, noNaN: true });
    holds(
      fc.property(charge, charge, charge, (...charges) => {
        const [a, b, c] = charges.sort((x, y) => x - y) as [number, number, number];
        const parts = chargingTimeS(a, b, labelS) + chargingTimeS(b, c, labelS);
        expect(parts).toBeCloseTo(chargingTimeS(a, c, labelS), 6);
      }),
      { seed: 3 },
    );
  });

  test('constant current first, then it tapers: an even rate to 80 %, and the last fifth takes over a third of the time', () => {
    const firstS = chargingTimeS(0, 0.4, labelS);
    expect(chargingTimeS(0.4, 0.8, labelS)).toBeCloseTo(firstS, 6);
    // By hand: 0.8 + 0.2·ln 10/0.9 = 1.3117 of constant rate in all, so 80 % stand after 61.0 % of the time.
    expect(chargingTimeS(0, 0.8, labelS) / labelS).toBeCloseTo(0.61, 3);
    expect(chargingTimeS(0.9, 1, labelS)).toBeGreaterThan(chargingTimeS(0.8, 0.9, labelS));
    expect(chargingTimeS(0.7, 0.6, labelS)).toBe(0);
  });

  test('in turn on a hub for one, side by side on one for three; the next begins where a place is free', () => {
    const packs = ['1', '2', '3', '4'].map((label) => ({ label, charge: 0, energyWh: 18 }));
    expect(
      chargingRound({ atOnce: 1, emptyToFullS: labelS }, packs).map(({ endsS }) => endsS / labelS),
    ).toEqual([1, 2, 3, 4].map((n) => expect.closeTo(n, 9)));
    expect(
      chargingRound({ atOnce: 3, emptyToFullS: labelS }, packs).map(({ startsS }) => startsS / labelS),
    ).toEqual([0, 0, 0, 1].map((n) => expect.closeTo(n, 9)));
  });

  test('a larger pack takes longer: in proportion to the one that was timed, or by the charger’s power', () => {
    // By hand: 54 min with 18 Wh are 117 min with 39 Wh; at 30 W the constant part alone of 18 Wh lasts 0.8 · 36 min.
    expect(emptyToFullOf({ emptyToFullS: 54 * 60, timedWh: 18 }, 39)).toBeCloseTo(117 * 60, 6);
    expect(emptyToFullOf({ emptyToFullS: 54 * 60 }, 39)).toBe(54 * 60);
    const byPowerS = emptyToFullOf({ emptyToFullS: 54 * 60, powerW: 30 }, 18);
    expect(chargingTimeS(0, 0.8, byPowerS)).toBeCloseTo(0.8 * 36 * 60, 6);
    expect([fitsCharger({ aircraftIds: ['jay'] }, 'rook'), fitsCharger({}, 'rook')]).toEqual([false, true]);
  });
});

describe('as it will be at an hour', () => {
  const keeping = { chargedAt: '2026-11-25T18:00:00Z' };

  test('charged yesterday evening, about 96 % a day later, at storage in about five (common practice)', () => {
    const pack = packAt(jay, keeping, '2026-11-26T18:00:00Z', 5);
    expect(pack.daysSinceCharge).toBe(1);
    expect(storageInDays(pack, usual)).toBeCloseTo(4, 9);
    expect(storageAdvice(pack, usual)).toMatchObject({ code: 'sheds-itself', act: false });
    expect(storageAdvice(packAt(jay, keeping, '2026-11-30T18:00:00Z', 5), usual).code).toBe('stored');
    expect(packAt(jay, keeping, '2026-11-25T10:00:00Z', 5).daysSinceCharge).toBe(0);
  });

  test('warm where it waits: a pocket and a room whatever the air, outside the air’s own, or as measured', () => {
    const atC = (keptAt: 'pocket' | 'room' | 'car' | 'outside' | 'own') =>
      packAt(with_({ startTemperatureC: 11 }), { keptAt }, '2026-11-26T08:40:00Z', -4).startTemperatureC;
    expect([atC('pocket'), atC('room'), atC('car'), atC('outside'), atC('own')]).toEqual([25, 20, 8, -4, 11]);
  });

  test('damaged and retired ones are not flown', () => {
    expect([null, {}, { state: 'in use' as const }].map(isFlown)).toEqual([true, true, true]);
    expect(isFlown({ state: 'damaged' })).toBe(false);
    expect(isFlown({ state: 'retired' })).toBe(false);
  });

  test('one below freezing or with a gauge at nothing is not flown as it is; one without a reading is as cold as the air', () => {
    expect([-0.1, 0].map((startTemperatureC) => unfitToFly({ startTemperatureC }, 1, 20))).toEqual([
      'frozen',
      null,
    ]);
    expect([0.004, 0.01].map((charge) => unfitToFly({ startTemperatureC: 20 }, charge, 20))).toEqual([
      'empty',
      null,
    ]);
    expect(unfitToFly({}, 1, -4)).toBe('frozen');
  });
});

test.each<[string, Partial<Battery>, string, boolean]>([
  ['nearly empty is brought up soon', { startCharge: 0.12 }, 'nearly-empty', true],
  ['landed at 30 % is brought to about 60 %', { startCharge: 0.3 }, 'part-charged', true],
  ['60 % is right for storage', { startCharge: 0.6 }, 'stored', false],
  ['a plain pack is not left full for days', { daysToStorage: 0, daysSinceCharge: 4 }, 'full-too-long', true],
  ['one day full is no harm', { daysToStorage: 0, daysSinceCharge: 1 }, 'ready', false],
])('storage (common practice): %s', (_, part, code, act) => {
  expect(storageAdvice(with_(part), usual)).toMatchObject({ code, act });
});

test('to even out wear: the charged ones first, of those the fewest cycles, of equals the one that stood longest', () => {
  const packs = [
    with_({ cycles: 44 }),
    with_({ cycles: 12 }),
    with_({ cycles: 3, startCharge: 0.6 }),
    with_({ cycles: 12, daysSinceCharge: 0.5 }),
  ];
  expect(flyingOrder(packs.map((pack) => ({ ...pack, takeoffCharge: takeoffCharge(pack, usual) })))).toEqual([
    3, 1, 0, 2,
  ]);
});

test('a pack ages from the day it was bought; without one nothing is taken for years', () => {
  const threeYearsOn = '2026-03-01T12:00:00Z';
  const old = packAt(jay, { boughtOn: '2023-03-01' }, threeYearsOn, 10);
  expect(old.ageYears).toBeCloseTo(3, 2);
  expect(defaultHealth(old)).toBeLessThan(defaultHealth(packAt(jay, {}, threeYearsOn, 10)) - 0.05);
});

test('a plain pack has nothing to shed its charge with, others bring themselves to storage in five days (common practice)', () => {
  const left = { startCharge: 1, daysSinceCharge: 5 };
  expect(takeoffCharge(with_(left), usual)).toBeCloseTo(0.6, 9);
  const plain = with_({ ...left, nominalVoltageV: 7.4, fullCellVoltageV: 4.2 });
  expect(takeoffCharge(plain, usual)).toBeGreaterThan(0.99);
  expect(takeoffCharge({ ...plain, daysToStorage: 5 }, usual)).toBeCloseTo(0.6, 9);
});

test('a pocket warms a cold pack towards the body, faster at first, never past it', () => {
  const after = (min: number) => warmedInPocketC(jay, 6, min * 60);
  expect(after(0)).toBeCloseTo(6, 9);
  expect(after(10) - 6).toBeGreaterThan(after(20) - after(10));
  expect(after(10)).toBeGreaterThan(9);
  expect(after(600)).toBeLessThanOrEqual(30);
});

test('days that are none shed nothing: the loops of a drain are bounded by the charge (minus a thousand million hung it until 26 Nov 2026)', () => {
  for (const daysSinceCharge of [-1e9, -1, Number.NaN])
    expect(takeoffCharge(with_({ daysSinceCharge, startCharge: 0.9 }), usual)).toBe(0.9);
});
