import { Matrix } from 'ml-matrix';
import { boxMiddle } from '../../fixtures/beliefs';
import { asSupposed, SyntheticAircraft, synthetic } from '../../fixtures/calibrationWorlds';
import { afterOneFlight } from '../../fixtures/fittedFlights';
import { jayThatComesHome } from '../../fixtures/jay';
import { healthSpread } from '../battery/wear';
import { coefficientsFor, healthOfPack } from '../belief/belief';
import { beliefFrom } from '../belief/beliefFrom';
import { estimate, estimateWithLedger } from '../estimate/estimate';
import { estimateInFull } from '../estimate/full';
import { median } from '../statistics/quantile';
import { writeInSi } from '../units/sentence';
import { checkedKnowledge } from './checkedKnowledge';
import { type Fit, type FitRequest, fitOf } from './fit';
import type { FlightNoise } from './flightNoise';
import { flightStatisticsOf, informationAt, studentWeight } from './flightStatistics';
import { fitMarksOf, maxMarks } from './marks';
import { learnedFrom, posteriorOf, predictedTimes, without } from './posterior';
import type { FittedFlight, LinearFlight } from './search';
import { learnable } from './unknowns';

const styles = ['hover', 'slow', 'normal', 'fast'] as const;

function fitted(request: FitRequest): Fit {
  const fit = fitOf(request);
  if (!fit.ok) throw new Error(writeInSi(fit.refusal));
  return fit.value;
}

function flown(seed: number, count: number) {
  const one = new SyntheticAircraft(seed, asSupposed);
  return Array.from({ length: count }, () => one.fly(styles, 0, 3));
}

const parameter = (fit: Fit, name: string) => {
  const found = fit.parameters.find((one) => one.name === name);
  if (!found) throw new Error(name);
  return found;
};

describe('timed flights of common practice, after one other of the same aircraft', () => {
  const after = afterOneFlight(['S795', 'Q249']);
  const between = (from: string, to: string) => after.filter((one) => one.from === from && one.to === to);

  test('a hover from a cruise and a cruise from a hover lie within 7 % and inside the band', () => {
    const both = [...between('S795-cruise', 'S795-hover'), ...between('S795-hover', 'S795-cruise')];
    expect(both).toHaveLength(5);
    for (const { missFraction, inside } of both) {
      expect(Math.abs(missFraction)).toBeLessThanOrEqual(0.07);
      expect(inside).toBe(true);
    }
  });

  test('an acrobatic flight from the other one within 12 %, where the box alone misses by 31 and 39 %', () => {
    const both = [...between('S795-acro-1', 'S795-acro-2'), ...between('S795-acro-2', 'S795-acro-1')];
    expect(both).toHaveLength(2);
    for (const { missFraction } of both) expect(Math.abs(missFraction)).toBeLessThanOrEqual(0.12);
  });

  test('all of them: 6.5 % in the median, 20 % at the worst', () => {
    const misses = after.map(({ missFraction }) => Math.abs(missFraction));
    expect(misses).toHaveLength(21);
    expect(median(misses)).toBeLessThanOrEqual(0.065);
    expect(Math.max(...misses)).toBeLessThanOrEqual(0.2);
  });
});

