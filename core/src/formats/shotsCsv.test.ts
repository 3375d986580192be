import { answered } from '../../fixtures/answered';
import type { Shot } from '../swapPlan/request/shot';
import { imperialUnits, metricUnits } from '../units/units';
import { writePointsGpx } from './planFiles';
import { isPoints, readShotPoints } from './shotPoints';
import { readShotsCsv, writeShotsCsv } from './shotsCsv';

const fell = { latitudeDeg: 54.52, longitudeDeg: -2.81 };
const shots: Shot[] = [
  {
    id: '1',
    name: 'Gate, "opens" & <closes>',
    durationS: 320,
    style: 'hover',
    distanceM: 180,
    bearingDeg: 70,
    heightM: 20,
    takes: 2,
    setUpS: 30,
    need: 'nice',
    light: 'low-sun',
    earliestAt: '2026-11-26T08:00:00.000Z',
    latestAt: null,
    addedMassKg: 0.035,
  },
  { id: '2', name: 'Ridge', durationS: 61, style: 'fast', distanceM: 0, bearingDeg: 0, heightM: 90 },
];

test('shots written as CSV are read again as they were', () => {
  const { shots: read, problems } = answered(
    readShotsCsv(writeShotsCsv(shots), 'Europe/London', () => 'new'),
  );
  expect(problems).toEqual([]);
  const wanted = shots.map(({ id: _, ...shot }) => shot);
  expect(read.map(({ id: _, ...shot }) => shot)).toEqual(
    wanted.map((shot) => ({
      takes: null,
      setUpS: null,
      need: null,
      light: null,
      earliestAt: null,
      latestAt: null,
      addedMassKg: null,
      ...shot,
    })),
  );
});

test('working points written as GPX are read again where they were, to a metre and a degree', () => {
  const request = { shots, launchPlaces: null } as never;
  const gpx = writePointsGpx(request, fell, 620);
  expect(isPoints(gpx)).toBe(true);
  const { shots: read } = answered(readShotPoints(gpx, fell, () => 'new'));
  expect(read).toHaveLength(2);
  expect(Math.abs((read[0]?.distanceM ?? 0) - 180)).toBeLessThanOrEqual(1);
  expect(Math.abs((read[0]?.bearingDeg ?? 0) - 70)).toBeLessThanOrEqual(1);
  const odd = { shots: [{ ...shots[0], name: 'Fold <1> & "gate"' }], launchPlaces: null } as never;
  const { shots: again } = answered(readShotPoints(writePointsGpx(odd, fell, 620), fell, () => 'new'));
  expect(again[0]?.name).toBe('1 Fold <1> & "gate"');
});

// One minute of latitude is a nautical mile, 1852 m, to a few metres (definition of 1929; 1856 m at 54.5° on WGS 84).
test('a point of GeoJSON a tenth of a minute north is 186 m out on bearing 0; what is too far away is told', () => {
  const at = (longitude: number, latitude: number, name?: string) => ({
    type: 'Feature',
    properties: { name },
    geometry: { type: 'Point', coordinates: [longitude, latitude] },
  });
  const text = JSON.stringify({
    type: 'FeatureCollection',
    features: [at(-2.81, 54.52 + 0.1 / 60, 'North'), at(10, 50, 'Far away')],
  });
  const { shots: read, problems } = answered(readShotPoints(text, fell, () => 'new'));
  expect(read.map(({ name, distanceM, bearingDeg }) => [name, distanceM, bearingDeg])).toEqual([
    ['North', 186, 0],
  ]);
  expect(problems).toEqual([
    { line: 2, column: 'Far away', message: expect.stringContaining('Distance out') },
  ]);
});

test('what holds no points is refused in words, and XML with entities of its own as well', () => {
  for (const text of [
    '{',
    '<gpx></gpx>',
    '{"type":"FeatureCollection","features":[]}',
    '<!DOCTYPE gpx [<!ENTITY a "b">]><gpx/>',
  ])
    expect(readShotPoints(text, fell, () => 'new')).toMatchObject({ ok: false });
});

test('columns are found by their words and units: the help’s own, with brackets, in other units, in the reader’s', () => {
  const read = (text: string, units = metricUnits) => answered(readShotsCsv(text, 'UTC', () => 'new', units));
  const plain = read('Name,Minutes,Distance,Bearing,Height\nGate,4,260,75,18\n').shots[0];
  expect([plain?.distanceM, plain?.bearingDeg, plain?.heightM]).toEqual([260, 75, 18]);
  const inFeet = read('Name;Duration (min);Distance [ft];Height_ft\nGate;4;1000;100\n').shots[0];
  expect(inFeet?.distanceM).toBeCloseTo(304.8, 9);
  expect(inFeet?.heightM).toBeCloseTo(30.48, 9);
  const own = read('Name,Minutes,Distance,Height\nGate,4,1000,30 m\n', imperialUnits).shots[0];
  expect(own?.distanceM).toBeCloseTo(304.8, 9);
  expect(own?.heightM).toBeCloseTo(30, 9);
});

test('a column that nothing is read from is told, and asked about where it looks like one that is', () => {
  const { shots, problems } = answered(
    readShotsCsv('name,minutes,distances,colour\nGate,4,260,red\n', 'UTC', () => 'new'),
  );
  expect(shots).toHaveLength(1);
  expect(problems.map(({ message }) => message)).toEqual([
    '“distances” is not read. Is it “distance m”? Then head it so.',
    '“colour” is not read.',
  ]);
});
