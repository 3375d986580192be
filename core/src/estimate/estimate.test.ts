import fc from 'fast-check';
import { answered } from '../../fixtures/answered';
import { boxBelief, boxDrawn, boxMiddle, steadyMiddle } from '../../fixtures/beliefs';
import { type Change, jayHomeWith as changed, jayThatComesHome as request } from '../../fixtures/jay';
import { anyKit } from '../../fixtures/kits';
import { beyondBounds, misses } from '../../fixtures/measuredFlights';
import { holds } from '../../fixtures/seeds';
import type { Battery } from '../battery/battery';
import type { FlightLeg } from '../flight/flightLegs';
import { policyKinds } from '../reserve/policy';
import { median, quantiles } from '../statistics/quantile';
import { writeInSi } from '../units/sentence';
import { drawnFlights } from './drawnFlights';
import { estimate, estimateWithLedger } from './estimate';
import { estimateInFull } from './full';
import { type EstimateRequest, ranges } from './request';
import { sensitivityOf } from './sensitivity';

/** Minutes to spend; nothing where it is refused. */
function usableS(change: Change): number {
  const result = estimate(changed(change), boxMiddle);
  return result.ok ? result.value.usableS.p50 : 0;
}

const between = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const slack = 0.5;
const calm = { speedMps: 0, fromDeg: 0, readingHeightM: 10 };
const lightWind = { speedMps: 1.5, gustMps: 3, fromDeg: 240, readingHeightM: 2 };

describe('true monotonicities', () => {
  test('more reserve never adds minutes (seed 1)', () => {
    holds(
      fc.property(between(0.15, 0.7), between(0.15, 0.7), (a, b) => {
        const of = (reserveCharge: number) => usableS({ policy: { reserveCharge } });
        expect(of(Math.max(a, b))).toBeLessThanOrEqual(of(Math.min(a, b)) + slack);
      }),
      { seed: 1, numRuns: 30 },
    );
  });

  test('less charge never adds minutes, from packs that have some to spend (seed 2)', () => {
    holds(
      fc.property(between(0.4, 1), between(0.4, 1), (a, b) => {
        const of = (startCharge: number) => usableS({ battery: { startCharge } });
        const [less, more] = [of(Math.min(a, b)), of(Math.max(a, b))];
        expect(less).toBeGreaterThan(0);
        expect(less).toBeLessThanOrEqual(more + slack);
        // A tenth more charge is more than a minute more.
        if (Math.abs(a - b) > 0.1) expect(more).toBeGreaterThan(less + 60);
      }),
      { seed: 2, numRuns: 30 },
    );
  });

  test('more wear never adds minutes (seed 3)', () => {
    holds(
      fc.property(between(0.4, 1.1), between(0.4, 1.1), (a, b) => {
        const of = (health: number) => usableS({ battery: { health } });
        expect(of(Math.min(a, b))).toBeLessThanOrEqual(of(Math.max(a, b)) + slack);
      }),
      { seed: 3, numRuns: 30 },
    );
  });

  test('farther out never adds minutes (seed 4)', () => {
    holds(
      fc.property(between(25, 3000), between(25, 3000), (a, b) => {
        const of = (farthestM: number) => usableS({ flight: { farthestM } });
        expect(of(Math.max(a, b))).toBeLessThanOrEqual(of(Math.min(a, b)) + slack);
      }),
      { seed: 4, numRuns: 30 },
    );
  });
});

test('the ledger adds up to the second, for every policy and with another pack', () => {
  for (const kind of ['touch-down-charge', 'half-out-half-home', 'forced-landing', 'empty'] as const) {
    for (const advertisedCapacityMah of [null, 2000]) {
      const result = estimateWithLedger(
        changed({ policy: { kind }, aircraft: { advertisedCapacityMah } }),
        boxMiddle,
      );
      if (!result.ok) throw new Error(writeInSi(result.refusal));
      const { ledger, usableS: usable } = result.value;
      expect(1860 + ledger.reduce((sum, line) => sum + line.seconds, 0)).toBe(Math.round(usable.p50));
      expect(ledger.some(({ cause }) => cause === 'other-pack')).toBe(advertisedCapacityMah !== null);
    }
  }
});