// One unknown z with prior N(0, 1), readings y = z + noise: the posterior by hand, as in any textbook of Bayesian statistics.
describe('a linear Gaussian toy, by hand', () => {
  const toy = (residual: number, variance: number): LinearFlight => {
    const noise: FlightNoise = { effects: [[]], rest: [[variance]] };
    const heard = flightStatisticsOf([[1]], [residual], noise);
    return {
      flight: {} as FittedFlight,
      residuals: [residual],
      slopes: [[1]],
      noise,
      flightStatistics: heard,
      information: informationAt(heard, 1),
    };
  };
  // Two readings of 1.5 and 0.5 with variances 0.5 and 0.25: precision 1 + 2 + 4 = 7, mean (2·1.5 + 4·0.5)/7 = 5/7.
  const mode = [5 / 7];
  const flights = [toy(1.5 - 5 / 7, 0.5), toy(0.5 - 5 / 7, 0.25)];

  test('variance 1/7 at the mode 5/7', () => {
    expect(posteriorOf(mode, flights).covariance.get(0, 0)).toBeCloseTo(1 / 7, 12);
  });

  test('without the first: mean 2/5, variance 1/5; it is then 1.1 away, give or take √(1/5 + 1/2)', () => {
    const unseen = without(flights[0] as LinearFlight, mode, flights);
    expect(unseen.mean[0]).toBeCloseTo(2 / 5, 12);
    expect(unseen.covariance.get(0, 0)).toBeCloseTo(1 / 5, 12);
    const { missLn, spreadLn } = predictedTimes(flights[0] as LinearFlight, mode, unseen);
    expect(missLn).toBeCloseTo(1.1, 12);
    expect(spreadLn).toBeCloseTo(Math.sqrt(0.7), 12);
  });

  test('two marks that share one effect count as one: variance of their mean 1 + 0.1²/2, by hand', () => {
    const noise: FlightNoise = {
      effects: [[1], [1]],
      rest: [
        [0.01, 0],
        [0, 0.01],
      ],
    };
    const heard = flightStatisticsOf([[1], [1]], [0.3, 0.3], noise);
    const { curvature, pull } = informationAt(heard, 1);
    expect(curvature.get(0, 0)).toBeCloseTo(1 / 1.005, 12);
    expect(pull.get(0, 0)).toBeCloseTo(0.3 / 1.005, 12);
    // Student with four freedoms about u = 6·1/1.005: (4 + k)/(4 + u²), k = 1/1.005.
    const far = flightStatisticsOf([[1], [1]], [6, 6], noise);
    const weight = studentWeight(far, informationAt(far, 1), null);
    expect(weight).toBeCloseTo((4 + 1 / 1.005) / (4 + (6 / 1.005) ** 2), 12);
    expect(studentWeight(heard, informationAt(heard, 1), null)).toBe(1);
  });

  test('left out, the others are weighed anew: a wrong one among them that was believed pulls no more', () => {
    const flightAt = (residual: number): LinearFlight => {
      const noise: FlightNoise = { effects: [[0.3]], rest: [[0.01]] };
      const heard = flightStatisticsOf([[1]], [residual], noise);
      return {
        flight: {} as FittedFlight,
        residuals: [residual],
        slopes: [[1]],
        noise,
        flightStatistics: heard,
        information: informationAt(heard, 1),
      };
    };
    const [clean, like, wrong] = [flightAt(0), flightAt(0), flightAt(6)] as const;
    // Believed as it is, with two alike and the prior: 6·p/(1 + 2·p), p = 1/(0.09 + 0.01), some 2.86.
    const unseen = without(clean, [0], [clean, like, wrong]);
    expect(unseen.mean[0]).toBeLessThan(0.5);
    expect(unseen.mean[0]).toBeGreaterThan(0);
  });

  test('a covariance is drawn by its lower triangle; what is none makes no belief', () => {
    const learned = learnedFrom(
      ['boxTimeRatio', 'hiddenCharge'],
      [0, 0],
      [
        [0.36, 0.18],
        [0.18, 0.25],
      ],
    );
    const l = new Matrix([
      [0.6, 0],
      [0.3, 0.4],
    ]);
    expect(learned?.factor.map((row) => row.map((v) => Number(v.toFixed(12))))).toEqual([[0.6], [0.3, 0.4]]);
    expect(l.mmul(l.transpose()).get(1, 1)).toBeCloseTo(0.25, 12);
    expect(learnedFrom(['boxTimeRatio'], [0], [[-1]])).toBeNull();
  });
});

