import { isTimeZone, timeZoneAt } from '@acorn-tally/core';
import { zonesToChoose } from './timeZones';

test('zones are listed by the names they have now, each once, and each is one (IANA time zone database, “backward”)', () => {
  const zones = zonesToChoose();
  expect(zones).toEqual(
    expect.arrayContaining(['Asia/Kathmandu', 'Asia/Kolkata', 'Europe/Kyiv', 'Europe/London']),
  );
  expect(zones).not.toContain('Asia/Calcutta');
  expect(new Set(zones).size).toBe(zones.length);
  for (const zone of zones) expect(isTimeZone(zone)).toBe(true);
  expect(zonesToChoose(['Asia/Calcutta', 'Asia/Kolkata'])).toEqual(['Asia/Kolkata']);
});

// What coordinates give can be chosen by hand as well: a town on every continent, and islands.
test.each([
  ['Delhi', 28.61, 77.21],
  ['Kathmandu', 27.72, 85.32],
  ['Yangon', 16.84, 96.17],
  ['Hanoi to the south', 10.82, 106.63],
  ['Kyiv', 50.45, 30.52],
  ['Buenos Aires', -34.6, -58.38],
  ['Nuuk', 64.18, -51.69],
  ['Tórshavn', 62.01, -6.77],
  ['Nairobi', -1.29, 36.82],
  ['Perth', -31.95, 115.86],
])('the zone of %s is in the list', (_, latitudeDeg, longitudeDeg) => {
  expect(zonesToChoose()).toContain(timeZoneAt({ latitudeDeg, longitudeDeg }));
});