test('a hover time that contradicts the flight time never adds minutes, and a hover then lasts no longer than it says', () => {
  const hovering = {
    flight: { farthestM: 0, mix: [{ style: 'hover' as const, share: 1 }] },
    conditions: { wind: calm },
  };
  const without = usableS(hovering);
  for (const advertisedHoverTimeS of [700, 900, 1200, 1900, 2400, 3600]) {
    const change = { ...hovering, aircraft: { advertisedHoverTimeS } };
    expect(usableS(change)).toBeLessThanOrEqual(without + slack);
    expect(usableS({ ...change, policy: { kind: 'empty' } })).toBeLessThan(advertisedHoverTimeS);
    const result = estimateWithLedger(changed(change), boxMiddle);
    if (!result.ok) throw new Error(writeInSi(result.refusal));
    const sum = result.value.ledger.reduce((total, line) => total + line.seconds, 0);
    expect(1860 + sum).toBe(Math.round(result.value.usableS.p50));
    const heldBack = result.value.ledger.find(({ cause }) => cause === 'held-back')?.seconds ?? 0;
    expect(heldBack).toBeGreaterThan(-0.35 * result.value.usableS.p50);
  }
});

test('flown just as on the box and as steadily, the box is what comes out; flown by a pilot a little less', () => {
  const asOnTheBox = changed({
    battery: { startCharge: 1, cycles: 0, startTemperatureC: 25 },
    conditions: { airTemperatureC: 25, elevationM: 0, qnhHpa: 1013.25, relativeHumidity: 0, wind: calm },
    flight: {
      heightM: 0,
      farthestM: 0,
      mix: [{ style: 'normal', share: 1, airspeedMps: 5.5, reversalsPerMin: 0 }],
    },
    policy: { kind: 'empty' },
  });
  expect(answered(estimate(asOnTheBox, steadyMiddle)).usableS.p50).toBeCloseTo(1860, 0);
  const flownS = answered(estimate(asOnTheBox, boxMiddle)).usableS.p50;
  expect(flownS).toBeGreaterThan(1860 / 1.05);
  expect(flownS).toBeLessThan(1860 / 1.02);
});

test('events come in order, and the charge ends below zero by what is hidden', () => {
  const result = estimateInFull(request, boxBelief);
  if (!result.ok) throw new Error(writeInSi(result.refusal));
  const { events, curve } = result.value;
  const times = events.map(({ timeS }) => timeS);
  expect(times).toEqual([...times].sort((a, b) => a - b));
  expect(events.map(({ kind }) => kind)).toEqual(
    expect.arrayContaining([
      'take-off',
      'planned-minute',
      'turn-back',
      'touch-down',
      'forced-landing',
      'empty',
      'motors-out',
    ]),
  );
  const last = curve[curve.length - 1]?.charge ?? 1;
  expect(last).toBeLessThan(0);
  expect(last).toBeGreaterThanOrEqual(-0.05 / 0.95 - 1e-9);
});

test('steady slow cruise outlasts a hover on the same pack and day, fast flying about halves it (common practice)', () => {
  const held = (style: 'normal' | 'fast', airspeedMps: number) =>
    usableS({
      conditions: { wind: calm },
      flight: { farthestM: 0, mix: [{ style, share: 1, airspeedMps, reversalsPerMin: 0 }] },
    });
  const hover = usableS({
    conditions: { wind: calm },
    flight: { farthestM: 0, mix: [{ style: 'hover', share: 1 }] },
  });
  expect(held('normal', 5.5)).toBeGreaterThan(hover * 1.03);
  expect(held('fast', 16) / held('normal', 5.5)).toBeGreaterThan(0.35);
  expect(held('fast', 16) / held('normal', 5.5)).toBeLessThan(0.65);
});

test('a frosty day costs minutes even with packs kept warm, and much more with cold ones (common practice)', () => {
  const onDay = (airTemperatureC: number, startTemperatureC: number) =>
    usableS({
      conditions: { airTemperatureC, wind: calm },
      flight: { farthestM: 0 },
      battery: { startTemperatureC },
    });
  const keptWarm = onDay(-18, 20) / onDay(5, 20);
  expect(keptWarm).toBeGreaterThan(0.85);
  expect(keptWarm).toBeLessThan(1);
  expect(1 - onDay(-18, -18) / onDay(5, 20)).toBeGreaterThan(2 * (1 - keptWarm));
});

