import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { inSi, type Sentence, sentence } from '../units/sentence';
import type { FlightResult } from './fit';
import { covarianceOf } from './flightNoise';
import { type Posterior, predictedTimes } from './posterior';
import type { LinearFlight } from './search';

/** Beyond so many deviations a flight is one to look at. */
const flagBeyond = 2.5;

export const flagCodes = ['times-shifted', 'one-reading', 'power-unlike', 'unlike-the-others'] as const;
export type FlagCode = (typeof flagCodes)[number];

/** Why a flight is one to look at, and what to check: as a sentence for the reader's units, and in SI. */
export interface Flag extends Finding<FlagCode> {
  /** How many deviations it lies from what the others foretell; above zero where it lasted longer. */
  readonly deviations: number;
}

/** An explanation must fit so much better than the next one, in χ², to be named alone. */
const clearlyBetter = 4;

/**
 * A flight that the others foretell by more than 2.5 deviations wrong; null for one like them. What may be wrong with it is
 * sought in the shape of its misses: all times shifted (clock, or the charge at lift-off), one reading, or more or less power all
 * along (mode, wind, what hung on it). Where no shape stands out, all of it is to be checked.
 */
export function flagOf(linear: LinearFlight, mode: readonly number[], unseen: Posterior): Flag | null {
  const { missLn, spreadLn } = predictedTimes(linear, mode, unseen);
  const deviations = missLn / spreadLn;
  const readings = worstReading(linear, mode, unseen);
  if (Math.abs(deviations) < flagBeyond && !(readings && readings.gain > flagBeyond ** 2 + clearlyBetter))
    return null;
  const lasted = Math.exp(missLn) - 1;
  return { ...reasonFor(lasted, shapesOf(linear, mode, unseen)), deviations };
}

/** What is told with a fit: kept and sent as it is, so with its words too. */
export type Finding<Code extends string = string> = Sentence<Code> & { readonly message: string };

interface Shape {
  readonly code: 'times-shifted' | 'one-reading' | 'power-unlike';
  /** By how much of this shape the misses are explained, in its own measure. */
  readonly size: number;
  /** By how much χ² falls. */
  readonly gain: number;
  readonly charge: number;
}

function shapesOf(linear: LinearFlight, mode: readonly number[], unseen: Posterior): Shape[] {
  const { marks } = linear.flight;
  const at = explainer(linear, mode, unseen);
  const shapes: Shape[] = [
    { code: 'times-shifted', charge: 0, ...at(marks.map(({ timeS }) => 1 / timeS)) },
    { code: 'power-unlike', charge: 0, ...at(marks.map(() => 1)) },
  ];
  if (marks.length > 2) {
    marks.forEach(({ charge }, i) => {
      if (charge !== null) {
        shapes.push({ code: 'one-reading', charge, ...at(marks.map((_, k) => (k === i ? 1 : 0))) });
      }
    });
  }
  return shapes.sort((a, b) => b.gain - a.gain);
}

function worstReading(linear: LinearFlight, mode: readonly number[], unseen: Posterior): Shape | null {
  const [best, next] = shapesOf(linear, mode, unseen);
  const isAlone = best && next && best.code === 'one-reading' && best.gain > next.gain + clearlyBetter;
  return isAlone ? best : null;
}

function explainer({ residuals, slopes, noise }: LinearFlight, mode: readonly number[], unseen: Posterior) {
  const s = new Matrix(slopes as number[][]);
  const moved = Matrix.columnVector(unseen.mean.map((value, i) => value - (mode[i] as number)));
  const off = Matrix.sub(Matrix.columnVector(residuals as number[]), s.mmul(moved));
  const half = s.mmul(new CholeskyDecomposition(unseen.covariance).lowerTriangularMatrix);
  const inverse = new CholeskyDecomposition(
    // The effects of the flight itself are what is sought here, so only what else there is counts as chance.
    covarianceOf({ effects: noise.effects.map(() => []), rest: noise.rest }).add(half.mmul(half.transpose())),
  );
  const weighed = inverse.solve(off).to1DArray();
  return (shape: readonly number[]) => {
    const column = Matrix.columnVector(shape as number[]);
    const own = column.transpose().mmul(inverse.solve(column)).get(0, 0);
    const pull = shape.reduce((sum, value, i) => sum + value * (weighed[i] as number), 0);
    return { size: pull / own, gain: pull ** 2 / own };
  };
}

