import fc from 'fast-check';
import { plainLayout, steadyFlight, type WrittenLayout, written } from '../../fixtures/logLayouts';
import { holds } from '../../fixtures/seeds';
import { clockIn, dateIn, numberIn } from './cells';
import { encodingOf } from './decode';
import { flightsIn, type LoggedFlight } from './flights';
import { inSmallerTimeUnit, layoutOf, missingColumns } from './layout';
import { LineSplitter, maxLineLength } from './lines';
import { RowReader } from './readRows';
import { readSamplesCsv, SamplesCheck, writeSamplesCsv, wrongSamplesLine } from './samplesCsv';
import { mergeTrack, overlap, readGeoJsonTrack, readGpx } from './track';
import { writeTestCsv } from './writeLog';
import { writeGeoJsonTrack, writeGpx } from './writeTrack';

const cells = 3;
function read(text: string, pieces = 1, timeZone = 'Europe/London') {
  const layout = layoutOf(text.slice(0, 65_536), timeZone);
  if (!layout.ok) throw new Error(layout.refusal.code);
  expect(missingColumns(layout.value)).toEqual([]);
  const reader = new RowReader(layout.value, cells, timeZone);
  const size = Math.ceil(text.length / pieces);
  for (let i = 0; i < pieces; i++) reader.feed(text.slice(i * size, (i + 1) * size));
  return reader.end();
}
const flights = (text: string, pieces?: number): LoggedFlight[] => flightsIn(read(text, pieces));

const layouts: fc.Arbitrary<WrittenLayout> = fc
  .record({
    delimiter: fc.constantFrom(',', ';', '\t', '|'),
    comma: fc.boolean(),
    time: fc.constantFrom('s', 'ms', 'clock', 'iso'),
    charge: fc.constantFrom('%', 'fraction'),
    volts: fc.constantFrom('pack', 'cell', 'mV'),
    imperial: fc.boolean(),
    withMotors: fc.boolean(),
    manner: fc.constantFrom(0, 1, 2),
    lineEnd: fc.constantFrom('\n', '\r\n', '\r'),
    order: fc.shuffledSubarray([0, 1, 2, 3, 4, 5], { minLength: 6, maxLength: 6 }),
  } as const)
  .map(({ comma, ...rest }) => ({ ...rest, decimalComma: comma && rest.delimiter !== ',' }) as WrittenLayout);

test('a flight written in any layout, fed in any pieces, is read as the same flight', () => {
  holds(
    fc.property(
      layouts,
      fc.integer({ min: 70, max: 100 }),
      fc.integer({ min: 5, max: 40 }),
      fc.integer({ min: 120, max: 1800 }),
      fc.integer({ min: 1, max: 50 }),
      (layout, start, end, durationS, pieces) => {
        const rows = steadyFlight({ startCharge: start / 100, endCharge: end / 100, durationS });
        const [flight, ...more] = flights(written(rows, layout, cells), pieces);
        expect(more).toEqual([]);
        expect(flight?.startCharge).toBeCloseTo(start / 100, 9);
        expect(flight?.endCharge).toBeCloseTo(end / 100, 9);
        // Without motors the ground is told by height and speed, a row more at each end.
        const slack = layout.withMotors ? 0 : 2;
        expect(Math.abs((flight?.durationS ?? 0) - durationS)).toBeLessThanOrEqual(slack + 0.11);
        expect(flight?.heightM).toBeCloseTo(30, 1);
        expect(flight?.speedMps).toBeCloseTo(5, 1);
        // A step from one per cent to the next is passed at the half, on the straight line that was flown.
        for (const { timeS, charge } of flight?.checkpoints ?? []) {
          const due = start / 100 - ((start - end) / 100 / durationS) * timeS;
          expect(Math.abs((charge ?? 0) - due)).toBeLessThan(0.006 + (4 * (start - end)) / 100 / durationS);
        }
        const steps = flight?.checkpoints ?? [];
        for (const { heightM, speedMps } of steps)
          expect([heightM, speedMps]).toEqual([expect.closeTo(30, 1), expect.closeTo(5, 1)]);
        const off = steps.map(
          ({ timeS, charge }) => (charge ?? 0) - start / 100 + ((start - end) / 100 / durationS) * timeS,
        );
        const meanOff = off.reduce((sum, one) => sum + one, 0) / off.length;
        expect(Math.abs(meanOff)).toBeLessThan(0.001 + (2 * (start - end)) / 100 / durationS);
        const volts = flight?.samples[0]?.cellVoltageV ?? 0;
        expect(volts).toBeCloseTo(3.4 + (0.8 * start) / 100, 2);
      },
    ),
    { seed: 19, numRuns: 150 },
  );
});