describe('legs', () => {
  const withLegs = (legs: readonly FlightLeg[], wind: object = calm) =>
    estimate(changed({ conditions: { wind }, flight: { mix: [], legs } } as Change), boxMiddle);
  const usable = (outcome: ReturnType<typeof withLegs>) => (outcome.ok ? outcome.value.usableS.p50 : 0);

  test('a round of one style is that style; in calm air the track does not matter', () => {
    const mix = usableS({ conditions: { wind: calm }, flight: { mix: [{ style: 'slow', share: 1 }] } });
    expect(usable(withLegs([{ style: 'slow', durationS: 100 }]))).toBeCloseTo(mix, 6);
    expect(
      usable(
        withLegs([
          { style: 'slow', durationS: 60, trackDeg: 20 },
          { style: 'slow', durationS: 60, trackDeg: 200 },
        ]),
      ),
    ).toBeCloseTo(mix, -1);
  });

  test('the wind is a vector: a leg into it takes more airspeed than one with it, and none can be flown against too much', () => {
    const wind = { speedMps: 7, gustMps: 7, fromDeg: 0, readingHeightM: 60 };
    const power = (trackDeg: number) => {
      const outcome = withLegs([{ style: 'normal', durationS: 60, trackDeg }], wind);
      return outcome.ok ? outcome.value.power.meanW : 0;
    };
    expect(power(0)).toBeGreaterThan(power(180) * 1.2);
    const stuck = withLegs([{ style: 'slow', durationS: 60, trackDeg: 0, airspeedMps: 6 }], wind);
    expect(!stuck.ok && stuck.refusal.code).toBe('leg-unflyable');
    expect(!stuck.ok && stuck.refusal.values.driftMps).toBeCloseTo(1, 6);
  });

  test('the power of the curve changes with the legs, and a mix beside legs is refused', () => {
    const outcome = withLegs([
      { style: 'hover', durationS: 90 },
      { style: 'fast', durationS: 45 },
    ]);
    if (!outcome.ok) throw new Error(writeInSi(outcome.refusal));
    expect(new Set(outcome.value.curve.map(({ powerW }) => Math.round(powerW))).size).toBe(2);
    const both = estimate(changed({ flight: { legs: [{ style: 'hover', durationS: 60 }] } }), boxMiddle);
    expect(!both.ok && writeInSi(both.refusal)).toContain('not both');
  });
});

test('a pack that stood a day starts at about 96 % and spends less than one just charged (common practice)', () => {
  const stood = estimate(changed({ battery: { startCharge: 1, daysSinceCharge: 1 } }), boxMiddle);
  expect(stood.ok && stood.value.takeoffCharge).toBeCloseTo(0.96, 6);
  expect(stood.ok && stood.value.usableS.p50).toBeCloseTo(usableS({ battery: { startCharge: 0.96 } }), 6);
});

test('the aircraft’s own call to return assumes still air: with wind against, it comes after ours, and that is said', () => {
  const full = answered(estimateInFull(request, boxBelief));
  const at = (kind: string) => full.events.find((event) => event.kind === kind)?.timeS ?? 0;
  expect(at('own-return')).toBeGreaterThan(at('turn-back'));
  const late = full.cautions.find(({ code }) => code === 'own-return-late');
  expect(late?.values.lateS).toBeCloseTo(at('own-return') + 10 - at('turn-back'), 9);
  const stillAir = answered(
    estimateInFull(changed({ conditions: { wind: calm }, policy: { kind: 'forced-landing' } }), boxDrawn(16)),
  );
  expect(stillAir.cautions.map(({ code }) => code)).not.toContain('own-return-late');
});

// What each mark of a flight means stands in its name; the charges are the pilot's (defaults of the spec: 20 and 10 %).
test('half is at 50 % of the gauge, the warnings at their own charges, and the flight comes to all in that order', () => {
  const { events } = answered(
    estimate(changed({ battery: { startCharge: 1 }, policy: { kind: 'empty' } }), boxMiddle),
  );
  const chargeAt = (kind: string) => events.find((event) => event.kind === kind)?.charge;
  expect(chargeAt('take-off')).toBeCloseTo(1, 9);
  expect(chargeAt('half')).toBeCloseTo(0.5, 9);
  expect(chargeAt('low-warning')).toBeCloseTo(0.2, 9);
  expect(chargeAt('forced-landing')).toBeCloseTo(0.1, 9);
  expect(chargeAt('empty')).toBeCloseTo(0, 9);
  const charges = events.map(({ charge }) => charge);
  expect(charges).toEqual([...charges].sort((a, b) => b - a));
  const half = events.find(({ kind }) => kind === 'half');
  expect(half?.timeS).toBeGreaterThan(0.4 * (events.at(-1)?.timeS ?? 0));
});

