import type { Aircraft } from '../aircraft/aircraft';
import type { UnknownName, World } from '../belief/belief';
import { type Outcome, refuse, success } from '../units/outcome';
import { type NoiseLaw, usualNoise } from './flightNoise';
import { type Posterior, posteriorOf } from './posterior';
import { Boxes, type CalibrationFlight, logTimes, type ReadyFlight, readyFlight } from './predicted';
import { type Found, type Progress, search } from './search';
import { learnable, type PackAsKept, unknownsOf, worldOf } from './unknowns';

/** Of one aircraft; some three seconds' work. */
export const mostFlightsOfFit = 200;
export const mostPacksOfFit = 40;

/** Flights of one aircraft, and the batteries that flew them. */
export interface CalibrationRequest {
  readonly aircraft: Aircraft;
  readonly batteries: readonly PackAsKept[];
  readonly flights: readonly CalibrationFlight[];
}

/** Why the model cannot say anything of a flight. */
export const leftAside = ['no-reading', 'cannot-be-flown'] as const;
export type LeftAside = (typeof leftAside)[number];

export interface Calibrated {
  readonly names: readonly UnknownName[];
  readonly found: Found;
  readonly posterior: Posterior;
  readonly aside: readonly { readonly id: string; readonly why: LeftAside }[];
}

/**
 * What the flights of an aircraft teach: the likeliest deviations of its unknowns from their priors, and how sure they are.
 * Flights that the pilot excluded teach nothing, but are foretold like the others; those without a reading, or that the model
 * cannot fly at all, are set aside and told. Pure; the same flights give the same answer. Refused where no flight is left.
 */
export function calibrated(
  { aircraft, batteries, flights }: CalibrationRequest,
  noiseOf: NoiseLaw = usualNoise,
  progress?: Progress,
): Outcome<Calibrated> {
  const packs = new Map(batteries.map((pack) => [pack.id, pack]));
  const aside: { id: string; why: LeftAside }[] = [];
  const middle = worldOf(
    learnable.map(() => 0),
    null,
  );
  const boxes = new Boxes(middle);
  const usable = flights.flatMap((flight) => {
    const pack = packs.get(flight.batteryId);
    if (!pack) throw new RangeError(`No battery ${flight.batteryId} among those of the request.`);
    const ready = readyFlight(flight, aircraft, pack);
    const why = whyAside(ready, boxes, middle);
    if (why) aside.push({ id: flight.id, why });
    return why ? [] : [{ ready, batteryId: flight.batteryId, counts: flight.excludedReason == null }];
  });
  const flownIds = batteries.map(({ id }) => id).filter((id) => usable.some((one) => one.batteryId === id));
  const names = unknownsOf(flownIds);
  const fitted = usable.map(({ ready, batteryId, counts }) => ({
    ...ready,
    counts,
    packPlace: learnable.length + flownIds.indexOf(batteryId),
  }));
  if (!fitted.some(({ counts }) => counts)) {
    return refuse(
      'nothing-to-learn',
      'No flight counts that has a reading after lift-off: there is nothing to learn from yet.',
    );
  }
  const found = search(fitted, names.length, noiseOf, progress);
  if (!found.ok) return found;
  const posterior = posteriorOf(found.value.mode, found.value.flights);
  return success({ names, found: found.value, posterior, aside });
}

function whyAside(ready: ReadyFlight, boxes: Boxes, middle: World): LeftAside | null {
  if (ready.marks.length === 0) return 'no-reading';
  return logTimes(ready, boxes.of(ready), middle).ok ? null : 'cannot-be-flown';
}
