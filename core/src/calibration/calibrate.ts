import type { Aircraft } from '../aircraft/aircraft';
import type { UnknownName } from '../belief/belief';
import { type Outcome, refuse, success } from '../units/outcome';
import { defaultNoise, type NoiseLaw } from './flightNoise';
import { type Posterior, posteriorOf } from './posterior';
import { type CalibrationFlight, readyFlight } from './predicted';
import {
  about,
  type FitProgress,
  type FittedFlight,
  type LinearFlight,
  logTimesOf,
  type PosteriorMode,
  search,
} from './search';
import { learnable, type PackAsKept, unknownsOf } from './unknowns';

/** Flights of one aircraft, and the batteries that flew them. */
export interface CalibrationRequest {
  readonly aircraft: Aircraft;
  readonly batteries: readonly PackAsKept[];
  readonly flights: readonly CalibrationFlight[];
}

/** Why the model cannot say anything of a flight. */
export const rejectionReasons = ['no-reading', 'cannot-be-flown', 'cannot-be-read'] as const;
export type RejectionReason = (typeof rejectionReasons)[number];

/** A flight as the fit has it and as the box alone has it. */
export interface KnownFlight {
  readonly id: string;
  readonly counts: boolean;
  readonly linear: LinearFlight;
  readonly fromTheBox: LinearFlight;
}

export interface Calibrated {
  readonly names: readonly UnknownName[];
  readonly found: PosteriorMode;
  readonly posterior: Posterior;
  readonly flights: readonly KnownFlight[];
  readonly aside: readonly { readonly id: string; readonly why: RejectionReason }[];
}

/**
 * What the flights of an aircraft teach: the likeliest deviations of its unknowns from their priors, and how sure they are.
 * Flights that the pilot excluded teach nothing, but are foretold like the others; those without a reading, with one that cannot
 * be, or that the model cannot fly at all, are set aside and told. Pure; the same flights give the same answer. Refused where no flight is left.
 */
export function calibrated(
  { aircraft, batteries, flights }: CalibrationRequest,
  noiseOf: NoiseLaw = defaultNoise,
  progress?: FitProgress,
): Outcome<Calibrated> {
  const flownIds = batteries.map(({ id }) => id).filter((id) => flights.some((one) => one.batteryId === id));
  const names = unknownsOf(flownIds);
  const fromTheBox = names.map(() => 0);
  const packs = new Map(batteries.map((pack) => [pack.id, pack]));
  const aside: { id: string; why: RejectionReason }[] = [];
  const usable = flights.flatMap((flight) => {
    const pack = packs.get(flight.batteryId);
    if (!pack) throw new RangeError(`No battery ${flight.batteryId} among those of the request.`);
    const packPlace = learnable.length + flownIds.indexOf(pack.id);
    const ready = { ...readyFlight(flight, aircraft, pack), packPlace };
    const why = whyAside(ready, fromTheBox);
    if (why) aside.push({ id: flight.id, why });
    return why ? [] : [{ ready, counts: flight.excludedReason == null }];
  });
  const counted = usable.filter(({ counts }) => counts).map(({ ready }) => ready);
  if (counted.length === 0) {
    return nothingToLearn(aside.map(({ why }) => why));
  }
  const found = search(counted, names.length, noiseOf, progress);
  if (!found.ok) return found;
  const { mode } = found.value;
  const known = counted.map(({ id }, i) => ({
    id,
    counts: true,
    linear: found.value.flights[i] as LinearFlight,
    fromTheBox: found.value.fromTheBox[i] as LinearFlight,
  }));
  const excluded = usable.flatMap(({ ready, counts }): KnownFlight[] => {
    if (counts) return [];
    const [before, after] = [about([ready], fromTheBox, noiseOf), about([ready], mode, noiseOf)];
    const [box, fit] = [before.ok ? before.value.flights[0] : null, after.ok ? after.value.flights[0] : null];
    return box && fit ? [{ id: ready.id, counts, linear: fit, fromTheBox: box }] : [];
  });
  return success({
    names,
    found: found.value,
    posterior: posteriorOf(mode, found.value.flights),
    flights: [...known, ...excluded],
    aside,
  });
}

/** No aircraft spends its charge so many times faster or slower than its box: such a reading is a slip (assumed). */
const maxOffFactor = 5;

function whyAside(ready: FittedFlight, fromTheBox: readonly number[]): RejectionReason | null {
  if (ready.marks.length === 0) return 'no-reading';
  const times = logTimesOf([ready], fromTheBox);
  if (!times.ok) return 'cannot-be-flown';
  const isOff = ready.marks.some(
    ({ timeS }, i) =>
      !(Math.abs(Math.log(timeS) - (times.value[0]?.[i] as number)) <= Math.log(maxOffFactor)),
  );
  return isOff ? 'cannot-be-read' : null;
}

/** The true reason why no flight is left to learn from. */
function nothingToLearn(why: readonly RejectionReason[]) {
  if (why.includes('cannot-be-read'))
    return refuse(
      'nothing-to-learn',
      'Every flight that counts has a reading that cannot be: check its times and charges.',
    );
  if (why.includes('cannot-be-flown'))
    return refuse(
      'nothing-to-learn',
      'The model cannot fly any of the flights that count: check their weather, mode and battery.',
    );
  return refuse(
    'nothing-to-learn',
    'No flight counts that has a reading after lift-off: there is nothing to learn from yet.',
  );
}
