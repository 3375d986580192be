import { metarInWords, readMetar, weatherFromMetar } from './metar';

/** Reports of our own making in the form of FM 15 (WMO Manual on Codes 306); XX and ZZ are nobody's letters. */
const read = (text: string) => {
  const outcome = readMetar(text);
  if (!outcome.ok) throw new Error(outcome.refusal.message);
  return outcome.value;
};
const wind = (speedMps: number, fromDeg: number | null, gustMps: number | null = null) => ({
  speedMps,
  gustMps,
  fromDeg,
});

test.each([
  // Knots are 0.5144 m/s; by hand: 8 kt 4.1, 14 kt 7.2, 18 kt 9.3, 33 kt 17.0.
  ['METAR XXHF 260820Z 24008KT 9999 FEW030 09/06 Q1008', wind(4.1, 240), 9, 1008],
  ['XXHF 260820Z 24008G14KT 9999 BKN020 05/04 Q0998 NOSIG', wind(4.1, 240, 7.2), 5, 998],
  ['XXHF 260820Z 24018G33KT 4000 RA OVC008 03/02 Q0979 TEMPO 2000 +RA', wind(9.3, 240, 17), 3, 979],
  ['METAR ZZAB 010000Z 00000KT CAVOK 12/11 Q1030=', wind(0, 0), 12, 1030],
  ['ZZAB 011230Z VRB03KT 9999 SCT025 18/09 Q1018', wind(1.5, null), 18, 1018],
  ['ZZAB 011230Z VRB02MPS 6000 BR 01/01 Q1022', wind(2, null), 1, 1022],
  ['ZZAB 011230Z 31005MPS 9999 SKC M02/M07 Q1036', wind(5, 310), -2, 1036],
  ['ZZAB 011230Z 31005G11MPS 1500 SN VV004 M11/M13 Q1003', wind(5, 310, 11), -11, 1003],
  ['METAR XXQQ 151853Z AUTO 10006KT 10SM CLR 22/12 A3005', wind(3.1, 100), 22, 1017.6],
  ['SPECI XXQQ 151907Z 16012G21KT 3SM TSRA BKN015CB 19/18 A2977', wind(6.2, 160, 10.8), 19, 1008.1],
  ['METAR COR XXQQ 151900Z 36010KT 9999 M00/M01 Q1013', wind(5.1, 360), 0, 1013],
  ['XXQQ 151900Z 05015KT 020V080 9999 14/08 Q1009', wind(7.7, 50), 14, 1009],
  ['XXQQ 151900Z 24008KT 9999 M02/ Q1009', wind(4.1, 240), -2, 1009],
  ['xxqq 151900z 24008kt 9999 09/06 q1008', wind(4.1, 240), 9, 1008],
  // What is missing is missing, not nought.
  ['XXQQ 151900Z /////KT 9999 09/06 Q1008', null, 9, 1008],
  ['XXQQ 151900Z 24008KT 9999 ///// Q1008', wind(4.1, 240), null, 1008],
  ['XXQQ 151900Z 24008KT 9999 09/// Q////', wind(4.1, 240), 9, null],
  ['XXQQ 151900Z 24008KT 9999', wind(4.1, 240), null, null],
  ['XXQQ 151900Z AUTO 24008KT //// // ////// 09/06 Q1008', wind(4.1, 240), 9, 1008],
  ['  XXQQ   151900Z\n24008KT 9999\n09/06 Q1008 RMK 24X99KT  ', wind(4.1, 240), 9, 1008],
])('%s', (text, expectedWind, airTemperatureC, qnhHpa) => {
  expect(read(text)).toMatchObject({ wind: expectedWind, airTemperatureC, qnhHpa });
});

test.each([
  ['XXQQ 151900Z 24X08KT 9999 09/06 Q1008', 'The wind group “24X08KT” cannot be read'],
  ['XXQQ 151900Z 2408KT 9999 09/06 Q1008', 'The wind group “2408KT” cannot be read'],
  ['XXQQ 151900Z 24008G4KT 9999 09/06 Q1008', 'The wind group “24008G4KT” cannot be read'],
  ['XXQQ 151900Z 24008KT 9999 9/6 Q1008', 'The temperature group “9/6” cannot be read'],
  ['XXQQ 151900Z 24008KT 9999 09/06 Q108', 'The pressure group “Q108” cannot be read'],
  ['XXQQ 151900Z 24008KT 9999 09/06 A29777', 'The pressure group “A29777” cannot be read'],
  ['XXQQ 151900Z 40008KT 9999 09/06 Q1008', 'The wind group “40008KT” cannot be: a direction is 000 to 360.'],
  // Kilometres an hour left the code in 2010; read as knots they would be nearly double.
  ['XXQQ 151900Z 24015KMH 9999 14/08 Q1009', 'The wind group “24015KMH” cannot be read'],
  ['XXQQ 151900Z 24020G10KT 9999 09/06 Q1008', 'The gust in the wind group is weaker than the wind'],
  ['XXQQ 151900Z 24008KT 9999 09/16 Q1008', 'The dew point in the temperature group lies above'],
  ['XXQQ 151900Z 24008KT 9999 09/06 Q0700', 'QNH must be from 870 to 1085 hPa, not 700 hPa.'],
  ['a fine day', 'A report begins with four letters of the place and the time'],
  ['24008KT 9999 09/06 Q1008', 'A report begins with four letters'],
  ['   ', 'Paste the report'],
])('%s is refused by the group that is wrong', (text, message) => {
  const outcome = readMetar(text);
  expect(!outcome.ok && outcome.refusal.message).toContain(message);
});

test('humidity from the dew point: 9 °C and 6 °C are 81 % (psychrometric tables, within 1 %)', () => {
  expect(read('XXHF 260820Z 24008KT 9999 09/06 Q1008').relativeHumidity).toBeCloseTo(0.81, 2);
});

test('the report goes into the weather with its wind at 10 m; what it lacks stays and is asked for', () => {
  const before = {
    airTemperatureC: 1,
    elevationM: 620,
    qnhHpa: 990,
    wind: { speedMps: 9, gustMps: 12, fromDeg: 70, readingHeightM: 2 },
  };
  const reading = read('XXQQ 151900Z VRB03KT 9999 09/// Q////');
  expect(weatherFromMetar(reading, before)).toEqual({
    airTemperatureC: 9,
    elevationM: 620,
    qnhHpa: 990,
    relativeHumidity: null,
    wind: { speedMps: 1.5, gustMps: null, fromDeg: 70, readingHeightM: 10 },
  });
  const { says, lacks } = metarInWords(reading);
  expect(says).toEqual(['wind 1.5 m/s from all sides, at 10 m', 'air 9 °C']);
  expect(lacks.map((lack) => lack.split(':')[0])).toEqual([
    'a direction of the wind',
    'a gust',
    'the dew point',
    'the pressure',
  ]);
});
