import {
  type DayAtPlace,
  type LiftOffCaution,
  liftOffCautions,
  type PlanRequest,
  type SwapPlan,
  siteFromHome,
} from '@acorn-tally/core';
import { beliefAbout } from '../state/belief';

/** What Minutes would warn of before the flights of a plan, each with the flights it holds for where that is not all of them. */
export function liftOffWarnings(
  request: PlanRequest,
  plan: Pick<SwapPlan, 'flights'>,
  conditions: DayAtPlace,
): readonly (LiftOffCaution & { readonly words: string })[] {
  const middles = Object.fromEntries(request.aircraft.map(({ id }) => [id, beliefAbout({ id }).middle]));
  return liftOffCautions(request, plan, siteFromHome(conditions), middles).map((one) => ({
    ...one,
    words: one.flightNumbers.length === plan.flights.length ? '' : ` (${flightsInWords(one.flightNumbers)})`,
  }));
}

function flightsInWords(numbers: readonly number[]): string {
  return `${numbers.length === 1 ? 'flight' : 'flights'} ${numbers.join(', ')}`;
}
