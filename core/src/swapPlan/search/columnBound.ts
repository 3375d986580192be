import { binsToHold, type Shares, sizesOf } from './shares';

/** Sets of more takes are too many to look through. */
const maxTakes = 20;
const maxSteps = 100;
/** Steps without a better bound, after which they are halved from the best worths on. */
const patience = 10;

/**
 * Flights that takes need at least, by all sets of them that one flight could hold with the shortest way through: the linear
 * relaxation of choosing among them, each pack once, from below by its Lagrangian (Fisher, Management Science 1981; steps after
 * Polyak). Any worths of the takes give a bound: all they are worth together, less what the best set of a pack is worth above
 * one. Stops where that shows that what was found is the fewest. 0 for more than twenty takes.
 */
export function columnBound(shares: Shares, kept: boolean, found: number): number {
  const count = shares.takes.length;
  if (count > maxTakes || count === 0) return 0;
  const sets = possibleSets(shares, kept);
  let [best, worths] = [0, firstWorths(shares)];
  let bestWorths = worths;
  let [share, sinceBest] = [1, 0];
  for (let step = 0; step < maxSteps; step++) {
    const { value, slope } = bounded(sets, worths, found);
    if (value > best + 1e-4) [best, bestWorths, sinceBest] = [value, worths, 0];
    else if (++sinceBest % patience === 0) {
      share /= 2;
      worths = bestWorths;
      continue;
    }
    const steep = slope.reduce((sum, one) => sum + one * one, 0);
    if (best > found - 1 + 1e-6 || steep === 0) break;
    const length = (share * (found - value)) / steep;
    worths = worths.map((one, i) => Math.max(0, one + length * (slope[i] as number)));
  }
  return Math.ceil(best - 1e-6);
}

/** What takes are worth where only their sizes count: one for as much as the smallest pack holds that is needed. */
function firstWorths(shares: Shares): Float64Array {
  const { sizes, rooms } = sizesOf(shares);
  const needed = binsToHold(
    rooms,
    sizes.reduce((sum, one) => sum + one, 0),
  );
  const room = rooms[needed - 1] || 1;
  return Float64Array.from(sizes, (size) => size / room);
}

/** The bound that some worths give, and how it changes with each of them. */
function bounded(sets: PossibleSets, worths: Float64Array, packs: number) {
  const slope = new Float64Array(worths.length).fill(1);
  let value = worths.reduce((sum, one) => sum + one, 0);
  for (const { set, worth } of bestSets(sets, worths, packs)) {
    if (worth <= 1) continue;
    value -= worth - 1;
    for (let i = 0; i < worths.length; i++) if (set & (1 << i)) slope[i] = (slope[i] as number) - 1;
  }
  return { value, slope };
}

/** Sets of takes as bits, and how many of the packs could hold each. */
interface PossibleSets {
  readonly sets: Int32Array;
  readonly packs: Uint8Array;
}

/** The shortest way through each set by its last take (Held & Karp 1962), only on from what could be held. */
function possibleSets({ takes, work, out, home, between, bins }: Shares, kept: boolean): PossibleSets {
  const count = takes.length;
  const all = 1 << count;
  const shortest = new Float32Array(all * count).fill(Number.POSITIVE_INFINITY);
  const most = (bins[0] ?? 0) + 1e-6;
  const [sets, packs]: [number[], number[]] = [[], []];
  for (let i = 0; i < count; i++) shortest[(1 << i) * count + i] = (out[i] as number) + (work[i] as number);
  for (let set = 1; set < all; set++) {
    let whole = Number.POSITIVE_INFINITY;
    for (let last = 0; last < count; last++) {
      const so = shortest[set * count + last] as number;
      if (so + (home[last] as number) > most) continue;
      whole = Math.min(whole, so + (home[last] as number));
      for (let next = 0; next < count; next++) {
        if (set & (1 << next) || (kept && (takes[next]?.index as number) < (takes[last]?.index as number)))
          continue;
        const at = (set | (1 << next)) * count + next;
        const longer = so + (between[last]?.[next] as number) + (work[next] as number);
        if (longer < (shortest[at] as number)) shortest[at] = longer;
      }
    }
    if (whole > most) continue;
    sets.push(set);
    packs.push(bins.filter((bin) => whole <= bin + 1e-6).length);
  }
  return { sets: Int32Array.from(sets), packs: Uint8Array.from(packs) };
}

/** For each pack, the largest first, the set it could hold that is worth most. */
function bestSets({ sets, packs }: PossibleSets, worths: Float64Array, count: number) {
  const best = Array.from({ length: count }, () => ({ set: 0, worth: 0 }));
  for (let i = 0; i < sets.length; i++) {
    const set = sets[i] as number;
    let worth = 0;
    for (let rest = set; rest !== 0; rest &= rest - 1)
      worth += worths[31 - Math.clz32(rest & -rest)] as number;
    const smallest = best[Math.min(count, packs[i] as number) - 1];
    if (smallest && worth > smallest.worth) {
      smallest.set = set;
      smallest.worth = worth;
    }
  }
  // What a smaller pack holds, a larger one holds as well.
  for (let p = count - 2; p >= 0; p--) {
    const [larger, smaller] = [best[p], best[p + 1]];
    if (larger && smaller && smaller.worth > larger.worth) best[p] = smaller;
  }
  return best;
}
