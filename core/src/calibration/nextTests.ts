import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import type { Style } from '../aircraft/aircraft';
import { healthOfPack, type UnknownName } from '../belief/belief';
import type { PriorName } from '../belief/priors';
import type { EstimateRequest } from '../estimate/request';
import { simulate } from '../estimate/simulate';
import { confidenceOf } from '../reserve/policy';
import { normalQuantile } from '../statistics/normalQuantile';
import { patternMix, type TestPattern } from '../testFlights/testFlight';
import type { CalibrationRequest } from './calibrate';
import { covarianceOf, defaultNoise } from './flightNoise';
import type { FitPosterior } from './knowledge';
import { type Posterior, varianceAlong } from './posterior';
import { Boxes, type CalibrationFlight, logTimes, type ReadyFlight, readyFlight } from './predicted';
import { aircraftWorld, flightWorld, learnable, ofOneFlight } from './unknowns';

/** The flight that is to be known better. */
export type PlannedFlight = EstimateRequest & { readonly batteryId: string };

interface TestsRequest extends CalibrationRequest {
  readonly planned?: PlannedFlight | null;
  /** Packs that may be flown for it; all where absent. */
  readonly testableIds?: readonly string[] | null;
}

/** What the test is flown for beside its mode. */
export const testTwists = ['to-zero', 'cold-pack'] as const;
export type TestTwist = (typeof testTwists)[number];

/** A test that would narrow the planned flight. */
export interface NextTest {
  readonly pattern: TestPattern;
  readonly style: Style;
  readonly batteryId: string;
  /** Down to motors out over grass, with 0 % noted; or with a pack as cold as the air. Null for a plain one. */
  readonly twist: TestTwist | null;
  /** By how much less would be kept for doubt, s. */
  readonly gainsS: number;
  /** No worse than the best by what is worth telling. */
  readonly tied: boolean;
}

const difference = 0.1;
/** A usual test: five readings down to 25 %. */
const defaultMarks = [0.8, 0.6, 0.4, 0.3, 0.25];
const marksToZero = [0.8, 0.6, 0.4, 0.2, 0.1, 0];
const tiedWithinS = 3;
const tiedWithinFraction = 0.15;
export const maxTestsTold = 6;
/** A pack colder than this teaches cold. */
const coldC = 10;

interface Candidate {
  readonly pattern: TestPattern;
  readonly style: Style;
  readonly twist: TestTwist | null;
}

const plain: readonly Candidate[] = [
  { pattern: 'low-hover', style: 'hover', twist: null },
  { pattern: 'there-and-back', style: 'slow', twist: null },
  { pattern: 'there-and-back', style: 'normal', twist: null },
  { pattern: 'there-and-back', style: 'fast', twist: null },
  { pattern: 'low-hover', style: 'hover', twist: 'to-zero' },
];

/**
 * The tests that would take most from what is kept for doubt in the planned flight, best first: of the variance of ln(time)
 * along the planned flight, what a candidate's readings would take, from their slopes alone (a linear Gaussian design; Chaloner &
 * Verdinelli, Statist. Sci. 1995). No data is needed, and the flight's own luck stays: no test takes that. Empty without a
 * flight to plan for.
 */
export function nextTests(
  request: TestsRequest,
  names: readonly UnknownName[],
  posterior: Posterior,
): NextTest[] {
  const planned = request.planned ?? lastFlightAgain(request);
  if (!planned) return [];
  const all = withUnflown(request, names, posterior);
  const goal = plannedSlope(planned, all);
  if (!goal) return [];
  const known = varianceAlong(goal.slope, all.covariance);
  const deviations = normalQuantile(confidenceOf(planned.policy));
  const doubtS = (variance: number) => goal.usableS * deviations * Math.sqrt(variance + goal.ownVariance);
  const candidates = candidatesFor(planned, request, all);
  const taught = variancesTaught(candidates, all, goal.slope);
  const found = candidates
    .map(({ pattern, style, twist, batteryId }, i) => ({
      pattern,
      style,
      twist,
      batteryId,
      gainsS: doubtS(known) - doubtS(Math.max(0, known - (taught[i] as number))),
    }))
    .filter(({ gainsS }) => gainsS >= 1)
    .sort((a, b) => b.gainsS - a.gainsS)
    .slice(0, maxTestsTold);
  const most = found[0]?.gainsS ?? 0;
  const tied = (gainsS: number) => most - gainsS <= Math.max(tiedWithinS, tiedWithinFraction * most);
  return found.map((one) => ({ ...one, tied: tied(one.gainsS) }));
}