test('two flights in one log are cut where the motors stop; a fresh pack or a long silence cuts as well', () => {
  const second = steadyFlight({ fromS: 1300, durationS: 600 });
  const both = [...steadyFlight(), ...second];
  expect(flights(written(both, plainLayout, cells)).map(({ durationS }) => durationS)).toEqual([1200, 600]);
  const bare = { ...plainLayout, withMotors: false };
  expect(flights(written(both, bare, cells))).toHaveLength(2);
});

test('rows in any order make the same flight; a torn last line and a wrong one are kept out and told by number', () => {
  const rows = steadyFlight();
  const text = written(rows, plainLayout, cells);
  const [head = '', ...body] = text.trimEnd().split('\n');
  const shuffled = [head, ...[...body].reverse()].join('\n');
  expect(flights(shuffled)[0]?.checkpoints).toEqual(flights(text)[0]?.checkpoints);
  const wrong = [
    head,
    ...body.slice(0, 700),
    body[700]?.replace(/^[^,]+/, 'n/a'),
    body[701]?.slice(0, 9),
  ].join('\n');
  const { problems, leftOut, samples } = read(wrong);
  expect(leftOut).toBe(2);
  expect(problems).toEqual([
    { line: 702, message: '“n/a” is no time.' },
    { line: 703, message: expect.stringContaining('the line is cut') },
  ]);
  expect(samples).toHaveLength(700);
});

test('what heads a column must also look like it: mAh are no per cent, a gauge of 0 to 1 is a fraction', () => {
  const layout = layoutOf('time s,battery capacity,battery\n0,2350,0.98\n60,2240,0.95\n', 'UTC');
  expect(layout.ok && layout.value.columns.charge).toEqual({ index: 2, unit: 'fraction' });
  const none = layoutOf('a,b\n1,2\n', 'UTC');
  expect(none.ok && missingColumns(none.value)).toEqual(['time', 'charge']);
  expect(layoutOf('', 'UTC').ok).toBe(false);
  expect(layoutOf('\u0089PNG\r\n\u001a\n', 'UTC').ok).toBe(false);
});

test('volts cell by cell give the weakest and how far they stand apart; minutes shown as left are read, and are neither time nor charge', () => {
  const minute = (i: number) =>
    [i * 60, 98 - 4 * i, 3.9 - i / 50, 3.88 - i / 50, 3.95 - i / 50, 24 - i, 20].join(',');
  const rows = Array.from({ length: 12 }, (_, i) => minute(i));
  const heading = 'time s,battery %,Cell 1 [V],Cell 2 [V],cell_3,remaining flight time min,height m';
  const [flight] = flights([heading, ...rows].join('\n'));
  expect(flight?.checkpoints[0]).toMatchObject({
    timeS: 60,
    lowestCellVoltageV: expect.closeTo(3.86, 9),
    cellSpreadV: expect.closeTo(0.07, 9),
    leftS: 23 * 60,
  });
  expect(flight?.startCharge).toBeCloseTo(0.98, 9);
  // In millivolts too; one column of a cell alone says nothing of others.
  const inMv = rows.map((row) => row.replace(/3\.\d+/g, (volts) => String(Math.round(Number(volts) * 1000))));
  expect(flights([heading, ...inMv].join('\n'))[0]?.checkpoints[0]?.lowestCellVoltageV).toBeCloseTo(3.86, 3);
  const one = heading.replace('Cell 2 [V],cell_3', 'signal,noise');
  expect(flights([one, ...rows].join('\n'))[0]?.checkpoints[0]).not.toHaveProperty('lowestCellVoltageV');
});

