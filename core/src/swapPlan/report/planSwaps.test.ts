import { answered } from '../../../fixtures/answered';
import { boxDrawn, boxMiddle } from '../../../fixtures/beliefs';
import { few, flownAs, pack, plan, request, secondsOf, shot, why } from '../../../fixtures/fellShoot';
import { jayOnTheFell, jayThatComesHome } from '../../../fixtures/jay';
import { worldMoved } from '../../belief/belief';
import { flightContext } from '../../belief/flightContext';
import { track } from '../../reserve/plane';
import type { Position } from '../../reserve/returnHome';
import { transitLegs } from '../../reserve/transit';
import { returnAnswer } from '../../wayHome/returnInFull';
import { contradictions } from '../request/contradictions';
import type { PlanRequest } from '../request/request';
import type { Shot } from '../request/shot';
import type { SwapPlan } from './answer';
import { planSwaps } from './planSwaps';

describe('what goes on which battery', () => {
  test('shots share a battery while they fit; a weak one stays in hand, and the swap takes its time', () => {
    const made = plan([shot('one', 8), shot('two', 6), shot('three', 13)]);
    expect(flownAs(made)).toEqual(['a: one two', 'c: three']);
    const [first, second] = made.flights;
    expect(secondsOf(second?.takeoffAt)).toBe(60 * Math.ceil((secondsOf(first?.touchdownAt) + 270) / 60));
    expect(made.figures).toMatchObject({ takeoffs: 2, takeoffsBound: 2, proved: true, boundBy: 'columns' });
    expect(made.lanes.find(({ batteryId }) => batteryId === 'b')?.spans.map(({ kind }) => kind)).toEqual([
      'ready',
    ]);
  });

  // By hand: a flight holds some 17 minutes, so 5, 14 and 9 in that order are three; 5 and 9 together, and 14, are two.
  test('in free order fewer take-offs do than in the order kept, and both are proved', () => {
    const shots = [shot('five', 5), shot('fourteen', 14), shot('nine', 9)];
    const batteries = ['a', 'b', 'c'].map((id) => ({ ...pack, id, label: id }));
    expect(plan(shots, { batteries }).figures).toMatchObject({ takeoffs: 3, proved: true });
    const free = plan(shots, { batteries, order: 'free' });
    expect(free.figures).toMatchObject({ takeoffs: 2, proved: true });
    expect(flownAs(free).map((one) => one.slice(3).split(' ').sort().join())).toContain('five,nine');
  });

  test('musts come before nices: the one that is only nice is left out, wherever it stands', () => {
    for (const order of ['kept', 'free'] as const) {
      const made = plan([shot('nice', 12, { need: 'nice' }), shot('must', 12)], {
        order,
        batteries: request.batteries.slice(0, 1),
      });
      expect(flownAs(made)).toEqual(['a: must']);
      expect(made.figures).toMatchObject({ mustsPlaced: 1, nicesPlaced: 0 });
    }
  });

  test('a flown pack does not fly again uncharged, however much is left in it: what it has is a guess until it was charged', () => {
    const hub = { id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 };
    const shots = [
      shot('early', 4, { latestAt: '2026-11-26T08:30:00Z' }),
      shot('late', 4, { earliestAt: '2026-11-26T10:00:00Z' }),
    ];
    const batteries = request.batteries.slice(0, 1);
    const noPower = { ...hub, untilAt: '2026-11-26T08:10:00Z' };
    expect(plan(shots, { batteries, chargers: [noPower] }).unplaced).toHaveLength(1);
    const foreign = { ...hub, aircraftIds: ['other'] };
    expect(plan(shots, { batteries, chargers: [foreign] }).unplaced).toHaveLength(1);
    expect(plan(shots, { batteries, chargers: [hub] }).figures.takeoffs).toBe(2);
  });

  // Together they would be three flights: 12, 10 and 10.
  test.each([
    ['found exactly', null],
    ['searched for', [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3240 }]],
  ])('fewer take-offs come before takes of a shot together, %s', (_, chargers) => {
    const made = plan([shot('one', 6, { takes: 2 }), shot('two', 10), shot('three', 10)], {
      order: 'free',
      chargers,
    });
    expect(made.figures).toMatchObject({ takeoffs: 2, mustsPlaced: 4 });
  });

  test('takes of a shot stay together where that costs no take-off', () => {
    const shots = [shot('x', 3.5, { takes: 2 }), shot('y', 3.5, { takes: 2 })];
    const batteries = ['a', 'b'].map((id) => ({ ...pack, id, label: id, startCharge: 0.65 }));
    const made = plan(shots, { batteries, order: 'free' });
    expect(made.figures.takeoffs).toBe(2);
    expect(
      flownAs(made)
        .map((one) => one.slice(3))
        .sort(),
    ).toEqual(['x x', 'y y']);
  });

  test('each take has its set-up before it, in the air', () => {
    const [flight] = plan([shot('one', 2, { setUpS: 40, takes: 2 })]).flights;
    const [first, second] = flight?.shots ?? [];
    expect(secondsOf(second?.startAt) - secondsOf(first?.endAt)).toBeCloseTo(40, 1);
  });
});

