import { boxDrawn } from '../../../fixtures/beliefs';
import { few, pack, request, shot } from '../../../fixtures/fellShoot';
import { problemOf } from '../request/problem';
import { Planner } from '../search/planner';
import { exactFlight, isSure } from './exactFlight';
import { asKept, Fleet } from './fleet';
import { Verdicts } from './verdicts';

test('takes of two loads fit no flight by sums, and are sure in none when flown; those of one load are', () => {
  const loads = [shot('one', 2), shot('two', 2, { addedMassKg: 0.04 })];
  const { problem, verdicts, fleet } = new Planner(problemOf({ ...request, shots: loads }, few));
  const [first] = problem.packs;
  if (!first) throw new Error('There should be a pack.');
  const flies = (takes: typeof problem.takes) => [
    verdicts.surely(first, asKept(first), 0, takes),
    isSure(fleet, { pack: first, takes, weather: 0, state: asKept(first) }),
  ];
  expect(flies(problem.takes)).toEqual([false, false]);
  for (const take of problem.takes) expect(flies([take])).toEqual([true, true]);
});

test('a cold pack that sags too low to climb has nothing, in the draws in which it is flown in vain', () => {
  const batteries = [{ ...pack, id: 'cold', label: 'Jay 1', startTemperatureC: 4, startCharge: 0.6 }];
  const fleet = new Fleet(
    problemOf({ ...request, batteries, shots: [shot('near', 1)] }, { jay: boxDrawn(256) }),
  );
  const { packs, takes } = fleet.problem;
  const [cold] = packs;
  if (!cold) throw new Error('There should be a pack.');
  const has = new Verdicts(fleet, fleet.draws).capacity(cold, asKept(cold), 0).untilReserveS;
  const { drawn } = exactFlight(fleet, { pack: cold, takes, weather: 0, state: asKept(cold) });
  const inVain = fleet.draws.filter((draw) => drawn[draw] === null);
  expect(inVain.length).toBeGreaterThan(20);
  expect(inVain.filter((draw) => has[draw] === 0).length).toBeGreaterThan(0.9 * inVain.length);
  expect(fleet.draws.filter((draw) => has[draw] === 0 && drawn[draw] !== null)).toEqual([]);
});
