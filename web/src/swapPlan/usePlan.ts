import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  isFlown,
  type Outcome,
  type PlanRequest,
  type ShootRecord,
  type SwapPlan,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { packAtTheHour } from '../state/atTheHour';
import { beliefAbout } from '../state/belief';
import { fromHome } from '../state/home';
import { calculators } from '../workers/calculators';
import { type Calculated, useCalculated } from '../workers/useCalculated';

/** The plan of a shoot from the workers, asked for anew whenever anything it depends on changes; the last one stays meanwhile. */
export function usePlan(
  shoot: ShootRecord,
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: DayAtPlace,
): Calculated<Outcome<SwapPlan>> {
  const ask = useMemo(() => {
    const request = planRequestFor(shoot, aircraft, batteries, conditions);
    const { known } = beliefAbout(aircraft);
    return async (wanted: AbortSignal): Promise<Outcome<SwapPlan>> =>
      calculators.do(async (worker) => worker.plan(request, known), wanted);
  }, [shoot, aircraft, batteries, conditions]);
  return useCalculated(ask);
}

function planRequestFor(
  shoot: ShootRecord,
  aircraft: AircraftRecord,
  batteries: readonly BatteryRecord[],
  conditions: DayAtPlace,
): PlanRequest {
  const flown = batteries.filter(({ keeping }) => isFlown(keeping));
  const atHand = shoot.batteryIds.flatMap((id) => flown.filter((battery) => battery.id === id));
  return {
    aircraft: aircraft.spec,
    batteries: atHand.map((battery) => ({
      ...packAtTheHour(battery, conditions),
      id: battery.id,
      label: battery.label,
    })),
    shots: shoot.shots.map((shot) => fromHome(conditions, shot)),
    conditions: conditions.weather,
    policy: shoot.policy,
    swapTimeS: shoot.swapTimeS,
    returnHeightM: aircraft.flight.returnHeightM ?? null,
  };
}
