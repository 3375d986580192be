import { refusal } from '../../fixtures/answered';
import { boxMiddle } from '../../fixtures/beliefs';
import { estimate } from '../estimate/estimate';
import type { EstimateRequest } from '../estimate/request';
import { situationOf } from '../wayHome/situation';
import { aircraftOfClass, classTemplates } from './classTemplates';

const small = classTemplates[0] as (typeof classTemplates)[number];
const { spec, flight, policy } = aircraftOfClass(small, 'small');
const flown = (windMps: number, startCharge = 0.99): EstimateRequest => ({
  aircraft: spec,
  battery: { ...small.pack, startCharge },
  conditions: {
    airTemperatureC: 15,
    elevationM: 0,
    wind: { speedMps: windMps, fromDeg: 240, readingHeightM: 60 },
  },
  flight: { ...flight, heightM: 60, farthestM: 20, bearingDeg: 240, mix: [{ style: 'manual', share: 1 }] },
  policy,
});
const told = (request: EstimateRequest) => refusal(estimate(request, boxMiddle));

test('what the wind alone makes impossible is told of the wind, not of the pack (told as a pack that gives out until 26 Nov 2026)', () => {
  // At the edge of what the mode stands against, a small pack that is not full cannot give the power; in still air it can.
  expect(told(flown(16.7, 0.7))).toMatch(
    /^Against 16.7 m\/s of wind at 60 m this flight takes \d+ W, more than this pack can give/,
  );
  expect(estimate(flown(0, 0.7), boxMiddle).ok).toBe(true);
});

test('a pack that cannot give it in still air either is what is wrong', () => {
  const weak = { ...flown(0), battery: { ...small.pack, startCharge: 0.03, startTemperatureC: -20 } };
  expect(told(weak)).toMatch(/^This pack cannot give the \d+ W this flight takes/);
});

test('blown away at full power, which would empty the pack at once, it is the wind that is told', () => {
  // A wind of 25.9 m/s (58 mph) aloft, with a pack too cold to give full power at all.
  const request = flown(25.9);
  const situation = (startTemperatureC: number, startCharge: number) =>
    situationOf(
      {
        aircraft: request.aircraft,
        battery: { ...small.pack, startCharge, startTemperatureC },
        conditions: request.conditions,
        policy,
        mix: [{ style: 'hover', share: 1 }],
        position: { distanceM: 150, bearingDeg: 60, heightM: 60, charge: 0.5 },
        returnHeightM: 40,
      },
      boxMiddle.middle,
    );
  expect(refusal(situation(-20, 0.03))).toMatch(
    /^No mode holds a hover \(16 m\/s\) against 25.9 m\/s of wind: it drifts back at 9.9 m\/s. Fly lower\./,
  );
});