test('degrees Fahrenheit, and hours on a clock: 68 °F are 20 °C, 1:02:03 is 3,723 s', () => {
  const { samples } = read('clock,charge %,temp F\n0:00:00,98,68\n1:02:03,20,95\n');
  expect(samples.map(({ timeS, temperatureC }) => [timeS, temperatureC])).toEqual([
    [0, 20],
    [3723, 35],
  ]);
});

test('minutes on the ground that spend two per cent are no flight', () => {
  expect(flights(written(steadyFlight({ startCharge: 0.98, endCharge: 0.96 }), plainLayout, cells))).toEqual(
    [],
  );
});

test('times without a unit: minutes apart they are seconds, dozens of rows a second they are milliseconds, and so are late instants', () => {
  const unit = (times: readonly number[]) => {
    const rows = times.map((time, i) => `${time},${90 - (i % 50)}`).join('\n');
    const layout = layoutOf(`time,charge\n${rows}\n`, 'UTC');
    return layout.ok && layout.value.columns.time?.unit;
  };
  const every = (step: number, count: number, from = 0) =>
    Array.from({ length: count }, (_, i) => from + i * step);
  expect(unit(every(300, 5))).toBe('s');
  expect(unit(every(50, 190))).toBe('ms');
  expect(unit(every(1, 190, 1.7e9))).toBe('s');
  expect(unit(every(10, 190, 1.7e12))).toBe('ms');
});

test('a log of hundreds of thousands of rows without motors is cut by height and speed (it ran out of stack)', () => {
  const samples = Array.from({ length: 300_000 }, (_, i) => ({
    timeS: i / 100,
    charge: 1 - i / 400_000,
    heightM: i < 500 ? 0 : 30,
  }));
  const [flight] = flightsIn({ samples, isDated: false, problems: [], leftOut: 0 });
  expect(flight?.durationS).toBeCloseTo(2995, 0);
});

test('a time of day without an offset is that of the place, across the hour that summer time gives back', () => {
  const text = 'date time;charge %\n2026-10-25 00:59:30;90\n2026-10-25 03:00:30;80\n';
  // London: 00:59:30 is 23:59:30 UTC, 03:00:30 is UTC itself.
  const { samples } = read(text);
  expect((samples[1]?.timeS ?? 0) - (samples[0]?.timeS ?? 0)).toBe(3 * 3600 + 60);
});

test('encodings: byte-order marks, and the zeros of UTF-16 without one', () => {
  expect(encodingOf(new Uint8Array([0xff, 0xfe, 0x74, 0]))).toBe('utf-16le');
  expect(encodingOf(new Uint8Array([0xfe, 0xff, 0, 0x74]))).toBe('utf-16be');
  expect(encodingOf(new Uint8Array([0x74, 0, 0x69, 0]))).toBe('utf-16le');
  expect(encodingOf(new Uint8Array([0xef, 0xbb, 0xbf, 0x74]))).toBe('utf-8');
});

