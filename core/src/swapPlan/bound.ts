import type { Pack, Problem, Take } from './problem';
import type { Verdicts } from './verdicts';

/** No flight that ends at the reserve weighs more in sums than the other way round (`equivalents.test`). */
const tableShare = 0.98;
/** As warm as a pack that flew before may still be. */
const warmestC = 40;

/**
 * Flights that a set of takes needs at least, whatever their order, times and packs. A flight at confidence c fits in c of all
 * draws; over these the mean share that a take has of the pack, less the shortest way out and home, is at least the mean of its
 * smallest shares. So these sum to 1 at most in any flight, and any bound for packing bins of size 1 holds: here the second of
 * Martello & Toth (Discrete Applied Mathematics 1990). Where the weather changes, each take is
 * taken as in the weather that suits it best.
 */
export function packingBound(verdicts: Verdicts, takes: readonly Take[]): number {
  const { problem } = verdicts;
  return groupsOf(problem, takes).reduce((sum, group) => {
    const shares = group.map((take) => leastShare(verdicts, take, group));
    return sum + Math.max(1, binsFor(shares.map((share) => share * tableShare)));
  }, 0);
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

function leastShare(verdicts: Verdicts, take: Take, group: readonly Take[]): number {
  const { packs } = verdicts.problem;
  const may = packs.filter(
    ({ aircraftIndex }) => take.aircraftIndex === null || take.aircraftIndex === aircraftIndex,
  );
  const weathers = verdicts.problem.weathers.flatMap((one, i) => (one ? [i] : []));
  return Math.min(
    1,
    ...may.flatMap((pack) => weathers.map((weather) => shareOf(verdicts, pack, take, group, weather))),
  );
}

function shareOf(
  verdicts: Verdicts,
  pack: Pack,
  take: Take,
  group: readonly Take[],
  weather: number,
): number {
  const { problem, draws } = verdicts;
  const kept = { charge: pack.startCharge, temperatureC: Math.max(pack.startC, pack.waitingC), asKept: true };
  const has = [verdicts.capacity(pack, kept, weather).untilReserveS];
  if (problem.chargingPlaces.length > 0) {
    has.push(
      verdicts.capacity(pack, { charge: 1, temperatureC: warmestC, asKept: false }, weather).untilReserveS,
    );
  }
  const flight = verdicts.flightsOf(pack.kind, weather);
  const { equivalents: work } = flight.work(take);
  const ways = group.map((one) => ({
    out: flight.out(null, one).equivalents,
    home: flight.home(one).equivalents,
  }));
  const shares = Float64Array.from({ length: draws }, (_, d) => {
    const least = (of: 'out' | 'home') => Math.min(...ways.map((way) => way[of][d] as number));
    const room = Math.max(...has.map((one) => one[d] as number)) - least('out') - least('home');
    return room > 0 ? Math.min(1, (work[d] as number) / room) : 1;
  }).sort();
  const held = Math.max(1, Math.ceil(problem.confidence * draws - 1e-9));
  return shares.slice(0, held).reduce((sum, one) => sum + one, 0) / held;
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
  const sum = (list: readonly number[]) => list.reduce((total, one) => total + one, 0);
  const over = sum(small) - (large.length - sum(large));
  return alone.length + large.length + Math.max(0, Math.ceil(over - 1e-9));
}
