import 'reflect-metadata';
import { clockTime, readMetar, violation, windRanges } from '@acorn-tally/core';
import request from 'supertest';
import { startTestServer, type TestServer } from '../testing/testServer';
import { stationReport } from './weatherStation';

const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };

test('the practice station makes up the same day for the same place, another for another, and says it is practice', () => {
  const report = stationReport('2026-11-26', 620, fell);
  expect(report).toEqual(stationReport('2026-11-26', 620, fell));
  expect(report.hours).not.toEqual(stationReport('2026-11-27', 620, fell).hours);
  expect(report.practice).toBe(true);
  expect(report.hours).toHaveLength(24);
});

test('over a year and the world its METAR reads as one and its hours lie in the ranges of the interface', () => {
  for (let month = 1; month <= 12; month++) {
    for (const latitudeDeg of [-60, -20, 0, 35, 65]) {
      const day = `2026-${String(month).padStart(2, '0')}-15`;
      const { metar, hours } = stationReport(day, 1500, { latitudeDeg, longitudeDeg: 7 * month });
      const read = readMetar(metar);
      expect([metar, read.ok]).toEqual([metar, true]);
      if (read.ok) expect(read.value.airTemperatureC).toBe(Math.round(hours[9]?.airTemperatureC ?? 99) || 0);
      for (const { wind } of hours) {
        expect(violation(windRanges.speedMps, wind.speedMps)).toBeNull();
        expect(wind.gustMps).toBeGreaterThan(wind.speedMps);
      }
    }
  }
});

test('its day is the day of the place: from midnight by its clocks, warmest in the afternoon, in Sydney as on the fell', () => {
  const places = [
    { at: fell, zone: 'Europe/London' },
    { at: { latitudeDeg: -33.87, longitudeDeg: 151.21 }, zone: 'Australia/Sydney' },
    { at: { latitudeDeg: 61.2, longitudeDeg: -149.9 }, zone: 'America/Anchorage' },
  ];
  for (const { at, zone } of places) {
    const { hours } = stationReport('2026-11-26', 100, at);
    expect(hours.map((hour) => clockTime(hour.at, zone))).toEqual(
      Array.from({ length: 24 }, (_, hour) => `2026-11-26T${String(hour).padStart(2, '0')}:00`),
    );
    const warmest = hours.reduce((best, hour) => (hour.airTemperatureC > best.airTemperatureC ? hour : best));
    const hour = Number(clockTime(warmest.at, zone).slice(11, 13));
    expect(hour).toBeGreaterThanOrEqual(12);
    expect(hour).toBeLessThanOrEqual(18);
  }
});

describe('over HTTP', () => {
  let server: TestServer;
  beforeAll(async () => {
    server = await startTestServer();
  });
  afterAll(() => server.close());
  const get = (query: string) =>
    request(server.app.getHttpServer()).get(`/api/v1/practice/weather-station${query}`);

  test('answers for a place and day, and says what is wrong with a question', async () => {
    const good = '?day=2026-11-26&elevationM=620&latitudeDeg=54.52&longitudeDeg=-2.81';
    expect((await get(good).expect(200)).body).toEqual(stationReport('2026-11-26', 620, fell));
    const refused = await get('?day=soon&elevationM=x&latitudeDeg=95&longitudeDeg=0').expect(400);
    expect(refused.body.errors.map(({ path }: { path: string }) => path)).toEqual([
      'day',
      'elevationM',
      'latitudeDeg',
    ]);
  });
});
