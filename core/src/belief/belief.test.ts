import { boxBelief, boxMiddle } from '../../fixtures/beliefs';
import { nominal } from '../units/assumed';
import { coefficientsFor, defaultDraws, fromTheBox, type Knowledge, noDraws, type World } from './belief';
import { beliefFrom } from './beliefFrom';
import { priorNames, priors } from './priors';

test('from the box: the middle has every constant at its middle, the draws spread as the priors say', () => {
  expect(boxMiddle.middle.coefficients).toEqual(nominal(priors));
  expect(boxMiddle.draws).toEqual([]);
  expect(beliefFrom(fromTheBox, defaultDraws)).toEqual(boxBelief);
  for (const name of priorNames) {
    const deviations = boxBelief.draws.map((draw) => draw.deviations[name] as number);
    expect(meanOf(deviations)).toBeCloseTo(0, 1);
    expect(covarianceOf(deviations, deviations)).toBeCloseTo(1, 1);
  }
});

test('every unknown has a scope; of a flight are its luck, its wind and its own speed', () => {
  const ofFlight = priorNames.filter((name) => priors[name].scope === 'flight');
  expect(ofFlight).toEqual(
    expect.arrayContaining(['flightPowerRatio', 'windAlongDeviations', 'ownSpeedDeviations']),
  );
  expect(priorNames.filter((name) => priors[name].scope === 'battery')).toEqual(['healthDeviations']);
});

describe('what flights taught', () => {
  const learned = {
    names: ['boxTimeRatio', 'healthDeviations of jay-1'],
    mean: [-0.5, 0.3],
    factor: [[0.6], [0.3, 0.4]],
  } as const;
  const known: Knowledge = { basis: { source: 'fit', fitId: 'first', flights: 3 }, learned };
  const belief = beliefFrom(known, { draws: 4096, seed: 1 });
  const column = (name: string) => belief.draws.map((draw) => draw.deviations[name] as number);

  test('is drawn together: mean and covariance L·Lᵀ as given (0.36, 0.18, 0.25 by hand)', () => {
    const [box, health] = [column('boxTimeRatio'), column('healthDeviations of jay-1')];
    expect(meanOf(box)).toBeCloseTo(-0.5, 2);
    expect(meanOf(health)).toBeCloseTo(0.3, 2);
    expect(covarianceOf(box, box)).toBeCloseTo(0.36, 2);
    expect(covarianceOf(box, health)).toBeCloseTo(0.18, 2);
    expect(covarianceOf(health, health)).toBeCloseTo(0.25, 2);
  });

  test('moves its own middle, holds for its own battery, and leaves the rest as it was', () => {
    const { coefficients } = belief.middle;
    expect(coefficients.boxTimeRatio).toBeCloseTo(Math.exp(-0.5 * 0.07), 12);
    expect(coefficients.hiddenCharge).toBe(priors.hiddenCharge.value);
    expect(healthIn(belief.middle, 'jay-1')).toBeCloseTo(0.3, 12);
    expect(healthIn(belief.middle, 'jay-2')).toBe(0);
    expect(healthIn(belief.middle, null)).toBe(0);
    expect(column('dragAreaRatio').slice(0, 512)).toEqual(
      beliefFrom(fromTheBox, { draws: 512, seed: 1 }).draws.map((draw) => draw.deviations.dragAreaRatio),
    );
    expect(beliefFrom(known, noDraws).basis).toEqual({ source: 'fit', fitId: 'first', flights: 3 });
  });
});

function healthIn(world: World, batteryId: string | null): number {
  return coefficientsFor(world, batteryId, { health: null }).healthDeviations;
}

function meanOf(values: readonly number[]): number {
  return values.reduce((sum, value) => sum + value, 0) / values.length;
}

function covarianceOf(a: readonly number[], b: readonly number[]): number {
  const [meanA, meanB] = [meanOf(a), meanOf(b)];
  return meanOf(a.map((value, i) => (value - meanA) * ((b[i] as number) - meanB)));
}
