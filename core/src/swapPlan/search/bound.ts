import type { Verdicts } from '../physics/verdicts';
import type { Problem, Take } from '../request/problem';
import { columnBound } from './columnBound';
import { binsToHold, type Shares, sharesOf, sizesOf } from './shares';

export interface Bound {
  readonly takeoffs: number;
  readonly by: 'columns' | 'packing';
}

/**
 * Flights that a set of takes needs at least, whatever their order and times: by what they weigh, and where that is fewer than
 * were found by all sets of takes that a flight could hold.
 */
export function boundOf(problem: Problem, verdicts: Verdicts, takes: readonly Take[], found: number): Bound {
  const groups = groupsOf(problem, takes).map((group) => sharesOf(problem, verdicts, group, found));
  const sum = (of: (shares: Shares) => number) => groups.reduce((total, one) => total + of(one), 0);
  const packing = sum(packingBound);
  if (packing >= found) return { takeoffs: found, by: 'packing' };
  const { weathers, kept } = problem;
  if (weathers.length > 1) return { takeoffs: packing, by: 'packing' };
  const columns = sum((shares) => {
    const weighed = packingBound(shares);
    return Math.max(weighed, columnBound(shares, kept, found - packing + weighed));
  });
  return columns > packing
    ? { takeoffs: Math.min(found, columns), by: 'columns' }
    : { takeoffs: packing, by: 'packing' };
}

/** The same by what they weigh alone. */
export function packingBoundOf(
  problem: Problem,
  verdicts: Verdicts,
  takes: readonly Take[],
  found: number,
): number {
  return groupsOf(problem, takes).reduce(
    (total, group) => total + packingBound(sharesOf(problem, verdicts, group, found)),
    0,
  );
}

/** Takes that may share a flight. */
function groupsOf({ aircraft }: Problem, takes: readonly Take[]): Take[][] {
  const isAny = aircraft.length > 1 && takes.some(({ aircraftIndex }) => aircraftIndex === null);
  const groups = new Map<string, Take[]>();
  for (const take of takes) {
    const name = `${take.placeIndex} ${isAny ? '' : take.aircraftIndex}`;
    groups.set(name, [...(groups.get(name) ?? []), take]);
  }
  return [...groups.values()];
}

/**
 * A flight holds takes with the shortest way to each, and the shortest way home. So as many packs as hold all of that are
 * needed, the largest first; and as many as bins for things of these sizes (the second bound of Martello & Toth, Discrete
 * Applied Mathematics 1990).
 */
export function packingBound(shares: Shares): number {
  const { sizes, rooms } = sizesOf(shares);
  const largest = rooms[0] ?? 0;
  if (largest <= 0) return 1;
  const inBins = binsFor(sizes.map((size) => Math.min(1, size / largest)));
  return Math.max(1, inBins, binsToHold(rooms, sum(sizes)));
}

/** Bins of size 1 that things of these sizes need at least. */
export function binsFor(sizes: readonly number[]): number {
  const limits = [0, ...sizes.filter((size) => size <= 0.5)];
  return limits.reduce((most, limit) => Math.max(most, binsBeyond(sizes, limit)), 0);
}

function binsBeyond(sizes: readonly number[], limit: number): number {
  const alone = sizes.filter((size) => size > 1 - limit);
  const large = sizes.filter((size) => size > 0.5 && size <= 1 - limit);
  const small = sizes.filter((size) => size <= 0.5 && size >= limit);
  const over = sum(small) - (large.length - sum(large));
  return alone.length + large.length + Math.max(0, Math.ceil(over - 1e-9));
}

function sum(list: readonly number[]): number {
  return list.reduce((total, one) => total + one, 0);
}
