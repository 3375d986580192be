import { boxBelief, boxDrawn } from '../core/fixtures/beliefs';
import { flightTimeByGeneralSolverS } from '../core/fixtures/generalSolver';
import { jayWith } from '../core/fixtures/jay';
import { cellsOf } from '../core/src/battery/cells';
import { drawnFlights } from '../core/src/estimate/drawnFlights';
import { drain, endOf } from '../core/src/flight/drain';
import {
  bandOf,
  estimate,
  estimateInFull,
  estimateWithLedger,
  median,
  planSwaps,
  reachOf,
  situationOf,
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
const cells = cellsOf(request.battery, 1, null, boxBelief.middle.coefficients);
const start = { timeS: 0, charge: 0.99, temperatureC: 20 };
const powerW = 38;
const six = Array.from({ length: 6 }, (_, i) => ({
  ...request,
  battery: { ...request.battery, cycles: 12 * i, startTemperatureC: 6 + 3 * i },
}));

const shoot = {
  ...request,
  batteries: six.map((one, i) => ({ ...one.battery, id: String(i), label: `Jay ${i + 1}` })),
  shots: [240, 318, 372, 270, 222, 300, 378, 240, 330].map((durationS, i) => ({
    id: String(i),
    name: String(i),
    durationS,
    style: (['hover', 'slow', 'normal'] as const)[i % 3] ?? 'hover',
    distanceM: 50 + 25 * i,
    bearingDeg: 40 * i,
    heightM: 30,
  })),
  swapTimeS: 270,
};
const generalS = flightTimeByGeneralSolverS(cells, powerW, 5, start);
const oursS = endOf(drain(cells, powerW, 5, start))?.timeS ?? 0;
const work = {
  general: () => flightTimeByGeneralSolverS(cells, powerW, 5, start),
  drain: () => drain(cells, powerW, 5, start),
  estimate: () => estimate(request, boxBelief),
  reach: () => {
    const situation = situationOf(outThere, boxBelief.middle);
    return situation.ok && reachOf(situation.value);
  },
  plan: () => planSwaps(shoot, boxBelief),
  six: () => {
    const flights = drawnFlights(six, boxBelief);
    return six.map((one, i) => {
      const middle = estimateWithLedger(one, boxBelief);
      return middle.ok && bandOf(middle.value, flights[i] ?? [], boxBelief, one.policy);
    });
  },
};

/** Nanoseconds of one piece of work: rounds of all pieces in turn, so that a busy machine slows them alike. */
function costs(): Record<keyof typeof work, number> {
  const repeats = { general: 40, drain: 4000, estimate: 40, reach: 10, plan: 1, six: 1 };
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
  for (let i = 0; i < 100; i++) estimateInFull(request, boxDrawn(16));
  const before = heapMb();
  for (let i = 0; i < 1000; i++) estimateInFull(request, boxDrawn(16, i));
  return heapMb() - before;
}

const cost = costs();
const row = (what: string, figure: string, wanted: string) =>
  console.log(`${what.padEnd(66)} ${figure.padStart(10)}   ${wanted}`);
row(
  'one flight: how many times faster than the general solver',
  `${(cost.general / cost.drain).toFixed(0)} ×`,
  'at least 100 ×',
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
row(
  'nine shots on six batteries at 512 draws, in general solves',
  `${(cost.plan / cost.general).toFixed(0)} ×`,
  'at most 400 ×',
);
row('reach in 72 directions, in estimates', `${(cost.reach / cost.estimate).toFixed(1)} ×`, 'under 30 ×');
const growthMb = heapGrowthMb();
row(
  'heap after 1,000 more estimates',
  `${growthMb >= 0 ? '+' : '−'}${Math.abs(growthMb).toFixed(1)} MB`,
  'flat',
);
