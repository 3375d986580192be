import { Matrix } from 'ml-matrix';
import { gaussNewton } from '../statistics/gaussNewton';
import { type Outcome, success } from '../units/outcome';
import { covarianceOf, type FlightNoise, type NoiseLaw, type Whitener, whitener } from './flightNoise';
import {
  type FlightInformation,
  type FlightStatistics,
  flightStatisticsOf,
  informationAt,
  studentWeight,
} from './flightStatistics';
import { Boxes, logTimes, type ReadyFlight } from './predicted';
import { aircraftWorld, flightWorld, learnable } from './unknowns';

/** A flight of a fit, and where the health of its pack stands among the unknowns. */
export interface FittedFlight extends ReadyFlight {
  readonly packPlace: number;
}

/** A flight about the point the search ended at: all that is linear from here on. */
export interface LinearFlight {
  readonly flight: FittedFlight;
  /** ln(flown) − ln(computed) of each mark. */
  readonly residuals: readonly number[];
  /** Of ln(computed), by mark, then by unknown. */
  readonly slopes: readonly (readonly number[])[];
  readonly noise: FlightNoise;
  readonly flightStatistics: FlightStatistics;
  /** What it says at the weight of its own effects: 1, or less where they are larger than chance makes them. */
  readonly information: FlightInformation;
}

export interface PosteriorMode {
  /** The likeliest deviations. */
  readonly mode: readonly number[];
  /** The flights about the mode, and as the box alone has them; in the order in which they came. */
  readonly flights: readonly LinearFlight[];
  readonly fromTheBox: readonly LinearFlight[];
  readonly steps: number;
  /** Whether it came to rest. */
  readonly settled: boolean;
}

/** Told while it searches, 0–1; what it throws ends the search. */
export type FitProgress = (share: number) => void;

const difference = 0.1;
const stopBelow = 0.02;
/** The covariance of each flight is computed so often, and then held, so that the search has one aim. */
const refreshes = 3;
const maxRounds = 15;

/**
 * The likeliest unknowns given some flights: damped Gauss–Newton on whitened residuals with the prior ½|z|²,
 * Student's weights on each flight's own effect renewed at every step. Refused where one of the flights cannot be flown.
 */
export function search(
  flights: readonly FittedFlight[],
  unknowns: number,
  noiseOf: NoiseLaw,
  progress: FitProgress = () => {},
): Outcome<PosteriorMode> {
  const first = about(
    flights,
    Array.from({ length: unknowns }, () => 0),
    noiseOf,
  );
  if (!first.ok) return first;
  let here = first.value;
  let round = 0;
  let fell = Number.POSITIVE_INFINITY;
  while (round < maxRounds && (round < refreshes || fell >= stopBelow)) {
    if (round > 0 && round < refreshes) here = { ...here, flights: noisedAnew(here, noiseOf) };
    const stepped = step({ ...here, flights: here.flights.map(weighted) });
    fell = stepped.fell;
    here = stepped.point;
    round++;
    progress(Math.min(0.9, round / (refreshes + 3)));
  }
  return success({
    mode: here.z,
    flights: here.flights.map(weighted),
    fromTheBox: first.value.flights,
    steps: round,
    settled: fell < stopBelow,
  });
}

/** Where the search stands: the unknowns, and the flights about them. */
interface Point {
  readonly z: readonly number[];
  readonly flights: readonly LinearFlight[];
}

/** Flights about some unknowns; refused where one of them cannot be flown there. */
export function about(
  flights: readonly FittedFlight[],
  z: readonly number[],
  noiseOf: NoiseLaw,
): Outcome<Point> {
  const times = logTimesOf(flights, z);
  if (!times.ok) return times;
  const noises = noisesAt(flights, z, times.value, noiseOf);
  return success({
    z,
    flights: linearAt(
      flights,
      z,
      times.value,
      noises,
      flights.map(() => 1),
    ),
  });
}

/** One step of Gauss–Newton, with the weights and covariances held; and how much the cost fell. */
function step(point: Point): { readonly point: Point; readonly fell: number } {
  const flights = point.flights.map(({ flight }) => flight);
  const whiten = point.flights.map(({ noise, information }) =>
    whitener(covarianceOf(noise, information.weight)),
  );
  let last = { z: point.z, times: [] as readonly (readonly number[])[] };
  const settled = gaussNewton(
    {
      residualsAt: (z) => {
        const isHere = z === point.z;
        const there = isHere ? null : logTimesOf(flights, z);
        if (there && !there.ok) return null;
        if (there) last = { z, times: there.value };
        const off = point.flights.flatMap(({ flight, residuals: here }, k) => {
          const residuals = there ? missed(flight, there.value[k] as readonly number[]) : here;
          return (whiten[k] as Whitener)(Matrix.columnVector(residuals as number[])).to1DArray();
        });
        return [...off, ...z];
      },
      jacobianAt: (z) => [
        ...point.flights.flatMap(({ slopes }, k) =>
          (whiten[k] as Whitener)(new Matrix(slopes as number[][]).mul(-1)).to2DArray(),
        ),
        ...Matrix.eye(z.length).to2DArray(),
      ],
    },
    point.z,
    { stopBelow, mostSteps: 1 },
  );
  if (settled.fell === 0) return { point, fell: 0 };
  const there = linearAt(
    flights,
    last.z,
    last.times,
    point.flights.map(({ noise }) => noise),
    point.flights.map(({ information }) => information.weight),
  );
  return { point: { z: last.z, flights: there }, fell: settled.fell };
}

