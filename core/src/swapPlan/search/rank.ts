import type { Pack, Problem, Take } from '../request/problem';
import type { PlanDraft } from './draft';
import type { Schedule, TimedFlight } from './schedule';

/**
 * What makes one plan better than another, the weightiest first, less being better: musts left out, nices left out, take-offs,
 * shots whose takes are not one after the other, the minute of the end, how often a pack is plugged in, how late the takes are in all, how
 * little is left over in the tightest flight, moves to another launch place, cycles of the packs flown. The only objective there is: every
 * way of searching is held to it.
 */
export type Rank = readonly number[];

/** Takes are earlier by quarters of an hour in all; less is no reason to charge or to fly nearer to the reserve. */
const earlyStepS = 900;
/** Time that is left over counts in such steps, and more than this is as good. */
const spareStepS = 15;
const enoughSpareS = 180;

export function rankOf(
  { takes, flownTakes, packs }: Pick<Problem, 'takes' | 'flownTakes' | 'packs'>,
  draft: PlanDraft,
  { endS, flights }: Schedule,
): Rank {
  const placed = new Set(draft.flatMap((flight) => flight.takes.map(({ index }) => index)));
  const left = takes.filter(({ index }) => !placed.has(index) && !flownTakes.has(index));
  const tightestS = flights.reduce(
    (least, flight) => Math.min(least, flight.spareS(), marginS(flight)),
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
    draft.reduce((sum, { pack }) => sum + ((packs[pack] as Pack).battery.cycles ?? 0), 0),
  ];
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

/** How many times more than needed a shot is begun, so that its takes are not one after the other. */
function tornApart(draft: PlanDraft): number {
  const begun = draft.reduce((sum, { takes }) => sum + shotsBegun(takes), 0);
  const shots = new Set(draft.flatMap(({ takes }) => takes.map(({ shotIndex }) => shotIndex)));
  return begun - shots.size;
}

/** How often a flight begins a shot: once for takes of it that follow each other. */
export function shotsBegun(takes: readonly Take[]): number {
  return takes.filter(({ shotIndex }, i) => takes[i - 1]?.shotIndex !== shotIndex).length;
}

export function isBetter(one: Rank, other: Rank | null): boolean {
  if (!other) return true;
  for (let i = 0; i < one.length; i++) {
    if (one[i] !== other[i]) return (one[i] as number) < (other[i] as number);
  }
  return false;
}

/** More placed, or as much with fewer take-offs. */
export function placesMore(one: Rank, other: Rank): boolean {
  return isBetter(one.slice(0, 3), other.slice(0, 3));
}

/**
 * A rank as one number, for a search that may go uphill. A nice is worth four take-offs, since a flight more may be needed to place it; what
 * comes after take-offs is small against one, so that it leads among plans that are alike and never costs a flight.
 */
const costs = { nice: 400, takeoff: 100, torn: 8, minuteOfEnd: 0.2, plugged: 1, lateQuarter: 0.1 };

export function costOf({ takes }: Pick<Problem, 'takes'>, rank: Rank): number {
  const [musts = 0, nices = 0, takeoffs = 0, torn = 0, endMin = 0, plugged = 0, late = 0] = rank;
  return (
    (musts * (takes.length + 1) + nices) * costs.nice +
    takeoffs * costs.takeoff +
    torn * costs.torn +
    endMin * costs.minuteOfEnd +
    plugged * costs.plugged +
    late * costs.lateQuarter
  );
}