/** A track a second apart round Hollin Fell, by metres east and north of it. */
function gpx(at: (i: number) => readonly [east: number, north: number, up: number], count: number): string {
  const points = Array.from({ length: count }, (_, i) => {
    const [east, north, up] = at(i);
    const lat = 54.5 + north / 111_320;
    const lon = -2.8 + east / (111_320 * Math.cos((54.5 * Math.PI) / 180));
    const time = new Date(Date.parse('2026-11-25T10:10:00Z') + i * 1000).toISOString();
    return `<trkpt lat="${lat}" lon="${lon}"><ele>${620 + up}</ele><time>${time}</time></trkpt>`;
  });
  return `<?xml version="1.0"?><gpx version="1.1" xmlns="http://www.topografix.com/GPX/1/1"><trk><trkseg>${points.join('')}</trkseg></trk></gpx>`;
}
const rise = (i: number) => Math.min(30, i);
const patternOf = (at: (i: number) => readonly [number, number, number]) => {
  const track = readGpx(gpx(at, 400));
  if (!track.ok) throw new Error('it is a track');
  const withGauge = track.value.samples.map((one, i) => ({ ...one, charge: 1 - i / 500 }));
  return flightsIn({ ...track.value, samples: withGauge })[0];
};

test('tracks: a hover that drifts, a line flown there and back, a circle and a wander are told apart', () => {
  expect(patternOf((i) => [2 * Math.sin(i / 9), 2 * Math.cos(i / 13), Math.min(3, i)])?.pattern).toBe(
    'low-hover',
  );
  expect(patternOf((i) => [2 * Math.sin(i / 9), 0, rise(i)])?.pattern).toBe('high-hover');
  expect(patternOf((i) => [100 * Math.sin(i / 20), 3 * Math.sin(i / 7), rise(i)])?.pattern).toBe(
    'there-and-back',
  );
  expect(patternOf((i) => [15 * Math.cos(i / 6), 15 * Math.sin(i / 6), rise(i)])?.pattern).toBe('circle');
  expect(patternOf((i) => [i, 40 * Math.sin(i / 60), rise(i)])?.pattern).toBe('free-flying');
  // 15 m round at a sixth of a radian a second are 2.5 m/s, less the chord.
  expect(patternOf((i) => [15 * Math.cos(i / 6), 15 * Math.sin(i / 6), rise(i)])?.speedMps).toBeCloseTo(
    2.5,
    1,
  );
});

test('a log and a track of the same flight are laid over each other by time', () => {
  const log = read(
    written(steadyFlight({ durationS: 300 }), { ...plainLayout, time: 'iso', order: [0, 1] }, cells),
  );
  const track = readGpx(gpx((i) => [15 * Math.cos(i / 6), 15 * Math.sin(i / 6), rise(i)], 311));
  if (!track.ok) throw new Error('it is a track');
  expect(overlap(log, track.value)).toBe(true);
  // Where the track has ended the log goes on without it.
  const half = { ...track.value, samples: track.value.samples.slice(0, 150) };
  const joined = mergeTrack(log, half).samples;
  expect([joined[140]?.heightM, joined[200]?.heightM]).toEqual([30, undefined]);
  const [flight] = flightsIn(mergeTrack(log, track.value));
  expect(flight?.pattern).toBe('circle');
  expect(flight?.heightM).toBeCloseTo(30, 0);
  expect(flight?.endCharge).toBeCloseTo(0.2, 9);
  const later = {
    ...track.value,
    samples: track.value.samples.map((one) => ({ ...one, timeS: one.timeS + 9999 })),
  };
  expect(overlap(log, later)).toBe(false);
});

test('hostile and broken tracks are refused with a sentence: entities, no track, no GeoJSON', () => {
  const bomb = '<!DOCTYPE gpx [<!ENTITY a "aaaaaaaaaa"><!ENTITY b "&a;&a;&a;">]><gpx><trk>&b;</trk></gpx>';
  const code = (outcome: ReturnType<typeof readGpx>) => !outcome.ok && outcome.refusal.template;
  expect(code(readGpx(bomb))).toContain('entities');
  expect(code(readGpx('<gpx></gpx>'))).toContain('no GPX');
  expect(code(readGpx('<gpx><trk>'))).toContain('no GPX');
  expect(code(readGeoJsonTrack('{"type":"Point"}'))).toContain('no GeoJSON');
  expect(code(readGeoJsonTrack('{'))).toContain('no GeoJSON');
});

