import fc from 'fast-check';
import { answered } from '../../fixtures/answered';
import { boxBelief, boxDrawn, boxMiddle } from '../../fixtures/beliefs';
import { type Change, jayHomeWith, jayThatComesHome as request } from '../../fixtures/jay';
import { holds } from '../../fixtures/seeds';
import { cellChargeOf, gaugeOf, trueGauge } from '../battery/gauge';
import { momentAtCharge } from '../flight/drain';
import { flyLegs } from '../flight/legs';
import { policyKinds } from '../reserve/policy';
import { bandsOf, provisionalPlan, provisionalTurnBack } from './band';
import { estimate } from './estimate';
import { estimateInFull } from './full';
import { plannedTurnBack } from './plannedTurnBack';
import type { EstimateRequest } from './request';
import { simulate } from './simulate';

const boxS = request.aircraft.advertisedFlightTimeS;

test('box and lines make the planned minutes to the second, what is kept for doubt last: every school, every wind (seed 31)', () => {
  const any = fc.record({
    kind: fc.constantFrom(...policyKinds),
    confidence: fc.double({ min: 0.5, max: 0.99, noNaN: true }),
    speedMps: fc.double({ min: 0, max: 5, noNaN: true }),
  });
  holds(
    fc.property(any, ({ kind, confidence, speedMps }) => {
      const wind = { speedMps, gustMps: null, fromDeg: 240, readingHeightM: 2 };
      const outcome = estimateInFull(
        jayHomeWith({ policy: { kind, confidence }, conditions: { wind } }),
        boxDrawn(32),
      );
      if (!outcome.ok) return;
      const { ledger, usableS } = outcome.value;
      expect(boxS + ledger.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(Math.round(usableS.planned));
      expect(ledger.at(-1)).toEqual({
        cause: 'doubt',
        seconds: Math.round(usableS.planned) - Math.round(usableS.p50),
      });
    }),
    { seed: 31, numRuns: 40 },
  );
});

test('two figures: the planned minute comes before the planned charge, and each is what it says', () => {
  const full = answered(estimateInFull(request, boxBelief));
  const event = (kind: string) => full.events.find((one) => one.kind === kind);
  expect(event('planned-minute')?.timeS).toBe(full.usableS.planned);
  expect(event('turn-back')?.charge).toBeCloseTo(full.turnBackCharge.planned ?? 2, 9);
  expect(event('turn-back')?.timeS).toBeGreaterThan(full.usableS.planned);
  expect(event('planned-minute')?.charge).toBeGreaterThan(event('turn-back')?.charge ?? 2);
  // From there it takes the way home, no more and no less, as its pack then is.
  const middle = answered(simulate(request, boxBelief.middle));
  const { cells, curve, wayHome, airC } = middle;
  const homeS = wayHome.reduce((sum, { durationS }) => sum + durationS, 0);
  expect((event('touch-down')?.timeS ?? 0) - (event('turn-back')?.timeS ?? 0)).toBeCloseTo(homeS, 6);
  const turn = momentAtCharge(curve, cellChargeOf(full.turnBackCharge.planned ?? 2, cells.hidden));
  const down = flyLegs(cells, wayHome, airC, turn);
  expect(event('touch-down')?.charge).toBeCloseTo(gaugeOf(down?.charge ?? 0, cells.hidden), 6);
  // Turned there, the middle flight is home with more than is held back, by what is kept for doubt.
  expect(event('touch-down')?.charge).toBeGreaterThan(0.27);
  const doubted = jayHomeWith({ policy: { kind: 'forced-landing' } });
  const test = answered(estimateInFull(doubted, boxDrawn(16)));
  expect(test.events.find(({ kind }) => kind === 'turn-back')?.timeS).toBeCloseTo(test.usableS.p50, 9);
});

test('turned at the planned charge nine flights of ten land with what is held back; as long as the planned minute nine of ten last', () => {
  const full = answered(estimateInFull(request, boxBelief));
  const gauge = full.turnBackCharge.planned ?? 2;
  const flights = boxBelief.draws.map((world) => simulate(request, world, true));
  const landings = flights.map((flight) => {
    if (!flight.ok) return 0;
    const { cells, curve, wayHome, airC, gaugeErrorCharge } = flight.value;
    // It is turned when its own gauge shows the charge, whatever that one is off by.
    const there = cellChargeOf(trueGauge(gauge, gaugeErrorCharge), cells.hidden);
    const down = flyLegs(cells, wayHome, airC, momentAtCharge(curve, there));
    return down ? gaugeOf(down.charge, cells.hidden) : 0;
  });
  const share = (kept: readonly boolean[]) => kept.filter(Boolean).length / kept.length;
  expect(share(landings.map((landing) => landing >= 0.25 - 1e-6))).toBeCloseTo(0.9, 2);
  const lasted = flights.map((flight) => flight.ok && flight.value.end.latest.timeS >= full.usableS.planned);
  expect(share(lasted)).toBeCloseTo(0.9, 2);
});

test('where nothing can be planned so surely, nothing is turned back, and no number stands', () => {
  const full = answered(estimateInFull(jayHomeWith({ policy: { confidence: 0.99 } }), boxBelief));
  expect(full.usableS.planned).toBe(0);
  expect(full.turnBackCharge.planned).toBeNull();
  expect(boxS + full.ledger.reduce((sum, { seconds }) => sum + seconds, 0)).toBe(0);
  expect(full.events.map(({ kind }) => kind)).not.toEqual(
    expect.arrayContaining(['turn-back', 'touch-down', 'planned-minute']),
  );
});

describe('while a newer band is on its way the planned minutes follow the middle', () => {
  const belief = boxDrawn(128);
  // In a wind that leaves its way home some room: near the edge, half a metre a second may take all that can be planned.
  const wind = { speedMps: 2, gustMps: 3.5, fromDeg: 240, readingHeightM: 2 };
  const jay = ({ conditions, ...change }: Change) =>
    jayHomeWith({ ...change, conditions: { wind, ...conditions }, aircraft: { returnSpeedMps: 8 } });
  /** What a stroke, a minute, takes of the gauge at the least. */
  const strokeCharge = 60 / 1200;
  const bandOfOne = (one: EstimateRequest) => {
    const [band] = bandsOf([one], belief);
    if (!band) throw new Error('It should be flown.');
    return band;
  };
  const before = bandOfOne(jay({}));

  // One step of each slider a hand may drag.
  test.each<[string, EstimateRequest]>([
    [
      'half a metre a second more wind',
      jay({ conditions: { wind: { ...wind, speedMps: 2.5, gustMps: 4 } } }),
    ],
    ['half a metre a second less', jay({ conditions: { wind: { ...wind, speedMps: 1.5, gustMps: 3 } } })],
    ['five metres higher', jay({ flight: { heightM: 65 } })],
    ['ten metres farther', jay({ flight: { farthestM: 160 } })],
    ['a degree colder', jay({ conditions: { airTemperatureC: 4 } })],
    ['five in a hundred more kept', jay({ policy: { reserveCharge: 0.3 } })],
    [
      'five in a hundred more hovered',
      jay({
        flight: {
          mix: [
            { style: 'hover', share: 0.55 },
            { style: 'slow', share: 0.45 },
          ],
        },
      }),
    ],
  ])('and jump by about a stroke at most when it comes: %s', (_, next) => {
    const meanwhile = provisionalPlan(answered(estimate(next, boxMiddle)), before);
    const then = bandOfOne(next);
    expect(Math.abs((meanwhile?.usableS ?? 0) - then.usableS.planned)).toBeLessThan(60);
    // The doubt of a wind grows with it faster than the middle flight tells: by a little over a stroke.
    expect(Math.abs((meanwhile?.turnBackCharge ?? 2) - (then.turnBackCharge.planned ?? 0))).toBeLessThan(
      1.25 * strokeCharge,
    );
  });

  test('the charge follows in the same ratio, and is never above a full gauge', () => {
    expect(provisionalTurnBack(0.5, { p50: 0.4, planned: 0.5 })).toBeCloseTo(0.625, 12);
    expect(provisionalTurnBack(0.9, { p50: 0.4, planned: 0.5 })).toBe(1);
    expect(provisionalTurnBack(0.5, { p50: 0.4, planned: null })).toBeNull();
    expect(provisionalTurnBack(null, { p50: 0.4, planned: 0.5 })).toBeNull();
  });

  test('before there is a band there is nothing to act on; where none is planned none is invented', () => {
    const middle = answered(estimate(jay({}), boxMiddle));
    expect(provisionalPlan(middle, null)).toBeNull();
    const none = bandOfOne(jayHomeWith({ policy: { confidence: 0.99 } }));
    expect(provisionalPlan(middle, none)).toEqual({ usableS: 0, turnBackCharge: null });
  });
});

test('where more flights never come home than the confidence allows there is no charge to turn at (by hand: quantiles of twenty)', () => {
  const drawn = (lost: number) => Array.from({ length: 20 }, (_, i) => (i < lost ? null : 0.4));
  expect(plannedTurnBack(0.35, drawn(0), 0.9)).toBe(0.4);
  expect(plannedTurnBack(0.45, drawn(1), 0.9)).toBe(0.45);
  expect(plannedTurnBack(0.35, drawn(3), 0.9)).toBeNull();
  expect(plannedTurnBack(null, drawn(0), 0.9)).toBeNull();
});