/** The same after a fit that is kept. */
export function nextTestsAfter(
  request: TestsRequest,
  { names, mean, covariance }: Pick<FitPosterior, 'names' | 'mean' | 'covariance'>,
): NextTest[] {
  return nextTests(request, names, { mean, covariance: new Matrix(covariance as number[][]) });
}

/** The posterior with the packs that were not flown: they have their priors, apart from all else. */
interface Whole {
  readonly names: readonly UnknownName[];
  readonly mean: readonly number[];
  readonly covariance: Matrix;
}

function withUnflown(
  { batteries }: CalibrationRequest,
  names: readonly UnknownName[],
  { mean, covariance }: Posterior,
): Whole {
  const more = batteries.map(({ id }) => healthOfPack(id)).filter((name) => !names.includes(name));
  const whole = Matrix.eye(names.length + more.length);
  whole.setSubMatrix(covariance, 0, 0);
  return { names: [...names, ...more], mean: [...mean, ...more.map(() => 0)], covariance: whole };
}

/** How ln(usable time) of the planned flight moves with the unknowns, and how much of it is the flight's own. */
function plannedSlope(planned: PlannedFlight, { names, mean }: Whole) {
  const place = names.indexOf(healthOfPack(planned.batteryId));
  const { batteryId: _, ...request } = planned;
  const lnUsable = (z: readonly number[], own: Partial<Record<PriorName, number>> = {}) => {
    const flown = simulate(request, flightWorld(aircraftWorld(z), place < 0 ? 0 : (z[place] as number), own));
    return flown.ok && flown.value.end.turnBack.timeS > 0 ? Math.log(flown.value.end.turnBack.timeS) : null;
  };
  const middle = lnUsable(mean);
  if (middle === null) return null;
  const along = (there: number | null) => (there === null ? 0 : (there - middle) / difference);
  const slope = names.map((_name, i) => {
    const moves = i < learnable.length || i === place;
    return moves ? along(lnUsable(mean.map((value, k) => (k === i ? value + difference : value)))) : 0;
  });
  const own = ofOneFlight.map((name) => along(lnUsable(mean, { [name]: difference })));
  const ownVariance = own.reduce((sum, by) => sum + by * by, 0);
  return { slope, ownVariance, usableS: Math.exp(middle) };
}

interface CandidateFlight extends Candidate {
  readonly batteryId: string;
  readonly flight: CalibrationFlight;
}

function candidatesFor(
  planned: PlannedFlight,
  { aircraft, batteries, testableIds }: TestsRequest,
  { names }: Whole,
): (CandidateFlight & {
  readonly ready: ReturnType<typeof readyFlight>;
  readonly packPlace: number;
})[] {
  const { conditions, battery } = planned;
  const warmC = battery.startTemperatureC ?? conditions.airTemperatureC;
  const candidates: readonly Candidate[] =
    conditions.airTemperatureC < coldC
      ? [...plain, { pattern: 'low-hover', style: 'hover', twist: 'cold-pack' }]
      : plain;
  const testable = batteries.filter(({ id }) => testableIds?.includes(id) ?? true);
  return testable.flatMap((pack) =>
    candidates.map(({ pattern, style, twist }) => {
      const marks = twist === 'to-zero' ? marksToZero : defaultMarks;
      const flight: CalibrationFlight = {
        id: 'candidate',
        batteryId: pack.id,
        conditions,
        startCharge: 0.99,
        startTemperatureC: twist === 'cold-pack' ? conditions.airTemperatureC : Math.max(warmC, coldC),
        flight: {
          heightM: style === 'hover' ? 3 : planned.flight.heightM,
          mix: patternMix({ pattern, mode: style === 'hover' ? null : style }),
        },
        checkpoints: marks.slice(0, -1).map((charge, i) => ({ timeS: i + 1, charge })),
        events: twist === 'to-zero' ? [{ kind: 'motors-out', timeS: 100 }] : [],
        end: { timeS: marks.length, charge: marks[marks.length - 1] as number },
      };
      return {
        pattern,
        style,
        twist,
        batteryId: pack.id,
        flight,
        ready: readyFlight(flight, aircraft, pack),
        packPlace: names.indexOf(healthOfPack(pack.id)),
      };
    }),
  );
}

