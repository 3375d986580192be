import { writeInSi } from '../units/sentence';
import { readCoordinates, writeCoordinates } from './coordinates';

// ISO 6709, annex D, gives 40°12′13″N 60°12′56″W, by hand 40 + 12/60 + 13/3600 = 40.203611 and 60 + 12/60 + 56/3600.
test.each([
  ['54.52, -2.81', 54.52, -2.81],
  ['54.52 N 2.81 W', 54.52, -2.81],
  ['−43.5; 170', -43.5, 170],
  ['40°12′13″N 60°12′56″W', 40.203611, -60.215556],
  ["40° 12.5' S, 60° 30' E", -40.208333, 60.5],
  ['-0.5, 0.25', -0.5, 0.25],
])('coordinates %s', (text, latitudeDeg, longitudeDeg) => {
  expect(readCoordinates(text)).toEqual({ ok: true, value: { latitudeDeg, longitudeDeg } });
  expect(readCoordinates(writeCoordinates({ latitudeDeg, longitudeDeg })).ok).toBe(true);
});

test.each([
  ['the dairy', /Latitude and longitude are needed/],
  ['54.52', /Latitude and longitude are needed/],
  ['2.81 W 54.52 N', /Latitude comes first/],
  ['95, 2', /Latitude must be from -90 to 90 °, not 95 °/],
  ['54, 200', /Longitude must be from -180 to 180 °, not 200 °/],
])('no coordinates: %s', (text, message) => {
  const read = readCoordinates(text);
  expect(read.ok ? '' : writeInSi(read.refusal)).toMatch(message);
});
