import { inWords, toldInSi } from '../units/sentence';
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
  if (!read.ok) throw new Error(toldInSi(read.refusal));
  expect(read.value.obstacles).toEqual([
    { name: 'chimney', distanceM: 150, widthM: 0, heightM: 31 },
    { name: 'beeches', distanceM: 200, widthM: 40, heightM: 18 },
  ]);
  expect(read.value.leftOut.map(({ name, reason }) => ({ name, reason: toldInSi(reason) }))).toEqual([
    { name: 'barn aside', reason: 'it stands beside the way' },
    { name: 'barn behind', reason: 'it stands behind home' },
    { name: 'pond', reason: 'it has no height' },
  ]);
});

test('a thing beyond every range is left out with its range in the reader’s units (500 m are 1640 ft, NIST SP 811)', () => {
  const mast = {
    type: 'Feature',
    properties: { name: 'mast', height: 900 },
    geometry: { type: 'Point', coordinates: [-2.808, 54.52] },
  };
  const read = readObstacles(JSON.stringify({ type: 'FeatureCollection', features: [mast] }), home, 90);
  if (!read.ok) throw new Error(toldInSi(read.refusal));
  const reason = read.value.leftOut[0]?.reason;
  if (!reason) throw new Error('It should have been left out.');
  expect(toldInSi(reason)).toMatch(/^Stands must be from 0 m to \d+ m, not 900 m\.$/);
  expect(inWords(reason, imperialUnits)).toMatch(/^Stands must be from 0 ft to 1640 ft, not 2953 ft\.$/);
});

test.each(['', '{', '[]', '{"type":"Point","coordinates":[0,0]}', 'null'])('no GeoJSON: %s', (text) => {
  expect(readObstacles(text, home, 0).ok).toBe(false);
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
  const read = readObstacles(`{"type":"FeatureCollection","features":[${odd},${fine}]}`, home, 90);
  if (!read.ok) throw new Error(toldInSi(read.refusal));
  expect(read.value.obstacles.map(({ name }) => name)).toEqual(['chimney']);
  expect(read.value.leftOut).toHaveLength(1);
});

test('more things on the way than are kept are refused with their count', () => {
  const features = Array.from({ length: 501 }, (_, i) =>
    feature(`post ${i}`, 2, { type: 'Point', coordinates: at(100 + i, 0) }),
  );
  const read = readObstacles(JSON.stringify({ type: 'FeatureCollection', features }), home, 90);
  expect(read).toMatchObject({ ok: false, refusal: { values: { mostCount: 500, readCount: 501 } } });
});