test('GeoJSON with times makes a track; a point without a time is left out and told', () => {
  const times = ['2026-11-25T10:10:00Z', null, '2026-11-25T10:10:10Z'];
  const line = {
    type: 'Feature',
    geometry: {
      type: 'LineString',
      coordinates: [
        [-2.8, 54.5, 620],
        [-2.8, 54.5, 620],
        [-2.8, 54.5009, 650],
      ],
    },
    properties: { coordTimes: times },
  };
  const track = readGeoJsonTrack(JSON.stringify(line));
  if (!track.ok) throw new Error('it is a track');
  expect(track.value.leftOut).toBe(1);
  expect(track.value.samples[1]?.heightM).toBe(30);
  // 0.0009° are 100 m, in 10 s.
  expect(track.value.samples[1]?.distanceM).toBeCloseTo(100, 0);
  expect(track.value.samples[1]?.speedMps).toBeCloseTo(10, 0);
});

test('samples written as they are kept are read back; as GPX and GeoJSON their places, times and heights are', () => {
  const track = readGpx(gpx((i) => [15 * Math.cos(i / 6), 15 * Math.sin(i / 6), rise(i)], 60));
  if (!track.ok) throw new Error('it is a track');
  const samples = track.value.samples.map((one, i) => ({ ...one, charge: 1 - i / 100, motorsOn: i < 59 }));
  const text = writeSamplesCsv(samples);
  expect(wrongSamplesLine(text)).toBeNull();
  const again = readSamplesCsv(text).samples;
  expect(again).toHaveLength(60);
  expect(again[30]).toMatchObject({ charge: 0.7, heightM: 30, motorsOn: true, timeS: samples[30]?.timeS });
  expect(again[59]?.motorsOn).toBe(false);
  for (const read of [readGpx(writeGpx(again, 620)), readGeoJsonTrack(writeGeoJsonTrack(again, 620))]) {
    if (!read.ok) throw new Error('it is a track');
    expect(read.value.samples[30]?.latitudeDeg).toBeCloseTo(samples[30]?.latitudeDeg ?? 0, 6);
    expect(read.value.samples[30]?.timeS).toBe(samples[30]?.timeS);
    expect(read.value.samples[30]?.heightM).toBe(30);
  }
  expect(wrongSamplesLine(text.replace(/^.*\n/, ''))).toBe(1);
  expect(wrongSamplesLine(`${text}<script>,,,,,,,,,\n`)).toBe(62);
  // No sample is longer than 300 characters.
  expect(wrongSamplesLine(`${text}${'1'.padEnd(291, '0')},,,,,,,,,\n`)).toBeNull();
  expect(wrongSamplesLine(`${text}${'1'.padEnd(292, '0')},,,,,,,,,\n`)).toBe(62);
});

test('a test that is written as CSV is read back', () => {
  const checkpoints = [
    { timeS: 463, charge: 0.7, cellVoltageV: 3.88 },
    { timeS: 775, charge: 0.5 },
  ];
  const text = writeTestCsv({
    pattern: 'low-hover',
    heightM: 2,
    startCharge: 0.98,
    endCharge: 0.2,
    durationS: 1224,
    checkpoints,
  });
  const { samples } = read(text);
  expect(samples.map(({ timeS, charge }) => [timeS, charge])).toEqual([
    [0, 0.98],
    [463, 0.7],
    [775, 0.5],
    [1224, 0.2],
  ]);
  expect(samples[1]?.cellVoltageV).toBeCloseTo(3.88, 3);
  // Read by hand every few minutes it is one flight all the same.
  expect(flights(text)).toMatchObject([{ durationS: 1224, endCharge: 0.2 }]);
});

