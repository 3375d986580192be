import { answered } from '../../../fixtures/answered';
import { jayOnTheFell } from '../../../fixtures/jay';
import { fromTheBox, type Knowledge } from '../../belief/belief';
import { beliefFrom } from '../../belief/beliefFrom';
import { explain } from '../../estimate/explain';
import { estimateInFull } from '../../estimate/full';
import { powerCurve } from '../../estimate/powerCurve';
import type { EstimateRequest } from '../../estimate/request';
import { reaches } from '../../wayHome/reach';
import { returnInFull } from '../../wayHome/returnInFull';
import { turnTable } from '../../wayHome/turnTable';
import { planSwaps } from '../report/planSwaps';
import type { PlanRequest } from '../request/request';

/**
 * A belief that holds the box 13 % too rosy for sure must answer all that is asked as the box that says so would: what
 * still went by the priors would differ.
 */
const z = -2;
const count = { draws: 32, seed: 4 };
const sure: Knowledge = {
  basis: { source: 'fit', fitId: 'sure', flights: 9 },
  learned: { names: ['boxTimeRatio'], mean: [z], factor: [[0]] },
};
/** The box's own doubt taken away, so that only its middle differs. */
const sureOfTheBox: Knowledge = {
  basis: fromTheBox.basis,
  learned: { names: ['boxTimeRatio'], mean: [0], factor: [[0]] },
};
const believed = beliefFrom(sure, count);
const ofTheBox = beliefFrom(sureOfTheBox, count);
const request = jayOnTheFell;
const scaled: EstimateRequest = {
  ...request,
  aircraft: {
    ...request.aircraft,
    advertisedFlightTimeS: request.aircraft.advertisedFlightTimeS * Math.exp(0.07 * z),
  },
};
const wayHome = (one: EstimateRequest) => ({
  ...one,
  position: { distanceM: 300, bearingDeg: 60, heightM: 60, charge: 0.5 },
});
const plan = (one: EstimateRequest): PlanRequest => ({
  startAt: '2026-11-26T08:00:00Z',
  order: 'kept',
  aircraft: [{ id: 'jay', spec: one.aircraft }],
  batteries: [{ ...one.battery, id: 'a', aircraftId: 'jay', label: 'Jay 1' }],
  conditions: one.conditions,
  policy: one.policy,
  shots: [
    { id: 'one', name: 'one', durationS: 400, style: 'slow', distanceM: 150, bearingDeg: 60, heightM: 40 },
    { id: 'two', name: 'two', durationS: 4000, style: 'hover', distanceM: 150, bearingDeg: 60, heightM: 40 },
  ],
  swap: { landToLiftOffS: 270 },
});

test.each<[string, (one: EstimateRequest, belief: typeof believed) => unknown]>([
  [
    'the estimate with its band',
    (one, belief) => {
      const { basis: _, ledger: __, ...rest } = answered(estimateInFull(one, belief));
      return rest;
    },
  ],
  ['the page that explains it', (one, belief) => answered(explain(one, belief))],
  ['power against airspeed', (one, belief) => answered(powerCurve(one, belief))],
  ['the way home', (one, belief) => answered(returnInFull(wayHome(one), belief))],
  ['the reach', (one, belief) => answered(reaches(wayHome(one), belief))],
  ['when to turn', (one, belief) => turnTable(wayHome(one), belief)],
  ['the swap plan', (one, belief) => answered(planSwaps(plan(one), { jay: belief }))],
])('%s goes by what is believed, not by the box', (_, ask) => {
  const now = ask(request, believed);
  expect(now).toEqual(ask(scaled, ofTheBox));
  expect(now).not.toEqual(ask(request, ofTheBox));
});

test('an answer names what it rests on', () => {
  expect(answered(estimateInFull(request, believed)).basis).toEqual(sure.basis);
  expect(answered(estimateInFull(request, ofTheBox)).basis).toEqual({ source: 'box', flights: 0 });
});

// One deviation of twelve cycles by hand: √(0.03² + (0.4 · 0.0096 / 0.9904)²) = 0.03025; two below, 0.9904 · e^(−0.0605) = 0.932.
test('what was learned of one battery holds for that one alone, in the middle, the band and the plan', () => {
  const learned = { names: ['healthDeviations of a'], mean: [-2], factor: [[0]] } as const;
  const belief = beliefFrom({ ...sure, learned }, count);
  const plain = beliefFrom(fromTheBox, count);
  const weak = answered(estimateInFull({ ...request, batteryId: 'a' }, belief));
  expect(weak.health).toBeCloseTo(0.9323, 3);
  expect(answered(estimateInFull({ ...request, batteryId: 'b' }, belief)).usableS).toEqual(
    answered(estimateInFull(request, plain)).usableS,
  );
  const measured = { ...request, battery: { ...request.battery, health: weak.health } };
  expect(weak.usableS.p50).toBeCloseTo(answered(estimateInFull(measured, plain)).usableS.p50, 6);
  const spareOf = (id: string) => {
    const one = plan(request);
    const [shot] = one.shots;
    if (!shot) throw new Error('There should be a shot.');
    const batteries = [{ ...request.battery, id, aircraftId: 'jay', label: id }];
    return answered(planSwaps({ ...one, batteries, shots: [shot] }, { jay: belief })).flights[0]?.spareS ?? 0;
  };
  expect(spareOf('a')).toBeLessThan(spareOf('b'));
});