/** What the readings of a candidate tell: how they move with each unknown and with its pack, and their own noise. */
interface Told {
  readonly ofAircraft: readonly (readonly number[])[];
  readonly ofPack: readonly number[];
  readonly own: Matrix;
}

/**
 * Of the variance along the goal, what each candidate would take: kᵀ·S⁻¹·k, k the covariance of goal and readings. Packs of one
 * type are flown once: that one is a little fresher than another hardly moves what its readings tell.
 */
function variancesTaught(
  candidates: ReturnType<typeof candidatesFor>,
  { mean, covariance }: Whole,
  goal: readonly number[],
): number[] {
  const here = new Boxes(aircraftWorld(mean));
  const nudged = learnable.map(
    (_, place) =>
      new Boxes(aircraftWorld(mean.map((value, i) => (i === place ? value + difference : value)))),
  );
  const half = new CholeskyDecomposition(covariance).lowerTriangularMatrix;
  const goalCovariance = covariance.mmul(Matrix.columnVector(goal as number[]));
  const known = new Map<string, Told | null>();
  return candidates.map(({ ready, style, twist, packPlace }) => {
    const kind = [style, twist, ready.boxKey].join(' ');
    const told = known.has(kind) ? known.get(kind) : toldBy(ready, here, nudged, mean[packPlace] as number);
    known.set(kind, told ?? null);
    if (!told) return 0;
    const slopes = new Matrix(told.ofPack.length, mean.length);
    told.ofPack.forEach((byPack, k) => {
      for (const place of learnable.keys()) slopes.set(k, place, told.ofAircraft[place]?.[k] as number);
      slopes.set(k, packPlace, byPack);
    });
    const spread = slopes.mmul(half);
    const seen = spread.mmul(spread.transpose()).add(told.own);
    const along = slopes.mmul(goalCovariance);
    return along.transpose().mmul(new CholeskyDecomposition(seen).solve(along)).get(0, 0);
  });
}

function toldBy(
  ready: ReadyFlight,
  here: Boxes,
  nudged: readonly Boxes[],
  packDeviations: number,
): Told | null {
  const world = flightWorld(here.world, packDeviations);
  const middle = logTimes(ready, here.of(ready), world);
  if (!middle.ok) return null;
  const movedBy = (boxes: Boxes, pack: number) => {
    const there = logTimes(ready, boxes.of(ready), flightWorld(boxes.world, pack));
    return middle.value.map((time, k) => (there.ok ? ((there.value[k] as number) - time) / difference : 0));
  };
  return {
    ofAircraft: nudged.map((boxes) => movedBy(boxes, packDeviations)),
    ofPack: movedBy(here, packDeviations + difference),
    own: covarianceOf(defaultNoise(ready, here.of(ready), world, middle.value)),
  };
}

/** Where no flight is planned: the last one that counts, flown again and landed at 25 %. */
function lastFlightAgain({ aircraft, batteries, flights }: CalibrationRequest): PlannedFlight | null {
  const last = flights.filter(({ excludedReason }) => excludedReason == null).at(-1);
  const pack = last && batteries.find(({ id }) => id === last.batteryId);
  if (!last || !pack) return null;
  const { request } = readyFlight(last, aircraft, pack);
  return { ...request, batteryId: pack.id, policy: { kind: 'touch-down-charge', reserveCharge: 0.25 } };
}
