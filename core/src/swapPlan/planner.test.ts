import fc from 'fast-check';
import { answered } from '../../fixtures/answered';
import { boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { jayOnTheFell } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { gaugeOf } from '../battery/gauge';
import type { World } from '../belief/belief';
import { flightContext } from '../belief/flightContext';
import type { PowerLeg } from '../flight/bundles';
import { flyLegs } from '../flight/legs';
import { mixPowerW } from '../flight/mix';
import { track } from '../reserve/plane';
import { type Position, returnLegs } from '../reserve/returnHome';
import { transitLegs } from '../reserve/transit';
import { toldInSi } from '../units/sentence';
import { returnAnswer } from '../wayHome/returnInFull';
import type { PlannedFlight, PlanRequest, UnplacedShot } from './planner';
import { planSwaps } from './planner';
import type { Shot } from './shot';

const pack = { ...jayOnTheFell.battery, cycles: 0, startTemperatureC: 20 };
const request: PlanRequest = {
  aircraft: jayOnTheFell.aircraft,
  batteries: [
    { ...pack, id: 'a', label: 'Jay 1' },
    { ...pack, id: 'b', label: 'Jay 2', startCharge: 0.5 },
    { ...pack, id: 'c', label: 'Jay 3' },
  ],
  shots: [],
  conditions: {
    airTemperatureC: 5,
    elevationM: 620,
    roughnessM: 0.03,
    wind: { speedMps: 2, gustMps: 3, fromDeg: 240, readingHeightM: 2 },
  },
  policy: { kind: 'touch-down-charge', reserveCharge: 0.25 },
  swapTimeS: 270,
};
const shot = (id: string, minutes: number, more: Partial<Shot> = {}): Shot => ({
  id,
  name: id,
  durationS: minutes * 60,
  style: 'hover',
  distanceM: 50,
  bearingDeg: 60,
  heightM: 30,
  ...more,
});
/** Enough to plan with where the draws are not the matter. */
const few = boxDrawn(16);
/** Why a shot has no place, as the API words it. */
const whyOf = (unplaced: UnplacedShot | undefined) => unplaced && toldInSi(unplaced.reason);
const plan = (shots: readonly Shot[], more: Partial<PlanRequest> = {}) => {
  const outcome = planSwaps({ ...request, ...more, shots }, few);
  if (!outcome.ok) throw new Error(toldInSi(outcome.refusal));
  return outcome.value;
};

test('next-fit: shots share a battery while they fit; a weak battery is passed over, and the swap takes its time', () => {
  const { flights, unplaced, unusedBatteryIds } = plan([shot('one', 8), shot('two', 6), shot('three', 10)]);
  expect(unplaced).toEqual([]);
  expect(flights.map(({ batteryId, shots }) => [batteryId, shots.map(({ shotId }) => shotId)])).toEqual([
    ['a', ['one', 'two']],
    ['c', ['three']],
  ]);
  expect(unusedBatteryIds).toEqual(['b']);
  const [first, second] = flights;
  expect(second?.takeoffS).toBeCloseTo((first?.touchdownS ?? 0) + 270, 9);
});

test('a shot too long for every battery is left out with how long the best one has; the rest goes on', () => {
  const { flights, unplaced } = plan([shot('long', 30), shot('short', 5)]);
  expect(unplaced).toHaveLength(1);
  expect(whyOf(unplaced[0])).toMatch(
    /Takes 30:00 there; the best battery, Jay 1, has (1\d|2\d):\d\d before it must turn back/,
  );
  expect(flights.flatMap(({ shots }) => shots.map(({ shotId }) => shotId))).toEqual(['short']);
});

test('when the batteries are flown, the reason says so; with none at hand as well', () => {
  const batteries = request.batteries.slice(0, 1);
  const { unplaced } = plan([shot('one', 12), shot('two', 12)], { batteries });
  expect(whyOf(unplaced[0])).toContain('would fit on Jay 1, flown already');
  expect(whyOf(plan([shot('one', 1)], { batteries: [] }).unplaced[0])).toBe('No battery at hand.');
});

test('a point the wind does not let it reach or leave is a reason, not a number', () => {
  const wind = { speedMps: 9, gustMps: 10, fromDeg: 60, readingHeightM: 30 };
  const { unplaced } = plan([shot('upwind', 2, { style: 'fast' })], {
    conditions: { ...request.conditions, wind },
  });
  expect(whyOf(unplaced[0])).toMatch(/drifts back at [\d.]+ m\/s/);
});

test('policies for tests are refused', () => {
  const outcome = planSwaps({ ...request, policy: { kind: 'empty' } }, few);
  expect(!outcome.ok && outcome.refusal.code).toBe('policy-for-tests-only');
});

test('random shoots: order kept, every shot once, no battery twice, touch-down never below the reserve (seed 7)', () => {
  const shots = fc.array(
    fc.record({
      minutes: fc.double({ min: 0.2, max: 20, noNaN: true }),
      distanceM: fc.integer({ min: 0, max: 900 }),
      bearingDeg: fc.integer({ min: 0, max: 359 }),
      style: fc.constantFrom('hover' as const, 'slow' as const, 'normal' as const, 'fast' as const),
    }),
    { maxLength: 9 },
  );
  holds(
    fc.property(shots, (drawn) => {
      const list = drawn.map(({ minutes, ...more }, i) => shot(String(i), minutes, more));
      const { flights, unplaced } = plan(list);
      const flown = flights.flatMap((flight) => flight.shots.map(({ shotId }) => Number(shotId)));
      expect(flown).toEqual([...flown].sort((a, b) => a - b));
      expect([...flown, ...unplaced.map(({ shotId }) => Number(shotId))].sort((a, b) => a - b)).toEqual(
        list.map((_, i) => i),
      );
      expect(new Set(flights.map(({ batteryId }) => batteryId)).size).toBe(flights.length);
      for (const flight of flights) {
        expect(flight.touchdownCharge.p50).toBeGreaterThanOrEqual(0.25);
        expect(flight.touchdownCharge.p10).toBeGreaterThanOrEqual(0.25 - 1e-3);
        expect(flight.spareS).toBeGreaterThanOrEqual(0);
        expect(flight.touchdownS).toBeGreaterThan(flight.turnBackS);
      }
    }),
    { seed: 7, numRuns: 40 },
  );
});

test('the local plane: 300 m east of a point 400 m north is 500 m from home (3-4-5)', () => {
  const home = { distanceM: 0, bearingDeg: 0, heightM: 0 };
  const north = { distanceM: 400, bearingDeg: 0, heightM: 0 };
  const far = { distanceM: 500, bearingDeg: (Math.atan2(300, 400) * 180) / Math.PI, heightM: 0 };
  expect(track(north, far)).toEqual({ distanceM: expect.closeTo(300, 9), trackDeg: expect.closeTo(90, 9) });
  expect(track(home, far).distanceM).toBeCloseTo(500, 9);
});

describe('at the pilot’s confidence', () => {
  const belief = boxDrawn(64);
  const planned = (shots: readonly Shot[], more: Partial<PlanRequest> = {}) => {
    const outcome = planSwaps({ ...request, ...more, shots }, belief);
    if (!outcome.ok) throw new Error(toldInSi(outcome.refusal));
    return outcome.value;
  };

  /** By other code than the planner's: all legs of a flight in one go, and the gauge after its shots and at touch-down, in one world. */
  function gaugesOf(planRequest: PlanRequest, flight: PlannedFlight, world: World) {
    const battery = planRequest.batteries.find(({ id }) => id === flight.batteryId);
    if (!battery) throw new Error('It should be one of the batteries.');
    const context = answered(flightContext({ ...planRequest, battery }, world));
    let from: Position = { distanceM: 0, bearingDeg: 0, heightM: 0 };
    const legs: PowerLeg[] = [];
    for (const { shotId } of flight.shots) {
      const one = planRequest.shots.find(({ id }) => id === shotId) as Shot;
      const out = transitLegs(context, from, one);
      const power = mixPowerW(context, one.heightM, [{ style: one.style, share: 1 }], 0);
      if (!out.ok || !power.ok) return { shot: 0, down: 0 };
      legs.push(...out.value, { powerW: power.value, durationS: one.durationS });
      from = one;
    }
    const home = returnLegs(context, from, planRequest.returnHeightM ?? 30);
    const gaugeAfter = (flown: readonly PowerLeg[]) => {
      const after = flyLegs(context.cells, flown, context.airC, context.takeoff);
      return after ? gaugeOf(after.charge, context.cells.hidden) : 0;
    };
    return { shot: gaugeAfter(legs), down: home.ok ? gaugeAfter([...legs, ...home.value]) : 0 };
  }

  test('in no planned flight do more draws than one less the confidence land below the reserve (seed 17)', () => {
    const any = fc.record({
      shots: fc.array(
        fc.record({
          minutes: fc.double({ min: 1, max: 14, noNaN: true }),
          distanceM: fc.integer({ min: 0, max: 500 }),
          bearingDeg: fc.integer({ min: 0, max: 359 }),
          style: fc.constantFrom('hover' as const, 'slow' as const, 'normal' as const),
        }),
        { minLength: 1, maxLength: 5 },
      ),
      confidence: fc.constantFrom(0.6, 0.9, 0.95),
      kind: fc.constantFrom('touch-down-charge' as const, 'half-out-half-home' as const),
    });
    let flights = 0;
    holds(
      fc.property(any, ({ shots, confidence, kind }) => {
        const list = shots.map(({ minutes, ...more }, i) => shot(String(i), minutes, more));
        const planRequest = { ...request, shots: list, policy: { kind, reserveCharge: 0.25, confidence } };
        for (const flight of planned(list, planRequest).flights) {
          flights++;
          const battery = request.batteries.find(({ id }) => id === flight.batteryId);
          // Half out, half home: the shots end by half of what is between take-off and the reserve.
          const half = kind === 'half-out-half-home' ? ((battery?.startCharge ?? 1) + 0.25) / 2 : 0;
          const failed = belief.draws.filter((world) => {
            const gauges = gaugesOf(planRequest, flight, world);
            return gauges.down < 0.25 - 1e-9 || gauges.shot < half - 1e-9;
          });
          const short = failed.length / belief.draws.length;
          expect(short).toBeLessThanOrEqual(1 - confidence + 1e-9);
          expect(flight.chanceEarly).toBeGreaterThanOrEqual(short);
          expect(flight.chanceEarly).toBeLessThanOrEqual(1 - confidence + 1e-9);
        }
      }),
      { seed: 17, numRuns: 20 },
    );
    expect(flights).toBeGreaterThan(20);
  });

  test('the spare minutes are those it may go on at that confidence: so much longer still fits, a little more does not', () => {
    const [flight] = planned([shot('one', 8)]).flights;
    const mostMin = 8 + (flight?.spareS ?? 0) / 60;
    expect(planned([shot('one', mostMin - 0.02)]).flights[0]?.batteryId).toBe('a');
    // Six of 64 draws may fail, and then they do.
    expect(planned([shot('one', mostMin - 0.02)]).flights[0]?.chanceEarly).toBeCloseTo(6 / 64, 9);
    expect(
      planned([shot('one', mostMin + 0.05)], { batteries: request.batteries.slice(0, 1) }).flights,
    ).toEqual([]);
  });

  test('the farther out the more charge to turn back at, and it is more than the middle flight would need', () => {
    const turns = [50, 200, 400].map(
      (distanceM) => planned([shot('one', 3, { distanceM, bearingDeg: 60 })]).flights[0]?.turnBackCharge ?? 0,
    );
    expect(turns).toEqual([...turns].sort((a, b) => a - b));
    const middle = planSwaps(
      { ...request, shots: [shot('one', 3, { distanceM: 400, bearingDeg: 60 })] },
      { ...boxMiddle, draws: [boxMiddle.middle] },
    );
    expect(turns[2]).toBeGreaterThan(middle.ok ? (middle.value.flights[0]?.turnBackCharge ?? 1) : 1);
  });

  test('to a shot it flies at the return speed of the draw, as on the way home (until 26 Nov 2026 at the usual one)', () => {
    const calm = { speedMps: 0, fromDeg: 0, readingHeightM: 2 };
    const flown = { ...request, battery: { ...pack }, conditions: { ...request.conditions, wind: calm } };
    const [from, to] = [0, 400].map((distanceM) => ({ distanceM, bearingDeg: 60, heightM: 30 })) as [
      Position,
      Position,
    ];
    for (const world of belief.draws.slice(0, 8)) {
      const legs = answered(transitLegs(answered(flightContext(flown, world)), from, to));
      expect(legs.at(-1)?.durationS).toBeCloseTo(400 / (8 * world.coefficients.returnSpeedRatio), 6);
    }
  });

  test('without draws nothing can be planned so surely: that is our mistake, and it is told', () => {
    expect(() => planSwaps({ ...request, shots: [shot('one', 1)] }, boxMiddle)).toThrow('draws');
  });
});

// The same air and aircraft by other code: a wind triangle by vectors, and the leg's time by distance over ground speed.
test('to the shot and between shots: times over ground by vectors, against, across and before the wind', () => {
  const wind = { speedMps: 4, gustMps: 5, fromDeg: 240, readingHeightM: 30 };
  const conditions = { ...request.conditions, wind, roughnessM: 0.0002 };
  const groundMps = (airspeedMps: number, trackDeg: number) => {
    const off = ((240 - trackDeg) * Math.PI) / 180;
    return Math.sqrt(airspeedMps ** 2 - (4 * Math.sin(off)) ** 2) - 4 * Math.cos(off);
  };
  const startS = (bearingDeg: number) => {
    const { flights } = plan([shot('one', 1, { distanceM: 300, bearingDeg })], { conditions });
    return flights[0]?.shots[0]?.startS ?? Number.NaN;
  };
  const [against, across, before] = [startS(240), startS(330), startS(60)];
  // What all three share is the climb and the speed through the air; their differences are the wind's alone.
  const airspeedMps = [...Array(400).keys()]
    .map((tenth) => 5 + tenth / 20)
    .reduce((best, mps) => {
      const off = (one: number) =>
        Math.abs(300 / groundMps(one, 240) - 300 / groundMps(one, 60) - (against - before));
      return off(mps) < off(best) ? mps : best;
    }, 5);
  const expected = 300 / groundMps(airspeedMps, 330) - 300 / groundMps(airspeedMps, 60);
  expect(Math.abs(across - before - expected)).toBeLessThan(1);
  expect(against).toBeGreaterThan(across);
});

test('a reserve below the forced landing is not planned down to: it would come down before (25 Nov 2026)', () => {
  const low = { kind: 'touch-down-charge', reserveCharge: 0.05 } as const;
  for (const minutes of [12, 16, 20, 24]) {
    const { flights } = plan([shot('one', minutes)], { policy: low });
    for (const flight of flights) expect(flight.touchdownCharge.p10).toBeGreaterThanOrEqual(0.1 - 1e-3);
  }
  // It does use what lies between: a quarter kept in reserve gives less.
  const longest = (policy: PlanRequest['policy']) => {
    const { unplaced } = plan([shot('one', 60)], { policy });
    const reason = unplaced[0]?.reason;
    return Number(reason?.values.possibleS);
  };
  expect(longest(low)).toBeGreaterThan(longest(request.policy) + 60);
});

test('shots one after the other on one pack are one flight: cutting a shot in two changes neither its end nor its charge', () => {
  const whole = plan([shot('whole', 12)]).flights[0];
  const cut = plan([shot('first', 5), shot('second', 7)]).flights[0];
  expect(cut?.shots).toHaveLength(2);
  expect(Math.abs((cut?.turnBackS ?? 0) - (whole?.turnBackS ?? 0))).toBeLessThan(0.5);
  expect(Math.abs((cut?.touchdownCharge.p50 ?? 0) - (whole?.touchdownCharge.p50 ?? 0))).toBeLessThan(0.001);
});

test('the plan’s way home is the way home’s: from the end of a shot both touch down with the same charge', () => {
  for (const [distanceM, bearingDeg, minutes] of [
    [60, 60, 8],
    [250, 240, 6],
    [400, 330, 4],
  ] as const) {
    const shots = [shot('one', minutes, { distanceM, bearingDeg, heightM: 50 })];
    const [flight] = plan(shots, { returnHeightM: 45 }).flights;
    const [flown] = flight?.shots ?? [];
    if (!flight || !flown) throw new Error('It should have been placed.');
    const [battery] = request.batteries;
    if (!battery) throw new Error('There should be a battery.');
    const answer = returnAnswer(
      {
        aircraft: request.aircraft,
        battery,
        conditions: request.conditions,
        policy: request.policy,
        position: { distanceM, bearingDeg, heightM: 50, charge: flown.chargeAfter },
        returnHeightM: 45,
      },
      boxMiddle,
    );
    // The pack is a little warmer or colder there, since the way out is flown otherwise: half a per cent of charge.
    expect(
      Math.abs((answer.ok ? (answer.value.home.touchdownCharge ?? 0) : 0) - flight.touchdownCharge.p50),
    ).toBeLessThan(0.005);
  }
});