function reasonFor(lasted: number, [best, next]: readonly Shape[]): Finding<FlagCode> {
  const values = { offFraction: Math.abs(lasted), than: lasted > 0 ? 'longer' : 'shorter' };
  const isClear = best && (!next || best.gain > next.gain + clearlyBetter);
  if (isClear) return inSi(named(best, values));
  return inSi(
    sentence(
      'unlike-the-others',
      'It lasted {offFraction} {than} than the other flights predict. Check its clock, the charge at lift-off, the wind, and the mode it was flown in.',
      values,
    ),
  );
}

function named(
  { code, size, charge }: Shape,
  values: { readonly offFraction: number; readonly than: string },
): Sentence<FlagCode> {
  if (code === 'times-shifted') {
    return sentence(
      code,
      'Its readings all come {shiftS} {when} than the other flights predict. Check its clock, and the charge at lift-off.',
      { shiftS: Math.abs(size), when: size > 0 ? 'later' : 'earlier' },
    );
  }
  if (code === 'one-reading') {
    return sentence(
      code,
      'Its reading at {readCharge} does not go with the others of this flight. Check its time.',
      { readCharge: charge },
    );
  }
  return sentence(
    code,
    'It lasted {offFraction} {than} than the other flights predict, evenly all along. Check the mode it was flown in, the wind, and the accessories.',
    values,
  );
}

/** With fewer, little can be said of the accuracy. */
const fewFlights = 3;

/** What is to be said of the flights as a whole, in words. */
export function findingsOf(flights: readonly FlightResult[], settled: boolean): Finding[] {
  const counted = flights.filter(({ counts }) => counts);
  const foretold = counted.flatMap(({ leftOut }) => (leftOut ? [leftOut] : []));
  const outside = foretold.filter(({ insideBand }) => !insideBand).length;
  const flagged = counted.filter((one) => one.flagged !== null).length;
  const aside = flights.filter((one) => one.aside === 'cannot-be-flown').length;
  const misread = flights.filter((one) => one.aside === 'cannot-be-read').length;
  const contradict = foretold.length >= fewFlights && (outside > foretold.length / 2 || flagged > 1);
  const found = [
    counted.length === 1 &&
      sentence(
        'one-flight',
        'One flight shows how this aircraft’s consumption compares with its spec sheet. How certain that is shows once there is a second one.',
      ),
    counted.length > 1 &&
      counted.length < fewFlights &&
      sentence('few-flights', '{flightsCount} flights: too few yet to say how well others are predicted.', {
        flightsCount: counted.length,
      }),
    contradict &&
      sentence(
        'flights-contradict',
        'These flights contradict each other: {outsideCount} of {foretoldCount} lie outside what the others predict. The band stays wide because of it; check the marked one first.',
        { outsideCount: outside, foretoldCount: foretold.length },
      ),
    !settled &&
      sentence(
        'not-settled',
        'The fit did not converge on these flights: use its results with care, and check the marked one.',
      ),
    aside > 0 &&
      sentence(
        'flights-aside',
        'Set aside: {asideCount} that this aircraft could not have flown so. Check their mode, wind and pack.',
        { asideCount: aside },
      ),
    misread > 0 &&
      sentence(
        'flights-misread',
        'Set aside: {asideCount} with a reading that cannot be, far too early or too late for its charge. Check its times.',
        { asideCount: misread },
      ),
  ];
  return found.filter((one) => one !== false).map(inSi);
}
