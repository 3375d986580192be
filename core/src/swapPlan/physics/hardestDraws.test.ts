import { boxBelief } from '../../../fixtures/beliefs';
import { randomRequest, steadyRequest } from '../../../fixtures/planRequests';
import { problemOf } from '../request/problem';
import { Planner } from '../search/planner';
import { isSure, sureFlight } from './exactFlight';
import { asKept, Fleet } from './fleet';
import { hardestDraws } from './hardestDraws';

const drawn = { shots: 5, packs: 2, shotS: [240, 540], startCharge: [0.85, 1], windMps: 2.5 } as const;

test('each draw once, and those first in which flights fail that some draws fly and some do not', () => {
  let [failed, early] = [0, 0];
  for (let seed = 1; seed <= 4; seed++) {
    const problem = problemOf(steadyRequest(seed, drawn), { jay: boxBelief });
    const fleet = new Fleet(problem);
    const order = hardestDraws(fleet);
    expect([...order].sort((a, b) => a - b)).toEqual(fleet.draws);
    for (const pack of problem.packs)
      for (const take of problem.takes) {
        const departure = { pack, takes: [take], weather: 0, state: asKept(pack) };
        const rest = order.slice(order.length / 2);
        failed += order.filter((draw) => !isSure(fleet, departure, [draw], 0)).length;
        early += rest.filter((draw) => !isSure(fleet, departure, [draw], 0)).length;
      }
  }
  expect(failed).toBeGreaterThan(200);
  // In an order by chance half of them would lie in the easier half.
  expect(early).toBeLessThan(0.1 * failed);
});

test('near the reserve the draws that decide say as all draws do in seventeen of twenty flights', () => {
  let [asked, agree] = [0, 0];
  for (let seed = 1; seed <= 6; seed++) {
    const problem = problemOf(steadyRequest(seed, drawn), { jay: boxBelief });
    const { fleet, verdicts } = new Planner(problem);
    for (const pack of problem.packs)
      for (const a of problem.takes)
        for (const b of problem.takes) {
          const departure = { pack, takes: a === b ? [a] : [a, b], weather: 0, state: asKept(pack) };
          if (verdicts.surely(pack, departure.state, 0, departure.takes) !== null) continue;
          asked++;
          if (
            verdicts.fits(pack, departure.state, 0, departure.takes) ===
            (sureFlight(fleet, departure) !== null)
          )
            agree++;
        }
  }
  expect(asked).toBeGreaterThan(20);
  expect(agree).toBeGreaterThanOrEqual(0.85 * asked);
});

test('a request of no shots has an order too', () => {
  const request = { ...randomRequest(2), shots: [] };
  const beliefs = { jay: boxBelief, nutcracker: boxBelief };
  expect(hardestDraws(new Fleet(problemOf(request, beliefs)))).toHaveLength(512);
});