describe('as the pilot wants it', () => {
  const batteries = ['a', 'b', 'c'].map((id) => ({ ...pack, id, label: id }));

  test('a pin to a battery, to a flight, and a locked flight are kept', () => {
    const shots = [shot('one', 4), shot('two', 4)];
    expect(flownAs(plan(shots, { batteries }))).toHaveLength(1);
    const pinned = plan([shots[0] as Shot, shot('two', 4, { pin: { flightNumber: 2 } })], { batteries });
    expect(flownAs(pinned).map((one) => one.slice(3))).toEqual(['one', 'two']);
    const onC = plan([shots[0] as Shot, shot('two', 4, { pin: { batteryId: 'c' } })], { batteries });
    expect(flownAs(onC)).toEqual(['c: one two']);
    const locked = plan(shots, { batteries, locks: [{ flightNumber: 1, batteryId: 'b' }] });
    expect(flownAs(locked)).toEqual(['b: one two']);
  });

  test('what comes after another comes after all of its takes, also in free order', () => {
    const shots = [shot('last', 3, { after: ['first'] }), shot('first', 3, { takes: 2 })];
    const made = plan(shots, { batteries, order: 'free' });
    expect(made.flights.flatMap((flight) => flight.shots.map(({ shotId }) => shotId))).toEqual([
      'first',
      'first',
      'last',
    ]);
  });
});

test('a shot goes in one flight with the one it is pinned to, whichever flight that is; what cannot share one is named', () => {
  const batteries = ['a', 'b', 'c'].map((id) => ({ ...pack, id, label: id }));
  const shots = [shot('one', 6), shot('two', 6), shot('three', 6), shot('four', 6)];
  expect(flownAs(plan(shots, { batteries })).map((one) => one.slice(3))).toEqual(['one two', 'three four']);
  const pinned = shots.map((one) => (one.id === 'four' ? { ...one, pin: { withShotId: 'one' } } : one));
  const free = plan(pinned, { batteries, order: 'free' });
  expect(free.figures.takeoffs).toBe(2);
  const together = free.flights.find(({ shots }) => shots.some(({ shotId }) => shotId === 'four'));
  expect(together?.shots.map(({ shotId }) => shotId).sort()).toEqual(['four', 'one']);
  // Free of charge in this order; in the order kept no flight holds the first and the last of four.
  expect(free.withoutPins).toMatchObject({ takesPlaced: 4, takeoffs: 2 });
  expect(why(plan(pinned, { batteries }))).toEqual(['Where it is pinned there is no room for it.']);
  const wrong = (more: Partial<Shot>) =>
    contradictions({ ...request, shots: [shot('one', 3), shot('two', 3, more)] }).map(
      ({ message }) => message,
    );
  expect(wrong({ pin: { withShotId: 'one' } })).toEqual([]);
  expect(wrong({ pin: { withShotId: 'two' } })).toEqual(['A shot goes with itself anyway: name another.']);
  expect(wrong({ pin: { withShotId: 'one' }, addedMassKg: 0.03 })).toEqual([
    'one is flown with other accessories.',
  ]);
});

