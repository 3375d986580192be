import type { LandingPlace, Obstacle } from '../air/obstacle';
import type { Site } from '../air/site';
import { relativeTo, reverseBearing } from '../reserve/plane';

/** What the place where it took off is called, once home is another. */
const takeoffPlace = 'the take-off place';

/**
 * A site seen from another home. Its landing places are given from there, the take-off place is one of them, and the new home is
 * none. Obstacles stand where they stand; of those that were given without a direction the tallest is taken to stand all along the
 * new way home, wherever that leads.
 */
export function siteFrom(home: LandingPlace, site: Site): Site {
  const others = (site.landingPlaces ?? []).filter(({ name }) => name !== home.name);
  const places: LandingPlace[] = [
    { name: takeoffPlace, ...reverseBearing(home) },
    ...others.map((place) => relativeTo(home, place)),
  ];
  return { ...site, landingPlaces: places, obstacles: obstaclesFrom(home, site.obstacles ?? []) };
}

function obstaclesFrom(home: LandingPlace, obstacles: readonly Obstacle[]): Obstacle[] {
  const placed = obstacles.flatMap((one) => (one.bearingDeg == null ? [] : [seenFromHome(home, one)]));
  return [...allAlong(obstacles.filter(({ bearingDeg }) => bearingDeg == null)), ...placed];
}

function seenFromHome(home: LandingPlace, { bearingDeg, distanceM, widthM, ...thing }: Obstacle): Obstacle {
  const middle = { distanceM: distanceM + widthM / 2, bearingDeg: bearingDeg ?? 0 };
  const { distanceM: middleM, bearingDeg: seenDeg } = relativeTo(home, middle);
  const begins = Math.max(0, middleM - widthM / 2);
  return { ...thing, distanceM: begins, bearingDeg: seenDeg, widthM: middleM + widthM / 2 - begins };
}

/** Farther than anything is flown. */
const everywhereM = 20_000;

function allAlong(obstacles: readonly Obstacle[]): Obstacle[] {
  const [tallest] = [...obstacles].sort((a, b) => b.heightM - a.heightM);
  return tallest
    ? [{ ...tallest, name: `${tallest.name}, wherever it stands`, distanceM: 0, widthM: everywhereM }]
    : [];
}
