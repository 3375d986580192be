import { healthOfPack, type UnknownName } from '../belief/belief';
import { priors } from '../belief/priors';
import { luckPriors } from '../flight/luck';
import { eightInTenDeviations } from '../statistics/normalQuantile';
import { median } from '../statistics/quantile';
import { type Assumed, drawn } from '../units/assumed';
import { type Outcome, success } from '../units/outcome';
import { type Calibrated, type CalibrationRequest, calibrated, type RejectionReason } from './calibrate';
import { checkedKnowledge } from './checkedKnowledge';
import { type Finding, type Flag, findingsOf, flagOf } from './flags';
import { defaultNoise, type NoiseLaw } from './flightNoise';
import type { FitPosterior } from './knowledge';
import { modelVersion } from './modelVersion';
import { type NextTest, nextTests, type PlannedFlight } from './nextTests';
import {
  learnedFrom,
  type Posterior,
  posteriorOf,
  predictedTimes,
  sumsOf,
  varianceAlong,
  without,
} from './posterior';
import type { FitProgress, LinearFlight } from './search';
import { type Learnable, learnable, lnHealth, type PackAsKept } from './unknowns';

/**
 * A constant of the aircraft as it is believed after the flights, beside what was believed before; spreads are one deviation, for
 * a ratio as at its prior value.
 */
export interface EstimatedParameter {
  readonly name: Learnable;
  readonly value: number;
  readonly spread: number;
  readonly priorValue: number;
  readonly priorSpread: number;
  /** 0–1: the share of its variance that the flights took away. */
  readonly learned: number;
}

/** A pack: its capacity as a fraction of its label, and against the mean of the other flown packs. */
export interface EstimatedPack {
  readonly id: string;
  readonly health: { readonly value: number; readonly spread: number };
  readonly priorHealth: { readonly value: number; readonly spread: number };
  readonly learned: number;
  /** As a fraction: −0.05 where it gives 5 % less than the others. Null where no other pack was flown. */
  readonly againstOthers: {
    readonly value: number;
    readonly spread: number;
    readonly priorValue: number;
    readonly priorSpread: number;
  } | null;
}

/** A flight as it was foretold, to its last reading; eight of ten should lie between p10S and p90S. */
export interface PredictedFlight {
  readonly estimatedS: number;
  readonly p10S: number;
  readonly p90S: number;
  /** Estimated over flown, minus one. */
  readonly missFraction: number;
  readonly insideBand: boolean;
}

/** What came of one flight. */
export interface FlightResult {
  readonly id: string;
  readonly flownS: number;
  /** Whether it taught; one that the pilot excluded did not. */
  readonly counts: boolean;
  /** Why the model says nothing of it. */
  readonly aside: RejectionReason | null;
  /** From the box alone. */
  readonly before: PredictedFlight | null;
  /** By the fit that knows it. */
  readonly after: { readonly estimatedS: number; readonly missFraction: number } | null;
  /** By a fit of all the others. */
  readonly leftOut: PredictedFlight | null;
  readonly flagged: Flag | null;
}

/** How well flights are foretold that the fit does not know. */
export interface LeaveOneOut {
  readonly flights: number;
  readonly medianMissFraction: number;
  /** The median of the misses in seconds. */
  readonly medianMissS: number;
  readonly insideBandFraction: number;
  /** The same flights from the box alone. */
  readonly fromTheBox: { readonly medianMissFraction: number; readonly medianMissS: number };
}

/** What flights taught, as plain data: to be kept, sent, and made a belief of. */
export interface Fit {
  /** Given to it where it is kept. */
  readonly id?: string | null;
  readonly modelVersion: string;
  readonly parameters: readonly EstimatedParameter[];
  readonly batteries: readonly EstimatedPack[];
  /** How far flights of one aircraft, pack and style differ in power; no test takes it away. */
  readonly between: { readonly flightSpread: number };
  readonly posterior: FitPosterior;
  /** How many flights taught. */
  readonly flown: number;
  readonly flights: readonly FlightResult[];
  /** Null with fewer than two flights that count. */
  readonly leaveOneOut: LeaveOneOut | null;
  readonly nextTests: readonly NextTest[];
  /** What is to be said of the flights as a whole. */
  readonly findings: readonly Finding[];
}