test('what hangs on it for a shot weighs in its whole flight, and is changed on the ground only', () => {
  const hung = { addedMassKg: 0.04 };
  const spareOf = (one: SwapPlan) => one.flights[0]?.spareS ?? 0;
  const bare = spareOf(plan([shot('one', 5)]));
  const byShot = spareOf(plan([shot('one', 5, hung)]));
  const [jay] = request.aircraft;
  const byAircraft = spareOf(
    plan([shot('one', 5)], { aircraft: [{ ...(jay as NonNullable<typeof jay>), ...hung }] }),
  );
  expect(byShot).toBeCloseTo(byAircraft, 6);
  // 40 g on 249 g ask for some (289/249)^1.5 = 1.25 of the rotors' power (momentum theory), so a fifth less of the whole charge.
  expect(byShot).toBeLessThan(bare - 60);
  // Two short shots share a flight, unless one of them is flown with the load.
  expect(flownAs(plan([shot('one', 2), shot('two', 2)]))).toEqual(['a: one two']);
  expect(plan([shot('one', 2), shot('two', 2, hung)]).flights.map(({ shots }) => shots.length)).toEqual([
    1, 1,
  ]);
  expect(plan([shot('one', 2, hung), shot('two', 2, hung)]).flights).toHaveLength(1);
});

test('recording draws in the takes of its shot: as the aircraft drawing it all along, but for the ways', () => {
  const spareOf = (one: SwapPlan) => one.flights[0]?.spareS ?? 0;
  const [jay] = request.aircraft;
  const heavy = { aircraft: [{ ...(jay as NonNullable<typeof jay>), recordingLoadW: 2 }] };
  const byShot = spareOf(plan([shot('one', 5, { recordingLoadW: 2 })]));
  expect(byShot).toBeCloseTo(spareOf(plan([shot('one', 5)], heavy)), 6);
  expect(byShot).toBeLessThan(spareOf(plan([shot('one', 5)])));
  // A shot that names none records as the aircraft does; one that draws nothing says so.
  expect(spareOf(plan([shot('one', 5, { recordingLoadW: 0 })], heavy))).toBeGreaterThan(byShot);
});

test('policies for tests are refused; without draws nothing can be planned so surely', () => {
  const outcome = planSwaps({ ...request, policy: { kind: 'empty' } }, few);
  expect(!outcome.ok && outcome.refusal.code).toBe('policy-for-tests-only');
  expect(() => answered(planSwaps({ ...request, shots: [shot('one', 1)] }, { jay: boxMiddle }))).toThrow(
    'draws',
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
  const beliefs = { jay: boxDrawn(64) };

  test('the spare minutes are those it may go on at that confidence: so much longer still fits, a little more does not', () => {
    const [flight] = plan([shot('one', 8)], {}, beliefs).flights;
    const maxMin = 8 + (flight?.spareS ?? 0) / 60;
    const longest = plan([shot('one', maxMin - 0.02)], {}, beliefs).flights[0];
    expect(longest?.batteryId).toBe('a');
    // Six of 64 draws may fail, and then they do.
    expect(longest?.chanceEarly).toBeCloseTo(6 / 64, 9);
    const batteries = request.batteries.slice(0, 1);
    expect(plan([shot('one', maxMin + 0.05)], { batteries }, beliefs).flights).toEqual([]);
  });

  test('the farther out the more charge to turn back at, and it is more than the middle flight would need', () => {
    const far = (distanceM: number) => [shot('one', 3, { distanceM, bearingDeg: 60 })];
    const turns = [50, 200, 400].map((m) => plan(far(m), {}, beliefs).flights[0]?.turnBackCharge ?? 0);
    expect(turns).toEqual([...turns].sort((a, b) => a - b));
    const middle = { jay: { ...boxMiddle, draws: [boxMiddle.middle] } };
    expect(turns[2]).toBeGreaterThan(plan(far(400), {}, middle).flights[0]?.turnBackCharge ?? 1);
  });

  test('to a shot it flies at the return speed of the draw, as on the way home (until 26 Nov 2026 at the usual one)', () => {
    const calm = { speedMps: 0, fromDeg: 0, readingHeightM: 2 };
    const conditions = { ...jayOnTheFell.conditions, wind: calm };
    const flown = { aircraft: jayOnTheFell.aircraft, battery: pack, conditions };
    const [from, to] = [0, 400].map((distanceM) => ({ distanceM, bearingDeg: 60, heightM: 30 })) as [
      Position,
      Position,
    ];
    for (const drawn of beliefs.jay.draws.slice(0, 8)) {
      const world = worldMoved(drawn, { windAlongDeviations: 0, windAcrossDeviations: 0 });
      const legs = answered(transitLegs(answered(flightContext(flown, world)), from, to));
      expect(legs.at(-1)?.durationS).toBeCloseTo(400 / (8 * world.coefficients.returnSpeedRatio), 6);
    }
  });
});

// The same air and aircraft by other code: a wind triangle by vectors, and the leg's time by distance over ground speed.
test('to the shot and between shots: times over ground by vectors, against, across and before the wind', () => {
  const wind = { speedMps: 4, gustMps: 5, fromDeg: 240, readingHeightM: 30 };
  const conditions = { ...jayOnTheFell.conditions, wind, roughnessM: 0.0002 };
  const groundMps = (airspeedMps: number, trackDeg: number) => {
    const off = ((240 - trackDeg) * Math.PI) / 180;
    return Math.sqrt(airspeedMps ** 2 - (4 * Math.sin(off)) ** 2) - 4 * Math.cos(off);
  };
  const startS = (bearingDeg: number) =>
    secondsOf(
      plan([shot('one', 1, { distanceM: 300, bearingDeg })], { conditions }).flights[0]?.shots[0]?.startAt,
    );
  const [against, across, before] = [startS(240), startS(330), startS(60)] as [number, number, number];
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
    const { flights } = answered(planSwaps({ ...request, policy: low, shots: [shot('one', minutes)] }, few));
    for (const flight of flights) expect(flight.touchdownCharge.p10).toBeGreaterThanOrEqual(0.1 - 1e-3);
  }
  // It does use what lies between: a quarter kept in reserve gives less.
  const longest = (policy: PlanRequest['policy']) => {
    const made = answered(planSwaps({ ...request, policy, shots: [shot('one', 60)] }, few));
    return Number(made.unplaced[0]?.reason.values.possibleS);
  };
  expect(longest(low)).toBeGreaterThan(longest(request.policy) + 60);
});

