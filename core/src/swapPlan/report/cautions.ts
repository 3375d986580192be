import { lightAt } from '../../air/sun';
import { type Sentence, sentence } from '../../units/sentence';
import type { Problem } from '../request/problem';
import type { Schedule } from '../search/schedule';
import type { PlanCautionCode } from './answer';
import { instantAt } from './instant';

/** Below that, makers ask for a pack to be warmed first (common practice). */
const coldPackC = 10;

/** What to mind about a plan as a whole. */
export function cautionsOf(problem: Problem, { flights }: Schedule): Sentence<PlanCautionCode>[] {
  const { coordinates } = problem.request;
  const cold = flights.filter(({ state }) => state.temperatureC < coldPackC);
  const dark = coordinates
    ? flights.filter(({ takeoffS, touchdownS }) =>
        [takeoffS, touchdownS].some((s) => lightAt(instantAt(problem, s), coordinates) === 'night'),
      )
    : [];
  const found: Sentence<PlanCautionCode>[] = [
    sentence(
      'rules-first',
      'Local flight rules, the maker’s limits and what you see on the day come before this plan.',
    ),
  ];
  if (cold.length > 0)
    found.push(
      sentence(
        'cold-pack',
        'Colder than {coldPackC} at take-off in {flightsCount} of {allCount} flights: keep packs warm, and hover for a minute first.',
        { coldPackC, flightsCount: cold.length, allCount: flights.length },
      ),
    );
  if (dark.length > 0)
    found.push(
      sentence(
        'in-the-dark',
        'Outside civil twilight in {flightsCount} of {allCount} flights: many rules ask for more then.',
        { flightsCount: dark.length, allCount: flights.length },
      ),
    );
  return found;
}