export interface FitRequest extends CalibrationRequest {
  /** The flight for which the next test is sought; where absent, the last flight that counts, flown again to 25 %. */
  readonly planned?: PlannedFlight | null;
  /** Packs that the next test may be flown with; all where absent. */
  readonly testableIds?: readonly string[] | null;
}

/**
 * Fits an aircraft and its packs to their flights, and says what came of it: what was learnt of what, how well each flight
 * is foretold by the others, which one to look at, and which test would narrow the planned flight most. Pure and deterministic.
 */
export function fitOf(
  request: FitRequest,
  progress?: FitProgress,
  noiseOf: NoiseLaw = defaultNoise,
): Outcome<Fit> {
  const outcome = calibrated(request, noiseOf, progress);
  if (!outcome.ok) return outcome;
  const { names, found, posterior } = outcome.value;
  const flights = taughtFlights(request, outcome.value);
  progress?.(0.95);
  const fit: Fit = {
    modelVersion,
    parameters: learnable.map((name, i) => learntParameter(name, i, posterior)),
    batteries: request.batteries.map((pack) => learntPack(pack, request.batteries, names, posterior)),
    between: { flightSpread: luckPriors.flightPowerRatio.spread },
    posterior: keptPosterior(names, posterior),
    flown: flights.filter(({ counts }) => counts).length,
    flights,
    leaveOneOut: leaveOneOut(flights),
    nextTests: nextTests(request, names, posterior),
    findings: findingsOf(flights, found.settled),
  };
  // What would be refused where it is used is not given out as good.
  const checked = checkedKnowledge(fit);
  return checked.ok ? success(fit) : checked;
}

/** The posterior as it is kept: short numbers, and the lower triangle that draws are made by. */
function keptPosterior(names: readonly UnknownName[], { mean, covariance }: Posterior): FitPosterior {
  const short = covariance.to2DArray().map((row) => row.map(shortened));
  const learned = learnedFrom(names, mean.map(shortened), short);
  if (!learned) throw new RangeError('The covariance of a posterior must be positive.');
  return { ...learned, factor: learned.factor.map((row) => row.map(shortened)), covariance: short };
}

/** Six digits: more mean nothing, and fits are kept and sent. */
function shortened(value: number): number {
  return Number(value.toPrecision(6));
}

function learntParameter(
  name: Learnable,
  place: number,
  { mean, covariance }: Posterior,
): EstimatedParameter {
  const prior: Assumed = priors[name];
  const deviation = Math.sqrt(covariance.get(place, place));
  const priorSpread = prior.kind === 'relative' ? prior.value * prior.spread : prior.spread;
  return {
    name,
    value: drawn(prior, mean[place] as number),
    spread: priorSpread * deviation,
    priorValue: prior.value,
    priorSpread,
    learned: Math.max(0, 1 - deviation ** 2),
  };
}

