import { CholeskyDecomposition, Matrix } from 'ml-matrix';
import { bendPriors, roundingCharge } from '../battery/gauge';
import { type World, worldMoved } from '../belief/belief';
import type { SolvedBox } from '../flight/box';
import type { Outcome } from '../units/outcome';
import { logTimes, type ReadyFlight, type StartOff } from './predicted';
import { ofOneFlight } from './unknowns';

/** How well the start is known that was noted of a flight, one deviation; a pack of which nobody noted it may be from a pocket (assumed). */
const startSpread = { temperatureK: 2, unnotedTemperatureK: 8, charge: roundingCharge } as const;
/** How a gauge is bent against the cell, as a share of time, and over how much of the gauge a bend reaches (assumed). */
const gaugeBend = { fraction: bendPriors.gaugeBendRatio.spread, reachCharge: 0.3 } as const;
/** The moment at which motors stop, as a share of time (assumed). */
const motorsOutFraction = 0.015;

/** How far the marks of one flight may lie from the model together, in ln(time). */
export interface FlightNoise {
  /** What one deviation of each of the flight's own effects does to each mark; by mark, then by effect. */
  readonly effects: readonly (readonly number[])[];
  /** The covariance of what else there is: rounding, and the bend of the gauge. */
  readonly rest: readonly (readonly number[])[];
}

/** What is supposed of the errors of a flight, at the world the search has come to; an argument, so that a wrong one can be tried. */
export type NoiseLaw = (
  ready: ReadyFlight,
  box: Outcome<SolvedBox>,
  world: World,
  middle: readonly number[],
) => FlightNoise;

/**
 * Each flight has its own luck, wind, speed and start: they move all its marks together, so that twenty marks of one
 * flight never count as twenty flights. Beside them rounding, mark by mark, and a bend of the gauge that near marks share:
 * 1.5 %² · exp(−|Δg|/0.3).
 */
export const defaultNoise: NoiseLaw = (ready, box, world, middle) => {
  const moved = (to: World, off: StartOff = {}, flight = ready) => {
    const times = logTimes(flight, box, to, off);
    return middle.map((before, i) => (times.ok ? (times.value[i] as number) - before : 0));
  };
  const step = 0.5;
  const own = ofOneFlight.map((name) => {
    const there = worldMoved(world, { [name]: (world.deviations[name] ?? 0) + step });
    return moved(there).map((by) => by / step);
  });
  const started = [
    moved(world, {
      temperatureK: ready.isStartNoted ? startSpread.temperatureK : startSpread.unnotedTemperatureK,
    }),
    // Downwards, since no pack starts above full.
    moved(world, { charge: -startSpread.charge }),
  ];
  const columns = [...own, ...started].filter((column) => column.some((by) => Math.abs(by) > 1e-9));
  const shown = ready.marks.map(({ timeS, charge }) => ({
    timeS,
    charge: charge === null ? null : charge - roundingCharge,
  }));
  const rounded = moved(world, {}, { ...ready, marks: shown });
  return {
    effects: middle.map((_, i) => columns.map((column) => column[i] as number)),
    rest: ready.marks.map(({ charge: a }, i) =>
      ready.marks.map(({ charge: b }, k) => {
        if (a === null || b === null) return i === k ? motorsOutFraction ** 2 : 0;
        const bent = gaugeBend.fraction ** 2 * Math.exp(-Math.abs(a - b) / gaugeBend.reachCharge);
        return i === k ? bent + (rounded[i] as number) ** 2 : bent;
      }),
    ),
  };
};

/** The covariance of a flight's marks where its own effect counts with a weight. */
export function covarianceOf({ effects, rest }: FlightNoise, weight = 1): Matrix {
  const covariance = new Matrix(rest as number[][]);
  if ((effects[0]?.length ?? 0) === 0) return covariance;
  const own = new Matrix(effects as number[][]);
  return covariance.add(own.mmul(own.transpose()).mul(1 / weight));
}

export type Whitener = (rows: Matrix) => Matrix;

/** What makes rows independent and of one deviation each, L⁻¹·rows where the covariance is L·Lᵀ. */
export function whitener(covariance: Matrix): Whitener {
  const lower = new CholeskyDecomposition(covariance).lowerTriangularMatrix.to2DArray();
  return (rows) => {
    const out = rows.to2DArray();
    out.forEach((row, i) => {
      const l = lower[i] as number[];
      for (let k = 0; k < i; k++) {
        const [by, above] = [l[k] as number, out[k] as number[]];
        for (let column = 0; column < row.length; column++) {
          row[column] = (row[column] as number) - by * (above[column] as number);
        }
      }
      for (let column = 0; column < row.length; column++)
        row[column] = (row[column] as number) / (l[i] as number);
    });
    return new Matrix(out);
  };
}
