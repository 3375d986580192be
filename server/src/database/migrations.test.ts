import 'reflect-metadata';
import { aircraftOfClass, classTemplates } from '@acorn-tally/core';
import request from 'supertest';
import { serverOn } from '../testing/testServer';
import { earlierDatabase, type Row } from './earlierDatabase';

const kept = (id: string) => ({
  id,
  created_at: '2026-10-01T08:00:00.000Z',
  updated_at: '2026-10-02T08:00:00.000Z',
  version: 3,
});
const template = classTemplates[1] as (typeof classTemplates)[number];
const { spec, flight, policy } = aircraftOfClass(template, 'Jay');
const wind = { speedMps: 3, gustMps: 5, fromDeg: 240, readingHeightM: 2 };
const weather = { airTemperatureC: 5, elevationM: 620, relativeHumidity: 0.85, roughnessM: 0.03, wind };
const air = { airTemperatureC: 5, relativeHumidity: 0.85, wind };
const site = {
  coordinates: { latitudeDeg: 54.52, longitudeDeg: -2.81 },
  timeZone: 'Europe/London',
  tallestM: 31,
  ceilingM: 110,
  obstacles: [{ name: 'chimney', distanceM: 150, widthM: 10, heightM: 31 }],
  landingPlaces: [{ name: 'lower gate', distanceM: 210, bearingDeg: 150 }],
  home: { name: 'hut', distanceM: 40, bearingDeg: 90 },
  below: 'water',
};
const hours = [{ at: '2026-11-26T08:00:00Z', airTemperatureC: 4, relativeHumidity: 0.9, qnhHpa: 1009, wind }];
const shots = [
  { id: 'gate', name: 'Gate', durationS: 240, style: 'hover', distanceM: 35, bearingDeg: 60, heightM: 20 },
];
const test_ = { pattern: 'low-hover', heightM: 2, startCharge: 0.98, endCharge: 0.3, durationS: 900 };
const frozen = { request: { aircraft: spec, battery: template.pack }, answer: null, refusal: 'too windy' };

/** What a pilot had, with all columns there ever were; each earlier version had some of them. */
const pilotsRows: Readonly<Record<string, readonly Row[]>> = {
  aircraft: [{ ...kept('jay'), name: 'Jay', spec, flight, policy, retired_on: null }],
  batteries: [1, 2].map((n) => ({
    ...kept(`jay-${n}`),
    aircraft_id: 'jay',
    label: `Jay ${n}`,
    pack: template.pack,
    keeping: { keptAt: 'pocket', notes: 'dented' },
  })),
  chargers: [{ ...kept('hub'), name: 'Hub', charger: { atOnce: 1, emptyToFullS: 3240, power: 'mains' } }],
  conditions: [
    {
      ...kept('fell'),
      place: 'Hollin Fell dairy',
      at: '2026-11-26T08:40:00+00:00',
      weather,
      site,
      hours,
      weather_from: { name: 'XPRA', practice: true },
      hours_from: { name: 'fell.csv', practice: false },
      lift_off: { batteryId: 'jay-2', ticked: ['props', 'wind'] },
    },
    {
      ...kept('lane'),
      place: 'Lane',
      at: '2026-11-27T08:00:00+00:00',
      weather: { ...weather, elevationM: 12 },
    },
  ],
  shoots: [
    {
      ...kept('herd'),
      name: 'Herd',
      aircraft_id: 'jay',
      battery_ids: ['jay-2', 'jay-1'],
      starts_at: '2026-11-26T07:30:00+00:00',
      swap_time_s: 270,
      policy,
      shots,
    },
  ],
  test_flights: [
    {
      ...kept('flown'),
      aircraft_id: 'jay',
      battery_id: 'jay-1',
      flown_at: '2026-11-19T13:05:00+00:00',
      test: test_,
      weather,
      note: 'gusty',
      estimate: frozen,
      lift_off: ['props'],
      confirmed: ['longer-than-box'],
    },
  ],
};

/** By number of migrations: what came with each. */
const schemas: readonly [number, string][] = [
  [1, 'first records'],
  [2, 'kit and conditions'],
  [3, 'weather sources'],
  [4, 'lift-off'],
  [5, 'answered questions'],
];