test('shots one after the other on one pack are one flight: cutting a shot in two changes neither its end nor its charge', () => {
  const whole = plan([shot('whole', 12)]).flights[0];
  const cut = plan([shot('first', 5), shot('second', 7)]).flights[0];
  expect(cut?.shots).toHaveLength(2);
  expect(Math.abs(secondsOf(cut?.turnBackAt) - secondsOf(whole?.turnBackAt))).toBeLessThan(0.5);
  expect(Math.abs((cut?.touchdownCharge.p50 ?? 0) - (whole?.touchdownCharge.p50 ?? 0))).toBeLessThan(0.001);
});

test('the plan’s way home is the way home’s: from the end of a shot both touch down with the same charge', () => {
  const { aircraft: spec } = jayThatComesHome;
  for (const [distanceM, bearingDeg, minutes, comesHome] of [
    [60, 60, 8, 'by-itself'],
    [250, 240, 6, 'by-itself'],
    [400, 330, 4, 'by-hand'],
    [400, 60, 3, 'by-hand-fast'],
    [300, 60, 3, 'by-hand-low'],
  ] as const) {
    const shots = [shot('one', minutes, { distanceM, bearingDeg, heightM: 50 })];
    const aircraft = [{ id: 'jay', spec, returnHeightM: 45 }];
    const policy = { ...request.policy, comesHome };
    const asked = { aircraft, policy, tallestM: 18, conditions: jayOnTheFell.conditions };
    const [flight] = plan(shots, asked).flights;
    const [taken] = flight?.shots ?? [];
    const answer = answered(
      returnAnswer(
        {
          aircraft: spec,
          battery: pack,
          conditions: jayOnTheFell.conditions,
          position: { distanceM, bearingDeg, heightM: 50, charge: taken?.chargeAfter ?? 0 },
          policy,
          tallestM: 18,
          returnHeightM: 45,
        },
        boxMiddle,
      ),
    );
    // The pack is a little warmer or colder there, since the way out is flown otherwise: half a per cent of charge.
    expect(Math.abs((answer.home.touchdownCharge ?? 0) - (flight?.touchdownCharge.p50 ?? 1))).toBeLessThan(
      0.005,
    );
  }
});

test('without shots the plan is empty, whatever else is asked for', () => {
  const hub = { id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3600 };
  const locks = [{ flightNumber: 1, batteryId: 'a' }];
  for (const effort of ['quick', 'usual', 'long'] as const)
    for (const more of [{}, { chargers: [hub] }, { locks }, { chargers: [] }])
      expect(plan([], { ...more, effort })).toMatchObject({
        flights: [],
        unplaced: [],
        complete: true,
        figures: { takeoffs: 0 },
      });
});