describe('the marks of a flight', () => {
  const end = { timeS: 1200, charge: 0.2 };
  test('a gauge that stands counts once, readings at the start and before it not at all, and motors out last', () => {
    const marks = fitMarksOf({
      startCharge: 0.98,
      checkpoints: [
        { timeS: 3, charge: 0.98 },
        { timeS: 300, charge: 0.7, cellVoltageV: 3.9 },
        { timeS: 310, charge: 0.7 },
        { timeS: 320, cellVoltageV: 3.9 },
        { timeS: 1290, charge: 0 },
      ],
      events: [
        { kind: 'motors-out', timeS: 1320 },
        { kind: 'empty', timeS: 1280 },
        { kind: 'low-warning', timeS: 1000, charge: 0.3 },
      ],
      end: { timeS: 1320, charge: 0 },
    });
    expect(marks).toEqual([
      { timeS: 300, charge: 0.7 },
      { timeS: 1000, charge: 0.3 },
      { timeS: 1280, charge: 0 },
      { timeS: 1320, charge: null },
    ]);
  });

  test('of eighty logged steps twenty are kept, evenly, with the last', () => {
    const checkpoints = Array.from({ length: 77 }, (_, i) => ({
      timeS: 12 * (i + 1),
      charge: 0.975 - 0.01 * i,
    }));
    const marks = fitMarksOf({ startCharge: 0.98, checkpoints, end });
    expect(marks.length).toBeLessThanOrEqual(maxMarks);
    expect(marks.length).toBeGreaterThan(maxMarks - 3);
    expect(marks[marks.length - 1]).toEqual(end);
    const steps = marks.slice(1).map(({ charge }, i) => (marks[i]?.charge as number) - (charge as number));
    expect(Math.max(...steps)).toBeLessThan(0.06);
  });
});

