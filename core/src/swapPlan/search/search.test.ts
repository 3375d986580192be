import { few, pack, request, shot } from '../../../fixtures/fellShoot';
import { problemOf, type Take } from '../request/problem';
import { Planner } from './planner';
import type { Candidate } from './search';

test('two flights exchange their packs where either pack alone for both would have to be charged more', () => {
  const batteries = [
    { ...pack, id: 'full', label: 'Jay 1', startCharge: 1 },
    { ...pack, id: 'half', label: 'Jay 2', startCharge: 0.6 },
  ];
  const chargers = [{ id: 'hub', name: 'Hub', packsAtOnce: 1, emptyToFullS: 3600 }];
  const shots = [shot('short', 3), shot('long', 12)];
  const { search, problem } = new Planner(problemOf({ ...request, batteries, chargers, shots }, few));
  const [short, long] = problem.takes as [Take, Take];
  const packOf = (id: string) => problem.packs.findIndex(({ battery }) => battery.id === id);
  const given = search.candidate([
    { pack: packOf('full'), takes: [short] },
    { pack: packOf('half'), takes: [long] },
  ]) as Candidate;
  const better = search.withBestPacks(given, 1);
  const charges = ({ schedule }: Candidate) =>
    schedule.flights.reduce((sum, { charging }) => sum + charging.length, 0);
  expect([charges(given), charges(better)]).toEqual([1, 0]);
  expect(better.draft.map(({ pack: flown }) => problem.packs[flown]?.battery.id)).toEqual(['half', 'full']);
});
