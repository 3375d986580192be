import fc from 'fast-check';
import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { anyKit } from '../../fixtures/kits';
import { holds } from '../../fixtures/seeds';
import { provisionalAdvice } from '../estimate/advice';
import { estimate } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { policyKinds } from '../reserve/policy';
import { inWords, type Sentence, writeInSi } from '../units/sentence';
import { imperialUnits, metricUnits } from '../units/units';
import { returnAnswer } from './returnInFull';

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });

/** Days from fair to impossible, so that all is said that there is to say. */
const anyDay = fc.record({
  airTemperatureC: between(-20, 40),
  elevationM: between(0, 4000),
  speedMps: between(0, 16),
  gustMps: fc.option(between(0, 22)),
  farthestM: between(0, 3000),
  heightM: between(0, 200),
  reserveCharge: between(0.05, 0.5),
  kind: fc.constantFrom(...policyKinds),
  charge: between(0.02, 1),
});

/** Everything that is said about a flight and about its way home. */
function said(request: EstimateRequest, charge: number): Sentence[] {
  const outcome = estimate(request, boxMiddle);
  const { flight, ...kit } = request;
  const position = { distanceM: flight.farthestM, bearingDeg: 60, heightM: flight.heightM, charge };
  const light = { at: '2026-11-26T09:10:00Z', coordinates: { latitudeDeg: 54.4, longitudeDeg: -2.9 } };
  const home = returnAnswer({ ...kit, ...light, position, returnHeightM: 45, below: 'water' }, boxMiddle);
  return [
    ...(outcome.ok ? [...outcome.value.cautions, ...provisionalAdvice(outcome.value)] : [outcome.refusal]),
    ...(home.ok
      ? [
          ...(home.value.home.notHome ? [home.value.home.notHome] : []),
          ...home.value.waysOut.flatMap(({ action, caution }) => [action, caution]),
          ...home.value.timetable.flatMap(({ says, caution }) => (caution ? [says, caution] : [says])),
          ...home.value.mind,
          ...(home.value.tooLow ? [home.value.tooLow] : []),
        ]
      : [home.refusal]),
  ];
}

test('whatever is said is whole: each place filled, no metric word for an imperial reader, nor the other way round (seed 61)', () => {
  const codes = new Set<string>();
  holds(
    fc.property(anyKit, anyDay, (kit, day) => {
      const { airTemperatureC, elevationM, speedMps, gustMps, farthestM, heightM, ...more } = day;
      const request: EstimateRequest = {
        ...jayOnTheFell,
        ...kit,
        conditions: {
          airTemperatureC,
          elevationM,
          roughnessM: 0.03,
          wind: { speedMps, gustMps, fromDeg: 240, readingHeightM: 10 },
        },
        flight: { ...jayOnTheFell.flight, farthestM, heightM },
        policy: { kind: more.kind, reserveCharge: more.reserveCharge },
      };
      for (const sentence of said(request, more.charge)) {
        codes.add(sentence.code);
        const [metric, imperial] = [inWords(sentence, metricUnits), inWords(sentence, imperialUnits)];
        for (const text of [metric, imperial, writeInSi(sentence)]) {
          expect(text).not.toMatch(/[{}]|NaN|undefined|null|Infinity|\[object/);
          expect(text).not.toMatch(/\d\.\d{4,}/);
        }
        expect(imperial).not.toMatch(/\d ?(m|km|m\/s|km\/h|°C|g|kg|hPa|kg\/m³)(?![\wΩ²³/A])/);
        expect(metric).not.toMatch(/\d ?(ft|mph|mi|°F|lb|oz|inHg)(?![\w])/);
      }
    }),
    { seed: 61, numRuns: 60 },
  );
  // It is a hunt only if there was something to find.
  expect(codes.size).toBeGreaterThan(12);
});
