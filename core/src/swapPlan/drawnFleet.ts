import type { Belief, World } from '../belief/belief';
import {
  boxBattery,
  type Flown,
  type SolvedAircraft,
  solvedAircraft,
  withBattery,
} from '../belief/flightContext';
import { usualReturnHeightM } from '../reserve/returnHome';
import { type Outcome, success } from '../units/outcome';
import type { ShotContext } from './flyShots';
import type { PlanBattery, PlanRequest } from './planner';

/** A battery as it will take off: in the likeliest world, and in each draw; null where a draw makes the aircraft impossible. */
export interface DrawnBattery {
  readonly battery: PlanBattery;
  readonly middle: Outcome<ShotContext>;
  readonly drawn: readonly (ShotContext | null)[];
}

/** All batteries in all draws of a belief. Those of one type share the solved aircraft of a draw. */
export function drawnFleet(request: PlanRequest, belief: Belief): DrawnBattery[] {
  if (belief.draws.length === 0) throw new RangeError('A plan at a confidence needs draws.');
  const contextIn = contextsOf(request);
  const middles = contextIn(belief.middle);
  const draws = belief.draws.map(contextIn);
  return request.batteries.map((battery, i) => ({
    battery,
    middle: middles[i] as Outcome<ShotContext>,
    drawn: draws.map((fleet) => {
      const context = fleet[i];
      return context?.ok ? context.value : null;
    }),
  }));
}

function contextsOf(request: PlanRequest): (world: World) => Outcome<ShotContext>[] {
  const { aircraft, conditions, policy, batteries } = request;
  const returnHeightM = request.returnHeightM ?? usualReturnHeightM;
  const flown = batteries.map((battery): Flown => ({ aircraft, conditions, battery, batteryId: battery.id }));
  const types = flown.map((one) => typeOf(one));
  return (world) => {
    const solvedByType = new Map<string, Outcome<SolvedAircraft>>();
    return flown.map((one, i) => {
      const type = types[i] as string;
      const solved = solvedByType.get(type) ?? solvedAircraft(one, world);
      solvedByType.set(type, solved);
      return solved.ok
        ? success({ ...withBattery(solved.value, one, world), policy, returnHeightM })
        : solved;
    });
  };
}

/** Batteries are of one type whatever they are called. */
function typeOf({ aircraft, battery }: Flown): string {
  return JSON.stringify({ ...boxBattery({ aircraft, battery }), id: null, label: null });
}