describe('the band', () => {
  const full = (change: Change = {}, belief = boxBelief) => {
    const result = estimateInFull(changed(change), belief);
    if (!result.ok) throw new Error(writeInSi(result.refusal));
    return result.value;
  };

  test('512 draws: the same seed gives the same answer, and the middle lies near their median', () => {
    const one = full();
    expect(full()).toEqual(one);
    const [flights = []] = drawnFlights([request], boxBelief);
    expect(Math.abs(median(flights.map((flight) => flight.usableS)) / one.usableS.p50 - 1)).toBeLessThan(
      0.04,
    );
  });

  // √(p(1 − p)/n)/f, f the density there (David & Nagaraja, Order Statistics, sec. 10.2): what independent draws would vary by.
  test('from seed to seed P10 and the median vary less than those of independent draws would', () => {
    const usable = (draws: number, seed: number) =>
      (drawnFlights([request], boxDrawn(draws, seed))[0] ?? []).map((flight) => flight.usableS);
    const many = usable(4096, 5);
    const bySeed = Array.from({ length: 16 }, (_, i) => usable(256, i + 1));
    const deviationAgainstChance = (share: number) => {
      const [below, above] = quantiles(many, [share - 0.04, share + 0.04]) as [number, number];
      const byChance = (Math.sqrt((share * (1 - share)) / 256) * (above - below)) / 0.08;
      const found = bySeed.map((values) => quantiles(values, [share])[0] as number);
      const mean = found.reduce((sum, one) => sum + one, 0) / found.length;
      return (
        Math.sqrt(found.reduce((sum, one) => sum + (one - mean) ** 2, 0) / (found.length - 1)) / byChance
      );
    };
    expect(deviationAgainstChance(0.1)).toBeLessThan(1);
    expect(deviationAgainstChance(0.5)).toBeLessThan(1);
  });

  /** A change in each field a battery has; the compiler asks for one more when a field is added. */
  const changes: Required<{ readonly [Field in keyof Battery]: Battery[Field] }> = {
    ratedCapacityMah: 2500,
    nominalVoltageV: 7.2,
    cellCount: 3,
    fullCellVoltageV: 4.2,
    massKg: 0.15,
    chemistry: 'lithium-ion',
    cycles: 150,
    ageYears: 3,
    health: 0.9,
    startCharge: 0.8,
    daysSinceCharge: 2,
    daysToStorage: 9,
    landCellVoltageV: 3.6,
    neverCellVoltageV: 3.3,
    startTemperatureC: 3,
  };

  test('a battery’s band does not depend on what is listed before it, whatever they differ in (until 25 Nov 2026: in chemistry)', () => {
    const draws = boxDrawn(16, 3);
    const alone = drawnFlights([request], draws)[0];
    for (const [field, value] of Object.entries(changes)) {
      const other = changed({ battery: { [field]: value } });
      const [first, second, third] = drawnFlights([other, request, other], draws);
      expect([field, second]).toEqual([field, alone]);
      expect([field, first]).toEqual([field, drawnFlights([other], draws)[0]]);
      expect(third).toEqual(first);
    }
    // And what makes a difference makes one: two chemistries of the same label are two bands.
    const ion = changed({ battery: { chemistry: 'lithium-ion' } });
    expect(drawnFlights([ion], draws)[0]).not.toEqual(alone);
  });

  test('nor on requests that differ in their flight, their day or their aircraft', () => {
    const draws = boxDrawn(8, 3);
    const alone = drawnFlights([request], draws)[0];
    const others: Change[] = [
      { flight: { farthestM: 400 } },
      { conditions: { airTemperatureC: -5 } },
      { aircraft: { advertisedFlightTimeS: 1500 } },
    ];
    for (const change of others) {
      const other = changed(change);
      expect(drawnFlights([other, request], draws)).toEqual([drawnFlights([other], draws)[0], alone]);
    }
  });

  test('more confidence plans fewer minutes and turns back at more charge; the chance of landing short is what is left', () => {
    const [half, usual, sure] = [0.5, 0.9, 0.98].map((confidence) =>
      full({ conditions: { wind: lightWind }, policy: { confidence } }),
    );
    if (!half || !usual || !sure) throw new Error('Three answers are expected.');
    expect(usual.usableS.planned).toBeLessThan(half.usableS.planned);
    expect(sure.usableS.planned).toBeLessThan(usual.usableS.planned);
    expect(sure.turnBackCharge.planned).toBeGreaterThan(usual.turnBackCharge.planned ?? 2);
    expect(usual.chanceBelowReserve).toBeCloseTo(0.1, 1);
    expect(sure.chanceBelowReserve).toBeLessThanOrEqual(0.03);
    // With a return speed nobody looked up, some draws do not come home at all: then nothing can be planned so surely.
    expect(full({ aircraft: { returnSpeedMps: null }, policy: { confidence: 0.98 } })).toMatchObject({
      usableS: { planned: 0 },
      turnBackCharge: { planned: null },
    });
  });

  test('for every school the planned turn back is never below the middle one (three “empty” ones were, until 25 Nov 2026; seed 13)', () => {
    const any = fc.record({
      kind: fc.constantFrom(...policyKinds),
      confidence: between(0.5, 0.99),
      speedMps: between(0, 4),
      hiddenCharge: fc.option(between(0, 0.15)),
      forcedLandingCharge: between(0, 0.2),
    });
    holds(
      fc.property(any, ({ kind, confidence, speedMps, hiddenCharge, forcedLandingCharge }) => {
        const outcome = estimateInFull(
          changed({
            policy: { kind, confidence },
            aircraft: { hiddenCharge, forcedLandingCharge },
            conditions: { wind: { speedMps, gustMps: null, fromDeg: 240, readingHeightM: 2 } },
          }),
          boxDrawn(32),
        );
        if (!outcome.ok) return;
        const { turnBackCharge, usableS: usable } = outcome.value;
        expect(turnBackCharge.planned ?? 1).toBeGreaterThanOrEqual(turnBackCharge.p50);
        expect(usable.planned).toBeLessThanOrEqual(usable.p50);
      }),
      { seed: 13, numRuns: 60 },
    );
  });

  test('half out, half home keeps more than the reserve, so it seldom lands short', () => {
    const { chanceBelowReserve, chanceImpossible } = full({ policy: { kind: 'half-out-half-home' } });
    expect(chanceBelowReserve - chanceImpossible).toBeLessThan(0.01);
  });

  test('what is known narrows the band: measured wind, health, rotors; and the list puts first what would most', () => {
    const width = ({ usableS: { p10, p90 } }: ReturnType<typeof full>) => p90 - p10;
    const doubtful = full();
    const measured = full({
      conditions: { wind: { ...request.conditions.wind, speedMps: 5.4, gustMps: 7.4, readingHeightM: 60 } },
    });
    expect(width(measured)).toBeLessThan(width(doubtful));
    const windS = (answer: ReturnType<typeof full>) =>
      answer.sensitivity.find(({ input }) => input === 'wind-at-height')?.seconds ?? 0;
    expect(windS(measured)).toBeLessThan(windS(doubtful) * 0.6);
    const seconds = doubtful.sensitivity.map((line) => line.seconds);
    expect(seconds).toEqual([...seconds].sort((a, b) => b - a));
    const packS = (battery: Partial<Battery>) =>
      full({ battery }).sensitivity.find(({ input }) => input === 'pack-test')?.seconds ?? 0;
    expect(packS({ health: 0.8 })).toBeLessThan(packS({ cycles: 300 }) * 0.5);
  });

  test('least squares finds whose doubt it is: a value that follows one input alone (by hand)', () => {
    const values = boxBelief.draws.map(
      ({ deviations }) => 1000 + Math.exp(2 * (deviations.windAlongDeviations as number)),
    );
    // A reading teaches it all, so all that is kept for doubt is gained.
    expect(sensitivityOf(values, boxBelief, 150)).toEqual([
      { input: 'wind-at-height', seconds: expect.closeTo(150, 0) },
    ]);
    // ln(time) varies by 10 %; one flight, which cannot tell it from its luck of 4 % and its pack's 3 %, leaves 1/√5 of it.
    const byDrag = boxBelief.draws.map(
      ({ deviations }) => 1000 * (1 + 0.1 * (deviations.dragAreaRatio as number)),
    );
    expect(sensitivityOf(byDrag, boxBelief, 150)).toEqual([
      { input: 'fast-test', seconds: expect.closeTo(150 * (1 - 1 / Math.sqrt(5)), 0) },
    ]);
  });

  test('a day on which one draw in some does not come home says so', () => {
    const wind = { speedMps: 3.8, gustMps: 6, fromDeg: 240, readingHeightM: 2 };
    const answer = full({ conditions: { wind }, flight: { mix: [{ style: 'fast', share: 1 }] } });
    expect(answer.chanceImpossible).toBeGreaterThan(0.03);
    expect(answer.chanceBelowReserve).toBeGreaterThanOrEqual(answer.chanceImpossible);
  });
});

