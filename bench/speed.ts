import { flightTimeByGeneralSolverS } from '../core/fixtures/generalSolver';
import { jayWith } from '../core/fixtures/jay';
import { packOf } from '../core/src/battery/pack';
import { drawnFlights } from '../core/src/estimate/drawnFlights';
import { drawCoefficients, usualDraws, usualSeed } from '../core/src/estimate/draws';
import { drain, endOf } from '../core/src/flight/drain';
import {
  bandOf,
  estimate,
  estimateInFull,
  estimateWithLedger,
  median,
  reachOf,
  situationOf,
  usualCoefficients,
} from '../core/src/index';

/** What each answer costs, as a ratio to one solve by a general solver in the same run; no times, which differ by machine. */
const request = jayWith({
  flight: {
    mix: [
      { style: 'hover', share: 0.45 },
      { style: 'slow', share: 0.35 },
      { style: 'normal', share: 0.15 },
      { style: 'fast', share: 0.05 },
    ],
  },
});
const { aircraft, battery, conditions, policy } = request;
const outThere = {
  aircraft,
  battery,
  conditions,
  policy,
  position: { distanceM: 380, bearingDeg: 60, heightM: 60, charge: 0.5 },
};
const pack = packOf(request.battery, null, usualCoefficients);
const start = { timeS: 0, charge: 0.99, temperatureC: 20 };
const powerW = 38;
const six = Array.from({ length: 6 }, (_, i) => ({
  ...request,
  battery: { ...request.battery, cycles: 12 * i, startTemperatureC: 6 + 3 * i },
}));

const generalS = flightTimeByGeneralSolverS(pack, powerW, 5, start);
const oursS = endOf(drain(pack, powerW, 5, start))?.timeS ?? 0;
const work = {
  general: () => flightTimeByGeneralSolverS(pack, powerW, 5, start),
  drain: () => drain(pack, powerW, 5, start),
  estimate: () => estimate(request),
  reach: () => {
    const situation = situationOf(outThere, usualCoefficients);
    return situation.ok && reachOf(situation.value);
  },
  six: () => {
    const draws = drawCoefficients(usualDraws, usualSeed);
    const flights = drawnFlights(six, draws);
    return six.map((one, i) => {
      const middle = estimateWithLedger(one);
      return middle.ok && bandOf(middle.value, flights[i] ?? [], draws);
    });
  },
};

/** Nanoseconds of one piece of work: rounds of all pieces in turn, so that a busy machine slows them alike. */
function costs(): Record<keyof typeof work, number> {
  const repeats = { general: 40, drain: 4000, estimate: 40, reach: 10, six: 1 };
  const names = Object.keys(work) as (keyof typeof work)[];
  const found = Object.fromEntries(names.map((name) => [name, [] as number[]])) as Record<
    keyof typeof work,
    number[]
  >;
  for (let round = 0; round < 16; round++) {
    for (const name of names) {
      const before = process.hrtime.bigint();
      for (let i = 0; i < repeats[name]; i++) work[name]();
      found[name].push(Number(process.hrtime.bigint() - before) / repeats[name]);
    }
  }
  const settled = (values: number[]) => median(values.slice(6));
  return Object.fromEntries(names.map((name) => [name, settled(found[name])])) as Record<
    keyof typeof work,
    number
  >;
}

/** Heap in use after each of some thousands of estimates; it must not grow. */
function heapGrowthMb(): number {
  const heapMb = () => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed / 2 ** 20;
  };
  for (let i = 0; i < 100; i++) estimateInFull(request, { draws: 16 });
  const before = heapMb();
  for (let i = 0; i < 1000; i++) estimateInFull(request, { draws: 16, seed: i });
  return heapMb() - before;
}

const cost = costs();
const row = (what: string, figure: string, wanted: string) =>
  console.log(`${what.padEnd(66)} ${figure.padStart(10)}   ${wanted}`);
row(
  'one flight: how many times faster than the general solver',
  `${(cost.general / cost.drain).toFixed(0)} ×`,
  'at least 20 ×',
);
row(
  'one flight: time against the general solver at 1e-8',
  `${((oursS / generalS - 1) * 100).toFixed(4)} %`,
  'within 0.1 %',
);
row(
  '512 draws and ledger of six batteries, in general solves a battery',
  `${(cost.six / cost.general / 6).toFixed(1)} ×`,
  'at most 25 ×',
);
row('reach in 72 directions, in estimates', `${(cost.reach / cost.estimate).toFixed(1)} ×`, 'under 30 ×');
const growthMb = heapGrowthMb();
row(
  'heap after 1,000 more estimates',
  `${growthMb >= 0 ? '+' : '−'}${Math.abs(growthMb).toFixed(1)} MB`,
  'flat',
);
