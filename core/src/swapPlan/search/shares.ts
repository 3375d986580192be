import { mean } from '../../statistics/line';
import { atItsBest } from '../physics/fleet';
import type { Verdicts } from '../physics/verdicts';
import type { Pack, Problem, Take } from '../request/problem';

/** No flight that ends at the reserve weighs more in sums than the other way round (`equivalents.test`). */
const tableShare = 0.975;

/**
 * What flying some takes takes at least, as shares of what the strongest pack of a kind has, such that in any flight that is sure
 * the shares of all it does sum to what its pack holds at most. A sure flight fails in m draws at most; of the m + k hardest
 * ones it holds in k. Over these k the mean share of each stretch is no less than the mean of its k smallest, and what the pack
 * has no more than the mean of its k largest.
 */
export interface Shares {
  readonly takes: readonly Take[];
  readonly work: readonly number[];
  /** From launch to a take, and from a take to the ground. */
  readonly out: readonly number[];
  readonly home: readonly number[];
  /** From one take to another: from, to. Nothing where the weather changes. */
  readonly between: readonly (readonly number[])[];
  /** What packs hold, the largest first, each for one flight. */
  readonly bins: readonly number[];
}

/** Each take with the shortest way to it, and the room a pack has for such takes: without the shortest way home. */
export function sizesOf({ work, out, home, between, bins }: Shares) {
  const ways = out.map((one, to) =>
    Math.min(one, ...between.flatMap((from, i) => (i === to ? [] : [from[to] as number]))),
  );
  const aFlight = Math.min(...out.map((one, i) => one - (ways[i] as number))) + Math.min(...home);
  return {
    sizes: work.map((one, i) => one + (ways[i] as number)),
    rooms: bins.map((bin) => Math.max(0, bin - aFlight)),
  };
}

/** As many of these bins, the largest first, as hold so much together; all of them where even they do not. */
export function binsToHold(rooms: readonly number[], size: number): number {
  let [count, room] = [0, 0];
  while (count < rooms.length && room < size - 1e-9) room += rooms[count++] as number;
  return count;
}

/** Of takes that may share a flight, for as many flights as are given. */
export function sharesOf(
  problem: Problem,
  verdicts: Verdicts,
  takes: readonly Take[],
  flights: number,
): Shares {
  const held = Math.max(1, verdicts.draws.length - verdicts.maxFailures);
  const hard = new Hard(problem, verdicts, takes);
  const least = (by: Parameters<Hard['least']>[0]) => tableShare * mean(hard.least(by).sort().slice(0, held));
  const isSteady = problem.weathers.length === 1;
  return {
    takes,
    work: takes.map((take) => least((flight) => flight.work(take))),
    out: takes.map((take) => least((flight) => flight.out(null, take))),
    home: takes.map((take) => least((flight) => flight.home(take))),
    between: takes.map((from) =>
      takes.map((to) => (isSteady && from !== to ? least((flight) => flight.out(from, to)) : 0)),
    ),
    bins: hard.bins(held, flights),
  };
}

type Flight = ReturnType<Verdicts['flightsOf']>;

/** The hardest draws, with what the packs of each kind have in them. */
class Hard {
  private readonly weathers: readonly number[];
  private readonly packs: readonly Pack[];
  private readonly charges: boolean;
  /** By kind and draw: what its strongest pack has. */
  private readonly most = new Map<number, Float64Array>();
  private readonly has: readonly Float64Array[];

  constructor(
    problem: Problem,
    private readonly verdicts: Verdicts,
    takes: readonly Take[],
  ) {
    this.weathers = problem.weathers.flatMap((one, i) => (one ? [i] : []));
    this.charges = problem.chargingPlaces.length > 0;
    this.packs = packsFor(problem, takes);
    this.has = this.packs.map((pack) => this.capacityOf(pack));
    this.packs.forEach(({ kind }, p) => {
      const most = this.most.get(kind) ?? new Float64Array(this.count);
      this.most.set(
        kind,
        most.map((one, d) => Math.max(one, this.has[p]?.[d] as number)),
      );
    });
  }

  private get count(): number {
    return this.verdicts.draws.length;
  }

  private capacityOf(pack: Pack): Float64Array {
    const all = this.weathers.flatMap((weather) =>
      atItsBest(pack, this.charges).map(
        (state) => this.verdicts.capacity(pack, state, weather).untilReserveS,
      ),
    );
    return Float64Array.from({ length: this.count }, (_, d) =>
      Math.max(0, ...all.map((one) => one[d] as number)),
    );
  }

  /** By draw, in the weather and with the kind of pack that suits a stretch best. */
  least(by: (flight: Flight) => { readonly equivalents: Float64Array }): Float64Array {
    const least = new Float64Array(this.count).fill(1);
    for (const [kind, most] of this.most) {
      for (const weather of this.verdicts.ownWeathers) {
        const { equivalents } = by(this.verdicts.flightsOf(kind, weather));
        for (let d = 0; d < least.length; d++) {
          const share = (equivalents[d] as number) / (most[d] as number);
          if (share < (least[d] as number)) least[d] = share;
        }
      }
    }
    return least;
  }

  /** A pack that is charged may fly again, as the best of them. */
  bins(held: number, flights: number): number[] {
    const sizes = this.packs.map(({ kind }, p) => {
      const most = this.most.get(kind) as Float64Array;
      const shares = (this.has[p] as Float64Array).map((one, d) =>
        (most[d] as number) > 0 ? one / (most[d] as number) : 0,
      );
      return mean(shares.sort().reverse().slice(0, held));
    });
    const sorted = sizes.sort((a, b) => b - a);
    return this.charges ? Array<number>(flights).fill(sorted[0] ?? 0) : sorted;
  }
}

/** Packs that may still fly one of some takes. */
function packsFor(
  { packs, excludedPacks, flown, chargingPlaces }: Problem,
  takes: readonly Take[],
): readonly Pack[] {
  const used = new Set(chargingPlaces.length > 0 ? [] : flown.map(({ pack }) => pack));
  return packs.filter(
    ({ index, aircraftIndex }) =>
      !excludedPacks.has(index) &&
      !used.has(index) &&
      takes.some((take) => take.aircraftIndex === null || take.aircraftIndex === aircraftIndex),
  );
}
