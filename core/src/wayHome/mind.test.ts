import { answered } from '../../fixtures/answered';
import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { writeInSi } from '../units/sentence';
import type { ReturnRequest } from './request';
import { returnAnswer } from './returnInFull';

const { aircraft, battery, conditions, policy } = jayOnTheFell;
const fell = { latitudeDeg: 54.4, longitudeDeg: -2.9 };
const out = (change: Partial<ReturnRequest>, place: Partial<ReturnRequest['position']> = {}) =>
  answered(
    returnAnswer(
      {
        aircraft,
        battery,
        conditions,
        policy,
        position: { distanceM: 200, bearingDeg: 60, heightM: 60, charge: 0.6, ...place },
        returnHeightM: 45,
        ...change,
      },
      boxMiddle,
    ),
  );
const codes = (change: Partial<ReturnRequest>, place: Partial<ReturnRequest['position']> = {}) =>
  out(change, place).mind.map(({ code }) => code);

describe('what practice knows of a way home (common practice)', () => {
  // At half past nine the sun stands at 145°, 8° up over the fell (astronomy-engine 2.1): the way home leads there from 325°.
  const morning = { at: '2026-11-26T09:30:00Z', coordinates: fell };

  test('it may stop before a low sun: within thirty degrees beside it, and not when the sun is high, set or unknown', () => {
    expect(codes(morning, { bearingDeg: 325 })).toEqual(['into-low-sun']);
    expect(codes(morning, { bearingDeg: 325 + 29 })).toEqual(['into-low-sun']);
    expect(codes(morning, { bearingDeg: 325 - 29 })).toEqual(['into-low-sun']);
    expect(codes(morning, { bearingDeg: 325 + 33 })).toEqual([]);
    expect(codes(morning, { bearingDeg: 145 })).toEqual([]);
    expect(codes({ ...morning, at: '2026-06-21T09:30:00Z' }, { bearingDeg: 325 })).toEqual([]);
    expect(codes({}, { bearingDeg: 325 })).toEqual([]);
    expect(codes(morning, { bearingDeg: 325, distanceM: 0 })).toEqual([]);
  });

  test('in the dark it comes home straight at the height it then has', () => {
    const { mind } = out({ at: '2026-11-26T18:00:00Z', coordinates: fell });
    expect(mind.map(writeInSi)).toEqual([
      'Its obstacle sensors do not work in the dark: it flies straight home, at 60 m',
    ]);
    expect(codes({ at: '2026-11-26T12:00:00Z', coordinates: fell })).toEqual([]);
  });

  test('among houses the link is shorter; gusts near the ground may tip it', () => {
    const village = { ...conditions, roughnessM: 0.5, wind: { ...conditions.wind, readingHeightM: 10 } };
    expect(codes({ conditions: village })).toEqual(['many-radios']);
    expect(codes({ below: 'people' })).toEqual(['many-radios']);
    const gusty = { ...conditions, wind: { ...conditions.wind, speedMps: 5, gustMps: 9 } };
    expect(codes({ conditions: gusty })).toEqual(['may-tip']);
    expect(codes({})).toEqual([]);
  });
});

test('pushing is no way out where it would be pushed with less than 10 %: it may leave its fast mode by itself', () => {
  const kinds = (charge: number) => out({}, { charge, distanceM: 600 }).waysOut.map(({ kind }) => kind);
  expect(kinds(0.5)).toEqual(expect.arrayContaining(['push', 'push-low']));
  expect(kinds(0.13)).not.toContain('push');
  expect(kinds(0.13)).toContain('go-now');
});

// Wind triangle by hand: 9 m/s from home's side against 8 m/s of airspeed drifts back; across it √(8² − 9²) has no way either,
// but a place downwind and aside has: 45° off the wind 8 m/s makes √(64 − 40.5) + 6.4 = 11.2 m/s.
test('where the straight way home is too strong, a landing place aside of it is told with both speeds', () => {
  const wind = { speedMps: 9, gustMps: 10, fromDeg: 240, readingHeightM: 60 };
  const places = [{ name: 'lower gate', distanceM: 400, bearingDeg: 60 }];
  const { waysOut } = out(
    {
      conditions: { ...conditions, wind },
      landingPlaces: [{ ...places[0], name: 'lower gate', distanceM: 400, bearingDeg: 75 }],
    },
    { distanceM: 200, bearingDeg: 60 },
  );
  const aside = waysOut.find(({ kind }) => kind === 'land-elsewhere');
  expect(aside && writeInSi(aside.caution)).toMatch(
    /^straight home it drifts back at 1 m\/s, this way it makes 1\d\.\d m\/s over ground; only where nobody is/,
  );
  const calm = out({ landingPlaces: places }).waysOut.find(({ kind }) => kind === 'land-elsewhere');
  expect(calm && writeInSi(calm.caution)).toMatch(/^only where nobody is/);
});