// Prefixes of the second: BIPM, The International System of Units, table 7.
test.each([
  ['timestamp_us', 1e6, 0],
  ['time [µs]', 1e6, 0],
  ['timestamp ns', 1e9, 0],
  ['timestamp', 1e6, 1_795_600_000],
  ['timestamp', 1e9, 1_795_600_000],
  ['t', 1e6, 0],
])(
  'a quarter of an hour under “%s”, counted %d times a second, is a quarter of an hour',
  (heading, per, from) => {
    const rows = Array.from({ length: 901 }, (_, s) => `${(from + s) * per},${Math.round(98 - s / 15)}`);
    const { samples, isDated } = read(`${heading},charge %\n${rows.join('\n')}\n`);
    expect((samples[900]?.timeS ?? 0) - (samples[0]?.timeS ?? 0)).toBeCloseTo(900, 3);
    expect(isDated).toBe(from > 0);
  },
);

test('rows two hundred times a second in milliseconds do not last for days: they are read again in a smaller unit', () => {
  const layout = layoutOf('t,charge %\n0,98\n5,98\n10,98\n', 'UTC');
  if (!layout.ok) throw new Error('no layout');
  expect(layout.value.columns.time?.unit).toBe('s');
  const smaller = inSmallerTimeUnit(layout.value, 0, 900_000);
  expect(smaller?.columns.time?.unit).toBe('ms');
  expect(inSmallerTimeUnit(layout.value, 0, 900)).toBeNull();
});

test('a clock goes on over midnight, and a log with its last row first comes in order', () => {
  const rows = ['23:52:00,98', '23:59:30,70', '0:00:30,66', '0:07:00,40'];
  for (const order of [rows, [...rows].reverse()]) {
    const [flight, ...more] = flights(`clock,charge %\n${order.join('\n')}\n`);
    expect(more).toEqual([]);
    expect([flight?.durationS, flight?.startCharge, flight?.endCharge]).toEqual([900, 0.98, 0.4]);
  }
});

test('the charge is what falls from near full and is the pack’s, not the first level, nor the controller’s', () => {
  const head = 'time s,Satellite level,Remote battery %,GPS level,Level,Battery %';
  const rows = ['0,4,97,5,80,98', '60,5,97,5,90,95', '120,4,96,5,70,91'];
  const layout = layoutOf(`${head}\n${rows.join('\n')}\n`, 'UTC');
  expect(layout.ok && layout.value.columns.charge?.index).toBe(5);
  const only = layoutOf('time s,Satellite level\n0,4\n60,5\n', 'UTC');
  expect(only.ok && missingColumns(only.value)).toEqual(['charge']);
});

test('a level that others have too is the pack’s where it begins near full and does not rise', () => {
  const hasCharge = (levels: readonly number[]) => {
    const rows = levels.map((level, i) => `${i * 60},${level}`);
    const layout = layoutOf(`time s,Level %\n${rows.join('\n')}\n`, 'UTC');
    return layout.ok && layout.value.columns.charge !== undefined;
  };
  expect(
    [
      [98, 95, 90],
      [98, 99, 95],
      [40, 35, 30],
      [60, 75, 90],
    ].map(hasCharge),
  ).toEqual([true, true, false, false]);
});

// ISO 8601-1:2019 and the calendars of Unicode CLDR (de, en-GB, en-US).
test.each<[string, string, string?]>([
  ['datetime(utc)', '2026-11-25 10:10:00'],
  ['datetime(utc)', '2026/11/25 10:10:00'],
  ['date', '25.11.2026 10:10:00'],
  ['date', '25/11/2026 10:10:00'],
  ['date', '11/25/2026 10:10:00 AM'],
  ['date', '05.12.2026 10:10:00', '2026-12-05'],
  ['date', '20261125T101000Z'],
])(
  'a column of dates beside one of milliseconds says when it was: %s, %s',
  (heading, at, day = '2026-11-25') => {
    const text = `time(millisecond),${heading},charge %\n0,${at},98\n600000,${at},50\n`;
    const [flight] = flights(text);
    expect([flight?.startedAt, flight?.durationS]).toEqual([`${day}T10:10:00.000Z`, 600]);
  },
);

