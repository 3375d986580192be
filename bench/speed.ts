import { boxBelief, boxDrawn } from '../core/fixtures/beliefs';
import {
  rough,
  SyntheticAircraft,
  type SyntheticFlight,
  synthetic,
  taughtBy,
} from '../core/fixtures/calibrationWorlds';
import { flightTimeByGeneralSolverS } from '../core/fixtures/generalSolver';
import { heavyPlans } from '../core/fixtures/heavyRequests';
import { jayWith } from '../core/fixtures/jay';
import { cellsOf } from '../core/src/battery/cells';
import { bandOf } from '../core/src/estimate/band';
import { drawnFlights } from '../core/src/estimate/drawnFlights';
import { drain, endOf } from '../core/src/flight/drain';
import {
  bandsOf,
  beliefFrom,
  defaultDraws,
  estimate,
  estimateInFull,
  estimateWithLedger,
  fitOf,
  median,
  type PlanRequest,
  planSwaps,
} from '../core/src/index';
import { reachOf } from '../core/src/wayHome/reach';
import { situationOf } from '../core/src/wayHome/situation';

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

const shoot: PlanRequest = {
  startAt: '2026-11-26T08:00:00Z',
  order: 'kept',
  aircraft: [{ id: 'jay', spec: aircraft }],
  batteries: six.map((one, i) => ({
    ...one.battery,
    id: String(i),
    aircraftId: 'jay',
    label: `Jay ${i + 1}`,
  })),
  shots: [240, 318, 372, 270, 222, 300, 378, 240, 330].map((durationS, i) => ({
    id: String(i),
    name: String(i),
    durationS,
    style: (['hover', 'slow', 'normal'] as const)[i % 3] ?? 'hover',
    distanceM: 50 + 25 * i,
    bearingDeg: 40 * i,
    heightM: 30,
  })),
  swap: { landToLiftOffS: 270 },
  conditions,
  policy,
};
const jayFlown = new SyntheticAircraft(7, rough);
const nine = synthetic(Array.from({ length: 9 }, () => jayFlown.fly(['hover', 'slow', 'fast'])));
/** Sixty logged flights, each with twenty steps of its gauge. */
const sixty = synthetic(Array.from({ length: 60 }, () => inTwenty(jayFlown.fly(['hover', 'slow', 'fast']))));
const learnt = beliefFrom(
  taughtBy(Array.from({ length: 9 }, () => jayFlown.fly(['hover', 'fast']))),
  defaultDraws,
);
const withIds = six.map((one, i) => ({ ...one, batteryId: `pack-${(i % 4) + 1}` }));
const generalS = flightTimeByGeneralSolverS(cells, powerW, 5, start);
const oursS = endOf(drain(cells, powerW, 5, start))?.timeS ?? 0;
const work = {
  general: () => flightTimeByGeneralSolverS(cells, powerW, 5, start),
  drain: () => drain(cells, powerW, 5, start),
  estimate: () => estimate(request, boxBelief),
  full: () => estimateInFull(request, boxBelief),
  fitNine: () => fitOf(nine),
  fitSixty: () => fitOf(sixty),
  bands: () => bandsOf(withIds, boxBelief),
  bandsLearnt: () => bandsOf(withIds, learnt),
  reach: () => {
    const situation = situationOf(outThere, boxBelief.middle);
    return situation.ok && reachOf(situation.value);
  },
  plan: () => planSwaps(shoot, { jay: boxBelief }),
  six: () => {
    const flights = drawnFlights(six, boxBelief);
    return six.map((one, i) => {
      const middle = estimateWithLedger(one, boxBelief);
      return middle.ok && bandOf(middle.value, flights[i] ?? [], boxBelief, one.policy);
    });
  },
};

/** A flight with a reading at every 3.75 %, straight between those it has. */
function inTwenty(flown: SyntheticFlight): SyntheticFlight {
  const at = (charge: number) => {
    const after = flown.gauges.findIndex((gauge) => gauge <= charge + 1e-9);
    const [g0, g1] = [flown.gauges[after - 1] ?? 0.99, flown.gauges[after] as number];
    const [t0, t1] = [flown.shownS[after - 1] ?? 0, flown.shownS[after] as number];
    return { charge, timeS: t0 + ((t1 - t0) * (g0 - charge)) / (g0 - g1) };
  };
  const checkpoints = Array.from({ length: 20 }, (_, i) => at(0.95 - 0.0375 * i));
  return { ...flown, flight: { ...flown.flight, checkpoints } };
}

/** Nanoseconds of one piece of work: rounds of all pieces in turn, so that a busy machine slows them alike. */
function costs(): Record<keyof typeof work, number> {
  const repeats = {
    general: 40,
    drain: 4000,
    estimate: 40,
    full: 1,
    fitNine: 1,
    fitSixty: 1,
    bands: 1,
    bandsLearnt: 1,
    reach: 10,
    plan: 1,
    six: 1,
  };
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
  'reported',
);
row('reach in 72 directions, in estimates', `${(cost.reach / cost.estimate).toFixed(1)} ×`, 'under 30 ×');
row(
  'a fit of nine flights with five readings, in estimates with their band',
  `${(cost.fitNine / cost.full).toFixed(1)} ×`,
  'under 100 ×',
);
row('the same in middle estimates', `${(cost.fitNine / cost.estimate).toFixed(0)} ×`, 'reported');
row(
  'a fit of sixty with twenty, in estimates with their band',
  `${(cost.fitSixty / cost.full).toFixed(0)} ×`,
  'reported',
);
row(
  'bands of six batteries with a fit, against those from the box',
  `${(cost.bandsLearnt / cost.bands).toFixed(2)} ×`,
  'about 1 ×',
);
const growthMb = heapGrowthMb();
row(
  'heap after 1,000 more estimates',
  `${growthMb >= 0 ? '+' : '−'}${Math.abs(growthMb).toFixed(1)} MB`,
  'flat',
);

/** The heaviest that may be asked: once each, since they take seconds. Their work is bounded by counts, so these bound the wait. */
for (const [name, make] of Object.entries(heavyPlans)) {
  const heavy = make();
  const before = process.hrtime.bigint();
  const planned = planSwaps(heavy, { jay: boxBelief });
  const tookNs = Number(process.hrtime.bigint() - before);
  const isWhole = planned.ok && planned.value.complete ? 'complete' : 'cut short';
  row(
    `plan of ${name} (${isWhole}), in estimates with their band`,
    `${(tookNs / cost.full).toFixed(0)} ×`,
    'reported',
  );
}

{
  const many = synthetic(
    Array.from({ length: 200 }, () => inTwenty(jayFlown.fly(['hover', 'slow', 'fast']))),
  );
  const own = many.batteries[0] as (typeof many.batteries)[number];
  const batteries = Array.from({ length: 100 }, (_, i) => ({ ...own, id: `pack-${i}` }));
  const flights = many.flights.map((flight, i) => ({ ...flight, batteryId: `pack-${i % 100}` }));
  const before = process.hrtime.bigint();
  fitOf({ ...many, batteries, flights });
  const tookNs = Number(process.hrtime.bigint() - before);
  row(
    'fit of 200 flights with 100 packs, in estimates with their band',
    `${(tookNs / cost.full).toFixed(0)} ×`,
    'reported',
  );
}
