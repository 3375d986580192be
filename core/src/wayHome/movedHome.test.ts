import fc from 'fast-check';
import { holds } from '../../fixtures/seeds';
import { relativeTo, reverseBearing } from '../reserve/plane';
import { siteFrom } from './movedHome';

test('300 m east of the old home, seen from a new one 400 m north of it: 500 m to the south-east (3-4-5, by hand)', () => {
  const seen = relativeTo({ distanceM: 400, bearingDeg: 0 }, { distanceM: 300, bearingDeg: 90, heightM: 40 });
  expect(seen).toEqual({
    distanceM: expect.closeTo(500, 9),
    bearingDeg: expect.closeTo(180 - (Math.atan2(300, 400) * 180) / Math.PI, 9),
    heightM: 40,
  });
});

test('there and back again: what is moved to another home and back is where it was (seed 71)', () => {
  const place = fc.record({
    distanceM: fc.double({ min: 1, max: 5000, noNaN: true }),
    bearingDeg: fc.double({ min: 0, max: 359.9, noNaN: true }),
  });
  holds(
    fc.property(place, place, (home, thing) => {
      const again = relativeTo(reverseBearing(home), relativeTo(home, thing));
      const off = relativeTo(thing, again).distanceM;
      expect(off).toBeLessThan(1e-6);
    }),
    { seed: 71 },
  );
});

test('a site seen from its sheepfold: the take-off place is a place to land, the sheepfold is none, and the tallest thing may stand anywhere on the way', () => {
  const sheepfold = { name: 'sheepfold', distanceM: 350, bearingDeg: 45 };
  const gate = { name: 'lower gate', distanceM: 210, bearingDeg: 150 };
  const chimney = { name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 };
  const { landingPlaces, obstacles, ceilingM } = siteFrom(sheepfold, {
    ceilingM: 120,
    landingPlaces: [gate, sheepfold],
    obstacles: [{ ...chimney, name: 'byre', heightM: 14 }, chimney],
  });
  expect(landingPlaces?.map(({ name }) => name)).toEqual(['the take-off place', 'lower gate']);
  expect(landingPlaces?.[0]).toMatchObject({ distanceM: 350, bearingDeg: 225 });
  // Law of cosines by hand: √(350² + 210² − 2·350·210·cos 105°) = 452.4 m.
  expect(landingPlaces?.[1]?.distanceM).toBeCloseTo(452.38, 2);
  expect(obstacles).toEqual([
    { name: 'chimney, wherever it stands', distanceM: 0, widthM: expect.any(Number), heightM: 31 },
  ]);
  expect(obstacles?.[0]?.widthM).toBeGreaterThan(10_000);
  expect(ceilingM).toBe(120);
});

test('a wood that the new home lies in begins at that home, and is no wider than it was beyond it', () => {
  const wood = { name: 'wood', distanceM: 100, widthM: 200, heightM: 18, bearingDeg: 0 };
  const { obstacles } = siteFrom({ name: 'clearing', distanceM: 150, bearingDeg: 0 }, { obstacles: [wood] });
  expect(obstacles?.[0]).toMatchObject({ distanceM: 0, widthM: expect.closeTo(150, 9), bearingDeg: 0 });
});