function learntPack(
  pack: PackAsKept,
  packs: readonly PackAsKept[],
  names: readonly UnknownName[],
  { mean, covariance }: Posterior,
): EstimatedPack {
  const placeOf = ({ id }: PackAsKept) => names.indexOf(healthOfPack(id));
  const { middle, spread } = lnHealth(pack);
  const place = placeOf(pack);
  const [z, deviation] =
    place < 0 ? [0, 1] : [mean[place] as number, Math.sqrt(covariance.get(place, place))];
  const value = Math.exp(middle + spread * z);
  return {
    id: pack.id,
    health: { value, spread: value * spread * deviation },
    priorHealth: { value: Math.exp(middle), spread: Math.exp(middle) * spread },
    learned: Math.max(0, 1 - deviation ** 2),
    againstOthers: place < 0 ? null : againstOthers(),
  };

  function againstOthers(): EstimatedPack['againstOthers'] {
    const others = packs.filter((one) => one !== pack && placeOf(one) >= 0);
    if (others.length === 0) return null;
    const slope = names.map(() => 0);
    slope[place] = spread;
    let [ln, priorLn, priorVariance] = [middle + spread * z, middle, spread ** 2];
    for (const other of others) {
      const theirs = lnHealth(other);
      const at = placeOf(other);
      slope[at] = -theirs.spread / others.length;
      ln -= (theirs.middle + theirs.spread * (mean[at] as number)) / others.length;
      priorLn -= theirs.middle / others.length;
      priorVariance += (theirs.spread / others.length) ** 2;
    }
    return {
      value: Math.exp(ln) - 1,
      spread: Math.exp(ln) * Math.sqrt(varianceAlong(slope, covariance)),
      priorValue: Math.exp(priorLn) - 1,
      priorSpread: Math.exp(priorLn) * Math.sqrt(priorVariance),
    };
  }
}

function taughtFlights(
  { flights }: FitRequest,
  { found, flights: known, aside }: Calibrated,
): FlightResult[] {
  const { mode } = found;
  const prior = posteriorOf(
    mode.map(() => 0),
    [],
  );
  const all = sumsOf(mode, found.flights);
  return flights.map(({ id, end }) => {
    const why = aside.find((one) => one.id === id)?.why ?? null;
    const flight = known.find((one) => one.id === id);
    if (!flight) {
      const nothing = { before: null, after: null, leftOut: null, flagged: null };
      return { id, flownS: end.timeS, counts: false, aside: why, ...nothing };
    }
    const { linear, counts } = flight;
    const last = linear.residuals.length - 1;
    const flownS = linear.flight.marks[last]?.timeS as number;
    const hasOthers = found.flights.length > (counts ? 1 : 0);
    const unseen = hasOthers ? without(linear, mode, found.flights, all) : null;
    const missFraction = Math.exp(-(linear.residuals[last] as number)) - 1;
    return {
      id,
      flownS,
      counts,
      aside: why,
      before: told(flight.fromTheBox, prior.mean, prior, flownS),
      after: { estimatedS: flownS * (1 + missFraction), missFraction },
      leftOut: unseen && told(linear, mode, unseen, flownS),
      flagged: unseen && flagOf(linear, mode, unseen),
    };
  });
}

function told(
  linear: LinearFlight,
  mode: readonly number[],
  posterior: Posterior,
  flownS: number,
): PredictedFlight {
  const { missLn, spreadLn } = predictedTimes(linear, mode, posterior);
  const estimatedS = flownS * Math.exp(-missLn);
  return {
    estimatedS,
    p10S: estimatedS * Math.exp(-eightInTenDeviations * spreadLn),
    p90S: estimatedS * Math.exp(eightInTenDeviations * spreadLn),
    missFraction: estimatedS / flownS - 1,
    insideBand: Math.abs(missLn) <= eightInTenDeviations * spreadLn,
  };
}

function leaveOneOut(flights: readonly FlightResult[]): LeaveOneOut | null {
  const told = flights.flatMap(({ counts, leftOut, before, flownS }) =>
    counts && leftOut && before ? [{ leftOut, before, flownS }] : [],
  );
  if (told.length < 2) return null;
  const medianOf = (which: 'leftOut' | 'before') => ({
    medianMissFraction: median(told.map((one) => Math.abs(one[which].missFraction))),
    medianMissS: median(told.map((one) => Math.abs(one[which].missFraction) * one.flownS)),
  });
  return {
    flights: told.length,
    ...medianOf('leftOut'),
    insideBandFraction: told.filter(({ leftOut }) => leftOut.insideBand).length / told.length,
    fromTheBox: medianOf('before'),
  };
}