test('twelve o’clock comes first in each half of the day; only slashes may have the month first (Unicode CLDR, en-US and de)', () => {
  expect(['12:30:00 AM', '12:30:00 PM', '1:30:00 pm'].map(clockIn)).toEqual([1800, 45_000, 48_600]);
  const form = { monthFirst: true, timeZone: 'UTC' };
  const dayOf = (text: string) => new Date((dateIn(text, form) ?? 0) * 1000).toISOString().slice(0, 10);
  expect(dayOf('5/12/2026 10:10')).toBe('2026-05-12');
  expect(dayOf('5.12.2026 10:10')).toBe('2026-12-05');
});

test('no number of a log is longer than 64 characters', () => {
  expect(numberIn('1'.padStart(64, '0'), false)).toBe(1);
  expect(numberIn('1'.padStart(65, '0'), false)).toBeNull();
});

test('a date and a clock in two columns are one time', () => {
  const [flight] = flights('date,time,charge %\n2026-11-25,23:55:00,98\n2026-11-26,00:05:00,50\n');
  expect([flight?.startedAt, flight?.durationS]).toEqual(['2026-11-25T23:55:00.000Z', 600]);
  // The first date may come late; what lies in the year 33658 is no date.
  const [late] = flights('date,time,charge %\n,23:55:00,98\n2026-11-26,00:05:00,50\n');
  expect([late?.startedAt, late?.durationS]).toEqual(['2026-11-25T23:55:00.000Z', 600]);
  expect(read('time s,charge %\n1000000000000,98\n1000000000600,50\n').isDated).toBe(false);
});

test('a cell in quotes may hold line breaks, whatever the pieces (RFC 4180, 2.6); a quote never closed spoils its own line', () => {
  const rows = Array.from({ length: 300 }, (_, i) => `${i},${99 - i / 5},"landed,\r\n""softly"" here",30`);
  const text = ['time s,battery %,"remark\nof the pilot",height m', ...rows].join('\r\n');
  for (const pieces of [1, 2, 97]) {
    const { samples, problems } = read(text, pieces);
    expect(problems).toEqual([]);
    expect(samples).toHaveLength(300);
    expect(samples[299]).toMatchObject({ timeS: 299, heightM: 30 });
  }
  const plain = Array.from({ length: 300 }, (_, i) => `${i},${99 - i / 5},"ok",30`);
  plain[7] = '7,97.6,"never closed,30';
  const { samples, problems, leftOut } = read(['time s,battery %,remark,height m', ...plain].join('\n'), 5);
  expect(samples).toHaveLength(299);
  expect(leftOut).toBe(1);
  expect(problems).toEqual([{ line: 9, message: expect.stringContaining('the line is cut') }]);
});

test('a cell or a line longer than any log has is told, not held, and what follows is read', () => {
  const digits = '1'.repeat(40_000);
  const layout = layoutOf('time s,charge %\n0,98\n60,97\n', 'UTC');
  if (!layout.ok) throw new Error('no layout');
  const reader = new RowReader(layout.value, 3, 'UTC');
  const check = new SamplesCheck();
  reader.feed(`time s,charge %\n0,98\n60,${digits}x\n`);
  for (let piece = 0; piece < 320; piece++) {
    reader.feed(digits);
    check.feed(digits);
  }
  reader.feed('\n60,97\n');
  const { samples, problems } = reader.end();
  expect(samples).toHaveLength(2);
  expect(problems.map(({ line }) => line)).toEqual([3, 4]);
  expect(problems[1]?.message).toContain('longer than');
  expect(check.end()).toBe(1);
  const held: string[] = [];
  const lines = new LineSplitter((line) => held.push(line));
  for (const piece of ['a\r', '\nb\r', 'c', digits, digits, digits, '\n']) lines.feed(piece);
  expect(held.map(({ length }) => length)).toEqual([1, 1, maxLineLength + 1]);
});
