import type { Shot } from '@acorn-tally/core';
import { movedInto } from './moved';

const shot = (id: string, more: Partial<Shot> = {}): Shot => ({
  id,
  name: id,
  durationS: 240,
  style: 'hover',
  distanceM: 500,
  bearingDeg: 0,
  heightM: 30,
  ...more,
});
const places = [
  { id: 'home', name: 'the yard', eastM: 0, northM: 0 },
  { id: 'gate', name: 'the lower gate', eastM: 300, northM: 100 },
];
const flight = (number: number, launchPlaceId: string, ...ids: string[]) => ({
  number,
  launchPlaceId,
  shots: ids.map((shotId) => ({ shotId, take: 1, startAt: '', endAt: '', chargeAfter: 0.5 })),
});

test('moved to a flight from elsewhere, a shot is flown from there to the same point (3-4-5), and back', () => {
  const [first, second] = [flight(1, 'home', 'one', 'three'), flight(2, 'gate', 'two')];
  const [one] = movedInto([shot('one')], 'one', second, [first, second], places);
  // From 300 m east and 100 m north, 500 m north of the yard lies 300 m to the west and 400 m to the north.
  const west = 360 - (Math.atan2(3, 4) * 180) / Math.PI;
  expect(one).toMatchObject({ launchPlaceId: 'gate', bearingDeg: expect.closeTo(west, 6) });
  expect(one?.distanceM).toBeCloseTo(500, 6);
  expect(one?.pin).toEqual({ flightNumber: 2 });
  const [back] = movedInto([one as Shot], 'one', first, [first, second], places);
  expect(back).toMatchObject({ launchPlaceId: null, pin: { flightNumber: 1 } });
  expect(back?.distanceM).toBeCloseTo(500, 6);
});

test('where it was alone its old flight is gone, and the one it moves to is counted without it; what else is pinned stays', () => {
  const flights = [flight(1, 'home', 'one', 'one'), flight(2, 'home', 'two')];
  const before = [shot('one', { takes: 2, pin: { batteryId: 'jay-1' } }), shot('two')];
  const [one, two] = movedInto(before, 'one', flights[1] as (typeof flights)[number], flights, places);
  expect(one?.pin).toEqual({ batteryId: 'jay-1', flightNumber: 1 });
  expect(one).toMatchObject({ distanceM: 500, bearingDeg: 0 });
  expect(two).toBe(before[1]);
  const [, earlier] = movedInto(before, 'two', flights[0] as (typeof flights)[number], flights, places);
  expect(earlier?.pin).toEqual({ flightNumber: 1 });
});
