import type { Draw } from '../estimate/draws';
import type { Coefficients } from '../estimate/request';
import { usualReturnHeightM } from '../reserve/returnHome';
import { addShot, beforeTakeoff, flightKit } from './flyShots';
import type { PlannedFlight, PlanRequest, SwapPlan } from './planner';

/**
 * How likely each planned flight must turn back before its last shot ends: the share of draws (docs/METHOD.md, the band)
 * in which its shots, flown in order, no longer leave what is held back. The plan itself is made of middle values, so a
 * flight planned to the brim fails in half of them. By flight, 0–1.
 */
export function chancesEarly(request: PlanRequest, plan: SwapPlan, draws: readonly Draw[]): number[] {
  return plan.flights.map((flight) => {
    const failed = draws.filter(({ coefficients }) => !lasts(request, flight, coefficients));
    return failed.length / draws.length;
  });
}

function lasts(request: PlanRequest, flight: PlannedFlight, coefficients: Coefficients): boolean {
  const { aircraft, conditions, policy, batteries, shots } = request;
  const battery = batteries.find(({ id }) => id === flight.batteryId);
  if (!battery) return false;
  const returnHeightM = request.returnHeightM ?? usualReturnHeightM;
  const kit = flightKit(aircraft, battery, conditions, policy, returnHeightM, coefficients);
  if (!kit.ok) return false;
  let flown = beforeTakeoff(kit.value);
  for (const { shotId } of flight.shots) {
    const shot = shots.find(({ id }) => id === shotId);
    const next = shot && addShot(kit.value, flown, shot);
    if (!next?.ok) return false;
    flown = next.value;
  }
  return true;
}
