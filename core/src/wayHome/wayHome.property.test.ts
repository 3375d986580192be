import fc from 'fast-check';
import { boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { writeInSi } from '../units/sentence';
import { reachOf } from './reach';
import type { ReturnRequest } from './request';
import { returnAnswer } from './returnInFull';
import { situationOf } from './situation';

const { aircraft, battery, conditions, policy } = jayOnTheFell;
const requests: fc.Arbitrary<ReturnRequest> = fc.record({
  aircraft: fc.constant(aircraft),
  battery: fc.constant(battery),
  policy: fc.constant(policy),
  conditions: fc
    .record({
      speedMps: fc.double({ min: 0, max: 6, noNaN: true }),
      fromDeg: fc.integer({ min: 0, max: 359 }),
    })
    .map((wind) => ({ ...conditions, wind: { ...wind, gustMps: null, readingHeightM: 10 } })),
  position: fc.record({
    distanceM: fc.double({ min: 25, max: 1500, noNaN: true }),
    bearingDeg: fc.integer({ min: 0, max: 359 }),
    heightM: fc.double({ min: 0, max: 120, noNaN: true }),
    charge: fc.double({ min: 0.2, max: 0.95, noNaN: true }),
  }),
  returnHeightM: fc.constantFrom(30, 45, 80),
  obstacles: fc.constantFrom([], [{ name: 'chimney', distanceM: 20, widthM: 10, heightM: 31 }]),
});
const answered = (request: ReturnRequest) => {
  const answer = returnAnswer(request, boxMiddle);
  if (!answer.ok) throw new Error(writeInSi(answer.refusal));
  return answer.value;
};
const at = (request: ReturnRequest, position: Partial<ReturnRequest['position']>) =>
  answered({ ...request, position: { ...request.position, ...position } });

test('nearer home is never worse, and a fuller pack lands fuller (seed 21)', () => {
  holds(
    fc.property(requests, (request) => {
      const { distanceM, charge } = request.position;
      const here = answered(request).home.touchdownCharge ?? -1;
      expect(
        at(request, { distanceM: distanceM * 0.8 + 5 }).home.touchdownCharge ?? -1,
      ).toBeGreaterThanOrEqual(here - 1e-9);
      expect(at(request, { charge: charge + 0.04 }).home.touchdownCharge ?? -1).toBeGreaterThanOrEqual(here);
    }),
    { seed: 21, numRuns: 60 },
  );
});

test('what the answer says holds together: legs end where it touches down, ways out are ranked and clear (seed 22)', () => {
  holds(
    fc.property(requests, (request) => {
      const { home, waysOut, timetable, feasible } = answered(request);
      const last = home.legs[home.legs.length - 1];
      if (home.touchdownCharge !== null) {
        expect(last?.chargeAfter).toBe(home.touchdownCharge);
        const sum = home.legs.reduce((total, { durationS }) => total + durationS, 0);
        expect(sum).toBeCloseTo(home.timeS, 9);
        expect(home.notHome).toBeNull();
      } else expect(home.notHome && writeInSi(home.notHome).length).toBeGreaterThan(20);
      expect(feasible).toBe((home.touchdownCharge ?? -1) > 0);
      const worth = waysOut.map(
        ({ touchdownCharge, forcedLanding }) =>
          touchdownCharge ?? (forcedLanding ? -1 - forcedLanding.shortM : -1e9),
      );
      expect(worth).toEqual([...worth].sort((a, b) => b - a));
      for (const { touchdownCharge } of waysOut) expect(touchdownCharge ?? 1).toBeGreaterThan(0.1 - 0.003);
      const goNow = waysOut.find(({ kind }) => kind === 'go-now');
      expect(goNow?.touchdownCharge ?? null).toEqual(home.touchdownCharge);
      const times = timetable.flatMap(({ timeS }) => timeS ?? []);
      expect(times).toEqual([...times].sort((a, b) => a - b));
    }),
    { seed: 22, numRuns: 60 },
  );
});

test('inside the reach it comes home with the reserve, outside it does not (seed 23)', () => {
  holds(
    fc.property(requests, fc.integer({ min: 0, max: 71 }), (request, i) => {
      const situation = situationOf(request, boxMiddle.middle);
      if (!situation.ok) throw new Error(writeInSi(situation.refusal));
      const { bearingsDeg, fromChargeM } = reachOf(situation.value);
      const [bearingDeg, edgeM] = [bearingsDeg[i] as number, fromChargeM[i] as number];
      const landsWith = (distanceM: number) =>
        at(request, { bearingDeg, distanceM }).home.touchdownCharge ?? -1;
      if (edgeM > 30) expect(landsWith(edgeM * 0.98)).toBeGreaterThan(0.25 - 1e-6);
      expect(landsWith(Math.max(21, edgeM * 1.02))).toBeLessThan(0.25);
    }),
    { seed: 23, numRuns: 60 },
  );
});
