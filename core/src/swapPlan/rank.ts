import type { Pack, Problem, Take } from './problem';
import type { Draft, Schedule } from './schedule';
import type { Verdicts } from './verdicts';

/**
 * What makes one plan better than another, the weightiest first, less being better: musts left out, nices left out, take-offs,
 * shots whose takes are torn apart, the minute of the end, how little is left over in the tightest flight, cycles of the packs
 * flown.
 */
export type Rank = readonly number[];

const slackStep = 0.01;

export function rankOf(verdicts: Verdicts, draft: Draft, { endS, flights }: Schedule): Rank {
  const { problem } = verdicts;
  const placed = new Set(draft.flatMap(({ takes }) => takes.map(({ index }) => index)));
  const left = problem.takes.filter(({ index }) => !placed.has(index) && !problem.flownTakes.has(index));
  const slack = flights.reduce(
    (least, { pack, state, weather, takes }) =>
      Math.min(least, 1 - verdicts.filled(pack, state, weather, takes)),
    1,
  );
  return [
    left.filter(({ must }) => must).length,
    left.filter(({ must }) => !must).length,
    draft.length,
    tornApart(draft),
    Math.ceil(endS / 60),
    -Math.round(slack / slackStep),
    draft.reduce((sum, { pack }) => sum + ((problem.packs[pack] as Pack).battery.cycles ?? 0), 0),
  ];
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
  const [musts = 0, nices = 0, takeoffs = 0, torn = 0] = rank;
  const nice = 400;
  return musts * nice * (takes.length + 1) + nices * nice + takeoffs * 100 + torn * 8 + endS / 300 - uneven;
}
