import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  type Outcome,
  planSwaps,
  type ShootRecord,
  type SwapPlan,
} from '@acorn-tally/core';
import { useMemo } from 'react';

/** The plan of a shoot, reckoned anew whenever anything it depends on changes. */
export function usePlan(
  shoot: ShootRecord,
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: ConditionsRecord,
): Outcome<SwapPlan> {
  return useMemo(() => {
    const atHand = shoot.batteryIds.flatMap((id) => batteries.filter((battery) => battery.id === id));
    return planSwaps({
      aircraft: aircraft.spec,
      batteries: atHand.map(({ id, label, pack }) => ({ ...pack, id, label })),
      shots: shoot.shots,
      conditions: conditions.weather,
      policy: shoot.policy,
      swapTimeS: shoot.swapTimeS,
      returnHeightM: aircraft.flight.returnHeightM ?? null,
    });
  }, [shoot, aircraft, batteries, conditions]);
}