test.each(schemas)(
  'a database of %d migrations (%s) opens, and all that a pilot entered is there',
  async (count) => {
    const server = await serverOn(await earlierDatabase(count, pilotsRows));
    const read = async (path: string) =>
      (await request(server.app.getHttpServer()).get(`/api/v1/${path}`).expect(200)).body;
    const had = (version: number, value: unknown) => (count >= version ? value : null);
    for (const path of [
      'places',
      'days',
      'aircraft',
      'batteries',
      'chargers',
      'test-flights',
      'shoots',
      'lift-offs',
    ])
      expect((await read(path)).damaged).toEqual([]);

    const [fell, lane] = (await read('places')).items;
    const [day, laneDay] = (await read('days')).items;
    expect(fell).toMatchObject({ name: 'Hollin Fell dairy', elevationM: 620, roughnessM: 0.03, version: 3 });
    for (const [name, value] of Object.entries(site)) expect(fell[name]).toEqual(had(2, value));
    expect(lane).toMatchObject({ name: 'Lane', elevationM: 12 });
    expect(day).toMatchObject({ placeId: fell.id, at: '2026-11-26T08:40:00+00:00', weather: air });
    expect(day.weather).not.toHaveProperty('elevationM');
    expect(day.hours).toEqual(had(2, hours));
    expect(day.hoursFrom).toEqual(had(3, { name: 'fell.csv', practice: false }));
    expect(day.weatherFrom).toEqual(had(3, { name: 'XPRA', practice: true }));
    expect(laneDay.placeId).toBe(lane.id);
    const cards = (await read('lift-offs')).items;
    expect(cards.map(({ batteryId, ticked }: Row) => ({ batteryId, ticked }))).toEqual(
      count >= 4 ? [{ batteryId: 'jay-2', ticked: ['props', 'wind'] }] : [],
    );

    const [shoot] = (await read('shoots')).items;
    expect(shoot).toMatchObject({
      name: 'Herd',
      dayId: day.id,
      batteryIds: ['jay-2', 'jay-1'],
      swapTimeS: 270,
      policy,
      shots,
    });
    const flown = await read('test-flights/flown');
    expect(flown).toMatchObject({ test: test_, weather, note: 'gusty', estimate: frozen, version: 3 });
    expect([flown.liftOff, flown.confirmed]).toEqual([had(4, ['props']), had(5, ['longer-than-box'])]);
    const [battery] = (await read('batteries')).items;
    expect(battery).toMatchObject({ label: 'Jay 1', pack: template.pack });
    expect(battery.keeping).toEqual(had(2, { keptAt: 'pocket', notes: 'dented' }));
    expect((await read('chargers')).items).toHaveLength(count >= 2 ? 1 : 0);
    await server.close();
  },
);

test('a shoot that was kept without any conditions gets a day to be on', async () => {
  const { conditions: _, ...rest } = pilotsRows;
  const server = await serverOn(await earlierDatabase(5, rest));
  const read = async (path: string) =>
    (await request(server.app.getHttpServer()).get(`/api/v1/${path}`)).body.items;
  const [[shoot], [day], [place]] = [await read('shoots'), await read('days'), await read('places')];
  expect([shoot.dayId, day.placeId]).toEqual([day.id, place.id]);
  expect(day.at).toBe(shoot.startsAt);
  await server.close();
});

test('what cannot be read is left out and told, and all else is there (a stored list for weather broke every view until 26 Nov 2026)', async () => {
  const broken = { ...kept('broken'), place: 'Broken', at: '2026-11-26T08:40:00+00:00', weather: [] };
  const [fell = {}] = pilotsRows.conditions ?? [];
  const rows = { ...pilotsRows, conditions: [fell, broken] };
  const server = await serverOn(await earlierDatabase(5, rows));
  const http = request(server.app.getHttpServer());
  const { body } = await http.get('/api/v1/days').expect(200);
  expect(body.items.map(({ id }: Row) => id)).toEqual(['fell']);
  expect(body.damaged).toEqual([{ id: 'broken', complaints: [expect.stringContaining('weather')] }]);
  const { body: problem } = await http.get('/api/v1/days/broken').expect(422);
  expect(problem).toMatchObject({ type: 'urn:acorn-tally:problem:damaged', complaints: expect.any(Array) });
  await http.get('/api/v1/health').expect(200);
  await server.close();
});
