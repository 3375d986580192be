import { obstaclesAlong } from './obstaclesAlong';

const pylon = { name: 'pylon', distanceM: 200, bearingDeg: 0, widthM: 10, heightM: 70 };

// By hand: at 11° the middle of a thing 205 m out stands 205 · sin 11° = 39 m beside the way, at 13° 46 m.
test('a thing is met by ways that pass within the corridor of it, and by no other', () => {
  expect(obstaclesAlong([pylon], 0)).toEqual([pylon]);
  expect(obstaclesAlong([pylon], 11)[0]?.distanceM).toBeCloseTo(205 * Math.cos((11 * Math.PI) / 180) - 5, 6);
  expect(obstaclesAlong([pylon], 349)).toHaveLength(1);
  expect(obstaclesAlong([pylon], 13.5)).toEqual([]);
  expect(obstaclesAlong([pylon], 60)).toEqual([]);
  expect(obstaclesAlong([pylon], 180)).toEqual([]);
});

test('what has no bearing stands on every way, nearest first; what stands over home is on all', () => {
  const { bearingDeg: _, ...hedge } = { ...pylon, name: 'hedge', distanceM: 50 };
  expect(obstaclesAlong([pylon, hedge], 0).map(({ name }) => name)).toEqual(['hedge', 'pylon']);
  expect(obstaclesAlong([hedge], 200)).toEqual([hedge]);
  const byre = { ...pylon, name: 'byre', distanceM: 0, widthM: 40 };
  expect(obstaclesAlong([byre], 180)).toHaveLength(1);
});