function weighted(one: LinearFlight): LinearFlight {
  return {
    ...one,
    information: informationAt(
      one.flightStatistics,
      studentWeight(one.flightStatistics, one.information, null),
    ),
  };
}

function noisedAnew({ z, flights }: Point, noiseOf: NoiseLaw): LinearFlight[] {
  const times = flights.map(({ flight, residuals }) =>
    flight.marks.map(({ timeS }, i) => Math.log(timeS) - (residuals[i] as number)),
  );
  const noises = noisesAt(
    flights.map(({ flight }) => flight),
    z,
    times,
    noiseOf,
  );
  return flights.map((one, i) => {
    const noise = noises[i] as FlightNoise;
    const flightStatistics = flightStatisticsOf(one.slopes, one.residuals, noise);
    return {
      ...one,
      noise,
      flightStatistics,
      information: informationAt(flightStatistics, one.information.weight),
    };
  });
}

function noisesAt(
  flights: readonly FittedFlight[],
  z: readonly number[],
  times: readonly (readonly number[])[],
  noiseOf: NoiseLaw,
): FlightNoise[] {
  const world = aircraftWorld(z);
  const boxes = new Boxes(world);
  return flights.map((flight, i) => {
    const own = flightWorld(world, z[flight.packPlace] as number);
    return noiseOf(flight, boxes.of(flight), own, times[i] as readonly number[]);
  });
}

function linearAt(
  flights: readonly FittedFlight[],
  z: readonly number[],
  times: readonly (readonly number[])[],
  noises: readonly FlightNoise[],
  weights: readonly number[],
): LinearFlight[] {
  const slopes = slopesAt(flights, z, times);
  return flights.map((flight, i) => {
    const residuals = missed(flight, times[i] as readonly number[]);
    const noise = noises[i] as FlightNoise;
    const flightStatistics = flightStatisticsOf(slopes[i] as number[][], residuals, noise);
    const information = informationAt(flightStatistics, weights[i] as number);
    return { flight, residuals, slopes: slopes[i] as number[][], noise, flightStatistics, information };
  });
}

function missed({ marks }: ReadyFlight, computed: readonly number[]): number[] {
  return marks.map(({ timeS }, i) => Math.log(timeS) - (computed[i] as number));
}

/** ln(time) of each mark of each flight; refused where one of them cannot be flown. */
export function logTimesOf(
  flights: readonly FittedFlight[],
  z: readonly number[],
): Outcome<readonly (readonly number[])[]> {
  const world = aircraftWorld(z);
  const boxes = new Boxes(world);
  const all: (readonly number[])[] = [];
  for (const flight of flights) {
    const times = logTimes(flight, boxes.of(flight), flightWorld(world, z[flight.packPlace] as number));
    if (!times.ok) return times;
    all.push(times.value);
  }
  return success(all);
}

/** Forward differences. The health of a pack moves only its own flights, and is not in the box. */
function slopesAt(
  flights: readonly FittedFlight[],
  z: readonly number[],
  times: readonly (readonly number[])[],
): number[][][] {
  const slopes = times.map((marks) => marks.map(() => z.map(() => 0)));
  const note = (i: number, place: number, boxes: Boxes, packDeviations: number) => {
    const flight = flights[i] as FittedFlight;
    const there = logTimes(flight, boxes.of(flight), flightWorld(boxes.world, packDeviations));
    // Where the flight cannot be flown a little further on, its readings say nothing of that.
    if (!there.ok) return;
    there.value.forEach((time, k) => {
      (slopes[i]?.[k] as number[])[place] = (time - (times[i]?.[k] as number)) / difference;
    });
  };
  learnable.forEach((_, place) => {
    const boxes = new Boxes(aircraftWorld(z.map((value, i) => (i === place ? value + difference : value))));
    flights.forEach(({ packPlace }, i) => {
      note(i, place, boxes, z[packPlace] as number);
    });
  });
  const here = new Boxes(aircraftWorld(z));
  flights.forEach(({ packPlace }, i) => {
    note(i, packPlace, here, (z[packPlace] as number) + difference);
  });
  return slopes;
}
