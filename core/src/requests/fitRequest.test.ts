import { asSupposed, SyntheticAircraft } from '../../fixtures/calibrationWorlds';
import { jayOnTheFell } from '../../fixtures/jay';
import { fitOf } from '../calibration/fit';
import { packAdvice } from '../calibration/packAdvice';
import { basisOf, changesSince, listedFit } from '../records/fitted';
import type { AircraftRecord, BatteryRecord } from '../records/records';
import { writeInSi } from '../units/sentence';
import { type CountedTest, fitRequestFor } from './fitRequest';

const kept = { createdAt: '2026-11-26T08:00:00Z', updatedAt: '2026-11-26T08:00:00Z', version: 1 };
const aircraft = { ...kept, id: 'jay', spec: jayOnTheFell.aircraft } as unknown as AircraftRecord;
const battery = (id: string, aircraftId = 'jay') =>
  ({ ...kept, id, aircraftId, label: id, pack: jayOnTheFell.battery }) as unknown as BatteryRecord;
const batteries = [battery('a'), battery('b'), battery('c', 'rook')];
const flight = (id: string, more: Partial<CountedTest> = {}): CountedTest => ({
  id,
  aircraftId: 'jay',
  batteryId: 'a',
  flownAt: '2026-11-25T10:00:00+00:00',
  counts: true,
  weather: jayOnTheFell.conditions,
  test: {
    pattern: 'low-hover',
    heightM: 3,
    startCharge: 0.98,
    endCharge: 0.2,
    durationS: 1100,
    checkpoints: [
      { timeS: 500, charge: 0.6, cellVoltageV: 3.8 },
      { timeS: 1000, charge: 0.3, kind: 'low-warning' },
    ],
  },
  ...more,
});
const ask = (...tests: CountedTest[]) => fitRequestFor(aircraft, batteries, tests, null);

test('a pack is as old as it was when it flew last, and growing older changes no fit', () => {
  const bought = batteries.map((one) => ({ ...one, keeping: { boughtOn: '2024-11-25' } }));
  const asked = (...tests: CountedTest[]) => fitRequestFor(aircraft, bought, tests, null);
  const [then, now] = [
    asked(flight('one')),
    asked(flight('one'), flight('two', { flownAt: '2027-11-25T10:00:00+00:00' })),
  ];
  expect([then, now].map(({ batteries: [first] }) => Math.round(first?.ageYears ?? 0))).toEqual([2, 3]);
  expect(then.batteries[1]?.ageYears).toBeUndefined();
  expect(changesSince(basisOf(then), basisOf(now))).toMatchObject({ added: 1, changed: 0 });
});

test('a fit is asked for with the flights of its aircraft in order, its packs, and what does not count marked so', () => {
  const request = ask(
    flight('later', { flownAt: '2026-11-25T12:00:00+02:00', batteryId: 'b' }),
    flight('first', { flownAt: '2026-11-25T09:00:00+00:00', counts: false, excludedReason: 'gale' }),
    flight('odd', { counts: false }),
    flight('other', { aircraftId: 'rook', batteryId: 'c' }),
    flight('pack gone', { batteryId: 'z' }),
  );
  expect(request.batteries.map(({ id }) => id)).toEqual(['a', 'b']);
  expect(request.flights.map(({ id, excludedReason }) => [id, excludedReason])).toEqual([
    ['first', 'gale'],
    ['later', null],
    ['odd', 'asked about'],
  ]);
  expect(request.flights[1]?.events).toEqual([{ kind: 'low-warning', timeS: 1000, charge: 0.3 }]);
});

test('of very many flights the latest two hundred teach', () => {
  const many = Array.from({ length: 203 }, (_, i) =>
    flight(`f${i}`, { flownAt: new Date(Date.parse('2026-01-01T10:00:00Z') + i * 86_400_000).toISOString() }),
  );
  const { flights } = ask(...many);
  expect([flights.length, flights[0]?.id, flights.at(-1)?.id]).toEqual([200, 'f3', 'f202']);
});

test('a fit is another once a flight, its air, its pack or the sheet is; not for a note or a cycle', () => {
  const then = basisOf(ask(flight('one'), flight('two')));
  const since = (...tests: CountedTest[]) => changesSince(then, basisOf(ask(...tests)));
  expect(since(flight('one'), flight('two', { note: 'calm' }))).toBeNull();
  const none = { added: 0, changed: 0, gone: 0, otherBasis: false };
  expect(since(flight('one'), flight('two'), flight('three'))).toEqual({ ...none, added: 1 });
  expect(since(flight('one'))).toEqual({ ...none, gone: 1 });
  expect(since(flight('one'), flight('two', { counts: false }))).toEqual({ ...none, gone: 1 });
  const colder = { ...jayOnTheFell.conditions, airTemperatureC: -5 };
  expect(since(flight('one', { weather: colder }), flight('two'))).toEqual({ ...none, changed: 1 });
  const cycled = batteries.map((one) => ({ ...one, pack: { ...one.pack, cycles: 40 } }));
  const again = (packs: readonly BatteryRecord[], spec = jayOnTheFell.aircraft) =>
    changesSince(
      then,
      basisOf(fitRequestFor({ ...aircraft, spec }, packs, [flight('one'), flight('two')], null)),
    );
  expect(again(cycled)).toBeNull();
  const larger = batteries.map((one) => ({ ...one, pack: { ...one.pack, ratedCapacityMah: 2500 } }));
  expect(again(larger)).toEqual({ ...none, changed: 2 });
  expect(again(batteries, { ...jayOnTheFell.aircraft, takeoffMassKg: 0.26 })).toEqual({
    ...none,
    otherBasis: true,
  });
});

test('a list leaves out what grows with the flights, and keeps what a belief is made of', () => {
  const one = new SyntheticAircraft(5, asSupposed);
  const request = ask(flight('one'));
  const fit = fitOf({
    ...request,
    batteries: [{ ...jayOnTheFell.battery, id: 'a' }],
    flights: [{ ...one.fly(['hover']).flight, batteryId: 'a' }],
  });
  if (!fit.ok) throw new Error(writeInSi(fit.refusal));
  const listed = listedFit({
    ...kept,
    id: 'fit',
    aircraftId: 'jay',
    madeAt: kept.createdAt,
    ...basisOf(request),
    fit: fit.value,
  });
  expect(Object.keys(listed.fit)).not.toEqual(expect.arrayContaining(['flights']));
  expect(listed.fit.posterior).toEqual(fit.value.posterior);
  expect(listed.fit.flown).toBe(1);
});

test('a pack that clearly gives less is for short shots; within its spread it is one of the others', () => {
  const against = (value: number, spread: number) => ({
    againstOthers: { value, spread, priorValue: 0, priorSpread: 0.04 },
  });
  const said = (one: ReturnType<typeof against>) => {
    const advice = packAdvice(one);
    return advice && writeInSi(advice);
  };
  expect(said(against(-0.09, 0.03))).toBe('Gives 9 % less than the others, ±3: keep it for short shots');
  expect(said(against(-0.05, 0.03))).toBe('Gives as much as the others, ±3 %');
  expect(packAdvice({ againstOthers: null })).toBeNull();
});
