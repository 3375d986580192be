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
  const [one] = movedInto([shot('one')], 'one', second, places);
  // From 300 m east and 100 m north, 500 m north of the yard lies 300 m to the west and 400 m to the north.
  const west = 360 - (Math.atan2(3, 4) * 180) / Math.PI;
  expect(one).toMatchObject({ launchPlaceId: 'gate', bearingDeg: expect.closeTo(west, 6) });
  expect(one?.distanceM).toBeCloseTo(500, 6);
  expect(one?.pin?.withShotId).toBe('two');
  const [back] = movedInto([one as Shot], 'one', first, places);
  expect(back).toMatchObject({ launchPlaceId: null, pin: { withShotId: 'three' } });
  expect(back?.distanceM).toBeCloseTo(500, 6);
});

test('it goes with the first other shot of its flight and no longer with a battery or a number; two never ask for each other', () => {
  const flights = [flight(1, 'home', 'one', 'one'), flight(2, 'home', 'two')] as const;
  const before = [shot('one', { takes: 2, pin: { batteryId: 'jay-1', flightNumber: 3 } }), shot('two')];
  const moved = movedInto(before, 'one', flights[1], places);
  expect(moved[0]?.pin).toEqual({ batteryId: null, flightNumber: null, withShotId: 'two' });
  expect(moved[0]).toMatchObject({ distanceM: 500, bearingDeg: 0 });
  expect(moved[1]).toBe(before[1]);
  const [one, two] = movedInto(moved, 'two', flights[0], places);
  expect([one?.pin?.withShotId, two?.pin?.withShotId]).toEqual([null, 'one']);
  // To more takes of its own it goes anyway.
  expect(movedInto(before, 'one', flights[0], places)).toEqual(before);
});