describe('what is learnt', () => {
  test('one hover tells how thirsty it is (its spread falls to some two thirds), and hardly the drag or the moving', () => {
    const one = new SyntheticAircraft(3, asSupposed);
    const fit = fitted(synthetic([one.fly(['hover'], 0, 1)]));
    const { spread, priorSpread, learned } = parameter(fit, 'boxTimeRatio');
    expect(spread / priorSpread).toBeGreaterThan(0.55);
    expect(spread / priorSpread).toBeLessThan(0.8);
    expect(learned).toBeCloseTo(1 - (spread / priorSpread) ** 2, 12);
    expect(parameter(fit, 'dragAreaRatio').learned).toBeLessThan(0.1);
    expect(parameter(fit, 'movingPowerRatio').learned).toBeLessThan(0.03);
    expect(parameter(fit, 'manualPowerRatio').learned).toBe(0);
    const fast = fitted(
      synthetic([one.fly(['hover'], 0, 1), one.fly(['fast'], 0, 1), one.fly(['fast'], 0, 1)]),
    );
    // At one speed drag and moving look alike: two fast flights teach something of each, and more of the two together.
    const [drag, moving] = [parameter(fast, 'dragAreaRatio'), parameter(fast, 'movingPowerRatio')];
    expect(drag.learned).toBeGreaterThan(0.1);
    expect(moving.learned).toBeGreaterThan(0.05);
    expect(drag.learned + moving.learned).toBeGreaterThan(0.2);
  });

  test('a flight in the cold whose pack nobody noted teaches less than the same with its warmth noted', () => {
    const one = new SyntheticAircraft(3, asSupposed).fly(['hover'], 0, 1);
    const cold = { ...one.flight.conditions, airTemperatureC: -5 };
    const learnt = (startTemperatureC: number | null) =>
      parameter(
        fitted(synthetic([{ ...one, flight: { ...one.flight, conditions: cold, startTemperatureC } }])),
        'boxTimeRatio',
      ).learned;
    expect(learnt(null)).toBeLessThan(learnt(-5) - 0.002);
  });

  test('hidden charge only from a test that noted 0 % and the end', () => {
    const before = flown(5, 2).map(({ flight }) => flight);
    const base = { aircraft: jayThatComesHome.aircraft, batteries: synthetic([]).batteries };
    const plain = fitted({ ...base, flights: before });
    const [first] = before as [(typeof before)[0], ...typeof before];
    const zeroS = first.end.timeS / 0.8;
    const noted = {
      ...first,
      id: 'to zero',
      events: [
        { kind: 'empty' as const, timeS: zeroS },
        { kind: 'motors-out' as const, timeS: zeroS * 1.09 },
      ],
      end: { timeS: zeroS * 1.09, charge: 0 },
    };
    const withZero = fitted({ ...base, flights: [...before, noted] });
    expect(parameter(plain, 'hiddenCharge').learned).toBeLessThan(0.4);
    expect(parameter(withZero, 'hiddenCharge').learned).toBeGreaterThan(0.6);
  });

  test('an advertised hover time does not keep the drag from being learnt', () => {
    const one = new SyntheticAircraft(11, asSupposed);
    const fast = Array.from({ length: 3 }, () => one.fly(['fast'], 0, 1));
    const aircraft = { ...jayThatComesHome.aircraft, advertisedHoverTimeS: 1680 };
    const fit = fitted({ ...synthetic(fast), aircraft });
    expect(parameter(fit, 'dragAreaRatio').learned).toBeGreaterThan(0.15);
  });

  test('packs against each other: one whose flights are all a tenth shorter gives some tenth less, and an unflown one its prior', () => {
    const one = new SyntheticAircraft(21, asSupposed);
    const strong = Array.from({ length: 4 }, () => one.fly(['hover'], 0, 1));
    const weak = Array.from({ length: 4 }, () => one.fly(['hover'], 0, 1, 0.9)).map((each) => ({
      ...each,
      flight: { ...each.flight, batteryId: 'pack-2' },
    }));
    const { batteries } = fitted(synthetic([...strong, ...weak]));
    const [, second, third] = batteries as [Fit['batteries'][0], Fit['batteries'][0], Fit['batteries'][0]];
    expect(second.againstOthers?.value).toBeLessThan(-0.02);
    expect(second.againstOthers?.spread).toBeLessThan(0.04);
    expect(third).toMatchObject({ learned: 0, againstOthers: null, health: third.priorHealth });
  });

  test('the same flights give the same fit to the last digit, and an excluded one changes nothing but its own line', () => {
    const flights = flown(31, 4);
    const [request, again] = [synthetic(flights), synthetic(flown(31, 4))];
    const fit = fitted(request);
    expect(fitted(again)).toEqual(fit);
    const [extra] = flown(32, 1).map(({ flight }) => ({
      ...flight,
      batteryId: request.flights[0]?.batteryId as string,
      id: 'extra',
      excludedReason: 'gale',
    }));
    const more = fitted({ ...request, flights: [...request.flights, extra as NonNullable<typeof extra>] });
    expect(more.posterior).toEqual(fit.posterior);
    expect(more.flights.slice(0, 4)).toEqual(fit.flights);
    expect(more.flights[4]).toMatchObject({ id: 'extra', counts: false, flagged: null });
    expect(more.flights[4]?.leftOut?.missFraction).not.toBe(0);
  });
});