describe('what cannot be flown is said, with its numbers', () => {
  const refusal = (change: Change) => {
    const result = estimate(changed(change), boxMiddle);
    if (result.ok) throw new Error('This should have been refused.');
    return result.refusal;
  };

  test('home out of reach against the wind: drifts back', () => {
    const wind = { speedMps: 10, gustMps: 10, fromDeg: 240, readingHeightM: 60 };
    const mix = [{ style: 'fast' as const, share: 1 }];
    const { code, values } = refusal({
      aircraft: { returnSpeedMps: 8 },
      conditions: { wind },
      flight: { mix },
    });
    expect(code).toBe('home-unreachable');
    expect(values.driftMps).toBeCloseTo(2, 1);
  });

  test('more wind than the mode', () => {
    const wind = { speedMps: 12, fromDeg: 60, readingHeightM: 60 };
    expect(refusal({ conditions: { wind } }).code).toBe('wind-beyond-mode');
  });

  test('nothing to spend', () => {
    expect(refusal({ battery: { startCharge: 0.26 } }).code).toBe('charge-too-low');
  });

  test('a mix that is not whole', () => {
    const half = refusal({ flight: { mix: [{ style: 'hover', share: 0.5 }] } });
    expect(writeInSi(half)).toContain('100 %, not 50 %');
  });
});

