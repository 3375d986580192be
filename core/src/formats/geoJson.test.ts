import { inWords, writeInSi } from '../units/sentence';
import { imperialUnits } from '../units/units';
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

test('things are kept where they stand, in whatever direction, as the circle about their corners; one without height is told', () => {
  const file = JSON.stringify({
    type: 'FeatureCollection',
    features: [
      feature('beeches', 18, square(200, -20, 40)),
      feature('chimney', '31', { type: 'Point', coordinates: at(150, 0) }),
      feature('pylon north', 70, { type: 'Point', coordinates: at(0, 220) }),
      feature('barn behind', 9, square(-90, -10, 20)),
      feature('pond', null, square(50, 0, 10)),
    ],
  });
  const read = readObstacles(file, home);
  if (!read.ok) throw new Error(writeInSi(read.refusal));
  // By hand: the circle about a square of 40 m has a radius of 28.3 m, about one of 20 m 14.1 m.
  const found = read.value.obstacles.map(({ name, distanceM, widthM, heightM }) => [
    name,
    distanceM,
    widthM,
    heightM,
  ]);
  expect(found).toEqual([
    ['barn behind', 66, 28, 9],
    ['chimney', 150, 0, 31],
    ['beeches', 192, 57, 18],
    ['pylon north', 220, 0, 70],
  ]);
  const bearings = read.value.obstacles.map(({ bearingDeg }) => bearingDeg ?? Number.NaN);
  for (const [k, wanted] of [270, 90, 90, 0].entries())
    expect(Math.abs((((bearings[k] as number) - wanted + 540) % 360) - 180)).toBeLessThan(0.3);
  expect(read.value.leftOut.map(({ name, reason }) => ({ name, reason: writeInSi(reason) }))).toEqual([
    { name: 'pond', reason: 'it has no height' },
  ]);
});

test('a thing beyond every range is left out with its range in the reader’s units (500 m are 1640 ft, NIST SP 811)', () => {
  const mast = {
    type: 'Feature',
    properties: { name: 'mast', height: 900 },
    geometry: { type: 'Point', coordinates: [-2.808, 54.52] },
  };
  const read = readObstacles(JSON.stringify({ type: 'FeatureCollection', features: [mast] }), home);
  if (!read.ok) throw new Error(writeInSi(read.refusal));
  const reason = read.value.leftOut[0]?.reason;
  if (!reason) throw new Error('It should have been left out.');
  expect(writeInSi(reason)).toMatch(/^Obstacle height must be from 0 m to \d+ m, not 900 m\.$/);
  expect(inWords(reason, imperialUnits)).toMatch(
    /^Obstacle height must be from 0 ft to 1640 ft, not 2953 ft\.$/,
  );
});

test.each(['', '{', '[]', '{"type":"Point","coordinates":[0,0]}', 'null'])('no GeoJSON: %s', (text) => {
  expect(readObstacles(text, home).ok).toBe(false);
});

// Each of these broke the reader until 26 Nov 2026.
test.each([
  [
    'a geometry nested ten thousand deep',
    { name: 'deep', height: 9 },
    `${'['.repeat(10_000)}${']'.repeat(10_000)}`,
  ],
  ['a height that is no number', { name: 'odd', height: { toString: 1 } }, JSON.stringify(at(150, 5))],
  ['a name that is no text', { name: { toString: 1 }, height: true }, JSON.stringify(at(150, 5))],
  [
    'more corners than a call takes arguments',
    { name: 'hedge' },
    JSON.stringify(Array(60_000).fill(at(150, 5).map((one) => Number(one.toFixed(6))))),
  ],
])('%s is left out with its reason, and the rest is read', (_, properties, coordinates) => {
  const odd = `{"type":"Feature","properties":${JSON.stringify(properties)},"geometry":{"coordinates":${coordinates}}}`;
  const fine = JSON.stringify(feature('chimney', '31', { type: 'Point', coordinates: at(150, 5) }));
  const read = readObstacles(`{"type":"FeatureCollection","features":[${odd},${fine}]}`, home);
  if (!read.ok) throw new Error(writeInSi(read.refusal));
  expect(read.value.obstacles.map(({ name }) => name)).toEqual(['chimney']);
  expect(read.value.leftOut).toHaveLength(1);
});

test('more things on the way than are kept are refused with their count', () => {
  const features = Array.from({ length: 501 }, (_, i) =>
    feature(`post ${i}`, 2, { type: 'Point', coordinates: at(100 + i, 0) }),
  );
  const read = readObstacles(JSON.stringify({ type: 'FeatureCollection', features }), home);
  expect(read).toMatchObject({ ok: false, refusal: { values: { mostCount: 500, readCount: 501 } } });
});
