import {
  type AircraftRecord,
  type BatteryRecord,
  type ConditionsRecord,
  isFlown,
  type ShootRecord,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { useChosen } from './chosen';
import { useRecords } from './records';

/** The aircraft that are still flown. */
export function useFleet(): readonly AircraftRecord[] {
  const aircraft = useRecords((state) => state.aircraft);
  return useMemo(() => aircraft.filter(({ retiredOn }) => !retiredOn), [aircraft]);
}

/** The chosen aircraft, or the first one. */
export function useAircraft(): AircraftRecord | null {
  const aircraft = useFleet();
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

/** Those of them that are flown: neither retired nor damaged. */
export function useFlownBatteriesOf(aircraftId: string | undefined): readonly BatteryRecord[] {
  const batteries = useBatteriesOf(aircraftId);
  return useMemo(() => batteries.filter(({ keeping }) => isFlown(keeping)), [batteries]);
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
