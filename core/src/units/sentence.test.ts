import { inSi, inWords, numbersOf, sentence, writeInSi } from './sentence';
import { imperialUnits, metricUnits } from './units';

test('one sentence in the reader’s units: 9 m/s 20 mph, −5 °C 23 °F, 249 g 0.549 lb, 34 mΩ as it is (NIST SP 811)', () => {
  const said = sentence(
    'all',
    '{gustMps} at {airC}, {densityKgm3:2}, {durationS} min, {packMah}, {massKg}, {cellOhm}, {leftCharge}, {fromDeg}, from {leastM} to {mostM}',
    {
      gustMps: 9,
      airC: -5,
      densityKgm3: 1.17,
      durationS: 1860,
      packMah: 2350,
      massKg: 0.249,
      cellOhm: 0.034,
      leftCharge: 0.96,
      fromDeg: 240,
      leastM: 0,
      mostM: 500,
    },
  );
  expect(inWords(said, metricUnits)).toBe(
    '9 m/s at −5 °C, 1.17 kg/m³, 31:00 min, 2350 mAh, 249 g, 34 mΩ, 96 %, 240°, from 0 m to 500 m',
  );
  // Until 25 Nov 2026: "112 ftΩ", and "from 0 to 500 m" half converted.
  expect(inWords(said, imperialUnits)).toBe(
    '20 mph at 23 °F, 0.0730 lb/ft³, 31:00 min, 2350 mAh, 0.55 lb, 34 mΩ, 96 %, 240°, from 0 ft to 1640 ft',
  );
});

test('a sentence within a sentence follows the same reader; words are put in as they are, braces and units in them too', () => {
  const inner = sentence('inner', 'at {heightM}', { heightM: 60 });
  const outer = sentence('outer', '{name}: it flies {inner}', { name: 'the 100 m {mast}', inner });
  expect(inWords(outer, imperialUnits)).toBe('the 100 m {mast}: it flies at 197 ft');
});

test('for programs: the message in SI beside code and numbers', () => {
  const said = inSi(sentence('drifts', '{name} drifts at {driftMps:1}', { name: 'It', driftMps: 1.25 }));
  expect(said).toMatchObject({ code: 'drifts', message: 'It drifts at 1.3 m/s' });
  expect(numbersOf(said)).toEqual({ driftMps: 1.25 });
  expect(writeInSi(sentence('whole', 'Push to {speedMps:1}', { speedMps: 13 }))).toBe('Push to 13 m/s');
});
