import type { Pack, Problem, Take } from './problem';
import type { Draft, Schedule, TimedFlight } from './schedule';
import type { Verdicts } from './verdicts';

/**
 * What makes one plan better than another, the weightiest first, less being better: musts left out, nices left out, take-offs,
 * shots whose takes are torn apart, the minute of the end, how often a pack is plugged in, how late the takes are in all, how
 * little is left over in the tightest flight, moves to another launch place, cycles of the packs flown. The only objective there is: every
 * way of searching is held to it.
 */
export type Rank = readonly number[];

/** Takes are earlier by quarters of an hour in all; less is no reason to charge or to fly nearer to the reserve. */
const earlyStepS = 900;
/** Time that is left over is told in such steps, and more than this is as good. */
const spareStepS = 15;
const enoughSpareS = 180;

export function rankOf(verdicts: Verdicts, draft: Draft, { endS, flights }: Schedule): Rank {
  const { problem } = verdicts;
  const placed = new Set(draft.flatMap(({ takes }) => takes.map(({ index }) => index)));
  const left = problem.takes.filter(({ index }) => !placed.has(index) && !problem.flownTakes.has(index));
  const tightestS = flights.reduce(
    (least, flight) => Math.min(least, spareS(verdicts, flight), marginS(flight)),
    enoughSpareS,
  );
  return [
    left.filter(({ must }) => must).length,
    left.filter(({ must }) => !must).length,
    draft.length,
    tornApart(draft),
    Math.ceil(endS / 60),
    flights.reduce((sum, { charging }) => sum + charging.length, 0),
    Math.floor(flights.reduce((sum, flight) => sum + endsS(flight), 0) / earlyStepS),
    -Math.floor(tightestS / spareStepS),
    movesOf(flights),
    draft.reduce((sum, { pack }) => sum + ((problem.packs[pack] as Pack).battery.cycles ?? 0), 0),
  ];
}

function spareS(verdicts: Verdicts, { pack, state, weather, takes }: TimedFlight): number {
  return verdicts.spareS(pack, state, weather, takes);
}

/** How long before its light or window is over a flight's takes are done; endless where they have none. */
function marginS({ takes, takeoffS, times }: TimedFlight): number {
  return takes.reduce((least, { windows }, i) => {
    const endS = takeoffS + (times.takes[i]?.endS ?? 0);
    const window = windows?.find(({ fromS, untilS }) => fromS <= endS && endS <= untilS + 1e-6);
    return window ? Math.min(least, window.untilS - endS) : least;
  }, Number.POSITIVE_INFINITY);
}

/** When its takes end, summed. */
function endsS({ takes, takeoffS, times }: TimedFlight): number {
  return takes.reduce((sum, _, i) => sum + takeoffS + (times.takes[i]?.endS ?? 0), 0);
}

function movesOf(flights: readonly TimedFlight[]): number {
  const placeOf = (flight: TimedFlight | undefined) => flight?.takes[0]?.placeIndex;
  return flights.filter((flight, i) => i > 0 && placeOf(flight) !== placeOf(flights[i - 1])).length;
}

/** Flights more than needed to have each shot's takes together. */
export function tornApart(draft: Draft): number {
  const parts = draft.reduce((sum, { takes }) => sum + shotsOf(takes).size, 0);
  return parts - shotsOf(draft.flatMap(({ takes }) => takes)).size;
}

function shotsOf(takes: readonly Take[]): Set<number> {
  return new Set(takes.map(({ shotIndex }) => shotIndex));
}

export function isBetter(one: Rank, other: Rank | null): boolean {
  if (!other) return true;
  for (let i = 0; i < one.length; i++) {
    if (one[i] !== other[i]) return (one[i] as number) < (other[i] as number);
  }
  return false;
}

/** The same as one number, for a search that may go uphill: a take-off is 100, the rest as it compares. */
export function costOf({ takes }: Pick<Problem, 'takes'>, rank: Rank, endS: number, uneven: number): number {
  const [musts = 0, nices = 0, takeoffs = 0, torn = 0, , plugged = 0] = rank;
  const nice = 400;
  return (
    musts * nice * (takes.length + 1) +
    nices * nice +
    takeoffs * 100 +
    torn * 8 +
    endS / 300 +
    plugged -
    uneven
  );
}