describe('anything within the ranges gives finite ordered times or a reasoned refusal', () => {
  const of = (quantity: { min: number; max: number }) => between(quantity.min, quantity.max);
  const { aircraft, battery, conditions, wind, flight, policy } = ranges;
  const anyDay = (strongestMps: number) =>
    fc.record({
      airTemperatureC: of(conditions.airTemperatureC),
      elevationM: of(conditions.elevationM),
      relativeHumidity: of(conditions.relativeHumidity),
      roughnessM: between(0.0002, 0.4),
      wind: fc.record({
        speedMps: between(0, strongestMps),
        gustMps: fc.option(of(wind.gustMps)),
        fromDeg: of(wind.fromDeg),
        readingHeightM: between(2, 20),
      }),
    });
  const anyFlight = fc.record({
    heightM: of(flight.heightM),
    farthestM: of(flight.farthestM),
    bearingDeg: of(flight.bearingDeg),
    mix: fc.constantFrom('hover', 'slow', 'normal', 'fast', 'manual').map((style) => [{ style, share: 1 }]),
  });
  const anyLegs = fc.array(
    fc.record({
      style: fc.constantFrom('hover', 'slow', 'normal', 'fast', 'manual'),
      durationS: of(ranges.flightLeg.durationS),
      trackDeg: fc.option(of(ranges.flightLeg.trackDeg)),
      heightM: fc.option(of(flight.heightM)),
      circleRadiusM: fc.option(of(ranges.styleShare.circleRadiusM)),
    }),
    { minLength: 1, maxLength: 4 },
  );
  const anyPolicy = fc.record({
    kind: fc.constantFrom(...policyKinds),
    reserveCharge: of(policy.reserveCharge),
  });

  /** Whether there was an answer; throws if it, or the refusal, is not fit to be shown. */
  function isSound(any: EstimateRequest): boolean {
    const result = estimate(any, boxMiddle);
    if (!result.ok) {
      expect(writeInSi(result.refusal)).toMatch(/^(?!.*(NaN|undefined|Infinity|[{}])).{20,}$/s);
      return false;
    }
    const { usableS: usable, touchdownS, curve, power } = result.value;
    expect(usable.p50).toBeGreaterThanOrEqual(0);
    expect(touchdownS.p50).toBeGreaterThanOrEqual(usable.p50);
    expect(power.meanW).toBeGreaterThan(0);
    expect(curve.every((point) => Object.values(point).every(Number.isFinite))).toBe(true);
    const full = estimateInFull(any, boxDrawn(16));
    if (!full.ok) throw new Error('The middle value was answered, the band was not.');
    for (const { p10, p50, p90 } of [full.value.usableS, full.value.touchdownS]) {
      expect(p10).toBeGreaterThanOrEqual(0);
      expect(p50).toBeGreaterThanOrEqual(p10);
      expect(p90).toBeGreaterThanOrEqual(p50);
    }
    expect(full.value.usableS.planned).toBeLessThanOrEqual(full.value.usableS.p50);
    const { p50, planned } = full.value.turnBackCharge;
    if (planned === null) expect(full.value.usableS.planned).toBe(0);
    else expect(planned).toBeGreaterThanOrEqual(p50);
    const { turnBackCharge: _, ...rest } = full.value;
    expect(JSON.stringify(rest)).not.toContain('null');
    return true;
  }

  test('whatever the aircraft, and at least a third of these are answered (seed 5)', () => {
    const days = fc.record({ conditions: anyDay(5), flight: anyFlight, policy: anyPolicy });
    let [answered, asked] = [0, 0];
    holds(
      fc.property(anyKit, days, (kit, day) => {
        const any = { ...kit, ...day, flight: { ...day.flight, farthestM: day.flight.farthestM / 20 } };
        asked++;
        if (isSound(any as EstimateRequest)) answered++;
      }),
      { seed: 5, numRuns: 150 },
    );
    expect(answered).toBeGreaterThan(asked / 3);
  });

  test('numbers within the ranges that go together in no aircraft are refused in words or answered soundly (seed 12)', () => {
    const anything = fc.record({
      aircraft: fc.record({
        kind: fc.constantFrom('camera' as const, 'racing' as const),
        takeoffMassKg: of(aircraft.takeoffMassKg),
        rotorCount: fc.constantFrom(4, 6, 8),
        advertisedFlightTimeS: of(aircraft.advertisedFlightTimeS),
        advertisedSpeedMps: of(aircraft.advertisedSpeedMps),
        advertisedHoverTimeS: fc.option(of(aircraft.advertisedHoverTimeS)),
      }),
      battery: fc.record({
        ratedCapacityMah: of(battery.ratedCapacityMah),
        nominalVoltageV: of(battery.nominalVoltageV),
        cellCount: fc.integer(battery.cellCount),
        fullCellVoltageV: of(battery.fullCellVoltageV),
        startCharge: of(battery.startCharge),
      }),
      conditions: anyDay(wind.speedMps.max),
      flight: anyFlight,
      policy: anyPolicy,
    });
    holds(
      fc.property(anything, (any) => void isSound(any as EstimateRequest)),
      { seed: 12, numRuns: 100 },
    );
  });

  test('whatever the legs (seed 9)', () => {
    let answered = 0;
    holds(
      fc.property(anyLegs, anyDay(6), (legs, conditions) => {
        const any = { ...request, conditions, flight: { ...request.flight, mix: [], legs } };
        if (isSound(any as EstimateRequest)) answered++;
      }),
      { seed: 9, numRuns: 60 },
    );
    expect(answered).toBeGreaterThan(10);
  });

  test('whatever the day and the flight of a sound aircraft, and most of these are answered (seed 8)', () => {
    const days = fc.record({ conditions: anyDay(5), flight: anyFlight, policy: anyPolicy });
    let answered = 0;
    holds(
      fc.property(days, (day) => {
        const any = { ...request, ...day, flight: { ...day.flight, farthestM: day.flight.farthestM / 20 } };
        if (isSound(any as EstimateRequest)) answered++;
      }),
      { seed: 8, numRuns: 100 },
    );
    expect(answered).toBeGreaterThan(50);
  });
});

test('measured flights from box values alone: each within its stated bound, median miss at most 12 % (timed flights, common practice)', () => {
  const all = misses();
  expect(new Set(all.map(({ flight }) => flight)).size).toBe(8);
  expect(beyondBounds(all)).toEqual([]);
  expect(median(all.map(({ missFraction }) => Math.abs(missFraction)))).toBeLessThanOrEqual(0.12);
});
