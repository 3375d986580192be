import {
  type AircraftRecord,
  type BatteryRecord,
  type DayAtPlace,
  type DayRecord,
  dayAtPlace,
  isFlown,
  type LaunchPlace,
  type ShootRecord,
} from '@acorn-tally/core';
import { useMemo } from 'react';
import { useRecords } from '../records/records';
import { daysWithPlace } from './daysWithPlace';
import { usePreferences } from './preferences';

/** The aircraft that are still flown. */
export function useFleet(): readonly AircraftRecord[] {
  const aircraft = useRecords((state) => state.aircraft);
  return useMemo(() => aircraft.filter(({ retiredOn }) => !retiredOn), [aircraft]);
}

/** The chosen aircraft, or the first one. */
export function useAircraft(): AircraftRecord | null {
  const aircraft = useFleet();
  const id = usePreferences((state) => state.aircraftId);
  return aircraft.find((record) => record.id === id) ?? aircraft[0] ?? null;
}

export function useBatteriesOf(aircraftId: string | undefined): readonly BatteryRecord[] {
  const batteries = useRecords((state) => state.batteries);
  return useMemo(
    () => batteries.filter((battery) => battery.aircraftId === aircraftId),
    [batteries, aircraftId],
  );
}

/** Those of a shoot: of its aircraft, and of the one that flies in turn with it. */
export function useBatteriesOfShoot({
  aircraftId,
  otherAircraftId,
}: Pick<ShootRecord, 'aircraftId' | 'otherAircraftId'>): readonly BatteryRecord[] {
  const batteries = useRecords((state) => state.batteries);
  return useMemo(
    () => [aircraftId, otherAircraftId].flatMap((id) => batteries.filter((one) => one.aircraftId === id)),
    [batteries, aircraftId, otherAircraftId],
  );
}

/** Those of them that are flown: neither retired nor damaged. */
export function useFlownBatteriesOf(aircraftId: string | undefined): readonly BatteryRecord[] {
  const batteries = useBatteriesOf(aircraftId);
  return useMemo(() => batteries.filter(({ keeping }) => isFlown(keeping)), [batteries]);
}

/** The chosen battery of an aircraft, or its first one. */
export function useBattery(batteries: readonly BatteryRecord[]): BatteryRecord | null {
  const id = usePreferences((state) => state.batteryId);
  return batteries.find((battery) => battery.id === id) ?? batteries[0] ?? null;
}

/** The chosen day, or the first one, of those whose place is there. */
export function useDay(): DayRecord | null {
  const id = usePreferences((state) => state.dayId);
  return useRecords((state) => {
    const whole = daysWithPlace(state);
    return whole.find((day) => day.id === id) ?? whole[0] ?? null;
  });
}

/** The chosen day at its place: what a flight meets. */
export function useConditions(): DayAtPlace | null {
  return useDayAtPlace(useDay());
}

export function useDayAtPlace(day: DayRecord | null): DayAtPlace | null {
  const place = useRecords((state) => state.places.find(({ id }) => id === day?.placeId) ?? null);
  return useMemo(() => (day && place ? dayAtPlace(day, place) : null), [day, place]);
}

/** The conditions of the day that a shoot is for. */
export function useConditionsOf(shoot: ShootRecord | null): DayAtPlace | null {
  return useDayAtPlace(useRecords((state) => state.days.find(({ id }) => id === shoot?.dayId) ?? null));
}

/** Other spots of a place to take off from. */
export function useLaunchPlaces(placeId: string | undefined): readonly LaunchPlace[] {
  return useRecords((state) => state.places.find(({ id }) => id === placeId)?.launchPlaces ?? noPlaces);
}
const noPlaces: readonly LaunchPlace[] = [];

/** The shoots of an aircraft. */
export function useShootsOf(aircraftId: string | undefined): readonly ShootRecord[] {
  const shoots = useRecords((state) => state.shoots);
  return useMemo(() => shoots.filter((shoot) => shoot.aircraftId === aircraftId), [shoots, aircraftId]);
}

/** The chosen shoot of an aircraft, or its first one. */
export function useShoot(aircraftId: string | undefined): ShootRecord | null {
  const shoots = useShootsOf(aircraftId);
  const id = usePreferences((state) => state.shootId);
  return shoots.find((record) => record.id === id) ?? shoots[0] ?? null;
}
