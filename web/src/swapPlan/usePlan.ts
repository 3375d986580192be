import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  isFlown,
  type Outcome,
  type PlanRequest,
  planSwaps,
  type ShootRecord,
  type SwapPlan,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { packAtTheHour } from '../state/atTheHour';
import { reckoners } from '../workers/reckoners';
import { type Reckoned, useReckoned } from '../workers/useReckoned';

export interface PlanAndRisk {
  readonly plan: Outcome<SwapPlan>;
  /** By flight: how likely it must turn back before its last shot ends. A moment after the plan. */
  readonly chancesEarly: Reckoned<readonly number[]>;
}

/** The plan of a shoot, reckoned anew whenever anything it depends on changes. */
export function usePlan(
  shoot: ShootRecord,
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: ConditionsRecord,
): PlanAndRisk {
  const { request, plan } = useMemo(() => {
    const flown = batteries.filter(({ keeping }) => isFlown(keeping));
    const atHand = shoot.batteryIds.flatMap((id) => flown.filter((battery) => battery.id === id));
    const request: PlanRequest = {
      aircraft: aircraft.spec,
      batteries: atHand.map((battery) => ({
        ...packAtTheHour(battery, conditions),
        id: battery.id,
        label: battery.label,
      })),
      shots: shoot.shots,
      conditions: conditions.weather,
      policy: shoot.policy,
      swapTimeS: shoot.swapTimeS,
      returnHeightM: aircraft.flight.returnHeightM ?? null,
    };
    return { request, plan: planSwaps(request) };
  }, [shoot, aircraft, batteries, conditions]);
  const ask = useMemo(
    () => async (wanted: AbortSignal) =>
      plan.ok ? reckoners.do((worker) => worker.chancesEarly(request, plan.value), wanted) : null,
    [request, plan],
  );
  return { plan, chancesEarly: useReckoned(ask) };
}
