import { median } from '../statistics/quantile';
import { type Checkpoint, checkpointRanges, type TestPattern } from '../testFlights/testFlight';
import type { Quantity } from '../units/quantity';
import { patternGuess } from './patternGuess';
import type { LogSample, ReadLog } from './sample';

/** One flight of a log, with what the model needs of it. */
export interface LoggedFlight {
  /** s, of the log's own clock. */
  readonly startS: number;
  /** When it was, ISO 8601; null where the log has no dates. */
  readonly startedAt: string | null;
  readonly durationS: number;
  readonly startCharge: number;
  readonly endCharge: number;
  readonly checkpoints: readonly Checkpoint[];
  readonly startTemperatureC: number | null;
  readonly endTemperatureC: number | null;
  /** Median while it flew. */
  readonly heightM: number | null;
  readonly speedMps: number | null;
  /** How it seems to have been flown, from its track; null where that does not say. */
  readonly pattern: TestPattern | null;
  readonly samples: readonly LogSample[];
}

/** A silence so long begins another flight, unless the log has rows so seldom; so does a gauge that rises so far (assumed). */
const gapS = 120;
const gapSteps = 5;
const rise = 0.05;
/** Less is no flight that tells anything (assumed). */
const minS = 30;
const minSpent = 0.03;
/** What is lower and slower stands on the ground. */
const inAir = { heightM: 0.5, speedMps: 0.7 } as const;

/** The flights of a log, cut where the motors stop, where it was silent for long, or where a fresh pack came in. */
export function flightsIn({ samples, isDated }: ReadLog): LoggedFlight[] {
  return cut(samples).flatMap((piece) => {
    const flown = fromLiftOff(piece);
    const flight = flightOf(flown, isDated);
    return flight ? [flight] : [];
  });
}

function cut(samples: readonly LogSample[]): LogSample[][] {
  const steps = samples.slice(1).map(({ timeS }, i) => timeS - (samples[i] as LogSample).timeS);
  const longestS = Math.max(gapS, gapSteps * (medianOf(steps) ?? 0));
  const pieces: LogSample[][] = [];
  let piece: LogSample[] = [];
  let last: LogSample | null = null;
  let lastCharge: number | null = null;
  const end = () => {
    if (piece.length > 1) pieces.push(piece);
    piece = [];
    lastCharge = null;
  };
  for (const sample of samples) {
    const isFresh = sample.charge !== undefined && lastCharge !== null && sample.charge > lastCharge + rise;
    if (last && (sample.timeS - last.timeS > longestS || isFresh)) end();
    if (sample.motorsOn === false) {
      // The moment at which the motors stand is the end of the flight.
      if (piece.length > 0) piece.push(sample);
      end();
    } else {
      piece.push(sample);
    }
    if (sample.charge !== undefined) lastCharge = sample.charge;
    last = sample;
  }
  end();
  return pieces;
}

/** Where no motors are told, standing on the ground before and after is left out by height and speed. */
function fromLiftOff(piece: readonly LogSample[]): readonly LogSample[] {
  if (piece.some(({ motorsOn }) => motorsOn !== undefined)) return piece;
  const ground = piece.reduce((lowest, { heightM }) => Math.min(lowest, heightM ?? 0), 0);
  const flies = ({ heightM, speedMps }: LogSample) =>
    (heightM !== undefined && heightM - ground > inAir.heightM) ||
    (speedMps !== undefined && speedMps > inAir.speedMps);
  const first = piece.findIndex(flies);
  if (first < 0) return piece;
  const last = piece.length - 1 - [...piece].reverse().findIndex(flies);
  return piece.slice(Math.max(0, first - 1), Math.min(piece.length, last + 2));
}

function flightOf(samples: readonly LogSample[], isDated: boolean): LoggedFlight | null {
  const read = samples.filter((one): one is LogSample & { charge: number } => one.charge !== undefined);
  const [first, end] = [samples[0], samples[samples.length - 1]];
  const [start, last] = [read[0], read[read.length - 1]];
  if (!first || !end || !start || !last) return null;
  const durationS = end.timeS - first.timeS;
  if (durationS < minS || start.charge - last.charge < minSpent) return null;
  const temperatures = samples.flatMap(({ temperatureC }) => temperatureC ?? []);
  return {
    startS: first.timeS,
    startedAt: isDated ? new Date(first.timeS * 1000).toISOString() : null,
    durationS,
    startCharge: start.charge,
    endCharge: last.charge,
    checkpoints: gaugeSteps(read, first.timeS, durationS),
    startTemperatureC: temperatures[0] ?? null,
    endTemperatureC: temperatures[temperatures.length - 1] ?? null,
    heightM: medianOf(samples.flatMap(({ heightM }) => heightM ?? [])),
    speedMps: medianOf(samples.flatMap(({ speedMps }) => speedMps ?? [])),
    pattern: patternGuess(samples),
    samples,
  };
}

/**
 * The moments at which the gauge fell: a step from 72 to 71 % is passed at 71.5, so that is its charge. A gauge that is finer
 * than a per cent is taken at each whole one. Steps up are passed over.
 */
function gaugeSteps(
  read: readonly (LogSample & { readonly charge: number })[],
  startS: number,
  durationS: number,
): Checkpoint[] {
  const steps: Checkpoint[] = [];
  let lowest = read[0]?.charge ?? 0;
  for (const { charge, timeS, heightM, speedMps, ...told } of read) {
    const wholeBefore = Math.ceil(lowest * 100 - 1e-6);
    const whole = Math.ceil(charge * 100 - 1e-6);
    if (whole >= wholeBefore) continue;
    const isStep = Math.abs(charge * 100 - Math.round(charge * 100)) < 1e-6;
    const at = timeS - startS;
    if (at > 0 && at < durationS) {
      steps.push({
        timeS: at,
        charge: isStep ? (lowest + charge) / 2 : charge,
        cellVoltageV: heldTo(checkpointRanges.cellVoltageV, told.cellVoltageV),
        ...whereTold('lowestCellVoltageV', told.lowestCellVoltageV),
        ...whereTold('cellSpreadV', told.cellSpreadV),
        ...whereTold('leftS', told.leftS),
        heightM: heldTo(checkpointRanges.heightM, heightM),
        speedMps: heldTo(checkpointRanges.speedMps, speedMps),
      });
    }
    lowest = charge;
  }
  return steps;
}

/** What few logs tell: left out where this one does not. */
function whereTold(name: 'lowestCellVoltageV' | 'cellSpreadV' | 'leftS', value: number | undefined) {
  return value === undefined ? {} : { [name]: heldTo(checkpointRanges[name], value) };
}

/** What a log says beyond what can be is nothing it says. */
function heldTo({ min, max }: Quantity, value: number | undefined): number | null {
  return value !== undefined && value >= min && value <= max ? value : null;
}

function medianOf(values: readonly number[]): number | null {
  return values.length > 0 ? median(values) : null;
}
