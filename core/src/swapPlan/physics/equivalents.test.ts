import { boxDrawn } from '../../../fixtures/beliefs';
import { steadyRequest } from '../../../fixtures/planRequests';
import { gaugeOf } from '../../battery/gauge';
import { problemOf } from '../request/problem';
import { EquivalentSeconds } from './equivalents';
import { exactFlight, isSure } from './exactFlight';
import { Fleet } from './fleet';
import { uncertaintyMargin, Verdicts } from './verdicts';

const belief = boxDrawn(16);
const shoot = (seed: number, shotS: readonly [number, number] = [60, 400]) => {
  const drawn = { shots: 5, packs: 2, shotS, startCharge: [0.8, 1], windMps: 2 } as const;
  const problem = problemOf(steadyRequest(seed, drawn), { jay: belief });
  const fleet = new Fleet(problem);
  return { problem, verdicts: new Verdicts(fleet, fleet.draws) };
};

/** All flights of one and of two takes that some draw can fly at all. */
function flightsOf({ problem }: ReturnType<typeof shoot>) {
  const pairs = problem.takes.flatMap((a) => problem.takes.map((b) => (a === b ? [a] : [a, b])));
  return problem.packs.flatMap((pack) => {
    const state = { charge: pack.startCharge, temperatureC: pack.startC, asKept: true };
    return pairs.map((takes) => ({ pack, takes, weather: 0, state }));
  });
}

test('sums of equivalent seconds against flights flown step by step: what ends near the reserve weighs the same share of the pack in each draw, as near as the margin is wide', () => {
  let compared = 0;
  for (let seed = 1; seed < 12; seed++) {
    const at = shoot(seed);
    for (const departure of flightsOf(at)) {
      const { pack, takes, state } = departure;
      const sums = at.verdicts.flightsOf(pack.kind, 0);
      const has = at.verdicts.capacity(pack, state, 0).untilReserveS;
      const contexts = at.verdicts.fleet.contexts(pack, state, 0);
      const exact = exactFlight(at.verdicts.fleet, departure);
      [...exact.drawn, exact.middle].forEach((flown, d) => {
        const context = contexts.of(d);
        const down = flown?.at(-1)?.touchdown;
        if (!context || !down || takes.length < 2) return;
        const start = gaugeOf(context.takeoff.charge, context.cells.hidden);
        const spent = (start - gaugeOf(down.charge, context.cells.hidden)) / (start - 0.25);
        const stretches = [
          ...takes.flatMap((take, i) => [sums.out(takes[i - 1] ?? null, take), sums.work(take)]),
          sums.home(takes[1] as never),
        ];
        const last = stretches.reduce((sum, { equivalents }) => sum + (equivalents[d] as number), 0);
        // Only there a verdict hangs on it; a short flight ends where the pack still has more volts.
        if (spent < 0.9) return;
        const weighs = last / (has[d] as number) / spent;
        expect(weighs).toBeGreaterThan(1 - uncertaintyMargin.over);
        expect(weighs).toBeLessThan(1 + uncertaintyMargin.under);
        compared++;
      });
    }
  }
  expect(compared).toBeGreaterThan(60);
});

test('draws that sums are sure of need not be flown: the verdict is that of flying all of them', () => {
  const counts = { sure: 0, not: 0, open: 0 };
  for (let seed = 1; seed < 12; seed++) {
    const { verdicts, ...at } = shoot(seed);
    for (const departure of flightsOf({ verdicts, ...at })) {
      const { open } = verdicts.foreseen(departure);
      const sure = isSure(verdicts.fleet, departure);
      expect(verdicts.decide(departure)).toBe(sure);
      counts[sure ? 'sure' : 'not']++;
      counts.open += open.length;
    }
  }
  expect(Math.min(counts.sure, counts.not, counts.open)).toBeGreaterThan(10);
  expect(counts.open).toBeLessThan(0.1 * 16 * (counts.sure + counts.not));
});

test('clock times of the sums are those of the flight as planned', () => {
  const at = shoot(4);
  for (const departure of flightsOf(at)) {
    const need = at.verdicts.times(departure.pack.kind, 0, departure.takes);
    const { middle } = exactFlight(at.verdicts.fleet, departure);
    if (!middle) continue;
    expect(need.touchdownS).toBeCloseTo(middle.at(-1)?.touchdown.timeS ?? 0, 6);
    expect(need.takes.map(({ beginS }) => beginS)).toEqual(
      middle.map(({ begun }) => expect.closeTo(begun.timeS, 6)),
    );
  }
});

test('the least charge for a flight is enough, and two hundredths less is not', () => {
  const at = shoot(5);
  let asked = 0;
  for (const { pack, takes } of flightsOf(at)) {
    const least = at.verdicts.leastCharge(pack, 18, 0, takes);
    if (least === null || least > 0.98) continue;
    asked++;
    const fits = (charge: number) =>
      at.verdicts.fits(pack, { charge, temperatureC: 18, asKept: false }, 0, takes);
    expect([fits(least + 1e-6), fits(least - 0.02)]).toEqual([true, false]);
  }
  expect(asked).toBeGreaterThan(20);
});