describe('a fit that is used', () => {
  const fit = fitted(synthetic(flown(41, 9)));
  const known = checkedKnowledge({ ...fit, id: 'fit-1' });
  if (!known.ok) throw new Error(writeInSi(known.refusal));
  const belief = beliefFrom(known.value, { draws: 256, seed: 3 });
  const asked = { ...jayThatComesHome, batteryId: 'pack-1' };

  test('is named by what it answers, holds the middle it found, and narrows what is kept for doubt', () => {
    const answer = estimateInFull(asked, belief);
    const before = estimateInFull(
      jayThatComesHome,
      beliefFrom({ basis: { source: 'box', flights: 0 }, learned: null }, { draws: 256, seed: 3 }),
    );
    if (!answer.ok || !before.ok) throw new Error('refused');
    expect(answer.value.basis).toEqual({ source: 'fit', fitId: 'fit-1', flights: 9 });
    const kept = ({ usableS }: typeof answer.value) => (usableS.p50 - usableS.planned) / usableS.p50;
    expect(kept(answer.value)).toBeLessThan(0.85 * kept(before.value));
    const { boxTimeRatio } = belief.middle.coefficients;
    expect(boxTimeRatio).toBeCloseTo(parameter(fit, 'boxTimeRatio').value, 5);
    const { ledger, usableS } = answer.value;
    const sum = ledger.reduce(
      (total, { seconds }) => total + seconds,
      jayThatComesHome.aircraft.advertisedFlightTimeS,
    );
    expect(sum).toBe(Math.round(usableS.planned));
  });

  test('what a slower box alone does is the line of the aircraft; the other causes hardly move', () => {
    const only = { names: ['boxTimeRatio'], mean: [-1], factor: [[0.01]] } as const;
    const thirsty = beliefFrom(
      { basis: { source: 'fit', fitId: 'x', flights: 1 }, learned: only },
      { draws: 16, seed: 1 },
    );
    const [mine, boxed] = [thirsty, boxMiddle].map((held) => {
      const answer = estimateWithLedger(jayThatComesHome, held);
      if (!answer.ok) throw new Error(writeInSi(answer.refusal));
      return new Map(answer.value.ledger.map(({ cause, seconds }) => [cause, seconds]));
    }) as [Map<string, number>, Map<string, number>];
    // Seven per cent of the time in the air down to 0 %, some 22 to 31 minutes.
    expect(mine.get('own-aircraft')).toBeLessThan(-0.06 * 22 * 60);
    expect(mine.get('own-aircraft')).toBeGreaterThan(-0.075 * 31 * 60);
    for (const cause of ['style', 'air', 'temperature', 'wear', 'not-full', 'hidden']) {
      expect(Math.abs((mine.get(cause) ?? 0) - (boxed.get(cause) ?? 0))).toBeLessThan(15);
    }
    expect(boxed.has('own-aircraft')).toBe(false);
  });

  test('how far a pack is known against one other is the spread of their difference, by hand from the covariance', () => {
    const one = new SyntheticAircraft(77, asSupposed);
    const two = fitted(
      synthetic([one.fly(['hover'], 0, 1), one.fly(['hover'], 1, 2), one.fly(['slow'], 1, 2)]),
    );
    const [first, second] = synthetic([]).batteries.map(healthSpread) as [number, number];
    const at = (id: string) => two.posterior.names.indexOf(healthOfPack(id));
    const [a, b] = [at('pack-1'), at('pack-2')];
    const c = (i: number, k: number) => two.posterior.covariance[i]?.[k] as number;
    const variance = first ** 2 * c(a, a) + second ** 2 * c(b, b) - 2 * first * second * c(a, b);
    const [pack] = two.batteries;
    expect(pack?.againstOthers?.spread).toBeCloseTo(
      (1 + (pack?.againstOthers?.value ?? 0)) * Math.sqrt(variance),
      5,
    );
  });

  test('a health that was measured by hand wins over what the flights say of the pack', () => {
    const own = coefficientsFor(belief.middle, 'pack-1', {}).healthDeviations;
    expect(own).toBeCloseTo(fit.posterior.mean[learnable.length] as number, 12);
    expect(fit.posterior.names[learnable.length]).toBe(healthOfPack('pack-1'));
    expect(coefficientsFor(belief.middle, 'pack-1', { health: 0.9 }).healthDeviations).toBe(0);
    const typed = estimate({ ...asked, battery: { ...asked.battery, health: 0.9 } }, belief);
    expect(typed.ok && typed.value.health).toBeCloseTo(0.9, 12);
  });

  test('one whose numbers do not go together makes no belief', () => {
    const { posterior } = fit;
    const short = { ...posterior, mean: posterior.mean.slice(1) };
    const skewed = {
      ...posterior,
      covariance: posterior.covariance.map((row, i) =>
        i === 0 ? row.map((v, k) => (k === 1 ? v + 0.1 : v)) : row,
      ),
    };
    const far = { ...posterior, mean: posterior.mean.map((value, i) => (i === 0 ? 1e6 : value)) };
    const wide = {
      ...posterior,
      covariance: posterior.covariance.map((row) => row.map((value) => 9 * value)),
    };
    for (const wrong of [short, skewed, far, wide, { names: [], mean: [], covariance: [] }]) {
      const outcome = checkedKnowledge({ ...fit, posterior: wrong });
      expect(outcome.ok ? 'taken' : outcome.refusal.code).toBe('not-a-fit');
    }
  });
});

