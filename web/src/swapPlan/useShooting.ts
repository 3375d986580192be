import { type DayAtPlace, type PlanRequest, type Shooting, type ShootRecord } from '@acorn-tally/core';
import { useMemo } from 'react';
import { useRecords } from '../records/records';
import { beliefAbout } from '../state/belief';
import { useBatteriesOfShoot, useFleet, useLaunchPlaces } from '../state/current';

/** All that a plan of a shoot is made from. */
export function useShooting(shoot: ShootRecord, conditions: DayAtPlace): Shooting {
  const fleet = useFleet();
  const batteries = useBatteriesOfShoot(shoot);
  const chargers = useRecords((state) => state.chargers);
  const launchPlaces = useLaunchPlaces(conditions.placeId);
  return useMemo(() => {
    const ids = [shoot.aircraftId, shoot.otherAircraftId];
    const aircraft = ids.flatMap((id) => fleet.filter((one) => one.id === id));
    return { shoot, aircraft, batteries, chargers, conditions, launchPlaces };
  }, [shoot, fleet, batteries, chargers, conditions, launchPlaces]);
}

/** What is known of each aircraft of a plan. */
export function knownOf({ aircraft }: Pick<PlanRequest, 'aircraft'>) {
  return Object.fromEntries(aircraft.map(({ id }) => [id, beliefAbout({ id }).known]));
}

/** The same, held as long as the plan is of the same aircraft. */
export function useKnown(request: PlanRequest) {
  return useMemo(() => knownOf(request), [request]);
}