test('a flight that was not sure fits no more, and a charged pack needs a little more for it; others stay as they were', () => {
  const { verdicts, ...at } = shoot(5);
  const [departure, other] = flightsOf({ verdicts, ...at });
  if (!departure || !other) throw new Error('There should be flights.');
  const { pack, takes } = departure;
  const state = { charge: 1, temperatureC: 18, asKept: false };
  // The full pack at 18 °C fits no more then; at 19 °C it does.
  const least = verdicts.leastCharge(pack, 19, 0, takes) ?? 1;
  expect(verdicts.fits(pack, state, 0, takes)).toBe(true);
  verdicts.learnNotSure({ ...departure, state });
  expect(verdicts.fits(pack, state, 0, takes)).toBe(false);
  expect(verdicts.fits(pack, { ...state, charge: 0.99 }, 0, takes)).toBe(true);
  expect(verdicts.fits(pack, state, 0, other.takes)).toBe(true);
  const once = verdicts.leastCharge(pack, 19, 0, takes) ?? 1;
  expect([once > least, once < least + 0.02]).toEqual([true, true]);
});

test('what a pack has in an air hangs on that air alone, not on which one was asked before', () => {
  const { conditions, ...request } = steadyRequest(1, {
    shots: 1,
    packs: 1,
    shotS: [60, 400],
    startCharge: [1, 1],
    windMps: 2,
  });
  const hours = ['06', '12'].map((hour, i) => ({
    ...(conditions as NonNullable<typeof conditions>),
    at: `2026-11-26T${hour}:00:00Z`,
    airTemperatureC: 5 + 2 * i,
  }));
  const problem = problemOf({ ...request, conditions: null, hours }, { jay: belief });
  const [pack] = problem.packs;
  const hasIn = (weathers: readonly number[]) => {
    const fleet = new Fleet(problem);
    const verdicts = new Verdicts(fleet, fleet.draws);
    const state = { charge: 1, temperatureC: 18, asKept: false };
    return new Map(
      weathers.map((weather) => [weather, verdicts.capacity(pack as never, state, weather).untilReserveS]),
    );
  };
  const asked = problem.weathers.flatMap((weather, at) => (weather ? [at] : []));
  const [forth, back] = [hasIn(asked), hasIn(asked.toReversed())];
  expect(asked.length).toBeGreaterThan(4);
  for (const weather of asked) {
    expect(forth.get(weather)).toEqual(back.get(weather));
    const steady = problemOf({ ...request, conditions: problem.weathers[weather] }, { jay: belief });
    const full = { charge: 1, temperatureC: 18, asKept: false };
    const fleet = new Fleet(steady);
    const has = new Verdicts(fleet, fleet.draws).capacity(steady.packs[0] as never, full, 0).untilReserveS;
    // Whoever hovers where the wind blows as in the first weather.
    const there = forth.get(weather) as Float64Array;
    has.forEach((s, d) => {
      expect(Math.abs((there[d] as number) / s - 1)).toBeLessThan(0.01);
    });
  }
});

test('between two hours a stretch is straight between theirs: as it would be computed for that quarter, nearer to the hour that is nearer', () => {
  const { conditions, ...request } = steadyRequest(3, {
    shots: 3,
    packs: 1,
    shotS: [60, 400],
    startCharge: [1, 1],
    windMps: 2,
  });
  const hours = ['08', '09', '10'].map((hour, i) => ({
    ...(conditions as NonNullable<typeof conditions>),
    at: `2026-11-26T${hour}:00:00Z`,
    wind: { speedMps: 1 + 1.5 * i, gustMps: null, fromDeg: 240, readingHeightM: 2 },
  }));
  const problem = problemOf({ ...request, conditions: null, hours }, { jay: belief });
  const fleet = new Fleet(problem);
  const verdicts = new Verdicts(fleet, fleet.draws);
  const flightsOf = (weather: number) => verdicts.flightsOf(0, weather);
  const within: number[] = [];
  for (let weather = 0; weather < 8; weather++) {
    const itself = new EquivalentSeconds(fleet, 0, weather, [...fleet.draws, fleet.likeliest]);
    for (const take of problem.takes)
      for (const [straight, exact] of [
        [flightsOf(weather).out(null, take), itself.out(null, take)],
        [flightsOf(weather).home(take), itself.home(take)],
        [flightsOf(weather).work(take), itself.work(take)],
      ] as const)
        exact.equivalents.forEach((s, d) => {
          if (Number.isFinite(s)) within.push(Math.abs((straight.equivalents[d] as number) / s - 1));
        });
  }
  expect(within.length).toBeGreaterThan(500);
  // What is more lies where a draw goes over to a faster mode between the hours.
  const most = within.sort((a, b) => a - b);
  expect(most[Math.floor(0.98 * most.length)]).toBeLessThan(0.02);
  expect(most.at(-1)).toBeLessThan(0.1);
});