describe('what is said of odd flights', () => {
  const flights = flown(51, 6);
  const spoilt = (change: (time: number, i: number) => number) => {
    const request = synthetic(flights);
    const [first, ...rest] = request.flights as [(typeof request.flights)[0], ...typeof request.flights];
    const checkpoints = first.checkpoints.map((one, i) => ({ ...one, timeS: change(one.timeS, i) }));
    const end = { ...first.end, timeS: change(first.end.timeS, 99) };
    return fitted({ ...request, flights: [{ ...first, checkpoints, end }, ...rest] }).flights[0];
  };

  test('a flight like the others is not marked; half as long again it is, with what to check, and counts on', () => {
    expect(spoilt((time) => time)?.flagged).toBeNull();
    const long = spoilt((time) => 1.5 * time);
    expect(long).toMatchObject({ counts: true, flagged: { code: 'power-unlike' } });
    expect(long?.flagged?.message).toContain('longer');
  });

  test('a clock five minutes late moves all readings alike; one reading mistyped stands out alone', () => {
    expect(spoilt((time) => time + 300)?.flagged?.code).toBe('times-shifted');
    expect(spoilt((time, i) => (i === 2 ? 1.1 * time : time))?.flagged?.code).toBe('one-reading');
  });

  test('no flight, or none that counts, is answered in words; one says what it cannot say yet', () => {
    const request = synthetic(flights.slice(0, 1));
    for (const none of [[], request.flights.map((one) => ({ ...one, excludedReason: 'gale' }))]) {
      const outcome = fitOf({ ...request, flights: none });
      expect(outcome.ok ? 'taken' : outcome.refusal.code).toBe('nothing-to-learn');
    }
    const fit = fitted(request);
    expect(fit.leaveOneOut).toBeNull();
    expect(fit.findings.map(({ code }) => code)).toEqual(['one-flight']);
  });

  test('what this aircraft could not have flown is set aside and told; the others teach', () => {
    const request = synthetic(flights.slice(0, 3));
    const gale = { ...(request.flights[0] as (typeof request.flights)[0]), id: 'gale' };
    const conditions = { ...gale.conditions, wind: { ...gale.conditions.wind, speedMps: 30 } };
    const mix = [{ style: 'slow' as const, share: 1 }];
    const fit = fitted({
      ...request,
      flights: [...request.flights, { ...gale, conditions, flight: { heightM: 60, mix } }],
    });
    expect(fit.flights[3]).toMatchObject({ aside: 'cannot-be-flown', counts: false, before: null });
    expect(fit.findings.map(({ code }) => code)).toContain('flights-aside');
    expect(fit.posterior).toEqual(fitted(request).posterior);
  });
});

