import {
  asSupposed,
  type Foretold,
  flownCounts,
  foretoldKnowing,
  independentNoise,
  rough,
  studied,
  type Truth,
  wrongAmongFive,
} from '../core/fixtures/calibrationWorlds';
import { median } from '../core/src/index';

/**
 * Whether a fit is right about how sure it is, on aircraft that are made up with known truth: `npm run calibration-study` for all
 * 200, a number of them for the short form in `npm test`. Ends in failure where a line does not hold.
 */
const usual = 200;
const aircraft = Number(process.argv[2] ?? usual);
/** The share inside of 4 new flights of each aircraft is known to so much (two deviations of a binomial), beyond that of all 200. */
const slack = 2 * Math.sqrt((0.8 * 0.2) / 4) * (1 / Math.sqrt(aircraft) - 1 / Math.sqrt(usual));
const failures: string[] = [];

const seeds = (from: number) => Array.from({ length: aircraft }, (_, i) => from + i);
const insideOf = (flights: readonly Foretold[]) =>
  flights.filter(({ inside }) => inside).length / flights.length;
const missOf = (flights: readonly Foretold[]) =>
  median(flights.map(({ missFraction }) => Math.abs(missFraction)));
const percent = (fraction: number) => `${(100 * fraction).toFixed(1)} %`;

function holds(what: string, value: number, least: number, most: number) {
  const fine = value >= least && value <= most;
  console.log(`${fine ? '  ' : '✗ '}${what}: ${percent(value)} (${percent(least)} to ${percent(most)})`);
  if (!fine) failures.push(what);
}

function byCount(truth: Truth, counts: readonly number[], more: Parameters<typeof studied>[2] = {}) {
  const all = seeds(1000).map((seed) => studied(seed, truth, { counts, ...more }));
  return counts.map((count, k) => ({ count, flights: all.flatMap((one) => one[k] ?? []) }));
}

console.log(`${aircraft} aircraft, 4 new flights of each`);
console.log('\nThe world as it is supposed: new flights inside their band');
for (const { count, flights } of byCount(asSupposed, flownCounts)) {
  holds(
    `after ${count} (median miss ${percent(missOf(flights))})`,
    insideOf(flights),
    0.75 - slack,
    0.85 + slack,
  );
}

console.log('\nA rougher world: each style 3 % off, the gauge of each aircraft bent for good');
/** Times the floor: what no fit can know, the flight's own luck, wind and gauge, grows with what is supposed of them. */
const maxOverFloor: Readonly<Record<number, number>> = { 1: 1.68, 3: 1.45, 9: 1.25 };
const floorMiss = missOf(seeds(1000).flatMap((seed) => foretoldKnowing(seed, rough)));
for (const { count, flights } of byCount(rough, flownCounts)) {
  holds(`after ${count}, inside`, insideOf(flights), 0.75 - slack, 0.87 + slack);
  const most = maxOverFloor[count];
  if (most !== undefined) holds(`after ${count}, median miss`, missOf(flights), 0, most * floorMiss);
}
console.log(`   the floor, with the aircraft and its packs known: median miss ${percent(floorMiss)}`);

console.log('\nThe classic mistake, independent errors of 1.5 % and no luck, must show');
for (const { count, flights } of byCount(rough, [3, 9], { noise: independentNoise, withoutLuck: true })) {
  holds(`after ${count}, inside`, insideOf(flights), 0, 0.65);
}

console.log('\nOne flight of five a quarter too long');
const wrong = seeds(5000).map((seed) => wrongAmongFive(seed, rough));
holds('what is foretold moves by', median(wrong.flatMap(({ moved }) => moved)), 0, 0.02);
const clean = wrong.flatMap(({ cleanDeviations }) => cleanDeviations);
holds('clean flights beyond 3 σ', clean.filter((z) => z >= 3).length / clean.length, 0, 0.015);

console.log(failures.length === 0 ? '\neverything holds' : `\n${failures.length} do not hold`);
process.exitCode = failures.length === 0 ? 0 : 1;
