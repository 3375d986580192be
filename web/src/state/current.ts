import type { AircraftRecord, BatteryRecord, ConditionsRecord, ShootRecord } from '@acorn-tally/core';
import { useMemo } from 'react';
import { useChosen } from './chosen';
import { useRecords } from './records';

/** The chosen aircraft, or the first one. */
export function useAircraft(): AircraftRecord | null {
  const aircraft = useRecords((state) => state.aircraft);
  const id = useChosen((state) => state.aircraftId);
  return aircraft.find((record) => record.id === id) ?? aircraft[0] ?? null;
}

export function useBatteriesOf(aircraftId: string | undefined): readonly BatteryRecord[] {
  const batteries = useRecords((state) => state.batteries);
  return useMemo(
    () => batteries.filter((battery) => battery.aircraftId === aircraftId),
    [batteries, aircraftId],
  );
}

/** The chosen battery of an aircraft, or its first one. */
export function useBattery(batteries: readonly BatteryRecord[]): BatteryRecord | null {
  const id = useChosen((state) => state.batteryId);
  return batteries.find((battery) => battery.id === id) ?? batteries[0] ?? null;
}

export function useConditions(): ConditionsRecord | null {
  return useRecords((state) => state.conditions[0] ?? null);
}

export function useShoot(): ShootRecord | null {
  const shoots = useRecords((state) => state.shoots);
  const id = useChosen((state) => state.shootId);
  return shoots.find((record) => record.id === id) ?? shoots[0] ?? null;
}