test('a reading that cannot be sets its flight aside, which is told, and the others teach; alone it is the reason', () => {
  const jay = new SyntheticAircraft(11, asSupposed);
  const request = synthetic(Array.from({ length: 3 }, () => jay.fly(['hover'])));
  const [first] = request.flights as [(typeof request.flights)[number]];
  // 0:01 typed for 10:01.
  const slip = { ...first, id: 'slip', checkpoints: [{ timeS: 1, charge: 0.5 }, ...first.checkpoints] };
  const outcome = fitOf({ ...request, flights: [...request.flights, slip] });
  if (!outcome.ok) throw new Error(outcome.refusal.code);
  expect(outcome.value.flights[3]).toMatchObject({ aside: 'cannot-be-read', counts: false });
  expect(outcome.value.findings.map(({ code }) => code)).toContain('flights-misread');
  const asideAt = (factor: number) => {
    const checkpoints = first.checkpoints.map((one) => ({ ...one, timeS: one.timeS * factor }));
    const end = { ...first.end, timeS: first.end.timeS * factor };
    const odd = { ...first, id: 'odd', checkpoints, end };
    const fit = fitOf({ ...request, flights: [...request.flights, odd] });
    return fit.ok ? fit.value.flights[3]?.aside : fit.refusal;
  };
  expect([asideAt(2), asideAt(9), asideAt(1 / 9)]).toEqual([null, 'cannot-be-read', 'cannot-be-read']);
  const alone = fitOf({ ...request, flights: [slip] });
  expect(alone.ok ? '' : writeInSi(alone.refusal)).toContain('a reading that cannot be');
  const gale = { ...first.conditions, wind: { ...first.conditions.wind, speedMps: 30 } };
  const mix = [{ style: 'slow' as const, share: 1 }];
  const unflown = fitOf({
    ...request,
    flights: [{ ...first, conditions: gale, flight: { heightM: 60, mix } }],
  });
  expect(unflown.ok ? '' : writeInSi(unflown.refusal)).toContain('cannot fly any');
});

test('a fit that names what every object has is refused, like any other that names what this model does not know', () => {
  const jay = new SyntheticAircraft(11, asSupposed);
  const fit = fitOf(synthetic([jay.fly(['hover'])]));
  if (!fit.ok) throw new Error(fit.refusal.code);
  for (const name of ['constructor', '__proto__', 'toString']) {
    const names = fit.value.posterior.names.map((own, i) => (i === 0 ? name : own));
    const posterior = { ...fit.value.posterior, names: names as typeof fit.value.posterior.names };
    expect(checkedKnowledge({ ...fit.value, posterior })).toMatchObject({ ok: false });
  }
  expect(checkedKnowledge(fit.value).ok).toBe(true);
});

test('the next test is one like the flight that is planned, with its own pack; fast flight asks for a fast test', () => {
  const request = synthetic(flown(61, 1));
  const plan = (style: 'hover' | 'fast') => ({
    ...jayThatComesHome,
    batteryId: 'pack-2',
    flight: { ...jayThatComesHome.flight, mix: [{ style, share: 1 }] },
  });
  const [best] = fitted({ ...request, planned: plan('fast') }).nextTests;
  expect(best).toMatchObject({ pattern: 'there-and-back', style: 'fast', batteryId: 'pack-2', tied: true });
  const hover = fitted({ ...request, planned: plan('hover') }).nextTests;
  expect(hover[0]).toMatchObject({ batteryId: 'pack-2' });
  expect(hover.some(({ style, tied }) => style === 'hover' && tied)).toBe(true);
  expect(best?.gainsS).toBeGreaterThan(20);
  const others = fitted({ ...request, planned: plan('fast'), testableIds: ['pack-1'] }).nextTests;
  expect(new Set(others.map(({ batteryId }) => batteryId))).toEqual(new Set(['pack-1']));
});

test('a plain test is flown with a warm pack also where the planned one is cold; what a cold one gains is told apart', () => {
  const request = synthetic(flown(61, 1));
  const frost = {
    ...jayThatComesHome,
    batteryId: 'pack-1',
    battery: { ...jayThatComesHome.battery, startTemperatureC: -5 },
    conditions: { ...jayThatComesHome.conditions, airTemperatureC: -5 },
  };
  const hovers = fitted({ ...request, planned: frost }).nextTests.filter(
    ({ style, batteryId }) => style === 'hover' && batteryId === 'pack-1',
  );
  const gained = (twist: string | null) => hovers.find((one) => one.twist === twist)?.gainsS ?? 0;
  expect(gained('cold-pack')).toBeGreaterThan(gained(null));
});
