import { readObstacles } from './geoJson';

const home = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
/** Metres a degree at 54.52° N on WGS 84, by the series of the ellipsoid (NGA TM 8358.2): 111 316 north, 64 793 east. */
const at = (eastM: number, northM: number) => [
  home.longitudeDeg + eastM / 64_793,
  home.latitudeDeg + northM / 111_316,
];
const feature = (name: string, height: unknown, geometry: object) => ({
  type: 'Feature',
  properties: { name, height },
  geometry,
});
const square = (eastM: number, northM: number, sideM: number) => ({
  type: 'Polygon',
  coordinates: [
    [
      at(eastM, northM),
      at(eastM + sideM, northM),
      at(eastM + sideM, northM + sideM),
      at(eastM, northM + sideM),
    ],
  ],
});

test('what stands on the way east, by its corners; what is beside it, behind it or has no height is told', () => {
  const file = JSON.stringify({
    type: 'FeatureCollection',
    features: [
      feature('beeches', 18, square(200, -20, 40)),
      feature('chimney', '31', { type: 'Point', coordinates: at(150, 5) }),
      feature('barn aside', 9, square(100, 60, 20)),
      feature('barn behind', 9, square(-80, 0, 20)),
      feature('pond', null, square(50, 0, 10)),
    ],
  });
  const read = readObstacles(file, home, 90);
  if (!read.ok) throw new Error(read.refusal.message);
  expect(read.value.obstacles).toEqual([
    { name: 'chimney', distanceM: 150, widthM: 0, heightM: 31 },
    { name: 'beeches', distanceM: 200, widthM: 40, heightM: 18 },
  ]);
  expect(read.value.leftOut).toEqual([
    { name: 'barn aside', reason: 'it stands beside the way' },
    { name: 'barn behind', reason: 'it stands behind home' },
    { name: 'pond', reason: 'it has no height' },
  ]);
});

test.each(['', '{', '[]', '{"type":"Point","coordinates":[0,0]}', 'null'])('no GeoJSON: %s', (text) => {
  expect(readObstacles(text, home, 0).ok).toBe(false);
});
